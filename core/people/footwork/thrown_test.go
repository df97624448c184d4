package footwork_test

import (
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/people/footwork"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// thrown is a drill with one ball by hand from a place to another.
func thrown(t require.TestingT, from, to court.Point, height float64) footwork.Drill {
	d := sideToSide(t, 4)
	d.Feeder = from
	d.Pattern.Method, d.Pattern.Sequences = feed.ByHand, 1
	d.Pattern.Tasks = []feed.Task{{Stroke: sports.Forehand, Landing: court.At(to.X, to.Y), Height: height}}
	return d
}

// R16: whatever is played by hand flies no faster than a hand throws: underarm to 9 m/s, overarm to 14 (common
// practice, no source). Where it would have to, the sentence says from how much nearer it goes, and from there it does.
func TestAHandThrowsOnlySoFast(t *testing.T) {
	far := line(t, thrown(t, court.Point{Y: 9}, court.Point{X: 2, Y: -9}, 0), clubPlayer).Interceptions[0]
	require.Contains(t, far.Problem, "a hand throws underarm at up to 9 m/s")
	require.Contains(t, far.Problem, "nearer")
	near := line(t, thrown(t, court.Point{Y: 1}, court.Point{X: 0.5, Y: -3}, 0), clubPlayer).Interceptions[0]
	require.Empty(t, near.Problem)
	// What is only too quick is cured by its pace, not by sixteen metres.
	for _, c := range []struct {
		feeder, height float64
		cure           string
	}{{2, 0, "at its usual pace it goes"}, {2, 1.8, "at half pace it goes"}, {10, 1.8, "at gentle pace it goes"}} {
		quick := thrown(t, court.Point{Y: c.feeder}, court.Point{X: 0.5, Y: -4}, c.height)
		quick.Pattern.Tasks[0].Pace = sports.GamePace
		require.Contains(t, line(t, quick, clubPlayer).Interceptions[0].Problem, c.cure)
	}
	rapid.Check(t, func(t *rapid.T) {
		from := court.Point{X: rapid.Float64Range(-4, 4).Draw(t, "x"), Y: rapid.Float64Range(0.5, 11).Draw(t, "y")}
		to := court.Point{X: rapid.Float64Range(-4, 4).Draw(t, "to x"), Y: rapid.Float64Range(-11, -2).Draw(t, "to y")}
		height := rapid.SampledFrom([]float64{0, 1.8}).Draw(t, "height")
		m := line(t, thrown(t, from, to, height), clubPlayer).Interceptions[0]
		if m.Problem != "" {
			return
		}
		most := 9.0
		if height > 0 {
			most = 14
		}
		require.LessOrEqual(t, m.Speed, most)
	})
}
