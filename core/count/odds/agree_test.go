package odds_test

import (
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/count/tally"
	"hodometer/internal/long"
)

// anyGoal draws a goal that balls are counted for.
func anyGoal(t *rapid.T) score.Goal {
	goal := score.Goal{
		Kind: rapid.SampledFrom([]score.Kind{score.Total, score.Streak, score.Stages, score.Routine, score.Together}).
			Draw(t, "kind"),
		Count: rapid.IntRange(1, 12).
			Draw(t, "count"),
		Sets: rapid.IntRange(1, 3).Draw(t, "sets"),
		Then: rapid.IntRange(1, 6).Draw(t, "then"),
	}
	for range rapid.IntRange(1, 3).Draw(t, "stages") {
		goal.Stages = append(
			goal.Stages,
			score.Stage{
				Count: rapid.IntRange(1, 4).Draw(t, "stage"),
				Hard:  rapid.SampledFrom([]score.Hardness{score.Easier, score.AsUsual, score.MuchHarder}).Draw(t, "hard"),
			},
		)
	}
	return goal
}

// What the counter calls done is what the forecast calls done: the chances of all orders of makes and misses that are
// counted as done add up to the chance that is forecast (relation R14).
func TestCountingAndForecastingAgree(t *testing.T) {
	t.Parallel()
	long.Check(t, func(t *rapid.T) {
		goal, rate := anyGoal(t), float64(rapid.IntRange(20, 95).Draw(t, "of 100"))/100
		for i := range goal.Stages {
			goal.Stages[i].Hard = ""
		}
		n := rapid.IntRange(1, 9).Draw(t, "balls")
		chance := 0.0
		for order := range 1 << n {
			entries, of := make([]tally.Entry, n), 1.0
			for i := range entries {
				entries[i] = tally.Entry{Seq: i, Kind: tally.Missed}
				if order>>i&1 == 1 {
					entries[i].Kind = tally.Made
					of *= rate
				} else {
					of *= 1 - rate
				}
			}
			if (score.Course{goal}).Stand(entries).Met {
				chance += of
			}
		}
		a, err := odds.Question{Goal: goal, Rate: rate, Partner: rate, Clock: clock(), Balls: n}.Answer(background)
		require.NoError(t, err)
		require.InDelta(t, chance, *a.Chance, 1e-9, "%s in %d balls at %g", goal, n, rate)
	})
}

// Whatever is enough more often is more, each number has its own minutes, and what is carried lasts (relation R9).
func TestEachNumberOfBallsHasItsMinutes(t *testing.T) {
	t.Parallel()
	long.Check(t, func(t *rapid.T) {
		goal := anyGoal(t)
		a := ask(t, goal, rapid.Float64Range(0.3, 0.95).Draw(t, "rate"))
		for i, q := range a.Quantiles {
			require.GreaterOrEqual(t, q.Balls, float64(goal.Steps()))
			require.InDelta(t, 5*q.Balls+q.PickUps*60*2.5/2, q.Seconds, 1e-6, "a ball every five seconds")
			if i > 0 {
				require.GreaterOrEqual(t, q.Balls, a.Quantiles[i-1].Balls)
			}
		}
		require.GreaterOrEqual(t, a.Carry, a.Quantiles[2].Balls)
	})
}

func TestMoreSkillNeverNeedsMoreBalls(t *testing.T) {
	t.Parallel()
	long.Check(t, func(t *rapid.T) {
		goal := anyGoal(t)
		low := rapid.Float64Range(0.3, 1).Draw(t, "rate")
		better := ask(t, goal, rapid.Float64Range(low, 1).Draw(t, "better rate"))
		worse := ask(t, goal, low)
		require.LessOrEqual(t, better.Mean, worse.Mean*(1+1e-12))
		for i := range better.Quantiles {
			require.LessOrEqual(t, better.Quantiles[i].Balls, worse.Quantiles[i].Balls)
		}
	})
}

func TestCarryingOnIsNeverSlowerThanGoingBack(t *testing.T) {
	t.Parallel()
	long.Check(t, func(t *rapid.T) {
		goal, rate := anyGoal(t), rapid.Float64Range(0.3, 1).Draw(t, "rate")
		means, q := []float64{}, []float64{}
		for _, school := range []score.AfterMiss{score.CarriesOn, score.BackToStage, score.BackToZero} {
			goal.Miss = school
			a := ask(t, goal, rate)
			means, q = append(means, a.Mean), append(q, a.Quantiles[2].Balls)
		}
		require.LessOrEqual(t, means[0], means[1]*(1+1e-12))
		require.LessOrEqual(t, means[1], means[2]*(1+1e-12))
		require.LessOrEqual(t, q[0], q[1])
		require.LessOrEqual(t, q[1], q[2])
	})
}
