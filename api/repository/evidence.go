package repository

import (
	"context"
	"slices"

	"golang.org/x/sync/errgroup"

	"hodometer/core/count/odds"
	"hodometer/core/drill"
	"hodometer/core/drill/playerfit"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
)

// Evidence is how good a student of a level is, what they did at the measures of a drill, and where their balls landed:
// in the order of the measures.
func (s *Repository) Evidence(
	ctx context.Context,
	studentID string,
	level student.Level,
	drillID string,
	d drill.Document,
) ([]playerfit.Evidence, error) {
	rows, skills, err := s.skills(ctx, []string{studentID}, playerfit.Until{})
	if err != nil {
		return nil, err
	}
	attempts, err := s.Store.AttemptsOnDrill(ctx, studentID, drillID)
	if err != nil {
		return nil, err
	}
	list := OfLevel(level, d)
	for i, m := range d.Measures {
		list[i].Skill, list[i].Unknown = skills[0].skill, skills[0].unknown
		list[i].Drill, list[i].Day = drillID, playerfit.Day(s.Now())
		list[i].Own = playerfit.Practised(rows, 1, drillID, m, s.Now())[0]
		for _, a := range attempts {
			if a.Aim != nil && a.Measure.Number == m.Number {
				list[i].Zones = playerfit.Zoned(list[i].Zones, a.Zones, *a.Aim)
			}
		}
		landings, err := s.Store.Landings(ctx, studentID, drillID, m.Number)
		if err != nil {
			return nil, err
		}
		for _, l := range landings {
			list[i].Landings = append(list[i].Landings, court.Point{X: l.At.X - l.Aim.X, Y: l.At.Y - l.Aim.Y})
		}
	}
	return list, nil
}

// OfLevel is what is known of somebody of a level who did nothing yet, measure by measure.
func OfLevel(level student.Level, d drill.Document) []playerfit.Evidence {
	list := make([]playerfit.Evidence, len(d.Measures))
	for i := range list {
		list[i].Level = level
	}
	return list
}

// rates are what the people of a lesson make of its drills as they play them, by all that was counted in others: by
// block, then by student.
func (s *Repository) rates(
	ctx context.Context,
	id string, // empty: it is not stored
	d lesson.Document,
	in schedule.Inputs,
) (map[string]map[string]schedule.Rated, error) {
	rates := make(map[string]map[string]schedule.Rated, len(d.Blocks))
	if len(in.Drills) == 0 {
		return rates, nil
	}
	students := lesson.IDs(in.People)
	until, day := playerfit.Until{Lesson: id}, playerfit.Day(s.Now())
	if begins, known := d.Begins(s.Now().Location()); known {
		until.At, day = begins, playerfit.Day(begins)
	}
	var list []drillForPlayer
	for _, block := range d.Blocks {
		document, ok := in.Drills[block.Plays()]
		for _, person := range in.In(block) {
			if ok {
				mine, p := block.DrillFor(document, person), person.Profile
				list = append(list, drillForPlayer{mine, footwork.Of(mine.Sport, p, p.Hand, s.Now()), p.Level})
			}
		}
	}
	var rows []playerfit.Practice
	var skills []skilled
	var known []playerfit.Known
	var work errgroup.Group
	work.Go(func() (err error) {
		rows, skills, err = s.skills(ctx, students, until)
		return err
	})
	work.Go(func() (err error) {
		known, err = s.known.all(ctx, list, in.Settings)
		return err
	})
	if err := work.Wait(); err != nil {
		return nil, err
	}
	now, next := s.Now(), 0
	for _, block := range d.Blocks {
		document, ok := in.Drills[block.Plays()]
		if !ok {
			continue
		}
		done := make([][][]odds.Practised, len(document.Measures))
		for k, m := range document.Measures {
			done[k] = playerfit.Practised(rows, len(students), block.Drill, m, now)
		}
		of := make(map[string]schedule.Rated, len(in.People))
		for _, person := range in.In(block) {
			i := slices.Index(students, person.ID)
			rated := schedule.Rated{Stroke: known[next].Stroke, Measures: make([]odds.Estimates, len(known[next].Tried))}
			for k, tried := range known[next].Tried {
				rated.Measures[k] = playerfit.Evidence{
					Level: person.Profile.Level, Skill: skills[i].skill, Unknown: skills[i].unknown,
					Drill: block.Drill, Day: day, Own: done[k][i],
				}.Rates(document.Measures[k], tried)
			}
			of[person.ID] = rated
			next++
		}
		rates[block.ID] = of
	}
	return rates, nil
}
