package api

import (
	"context"
	"slices"
	"sync"
	"time"

	"hodometer/core/court"
	"hodometer/core/feed"
	"hodometer/core/odds"
	"hodometer/core/playerfit"
	"hodometer/core/schedule"
	"hodometer/store"
)

// evidence is what a student did on a drill and on others for the same stroke, and where their balls
// landed on it. The level is left open.
func (s *server) evidence(ctx context.Context, studentID, drillID string, stroke feed.Stroke) (playerfit.Evidence, error) {
	var evidence playerfit.Evidence
	rows, err := s.practice.of(ctx, s.store, []string{studentID})
	if err != nil {
		return evidence, err
	}
	done := practised(rows, 1, drillID, stroke, s.now())[0]
	evidence.Own, evidence.Related = done.own, done.related
	attempts, err := s.store.AttemptsOnDrill(ctx, studentID, drillID)
	if err != nil {
		return evidence, err
	}
	for _, a := range attempts {
		if a.Aim != nil {
			evidence.Zones = addZones(evidence.Zones, a)
		}
	}
	landings, err := s.store.Landings(ctx, studentID, drillID)
	for _, l := range landings {
		evidence.Landings = append(evidence.Landings, court.Point{X: l.At.X - l.Aim.X, Y: l.At.Y - l.Aim.Y})
	}
	return evidence, err
}

// history is what one student did on a drill, and on others for the same stroke.
type history struct{ own, related []odds.Practised }

// practised sorts how so many students did by what it says about a drill.
func practised(rows []store.Practice, students int, drillID string, stroke feed.Stroke, now time.Time) []history {
	list := make([]history, students)
	for _, row := range rows {
		of := &list[row.Student]
		did := odds.Practised{Days: now.Sub(row.At).Hours() / 24, Made: row.Made, Missed: row.Missed(), Right: row.Right, Wrong: row.Wrong, InPoints: row.Points}
		switch {
		case row.Drill == drillID:
			of.own = append(of.own, did)
		case row.Stroke == stroke:
			of.related = append(of.related, did)
		}
	}
	return list
}

// addZones adds what landed in the zones of an attempt, as offsets from the middle of its target.
func addZones(list []odds.Zone, a store.Attempt) []odds.Zone {
	for _, z := range a.Zones {
		counted := odds.Zone{Left: z.Zone.Left - a.Aim.X, Right: z.Zone.Right - a.Aim.X, Bottom: z.Zone.Bottom - a.Aim.Y, Top: z.Zone.Top - a.Aim.Y}
		i := slices.IndexFunc(list, func(other odds.Zone) bool {
			other.Count = 0
			return other == counted
		})
		if i < 0 {
			i, list = len(list), append(list, counted)
		}
		list[i].Count += z.Balls
	}
	return list
}

// rates are what the people of a lesson make of its drills: by drill, then by student.
func (s *server) rates(ctx context.Context, in schedule.Inputs) (map[string]map[string]odds.Rate, error) {
	rates := make(map[string]map[string]odds.Rate, len(in.Drills))
	if len(in.Drills) == 0 {
		return rates, nil
	}
	students := make([]string, len(in.People))
	for i, person := range in.People {
		students[i] = person.ID
	}
	rows, err := s.practice.of(ctx, s.store, students)
	if err != nil {
		return nil, err
	}
	now := s.now()
	for id, d := range in.Drills {
		rates[id] = make(map[string]odds.Rate, len(in.People))
		done := practised(rows, len(students), id, d.Stroke, now)
		for i, person := range in.People {
			rates[id][person.ID] = odds.Estimate(odds.LevelPrior(person.Profile.Level), done[i].own, done[i].related).Rate
		}
	}
	return rates, nil
}

// practice remembers what was read for the last lesson until anything is stored: while a lesson is being shaped, it is
// asked for again and again.
type practice struct {
	mu       sync.Mutex
	writes   uint64
	students []string
	rows     []store.Practice
}

func (p *practice) of(ctx context.Context, from *store.Store, students []string) ([]store.Practice, error) {
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
