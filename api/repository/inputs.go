package repository

import (
	"context"
	"time"

	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/game"
	"hodometer/core/lesson"
	"hodometer/core/lesson/diary"
	"hodometer/core/lesson/plan"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/store"
)

// Inputs gathers what a lesson is scheduled from; see gather.
func (s *Repository) Inputs(ctx context.Context, d lesson.Document) (schedule.Inputs, error) {
	all, err := s.Gather(ctx, d)
	if err != nil {
		return schedule.Inputs{}, err
	}
	return all[0], nil
}

// sources are what lessons are scheduled from, as it is kept. Students, drills and games that are gone, or cannot be
// read, are left out.
type sources struct {
	drills   map[string]drill.Document
	games    map[string]game.Document
	students map[string]store.Record[student.Profile]
	settings coach.Settings
}

func (from sources) people(ids []string) []lesson.Person {
	var list []lesson.Person
	for _, id := range ids {
		if record, ok := from.students[id]; ok {
			list = append(list, lesson.Person{ID: id, Profile: record.Document, Archived: record.Archived})
		}
	}
	return list
}

// sources reads what lessons are scheduled from, with one query for the settings, one for the students, one for the
// drills and one for the games of them all.
func (s *Repository) sources(ctx context.Context, lessons ...lesson.Document) (sources, error) {
	from := sources{drills: map[string]drill.Document{}, games: map[string]game.Document{}}
	var err error
	if from.settings, _, err = s.Store.Settings(ctx); err != nil {
		return from, err
	}
	var people, own, ownGames []string
	for _, d := range lessons {
		people = append(people, d.Students...)
		for _, block := range d.Blocks {
			if ready, ok := library.FindGame(block.Game); ok {
				from.games[block.Game] = ready
			} else if block.Game != "" {
				ownGames = append(ownGames, block.Game)
			}
			if document, builtIn := library.Find(block.Drill); builtIn {
				from.drills[block.Drill] = document
			} else if block.Drill != "" {
				own = append(own, block.Drill)
			}
		}
	}
	if from.students, err = s.Store.Students.Some(ctx, people); err != nil {
		return from, err
	}
	stored, err := s.Store.Drills.Some(ctx, own)
	if err != nil {
		return from, err
	}
	for id, record := range stored {
		from.drills[id] = record.Document
	}
	storedGames, err := s.Store.Games.Some(ctx, ownGames)
	for id, record := range storedGames {
		from.games[id] = record.Document
	}
	return from, err
}

// Gather reads what lessons are scheduled from; see sources.
func (s *Repository) Gather(ctx context.Context, lessons ...lesson.Document) ([]schedule.Inputs, error) {
	from, err := s.sources(ctx, lessons...)
	if err != nil {
		return nil, err
	}
	all := make([]schedule.Inputs, len(lessons))
	for i, d := range lessons {
		all[i] = schedule.Gather(d, from.drills, from.games, from.people(d.Students), from.settings)
	}
	return all, nil
}

// Rated gathers the same with what the students make of the drills, and how far these make them run. A lesson that is
// not stored has no identifier.
func (s *Repository) Rated(ctx context.Context, id string, d lesson.Document) (schedule.Inputs, error) {
	in, err := s.Inputs(ctx, d)
	if err != nil {
		return in, err
	}
	if in.Rates, err = s.rates(ctx, id, d, in); err != nil {
		return in, err
	}
	return in, in.Measure(ctx, d)
}

// Lesson is a stored lesson on the clock, with what else is at its time.
func (s *Repository) Lesson(ctx context.Context, record store.Record[lesson.Document]) (plan.Lesson, error) {
	in, err := s.Rated(ctx, record.ID, record.Document)
	if err != nil {
		return plan.Lesson{}, err
	}
	scheduled, err := s.schedule(ctx, record, in)
	if err != nil {
		return plan.Lesson{}, err
	}
	scheduled.Clashes, err = s.Clashes(ctx, record.ID, record.Document, in)
	return scheduled, err
}

// Clashes says which other lessons a lesson overlaps with, and what the calendar of its booking has otherwise by now.
func (s *Repository) Clashes(ctx context.Context, id string, d lesson.Document, in schedule.Inputs) ([]string, error) {
	day, err := time.Parse(time.DateOnly, d.Date)
	if err != nil {
		return nil, invalid.Fields{{Path: "date", Message: request.Formats["date"]}}
	}
	near, _, err := s.Store.LessonsBetween(
		ctx,
		day.AddDate(0, 0, -1).Format(time.DateOnly),
		day.AddDate(0, 0, 1).Format(time.DateOnly),
	)
	if err != nil {
		return nil, err
	}
	clashes := diary.SlotOf(id, d).Clashes(Slots(near), Names(in))
	booked, err := s.Booked(ctx, id)
	if now, is := booked[id]; is {
		clashes = append(Moved(now, d), clashes...)
	}
	return clashes, err
}

// Names are the students' names by identifier.
func Names(in schedule.Inputs) map[string]string {
	list := map[string]string{}
	for _, p := range in.People {
		list[p.ID] = p.Profile.Name
	}
	return list
}

// Planned schedules a lesson. Blocks that a remedy would put in get fresh identifiers.
func Planned(ctx context.Context, d lesson.Document, in schedule.Inputs) (plan.Plan, error) {
	scheduled, err := plan.Make(ctx, d, in)
	if err != nil {
		return plan.Plan{}, err
	}
	for _, finding := range scheduled.Findings {
		for _, remedy := range finding.Remedies {
			if remedy.Edit.New == nil {
				continue
			}
			ids, err := Fresh(1)
			if err != nil {
				return plan.Plan{}, err
			}
			remedy.Edit.New.ID = ids[0]
		}
	}
	return scheduled, nil
}

// schedule schedules a stored lesson.
func (s *Repository) schedule(
	ctx context.Context,
	record store.Record[lesson.Document],
	in schedule.Inputs,
) (plan.Lesson, error) {
	scheduled, err := Planned(ctx, record.Document, in)
	if err != nil {
		return plan.Lesson{}, err
	}
	_, finished, begun, err := s.Store.Clock(ctx, record.ID)
	if err != nil {
		return plan.Lesson{}, err
	}
	return plan.Lesson{
		ID: record.ID, Revision: record.Revision, Archived: record.Archived, State: plan.StateOf(begun, finished),
		Document: record.Document, People: plan.People(in), Plan: scheduled, Clashes: []string{},
	}, nil
}
