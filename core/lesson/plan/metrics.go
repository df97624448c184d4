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
	var sums, balls, baskets []metric.Input
	var kinds []coach.Container
	for i, s := range p.Blocks {
		sums = append(sums, metric.Input{Name: s.Title, Value: units.Clock(s.End-s.Start) + " min"})
		if s.Load == nil {
			continue
		}
		balls = append(
			balls,
			metric.Input{
				Name:  s.Title,
				Value: fmt.Sprintf("%s, %s each: %d", units.Count(s.Load.People, "player", "players"), s.Strikes, s.Load.Balls),
			},
		)
		carried := in.Settings.Container(list[i].Document.Sport)
		if !slices.Contains(kinds, carried) {
			kinds = append(kinds, carried)
		}
		baskets = append(
			baskets,
			metric.Input{
				Name:  s.Title,
				Value: fmt.Sprintf("%d ÷ %d, rounded up = %s", s.Load.Balls, carried.Holds, carried.Of(s.Load.Baskets)),
			},
		)
	}
	booked := metric.Input{Name: "Booked", Value: fmt.Sprintf("%d min", d.Minutes)}
	room := metric.New("To spare", p.Spare, units.Clock(p.Spare), "min", metric.Derivation{
		Formula: "booked − planned", Inputs: append([]metric.Input{booked}, sums...), Source: metric.OwnArithmetic,
	})
	if p.Over > 0 {
		room = metric.New("Over", p.Over, units.Clock(p.Over), "min", metric.Derivation{
			Formula: "planned − booked", Inputs: append([]metric.Input{booked}, sums...), Source: metric.OwnArithmetic,
		})
	}
	title, of := carriers(kinds)
	wait := 0.0
	var waits []metric.Input
	for _, s := range p.Blocks {
		if s.Load != nil {
			wait = math.Max(wait, s.Load.Waiting)
			waits = append(waits, metric.Input{Name: s.Title, Value: units.Decimal(s.Load.Waiting, 0) + " s"})
		}
	}
	return append([]metric.Metric{
		metric.New("Planned", p.Planned, units.Clock(p.Planned), "min", metric.Derivation{
			Formula: "the minutes of all blocks", Inputs: none(sums), Source: metric.OwnArithmetic,
		}),
		room,
		metric.New("Balls", float64(p.Balls), units.Decimal(float64(p.Balls), 0), "balls", metric.Derivation{
			Formula: "balls of each drill, added up", Inputs: none(balls), Source: metric.OwnArithmetic,
		}),
		metric.New(title, float64(p.Baskets), units.Decimal(float64(p.Baskets), 0), of, metric.Derivation{
			Formula: "balls of each drill ÷ balls in one, rounded up", Inputs: none(baskets), Source: metric.OwnArithmetic,
		}),
		metric.New("Longest wait", wait, units.Decimal(wait, 0), "s", metric.Derivation{
			Formula: "the other players' turns + the pauses between them", Inputs: none(waits), Source: metric.OwnArithmetic,
		}),
	}, append(p.running(), p.expected(in)...)...)
}

// carriers is what the balls of a lesson are carried in, and how many each holds where there is one kind of them.
func carriers(kinds []coach.Container) (title, of string) {
	if len(kinds) == 0 {
		return "Baskets", ""
	}
	names := make([]string, len(kinds))
	for i, c := range kinds {
		names[i] = c.Many
	}
	if len(kinds) == 1 {
		of = fmt.Sprintf("of %d", kinds[0].Holds)
	}
	return units.Title(strings.Join(names, ", ")), of
}

// running is the metric of the way that the students run; the one who runs most.
func (p Plan) running() []metric.Metric {
	most := schedule.Budget{}
	var inputs []metric.Input
	for _, b := range p.Budgets {
		if b.Metres > most.Metres {
			most = b
		}
		inputs = append(inputs, metric.Input{Name: b.Name, Value: b.Ran})
	}
	if most.Metres == 0 {
		return nil
	}
	text, unit, _ := strings.Cut(most.Ran, " ")
	return []metric.Metric{metric.New("Run", most.Metres, text, unit, metric.Derivation{
		Formula: "turns × the way of one turn, over all drills, of whoever runs most; worked out for each of them",
		Inputs:  none(inputs),
		Source:  metric.OwnArithmetic,
	})}
}

// expected are the metrics that count balls with the misses that are to be expected of these students.
func (p Plan) expected(in schedule.Inputs) []metric.Metric {
	if in.Rates == nil {
		return nil
	}
	made, tried, goals, many := 0.0, 0, 0.0, false
	var makes, needs []metric.Input
	for _, block := range p.Prospects {
		for _, each := range block.Students {
			name := block.Title + ", " + each.Name
			if each.Called != "" {
				name += ", " + each.Called
			}
			if each.Unit != score.Ball || !each.Keeps {
				continue // what several have on one count is counted once
			}
			made, tried = made+each.Made, tried+each.Attempts
			makes = append(
				makes,
				metric.Input{Name: name, Value: fmt.Sprintf("%d × %s", each.Attempts, units.Decimal(each.Rate, 2))},
			)
			if each.Needs == 0 {
				continue
			}
			many = many || each.Needs > odds.Thousand
			goals += each.Needs
			needs = append(
				needs,
				metric.Input{Name: name, Value: fmt.Sprintf("%s: %s balls", each.Goal, odds.Attempts(each.Needs))},
			)
		}
	}
	needed := units.Decimal(goals, 0)
	if many {
		needed = odds.Attempts(goals)
	}
	return []metric.Metric{
		metric.New("Made", math.Round(made), units.Decimal(made, 0), fmt.Sprintf("of %d", tried), metric.Derivation{
			Formula: "balls that each student tries × what they make of 1",
			Inputs:  none(makes),
			Source:  metric.OwnArithmetic + "; what they make: skill by all that was counted",
		}),
		metric.New("For the goals", math.Round(goals), needed, "balls", metric.Derivation{
			Formula: "the mean number of balls until each student reaches the drill's goal, misses counted",
			Inputs:  none(needs),
			Source:  "Feller, An Introduction to Probability Theory, vol. 1, XIII.7",
		}),
	}
}

// none makes an empty list of a missing one, so that it is written as a list.
func none(steps []metric.Input) []metric.Input {
	if steps == nil {
		return []metric.Input{}
	}
	return steps
}
