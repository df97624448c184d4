package playerfit

import (
	"context"
	"errors"
	"fmt"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/say"
	"hodometer/core/count/odds"
	"hodometer/core/drill"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/skill"
	"hodometer/core/people/student"
)

// Known is what the model makes of a drill for a player, whatever was counted.
type Known struct {
	Tried  []Tried  // one attempt at each measure, in order
	Balls  [][]Ball // of each measure in one turn, as the level makes them
	Stroke float64  // seconds from stroke to stroke of a rally; 0 where there is none
}

// Know works out one turn of a drill for a player, and from it what their level makes of each target. The drill is
// taken as it stands, as For takes it. A drill that cannot be fed leaves what is usual for the level. It returns
// ctx.Err() when cancelled.
func Know(
	ctx context.Context,
	d drill.Document,
	player footwork.Player,
	level student.Level,
	s coach.Settings,
) (Known, error) {
	line, err := simulation.TurnOf(ctx, d, player, s)
	var wrong invalid.Fields
	if err != nil && !errors.As(err, &wrong) {
		return Known{}, err
	}
	n := len(d.Measures)
	k := Known{Tried: make([]Tried, n), Balls: make([][]Ball, n), Stroke: simulation.StrokeGap(d, line)}
	for i, m := range d.Measures {
		j := judgeOf(d, m, player, level, s)
		k.Balls[i] = j.balls(line)
		k.Tried[i] = j.tried(line, k.Balls[i])
	}
	return k, nil
}

// At names a measure of a drill, as what was counted at it is told apart.
func At(drillID string, number int) string { return fmt.Sprintf("%s#%d", drillID, number) }

// Rates are what is known of somebody's rates at a measure: what their skill makes of its attempts.
func (e Evidence) Rates(m drill.Measure, t Tried) odds.Estimates {
	if e.Typical {
		return t.Typical()
	}
	who := e.Skill
	if who == nil {
		who = &skill.Skill{}
	}
	stroke, at := string(t.Stroke), At(e.Drill, m.Number)
	rate := func(points bool) odds.Rate {
		b := skill.Belief{Better: who.At(stroke, at, e.Day, points), Attempt: t.Attempt}
		rests := who.RestsOn(stroke, at, b.Chance())
		if e.Unknown > 0 {
			rests = say.Of("two sentences", rests, say.Of("skill.unknown", e.Unknown))
		}
		return odds.Believed(b, rests.String())
	}
	estimates := odds.Marked(e.Own)
	estimates.Rate = rate(t.Points)
	if !t.Points && estimates.Between != nil {
		points := rate(true)
		estimates.Points = &points
	}
	return estimates
}
