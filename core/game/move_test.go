package game_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/game"
	"hodometer/core/people/coach"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// On every court a game of any size can be set up, and carried over to every other one, where each side keeps its
// players and its end.
func TestAGameGoesToEveryCourt(t *testing.T) {
	t.Parallel()
	for _, from := range sports.Courts() {
		for near := 1; near <= 6; near += 2 {
			d := document(duel(11, 11))
			d.Court, d.Sport = from.ID, from.Sport
			d.Rules.Spots = nil
			d, err := d.Sized(near, 2)
			require.NoError(t, err)
			require.NoError(t, d.Check(), "%s, %d", from.ID, near)
			require.Equal(t, []int{near, 2}, []int{d.Rules.On(game.Near), d.Rules.On(game.Far)})
			for _, to := range sports.Courts() {
				moved, err := d.OnCourt(to.ID)
				require.NoError(t, err)
				require.NoError(t, moved.Check(), "%s to %s", from.ID, to.ID)
				require.Equal(t, to.Sport, moved.Sport)
				require.Equal(t, []int{near, 2}, []int{moved.Rules.On(game.Near), moved.Rules.On(game.Far)})
				for _, spot := range moved.Rules.Spots {
					at, err := to.Resolve(spot.Mark)
					require.NoError(t, err)
					if to.HasNet() {
						require.Equal(t, spot.Side == game.Near, at.Y < 0, "each side on its own half")
					}
				}
			}
		}
	}
	d := document(duel(11, 11))
	_, err := d.OnCourt("nowhere")
	require.Error(t, err)
	for _, size := range [][2]int{{0, 0}, {7, 1}, {1, -1}} {
		_, err := d.Sized(size[0], size[1])
		require.Error(t, err)
	}
	alone, err := d.Sized(1, 0)
	require.NoError(t, err)
	require.NoError(t, alone.Check(), "the drill plays for the other side")
}

// By hand: a place 2.03 m to the right and 5.02 m before the net is 1.38 m before the service line and 2.03 m from the
// middle; dragged, it is rounded to 5 cm.
func TestAStartPlaceIsMoved(t *testing.T) {
	t.Parallel()
	d := document(duel(11, 11))
	moved, err := d.Moved(game.Move{Handle: game.SpotHandle(0), To: court.Point{X: 2.03, Y: -5.02}}, 0.05)
	require.NoError(t, err)
	c, err := sports.Court(d.Court)
	require.NoError(t, err)
	at, err := c.Resolve(moved.Rules.Spots[0].Mark)
	require.NoError(t, err)
	require.InDelta(t, 2.03, at.X, 0.03)
	require.InDelta(t, -5.02, at.Y, 0.03)
	require.Len(t, moved.Rules.Spots[0].Mark.Measures, 2, "told from lines")
	require.Empty(t, d.Rules.Spots[0].Mark.Measures, "the game that it came from is as it was")
	_, err = d.Moved(game.Move{Handle: game.SpotHandle(5)}, 0.05)
	require.Error(t, err)
}

// A target is moved and sized as a coach does it: a circle of 1 m across is 0.5 m round its middle where that is what
// is meant.
func TestATargetIsMovedAndSized(t *testing.T) {
	t.Parallel()
	r := duel(11, 11)
	ring := court.Ring(0.9, court.At(1, 4))
	r.Awards = []game.Award{{ID: "a", Name: "target hit", Points: 3, Target: &ring}}
	d := document(r)
	moved, err := d.Moved(game.Move{Handle: "rules.awards.0.target.mark", To: court.Point{X: -2, Y: 6}}, 0.05)
	require.NoError(t, err)
	c, err := sports.Court(d.Court)
	require.NoError(t, err)
	shape, err := c.Shape(*moved.Rules.Awards[0].Target, "")
	require.NoError(t, err)
	require.InDelta(t, -2, shape.Centre.X, 0.03)
	require.InDelta(t, 6, shape.Centre.Y, 0.03)
	require.Equal(t, court.At(1, 4), *d.Rules.Awards[0].Target.Mark, "the game that it came from is as it was")

	s := coach.Default()
	for within, want := range map[coach.Within]float64{coach.Diameter: 0.5, coach.Radius: 1} {
		s.Within = within
		sized, err := d.Typed(coach.Typed{Path: "rules.awards.0.target.radius", Text: "1 m"}, s)
		require.NoError(t, err)
		require.InDelta(t, want, sized.Rules.Awards[0].Target.Radius, 1e-9)
	}
	for path, text := range map[string]string{"rules.awards.0.target.radius": "far", "rules.awards.0.target.depth": "1 m",
		"rules.awards.1.target.radius": "1 m"} {
		_, err := d.Typed(coach.Typed{Path: path, Text: text}, s)
		require.Error(t, err, path)
	}
	_, err = d.Moved(game.Move{Handle: "rules.awards.1.target.mark"}, 0.05)
	require.Error(t, err)
}
