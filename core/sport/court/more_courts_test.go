package court_test

import (
	"math"
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
	require.InDelta(t, 18*ft-6*ft*36/78, both.Scales.At.Y, 1e-4)
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
		// Lengths are kept to a tenth of a millimetre, of a table that grows to a tennis court ten times as much.
		require.InDelta(t, before.X, back.At.X, 1e-3)
		require.InDelta(t, before.Y, back.At.Y, 1e-3)
		require.Equal(t, mark.Scales, back.Mark.Scales)
	})
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

// boxAt returns the smallest box that holds a place; ok is false where none does.
func boxAt(c court.Court, p court.Point) (court.Box, bool) {
	for _, b := range c.Boxes {
		if b.Holds(p) {
			return b, true
		}
	}
	return court.Box{}, false
}
