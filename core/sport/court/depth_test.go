package court_test

import (
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
	"hodometer/internal/long"
)

// By hand: half a table is 1.37 m long (ITTF, The Table, from memory), a third of it 0.457 m.
func TestThirdsOfATable(t *testing.T) {
	c, err := sports.Court("table-tennis")
	require.NoError(t, err)
	for y, third := range map[float64]string{-0.1: "short third", 0.45: "short third", -0.5: "middle third",
		0.9: "middle third", -0.92: "long third", 1.37: "long third", -1.5: ""} {
		require.Equal(t, third, c.Third(court.Point{X: 0.3, Y: y}), y)
	}
	full, err := sports.Court("tennis")
	require.NoError(t, err)
	require.Empty(t, full.Third(court.Point{Y: -3}))
}

// A place is said from the nearest lines and is the same place again, on every court.
func TestAPlaceIsSaidFromTheNearestLines(t *testing.T) {
	long.Check(t, func(r *rapid.T) {
		c := rapid.SampledFrom(sports.Courts()).Draw(r, "court")
		p := court.Point{
			X: rapid.Float64Range(-c.Width/2, c.Width/2).Draw(r, "x"),
			Y: rapid.Float64Range(-c.Length/2, c.Length/2).Draw(r, "y"),
		}
		mark := c.Nearby(p)
		at, err := c.Resolve(mark)
		require.NoError(r, err)
		require.InDelta(r, p.X, at.X, 1e-9)
		require.InDelta(r, p.Y, at.Y, 1e-9)
		for _, m := range mark.Measures {
			require.LessOrEqual(r, m.Distance, c.Length/2, "from a line that is near")
		}
	})
}

// A feeder who comes over to the near half is told from there, not from the far baseline; on their own half from the
// lines they were told from.
func TestWhoComesOverTheNetIsToldFromThere(t *testing.T) {
	t.Parallel()
	c, err := sports.Court("tennis")
	require.NoError(t, err)
	far := court.From(court.Off("far-baseline", 1, court.In), court.Off("far-centre-line", 1, court.Right))
	at := court.Point{X: 1, Y: -6}
	over := c.Remeasure(at, far)
	require.NotContains(t, c.Describe(over, court.Tape{}), "far")
	back, err := c.Resolve(over)
	require.NoError(t, err)
	require.InDelta(t, 0, back.Distance(at), 1e-9)
	require.Equal(t, far.Measures[0].Line, c.Remeasure(court.Point{X: 1, Y: 6}, far).Measures[0].Line)
}
