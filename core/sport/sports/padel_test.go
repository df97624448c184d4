package sports_test

import (
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

func padelCourt(t require.TestingT) court.Court {
	c, err := sports.Court("padel")
	require.NoError(t, err)
	return c
}

// Rules of padel of its international federation, rules on the court and the enclosure: 10 × 20 m, the net 0.88 m in
// the middle and 0.92 m at its ends, service lines 6.95 m from it, glass 3 m high at the back with a metre of mesh over
// it. From memory.
func TestAPadelCourtIsBuiltByItsRules(t *testing.T) {
	c := padelCourt(t)
	require.Equal(t, []float64{10, 20, 0.88, 0.92}, []float64{c.Width, c.Length, c.Net.Centre, c.Net.Post})
	line, there := c.Line(court.FarService)
	require.True(t, there)
	require.Equal(t, 6.95, line.From.Y)
	require.True(t, c.HasNet() && c.PlaysWalls())
	require.False(t, c.HasFrontWall())
	for _, at := range []struct {
		foot          court.LineID
		along, height float64
		of            string
	}{
		{court.NearBaseline, -4.9, 2.9, "glass"}, {court.FarBaseline, 0, 3.5, "mesh"}, {court.FarBaseline, 0, 4.1, ""},
		{court.LeftSide, 9, 2.9, "glass"}, {court.LeftSide, -9, 2.9, "glass"}, {court.RightSide, 7, 1.9, "glass"},
		{court.RightSide, 7, 2.5, "mesh"}, {court.RightSide, 0, 1, "mesh"}, {court.RightSide, 0, 3.2, ""},
		{court.LeftSide, -9, 3.5, "mesh"},
	} {
		material, there := c.WallAt(at.foot, at.along, at.height)
		require.Equal(t, at.of, material, "%s %g m along, %g m up", at.foot, at.along, at.height)
		require.Equal(t, at.of != "", there)
	}
}

// A ball that has bounced comes off the glass, slower than it came and from the mesh slower still; one that has not
// bounced is out, and one that goes over the mesh is gone.
func TestABallComesOffTheGlassAfterItsBounce(t *testing.T) {
	w := sports.World(padelCourt(t), "")
	towards := func(from flight.Vec, velocity flight.Vec) flight.Path {
		return w.Follow(flight.Launch{From: from, Velocity: velocity}, 2)
	}
	speeds := func(path flight.Path) (before, after float64) {
		wall, there := path.OffWall()
		require.True(t, there)
		return path.At(wall.T - 0.01).V.Norm(), path.At(wall.T + 0.02).V.Norm()
	}
	before, after := speeds(towards(flight.Vec{X: 1, Y: -5, Z: 0.6}, flight.Vec{Y: -12, Z: -1}))
	require.Less(t, after, 0.85*before)
	require.Greater(t, after, 0.4*before)
	ownBefore, own := speeds(towards(flight.Vec{X: 1.5, Y: -2, Z: 0.6}, flight.Vec{X: 10, Z: -1}))
	require.Less(t, own/ownBefore, after/before, "mesh takes more than glass")

	straight := towards(flight.Vec{X: 1, Y: -7, Z: 1}, flight.Vec{Y: -20, Z: 2})
	_, there := straight.First(flight.Walled)
	require.False(t, there, "it meets the glass before it has bounced: it is out")
	bounce, there := straight.Bounce(0)
	require.True(t, there)
	require.Less(t, bounce.P.Y, -10.0)

	high := towards(flight.Vec{X: 1, Y: -8.6, Z: 6}, flight.Vec{Y: -2.2, Z: -22})
	_, there = high.OffWall()
	require.False(t, there, "it bounces over the mesh and is gone")
}

// The higher a ball bounces before the glass, and the faster it comes, the farther from it it comes down again.
func TestAFasterBallComesFartherOffTheGlass(t *testing.T) {
	w := sports.World(padelCourt(t), "")
	out := func(speed float64) float64 {
		path := w.Follow(flight.Launch{From: flight.Vec{Y: -5, Z: 0.6}, Velocity: flight.Vec{Y: -speed, Z: -1}}, 2)
		_, off := path.OffWall()
		second, again := path.Bounce(1)
		require.True(t, off && again, "at %g m/s", speed)
		return second.P.Y + 10
	}
	rapid.Check(t, func(r *rapid.T) {
		speed := rapid.Float64Range(12, 16).Draw(r, "speed")
		require.Greater(r, out(speed+1), out(speed))
	})
}
