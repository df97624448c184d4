// Package simulation works one turn of a drill out, ball by ball, for one player, and explains it.
package simulation

import (
	"context"
	"fmt"
	"math"
	"slices"
	"strings"

	"hodometer/core/coach"
	"hodometer/core/court"
	"hodometer/core/drill"
	"hodometer/core/feed"
	"hodometer/core/footwork"
	"hodometer/core/invalid"
	"hodometer/core/metric"
	"hodometer/core/student"
	"hodometer/core/units"
)

// Simulation is one turn of a drill worked out ball by ball for one player.
type Simulation struct {
	Player   footwork.Player    `json:"player"`
	Timeline footwork.Timeline  `json:"timeline"`
	Tempos   []footwork.Tempo   `json:"tempos" description:"What other gaps make of it; none for a rally"`
	Fastest  []footwork.Fastest `json:"fastest"`
	Problems invalid.Fields     `json:"problems" description:"By field: balls that cannot be fed"`
	Tasks    []Explained        `json:"tasks" description:"Of each task, or of each ball of a rally, in words, as it first comes"`
	Metres   []float64          `json:"metres" description:"What each live player runs in a turn: the mean of several where no turn is like another"`
	Metrics  []metric.Metric    `json:"metrics"`
	Verdict  string             `json:"verdict" description:"In a sentence"`
	Runs     []string           `json:"runs" description:"What each live player runs in the turn, in words"`
}

// Explained is one task in words, and how its figures came about.
type Explained struct {
	Met      footwork.Interception `json:"met" description:"Without its trail; one of the timeline's, or of a later turn where it does not come up in that one"`
	Sentence string                `json:"sentence"`
	Facts    []metric.Input        `json:"facts" description:"Its figures in the coach's units"`
	Flight   metric.Derivation     `json:"flight"`
	Running  metric.Derivation     `json:"running"`
}

// MetresOf is how far a player runs in one turn of a drill, worked out for the one it is written for: where several are live,
// the mean of their ways, since they change roles from turn to turn. It returns invalid.Fields, or ctx.Err() when cancelled.
func MetresOf(ctx context.Context, d drill.Document, s coach.Settings) (float64, error) {
	work, err := timingOf(ctx, d, d.PlayerFor(d.Written(), student.RightHand), s)
	if err != nil {
		return 0, err
	}
	metres, err := work.Metres(ctx)
	if err != nil || len(metres) == 0 {
		return 0, err
	}
	sum := 0.0
	for _, each := range metres {
		sum += each
	}
	return sum / float64(len(metres)), nil
}

// TurnOf works one turn of a drill out for a player, without what a feeder's scatter makes of it. It returns
// invalid.Fields, or ctx.Err() when cancelled.
func TurnOf(ctx context.Context, d drill.Document, player footwork.Player, s coach.Settings) (footwork.Timeline, error) {
	work, err := timingOf(ctx, d, player, s)
	if err != nil {
		return footwork.Timeline{}, err
	}
	return work.Turn(ctx, 0)
}

// timingOf is a drill for a player, without what a feeder's scatter makes of it.
func timingOf(ctx context.Context, d drill.Document, player footwork.Player, s coach.Settings) (footwork.Timing, error) {
	drill, err := d.Resolved(s)
	if err != nil {
		return footwork.Timing{}, err
	}
	drill.Scatter = nil
	return drill.Timing(ctx, player)
}

// StrokeGap is how many seconds pass from stroke to stroke of a rally; 0 where a drill has none.
func StrokeGap(d drill.Document, line footwork.Timeline) float64 {
	strokes := len(line.Interceptions)
	if d.Pattern.Rally == nil || strokes == 0 {
		return 0
	}
	return max(shortestStroke, (line.Seconds-d.Pattern.Pause)/float64(strokes))
}

const shortestStroke = 0.1 // seconds

// Run works one turn of a drill out for a player. The drill is taken as it stands: one for a
// left-hander has to be mirrored first. It returns invalid.Fields, or ctx.Err() when cancelled.
func Run(ctx context.Context, d drill.Document, player footwork.Player, s coach.Settings) (Simulation, error) {
	if err := d.Check(); err != nil {
		return Simulation{}, err
	}
	drill, err := d.Resolved(s)
	if err != nil {
		return Simulation{}, err
	}
	p := Simulation{Player: player, Problems: invalid.Fields{}, Tasks: []Explained{}}
	work, err := drill.Timing(ctx, player)
	if err != nil {
		return Simulation{}, err
	}
	if p.Timeline, err = work.Turn(ctx, 0); err != nil {
		return Simulation{}, err
	}
	if p.Tempos, err = work.Tempos(ctx); err != nil {
		return Simulation{}, err
	}
	p.Fastest = footwork.FastestGaps(p.Tempos)
	if p.Metres, err = work.Metres(ctx); err != nil {
		return Simulation{}, err
	}
	if err := p.explain(ctx, work, s); err != nil {
		return Simulation{}, err
	}
	p.Metrics = simulationMetrics(d, p, s)
	p.Verdict = p.sentence()
	p.Runs = []string{}
	for i, r := range p.Timeline.Runners {
		p.Runs = append(p.Runs, fmt.Sprintf("%s: %s run for %s", runner(d, i), s.Units.Length(math.Round(10*r.Metres)/10), units.Count(r.Balls, "ball", "balls")))
	}
	return p, nil
}

// explain puts every task into words as it first comes: of a branch that does not come up in the turn, in a later one.
func (p *Simulation) explain(ctx context.Context, work footwork.Timing, s coach.Settings) error {
	const turns = 16
	seen, line := map[int]bool{}, p.Timeline
	for turn := 0; ; turn++ {
		for _, m := range line.Interceptions {
			if seen[m.Task] {
				continue
			}
			seen[m.Task], m.Trail = true, []footwork.Sample{}
			if m.Problem != "" {
				p.Problems = append(p.Problems, invalid.Field{Path: invalid.Join("pattern.tasks", m.Task), Message: m.Problem})
			}
			p.Tasks = append(p.Tasks, Explained{Met: m, Sentence: interceptionSentence(m, s.Units), Facts: facts(m, s.Units), Flight: flightDerivation(m, work.Drill, s), Running: runningDerivation(m, p.Player, s)})
		}
		if len(seen) >= len(work.Pattern.Tasks) || turn == turns || !work.Pattern.Varies() {
			break
		}
		var err error
		if line, err = work.Turn(ctx, turn+1); err != nil {
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

// runner names a live player.
func runner(d drill.Document, i int) string {
	switch {
	case i == 0:
		return "The student"
	case d.Pattern.Rally == nil:
		return fmt.Sprintf("Player %d", i+1)
	case d.Pattern.Rally.Pair:
		return fmt.Sprintf("The other end, %s side", []string{"left", "right"}[(i-1)%2])
	}
	return "The other end"
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

// sentence sums the turn up.
func (p Simulation) sentence() string {
	if len(p.Problems) > 0 {
		return p.Problems[0].Message
	}
	count := map[footwork.Verdict]int{}
	for _, m := range p.Timeline.Interceptions {
		if !m.Meant {
			count[m.Verdict]++
		}
	}
	switch {
	case count[footwork.OutOfReach] > 0:
		return fmt.Sprintf("%s of this turn cannot be reached.", units.Count(count[footwork.OutOfReach], "ball", "balls"))
	case count[footwork.Stretched] > 0:
		return fmt.Sprintf("All can be reached, %d of them only at a stretch.", count[footwork.Stretched])
	case count[footwork.Working] > 0:
		return "All can be reached with honest work."
	}
	return "All can be reached with ease."
}

func flightDerivation(m footwork.Interception, drill footwork.Drill, s coach.Settings) metric.Derivation {
	if m.Kind == feed.TouchTask || m.Kind == feed.ShadowTask {
		return metric.Derivation{Figure: "Flight", Value: "no ball", Formula: "there is no ball in this task", Inputs: []metric.Input{}, Source: metric.OwnArithmetic}
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
	inputs = append(inputs, metric.Input{Name: "Ball", Value: fmt.Sprintf("%s, %s g, %s mm", ball.Name, units.Decimal(1000*ball.Mass, 1), units.Decimal(1000*ball.Diameter, 1))},
		metric.Input{Name: "Air", Value: units.Decimal(drill.World.Air.Density, 3) + " kg/m³"},
		metric.Input{Name: "Surface", Value: drill.World.Surface.Name})
	return metric.Derivation{
		Figure: "Flight", Value: units.Decimal(m.Available, 2) + " s until it is met",
		Formula: "the ball as a point under gravity, drag and the lift of its spin, followed in steps of 20 ms; the launch is the one that lands where you put it",
		Inputs:  inputs, Source: ball.Source + "; drag and lift: Štěpánek, Am. J. Phys. 56 (1988) 138 (from memory)",
	}
}

func runningDerivation(m footwork.Interception, p footwork.Player, s coach.Settings) metric.Derivation {
	second := func(v float64) string { return units.Decimal(v, 2) + " s" }
	return metric.Derivation{
		Figure: "Time to spare", Value: second(m.Spare),
		Formula: "time until the ball is met − (until the first step + run from rest: √(2d/a), or d/v + v/(2a) + setting the feet); easy up to three quarters of the time, working up to all of it, stretched while a lunge still gets there",
		Inputs: []metric.Input{
			{Name: "Time until it is met", Value: second(m.Available)},
			{Name: "Until the first step", Value: second(m.Leaves - m.Release)},
			{Name: "Run for it", Value: s.Units.Length(length(m.Route))},
			{Name: "Acceleration a, top speed v", Value: fmt.Sprintf("%s m/s², %s m/s", units.Decimal(p.Speedup, 1), units.Decimal(p.Top, 1))},
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

// simulationMetrics are what one player runs and rests in a turn, and how fast the pattern can go.
func simulationMetrics(d drill.Document, p Simulation, s coach.Settings) []metric.Metric {
	if len(p.Timeline.Runners) == 0 {
		return nil
	}
	r, metres, formula := p.Timeline.Runners[0], p.Metres[0], "every run for a ball and every way back, for one player"
	if d.Pattern.Varies() {
		formula += "; the mean of 16 turns, since no turn is like another"
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
			Formula: "seconds running and striking : the other seconds of the turn, pauses included", Source: metric.OwnArithmetic,
			Inputs: []metric.Input{{Name: "Work", Value: units.Decimal(r.Work, 1) + " s"}, {Name: "Rest", Value: units.Decimal(r.Rest, 1) + " s"}},
		}),
	}
	if pattern := d.Pattern; pattern.Rally == nil {
		metrics = append(metrics, metric.New("Block rate", pattern.BlockRate(), units.Decimal(pattern.BlockRate(), 1), "/min", metric.Derivation{
			Formula: "60 × balls a turn ÷ the turn with its pauses", Source: metric.OwnArithmetic,
			Inputs: []metric.Input{{Name: "Balls a turn", Value: units.Decimal(float64(pattern.BallsPerTurn()), 0)}, {Name: "One turn", Value: units.Decimal(pattern.TurnSeconds(), 1) + " s"}},
		}))
	}
	for _, f := range p.Fastest {
		if f.Strain == footwork.Working && f.Gap != nil {
			metrics = append(metrics, metric.New("Fastest gap", *f.Gap, units.Decimal(*f.Gap, 1), "s", metric.Derivation{
				Formula: "the shortest gap, in tenths of a second, from which on no ball is worse than working", Source: metric.OwnArithmetic,
				Inputs: []metric.Input{{Name: "Gap now", Value: units.Decimal(d.Pattern.Gap, 2) + " s"}},
			}))
		}
	}
	return metrics
}
