package simulation

import (
	"context"
	"fmt"
	"slices"
	"strconv"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/core/drill"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// explain puts every task into words as it first comes: of a branch that does not come up in the turn, in a later one.
func (p *Simulation) explain(ctx context.Context, d drill.Document, work footwork.Timing, s coach.Settings) error {
	seen, line := map[int]bool{}, p.Timeline
	for turn := 0; ; turn++ {
		for _, m := range line.Interceptions {
			if seen[m.Task] {
				continue
			}
			seen[m.Task], m.Trail = true, []footwork.Sample{}
			if m.Problem != "" && !m.Skipped {
				p.Problems = append(p.Problems, invalid.Field{Path: invalid.Join("pattern.tasks", m.Task), Message: m.Problem})
			}
			p.Tasks = append(
				p.Tasks,
				Explained{
					Met:      m,
					Sentence: interceptionSentence(m, s.Units),
					Notes:    notes(d, work.World.Court, m, s.Units),
					Facts:    append(facts(m, s.Units), region(work.World.Court, m, s)...),
					Flight:   flightDerivation(m, work.Drill, s),
					Running:  runningDerivation(m, p.Player, s),
				},
			)
		}
		if len(seen) >= len(work.Pattern.Tasks) || turn == footwork.ManyTurns || !work.Pattern.Varies() {
			break
		}
		var err error
		if line, err = work.Reached(ctx, turn+1); err != nil {
			return err
		}
	}
	slices.SortFunc(p.Tasks, func(a, b Explained) int { return a.Met.Task - b.Met.Task })
	return nil
}

// interceptionSentence describes an interception.
func interceptionSentence(m footwork.Interception, system units.System) string {
	if m.Problem != "" {
		return m.Problem
	}
	phrase := fmt.Sprintf("%s: %s", m.Label, m.Verdict)
	if m.Meant {
		phrase += ", as you mean it"
	}
	if m.Where != nil {
		phrase += fmt.Sprintf("; met %s at %s", m.How, system.Length(m.Where.Z))
		if m.Late {
			phrase += ", later than wanted"
		}
	}
	phrase += fmt.Sprintf("; %s run", system.Length(m.Metres))
	if m.Slower {
		phrase += "; it comes slower than its pace, or it would not clear the net"
	}
	return phrase
}

// notes are what somebody may not have meant of a ball: a serve that is struck inside the court or aimed elsewhere than
// at its box, and a volley that is none.
func notes(d drill.Document, c court.Court, m footwork.Interception, system units.System) []string {
	list := []string{}
	if d.Pattern.Rally != nil {
		return list
	}
	task := d.Pattern.Tasks[m.Task]
	if m.Served {
		list = append(list, served(d, c, m.Task, system)...)
	}
	if task.Stroke.Volleyed() && m.Where != nil && m.How != feed.OutOfTheAir {
		list = append(list, "It bounces before it is met: that is no volley any more.")
	}
	return list
}

// served is what somebody may not have meant of a serve.
func served(d drill.Document, c court.Court, task int, system units.System) (list []string) {
	at, err := c.Resolve(d.Pattern.Tasks[task].Landing)
	if err != nil {
		return nil
	}
	if inside, behind := sports.ServedInside(c, at); inside > 0 {
		list = append(list, fmt.Sprintf("It is struck %s inside the %s: a step on the way to a serve, and none in a game.",
			system.Length(inside), strings.TrimPrefix(behind.Name, "near ")))
	}
	box, boxed := sports.ServedTo(c, at)
	legal, err := d.Legal(c, d.Pattern.Tasks[task], at)
	if !boxed || err != nil || len(legal.Corners) == 0 {
		return list
	}
	for _, m := range d.Measures {
		if target, aimed := d.Aimed(m); aimed && m.Has(task) && !legal.Holds(c.AimPoint(target)) {
			into, _ := c.Box(box)
			return append(list, fmt.Sprintf("It goes into the %s, and its target lies elsewhere.", into.Name))
		}
	}
	return list
}

// runner names a live player, in a rally with the rule that they play by.
func runner(d drill.Document, i int) string {
	r := d.Pattern.Rally
	switch {
	case r == nil && i == 0:
		return "The student"
	case r == nil:
		return fmt.Sprintf("Player %d", i+1)
	case i == 0:
		return "The student, " + string(r.Near)
	case r.Pair:
		return fmt.Sprintf("The other end, %s side, %s", []string{"left", "right"}[(i-1)%2], r.Far)
	}
	return "The other end, " + string(r.Far)
}

// facts are the figures of an interception, each with its unit.
func facts(m footwork.Interception, system units.System) []metric.Input {
	list := []metric.Input{}
	add := func(name, value string) { list = append(list, metric.Input{Name: name, Value: value}) }
	if m.Problem != "" {
		return list
	}
	if m.Where != nil {
		add("met", fmt.Sprintf("%s at %s", m.How, system.Length(m.Where.Z)))
	}
	if m.Served {
		return list
	}
	if m.Where != nil && m.Kind.Struck() {
		add("comes in at", units.Decimal(m.Incoming, 1)+" m/s")
	}
	if m.Kind.Flies() {
		add("in the air", units.Decimal(m.Available, 2)+" s")
	}
	if m.Bounce != nil {
		add("bounces after", units.Decimal(m.Bounce.T-m.Release, 2)+" s")
	}
	if m.Clearance != nil {
		add("over the net", system.Length(*m.Clearance))
	}
	add("run", system.Length(m.Metres))
	if m.Spare < 0 {
		add("short of", units.Decimal(-m.Spare, 2)+" s")
	} else {
		add("to spare", units.Decimal(m.Spare, 2)+" s")
	}
	if m.Chance < 0.995 {
		add("reached with your feeding", units.Decimal(100*m.Chance, 0)+" of 100")
	}
	return list
}

// region is the depth region from which a ball is met, and what is done from there; nothing where no scheme tells.
func region(c court.Court, m footwork.Interception, s coach.Settings) []metric.Input {
	scheme, ok := s.Scheme(c.ID)
	if !ok || m.Problem != "" {
		return nil
	}
	at, err := scheme.RegionOf(c, m.Body, s.Numbering)
	if err != nil {
		return nil
	}
	value := at.Band.Name
	if at.Band.Purpose != "" {
		value += ": " + at.Band.Purpose
	}
	return []metric.Input{{Name: "from region " + strconv.Itoa(at.Band.Number), Value: value}}
}

func flightDerivation(m footwork.Interception, drill footwork.Drill, s coach.Settings) metric.Derivation {
	if m.Kind == feed.TouchTask || m.Kind == feed.ShadowTask {
		return metric.Derivation{
			Figure:  "Flight",
			Value:   "no ball",
			Formula: "there is no ball in this task",
			Inputs:  []metric.Input{},
			Source:  metric.OwnArithmetic,
		}
	}
	inputs := []metric.Input{
		{Name: "Leaves at", Value: units.Decimal(m.Speed, 1) + " m/s"},
		{Name: "Highest point", Value: s.Units.Length(m.Apex)},
	}
	if m.Clearance != nil {
		inputs = append(inputs, metric.Input{Name: "Over the net", Value: s.Units.Length(*m.Clearance)})
	}
	if m.Bounce != nil {
		inputs = append(inputs, metric.Input{Name: "Bounces after", Value: units.Decimal(m.Bounce.T-m.Release, 2) + " s"})
	}
	ball := drill.World.Ball
	inputs = append(
		inputs,
		metric.Input{
			Name: "Ball",
			Value: fmt.Sprintf(
				"%s, %s g, %s mm",
				ball.Name,
				units.Decimal(1000*ball.Mass, 1),
				units.Decimal(1000*ball.Diameter, 1),
			),
		},
		metric.Input{Name: "Air", Value: units.Decimal(drill.World.Air.Density, 3) + " kg/m³"},
		metric.Input{Name: "Surface", Value: drill.World.Surface.Name},
	)
	return metric.Derivation{
		Figure: "Flight",
		Value:  units.Decimal(m.Available, 2) + " s until it is met",
		Formula: "the ball as a point under gravity, drag and the lift of its spin, followed in steps of at most 0.3 s, " +
			"shorter where drag is strong; the launch is the one that lands where you put it",
		Inputs: inputs,
		Source: ball.Source + "; drag and lift: Štěpánek, Am. J. Phys. 56 (1988) 138 (from memory)",
	}
}

func runningDerivation(m footwork.Interception, p footwork.Player, s coach.Settings) metric.Derivation {
	second := func(v float64) string { return units.Decimal(v, 2) + " s" }
	return metric.Derivation{
		Figure: "Time to spare",
		Value:  second(m.Spare),
		Formula: "time until the ball is met − (until the first step + run from rest: √(2d/a), or d/v + v/(2a) + setting " +
			"the feet); easy up to three quarters of the time, working up to all of it, stretched while a lunge still gets " +
			"there",
		Inputs: []metric.Input{
			{Name: "Time until it is met", Value: second(m.Available)},
			{Name: "Until the first step", Value: second(m.Leaves - m.Release)},
			{Name: "Run for it", Value: s.Units.Length(length(m.Route))},
			{
				Name:  "Acceleration a, top speed v",
				Value: fmt.Sprintf("%s m/s², %s m/s", units.Decimal(p.Speedup, 1), units.Decimal(p.Top, 1)),
			},
			{Name: "Needed", Value: second(m.Needed)},
			{Name: "Reached with your feeding", Value: units.Decimal(100*m.Chance, 0) + " in 100"},
		},
		Source: "Reaction, acceleration, speed and reach by age and level: common practice, no source",
	}
}

func length(route []court.Point) (sum float64) {
	for i := 1; i < len(route); i++ {
		sum += route[i-1].Distance(route[i])
	}
	return sum
}
