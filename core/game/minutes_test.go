package game_test

import (
	"math/rand/v2"
	"slices"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/game"
	"hodometer/core/sport/sports"
)

// By hand: a rally of four strokes on average ends with each of them one time in four, so that it has at most k strokes
// with the chance 1 − 0.75^k: 0.762 for 5, and 999 of 1000 for 25, since 0.75^24 = 0.00100336. Strokes of 2 s and 10 s
// between rallies make 20 s of five of them, and 60 s of 25.
func TestTheMinutesOfOneRally(t *testing.T) {
	t.Parallel()
	rules := library.Games()[1].Document.Rules
	rules.End = game.End{Rallies: 1}
	f, err := rules.Forecast(t.Context(), game.At(0.5), 0)
	require.NoError(t, err)
	tempo := sports.Tempo{Strokes: 4, Stroke: 2, Between: 10}
	require.InDelta(t, 0.7627, f.OverIn(tempo, 20.0/60), 1e-4)
	require.InDelta(t, 0.6836, f.OverIn(tempo, 19.9/60), 1e-4)
	require.InDelta(t, 0, f.OverIn(tempo, 11.9/60), 1e-12, "a stroke takes 2 s")
	require.InDelta(t, 1, f.Duration(tempo).Nearly, 1e-6)
	still := sports.Tempo{Strokes: 1, Stroke: 2, Between: 10}
	require.InDelta(t, 0.2, f.Duration(still).Nearly, 1e-6, "every rally has one stroke")
}

// A game to 11, played 40 000 times by a fixed seed: the minutes that 999 of 1000 stay under are those of the games to
// a hundredth or two, and so are the others. By a normal sum they were up to 6 of 100 too few.
func TestTheMinutesOfManyGames(t *testing.T) {
	t.Parallel()
	rules := library.Games()[1].Document.Rules
	rules.End = game.End{Rallies: 9}
	tempo := sports.Tempo{Strokes: 6, Stroke: 1.4, Between: 4}
	f, err := rules.Forecast(t.Context(), game.At(0.5), 0)
	require.NoError(t, err)
	draw := rand.New(rand.NewPCG(1, 2)) //nolint:gosec // a sample, not a secret
	games := make([]float64, 40_000)
	for i := range games {
		for range 9 {
			games[i] += tempo.Between + tempo.Stroke
			for draw.Float64() > 1/tempo.Strokes {
				games[i] += tempo.Stroke
			}
		}
	}
	slices.Sort(games)
	d := f.Duration(tempo)
	for share, minutes := range map[float64]float64{
		0.999: d.Nearly, 0.9: d.High80, 0.1: d.Low80, 0.25: d.Low50, 0.75: d.High50,
	} {
		require.InEpsilon(t, games[int(share*40_000)]/60, minutes, 0.02, share)
	}
}
