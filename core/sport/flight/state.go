package flight

import "math"

// State is a ball at a moment.
type State struct {
	T float64 // s
	P Vec     // m
	V Vec     // m/s
	a Vec     // m/s²
}

// axis picks a coordinate of a vector.
type axis int

const (
	alongX axis = iota
	alongY
	alongZ
)

func (d axis) of(v Vec) float64 {
	switch d {
	case alongX:
		return v.X
	case alongY:
		return v.Y
	}
	return v.Z
}

// between is the state at a moment within a step: the velocity by the cubic through both ends and their slopes, the
// place by its integral.
func between(a, b State, t float64) State {
	h := b.T - a.T
	if h <= 0 {
		return a
	}
	u := (t - a.T) / h
	u2 := u * u
	u3 := u2 * u
	u4 := u3 * u
	p1, p2, p3, p4 := h*(u-u3+u4/2), h*h*(u2/2-2*u3/3+u4/4), h*(u3-u4/2), h*h*(u4/4-u3/3)
	v1, v2, v3, v4 := 2*u3-3*u2+1, h*(u3-2*u2+u), 3*u2-2*u3, h*(u3-u2)
	return State{
		T: t,
		P: Vec{
			a.P.X + p1*a.V.X + p2*a.a.X + p3*b.V.X + p4*b.a.X,
			a.P.Y + p1*a.V.Y + p2*a.a.Y + p3*b.V.Y + p4*b.a.Y,
			a.P.Z + p1*a.V.Z + p2*a.a.Z + p3*b.V.Z + p4*b.a.Z,
		},
		V: Vec{
			v1*a.V.X + v2*a.a.X + v3*b.V.X + v4*b.a.X,
			v1*a.V.Y + v2*a.a.Y + v3*b.V.Y + v4*b.a.Y,
			v1*a.V.Z + v2*a.a.Z + v3*b.V.Z + v4*b.a.Z,
		},
		a: a.a.Times(1 - u).Add(b.a.Times(u)),
	}
}

// place is one coordinate of the place and of the velocity within a step, h long, at a share of it.
func (d axis) place(a, b *State, h, u float64) (p, v float64) {
	u2 := u * u
	u3 := u2 * u
	u4 := u3 * u
	va, vb, aa, ab := d.of(a.V), d.of(b.V), d.of(a.a), d.of(b.a)
	p = d.of(a.P) + h*((u-u3+u4/2)*va+(u3-u4/2)*vb+h*((u2/2-2*u3/3+u4/4)*aa+(u4/4-u3/3)*ab))
	return p, (2*u3-3*u2+1)*va + (3*u2-2*u3)*vb + h*((u3-2*u2+u)*aa+(u3-u2)*ab)
}

// root finds where a coordinate passes a value between two shares of a step, on one side of it at the first and on the
// other at the second: by Newton's method, held within what is known.
func (d axis) root(a, b *State, from, to, value float64) float64 {
	h := b.T - a.T
	low, _ := d.place(a, b, h, from)
	high, _ := d.place(a, b, h, to)
	rising := high > low
	u := from
	if high != low {
		u = from + (to-from)*(value-low)/(high-low)
	}
	for range 60 {
		p, v := d.place(a, b, h, u)
		miss := value - p
		if math.Abs(miss) < 1e-11 {
			break
		}
		if (miss > 0) == rising {
			from = u
		} else {
			to = u
		}
		next := u + miss/(v*h)
		if !(next > from && next < to) {
			next = (from + to) / 2
		}
		if next == u {
			break
		}
		u = next
	}
	return u
}

// crossing is the state within a step at which a coordinate passes a value.
func crossing(a, b State, d axis, value float64) State {
	return between(a, b, a.T+(b.T-a.T)*d.root(&a, &b, 0, 1, value))
}

// turn is the share of a step at which the ball is highest: 0 where it falls all the way, 1 where it climbs.
func turn(a, b *State) float64 {
	switch {
	case a.V.Z <= 0:
		return 0
	case b.V.Z > 0:
		return 1
	}
	h := b.T - a.T
	low, high := 0.0, 1.0
	u := a.V.Z / (a.V.Z - b.V.Z)
	for range 60 {
		u2 := u * u
		v := (2*u2*u-3*u2+1)*a.V.Z + (3*u2-2*u2*u)*b.V.Z + h*((u2*u-2*u2+u)*a.a.Z+(u2*u-u2)*b.a.Z)
		if math.Abs(v) < 1e-11 {
			break
		}
		if v > 0 {
			low = u
		} else {
			high = u
		}
		g := a.a.Z + u*(b.a.Z-a.a.Z)
		next := u
		if g < 0 {
			next = u - v/(g*h)
		}
		if !(next > low && next < high) {
			next = (low + high) / 2
		}
		u = next
	}
	return u
}

// summit is the highest point within a step.
func summit(a, b State) State { return between(a, b, a.T+(b.T-a.T)*turn(&a, &b)) }

// landing is the state within a step at which a ball falls through a height; false where it does not.
func landing(a, b State, height float64) (State, bool) {
	if b.P.Z > height || b.V.Z >= 0 {
		return State{}, false
	}
	up := turn(&a, &b)
	if top, _ := alongZ.place(&a, &b, b.T-a.T, up); top <= height {
		return State{}, false
	}
	return between(a, b, a.T+(b.T-a.T)*alongZ.root(&a, &b, up, 1, height)), true
}
