package flight_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
)

// A shuttle hit flat over d metres at v₀ takes (L/v₀)(e^(d/L) − 1) seconds with L = U²/g, U its terminal speed: drag
// quadratic in speed, gravity left out (Cohen, Darbois-Texier, Quéré and Clanet, New J. Phys. 17 (2015) 063001). A
// smash over 8 m at 40 to 60 m/s is to take 0.36 to 0.54 s (range from memory).
func TestASmashTakesAsLongAsItDoesInPlay(t *testing.T) {
	w := world(t, "badminton")
	w.Court = w.Court.WithoutNet()
	const terminal, far = 6.7, 8.0
	length := terminal * terminal / flight.Gravity
	for _, speed := range []float64{40, 50, 60} {
		path := w.Follow(flight.Launch{From: flight.Vec{Y: -4, Z: 2.7}, Velocity: flight.Vec{Y: speed}}, 1)
		taken := 0.0
		for taken < path.End() && path.At(taken).P.Y < -4+far {
			taken += 1e-4
		}
		flat := length / speed * (math.Exp(far/length) - 1)
		require.InEpsilon(t, flat, taken, 0.05, "the closed form leaves gravity out")
		require.Greater(t, taken, 0.34)
		require.Less(t, taken, 0.56)
	}
}

// A tennis ball that is struck from one baseline has 40 to 60 % of its speed left at the other one, a bounce and drag
// together (from memory). Groundstrokes of 25 to 35 m/s.
func TestWhatIsLeftOfATennisBallAtTheOtherBaseline(t *testing.T) {
	w := world(t, "tennis")
	half := w.Court.Length / 2
	for _, speed := range []float64{25, 30, 35} {
		l, err := w.Aim(
			flight.Want{
				From:    flight.Vec{Y: -half, Z: 0.9},
				Landing: court.Point{Y: half - 3},
				By:      flight.BySpeed,
				Value:   speed,
				Spin:    flight.Spin{Top: 150},
			},
		)
		require.NoError(t, err)
		path := w.Follow(l, 2)
		arrives := 0.0
		for arrives < path.End() && path.At(arrives).P.Y < half {
			arrives += 1e-3
		}
		left := path.At(arrives).V.Norm() / speed
		require.Greater(t, left, 0.38, "%g m/s", speed)
		require.Less(t, left, 0.62, "%g m/s", speed)
	}
}

// The table of the drag of the spin is the formula, to a billionth and at both ends, and a ball without spin has none
// of it.
func TestTheDragOfTheSpinIsThatOfTheFormula(t *testing.T) {
	fuzzy := open(flight.Ball{Mass: 0.0577, Diameter: 0.067, Drag: 0.55, SpinDrag: true}, 1.2)
	plain := open(flight.Ball{Mass: 0.0577, Diameter: 0.067, Drag: 0.55}, 1.2)
	slowed := func(w flight.World, rate float64) float64 {
		// about its way: no lift
		path := w.Follow(flight.Launch{From: flight.Vec{Z: 50}, Velocity: flight.Vec{Y: 20}, Spin: flight.Vec{Y: rate}}, 1)
		return path.At(0.2).V.Y
	}
	require.InDelta(t, slowed(plain, 0), slowed(fuzzy, 0), 1e-12)
	last := slowed(fuzzy, 0)
	for _, rate := range []float64{10, 50, 200, 600} {
		now := slowed(fuzzy, rate)
		require.Less(t, now, last, "the more spin the more drag")
		require.Less(t, now, slowed(plain, rate))
		last = now
	}
}
