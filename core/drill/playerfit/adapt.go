package playerfit

import (
	"context"
	"math"
	"slices"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/say"
	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/sport/court"
)

// AdaptRequest is what is to be fitted to a player: one of its parts.
type AdaptRequest struct {
	Measure int     `json:"measure,omitempty" minimum:"0" maximum:"8" description:"The number of the measure; empty: the first"`
	Goal    int     `json:"goal,omitempty" minimum:"0" maximum:"5" description:"Which of its goals, from 0"`
	Minutes float64 `json:"minutes,omitempty" minimum:"0" maximum:"180" description:"The goal to so many minutes, met 4 times in 5"`
	Hit     float64 `json:"hit,omitempty" minimum:"0" maximum:"1" description:"The target to a share of balls that hit it"`
	Errors  float64 `json:"errors,omitempty" minimum:"0" maximum:"1" description:"The target to the best aim that keeps errors under a share"`
}

// Adapt changes the goal or the target so that it suits a player, and says what changed. The drill is
// taken as it stands, as For takes it. It returns invalid.Fields.
func Adapt(
	ctx context.Context,
	d drill.Document,
	want AdaptRequest,
	evidence []Evidence,
	player footwork.Player,
	people int,
	s coach.Settings,
) (drill.Document, say.Sentence, error) {
	i := 0
	if want.Measure > 0 {
		i = slices.IndexFunc(d.Measures, func(m drill.Measure) bool { return m.Number == want.Measure })
	}
	if i < 0 || i >= len(d.Measures) || want.Goal >= len(d.Measures[i].Goals) {
		return d, say.Sentence{}, invalid.Fields{{Path: "measure", Message: "the drill has no such measure"}}
	}
	turn, err := simulation.Run(ctx, d, player, s)
	if err != nil {
		return d, say.Sentence{}, err
	}
	switch {
	case want.Minutes > 0:
		return fitGoal(ctx, d, i, want, turn, evidence[i], people, s)
	case want.Hit > 0:
		return fitSize(ctx, d, i, want, turn, evidence[i], s)
	case want.Errors > 0:
		return fitAim(ctx, d, i, want, turn, evidence[i], s)
	}
	return d, say.Sentence{}, invalid.Fields{{Path: "fit", Message: "say what is to be fitted: the goal or the target"}}
}

func fitGoal(
	ctx context.Context,
	d drill.Document,
	i int,
	want AdaptRequest,
	turn simulation.Simulation,
	evidence Evidence,
	people int,
	s coach.Settings,
) (drill.Document, say.Sentence, error) {
	m := d.Measures[i]
	// The rates hold also where no ball can be played to the target.
	_, rates, _ := judgeOf(d, m, turn.Player, evidence.Level, s).replies(turn.Timeline, evidence)
	q := Ask(d, m, m.Goals[want.Goal], rates, simulation.StrokeGap(d, turn.Timeline), people, s)
	q.Seconds = 60 * want.Minutes
	if q.Goal.Kind == score.AsManyAsPossible {
		q.Goal.Minutes = want.Minutes
	}
	goal, err := q.Attainable(ctx)
	if err != nil {
		return d, say.Sentence{}, err
	}
	m.Goals = slices.Clone(m.Goals)
	m.Goals[want.Goal] = goal
	return d.With(i, m), say.Of("fit.goal", goal.String(), want.Minutes), nil
}

var errNoTarget = invalid.Fields{{Path: "target", Message: "there is no target, in is enough"}}

func fitSize(
	ctx context.Context,
	d drill.Document,
	i int,
	want AdaptRequest,
	turn simulation.Simulation,
	evidence Evidence,
	s coach.Settings,
) (drill.Document, say.Sentence, error) {
	m := d.Measures[i]
	if m.Target = d.TargetOf(m); m.Target == nil {
		return d, say.Sentence{}, errNoTarget
	}
	judged := judgeOf(d.With(i, m), m, turn.Player, evidence.Level, s)
	replies, _, err := judged.replies(turn.Timeline, evidence)
	if err != nil {
		return d, say.Sentence{}, invalid.Fields{{Path: "target", Message: err.Error()}}
	}
	logged := len(evidence.Landings)+len(evidence.Zones) > 0
	target, err := odds.FitSize(ctx, *m.Target, want.Hit, func(t court.Target) (float64, error) {
		tried := m
		tried.Target = &t
		if logged { // where the balls land is known better than what becomes of each
			shape, err := replies.court.Shape(t, d.Format)
			if err != nil {
				return 0, err
			}
			other := replies
			other.goal.shape = shape
			aimed, err := aimedAt(d, other, evidence, s)
			return aimed.Shares.In, err
		}
		j := judgeOf(d.With(i, tried), tried, turn.Player, evidence.Level, s)
		return evidence.Rates(tried, j.tried(turn.Timeline, j.balls(turn.Timeline))).Rate.Mean, j.fails
	})
	if err != nil {
		return d, say.Sentence{}, err
	}
	m.Target = &target
	return d.With(i, m), say.Of("fit.target", replies.court.DescribeTarget(target, s.Tape()), 10*want.Hit), nil
}

func fitAim(
	ctx context.Context,
	d drill.Document,
	i int,
	want AdaptRequest,
	turn simulation.Simulation,
	evidence Evidence,
	s coach.Settings,
) (drill.Document, say.Sentence, error) {
	m := d.Measures[i]
	if m.Target = d.TargetOf(m); m.Target == nil {
		return d, say.Sentence{}, errNoTarget
	}
	replies, _, err := judgeOf(d, m, turn.Player, evidence.Level, s).replies(turn.Timeline, evidence)
	if err != nil {
		return d, say.Sentence{}, invalid.Fields{{Path: "target", Message: err.Error()}}
	}
	ground, err := replies.ground(d)
	if m.Target.Mark == nil || err != nil {
		return d, say.Sentence{}, invalid.Fields{
			{
				Path:    "target",
				Message: "only a target with a mark of its own can be moved to the best aim: a circle, a rectangle or a cone",
			},
		}
	}
	best, err := ground.BestAim(ctx, replies.scatter, want.Errors)
	if err != nil {
		return d, say.Sentence{}, err
	}
	mark := replies.court.Measure(best.At, *m.Target.Mark)
	target := *m.Target
	target.Mark, m.Target = &mark, &target
	described := replies.court.Describe(mark, s.Tape())
	if best.Within {
		return d.With(i, m), say.Of("fit.aim within", described, int(math.Round(100*best.Shares.Errors()))), nil
	}
	return d.With(i, m), say.Of("fit.aim", described), nil
}
