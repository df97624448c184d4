package simulation

import (
	"fmt"
	"math"
	"strings"

	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/core/drill"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
)

// simulationMetrics are what one player runs and rests in a turn, and how fast the pattern can go.
func simulationMetrics(d drill.Document, p Simulation, s coach.Settings) []metric.Metric {
	if len(p.Timeline.Runners) == 0 {
		return nil
	}
	r, metres, formula := p.Timeline.Runners[0], p.Metres[0], "every run for a ball and every way back, for one player"
	if d.Pattern.Varies() {
		formula += fmt.Sprintf("; the mean of %d turns, since no turn is like another", footwork.ManyTurns)
	}
	run, unit, _ := strings.Cut(s.Units.Length(math.Round(metres)), " ")
	ratio := "0"
	if r.Work > 0 {
		ratio = "1:" + units.Decimal(r.Rest/r.Work, 1)
	}
	metrics := []metric.Metric{
		metric.New("Run a turn", metres, run, unit, metric.Derivation{
			Formula: formula, Source: metric.OwnArithmetic,
			Inputs: []metric.Input{{Name: "Tasks in the turn", Value: units.Decimal(float64(len(p.Timeline.Interceptions)), 0)}},
		}),
		metric.New("Work : rest", r.Rest, ratio, "", metric.Derivation{
			Formula: "seconds running and striking : the other seconds of the turn, pauses included",
			Source:  metric.OwnArithmetic,
			Inputs: []metric.Input{
				{Name: "Work", Value: units.Decimal(r.Work, 1) + " s"},
				{Name: "Rest", Value: units.Decimal(r.Rest, 1) + " s"},
			},
		}),
	}
	if pattern := d.Pattern; pattern.Rally == nil && !pattern.OneBall() {
		metrics = append(
			metrics,
			metric.New("Block rate", pattern.BlockRate(), units.Decimal(pattern.BlockRate(), 1), "/min", metric.Derivation{
				Formula: "60 × balls a turn ÷ the turn with its pauses",
				Source:  metric.OwnArithmetic,
				Inputs: []metric.Input{
					{Name: "Balls a turn", Value: units.Decimal(float64(pattern.BallsPerTurn()), 0)},
					{Name: "One turn", Value: units.Decimal(pattern.TurnSeconds(), 1) + " s"},
				},
			}),
		)
	}
	if gap := AnswerGap(d, p.Timeline); gap > 0 {
		metrics = append(metrics, metric.New("Stroke to answer", gap, units.Decimal(gap, 2), "s", metric.Derivation{
			Formula: "the mean time from a stroke until it is answered, as the ball flies; let the gap of the answers be " +
				"about that",
			Source: metric.OwnArithmetic,
			Inputs: []metric.Input{{Name: "Gap now", Value: units.Decimal(d.Pattern.Gap, 2) + " s"}},
		}))
	}
	for _, f := range p.Fastest {
		if f.Strain == footwork.Working && f.Gap != nil {
			metrics = append(metrics, metric.New("Fastest gap", *f.Gap, units.Decimal(*f.Gap, 1), "s", metric.Derivation{
				Formula: "the shortest gap, in tenths of a second, at which no ball is worse than working and the player is " +
					"back when the next one is struck, turn after turn",
				Source: metric.OwnArithmetic,
				Inputs: []metric.Input{
					{Name: "What gives first", Value: f.First},
					{Name: "Gap now", Value: units.Decimal(d.Pattern.Gap, 2) + " s"},
				},
			}))
		}
	}
	return metrics
}
