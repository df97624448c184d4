package library_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/game"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

func TestEveryReadyGameMakesSense(t *testing.T) {
	t.Parallel()
	bySport, seen := map[court.Sport]int{}, map[string]bool{}
	for _, stored := range library.Games() {
		d := stored.Document
		require.NoError(t, d.Check(), d.Name)
		require.False(t, seen[stored.ID], "every game has an identifier of its own")
		seen[stored.ID] = true
		bySport[d.Sport]++
		found, ok := library.FindGame(stored.ID)
		require.True(t, ok)
		require.Equal(t, d, found)
		f, err := d.Rules.WithMinutes(t.Context(), game.Even(), sports.Of(d.Sport).Tempo)
		require.NoError(t, err)
		length := f.Duration(sports.Of(d.Sport).Tempo)
		require.Greater(t, length.Mean, 1.0, d.Name)
		require.Less(t, length.Nearly, 45.0, d.Name)
		t.Logf(
			"%-22s %-12s %5.1f rallies, %4.1f min (%4.1f to %4.1f)",
			d.Name,
			d.Sport,
			f.Rallies,
			length.Mean,
			length.Low80,
			length.High80,
		)
	}
	require.Len(t, bySport, len(sports.All()))
	for sport, n := range bySport {
		require.GreaterOrEqual(t, n, 2, sport)
	}
	_, ok := library.FindGame("no such game")
	require.False(t, ok)
}
