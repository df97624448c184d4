package desk

import (
	"context"
	"time"

	"hodometer/api/repository"
	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/core/lesson"
	"hodometer/core/lesson/diary"
	"hodometer/core/lesson/plan"
	"hodometer/core/lesson/schedule"
)

// LessonBrief is what a list shows of a lesson.
type LessonBrief struct {
	ID       string        `json:"id"`
	Revision int64         `json:"revision"`
	State    plan.State    `json:"state"`
	Title    string        `json:"title"`
	Date     string        `json:"date" format:"date"`
	Start    string        `json:"start" description:"Hours:minutes"`
	Minutes  int           `json:"minutes" description:"Length of the booking"`
	People   []string      `json:"people" description:"Names of the students"`
	Clashes  []string      `json:"clashes" description:"Other lessons of the list at the same time, and what a calendar has otherwise by now, in words"`
	Clock    *lesson.Clock `json:"clock" description:"Of a lesson that is under way; else null"`
	schedule.Glance
}

// Diary is the lessons of some days, in the order in which they are given.
type Diary struct {
	Today   string        `json:"today" description:"The day it is where Hodometer runs"`
	Lessons []LessonBrief `json:"lessons"`

	Unreadable []repository.Unreadable `json:"unreadable" description:"Lessons of these days, or of no day, that cannot be shown"`
}

// Week is the lessons of one week.
type Week struct {
	Diary
	Days    []string `json:"days" description:"From Monday"`
	Earlier *int     `json:"earlier" description:"The nearest week before this one that has lessons; null where there is none"`
	Later   *int     `json:"later" description:"The nearest week after this one that has lessons"`
}

// between is the parameter of a span of days.
type between struct {
	Ahead int `query:"ahead" description:"Days from today on; 0 for today only" minimum:"0" maximum:"366"`
	Back  int `query:"back" description:"Days back from today" minimum:"0" maximum:"366"`
}

// maxWeeks is how far from today a week can lie: a hundred years.
const maxWeeks = 5200

// ofWeek is the parameter of something about a week.
type ofWeek struct {
	Week int `query:"week" description:"Weeks after that of today; less than 0 for weeks before it" minimum:"-5200" maximum:"5200"`
}

func (s *Desk) diary(ctx context.Context, p between, _ request.None) (Diary, error) {
	var wrong invalid.Fields
	const year = 366
	if p.Ahead < 0 || p.Ahead > year {
		wrong.Add("ahead", "between 0 and %d days", year)
	}
	if p.Back < 0 || p.Back > year {
		wrong.Add("back", "between 0 and %d days", year)
	}
	if wrong.Err() != nil {
		return Diary{}, wrong.Err()
	}
	day := func(offset int) string { return s.Now().AddDate(0, 0, offset).Format(time.DateOnly) }
	return s.days(ctx, day(-p.Back), day(p.Ahead))
}

func (s *Desk) week(ctx context.Context, p ofWeek, _ request.None) (Week, error) {
	if p.Week < -maxWeeks || p.Week > maxWeeks {
		return Week{}, invalid.Fields{{Path: "week", Message: "within a hundred years"}}
	}
	days := diary.Week(s.Now(), p.Week)
	first, last := days[0], days[len(days)-1]
	found, err := s.days(ctx, first, last)
	if err != nil {
		return Week{}, err
	}
	before, after, err := s.Store.DaysAround(ctx, first, last)
	if err != nil {
		return Week{}, err
	}
	offset := func(day string) *int {
		at, err := time.Parse(time.DateOnly, day)
		if err != nil {
			return nil // there is none
		}
		weeks := diary.WeeksAfter(s.Now(), at)
		return &weeks
	}
	return Week{Diary: found, Days: days, Earlier: offset(before), Later: offset(after)}, nil
}

// days lists the lessons from one day to another, both included, in a fixed number of queries.
func (s *Desk) days(ctx context.Context, from, to string) (Diary, error) {
	records, broken, err := s.Store.LessonsBetween(ctx, from, to)
	if err != nil {
		return Diary{}, err
	}
	documents, ids := make([]lesson.Document, len(records)), make([]string, len(records))
	for i, record := range records {
		documents[i], ids[i] = record.Document, record.ID
	}
	inputs, err := s.Gather(ctx, documents...)
	if err != nil {
		return Diary{}, err
	}
	begun, err := s.Store.Begun(ctx, ids)
	if err != nil {
		return Diary{}, err
	}
	diary := Diary{
		Today:      s.Today(),
		Lessons:    []LessonBrief{},
		Unreadable: repository.AsUnreadable(repository.StoredLesson, broken),
	}
	all := repository.Slots(records)
	booked, err := s.Booked(ctx, ids...)
	if err != nil {
		return Diary{}, err
	}
	for i, record := range records {
		d := record.Document
		if err := d.Check(); err != nil {
			diary.Unreadable = append(
				diary.Unreadable,
				repository.Unreadable{Kind: repository.StoredLesson, ID: record.ID, Name: d.Title, Why: request.Why(err)},
			)
			continue
		}
		at, started := begun[record.ID]
		clashes := all[i].Clashes(all, repository.Names(inputs[i]))
		if now, is := booked[record.ID]; is && !started {
			clashes = append(repository.Moved(now, d), clashes...)
		}
		var clock *lesson.Clock
		if started && !at.Finished {
			clock = &at.Clock
		}
		diary.Lessons = append(diary.Lessons, LessonBrief{
			ID:       record.ID,
			Revision: record.Revision,
			State:    plan.StateOf(started, at.Finished),
			Title:    d.Title,
			Date:     d.Date,
			Start:    d.Start,
			Minutes:  d.Minutes,
			People:   namesOf(inputs[i]),
			Clashes:  clashes,
			Clock:    clock,
			Glance:   schedule.GlanceAt(d, inputs[i]),
		})
	}
	return diary, nil
}

func namesOf(in schedule.Inputs) []string {
	list := make([]string, len(in.People))
	for i, p := range in.People {
		list[i] = p.Profile.Name
	}
	return list
}
