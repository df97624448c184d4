package court_test

import (
	"math"
	"slices"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/basics/invalid"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
	"hodometer/internal/long"
)

func TestTargets(t *testing.T) {
	tennis, squash, table := find(t, "tennis"), find(t, "squash"), find(t, "table-tennis")
	corner := court.At
	at := court.At(2, 8)
	for _, c := range []struct {
		name              string
		court             court.Court
		target            court.Target
		area, out, margin float64
	}{
		{"a box by name is all of itself", tennis, court.Target{Kind: court.BoxTarget, Box: "far-deuce-service-box"},
			13.5 * 21 * ft * ft, 0, 13.5 * ft / 2},
		{"a rectangle round a mark", tennis, court.Target{Kind: court.BoxTarget, Mark: &at, Width: 1, Depth: 2}, 2, 0,
			13.5*ft - 2},
		{"a triangle, by hand 2 × 3 / 2", tennis, court.Target{Kind: court.Polygon,
			Points: []court.Mark{corner(0, 5), corner(2, 5), corner(0, 8)}}, 3, 0, 13.5*ft - 2./3},
		{"half of a square over the baseline is out", tennis, court.Target{Kind: court.Polygon,
			Points: []court.Mark{corner(-1, 39*ft-1), corner(1, 39*ft-1), corner(1, 39*ft+1), corner(-1, 39*ft+1)}}, 2, 0.5, 0},
		{"a can on the baseline counts only by half", tennis, court.Target{Kind: court.Object, Radius: 0.1,
			Mark: &[]court.Mark{court.At(0, 39*ft)}[0]}, math.Pi * 0.01 / 2, 0.5, 0},
		{"two bounces in a half of the table", table, court.Target{Kind: court.DoubleBounce, Box: "far-right-half-court"},
			1.525 / 2 * 1.37, 0, 1.525 / 4},
		{"a band across the whole front wall", squash, court.Target{Kind: court.WallBand, Low: 1.78, High: 2.78}, 6.4, 0,
			1.30},
		{"a band that reaches over the line by half", squash, court.Target{Kind: court.WallBand, Low: 4.07, High: 5.07,
			Width: 2, Mark: &[]court.Mark{court.At(2, 0)}[0]}, 2 * 0.5, 0.5, -0.5},
		{"a window over the middle of the net", tennis, court.Target{Kind: court.Window, Low: 0.5, High: 1.5, Width: 2,
			Mark: &[]court.Mark{court.At(0, 0)}[0]}, 2, 0, 0.5},
	} {
		t.Run(c.name, func(t *testing.T) {
			s, err := c.court.Shape(c.target, court.Singles)
			require.NoError(t, err)
			require.InDelta(t, c.area, s.Area, 1e-4)
			require.InDelta(t, c.out, s.Out, 1e-4)
			require.InDelta(t, c.margin, s.Margin, 1e-9)
			require.Equal(t, c.target.Mirrored().Mirrored(), c.target)
			require.NotEmpty(t, c.court.DescribeTarget(c.target, court.Tape{}))
		})
	}
	// The window's heights are over the floor: the net is 3 ft in the middle.
	w, err := tennis.Shape(court.Target{Kind: court.Window, Low: 0.5, High: 1.5}, court.Singles)
	require.NoError(t, err)
	require.InDelta(t, 3*ft+0.5, w.Low, 1e-9)
	// A ball 1 m wide of the singles sideline is in the alley: in for doubles, out for singles.
	alley := court.Ring(0.5, court.At(13.5*ft+0.7, 8))
	singles, err := tennis.Shape(alley, court.Singles)
	require.NoError(t, err)
	require.InDelta(t, 1, singles.Out, 1e-9)
	doubles, err := tennis.Shape(alley, court.Doubles)
	require.NoError(t, err)
	require.InDelta(t, 0, doubles.Out, 1e-9)

	post, other := court.At(1, 5), court.At(1, 6.5)
	gate, err := tennis.Shape(court.Target{Kind: court.Gate, Mark: &post, Other: &other}, court.Singles)
	require.NoError(t, err)
	require.InDelta(t, 1.5, gate.Area, 1e-9, "a gate is as wide as its posts are apart")
	gate, err = tennis.Shape(court.Target{Kind: court.Gate, Mark: &post, Line: court.RightSingles}, court.Singles)
	require.NoError(t, err)
	require.InDelta(t, 13.5*ft-1, gate.Area, 1e-9, "or as far as the line")

	for _, c := range []struct {
		name   string
		court  court.Court
		target court.Target
		path   string
	}{
		{"a polygon that crosses itself", tennis, court.Target{Kind: court.Polygon,
			Points: []court.Mark{corner(0, 5), corner(2, 8), corner(2, 5), corner(0, 8)}}, "points"},
		{"two corners", tennis, court.Target{Kind: court.Polygon, Points: []court.Mark{corner(0, 5), corner(2, 8)}},
			"points"},
		{"a polygon of no size", tennis, court.Target{Kind: court.Polygon,
			Points: []court.Mark{corner(0, 5), corner(1, 5), corner(2, 5)}}, "points"},
		{"a corner off the map", tennis, court.Target{Kind: court.Polygon,
			Points: []court.Mark{corner(0, 5), corner(50, 5), corner(2, 8)}}, "points.1"},
		{"a box that is not there", tennis, court.Target{Kind: court.BoxTarget, Box: "attic"}, "box"},
		{"a rectangle of no depth", tennis, court.Target{Kind: court.BoxTarget, Mark: &at, Width: 1}, "depth"},
		{"a gate of one post", tennis, court.Target{Kind: court.Gate, Mark: &post}, "other"},
		{"a gate to a line that is not there", tennis, court.Target{Kind: court.Gate, Mark: &post, Line: "rope"}, "line"},
		{"a window upside down", tennis, court.Target{Kind: court.Window, Low: 2, High: 1}, "high"},
		{"a window in squash", squash, court.Target{Kind: court.Window, High: 1}, "kind"},
		{"a wall in tennis", tennis, court.Target{Kind: court.WallBand, High: 1}, "kind"},
	} {
		t.Run(c.name, func(t *testing.T) {
			_, err := c.court.Shape(c.target, court.Singles)
			var fields invalid.Fields
			require.ErrorAs(t, err, &fields)
			require.Equal(t, c.path, fields[0].Path)
		})
	}
}

// TestAShareIsOfABoxThatHoldsTheTarget sets circles of every size everywhere on every court.
func TestAShareIsOfABoxThatHoldsTheTarget(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		c := rapid.SampledFrom(sports.Courts()).Draw(t, "court")
		x, y := rapid.Float64Range(-0.5, 0.5).Draw(t, "x")*c.Singles, rapid.Float64Range(-0.5, 0.5).Draw(t, "y")*c.Length
		mark := court.At(x, y)
		shape, err := c.Shape(
			court.Target{Kind: court.Circle, Mark: &mark, Radius: rapid.Float64Range(0.05, 8).Draw(t, "radius")},
			"",
		)
		require.NoError(t, err)
		require.GreaterOrEqual(t, shape.Share, 0.0)
		require.LessOrEqual(t, shape.Share, 1.0)
		if shape.Box == "" {
			require.Zero(t, shape.Share, "nothing holds it, so there is no share")
			return
		}
		i := slices.IndexFunc(c.Boxes, func(b court.Box) bool { return b.Name == shape.Box })
		require.LessOrEqual(t, shape.Area, c.Boxes[i].Area()+1e-6)
		require.True(t, c.Boxes[i].Holds(court.Point{X: x, Y: y}))
	})
}
