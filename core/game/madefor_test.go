package game_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"
	"gonum.org/v1/gonum/stat/combin"

	"hodometer/core/game"
)

// By hand: to 10 against 5, who wins 0.67 to 0.68 of the rallies has 10 of the first 14 as often as not (the chance of
// at least 10 of 14 is 0.49 and 0.52 there), and a game goes on after n rallies where fewer than 10 of them are won,
// and fewer than 5 lost.
func TestAGameForUnequalsIsTheirs(t *testing.T) {
	rules := game.Rules{Rally: 1, Spots: []game.Spot{{Side: game.Near}, {Side: game.Far}}}
	of := func(near, far int) (float64, float64, string) {
		rules.End = game.End{Near: near, Far: far}
		c, err := rules.MadeFor(t.Context())
		require.NoError(t, err)
		f, err := rules.Forecast(t.Context(), c, 0)
		require.NoError(t, err)
		return c.NearFeeds, f.Rallies, c.Between()
	}
	share, rallies, said := of(10, 5)
	require.InDelta(t, 0.67, share, 0.015)
	byHand := 0.0
	for n := range 14 {
		for won := max(0, n-4); won <= min(n, 9); won++ {
			byHand += math.Exp(combin.LogGeneralizedBinomial(float64(n), float64(won))) *
				math.Pow(share, float64(won)) * math.Pow(1-share, float64(n-won))
		}
	}
	require.InDelta(t, byHand, rallies, 1e-6)
	require.Greater(t, rallies, 11.5, "equals have about 9")
	require.Regexp(t, `^where the near side wins 6\.[78] of 10 rallies$`, said)

	other, same, said := of(5, 10)
	require.InDelta(t, 1-share, other, 0.011)
	require.InDelta(t, rallies, same, 0.3)
	require.Regexp(t, `^where the far side wins 6\.\d of 10 rallies$`, said)

	share, _, said = of(7, 7)
	require.Equal(t, 0.5, share)
	require.Equal(t, "between equals", said)

	// The more unequal the points, the better the one who needs more of them.
	last := 0.5
	for far := 9; far >= 3; far-- {
		share, _, _ := of(10, far)
		require.Greater(t, share, last)
		last = share
	}
}
