// Package plan is a lesson on the clock with its findings, cautions and metrics, and what would suit a student in it.
package plan

import (
	"context"

	"hodometer/core/basics/metric"
	"hodometer/core/lesson"
	"hodometer/core/lesson/finding"
	"hodometer/core/lesson/prospect"
	"hodometer/core/lesson/schedule"
)

// Plan is a lesson on the clock with what there is to think about.
type Plan struct {
	schedule.Timetable
	Findings  []finding.Finding `json:"findings"`
	Cautions  []string          `json:"cautions" description:"Where the work can hurt somebody; no medical advice"`
	Metrics   []metric.Metric   `json:"metrics"`
	Prospects []prospect.Block  `json:"prospects" description:"How many attempts there are and how likely the goals are met, in the order of the blocks"`
}

// Make schedules a lesson and holds it against everything that a coach would want to know. It returns
// invalid.Fields, or ctx.Err() when cancelled.
func Make(ctx context.Context, d lesson.Document, in schedule.Inputs) (Plan, error) {
	timetable, list, err := schedule.Make(ctx, d, in)
	if err != nil {
		return Plan{}, err
	}
	in = in.Named()
	p := Plan{Timetable: timetable, Cautions: finding.Cautions(timetable, list, in)}
	if p.Prospects, err = prospect.All(ctx, timetable, list, in); err != nil {
		return Plan{}, err
	}
	if p.Findings, err = finding.All(ctx, d, timetable, list, p.Prospects, in); err != nil {
		return Plan{}, err
	}
	p.Metrics = p.metrics(d, list, in)
	return p, nil
}
