package feed_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

func TestRepliesInWords(t *testing.T) {
	// By hand: half of a tennis court for singles is 11.887 by 4.115 m, so deep is 0.8 x 11.887 = 9.510 m beyond the net
	// and wide 0.8 x 4.115 = 3.292 m from the middle; short is 0.38 x 11.887 = 4.517 m. A squash court is 9.75 by 6.4 m:
	// deep is 0.8 x 9.75 = 7.8 m from the front wall, which is 2.925 m on the near side of its middle.
	for name, example := range map[string]struct {
		on      court.ID
		landing court.Point
		stroke  sports.Stroke
		place   feed.ReplyPlace
		want    court.Point
	}{
		"a ball on the right goes across to the left": {"tennis", court.Point{X: 2, Y: -9}, sports.Forehand, feed.DeepCross,
			court.Point{X: -3.292, Y: 9.510}},
		"also when it is met with a backhand": {"tennis", court.Point{X: 2, Y: -9}, sports.Backhand, feed.DeepCross,
			court.Point{X: -3.292, Y: 9.510}},
		"a ball on the left goes along the left": {"tennis", court.Point{X: -2, Y: -9}, sports.Backhand, feed.ShortLine,
			court.Point{X: -3.292, Y: 4.517}},
		"one down the middle by its stroke": {"tennis", court.Point{X: 0.1, Y: -9}, sports.Backhand, feed.DeepLine,
			court.Point{X: -3.292, Y: 9.510}},
		"to the middle": {"tennis", court.Point{X: 2, Y: -9}, sports.Forehand, feed.DeepMiddle,
			court.Point{Y: 9.510}},
		"in squash to the back wall": {"squash", court.Point{X: 2, Y: -3}, sports.Forehand, feed.DeepCross,
			court.Point{X: -2.56, Y: -2.925}},
	} {
		t.Run(name, func(t *testing.T) {
			c, err := sports.Court(example.on)
			require.NoError(t, err)
			at := example.place.At(c, example.landing, example.stroke)
			require.InDelta(t, example.want.X, at.X, 0.001)
			require.InDelta(t, example.want.Y, at.Y, 0.001)
		})
	}
}

// On every court each place is known again, lies on it, and goes over to the other side with the ball.
func TestRepliesInWordsOnEveryCourt(t *testing.T) {
	for _, c := range sports.Courts() {
		require.Len(t, feed.ReplyWordsOf(c.Sport), 6)
		for _, words := range feed.ReplyWordsOf(c.Sport) {
			right, left := court.Point{X: c.Singles / 4, Y: -c.Length / 3}, court.Point{X: -c.Singles / 4, Y: -c.Length / 3}
			at, other := words.Place.At(c, right, sports.Forehand), words.Place.At(c, left, sports.Backhand)
			require.InDelta(t, -at.X, other.X, 1e-9, "%s %s", c.ID, words.Words)
			require.InDelta(t, at.Y, other.Y, 1e-9)
			require.Less(t, math.Abs(at.X), c.Singles/2)
			require.Less(t, math.Abs(at.Y), c.Length/2)
			if c.HasNet() {
				require.Positive(t, at.Y, "%s %s: beyond the net", c.ID, words.Words)
			}
			require.Equal(t, words.Place, feed.ReplyPlaceAt(at, 0.05, c, right, sports.Forehand))
		}
		require.Empty(
			t,
			feed.ReplyPlaceAt(court.Point{X: 0.2 * c.Singles, Y: 0.01}, 0.05, c, court.Point{X: 1, Y: -2}, sports.Forehand),
		)
	}
}
