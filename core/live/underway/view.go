package underway

import (
	"context"
	"math"
	"time"

	"hodometer/core/basics/metric"
	"hodometer/core/lesson"
	"hodometer/core/lesson/finding"
	"hodometer/core/lesson/plan"
	"hodometer/core/lesson/prospect"
	"hodometer/core/lesson/runsheet"
	"hodometer/core/lesson/schedule"
	"hodometer/core/sport/court"
)

// Courtside is a lesson as it is run.
type Courtside struct {
	Lesson   plan.Lesson    `json:"lesson" description:"On the clock; what there is to think about stands in its plan elsewhere"`
	Sheet    []runsheet.Cue `json:"sheet"`
	Clock    *lesson.Clock  `json:"clock" description:"Null before the lesson is begun"`
	Second   float64        `json:"second" description:"Second of the lesson at this instant"`
	Late     float64        `json:"late" description:"Seconds after its booking at which the lesson ends, because it was held; 0 where it was not, or was caught up"`
	Court    court.ID       `json:"court" description:"On which everybody's places are"`
	Counters []Counter      `json:"counters" description:"One for each drill block, student and measure"`
}

// View is what a coach sees of the lesson at an instant. It returns invalid.Fields, or ctx.Err() when cancelled.
func (k Kit) View(ctx context.Context, now time.Time) (Courtside, error) {
	in := k.Inputs()
	timetable, _, err := schedule.Make(ctx, k.Document, in)
	if err != nil {
		return Courtside{}, err
	}
	counters := k.counters(in)
	if err := k.chances(ctx, counters, timetable, in, k.at(now)); err != nil {
		return Courtside{}, err
	}
	return Courtside{
		Lesson: plan.Lesson{
			ID:       k.ID,
			Revision: k.Revision,
			Archived: k.Archived,
			State:    k.state(),
			Document: k.Document,
			People:   plan.People(in),
			Clashes:  []string{},
			Plan: plan.Plan{
				Timetable: timetable,
				Findings:  []finding.Finding{},
				Cautions:  []string{},
				Metrics:   []metric.Metric{},
				Prospects: []prospect.Block{},
			},
		},
		Sheet: runsheet.Cues(
			k.Document,
			timetable,
			in,
		),
		Clock:    k.Clock,
		Second:   k.at(now),
		Late:     k.late(now, timetable),
		Court:    in.Court(k.Document).ID,
		Counters: counters,
	}, nil
}

// late is how many seconds after its booking the lesson ends because it was held.
func (k Kit) late(now time.Time, t schedule.Timetable) float64 {
	held := k.held(now)
	if held == 0 {
		return 0
	}
	return math.Round(math.Max(0, math.Min(held, t.Planned+held-t.Booked)))
}
