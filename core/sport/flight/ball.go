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

	"hodometer/core/basics/units"
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

// Masses and sizes are the middle of what the rules allow. Drag coefficients are from memory, no source.
var (
	tennisBall = Ball{Name: "tennis ball", Sport: court.Tennis, Mass: 0.0577, Diameter: 0.067, Drag: 0.55, SpinDrag: true, Dropped: 2.54, Rebounds: 1.41,
		Source: "ITF Rules of Tennis, ball appendix: 56.0–59.4 g, 6.54–6.86 cm, 135–147 cm from 254 cm"}
	orangeBall = Ball{Name: "orange ball", Sport: court.Tennis, Mass: 0.0415, Diameter: 0.0643, Drag: 0.55, SpinDrag: true, Dropped: 2.54, Rebounds: 1.125,
		Source: "ITF Rules of Tennis, ball appendix (from memory): 36.0–46.9 g, 6.00–6.86 cm, 105–120 cm from 254 cm"}
	redBall = Ball{Name: "red ball", Sport: court.Tennis, Mass: 0.0425, Diameter: 0.075, Drag: 0.55, SpinDrag: true, Dropped: 2.54, Rebounds: 0.975,
		Source: "ITF Rules of Tennis, ball appendix (from memory): 36.0–49.0 g, 7.00–8.00 cm, 90–105 cm from 254 cm"}
	greenBall = Ball{Name: "green ball", Sport: court.Tennis, Mass: 0.0493, Diameter: 0.0658, Drag: 0.55, SpinDrag: true, Dropped: 2.54, Rebounds: 1.275,
		Source: "ITF Rules of Tennis, ball appendix (from memory): 47.0–51.5 g, 6.30–6.86 cm, 120–135 cm from 254 cm"}
	pickleballBall = Ball{Name: "pickleball", Sport: court.Pickleball, Mass: 0.0246, Diameter: 0.0742, Drag: 0.40, Dropped: 78 * units.Inch, Rebounds: 32 * units.Inch,
		Source: "USA Pickleball equipment standards (from memory): 22.1–26.5 g, 73–75.5 mm, 30–34 in from 78 in"}
	shuttlecock = Ball{Name: "shuttlecock", Sport: court.Badminton, Mass: 0.0052, Diameter: 0.066, Drag: 0.5534079719881946,
		Source: "BWF Laws 2: 4.74–5.50 g; drag from a terminal speed of 6.7 m/s, Cohen et al., New J. Phys. 17 (2015) 063001"}
	squashBall = Ball{Name: "squash ball", Sport: court.Squash, Mass: 0.024, Diameter: 0.040, Drag: 0.50, Dropped: 2.54, Rebounds: 0.295 * 2.54,
		Source: "WSF ball specification (from memory): 23–25 g, 39.5–40.5 mm, 26–33 % of 254 cm at 45 °C"}
	tableTennisBall = Ball{Name: "table tennis ball", Sport: court.TableTennis, Mass: 0.0027, Diameter: 0.040, Drag: 0.45, Dropped: 0.30, Rebounds: 0.23,
		Source: "ITTF Laws 2.03 and 2.01.03: 2.7 g, 40 mm, about 23 cm from 30 cm"}
)

// Balls lists the balls there are.
func Balls() []Ball {
	return []Ball{tennisBall, greenBall, orangeBall, redBall, pickleballBall, shuttlecock, squashBall, tableTennisBall}
}

// BallOf is the ball that is played on a court. Green is the full court with its own ball.
func BallOf(id court.ID, green bool) Ball {
	switch id {
	case "tennis-orange":
		return orangeBall
	case "tennis-red":
		return redBall
	case "pickleball":
		return pickleballBall
	case "badminton":
		return shuttlecock
	case "squash":
		return squashBall
	case "table-tennis":
		return tableTennisBall
	}
	if green {
		return greenBall
	}
	return tennisBall
}
