package odds_test

import (
	"context"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/count/odds"
	"hodometer/core/count/score"
)

func fromHere(t require.TestingT, g score.Goal, states []score.State, rate float64, attempts int) float64 {
	q := odds.Question{
		Goal: g, Rate: rate, Partner: rate, Balls: attempts, Unit: score.Ball, From: states,
		Seconds: float64(attempts) + 0.5, Clock: odds.Clock{Gap: 1, Sequence: 1, People: 1, Basket: 1000},
	}
	low, high, err := q.FromHere(context.Background())
	require.NoError(t, err)
	require.LessOrEqual(t, low, high+1e-12)
	return low
}

// By hand: two more in a row with three balls left at one half. The first two (1/4), or a miss and then two (1/8).
func TestAChanceFromHereByHand(t *testing.T) {
	t.Parallel()
	two := score.Goal{Kind: score.Streak, Count: 2}
	require.InDelta(t, 0.375, fromHere(t, two, nil, 0.5, 3), 1e-12)
	require.InDelta(
		t,
		1-0.5*0.75,
		fromHere(t, two, []score.State{1}, 0.5, 3),
		1e-12,
		"with one made, the next one, or a miss and then two",
	)
	require.InDelta(t, 1, fromHere(t, two, []score.State{score.Met}, 0.5, 0), 1e-12)
	require.Zero(t, fromHere(t, two, nil, 0.5, 1))
	// One miss may still be made of three; with one made of it, it is kept as long as the next two are made.
	few := score.Goal{Kind: score.FewMisses, Count: 3, Misses: 0}
	m := few.Machine()
	require.InDelta(t, 0.25, fromHere(t, few, []score.State{m.Next(0, score.Make)}, 0.5, 2), 1e-12)
	require.Zero(t, fromHere(t, few, []score.State{score.Lost}, 0.5, 2))
	// As many as possible: of two left at one half, one more is wanted.
	low, err := odds.Question{
		Goal: score.Goal{Kind: score.AsManyAsPossible, Count: 3, Minutes: 2.0 / 60}, Rate: 0.5, Have: 2,
		Clock: odds.Clock{Gap: 1, Sequence: 1, People: 1, Basket: 1000},
	}.Within(context.Background())
	require.NoError(t, err)
	require.InDelta(t, 0.75, low, 1e-12)
}

// With nothing counted yet it is the chance that the plan gives; more attempts, a better player and more that is made
// never make it less likely.
func TestAChanceFromHereIsThePlansAtFirst(t *testing.T) {
	t.Parallel()
	rapid.Check(t, func(t *rapid.T) {
		count := rapid.IntRange(1, 12).Draw(t, "count")
		g := rapid.SampledFrom([]score.Goal{
			{
				Kind:  score.Total,
				Count: count,
			},
			{Kind: score.Streak, Count: count},
			{Kind: score.Streak, Count: 1 + count%4, Sets: 2},
			{
				Kind:  score.Routine,
				Count: count,
				Then:  2,
			},
			{Kind: score.Stages, Stages: []score.Stage{{Count: 3}, {Count: 2, Hard: score.Harder}}},
		}).Draw(t, "goal")
		if g.Check() != nil {
			t.Skip("no goal that makes sense")
		}
		rate, n := rapid.Float64Range(0.05, 0.95).Draw(t, "rate"), rapid.IntRange(1, 80).Draw(t, "attempts")
		planned, err := odds.Question{
			Goal:    g,
			Rate:    rate,
			Partner: rate,
			Balls:   n,
			Unit:    score.Ball,
		}.Within(
			context.Background(),
		)
		require.NoError(t, err)
		here := fromHere(t, g, nil, rate, n)
		require.InDelta(t, planned, here, 1e-9)
		require.GreaterOrEqual(t, fromHere(t, g, nil, rate, n+1), here-1e-12)
		require.GreaterOrEqual(t, fromHere(t, g, nil, rate+0.04, n), here-1e-12)
		m := g.Machine()
		require.GreaterOrEqual(t, fromHere(t, g, []score.State{m.Next(0, score.Make)}, rate, n), here-1e-12)
	})
}
