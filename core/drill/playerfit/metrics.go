package playerfit

import (
	"fmt"

	"hodometer/core/basics/metric"
	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/drill"
)

// fitMetrics count attempts with the misses that are to be expected, of all measures together.
func fitMetrics(d drill.Document, fit Fit) []metric.Metric {
	tried, needs, never := 0, 0.0, false
	var last metric.Derivation // of the goals that have an answer
	var makes, goals []metric.Part
	var sums []metric.Sum
	var known []metric.Input
	needed := ""
	for i, m := range d.Measures {
		f := fit.Measures[i]
		if m.What == score.Time {
			continue
		}
		name := d.Called(m)
		if name == "" {
			name = "Makes"
		}
		tried += f.Attempts
		sum := metric.Times.Work(name, metric.Decimal(1, f.Word),
			metric.Decimal(0, f.Word).Of("Planned for one player", float64(f.Attempts)),
			metric.OfTen.Of("Made", f.Rates.Rate.Mean))
		sums, makes = append(sums, sum), append(makes, sum.Gives)
		known = append(known, metric.Input{Name: name, Value: f.Rates.Rate.Sentence})
		for k, g := range f.Goals {
			if g.Answer == nil || g.Answer.Never {
				never = never || g.Answer != nil
				continue
			}
			needs, needed, last = needs+g.Answer.Mean, in(needed, g.Answer.Unit), g.Answer.Derivation
			goals = append(goals, metric.Decimal(0, g.Answer.Unit).Of(name+", "+m.Goals[k].String(), g.Answer.Mean))
		}
	}
	list := []metric.Metric{}
	if len(makes) > 0 {
		of := fmt.Sprintf("of %d", tried)
		list = append(list, metric.Worked(metric.Derivation{
			Sums:   append(sums, metric.Added.Work("Made", metric.Decimal(0, of).Fixed(), makes...)),
			Inputs: known, Source: metric.OwnArithmetic,
		}))
	}
	text := odds.Attempts(needs)
	switch {
	case never || len(goals) == 0:
		return list
	case len(goals) == 1:
		last.Value = text + " " + needed
		return append(list, metric.New("For the goal", needs, text, needed, last))
	}
	const source = "Feller, An Introduction to Probability Theory, vol. 1, XIII.7"
	if needs > odds.Thousand {
		return append(list, metric.New("For the goals", needs, text, needed, metric.Derivation{
			Formula: "the mean number of attempts that each goal takes, added up", Inputs: odds.Written(goals), Source: source,
		}))
	}
	return append(list, metric.Worked(metric.Derivation{
		Sums: []metric.Sum{metric.Added.Work("For the goals", metric.Decimal(0, needed).Fixed(), goals...)}, Source: source,
	}))
}

// in is the unit of a sum: attempts where its parts are counted in different ones.
func in(sum, part string) string {
	if sum == "" || sum == part {
		return part
	}
	return "attempts"
}
