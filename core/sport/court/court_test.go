package court_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/units"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
	"hodometer/internal/long"
)

const ft = units.Foot

func find(t require.TestingT, id court.ID) court.Court {
	c, err := sports.Court(id)
	require.NoError(t, err)
	return c
}

func TestDimensions(t *testing.T) {
	for _, c := range []struct {
		name          string
		id            court.ID
		line          court.LineID
		across        bool
		distance      float64 // from the middle
		length, width float64
	}{
		// ITF Rules of Tennis, Rule 1: 78 ft × 27 ft, doubles 36 ft, service line 21 ft from the net.
		{"the tennis baseline is 39 ft from the net", "tennis", court.FarBaseline, true, 39 * ft, 78 * ft, 36 * ft},
		{"the tennis service line is 21 ft from the net", "tennis", court.FarService, true, 21 * ft, 78 * ft, 36 * ft},
		{"the tennis singles sideline is 13 ft 6 in from the middle", "tennis", court.RightSingles, false, 13.5 * ft, 78 * ft,
			36 * ft},
		// BWF Laws of Badminton, Law 1.
		{"the badminton short service line is 1.98 m from the net", "badminton", court.FarService, true, 1.98, 13.40, 6.10},
		{"the badminton long service line is 0.76 m inside", "badminton", court.FarLong, true, 5.94, 13.40, 6.10},
		{"the badminton singles court is 5.18 m wide", "badminton", court.RightSingles, false, 2.59, 13.40, 6.10},
		// USA Pickleball rulebook, section 2 (from memory).
		{"the no-volley zone is 7 ft deep", "pickleball", court.FarKitchen, true, 7 * ft, 44 * ft, 20 * ft},
	} {
		t.Run(c.name, func(t *testing.T) {
			found := find(t, c.id)
			line, ok := found.Line(c.line)
			require.True(t, ok)
			at := line.From.X
			if c.across {
				at = line.From.Y
			}
			require.InDelta(t, c.distance, at, 1e-9)
			require.Equal(t, c.across, line.Across())
			require.InDelta(t, c.length, found.Length, 1e-9)
			require.InDelta(t, c.width, found.Width, 1e-9)
			require.NotEmpty(t, found.Source)
		})
	}
	// ITF Rules of Tennis, Rule 1: net 3 ft in the centre, 3 ft 6 in at posts 3 ft outside.
	tennis := find(t, "tennis")
	require.InDelta(t, 3*ft, tennis.Net.Centre, 1e-9)
	require.InDelta(t, 3.5*ft, tennis.Net.Post, 1e-9)
	require.InDelta(t, 21*ft, tennis.Net.HalfUp, 1e-9)
	_, err := sports.Court("moon")
	require.ErrorContains(t, err, "badminton")
}

func TestResolve(t *testing.T) {
	for _, c := range []struct {
		name string
		mark court.Mark
		x, y float64
	}{
		// Common practice, no source (T1): 4–5 ft in from the sideline, 6–7 ft in from the baseline.
		{"a short-ball mark in the far left corner", court.From(court.Off(court.FarBaseline, 6*ft, court.In),
			court.Off(court.LeftSingles, 4*ft, court.In)), -9.5 * ft, 33 * ft},
		{"a start behind the near baseline", court.From(court.Off(court.NearBaseline, 3*ft, court.Out),
			court.Off(court.NearCentre, 0, court.Right)), 0, -42 * ft},
		{"half-way from the net to the service line", court.From(court.Between(court.NetLine, court.FarService, 0.5),
			court.Off(court.FarCentre, 1, court.Left)), -1, 10.5 * ft},
		{"sideline first, baseline second", court.From(court.Off(court.RightSide, 1, court.Out),
			court.Off(court.FarBaseline, 0, court.In)), 18*ft + 1, 39 * ft},
		{"this side of the net", court.From(court.Off(court.NetLine, 2, court.Near),
			court.Off(court.NearCentre, 1, court.Right)), 1, -2},
		{"a plain place", court.At(1, 2), 1, 2},
	} {
		t.Run(c.name, func(t *testing.T) {
			p, err := find(t, "tennis").Resolve(c.mark)
			require.NoError(t, err)
			require.InDelta(t, c.x, p.X, 1e-9)
			require.InDelta(t, c.y, p.Y, 1e-9)
		})
	}
}

func TestResolveRefuses(t *testing.T) {
	for _, c := range []struct {
		name string
		mark court.Mark
		path string
		says string
	}{
		{"a line this court lacks", court.From(court.Off(court.FarKitchen, 1, court.In),
			court.Off(court.RightSide, 1, court.In)), "measures.0.line", "no line called"},
		{"two lines that run the same way", court.From(court.Off(court.FarBaseline, 1, court.In),
			court.Off(court.FarService, 1, court.In)), "measures.1.line", "run the same way"},
		{"a direction that the line lacks", court.From(court.Off(court.FarBaseline, 1, court.Left),
			court.Off(court.RightSide, 1, court.In)), "measures.0.toward", "in or out"},
		{"in from a line through the middle", court.From(court.Off(court.FarBaseline, 1, court.In),
			court.Off(court.FarCentre, 1, court.In)), "measures.1.toward", "left or right"},
		{"a fraction between lines that are not parallel", court.From(court.Between(court.NetLine, court.RightSide, 0.5),
			court.Off(court.RightSide, 1, court.In)), "measures.0.to", "not parallel"},
		{"one measure only", court.Mark{Measures: []court.Measure{court.Off(court.FarBaseline, 1, court.In)}}, "measures",
			"two measures"},
		{"both ways at once", court.Mark{Place: &court.Point{}, Measures: []court.Measure{{}}}, "measures", "not both"},
	} {
		t.Run(c.name, func(t *testing.T) {
			_, err := find(t, "tennis").Resolve(c.mark)
			var fields invalid.Fields
			require.ErrorAs(t, err, &fields)
			require.Equal(t, c.path, fields[0].Path)
			require.Contains(t, fields[0].Message, c.says)
		})
	}
	_, err := find(t, "tennis").Resolve(court.At(0, 40))
	require.ErrorContains(t, err, "off the map")
}

func TestSay(t *testing.T) {
	tennis := find(t, "tennis")
	mark := court.From(court.Off(court.FarBaseline, 6.5*ft, court.In), court.Off(court.LeftSingles, 4.5*ft, court.In))
	require.Equal(
		t,
		"6 ft 6 in inside the far baseline, 4 ft 6 in inside the left singles sideline",
		tennis.Describe(mark, court.Tape{System: units.Feet}),
	)
	require.Equal(
		t,
		"1.98 m inside the far baseline, 1.37 m inside the left singles sideline",
		tennis.Describe(mark, court.Tape{System: units.Metres}),
	)
	require.Equal(
		t,
		"0.5 m right of the middle, 2 m this side of the net",
		tennis.Describe(court.At(0.5, -2), court.Tape{System: units.Metres}),
	)
	require.Equal(
		t,
		"half-way from the net to the far service line, on the far centre line",
		tennis.Describe(
			court.From(court.Between(court.NetLine, court.FarService, 0.5), court.Off(court.FarCentre, 0, court.Right)),
			court.Tape{System: units.Metres},
		),
	)
}

func TestShape(t *testing.T) {
	tennis := find(t, "tennis")
	// A circle well inside: the whole of it counts.
	circle, err := tennis.Shape(court.Ring(1, court.At(0, 8)), court.Singles)
	require.NoError(t, err)
	require.InDelta(t, math.Pi, circle.Area, 1e-4)
	// Its middle on the baseline: only half of it is in, and the margin is nought.
	edge, err := tennis.Shape(court.Ring(1, court.At(0, 39*ft)), court.Singles)
	require.NoError(t, err)
	require.InDelta(t, math.Pi/2, edge.Area, 1e-3)
	require.InDelta(t, 0, edge.Margin, 1e-9)
	// Common practice, no source (T1): 4 ft from the sideline is the nearest line, not 6 ft from the baseline.
	corner, err := tennis.Shape(
		court.Ring(
			1,
			court.From(court.Off(court.FarBaseline, 6*ft, court.In), court.Off(court.RightSingles, 4*ft, court.In)),
		),
		court.Singles,
	)
	require.NoError(t, err)
	require.Equal(t, court.RightSingles, corner.Nearest)
	require.InDelta(t, 4*ft, corner.Margin, 1e-9)
	// Common practice, no source (T3): markers 4.5 ft inside the baseline; 27 ft × 4.5 ft.
	strip, err := tennis.Shape(court.StripAlong(court.FarBaseline, 4.5*ft), court.Singles)
	require.NoError(t, err)
	require.InDelta(t, 27*4.5*ft*ft, strip.Area, 1e-9)

	for _, c := range []struct {
		name   string
		target court.Target
		path   string
	}{
		{"a circle of no size", court.Ring(0, court.At(0, 8)), "radius"},
		{"a strip of no size", court.Target{Kind: court.Strip, Line: court.FarBaseline}, "depth"},
		{"a strip along the net", court.StripAlong(court.NetLine, 1), "line"},
		{"a strip past the middle", court.StripAlong(court.FarBaseline, 15), "depth"},
		{"a mark off the map", court.Ring(1, court.At(50, 8)), "mark"},
		{"a circle that is nowhere", court.Target{Kind: court.Circle, Radius: 1}, "mark"},
		{"an unknown shape", court.Target{Kind: "star"}, "kind"},
	} {
		t.Run(c.name, func(t *testing.T) {
			_, err := tennis.Shape(c.target, court.Singles)
			var fields invalid.Fields
			require.ErrorAs(t, err, &fields)
			require.Equal(t, c.path, fields[0].Path)
		})
	}
}

// anyPlace draws a place on the map of a court.
func anyPlace(t *rapid.T, c court.Court) court.Point {
	x, y := c.Width/2+c.RunOff.Side, c.Length/2+c.RunOff.Back
	return court.Point{X: rapid.Float64Range(-x, x).Draw(t, "x"), Y: rapid.Float64Range(-y, y).Draw(t, "y")}
}

func TestMeasuringAPlaceAndResolvingItGivesItBack(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		c := rapid.SampledFrom(sports.Courts()).Draw(t, "court")
		p := anyPlace(t, c)
		lines := []court.Measure{
			court.Off(
				rapid.SampledFrom([]court.LineID{court.FarBaseline, court.NearBaseline, court.NetLine}).Draw(t, "across"),
				0,
				"",
			),
			court.Off(
				rapid.SampledFrom([]court.LineID{court.LeftSide, court.RightSide, court.FarCentre}).Draw(t, "along"),
				0,
				"",
			),
		}
		mark := c.Measure(p, court.Mark{Measures: lines})
		back, err := c.Resolve(mark)
		require.NoError(t, err)
		require.InDelta(t, p.X, back.X, 1e-9)
		require.InDelta(t, p.Y, back.Y, 1e-9)
	})
}

func TestMirroringTwiceIsTheIdentity(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		c := rapid.SampledFrom(sports.Courts()).Draw(t, "court")
		mark := c.Measure(anyPlace(t, c), court.From(court.Off(court.FarBaseline, 0, ""), court.Off(court.LeftSide, 0, "")))
		require.Equal(t, mark, mark.Mirrored().Mirrored())
		once, err := c.Resolve(mark)
		require.NoError(t, err)
		mirrored, err := c.Resolve(mark.Mirrored())
		require.NoError(t, err)
		require.InDelta(t, -once.X, mirrored.X, 1e-9)
		require.InDelta(t, once.Y, mirrored.Y, 1e-9)
	})
}
