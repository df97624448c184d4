package feed_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/court"
	"hodometer/core/feed"
)

func TestTiming(t *testing.T) {
	// By hand: two balls 3.5 s apart and a pause of 6 s make 2×3.5+6 = 13 s; three of them 39 s.
	p := feed.Pattern{
		Gap: 3.5, Sequences: 3, Pause: 6,
		Balls: []feed.Ball{{Stroke: feed.Forehand, Landing: court.At(1, -5)}, {Stroke: feed.Overhead, Landing: court.At(-1, -5)}},
	}
	require.Equal(t, 6, p.BallsPerTurn())
	require.InDelta(t, 13, p.SequenceSeconds(), 1e-12)
	require.InDelta(t, 39, p.TurnSeconds(), 1e-12)
	require.InDelta(t, 60/3.5, p.Rate(), 1e-12)
	require.InDelta(t, 6*60.0/39, p.BlockRate(), 1e-12)
	require.InDeltaSlice(t, []float64{0, 3.5, 13, 16.5, 26, 29.5}, p.Releases(), 1e-12)
	require.Equal(t, 3, p.Count(feed.Stroke.AboveHead))
	require.Equal(t, p, p.Mirrored().Mirrored())
	require.InDelta(t, -1, p.Mirrored().Balls[0].Landing.Place.X, 1e-12)
	require.Equal(t, feed.Forehand, p.Mirrored().Balls[0].Stroke, "mirroring keeps the strokes")
}
