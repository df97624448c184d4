package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"slices"

	"hodometer/core/exchange/roster"
	"hodometer/core/lesson"
	"hodometer/core/live/closing"
)

// Attended is whether a student was at a lesson.
type Attended struct {
	Student string
	Day     string
	Start   string // empty where it is not known
	Title   string
	Lesson  string // its identifier; empty for one that nothing else is known of
	Came    bool
	Minutes float64 // how long they were in it, where that is known
}

// Attended calls give for every time that somebody was to be at a lesson from one day to another, both included, the
// oldest day first; of one student, or of all where it is empty.
func (s *Store) Attended(ctx context.Context, studentID, from, to string, give func(Attended) error) error {
	presences, err := s.Presences(ctx, studentID)
	if err != nil {
		return err
	}
	presences = slices.DeleteFunc(presences, func(p roster.Presence) bool { return p.Day < from || p.Day > to })
	before := func(day string) error {
		for ; len(presences) > 0 && presences[0].Day < day; presences = presences[1:] {
			p := presences[0]
			if err := give(Attended{Student: p.Student, Day: p.Day, Title: p.Lesson, Came: p.Came}); err != nil {
				return err
			}
		}
		return nil
	}
	err = s.Given(ctx, studentID, from, to, func(g Given) error {
		if err := before(g.Lesson.Date); err != nil {
			return err
		}
		there := closing.There(g.Lesson, g.End)
		for _, id := range g.Lesson.Students {
			if studentID != "" && id != studentID {
				continue
			}
			one := Attended{
				Student: id,
				Day:     g.Lesson.Date,
				Start:   g.Lesson.Start,
				Title:   g.Lesson.Title,
				Lesson:  g.ID,
				Came:    there[id] > 0,
				Minutes: there[id] / 60,
			}
			if err := give(one); err != nil {
				return err
			}
		}
		return nil
	})
	if err != nil {
		return err
	}
	return before("9999")
}

// Given is a lesson that was given, and the second at which it ended.
type Given struct {
	ID     string
	End    float64
	Lesson lesson.Document
}

// Given calls give for each lesson that was given from one day to another, both included, the oldest first; of one
// student, or of all where it is empty. Lessons that cannot be read are passed over.
func (s *Store) Given(ctx context.Context, studentID, from, to string, give func(Given) error) error {
	return each(ctx, s.read, func(rows *sql.Rows) error {
		var g Given
		var text string
		if err := rows.Scan(&g.ID, &text, &g.End); err != nil {
			return err
		}
		if json.Unmarshal([]byte(text), &g.Lesson) != nil {
			return nil
		}
		return give(g)
	}, `SELECT lesson.id, lesson.document, clock.second FROM lesson JOIN clock ON clock.lesson = lesson.id
		WHERE clock.finished AND date BETWEEN ?2 AND ?3 AND (?1 = '' OR EXISTS (SELECT 1 FROM json_each(lesson.document,
		'$.students') AS one WHERE one.value = ?1))
		ORDER BY date, json_extract(lesson.document, '$.start'), lesson.id`, studentID, from, to)
}

// InGiven calls give for each student of each lesson that was given, with its day.
func (s *Store) InGiven(ctx context.Context, give func(student, day string)) error {
	return each(ctx, s.read, func(rows *sql.Rows) error {
		var student, day string
		err := rows.Scan(&student, &day)
		give(student, day)
		return err
	}, `SELECT one.value, lesson.date FROM lesson JOIN clock ON clock.lesson = lesson.id, json_each(lesson.document, '$.students') AS one WHERE clock.finished`)
}
