package odds_test

import (
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/count/odds"
)

// By hand: 50 of 100 against 40 of 100 differ by 0.1, and by √(0.5·0.5/100 + 0.4·0.6/100) = 0.07 as it happens: 1.43 of
// it, which a normal distribution is below 923 times in 1000.
func TestAStrokeInGamesIsSetAgainstDrills(t *testing.T) {
	t.Parallel()
	even, ok := odds.TransferOf(odds.Done{Made: 50, Missed: 50}, odds.Done{Made: 40, Missed: 60})
	require.True(t, ok)
	require.InDelta(t, 0.1, even.Between.Mean, 1e-12)
	require.InDelta(t, 0.923, even.Fewer, 0.003)
	require.Equal(t, "less is made in games 92 times in 100", even.Sure)
	require.Equal(t, "no sure difference between drills and games yet", even.Between.Sentence)

	sure, ok := odds.TransferOf(odds.Done{Made: 56, Missed: 14}, odds.Done{Made: 48, Missed: 32})
	require.True(t, ok)
	require.Equal(t, "2 of 10 fewer in games than in drills", sure.Between.Sentence)
	require.InDelta(t, 0.0524, sure.Between.Low, 5e-5, "Newcombe’s own example")
	require.InDelta(t, 0.3339, sure.Between.High, 5e-5)
	require.Greater(t, sure.Fewer, 0.99)

	for _, nothing := range [][2]odds.Done{{{}, {Made: 3}}, {{Made: 3}, {}}} {
		_, ok := odds.TransferOf(nothing[0], nothing[1])
		require.False(t, ok)
	}
}

func TestHowSureATransferIs(t *testing.T) {
	t.Parallel()
	rapid.Check(t, func(t *rapid.T) {
		done := func(name string) odds.Done {
			d := odds.Done{
				Made:   rapid.IntRange(0, 40).Draw(t, name+" made"),
				Missed: rapid.IntRange(0, 40).Draw(t, name+" missed"),
			}
			d.Made++
			return d
		}
		drills, games := done("drills"), done("games")
		here, _ := odds.TransferOf(drills, games)
		there, _ := odds.TransferOf(games, drills)
		require.InDelta(t, 1, here.Fewer+there.Fewer, 0.004)
		require.InDelta(t, -here.Between.Mean, there.Between.Mean, 1e-12)
		if here.Fewer > 1-1e-9 {
			return // as sure as numbers go
		}
		worse := games
		worse.Missed++
		lower, _ := odds.TransferOf(drills, worse)
		require.Greater(t, lower.Fewer, here.Fewer, "one more that is missed in games")
		better, _ := odds.TransferOf(drills.Add(odds.Done{Made: 1}), games)
		require.Greater(t, better.Fewer, here.Fewer, "one more that is made in drills")
	})
}
