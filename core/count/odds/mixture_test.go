package odds_test

import (
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/people/skill"
	"hodometer/internal/long"
)

// By hand: somebody who makes, as likely, 2 or 6 of 10. One make within one ball: 4 times in 10; within two 0.36 or
// 0.84, so 6 times in 10; within four 0.590 or 0.974, within five 0.672 or 0.990: 8 times in 10 it takes five (0.831).
func TestAGoalOfARateThatIsNotKnownByHand(t *testing.T) {
	t.Parallel()
	q := odds.Question{
		Goal: score.Goal{Kind: score.Total, Count: 1}, Rate: 0.4, Balls: 2,
		Likely: []skill.Likely{{Rate: 0.2, Share: 0.5}, {Rate: 0.6, Share: 0.5}},
		Clock:  odds.Clock{Gap: 2, Sequence: 1, People: 1, Basket: 60},
	}
	a, err := q.Answer(t.Context())
	require.NoError(t, err)
	require.InDelta(t, 0.6, *a.Chance, 1e-12)
	require.InDelta(t, 2, a.Quantiles[0].Balls, 0, "half the time")
	require.InDelta(t, 5, a.Quantiles[1].Balls, 0, "8 times in 10: within four it is 0.782")
	require.InDelta(t, 2.5, a.Mean, 1e-9, "as told: one of four in ten")
	attempts, _, ok, err := q.Enough(t.Context())
	require.NoError(t, err)
	require.True(t, ok)
	require.InDelta(t, 5, attempts, 0)

	// With another goal before it, whoever makes more of that makes more of this: two of two in a row.
	q.Before = []odds.Leg{{Goal: q.Goal, Rate: 0.4, Likely: q.Likely}}
	within, err := q.Within(t.Context())
	require.NoError(t, err)
	require.InDelta(t, (0.04+0.36)/2, within, 1e-12)

	// As many as possible: of two balls one at least.
	many := odds.Question{
		Goal: score.Goal{Kind: score.AsManyAsPossible, Count: 1, Minutes: 4.0 / 60},
		Rate: 0.4, Likely: q.Likely, Clock: q.Clock,
	}
	within, err = many.Within(t.Context())
	require.NoError(t, err)
	require.InDelta(t, 0.6, within, 1e-12)

	// And from where it stands: one more with one ball left.
	q.Before, q.Balls, q.From = nil, 1, []score.State{0}
	low, high, err := q.FromHere(t.Context())
	require.NoError(t, err)
	require.InDelta(t, 0.4, low, 1e-12)
	require.InDelta(t, 0.4, high, 1e-12)
}

// A rate that may be one thing only is a rate that is known; what may be more or less makes the sure less sure, and the
// unlikely likelier; each share of the outcomes is really so large.
func TestARateThatIsNotKnown(t *testing.T) {
	t.Parallel()
	long.Check(t, func(t *rapid.T) {
		q := odds.Question{
			Goal: score.Goal{
				Kind:  rapid.SampledFrom([]score.Kind{score.Total, score.Streak}).Draw(t, "kind"),
				Count: rapid.IntRange(1, 8).Draw(t, "count"),
			},
			Rate:  rapid.Float64Range(0.3, 0.9).Draw(t, "rate"),
			Balls: rapid.IntRange(1, 60).Draw(t, "balls"),
			Clock: odds.Clock{Gap: 2, Sequence: 1, People: 1, Basket: 60},
		}
		known, err := q.Answer(t.Context())
		require.NoError(t, err)
		q.Likely = []skill.Likely{{Rate: q.Rate, Share: 0.3}, {Rate: q.Rate, Share: 0.7}}
		same, err := q.Answer(t.Context())
		require.NoError(t, err)
		require.InDelta(t, *known.Chance, *same.Chance, 1e-9)
		for i := range known.Quantiles {
			require.InDelta(t, known.Quantiles[i].Balls, same.Quantiles[i].Balls, 1)
		}
		q.Likely = skill.Belief{Better: skill.Estimate{SD: 0.9}, Attempt: skill.Of(q.Rate)}.Likely()
		open, err := q.Answer(t.Context())
		require.NoError(t, err)
		require.Greater(t, open.Quantiles[3].Balls, known.Quantiles[3].Balls-1e-9)
		for _, each := range open.Quantiles {
			if !each.Exact || each.Balls > 1e6 {
				continue
			}
			q.Balls = int(each.Balls)
			within, err := q.Within(t.Context())
			require.NoError(t, err)
			require.GreaterOrEqual(t, within, each.Share-1e-3)
			if q.Balls--; q.Balls > 0 {
				less, err := q.Within(t.Context())
				require.NoError(t, err)
				require.Less(t, less, each.Share+1e-3)
			}
		}
	})
}
