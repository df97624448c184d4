package repository

import (
	"context"
	"slices"
	"sync"

	"golang.org/x/sync/errgroup"

	"hodometer/core/count/odds"
	"hodometer/core/drill"
	"hodometer/core/drill/playerfit"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/store"
)

// Evidence is what a student of a level did at the measures of a drill and on others for the same strokes, and where
// their balls landed: in the order of the measures.
func (s *Repository) Evidence(
	ctx context.Context,
	studentID string,
	level student.Level,
	drillID string,
	d drill.Document,
) ([]playerfit.Evidence, error) {
	rows, err := s.practice.of(ctx, s.Store, []string{studentID})
	if err != nil {
		return nil, err
	}
	attempts, err := s.Store.AttemptsOnDrill(ctx, studentID, drillID)
	if err != nil {
		return nil, err
	}
	list := OfLevel(level, d)
	for i, m := range d.Measures {
		done := playerfit.Practised(rows, 1, drillID, d, m, s.Now())[0]
		list[i].Own, list[i].Related = done.Own, done.Related
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

// rates are what the people of a lesson make of its drills as they play them: by block, then by student.
func (s *Repository) rates(
	ctx context.Context,
	d lesson.Document,
	in schedule.Inputs,
) (map[string]map[string]schedule.Rated, error) {
	rates := make(map[string]map[string]schedule.Rated, len(d.Blocks))
	if len(in.Drills) == 0 {
		return rates, nil
	}
	students := lesson.IDs(in.People)
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
	var known []playerfit.Known
	var work errgroup.Group
	work.Go(func() (err error) {
		rows, err = s.practice.of(ctx, s.Store, students)
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
		done := make([][]playerfit.History, len(document.Measures))
		for k, m := range document.Measures {
			done[k] = playerfit.Practised(rows, len(students), block.Drill, document, m, now)
		}
		of := make(map[string]schedule.Rated, len(in.People))
		for _, person := range in.In(block) {
			i := slices.Index(students, person.ID)
			rated := schedule.Rated{Stroke: known[next].Stroke, Measures: make([]odds.Estimates, len(known[next].Priors))}
			for k, prior := range known[next].Priors {
				rated.Measures[k] = playerfit.Evidence{Own: done[k][i].Own, Related: done[k][i].Related}.Rates(prior)
			}
			of[person.ID] = rated
			next++
		}
		rates[block.ID] = of
	}
	return rates, nil
}

// practice remembers what was read for the last lesson until anything is stored: while a lesson is being shaped, it is
// asked for again and again.
type practice struct {
	mu       sync.Mutex
	writes   uint64
	students []string
	rows     []playerfit.Practice
}

func (p *practice) of(ctx context.Context, from *store.Store, students []string) ([]playerfit.Practice, error) {
	writes := from.Writes()
	p.mu.Lock()
	rows, known := p.rows, p.writes == writes && slices.Equal(p.students, students)
	p.mu.Unlock()
	if known && rows != nil {
		return rows, nil
	}
	rows, err := from.Practised(ctx, students)
	if err == nil {
		p.mu.Lock()
		p.writes, p.students, p.rows = writes, students, rows
		p.mu.Unlock()
	}
	return rows, err
}
