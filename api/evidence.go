package api

import (
	"context"
	"slices"
	"time"

	"hodometer/core/court"
	"hodometer/core/drill"
	"hodometer/core/feed"
	"hodometer/core/lesson"
	"hodometer/core/odds"
	"hodometer/core/tally"
	"hodometer/store"
)

// evidence is what a student did on a drill and on others for the same stroke, and where their balls
// landed on it. The level is left open.
func (s *server) evidence(ctx context.Context, studentID, drillID string, stroke feed.Stroke) (drill.PlayerEvidence, error) {
	var evidence drill.PlayerEvidence
	attempts, err := s.store.AttemptsOfStudent(ctx, studentID)
	if err != nil {
		return evidence, err
	}
	for _, a := range attempts {
		did := practised(s.now(), a.At, a.Count)
		switch {
		case a.Drill == drillID:
			evidence.Own = append(evidence.Own, did)
		case a.Stroke == stroke:
			evidence.Related = append(evidence.Related, did)
		}
		if a.Drill == drillID && a.Aim != nil {
			evidence.Zones = addZones(evidence.Zones, a)
		}
	}
	landings, err := s.store.Landings(ctx, studentID, drillID)
	for _, l := range landings {
		evidence.Landings = append(evidence.Landings, court.Point{X: l.At.X - l.Aim.X, Y: l.At.Y - l.Aim.Y})
	}
	return evidence, err
}

func practised(now, at time.Time, c tally.Count) odds.Practised {
	return odds.Practised{Days: now.Sub(at).Hours() / 24, Made: c.Made, Missed: c.Missed(), Right: c.Right, Wrong: c.Wrong}
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

// rates are what the people of a lesson make of its drills: by drill, then by student. They are read in one query.
func (s *server) rates(ctx context.Context, in lesson.Inputs) (map[string]map[string]odds.Rate, error) {
	var drills, students []string
	var strokes []feed.Stroke
	for id, d := range in.Drills {
		drills = append(drills, id)
		if !slices.Contains(strokes, d.Stroke) {
			strokes = append(strokes, d.Stroke)
		}
	}
	slices.Sort(drills)
	for _, person := range in.People {
		students = append(students, person.ID)
	}
	rates := make(map[string]map[string]odds.Rate, len(drills))
	if len(drills) == 0 {
		return rates, nil
	}
	rows, err := s.store.Practised(ctx, students, drills, strokes)
	if err != nil {
		return nil, err
	}
	now := s.now()
	for i, id := range drills {
		rates[id] = map[string]odds.Rate{}
		for j, person := range in.People {
			var own, related []odds.Practised
			for _, row := range rows {
				switch did := practised(now, row.At, row.Count); {
				case row.Student != j:
				case row.Drill == i:
					own = append(own, did)
				case row.Stroke == in.Drills[id].Stroke:
					related = append(related, did)
				}
			}
			rates[id][person.ID] = odds.Estimate(odds.LevelPrior(person.Profile.Level), own, related).Rate
		}
	}
	return rates, nil
}
