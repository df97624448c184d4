package playerfit

import (
	"fmt"
	"math"

	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/drill"
)

// fitMetrics count attempts with the misses that are to be expected, of all measures together.
func fitMetrics(d drill.Document, fit Fit) []metric.Metric {
	made, tried, needs, never := 0.0, 0, 0.0, false
	var last metric.Derivation // of the goals that have an answer
	var makes, goals []metric.Input
	unit, needed := "", ""
	for i, m := range d.Measures {
		f := fit.Measures[i]
		if m.What == score.Time {
			continue
		}
		name := d.Called(m)
		if name == "" {
			name = "Makes"
		}
		made, tried, unit = made+f.Rates.Rate.Mean*float64(f.Attempts), tried+f.Attempts, in(unit, f.Word)
		makes = append(
			makes,
			metric.Input{Name: name, Value: fmt.Sprintf("of %d %s: %s", f.Attempts, f.Word, f.Rates.Rate.Sentence)},
		)
		for k, g := range f.Goals {
			if g.Answer == nil || g.Answer.Never {
				never = never || g.Answer != nil
				continue
			}
			needs, needed, last = needs+g.Answer.Mean, in(needed, g.Answer.Unit), g.Answer.Derivation
			goals = append(
				goals,
				metric.Input{Name: name + ", " + m.Goals[k].String(), Value: odds.Attempts(g.Answer.Mean) + " " + g.Answer.Unit},
			)
		}
	}
	list := []metric.Metric{}
	if len(makes) > 0 {
		list = append(
			list,
			metric.New("Made", math.Round(made), units.Decimal(made, 0), fmt.Sprintf("of %d", tried), metric.Derivation{
				Formula: unit + " planned for one player × rate, over all measures", Source: metric.OwnArithmetic, Inputs: makes,
			}),
		)
	}
	text := odds.Attempts(needs)
	switch {
	case never || len(goals) == 0:
		return list
	case len(goals) == 1:
		last.Value = text + " " + needed
		return append(list, metric.New("For the goal", needs, text, needed, last))
	}
	return append(list, metric.New("For the goals", needs, text, needed, metric.Derivation{
		Formula: "the mean number of attempts that each goal takes, added up",
		Inputs:  goals,
		Source:  "Feller, An Introduction to Probability Theory, vol. 1, XIII.7",
	}))
}

// in is the unit of a sum: attempts where its parts are counted in different ones.
func in(sum, part string) string {
	if sum == "" || sum == part {
		return part
	}
	return "attempts"
}
