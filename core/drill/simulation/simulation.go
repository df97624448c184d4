// Package simulation works one turn of a drill out, ball by ball, for one player, and explains it.
package simulation

import (
	"context"
	"fmt"
	"math"
	"slices"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/core/drill"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/sport/feed"
)

// Simulation is one turn of a drill worked out ball by ball for one player.
type Simulation struct {
	Player   footwork.Player    `json:"player"`
	Timeline footwork.Timeline  `json:"timeline"`
	Tempos   []footwork.Tempo   `json:"tempos" description:"What other gaps make of it; none for a rally"`
	Fastest  []footwork.Fastest `json:"fastest"`
	Problems invalid.Fields     `json:"problems" description:"By field: balls that cannot be fed"`
	Tasks    []Explained        `json:"tasks" description:"Of each task, or of each ball of a rally, in words, as it first comes"`
	Metrics  []metric.Metric    `json:"metrics" description:"Those of Figures, where they are shown"`
	Verdict  string             `json:"verdict" description:"In a sentence"`
	Runs     []string           `json:"runs" description:"What each live player runs in the turn, in words"`
	Detours  []Detour           `json:"detours" description:"One for each obstacle"`

	metres [][]float64 // by turn, by live player: of many turns where none is like another
}

// Detour is what running round an obstacle makes of a turn.
type Detour struct {
	Place    int    `json:"place" description:"Of the drill, from 0"`
	Sentence string `json:"sentence"`
}

// Explained is one task in words, and how its figures came about.
type Explained struct {
	Met      footwork.Interception `json:"met" description:"Without its trail; one of the timeline's, or of a later turn where it does not come up in that one"`
	Sentence string                `json:"sentence"`
	Notes    []string              `json:"notes" description:"What somebody may not have meant, in words"`
	Facts    []metric.Input        `json:"facts" description:"Its figures in the coach's units"`
	Flight   metric.Derivation     `json:"flight"`
	Running  metric.Derivation     `json:"running"`
}

// MetresOf is how far a player runs in one turn of a drill: where several are live, the mean of their ways, since they
// change roles from turn to turn. Who cannot play a rally as it is drawn plays another one, in which they run as far as
// those for whom it is written. It returns invalid.Fields, or ctx.Err() when cancelled.
func MetresOf(ctx context.Context, d drill.Document, player footwork.Player, s coach.Settings) (float64, error) {
	metres, err := metresOf(ctx, d, player, s)
	if err != nil {
		return 0, err
	}
	sum, n := 0.0, 0
	for _, turn := range metres {
		for _, each := range turn {
			sum, n = sum+each, n+1
		}
	}
	return sum / float64(max(1, n)), nil
}

// metresOf is the same by turn and by live player.
func metresOf(ctx context.Context, d drill.Document, player footwork.Player, s coach.Settings) ([][]float64, error) {
	work, err := timingOf(ctx, d, player, s)
	if err != nil {
		return nil, err
	}
	if d.Pattern.Rally == nil {
		return work.Metres(ctx)
	}
	line, err := work.Reached(ctx, 0)
	if err != nil {
		return nil, err
	}
	if !slices.ContainsFunc(line.Interceptions, func(m footwork.Interception) bool { return m.Problem != "" }) {
		return [][]float64{work.Ran(line)}, nil
	}
	if work, err = timingOf(ctx, d, d.PlayerFor(d.Written(), player.Hand), s); err != nil {
		return nil, err
	}
	return work.Metres(ctx)
}

// TurnOf works one turn of a drill out for a player, without the ways of its balls. It returns invalid.Fields, or
// ctx.Err() when cancelled.
func TurnOf(
	ctx context.Context,
	d drill.Document,
	player footwork.Player,
	s coach.Settings,
) (footwork.Timeline, error) {
	work, err := timingOf(ctx, d, player, s)
	if err != nil {
		return footwork.Timeline{}, err
	}
	return work.Reached(ctx, 0)
}

// timingOf is a drill for a player, ready to be worked out turn by turn.
func timingOf(
	ctx context.Context,
	d drill.Document,
	player footwork.Player,
	s coach.Settings,
) (footwork.Timing, error) {
	drill, err := d.Resolved(s)
	if err != nil {
		return footwork.Timing{}, err
	}
	return drill.Timing(ctx, player)
}

// Answers is how many seconds pass from each stroke to the answer to it, by the number of its ball, from 1.
func Answers(d drill.Document, line footwork.Timeline) (balls []int, seconds []float64) {
	for _, m := range line.Interceptions {
		if d.Pattern.Rally == nil && d.Pattern.MethodOf(d.Pattern.Tasks[m.Task]) == feed.Answer && !m.Skipped {
			balls, seconds = append(balls, m.Task+1), append(seconds, m.Contact-m.Release)
		}
	}
	return balls, seconds
}

// StrokeGap is how many seconds pass from stroke to stroke of a rally, where none of it can be played those that it is
// written with; 0 where a drill has none.
func StrokeGap(d drill.Document, line footwork.Timeline) float64 {
	strokes := len(line.Interceptions)
	if d.Pattern.Rally == nil || strokes == 0 {
		return 0
	}
	if line.Interceptions[0].Problem != "" {
		return d.Pattern.Gap
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
	work, err := timingOf(ctx, d, player, s)
	if err != nil {
		return Simulation{}, err
	}
	p := Simulation{Player: player, Problems: invalid.Fields{}, Tasks: []Explained{}, Metrics: []metric.Metric{}}
	if p.Timeline, err = work.Turn(ctx, 0); err != nil {
		return Simulation{}, err
	}
	if p.Tempos, err = work.Tempos(ctx); err != nil {
		return Simulation{}, err
	}
	if p.Fastest, err = work.Fastest(ctx); err != nil {
		return Simulation{}, err
	}
	if p.metres, err = work.Metres(ctx); err != nil {
		return Simulation{}, err
	}
	if p.Detours, err = detours(ctx, d, work, s.Units); err != nil {
		return Simulation{}, err
	}
	if err := p.explain(ctx, d, work, s); err != nil {
		return Simulation{}, err
	}
	p.Verdict = p.sentence() + p.tooQuick(d.Pattern.Gap)
	p.Runs = []string{}
	for i, r := range p.Timeline.Runners {
		p.Runs = append(
			p.Runs,
			fmt.Sprintf("%s: %s run for %s", runner(d, i), s.Units.Length(math.Round(10*r.Metres)/10), units.Balls(r.Balls)),
		)
	}
	return p, nil
}

// detours says of each obstacle what running round it makes of a turn.
func detours(ctx context.Context, d drill.Document, work footwork.Timing, system units.System) ([]Detour, error) {
	longer, err := work.Detours(ctx)
	if err != nil {
		return nil, err
	}
	list := []Detour{}
	for i, place := range d.Places {
		if place.Kind != drill.Obstacle {
			continue
		}
		more := longer[len(list)]
		said := fmt.Sprintf("A turn is %s longer for it", system.Length(math.Round(10*more)/10))
		if more < 0.05 {
			said = "No way is longer for it"
			if place.Around != drill.PassEither {
				said += fmt.Sprintf(": only those within %s of it are bent", system.Length(footwork.Passing))
			}
		}
		list = append(list, Detour{i, fmt.Sprintf("%s. %s beside it stays free.", said, system.Length(footwork.Free))})
	}
	return list, nil
}

// sentence sums the turn up.
func (p Simulation) sentence() string {
	if len(p.Problems) > 0 {
		return p.Problems[0].Message
	}
	count := map[footwork.Verdict]int{}
	for _, m := range p.Timeline.Interceptions {
		if !m.Meant && !m.Skipped {
			count[m.Verdict]++
		}
	}
	switch {
	case count[footwork.OutOfReach] > 0:
		return fmt.Sprintf("%s of this turn cannot be reached.", units.Balls(count[footwork.OutOfReach]))
	case count[footwork.Stretched] > 0:
		return fmt.Sprintf("All can be reached, %d of them only at a stretch.", count[footwork.Stretched])
	case count[footwork.Working] > 0:
		return "All can be reached with honest work."
	}
	return "All can be reached with ease."
}

// tooQuick says that a gap cannot be kept up turn after turn, and what gives; empty where it can.
func (p Simulation) tooQuick(gap float64) string {
	for _, f := range slices.Backward(p.Fastest) {
		if f.Gap == nil {
			continue
		}
		if gap < *f.Gap-1e-9 {
			return fmt.Sprintf(" This tempo cannot be kept up, from %s s on it can; what gives is %s.",
				units.Decimal(*f.Gap, 1), f.First)
		}
		break
	}
	return ""
}
