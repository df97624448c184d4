package flight

import (
	"math"
	"sync"
)

// forces holds what stays the same during one flight.
type forces struct {
	k, drag, radius float64
	spinDrag        *[cells + 1]cell // nil where drag does not grow with spin
	spin            Vec              // unit vector
	rate            float64
	wind            Vec
}

func forcesOn(b Ball, air Air, spin Vec) forces {
	f := forces{
		k: air.Density * math.Pi * b.Diameter * b.Diameter / 4 / (2 * b.Mass), drag: b.Drag, radius: b.Radius(),
		rate: spin.Norm(), wind: air.Wind,
	}
	if f.rate > 0 {
		f.spin = spin.Times(1 / f.rate)
		if b.SpinDrag {
			f.spinDrag = spinDrags()
		}
	}
	return f
}

// acceleration is that of the formula at the head of the package. What of it depends on the spin depends on Rω and |v|
// alone: Cl = Rω/(2Rω + |v|), and the drag by u = Rω/(Rω + |v|), which stands in a table.
func (f *forces) acceleration(v Vec) Vec {
	v = Vec{v.X - f.wind.X, v.Y - f.wind.Y, v.Z - f.wind.Z}
	speed := math.Sqrt(v.X*v.X + v.Y*v.Y + v.Z*v.Z)
	if f.k == 0 || speed == 0 {
		return Vec{Z: -Gravity}
	}
	drag, lift := f.drag, 0.0
	if f.rate > 0 {
		rim := f.radius * f.rate
		lift = f.k * speed * rim / (2*rim + speed)
		if f.spinDrag != nil {
			drag += drawn(f.spinDrag, rim/(rim+speed))
		}
	}
	d := f.k * drag * speed
	return Vec{
		lift*(f.spin.Y*v.Z-f.spin.Z*v.Y) - d*v.X,
		lift*(f.spin.Z*v.X-f.spin.X*v.Z) - d*v.Y,
		lift*(f.spin.X*v.Y-f.spin.Y*v.X) - d*v.Z - Gravity,
	}
}

// cells is how many cells the table of the drag by spin has; it is off by less than a billionth.
const cells = 256

// cell is the drag at the beginning of a cell, and its slope times the width of one.
type cell struct{ value, slope float64 }

// spinDrags tabulates (22.5 + 4.2·S^−2.5)^−0.4 by u = S/(1 + S), from 0 to 1.
var spinDrags = sync.OnceValue(func() *[cells + 1]cell {
	of := func(u float64) float64 {
		if u <= 0 {
			return 0
		}
		s := u / (1 - u)
		return math.Pow(22.5+4.2*math.Pow(s, -2.5), -0.4)
	}
	var table [cells + 1]cell
	const small = 1e-6
	for i := range table {
		u := float64(i) / cells
		low, high := math.Max(0, u-small), math.Min(1-1e-12, u+small)
		table[i] = cell{of(math.Min(u, 1-1e-12)), (of(high) - of(low)) / (high - low) / cells}
	}
	return &table
})

// drawn reads a table at a share of its way, by cubic Hermite interpolation.
func drawn(table *[cells + 1]cell, u float64) float64 {
	at := u * cells
	i := min(int(at), cells-1)
	a, b := &table[i], &table[i+1]
	x := at - float64(i)
	rise := b.value - a.value
	return a.value + x*(a.slope+x*(3*rise-2*a.slope-b.slope+x*(a.slope+b.slope-2*rise)))
}

// step is how far one step may go: shorter where drag bends the flight quickly. The reference flights are met within a
// quarter of a millimetre.
func (f *forces) step(v Vec) float64 {
	const longest, part = 0.3, 0.1 // seconds; of the time in which drag alone would stop the ball
	return math.Min(longest, part/math.Max(f.k*(f.drag+0.1)*v.Norm(), 1e-9))
}

// from is a ball at a moment, with what pulls at it.
func (f *forces) from(t float64, p, v Vec) State {
	return State{T: t, P: p, V: v, a: f.acceleration(v)}
}

// after is the state h seconds later: the velocity, on which alone the forces depend, by one step of Runge and Kutta's
// fourth order, and the place by integrating the cubic through both velocities.
func (f *forces) after(s State, h float64) State {
	k1 := s.a
	k2 := f.acceleration(Vec{s.V.X + h/2*k1.X, s.V.Y + h/2*k1.Y, s.V.Z + h/2*k1.Z})
	k3 := f.acceleration(Vec{s.V.X + h/2*k2.X, s.V.Y + h/2*k2.Y, s.V.Z + h/2*k2.Z})
	k4 := f.acceleration(Vec{s.V.X + h*k3.X, s.V.Y + h*k3.Y, s.V.Z + h*k3.Z})
	v := Vec{
		s.V.X + h/6*(k1.X+2*(k2.X+k3.X)+k4.X),
		s.V.Y + h/6*(k1.Y+2*(k2.Y+k3.Y)+k4.Y),
		s.V.Z + h/6*(k1.Z+2*(k2.Z+k3.Z)+k4.Z),
	}
	a := f.acceleration(v)
	second := h * h / 12
	return State{
		T: s.T + h, V: v, a: a,
		P: Vec{
			s.P.X + h/2*(s.V.X+v.X) + second*(k1.X-a.X),
			s.P.Y + h/2*(s.V.Y+v.Y) + second*(k1.Y-a.Y),
			s.P.Z + h/2*(s.V.Z+v.Z) + second*(k1.Z-a.Z),
		},
	}
}
