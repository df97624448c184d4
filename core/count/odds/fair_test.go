package odds_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/count/odds"
	"hodometer/internal/long"
)

// By hand: two equal players race to the same score, and who wins two points of three has to win about twice as many.
func TestFairRacesByHand(t *testing.T) {
	t.Parallel()
	even, sentence, err := odds.FairRace(t.Context(), 0.5, 16)
	require.NoError(t, err)
	require.Equal(t, even.Count, even.Against)
	require.Contains(t, sentence, "won 5 times in 10")
	uneven, _, err := odds.FairRace(t.Context(), 2.0/3, 14)
	require.NoError(t, err)
	require.InDelta(t, 2, float64(uneven.Count)/float64(uneven.Against), 0.35, uneven.String())
	for _, bad := range []struct {
		point  float64
		length int
		path   string
	}{{0, 10, "rate"}, {1, 10, "rate"}, {math.NaN(), 10, "rate"}, {0.5, 0, "length"}, {0.5, 1000, "length"}} {
		_, _, err := odds.FairRace(t.Context(), bad.point, bad.length)
		require.ErrorContains(t, err, bad.path)
	}
	_, _, err = odds.FairRace(cancelled(t), 0.5, 10)
	require.Error(t, err)
}

// The score is fair, about as long as wanted, and the other way round for the other side.
func TestFairRacesAreFair(t *testing.T) {
	t.Parallel()
	long.Check(t, func(t *rapid.T) {
		point := float64(rapid.IntRange(25, 75).Draw(t, "of 100")) / 100
		length := rapid.IntRange(8, 40).Draw(t, "length")
		goal, _, err := odds.FairRace(background, point, length)
		require.NoError(t, err)
		a := ask(t, goal, point)
		require.InDelta(t, 0.5, *a.Chance, 0.1, goal.String())
		require.InDelta(t, length, a.Mean, math.Max(1.5, 0.2*float64(length))+1e-9)
		other, _, err := odds.FairRace(background, 1-point, length)
		require.NoError(t, err)
		require.InDelta(t, 0.5, *ask(t, other, 1-point).Chance, math.Abs(*a.Chance-0.5)+1e-9, "as fair from the other side")
	})
}
