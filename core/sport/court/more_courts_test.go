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

func TestSquashAndTableDimensions(t *testing.T) {
	squash := find(t, "squash")
	// WSF court specification (from memory): 9.75 × 6.40 m, short line 4.26 m from the back wall, service
	// boxes 1.60 m inside; front wall line 4.57, service line 1.78, board 0.48, back wall line 2.13 m.
	require.InDelta(t, 9.75, squash.Length, 1e-9)
	require.InDelta(t, 6.40, squash.Width, 1e-9)
	short, _ := squash.Line(court.ShortLine)
	back, _ := squash.Line(court.BackWall)
	require.InDelta(t, 4.26, short.From.Y-back.From.Y, 1e-9)
	box, ok := squash.Box("left-service-box")
	require.True(t, ok)
	require.InDelta(t, 1.60*1.60, box.Area(), 1e-9)
	heights := map[string]float64{}
	for _, w := range squash.Walls {
		heights[w.Name] = w.From
	}
	require.Equal(t, 4.57, heights["front wall line"])
	require.Equal(t, 1.78, heights["service line"])
	require.Equal(t, 0.48, heights["board"])
	require.Equal(t, 2.13, heights["back wall line"])

	table := find(t, "table-tennis")
	// ITTF Laws 2.01 and 2.02: 2.74 × 1.525 m, 0.76 m high, net 15.25 cm.
	require.InDelta(t, 2.74, table.Length, 1e-9)
	require.InDelta(t, 1.525, table.Width, 1e-9)
	require.InDelta(t, 0.76, table.Above, 1e-9)
	require.InDelta(t, 0.1525, table.Net.Height(0.5), 1e-9)

	// Within the ranges of the ITF's 10-and-under appendix (from memory).
	orange, red := find(t, "tennis-orange"), find(t, "tennis-red")
	require.True(t, orange.Length >= 58*ft && orange.Length <= 60*ft && orange.Width >= 20*ft && orange.Width <= 27*ft)
	require.True(t, red.Length >= 36*ft && red.Length <= 42*ft && red.Width >= 14*ft && red.Width <= 20*ft)

	// ITF Rules of Tennis, Rule 1: the net is straight from 3 ft in the middle to 3 ft 6 in at the posts.
	require.InDelta(t, 3.25*ft, find(t, "tennis").Net.Height(-10.5*ft), 1e-9)
	require.Zero(t, squash.Net.Height(1))
	for _, c := range sports.Courts() {
		require.NotEmpty(t, c.Source, c.Name)
		require.NotEmpty(t, c.Surfaces, c.Name)
		require.NotEmpty(t, c.Boxes, c.Name)
	}
}

func TestBoxes(t *testing.T) {
	tennis := find(t, "tennis")
	// A player's own deuce side is their right: the far player's lies at negative x.
	deuce, _ := tennis.Box("far-deuce-service-box")
	require.True(t, deuce.Holds(court.Point{X: -2, Y: 3}))
	require.InDelta(t, 13.5*21*ft*ft, deuce.Area(), 1e-9)
	box, ok := boxAt(tennis, court.Point{X: 4.5, Y: -5})
	require.True(t, ok)
	require.Equal(t, "near deuce alley", box.Name)
	_, ok = boxAt(tennis, court.Point{X: 0, Y: -15})
	require.False(t, ok)
	require.InDelta(t, 1, court.SideSign(court.DeuceSide, court.NearEndPlayer, false), 0)
	require.InDelta(t, -1, court.SideSign(court.DeuceSide, court.FarEndPlayer, false), 0)
	require.InDelta(t, -1, court.SideSign(court.ForehandSide, court.NearEndPlayer, true), 0)
	require.InDelta(t, 1, court.SideSign(court.BackhandSide, court.FarEndPlayer, false), 0)
}

func TestMarksOfTheFarPlayerAndAlongLines(t *testing.T) {
	tennis := find(t, "tennis")
	own := court.From(court.Off(court.FarBaseline, 1, court.In), court.Off(court.LeftSingles, 1, court.In))
	own.View = court.FarEndPlayer
	p, err := tennis.Resolve(own)
	require.NoError(t, err)
	require.InDelta(t, 13.5*ft-1, p.X, 1e-9, "the far player's left is the near player's right")
	require.Contains(t, tennis.Describe(own, court.Tape{}), "the far player's")
	back := tennis.Measure(p, own)
	require.Equal(t, court.FarEndPlayer, back.View)
	again, err := tennis.Resolve(back)
	require.NoError(t, err)
	require.InDelta(t, p.X, again.X, 1e-9)

	along := court.Mark{Along: &court.Along{Line: court.FarService, Distance: 2, From: court.Right}}
	p, err = tennis.Resolve(along)
	require.NoError(t, err)
	require.InDelta(t, 13.5*ft-2, p.X, 1e-9)
	require.InDelta(t, 21*ft, p.Y, 1e-9)
	require.Equal(t, along, along.Mirrored().Mirrored())
	for path, bad := range map[string]court.Along{
		"along.line": {Line: "rope", From: court.Left}, "along.from": {Line: court.FarService, From: court.Near},
		"along.distance": {Line: court.FarService, Distance: 20, From: court.Left},
	} {
		_, err := tennis.Resolve(court.Mark{Along: &bad})
		var fields invalid.Fields
		require.ErrorAs(t, err, &fields)
		require.Equal(t, path, fields[0].Path)
	}
}

func TestChangingTheCourt(t *testing.T) {
	tennis, red, pickleball := find(t, "tennis"), find(t, "tennis-red"), find(t, "pickleball")
	mark := court.From(court.Off(court.FarBaseline, 6*ft, court.In), court.Off(court.LeftSingles, 4*ft, court.In))
	both := tennis.Preview(mark, red, court.Tape{})
	// 6 ft stay 6 ft: on a red court, 18 ft from net to baseline, that is a third of the half.
	require.InDelta(t, 12*ft, both.Keeps.At.Y, 1e-9)
	require.InDelta(t, -9*ft+4*ft, both.Keeps.At.X, 1e-9, "a red court has one sideline")
	// Scaled, they shrink with the half: 6 × 36/78 ft.
	require.InDelta(t, 18*ft-6*ft*36/78, both.Scales.At.Y, 1e-9)
	lost := tennis.Preview(
		court.From(court.Off(court.FarService, 1, court.In), court.Off(court.FarCentre, 0, court.Right)),
		pickleball,
		court.Tape{},
	)
	require.Nil(t, lost.Keeps.At)
	require.Contains(t, lost.Keeps.Problem, "no line called")
	require.NotEmpty(t, lost.Keeps.Mark.Measures, "the mark itself is not lost")
}

func TestChangingTheCourtAndBackRestoresEveryMark(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		from, to := rapid.SampledFrom(sports.Courts()).Draw(t, "from"), rapid.SampledFrom(sports.Courts()).Draw(t, "to")
		mark := from.Measure(
			anyPlace(t, from),
			court.From(court.Off(from.Lines[0].ID, 0, ""), court.Off(from.Lines[2].ID, 0, "")),
		)
		mark.Scales = rapid.Bool().Draw(t, "scales")
		before, err := from.Resolve(mark)
		if err != nil {
			t.Skip("these two lines run the same way")
		}
		back := to.TransferTo(from.TransferTo(mark, to).Mark, from)
		require.Empty(t, back.Problem)
		require.InDelta(t, before.X, back.At.X, 1e-9)
		require.InDelta(t, before.Y, back.At.Y, 1e-9)
		require.Equal(t, mark.Scales, back.Mark.Scales)
	})
}

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

func TestRegions(t *testing.T) {
	for _, s := range sports.Regions() {
		c := find(t, s.Court)
		out, err := s.Bands(c, court.FromNet)
		require.NoError(t, err, s.Name)
		in, err := s.Bands(c, court.FromBaseline)
		require.NoError(t, err)
		for i := range out {
			require.Equal(t, len(out)+1, out[i].Number+in[i].Number, "the two schools count in opposite directions")
			require.Less(t, out[i].From, out[i].To)
		}
	}
	four := sports.Regions()[0]
	region := func(p court.Point, n court.Numbering) court.Region {
		r, err := four.RegionOf(find(t, four.Court), p, n)
		require.NoError(t, err)
		return r
	}
	deep := region(court.Point{X: 3, Y: -13}, court.FromNet)
	require.Equal(t, 4, deep.Band.Number, "behind the baseline is still a region")
	require.Equal(t, "right", deep.Third)
	require.Equal(t, 1, region(court.Point{X: 3, Y: -13}, court.FromBaseline).Band.Number)
	far := region(court.Point{X: 3, Y: 2}, court.FromNet)
	require.Equal(t, court.FarEndPlayer, far.End)
	require.Equal(t, "left", far.Third, "thirds are the player's own")
	require.Equal(t, "close", far.Band.Name)

	// Common practice, no source (T13): for nine- and ten-year-olds the net is the border between the first
	// and second of four depth regions from the net.
	bands, err := four.Bands(find(t, four.Court), court.FromNet)
	require.NoError(t, err)
	require.InDelta(t, 0.6*21*ft, bands[0].To, 1e-9)

	own := court.Scheme{Name: "mine", Court: "tennis", Depths: []court.Depth{
		{
			Name: "a",
			Stop: court.Off(court.NearService, 0, court.Out),
		},
		{Name: "b", Stop: court.Off(court.NearService, 1, court.In)},
		{Name: "c"},
	}}
	for path, change := range map[string]func(*court.Scheme){
		"depths.1.stop":      func(*court.Scheme) {},
		"depths":             func(s *court.Scheme) { s.Depths = s.Depths[:2] },
		"depths.0.stop.line": func(s *court.Scheme) { s.Depths[0].Stop.Line = "rope" },
		"depths.0.name":      func(s *court.Scheme) { s.Depths[0].Name = " " },
	} {
		s := own
		s.Depths = append([]court.Depth{}, own.Depths...)
		change(&s)
		_, err := s.Bands(find(t, s.Court), court.FromNet)
		var fields invalid.Fields
		require.ErrorAs(t, err, &fields, path)
		require.Equal(t, path, fields[0].Path)
	}
}

func TestWalkOffIsTheShortestOfAllOrders(t *testing.T) {
	tennis := find(t, "tennis")
	length := func(steps []court.Step) (sum float64) {
		for _, s := range steps {
			sum += s.Walk
		}
		return sum
	}
	long.Check(t, func(t *rapid.T) {
		stops := make([]court.Stop, rapid.IntRange(0, 6).Draw(t, "stops"))
		for i := range stops {
			p := anyPlace(t, tennis)
			stops[i] = court.Stop{Label: string(rune('a' + i)), Mark: court.At(p.X, p.Y)}
		}
		start := court.Point{X: -5, Y: -11}
		steps, err := tennis.WalkOff(stops, start, court.Tape{})
		require.NoError(t, err)
		require.Len(t, steps, len(stops))
		best := math.Inf(1)
		var try func(at court.Point, left []court.Stop, sum float64)
		try = func(at court.Point, left []court.Stop, sum float64) {
			if len(left) == 0 {
				best = math.Min(best, sum)
			}
			for i, s := range left {
				rest := append(append([]court.Stop{}, left[:i]...), left[i+1:]...)
				try(*s.Mark.Place, rest, sum+at.Distance(*s.Mark.Place))
			}
		}
		try(start, stops, 0)
		require.InDelta(t, best, length(steps), 1e-9)
	})
	many := make([]court.Stop, 20)
	for i := range many {
		many[i] = court.Stop{Mark: court.At(float64(i%5), float64(i))}
		many[i].Mark.Place.Y = float64(i) / 2
	}
	steps, err := tennis.WalkOff(many, court.Point{}, court.Tape{Step: 0.8})
	require.NoError(t, err)
	require.Len(t, steps, 20)
	require.Contains(t, steps[0].Description, "steps")
}

func TestReadMeasure(t *testing.T) {
	tennis := find(t, "tennis")
	was := court.Off(court.FarBaseline, 1, court.In)
	for text, want := range map[string]court.Measure{
		"4 ft 6 in":                             court.Off(court.FarBaseline, 1.3716, court.In),
		"3 steps":                               court.Off(court.FarBaseline, 2.4, court.In),
		"-1.5 m":                                court.Off(court.FarBaseline, 1.5, court.Out),
		"−6 in":                                 court.Off(court.FarBaseline, 0.1524, court.Out),
		"1.5 m behind":                          court.Off(court.FarBaseline, 1.5, court.Out),
		"1.5 m inside":                          court.Off(court.FarBaseline, 1.5, court.In),
		"6 in":                                  court.Off(court.FarBaseline, 0.1524, court.In),
		"6 in behind the baseline":              court.Off(court.FarBaseline, 0.1524, court.Out),
		"1 m beyond the net":                    court.Off(court.NetLine, 1, court.Far),
		"2 ft inside the left singles sideline": court.Off(court.LeftSingles, 0.6096, court.In),
		"on the far service line":               court.Off(court.FarService, 0, court.In),
		"half-way from the net to the far service line": court.Between(court.NetLine, court.FarService, 0.5),
		"half-way from the net to the service line":     court.Between(court.NetLine, court.FarService, 0.5),
		"3/4 back": court.Between(court.NetLine, court.FarBaseline, 0.75),
	} {
		got, err := tennis.ReadMeasure(text, was, 0.8)
		require.NoError(t, err, text)
		require.Equal(t, want.Line, got.Line, text)
		require.Equal(t, want.Toward, got.Toward, text)
		require.InDelta(t, want.Distance, got.Distance, 1e-9, text)
		require.Equal(t, want.To, got.To)
		require.Equal(t, want.Fraction, got.Fraction, text)
	}
	for _, text := range []string{"", "near the net", "4 ft inside the rope", "most from the net to the baseline",
		"half-way from the net to the roof"} {
		_, err := tennis.ReadMeasure(text, was, 0.8)
		require.Error(t, err, text)
	}
	length, err := tennis.ReadMeasure("2 m", court.Between(court.NetLine, court.FarService, 0.5), 0.8)
	require.NoError(t, err)
	require.Equal(t, court.Off(court.NetLine, 2, court.Near), length)
}

func TestRetypeAPlainPlaceAndOneAlongALine(t *testing.T) {
	tennis := find(t, "tennis")
	place := court.At(1, -2)
	for _, c := range []struct {
		path, text string
		x, y       float64
	}{
		{"place.x", "1.5 m right", 1.5, -2}, {"place.x", "1.5 m left", -1.5, -2}, {"place.x", "-1.5 m", -1.5, -2},
		{"place.x", "1.5 m", 1.5, -2},
		{"place.x", "on the right singles sideline", 4.115, -2}, {"place.y", "on the near service line", 1, -6.401},
		{"place.y", "on the service line", 1, -6.401},
		{"place.y", "3 m", 1, -3}, {"place.y", "3 m beyond", 1, 3}, {"place.y", "-3 m", 1, -3}, {"place.x", "0", 0, -2},
	} {
		got, err := tennis.Retype(place, c.path, c.text, 0.8)
		require.NoError(t, err, c.text)
		require.InDelta(t, c.x, got.Place.X, 1e-3, c.text)
		require.InDelta(t, c.y, got.Place.Y, 1e-3, c.text)
	}
	for path, text := range map[string]string{"place.x": "on the near service line", "place.y": "-1 m beyond",
		"along": "on the near service line"} {
		_, err := tennis.Retype(place, path, text, 0.8)
		require.Error(t, err, text)
	}
	along := court.Mark{Along: &court.Along{Line: court.NearBaseline, Distance: 2, From: court.Left}}
	got, err := tennis.Retype(along, "along", "on the near service line", 0.8)
	require.NoError(t, err)
	require.Equal(t, court.Along{Line: court.NearService, Distance: 2, From: court.Left}, *got.Along)
	_, err = tennis.Retype(along, "along", "-2 m", 0.8)
	require.ErrorContains(t, err, "the other end")
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

// Common practice, no source: each of these facts of the trade is set up as a coach says it.
func TestFactsOfTheTrade(t *testing.T) {
	tennis, pickleball, table := find(t, "tennis"), find(t, "pickleball"), find(t, "table-tennis")
	say := func(c court.Court, first, second court.Measure, a, b string) court.Mark {
		one, err := c.ReadMeasure(a, first, 0.8)
		require.NoError(t, err)
		two, err := c.ReadMeasure(b, second, 0.8)
		require.NoError(t, err)
		return court.From(one, two)
	}
	far, side := court.Off(court.FarBaseline, 0, court.In), court.Off(court.RightSingles, 0, court.In)

	t.Run("T1: the short-ball aim in singles is nearest to the sideline", func(t *testing.T) {
		s, err := tennis.Shape(court.Ring(4.5*ft, say(tennis, far, side, "6 ft 6 in", "4 ft 6 in")), court.Singles)
		require.NoError(t, err)
		require.InDelta(t, 13.5*ft-4.5*ft, s.Centre.X, 1e-9)
		require.InDelta(t, 32.5*ft, s.Centre.Y, 1e-9)
		require.InDelta(t, 4.5*ft, s.Margin, 1e-9)
		require.Equal(t, court.RightSingles, s.Nearest)
		require.Zero(t, s.Out, "the circle touches the line and no more")
	})
	t.Run("T1: in doubles 4 ft and 6 ft from the outer line", func(t *testing.T) {
		s, err := tennis.Shape(
			court.Ring(4.5*ft, say(tennis, far, side, "6 ft", "4 ft inside the right sideline")),
			court.Doubles,
		)
		require.NoError(t, err)
		require.InDelta(t, 14*ft, s.Centre.X, 1e-9)
		require.InDelta(t, 4*ft, s.Margin, 1e-9)
		require.Positive(t, s.Out, "half a foot of the circle lies out")
	})
	t.Run("T3: the depth strip", func(t *testing.T) {
		s, err := tennis.Shape(court.StripAlong(court.FarBaseline, 4.5*ft), court.Singles)
		require.NoError(t, err)
		require.InDelta(t, 36.75*ft, s.Centre.Y, 1e-9)
		require.InDelta(t, 2.25*ft, s.Margin, 1e-9)
		require.InDelta(t, 27*4.5*ft*ft, s.Area, 1e-9)
	})
	t.Run("T4: the safe cross-court mark", func(t *testing.T) {
		p, err := tennis.Resolve(say(tennis, far, side, "3 ft", "2 ft inside the right singles sideline"))
		require.NoError(t, err)
		line, margin := tennis.Margin(p, court.Singles)
		require.InDelta(t, 2*ft, margin, 1e-9)
		require.Equal(t, court.RightSingles, line.ID)
	})
	t.Run("T16: cones 6 in inside the no-volley zone", func(t *testing.T) {
		mark := say(
			pickleball,
			court.Off(court.FarKitchen, 0, court.In),
			court.Off(court.RightSide, 0, court.In),
			"6 in",
			"3 ft",
		)
		p, err := pickleball.Resolve(mark)
		require.NoError(t, err)
		require.InDelta(t, 6.5*ft, p.Y, 1e-9)
		box, _ := boxAt(pickleball, p)
		require.Equal(t, "far no-volley zone", box.Name)
		_, margin := pickleball.Margin(p, court.Doubles)
		require.InDelta(t, 3*ft, margin, 1e-9)
	})
	t.Run("T33: two bounces beyond the net", func(t *testing.T) {
		s, err := table.Shape(court.Target{Kind: court.DoubleBounce, Box: "far-half"}, court.Singles)
		require.NoError(t, err)
		require.InDelta(t, 1.525*1.37, s.Area, 1e-9)
		require.InDelta(t, 1.37/2, s.Centre.Y, 1e-9)
		require.InDelta(t, 1.37/2, s.Margin, 1e-9)
	})
}

// boxAt returns the smallest box that holds a place; ok is false where none does.
func boxAt(c court.Court, p court.Point) (court.Box, bool) {
	for _, b := range c.Boxes {
		if b.Holds(p) {
			return b, true
		}
	}
	return court.Box{}, false
}
