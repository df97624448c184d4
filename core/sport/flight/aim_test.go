package flight_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
	"hodometer/internal/long"
)

func TestWhyABallCannotBePlayed(t *testing.T) {
	w := world(t, "tennis")
	from := flight.Vec{Y: 11.5, Z: 0.9}
	for want, c := range map[string]flight.Want{
		"clip the net by":        {From: from, Landing: court.Point{Y: -2}, By: flight.ByTime, Value: 0.5},
		"does not carry":         {From: from, Landing: court.Point{Y: -11}, By: flight.BySpeed, Value: 9},
		"cannot stay below":      {From: from, Landing: court.Point{Y: -11}, By: flight.ByApex, Value: 0.5},
		"does not cross the net": {From: from, Landing: court.Point{Y: 3}, By: flight.ByClearance, Value: 0.5},
		"lands where it leaves":  {From: from, Landing: from.Floor(), By: flight.ByTime, Value: 1},
		"more than nothing":      {From: from, Landing: court.Point{Y: -9}, By: flight.ByTime},
		"not a figure":           {From: from, Landing: court.Point{Y: -9}, By: flight.ByTime, Value: math.NaN()},
		"there is no wall":       {From: from, Landing: court.Point{Y: -9}, By: flight.ByWall, Value: 2},
		"not a figure of this world": {From: from, Landing: court.Point{Y: -9}, By: flight.ByTime, Value: 1,
			Spin: flight.Spin{Top: 1e6}},
	} {
		_, err := w.Aim(c)
		require.ErrorIs(t, err, flight.ErrImpossible, want)
		require.ErrorContains(t, err, want)
	}
}

// TestAimedBallsLand aims balls of every sport all over the far half and follows them: each lands within
// 1 cm of what was asked.
func TestAimedBallsLand(t *testing.T) {
	tried, aimed := 0, 0
	long.Check(t, func(t *rapid.T) {
		tried++
		id := rapid.SampledFrom([]court.ID{"tennis", "tennis-orange", "tennis-red", "pickleball", "badminton",
			"table-tennis"}).
			Draw(t, "court")
		w := world(t, id)
		in := func(name string, share float64) float64 {
			return rapid.Float64Range(-share, share).Draw(t, name)
		}
		want := flight.Want{
			From: flight.Vec{
				X: in("fx", 0.4) * w.Court.Width,
				Y: (0.3 + math.Abs(in("fy", 0.25))) * w.Court.Length,
				Z: 0.3 + math.Abs(in("fz", 1.5)),
			},
			Landing: court.Point{X: in("x", 0.45) * w.Court.Width, Y: -(0.1 + math.Abs(in("y", 0.38))) * w.Court.Length},
			By: rapid.SampledFrom([]flight.By{flight.ByApex, flight.ByClearance, flight.ByTime, flight.BySpeed}).
				Draw(t, "by"),
		}
		if w.Ball.Bounces() {
			want.Spin = flight.Spin{Top: in("top", 300), Side: in("side", 80)}
		}
		want.Value = map[flight.By]float64{
			flight.ByApex: want.From.Z + 0.2 + math.Abs(in("apex", 4)), flight.ByClearance: 0.05 + math.Abs(in("over", 2)),
			flight.ByTime: 0.3 + math.Abs(in("time", 1.5)), flight.BySpeed: 5 + math.Abs(in("speed", 30)),
		}[want.By]
		launch, err := w.Aim(want)
		if err != nil {
			require.ErrorIs(t, err, flight.ErrImpossible)
			return
		}
		aimed++
		landed, ok := w.Follow(launch, 1).Bounce(0)
		require.True(t, ok)
		require.Less(t, landed.P.Floor().Distance(want.Landing), 0.01)
		mirrored := want
		mirrored.From.X, mirrored.Landing.X, mirrored.Spin.Side = -want.From.X, -want.Landing.X, -want.Spin.Side
		other, err := w.Aim(mirrored)
		require.NoError(t, err)
		require.InDelta(t, -launch.Velocity.X, other.Velocity.X, 0.05, "the mirrored ball has the mirrored launch")
	})
	require.Greater(t, 100*aimed, 30*tried, "many balls can be played, however many are tried")
}

// TestScatterIsWhatManyLaunchesShow compares the linear answer with many simulated launches.
func TestScatterIsWhatManyLaunchesShow(t *testing.T) {
	w := world(t, "tennis")
	launch, err := w.Aim(
		flight.Want{From: flight.Vec{Y: 8, Z: 1}, Landing: court.Point{X: 1, Y: -8}, By: flight.ByClearance, Value: 1},
	)
	require.NoError(t, err)
	s := flight.Scatter{Speed: 0.03, Elevation: 0.01, Azimuth: 0.02}
	got, ok := w.LandingSpread(launch, s)
	require.True(t, ok)
	gate, ok := w.PlaneSpread(launch, s, flight.Plane{X1: -2, X2: 2})
	require.True(t, ok)
	// Each of the three is varied by a grid of equally likely normal quantiles.
	quantiles := []float64{-1.645, -1.036, -0.674, -0.385, -0.126, 0.126, 0.385, 0.674, 1.036, 1.645}
	var n, sx, sy, sxx, syy, gx, gxx float64
	for _, a := range quantiles {
		for _, b := range quantiles {
			for _, c := range quantiles {
				faster := launch.Varied(flight.Scatter{Speed: a * s.Speed})[0]
				higher := faster.Varied(flight.Scatter{Elevation: b * s.Elevation})[1]
				v := higher.Varied(flight.Scatter{Azimuth: c * s.Azimuth})[2]
				path := w.Follow(v, 1)
				at, ok := path.Bounce(0)
				require.True(t, ok)
				over, _ := path.First(flight.OverNet)
				n, sx, sy, sxx, syy = n+1, sx+at.P.X, sy+at.P.Y, sxx+at.P.X*at.P.X, syy+at.P.Y*at.P.Y
				gx, gxx = gx+over.P.X, gxx+over.P.X*over.P.X
			}
		}
	}
	sd := func(sum, squares float64) float64 { return math.Sqrt(squares/n - sum/n*sum/n) }
	// Ten quantiles leave out the tails: their standard deviation is 0.93 of the normal's.
	const tails = 0.93
	require.InEpsilon(t, tails*got.A, sd(sx, sxx), 0.05)
	require.InEpsilon(t, tails*got.B, sd(sy, syy), 0.05)
	require.InEpsilon(t, tails*gate.A, sd(gx, gxx), 0.05)
	require.Less(t, math.Abs(got.Rho), 1.0)
}

func BenchmarkAim(b *testing.B) {
	w := world(b, "tennis")
	for b.Loop() {
		if _, err := w.Aim(
			flight.Want{
				From:    flight.Vec{X: 1, Y: 9, Z: 1},
				Landing: court.Point{X: 2, Y: -8},
				By:      flight.ByClearance,
				Value:   0.9,
				Spin:    flight.Spin{Top: 60},
			},
		); err != nil {
			b.Fatal(err)
		}
	}
}

// A passage is what is said of the net and of the landing one by one: over a net, without one, off walls and over the
// own half of a table.
func TestAPassageIsBothItsParts(t *testing.T) {
	t.Parallel()
	s := flight.Scatter{Speed: 0.06, Elevation: 0.026, Azimuth: 0.044}
	for _, c := range []struct {
		on    court.ID
		want  flight.Want
		cross bool
	}{
		{"tennis", flight.Want{
			From: flight.Vec{X: 1, Y: -11, Z: 0.9}, Landing: court.Point{X: -2, Y: 8}, By: flight.BySpeed, Value: 24,
		}, true},
		{"badminton", flight.Want{
			From: flight.Vec{Y: -5, Z: 2.4}, Landing: court.Point{Y: 5}, By: flight.ByApex, Value: 6,
		}, true},
		{"padel", flight.Want{
			From: flight.Vec{Y: -7, Z: 0.8}, Landing: court.Point{Y: 7}, By: flight.ByApex, Value: 4,
		}, true},
		{"squash", flight.Want{
			From: flight.Vec{Y: -2, Z: 0.9}, Landing: court.Point{X: 1, Y: -3}, By: flight.ByWall, Value: 2.4,
		}, false},
		{"table-tennis", flight.Want{
			From: flight.Vec{Y: -1.5, Z: 0.2}, Landing: court.Point{Y: 1}, First: 1,
		}, true},
	} {
		w := world(t, c.on)
		l, err := w.Aim(c.want)
		require.NoError(t, err, c.on)
		p, ok := w.Passage(l, s)
		require.True(t, ok)
		require.Equal(t, c.cross, p.Crosses, c.on)
		lands, ok := w.LandingSpread(l, s)
		require.True(t, ok)
		require.InDelta(t, lands.A, p.Lands.A, 1e-3, c.on)
		require.InDelta(t, lands.B, p.Lands.B, 1e-3, c.on)
		require.InDelta(t, lands.Rho, p.Lands.Rho, 1e-3, c.on)
		over, sigma, crosses := w.OverNet(l, s)
		require.Equal(t, c.cross, crosses, c.on)
		require.InDelta(t, over, p.Over, 1e-3, c.on)
		require.InDelta(t, sigma, p.Sigma, 1e-3, c.on)
	}
}
