package game_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/court"
	"hodometer/core/game"
)

// On every court a game of any size can be set up, and carried over to every other one, where each side keeps its players and its end.
func TestAGameGoesToEveryCourt(t *testing.T) {
	for _, from := range court.All() {
		for near := 1; near <= 6; near += 2 {
			d := document(duel(11, 11))
			d.Court, d.Sport = from.ID, from.Sport
			d.Rules.Spots = nil
			d, err := d.Sized(near, 2)
			require.NoError(t, err)
			require.NoError(t, d.Check(), "%s, %d", from.ID, near)
			require.Equal(t, []int{near, 2}, []int{d.Rules.On(game.Near), d.Rules.On(game.Far)})
			for _, to := range court.All() {
				moved, err := d.OnCourt(to.ID)
				require.NoError(t, err)
				require.NoError(t, moved.Check(), "%s to %s", from.ID, to.ID)
				require.Equal(t, to.Sport, moved.Sport)
				require.Equal(t, []int{near, 2}, []int{moved.Rules.On(game.Near), moved.Rules.On(game.Far)})
				for _, spot := range moved.Rules.Spots {
					at, err := to.Resolve(spot.Mark)
					require.NoError(t, err)
					if to.Net.HalfUp > 0 {
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

// By hand: a place 2.03 m to the right and 5.02 m before the net is 1.38 m before the service line and 2.03 m from the middle; dragged, it
// is rounded to 5 cm.
func TestAStartPlaceIsMoved(t *testing.T) {
	d := document(duel(11, 11))
	moved, err := d.Moved(game.Move{Spot: 0, To: court.Point{X: 2.03, Y: -5.02}}, 0.05)
	require.NoError(t, err)
	c, err := court.Find(d.Court)
	require.NoError(t, err)
	at, err := c.Resolve(moved.Rules.Spots[0].Mark)
	require.NoError(t, err)
	require.InDelta(t, 2.03, at.X, 0.03)
	require.InDelta(t, -5.02, at.Y, 0.03)
	require.Len(t, moved.Rules.Spots[0].Mark.Measures, 2, "told from lines")
	require.Empty(t, d.Rules.Spots[0].Mark.Measures, "the game that it came from is as it was")
	_, err = d.Moved(game.Move{Spot: 5}, 0.05)
	require.Error(t, err)
}
