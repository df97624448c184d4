package repository

import (
	"context"
	"slices"

	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
	"hodometer/core/live/underway"
	"hodometer/store"
)

// Kit reads all that a lesson is run from, with whom and what some acts bring to it, and what it was read from.
func (s *Repository) Kit(ctx context.Context, id string, acts []underway.Act) (underway.Kit, store.Underway, error) {
	stored, err := s.Store.Underway(ctx, id)
	if err != nil {
		return underway.Kit{}, stored, err
	}
	d := stored.Record.Document
	all := []lesson.Document{d}
	var students []string
	for _, act := range acts {
		if act.Change != nil {
			all = append(all, act.Change.With(d))
		}
		if act.Before != nil {
			all = append(all, *act.Before)
		}
	}
	for _, each := range all {
		students = append(students, each.Students...)
	}
	slices.Sort(students)
	from, err := s.sources(ctx, all...)
	if err != nil {
		return underway.Kit{}, stored, err
	}
	kit := underway.Kit{
		ID: id, Revision: stored.Record.Revision, Archived: stored.Record.Archived, Document: d,
		Drills: from.drills, Games: from.games, People: from.people(slices.Compact(students)), Settings: from.settings,
		Clock: stored.Clock, Finished: stored.Finished, Counted: stored.Counted, At: s.Now(), Done: stored.Acts,
	}
	for i, person := range kit.People {
		kit.People[i].Profile = person.Profile.OnCourt()
	}
	in := schedule.Gather(d, from.drills, from.games, from.people(d.Students), from.settings)
	in.Rates, err = s.rates(ctx, id, d, in)
	kit.Rates = underway.RatesOf(in, kit)
	return kit, stored, err
}
