package odds_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/count/tally"
)

// By hand: 8 of 10 made, and nothing known of the kinds: a third of 0.2 goes into the net. With n = 20 balls and at
// most one of them into the net the chance is qⁿ + n(1−q)qⁿ⁻¹ for q = 1 − 0.2/3. A minute of balls 3 s apart is 20 of
// them.
func TestFewMissesOfOneKindAndWithinATime(t *testing.T) {
	t.Parallel()
	q := 1 - 0.2/3
	want := math.Pow(q, 20) + 20*(1-q)*math.Pow(q, 19)
	ask := odds.Question{
		Goal:  score.Goal{Kind: score.FewMisses, Count: 20, Misses: 1, Only: tally.IntoNet},
		Rate:  0.8,
		Clock: odds.Clock{Gap: 3, Sequence: 1, People: 1, Basket: 60},
	}
	chance := func(q odds.Question) float64 {
		a, err := q.Answer(t.Context())
		require.NoError(t, err)
		within, err := q.Within(t.Context())
		require.NoError(t, err)
		require.InDelta(t, *a.Chance, within, 1e-9)
		return *a.Chance
	}
	require.InDelta(t, want, chance(ask), 1e-9)
	timed := ask
	timed.Goal.Count, timed.Goal.Minutes = 1, 1
	require.InDelta(t, want, chance(timed), 1e-9)
	n, _, many := timed.Attempts()
	require.Equal(t, 20, n)
	require.Equal(t, "balls", many)

	// Whoever misses into the net more often keeps it less often; any kind counts more than one of them.
	ask.Kinds = odds.Kinds{Net: 0.8, Long: 0.1, Wide: 0.1}
	require.Less(t, chance(ask), want)
	ask.Goal.Only = ""
	require.Less(t, chance(ask), want)

	// What fits in a time is the fewest misses that are kept 4 times in 5.
	goal, err := timed.Attainable(t.Context())
	require.NoError(t, err)
	timed.Goal = goal
	require.GreaterOrEqual(t, chance(timed), odds.WantedChance)
	timed.Goal.Misses--
	require.Less(t, chance(timed), odds.WantedChance)
}

// By hand: six balls of a third each before, and four into the net and two long: 6/12, 4/12, 2/12.
func TestTheKindsOfMissesAreLearnt(t *testing.T) {
	t.Parallel()
	e := odds.Marked([]odds.Practised{{Made: 10, Missed: 6, Net: 4, Long: 2}})
	require.InDelta(t, 6.0/12, e.Kinds.Net, 1e-12)
	require.InDelta(t, 4.0/12, e.Kinds.Of(tally.Long), 1e-12)
	require.InDelta(t, 2.0/12, e.Kinds.Of(tally.Wide), 1e-12)
	require.InDelta(t, 1, e.Kinds.Of(""), 0)
	require.InDelta(t, 1.0/3, odds.Kinds{}.Of(tally.Wide), 1e-12)
}

// By hand: whoever keeps 9 of 10 strokes in play gets to nine of them 0.9⁹ = 39 times in 100; at 5 of 10 that is once
// in 500.
func TestWhatIsTooSlowIsForecast(t *testing.T) {
	t.Parallel()
	ask := odds.Question{
		Goal:  score.Goal{Kind: score.Rallies, Count: 3, From: 4, To: 8},
		Rate:  0.9,
		Clock: odds.Clock{Gap: 2, Sequence: 1, People: 1, Basket: 60},
	}
	a, err := ask.Answer(t.Context())
	require.NoError(t, err)
	require.Contains(t, a.Sentence, "4 times in 10 a rally gets to 9 strokes, which is too slow")
	ask.Rate = 0.5
	a, err = ask.Answer(t.Context())
	require.NoError(t, err)
	require.NotContains(t, a.Sentence, "too slow")
}
