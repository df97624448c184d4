package api

import (
	"context"
	"slices"
	"time"

	"hodometer/core/court"
	"hodometer/core/drill"
	"hodometer/core/feed"
	"hodometer/core/odds"
	"hodometer/core/tally"
	"hodometer/store"
)

// evidence is what a student did on a drill and on others for the same stroke, and where their balls
// landed on it. The level is left open.
func (s *server) evidence(ctx context.Context, studentID, drillID string, stroke feed.Stroke) (drill.PlayerEvidence, error) {
	runs, err := s.store.RunsOfStudent(ctx, studentID)
	if err != nil {
		return drill.PlayerEvidence{}, err
	}
	return evidenceOf(runs, drillID, stroke, s.now()), nil
}

func evidenceOf(runs []store.Run, drillID string, stroke feed.Stroke, now time.Time) drill.PlayerEvidence {
	var evidence drill.PlayerEvidence
	for _, a := range attempts(runs) {
		practised := odds.Practised{Days: now.Sub(a.At).Hours() / 24, Made: a.count.Made, Missed: a.count.Missed(), Right: a.count.Right, Wrong: a.count.Wrong}
		switch {
		case a.Drill == drillID:
			evidence.Own = append(evidence.Own, practised)
		case a.Stroke == stroke:
			evidence.Related = append(evidence.Related, practised)
		}
	}
	for _, run := range runs {
		if run.Drill != drillID || run.Aim == nil {
			continue
		}
		for _, z := range tally.Zones(run.Taps) {
			counted := odds.Zone{Left: z.Left - run.Aim.X, Right: z.Right - run.Aim.X, Bottom: z.Bottom - run.Aim.Y, Top: z.Top - run.Aim.Y}
			i := slices.IndexFunc(evidence.Zones, func(other odds.Zone) bool {
				other.Count = 0
				return other == counted
			})
			if i < 0 {
				i, evidence.Zones = len(evidence.Zones), append(evidence.Zones, counted)
			}
			evidence.Zones[i].Count++
		}
		for _, at := range tally.Landings(run.Taps) {
			evidence.Landings = append(evidence.Landings, court.Point{X: at.X - run.Aim.X, Y: at.Y - run.Aim.Y})
		}
	}
	return evidence
}
