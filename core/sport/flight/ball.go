// Package flight is how a ball flies, bounces and comes off a wall, and which launch lands where.
//
// Units are SI: metres, seconds, radians a second, kilograms. Axes are those of package court with z up;
// a place is that of the ball's centre. The ball is a point mass under gravity, quadratic drag and Magnus
// lift:
//
//	a = −g ẑ + k·Cl·|v|·(ŵ × v) − k·Cd·|v|·v,   k = ρA/(2m),   S = Rω/|v|
//	Cl = 1/(2 + 1/S)
//	Cd = Cd₀ + (22.5 + 4.2·S^−2.5)^−0.4 where the fuzz of the ball makes it so, else Cd₀
//
// The coefficients are those of Štěpánek, Am. J. Phys. 56 (1988) 138 (from memory).
package flight

import (
	"math"

	"hodometer/core/sport/court"
)

// Gravity is the standard acceleration of gravity, m/s².
const Gravity = 9.80665

// Ball is what of a ball matters to its flight and its bounce.
type Ball struct {
	Name     string
	Sport    court.Sport // that it is for
	Mass     float64     // kg
	Diameter float64     // m
	Drag     float64     // Cd₀
	SpinDrag bool        // drag grows with spin
	Dropped  float64     // m, the height it is dropped from in its federation's test
	Rebounds float64     // m, the middle of what it may come back to; 0 for a shuttlecock
	Source   string
}

// Radius is half the diameter, m.
func (b Ball) Radius() float64 { return b.Diameter / 2 }

// Restitution is the share of its upright speed that a ball keeps on a hard, plain slab, so that it comes
// back as high as in its federation's drop test. Without air it would be √(rebound ÷ drop); in air, with
// β = k·Cd₀, the ball meets the slab with v² = g/β·(1 − e^(−2βh)) and rises to h from v² = g/β·(e^(2βh) − 1).
func (b Ball) Restitution() float64 {
	if !b.Bounces() {
		return 0
	}
	f := forcesOn(b, StillAir(), Vec{})
	beta := 2 * f.k * f.drag
	if beta == 0 {
		return math.Sqrt(b.Rebounds / b.Dropped)
	}
	return math.Sqrt(math.Expm1(beta*b.Rebounds) / -math.Expm1(-beta*b.Dropped))
}

// Bounces says whether a ball comes up again.
func (b Ball) Bounces() bool { return b.Rebounds > 0 }
