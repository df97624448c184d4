package playerfit

import (
	"context"
	"fmt"

	"hodometer/core/coach"
	"hodometer/core/court"
	"hodometer/core/drill"
	"hodometer/core/footwork"
	"hodometer/core/invalid"
	"hodometer/core/odds"
	"hodometer/core/score"
	"hodometer/core/simulation"
	"hodometer/core/units"
)

// FitRequest is what is to be fitted to a player: one of its parts.
type FitRequest struct {
	Minutes float64 `json:"minutes,omitempty" minimum:"0" maximum:"180" description:"The goal to so many minutes, met 4 times in 5"`
	Hit     float64 `json:"hit,omitempty" minimum:"0" maximum:"1" description:"The target to a share of balls that hit it"`
	Errors  float64 `json:"errors,omitempty" minimum:"0" maximum:"1" description:"The target to the best aim that keeps errors under a share"`
}

// Fitted changes the goal or the target so that it suits a player, and says what changed. The drill is
// taken as it stands, as For takes it. It returns invalid.Fields.
func Fitted(ctx context.Context, d drill.Document, want FitRequest, evidence Evidence, player footwork.Player, people int, s coach.Settings) (drill.Document, string, error) {
	turn, err := simulation.Run(ctx, d, player, s)
	if err != nil {
		return d, "", err
	}
	switch {
	case want.Minutes > 0:
		return fitGoal(ctx, d, want, turn, evidence, people, s)
	case want.Hit > 0:
		return fitSize(ctx, d, want, turn, evidence, s)
	case want.Errors > 0:
		return fitAim(ctx, d, want, turn, evidence, s)
	}
	return d, "", invalid.Fields{{Path: "fit", Message: "say what is to be fitted: the goal or the target"}}
}

func fitGoal(ctx context.Context, d drill.Document, want FitRequest, turn simulation.Simulation, evidence Evidence, people int, s coach.Settings) (drill.Document, string, error) {
	fit, err := For(ctx, d, turn, evidence, people, s)
	if err != nil {
		return d, "", err
	}
	q := questionOf(d, fit.Rates, turn, people, s)
	q.Seconds = 60 * want.Minutes
	if q.Goal.Kind == score.AsManyAsPossible {
		q.Goal.Minutes = want.Minutes
	}
	goal, err := q.Fit(ctx)
	if err != nil {
		return d, "", err
	}
	d.Goal = goal
	return d, fmt.Sprintf("%s is met 4 times in 5 within %s min.", goal, units.Decimal(want.Minutes, 1)), nil
}

func fitSize(ctx context.Context, d drill.Document, want FitRequest, turn simulation.Simulation, evidence Evidence, s coach.Settings) (drill.Document, string, error) {
	replies, _, err := repliesOf(d, turn, evidence, s)
	if err != nil {
		return d, "", invalid.Fields{{Path: "target", Message: err.Error()}}
	}
	target, err := odds.FitSize(ctx, d.Target, want.Hit, func(t court.Target) (float64, error) {
		tried := d
		tried.Target = t
		aimed, err := aimedAt(tried, replies, evidence, s)
		return aimed.Shares.In, err
	})
	if err != nil {
		return d, "", err
	}
	d.Target = target
	return d, fmt.Sprintf("The %s is hit %s of 10.", replies.court.DescribeTarget(target, s.Tape()), units.Decimal(10*want.Hit, 1)), nil
}

func fitAim(ctx context.Context, d drill.Document, want FitRequest, turn simulation.Simulation, evidence Evidence, s coach.Settings) (drill.Document, string, error) {
	replies, _, err := repliesOf(d, turn, evidence, s)
	if err != nil {
		return d, "", invalid.Fields{{Path: "target", Message: err.Error()}}
	}
	shape, _ := d.Aimed()
	ground, err := groundOf(d, replies, shape)
	if d.Target.Mark == nil || err != nil {
		return d, "", invalid.Fields{{Path: "target", Message: "only a target with a mark of its own can be moved to the best aim: a circle, a rectangle or a cone"}}
	}
	best, err := ground.BestAim(ctx, replies.scatter, want.Errors)
	if err != nil {
		return d, "", err
	}
	mark := replies.court.Measure(best.At, *d.Target.Mark)
	d.Target.Mark = &mark
	phrase := "fewest errors there are here"
	if best.Within {
		phrase = fmt.Sprintf("errors %s of 100", units.Decimal(100*best.Shares.Errors(), 0))
	}
	return d, fmt.Sprintf("Best aim: %s; %s.", replies.court.Describe(mark, s.Tape()), phrase), nil
}
