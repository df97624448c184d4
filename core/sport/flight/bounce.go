package flight

import "math"

// Surface is what a ball bounces on: Keeps multiplies the ball's own restitution, Grip is the friction μ.
type Surface struct {
	Name        string
	Restitution float64
	Grip        float64
}

// surfaces by the names that the courts use. Values are from memory, no source; a hard court is the slab
// of the rebound test.
var surfaces = []Surface{
	{"hard", 1, 0.65},
	{"clay", 1.07, 0.80},
	{"grass", 0.94, 0.55},
	{"carpet", 1, 0.62},
	{
		"sports hall floor",
		0.98,
		0.55,
	},
	{"court mat", 1, 0.6},
	{"wood", 1, 0.5},
	{"sprung wood", 1, 0.5},
	{"table", 1, 0.25},
	{"artificial turf", 0.96, 0.7},
	{"glass", 0.9, 0.3},
	{"mesh", 0.55, 0.9},
}

// SurfaceCalled finds a surface; one that is not known is hard.
func SurfaceCalled(name string) Surface {
	for _, s := range surfaces {
		if s.Name == name {
			return s
		}
	}
	return surfaces[0]
}

// bounce returns velocity and spin after a ball met a surface with the unit normal n, pointing at the
// ball. The ball is a thin shell: it slides through the bounce, or rolls at its end where friction is
// enough; rolling, it leaves along the surface with 0.6·v + 0.4·Rω. See Brody, Phys. Teach. 22 (1984) 494.
func (b Ball) bounce(v, spin, n Vec, s Surface) (after, spinAfter Vec) {
	const rolls = 0.4 // of the slip is taken away when it rolls: a shell's 1/(1 + mR²/I), I = ⅔mR²
	e := math.Min(b.Restitution()*s.Restitution, 0.97)
	into := -v.Dot(n)
	along := v.Add(n.Times(into))
	arm := n.Times(-b.Radius())
	slip := along.Add(spin.Cross(arm))
	after = along.Add(n.Times(e * into))
	speed := slip.Norm()
	if speed < 1e-12 {
		return after, spin
	}
	change := slip.Times(-math.Min(s.Grip*(1+e)*into, rolls*speed) / speed)
	// The same impulse turns the ball: Δω = arm × Δv · m/I.
	return after.Add(change), spin.Add(arm.Cross(change).Times(1.5 / (b.Radius() * b.Radius())))
}
