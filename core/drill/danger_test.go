package drill_test

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
	"hodometer/internal/sample"
)

// laidOut is a drill on a tennis court: fed from the middle of the far half, 8 m from the net, with a ball of one
// player to each place in turn, and more people and things.
func laidOut(t *testing.T, landings []court.Point, places ...drill.Place) drill.Document {
	t.Helper()
	d := sample.Drill(t, "Coin in the Corner").Clone()
	c, err := sports.Court(d.Court)
	require.NoError(t, err)
	d.Places = append([]drill.Place{{Kind: drill.Feeder, Mark: c.Nearby(court.Point{Y: 8})}}, places...)
	d.Measures[0].Target, d.Measures[0].Tasks = nil, nil
	d.Pattern = feed.Pattern{Method: feed.ByRacket, Gap: 4, Sequences: 1}
	for _, at := range landings {
		d.Pattern.Tasks = append(d.Pattern.Tasks, feed.Task{Stroke: sports.Forehand, Landing: c.Nearby(at)})
	}
	return d
}

func there(kind drill.PlaceKind, x, y float64) drill.Place {
	c := sports.Of(court.Tennis).Courts[0].Court
	return drill.Place{Kind: kind, Mark: c.Nearby(court.Point{X: x, Y: y})}
}

func cares(d drill.Document, about string) bool {
	return slices.ContainsFunc(d.Care(), func(line string) bool { return strings.Contains(line, about) })
}

// By hand: the feed goes from (0, 8) to (0, −8), so that somebody at the net is in its line within a metre of it, and
// up to 4 m from the net.
func TestWhoStandsInTheLineOfABall(t *testing.T) {
	t.Parallel()
	down := []court.Point{{Y: -8}}
	for _, c := range []struct {
		x, y float64
		in   bool
	}{
		{0.9, 2, true}, {-0.9, -2, true}, {1.1, 2, false}, {-1.1, 2, false}, {0, 4, true}, {0, 4.1, false}, {0, -4.1, false},
	} {
		for kind, stands := range map[drill.PlaceKind]bool{drill.Opponent: true, drill.Partner: true, drill.Queue: true,
			drill.OnDeck: true, drill.Recovery: false, drill.Basket: false} {
			d := laidOut(t, down, there(kind, c.x, c.y))
			require.Equal(t, c.in && stands, cares(d, "in the line of a ball"), "%s at %g, %g", kind, c.x, c.y)
		}
	}
	// Aslant, from (0, 8) to (4, −4): its middle is (2, 2), and (3.5, 2) is 1.5 m aside, of which it is 1.42 m off.
	aslant := []court.Point{{X: 4, Y: -4}}
	require.True(t, cares(laidOut(t, aslant, there(drill.Opponent, 2.5, 2)), "in the line of a ball"))
	require.False(t, cares(laidOut(t, aslant, there(drill.Opponent, 3.5, 2)), "in the line of a ball"))
	// At its ends one feeds or meets it, and is not in its way.
	near := []court.Point{{Y: -1}}
	require.False(t, cares(laidOut(t, near, there(drill.Opponent, 0, -0.5)), "in the line of a ball"))
	require.True(t, cares(laidOut(t, near, there(drill.Opponent, 0, 0.5)), "in the line of a ball"))
	one, two := there(drill.Start, 0, -2), there(drill.Start, 4, -9)
	require.False(t, cares(laidOut(t, down, one), "in the line of a ball"), "the only player is the one who plays it")
	require.True(t, cares(laidOut(t, down, one, two), "The player"))
}

// By hand: a run from (0, −10) to (0, −4) crosses a rope that lies 2 m to each side of (1, −7), and no rope beside it.
func TestARopeInTheWayOfARun(t *testing.T) {
	t.Parallel()
	up := []court.Point{{Y: -4}}
	rope := func(x, y, size float64, along bool) drill.Place {
		p := there(drill.Rope, x, y)
		p.Size, p.Up = size, along
		return p
	}
	start := there(drill.Start, 0, -10)
	for _, c := range []struct {
		rope drill.Place
		in   bool
	}{
		{rope(1, -7, 4, false), true}, {rope(-1, -7, 4, false), true}, {rope(2.5, -7, 4, false), false},
		{rope(-2.5, -7, 4, false), false},
		{rope(1, -3, 4, false), false}, {rope(1, -11, 4, false), false}, {rope(1, -7, 4, true), false},
		{rope(0, -7, 0, false), false},
	} {
		require.Equal(t, c.in, cares(laidOut(t, up, start, c.rope), "A rope lies"), "%+v", c.rope)
	}
}

// By hand: one runs from the left to the right and the other from the right to the left; their ways cross where both
// change their depths, too.
func TestWaysThatCross(t *testing.T) {
	t.Parallel()
	for _, c := range []struct {
		to    [2]court.Point
		cross bool
	}{
		{[2]court.Point{{X: 3, Y: -4}, {X: -3, Y: -4}}, true},
		{[2]court.Point{{X: -3, Y: -4}, {X: 3, Y: -4}}, false},
		{[2]court.Point{{X: -1, Y: -4}, {X: -0.5, Y: -9}}, false},
	} {
		d := laidOut(t, c.to[:], there(drill.Start, -3, -10), there(drill.Start, 3, -10))
		d.Pattern.Tasks[1].Player = 1
		require.Equal(t, c.cross, cares(d, "The ways of two players cross"), "%v", c.to)
		d.Pattern.Tasks[1].Player = 0
		require.False(t, cares(d, "The ways of two players cross"), "one player alone")
	}
}

// Whoever waits beyond the net is told of where somebody volleys or smashes, and not elsewhere.
func TestWhoFacesVolleys(t *testing.T) {
	t.Parallel()
	const about = "Whoever waits facing a volleyer"
	for stroke, faced := range map[sports.Stroke][2]bool{
		sports.Forehand: {false, false}, sports.BackhandVolley: {true, true}, sports.Overhead: {true, false},
	} {
		for _, kind := range []drill.PlaceKind{drill.Queue, drill.OnDeck, drill.Opponent} {
			for _, y := range []float64{9, -9} {
				d := laidOut(t, []court.Point{{X: 2, Y: -3}}, there(kind, -4, y))
				d.Pattern.Tasks[0].Stroke = stroke
				waits := y > 0 && kind != drill.Opponent
				require.Equal(t, waits && faced[0], cares(d, about), "%s, %s at %g", stroke, kind, y)
				require.Equal(t, waits && faced[1], d.FacesVolleys() != "", "%s, %s at %g", stroke, kind, y)
			}
		}
	}
	d := sample.Drill(t, "Forehand Diagonal").Clone() // at a table nobody faces volleys
	c, err := sports.Court(d.Court)
	require.NoError(t, err)
	d.Places = append(d.Places, drill.Place{Kind: drill.Queue, Mark: c.Nearby(court.Point{Y: 2})})
	d.Pattern.Tasks[0].Stroke = sports.ForehandVolley
	require.False(t, cares(d, about))
	d.Court = "nowhere"
	require.Empty(t, d.FacesVolleys())
}
