package court_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/invalid"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

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
