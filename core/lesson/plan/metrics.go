package plan

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/coach"
)

func (p Plan) metrics(d lesson.Document, list []schedule.Prepared, in schedule.Inputs) []metric.Metric {
	var minutes, balls, rallies, baskets, waits []metric.Part
	var fed, played, filled []metric.Sum
	var kinds []coach.Container
	for i, s := range p.Blocks {
		minutes = append(minutes, metric.Clock.Of(s.Title, units.Round(s.End)-units.Round(s.Start)))
		if s.Load == nil {
			continue
		}
		document := list[i].Document
		one, many := document.Ball()
		of := metric.Times.Work(s.Title, metric.Counted(one, many),
			metric.Counted("turn", "turns").Of("Turns in all", float64(s.Load.All)),
			metric.Counted(one, many).Of(units.Title(many)+" a turn", float64(document.Pattern.BallsPerTurn())))
		if document.Pattern.Rally == nil {
			fed, balls = append(fed, of), append(balls, of.Gives)
		} else {
			played, rallies = append(played, of), append(rallies, of.Gives)
		}
		waits = append(waits, metric.Decimal(0, "s").Fixed().Of(s.Title, s.Load.Waiting))
		if s.Load.Baskets == 0 {
			continue
		}
		carried := in.Settings.Container(document.Sport)
		if !slices.Contains(kinds, carried) {
			kinds = append(kinds, carried)
		}
		full := metric.Filled.Work(s.Title, metric.Counted(carried.One, carried.Many), of.Gives,
			metric.Counted("ball", "balls").Of("In a "+carried.One, float64(carried.Holds)))
		filled, baskets = append(filled, full), append(baskets, full.Gives)
	}
	title, of := carriers(kinds)
	own := func(sums ...metric.Sum) metric.Metric {
		return metric.Worked(metric.Derivation{Sums: sums, Source: metric.OwnArithmetic})
	}
	planned := metric.Added.Work("Planned", metric.Clock, minutes...)
	figures := []metric.Metric{
		own(planned),
		own(planned, p.room(d, planned.Gives)),
		own(append(fed, metric.Added.Work("Balls fed", metric.Counted("ball", "balls"), balls...))...),
		own(append(filled, metric.Added.Work(title, metric.Counted(of, of), baskets...))...),
	}
	if len(rallies) > 0 {
		figures = append(figures,
			own(append(played, metric.Added.Work("Rallies", metric.Counted("rally", "rallies"), rallies...))...))
	}
	longest := own(metric.Largest.Work("Longest wait", metric.Decimal(0, "s").Fixed(), waits...))
	longest.Derivation.Formula = "the other players' turns + the pauses between them"
	return append(append(figures, longest), append(p.running(list, in), p.expected(in)...)...)
}

// room is what the booking has beyond what is planned, or the plan beyond the booking.
func (p Plan) room(d lesson.Document, planned metric.Part) metric.Sum {
	booked := metric.Clock.Of("Booked", float64(d.Minutes)*60)
	if p.Over > 0 {
		return metric.Less.Work("Over", metric.Clock, planned, booked)
	}
	return metric.Less.Work("To spare", metric.Clock, booked, planned)
}

// carriers is what the balls of a lesson are carried in, and how many each holds where there is one kind of them.
func carriers(kinds []coach.Container) (title, of string) {
	if len(kinds) == 0 {
		return "Baskets fed", ""
	}
	names := make([]string, len(kinds))
	for i, c := range kinds {
		names[i] = c.Many
	}
	if len(kinds) == 1 {
		of = fmt.Sprintf("of %d", kinds[0].Holds)
	}
	return units.Title(strings.Join(names, ", ")) + " fed", of
}

// running is the metric of the way that the students run; the one who runs most.
func (p Plan) running(list []schedule.Prepared, in schedule.Inputs) []metric.Metric {
	most := schedule.Budget{}
	inputs := []metric.Input{}
	for _, b := range p.Budgets {
		if b.Metres > most.Metres {
			most = b
		}
		inputs = append(inputs, metric.Input{Name: b.Name, Value: b.Ran})
	}
	if most.Metres == 0 {
		return nil
	}
	m := metric.Worked(metric.Derivation{
		Formula: "of whoever runs most; what the others run stands below",
		Sums:    p.Way(most, list, in), Inputs: inputs, Source: metric.OwnArithmetic,
	})
	m.Name, m.Derivation.Figure = "Run", "Run"
	return []metric.Metric{m}
}

// expected are the metrics that count balls with the misses that are to be expected of these students.
func (p Plan) expected(in schedule.Inputs) []metric.Metric {
	if in.Rates == nil {
		return nil
	}
	tried, goals := 0, 0.0
	var makes, needs []metric.Part
	var sums []metric.Sum
	for _, block := range p.Prospects {
		for _, each := range block.Students {
			name := block.Title + ", " + each.Name
			if each.Called != "" {
				name += ", " + each.Called
			}
			if each.Unit != score.Ball || !each.Keeps {
				continue // what several have on one count is counted once
			}
			tried += each.Attempts
			sum := metric.Times.Work(name, metric.Decimal(1, "balls"),
				metric.Counted("ball", "balls").Of("Tried", float64(each.Attempts)), metric.OfTen.Of("Made", each.Rate))
			sums, makes = append(sums, sum), append(makes, sum.Gives)
			if each.Needs > 0 {
				goals += each.Needs
				needs = append(needs, metric.Decimal(0, "balls").Of(name+": "+each.Goal, each.Needs))
			}
		}
	}
	return []metric.Metric{
		metric.Worked(metric.Derivation{
			Sums:   append(sums, metric.Added.Work("Made", metric.Decimal(0, fmt.Sprintf("of %d", tried)).Fixed(), makes...)),
			Source: metric.OwnArithmetic + "; what they make: skill by all that was counted",
		}),
		forGoals(goals, needs),
	}
}

// forGoals is how many balls it takes until every student has reached every goal, one after the other, misses counted.
func forGoals(balls float64, needs []metric.Part) metric.Metric {
	const rule, source = "the mean number of balls until each student reaches the drill's goal, misses counted",
		"Feller, An Introduction to Probability Theory, vol. 1, XIII.7"
	if balls > odds.Thousand {
		return metric.New("For the goals", math.Round(balls), odds.Attempts(balls), "balls",
			metric.Derivation{Formula: rule, Inputs: odds.Written(needs), Source: source})
	}
	return metric.Worked(metric.Derivation{
		Formula: rule, Source: source,
		Sums: []metric.Sum{metric.Added.Work("For the goals", metric.Decimal(0, "balls").Fixed(), needs...)},
	})
}
