package playerfit

import (
	"context"
	"errors"
	"math"

	"hodometer/core/basics/invalid"
	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
)

// Known is what is thought of a player at a drill before anything was counted.
type Known struct {
	Priors []odds.Prior // of each measure, in order
	Tried  []Tried      // one attempt at each, for a player's skill
	Stroke float64      // seconds from stroke to stroke of a rally; 0 where there is none
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
	k := Known{Priors: make([]odds.Prior, n), Tried: make([]Tried, n), Stroke: simulation.StrokeGap(d, line)}
	for i, m := range d.Measures {
		j := judgeOf(d, m, player, level, s)
		balls := j.balls(line)
		k.Priors[i] = j.prior(balls)
		k.Tried[i] = j.tried(line, balls, k.Priors[i])
	}
	return k, nil
}

// prior is what a level makes of one attempt at the measure: of its balls what the level makes of each, where that is
// known, and else what is usual; of a sequence the product of its balls.
func (j *judge) prior(balls []Ball) odds.Prior {
	if j.fails == nil && j.m.What != score.Point {
		const least, most = 0.001, 0.98
		if len(balls) == 0 && j.d.Pattern.Rally != nil {
			return odds.Prior{Rate: least, Description: "the level does not get this rally going"}
		}
		if len(balls) > 0 {
			return odds.Prior{
				Rate:        math.Max(least, math.Min(made(j.m, balls), most)),
				Description: "what the level makes of these balls and this target",
			}
		}
	}
	prior := odds.LevelPrior(j.level)
	prior.Rate = math.Pow(prior.Rate, float64(j.d.In(j.m)))
	return prior
}

// Rates are what is known of somebody's rates at a measure: what is thought of them before, moved by what was counted.
func (e Evidence) Rates(prior odds.Prior) odds.Estimates {
	return odds.Estimate(prior, e.Own, e.Related)
}
