package flight_test

import (
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
	"hodometer/internal/long"
)

// A serve at a table bounces on the server's half where it is to, passes the net, and lands where it is to.
func TestATableServeBouncesOnItsOwnHalfFirst(t *testing.T) {
	w := world(t, "table-tennis")
	found := 0
	long.Check(t, func(t *rapid.T) {
		want := flight.Want{
			From: flight.Vec{
				X: rapid.Float64Range(-0.7, 0.7).Draw(t, "x"),
				Y: -1.5,
				Z: rapid.Float64Range(0.15, 0.35).Draw(t, "z"),
			},
			Landing: court.Point{
				X: rapid.Float64Range(-0.6, 0.6).Draw(t, "to x"),
				Y: rapid.Float64Range(0.25, 1.3).Draw(t, "to y"),
			},
			First: rapid.Float64Range(0.3, 1.25).
				Draw(t, "first"),
			Spin: flight.Spin{Top: rapid.Float64Range(-300, 200).Draw(t, "spin")},
		}
		l, err := w.Aim(want)
		if err != nil {
			require.ErrorIs(t, err, flight.ErrImpossible)
			return
		}
		found++
		require.True(t, l.OwnFirst)
		path := w.Follow(l, 2)
		first, ok := path.Bounce(0)
		require.True(t, ok)
		require.InDelta(t, -want.First, first.P.Y, 5e-3)
		second, ok := path.Bounce(l.Landing())
		require.True(t, ok)
		require.InDelta(t, want.Landing.X, second.P.X, 5e-3)
		require.InDelta(t, want.Landing.Y, second.P.Y, 5e-3)
		_, caught := path.First(flight.InNet)
		require.False(t, caught)
	})
	require.Greater(t, found, long.Rounds(20, 20))
}

func TestATableServeThatCannotBe(t *testing.T) {
	w := world(t, "table-tennis")
	for _, c := range []struct {
		landing court.Point
		value   float64
		says    string
	}{
		{court.Point{Y: -1}, 1, "does not cross the net"},
		{court.Point{Y: 1}, 2, "cannot bounce first"},
		{court.Point{Y: 0.05}, 0.1, "does not come so far"},
		{court.Point{Y: 0.4}, 0.7, "clip the net"},
	} {
		_, err := w.Aim(flight.Want{From: flight.Vec{Y: -1.5, Z: 0.2}, Landing: c.landing, First: c.value})
		require.ErrorContains(t, err, c.says)
	}
}
