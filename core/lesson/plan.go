package lesson

import (
	"context"

	"hodometer/core/metric"
)

// Plan is a lesson on the clock with what there is to think about.
type Plan struct {
	Timetable
	Findings []Finding       `json:"findings"`
	Cautions []string        `json:"cautions" description:"Where the work can hurt somebody; no medical advice"`
	Metrics  []metric.Metric `json:"metrics"`
}

// PlanFor schedules a lesson and holds it against everything that a coach would want to know. It returns
// invalid.Fields, or ctx.Err() when cancelled.
func PlanFor(ctx context.Context, d Document, in Inputs) (Plan, error) {
	timetable, list, err := Schedule(ctx, d, in)
	if err != nil {
		return Plan{}, err
	}
	in = in.Named()
	p := Plan{Timetable: timetable, Cautions: cautions(timetable, list, in)}
	if p.Findings, err = findings(ctx, d, timetable, list, in); err != nil {
		return Plan{}, err
	}
	p.Metrics = p.metrics(d, list, in)
	return p, nil
}
