package flight

import "math"

// State is a ball at a moment.
type State struct {
	T float64 // s
	P Vec     // m
	V Vec     // m/s
}

// forces holds what stays the same during one flight.
type forces struct {
	k, drag, radius float64
	longest         float64 // step of the integration, s
	spinDrag        bool
	spin            Vec // unit vector
	rate            float64
	wind            Vec
}

func forcesOn(b Ball, air Air, spin Vec) forces {
	f := forces{
		k: air.Density * math.Pi * b.Diameter * b.Diameter / 4 / (2 * b.Mass), drag: b.Drag, radius: b.Radius(),
		longest: longest, spinDrag: b.SpinDrag, rate: spin.Norm(), wind: air.Wind,
	}
	if f.rate > 0 {
		f.spin = spin.Times(1 / f.rate)
	}
	return f
}

// acceleration is that of the formula at the head of the package.
func (f *forces) acceleration(v Vec) Vec {
	v = v.Sub(f.wind)
	speed := v.Norm()
	a := Vec{Z: -Gravity}
	if f.k == 0 || speed == 0 {
		return a
	}
	drag := f.drag
	if f.rate > 0 {
		s := f.radius * f.rate / speed
		if f.spinDrag {
			drag += math.Exp(-0.4 * math.Log(22.5+4.2/(s*s*math.Sqrt(s)))) // quicker than Pow
		}
		a = a.Add(f.spin.Cross(v).Times(f.k * speed / (2 + 1/s)))
	}
	return a.Add(v.Times(-f.k * drag * speed))
}

// longest step of the integration, s. With 20 ms the reference flights are met within 0.2 mm.
const longest = 0.02

// step is how far one step may go: shorter where drag bends the flight quickly.
func (f *forces) step(v Vec) float64 {
	const part, exact = 0.2, 0.25 // of the time in which drag alone would stop the ball; without air any step is exact
	if f.k == 0 {
		return exact
	}
	stopping := f.k * (f.drag + 0.1) * v.Norm()
	return math.Min(f.longest, part/math.Max(stopping, 1e-9))
}

// after is the state h seconds later, by one step of Runge and Kutta's fourth order.
func (f *forces) after(s State, h float64) State {
	k1 := f.acceleration(s.V)
	v2 := s.V.Add(k1.Times(h / 2))
	k2 := f.acceleration(v2)
	v3 := s.V.Add(k2.Times(h / 2))
	k3 := f.acceleration(v3)
	v4 := s.V.Add(k3.Times(h))
	k4 := f.acceleration(v4)
	return State{
		T: s.T + h,
		P: s.P.Add(s.V.Add(v2.Times(2)).Add(v3.Times(2)).Add(v4).Times(h / 6)),
		V: s.V.Add(k1.Add(k2.Times(2)).Add(k3.Times(2)).Add(k4).Times(h / 6)),
	}
}

// between is the state at a moment within a step, by cubic Hermite interpolation of the places.
func between(a, b State, t float64) State {
	h := b.T - a.T
	if h <= 0 {
		return a
	}
	u := (t - a.T) / h
	u2, u3 := u*u, u*u*u
	p := a.P.Times(2*u3 - 3*u2 + 1).Add(a.V.Times((u3 - 2*u2 + u) * h)).Add(b.P.Times(3*u2 - 2*u3)).Add(b.V.Times((u3 - u2) * h))
	return State{T: t, P: p, V: a.V.Times(1 - u).Add(b.V.Times(u))}
}

// crossing finds the state within a step at which a coordinate passes a value: by Newton's method from
// the chord, each time with one short step of the integration. of picks the coordinate of a vector.
func (f *forces) crossing(a, b State, of func(Vec) float64, value float64) State {
	h := b.T - a.T
	t := h * (value - of(a.P)) / (of(b.P) - of(a.P))
	at := f.after(a, t)
	for range 4 {
		miss, speed := value-of(at.P), of(at.V)
		if math.Abs(miss) < 1e-10 || speed == 0 {
			break
		}
		t = math.Max(0, math.Min(h, t+miss/speed))
		at = f.after(a, t)
	}
	return at
}

// summit is the highest point within a step.
func (f *forces) summit(a, b State) State {
	h := b.T - a.T
	t := h * a.V.Z / (a.V.Z - b.V.Z)
	at := f.after(a, t)
	if g := f.acceleration(at.V).Z; g < 0 {
		at = f.after(a, math.Max(0, math.Min(h, t-at.V.Z/g)))
	}
	return at
}

func alongX(v Vec) float64 { return v.X }
func alongY(v Vec) float64 { return v.Y }
func alongZ(v Vec) float64 { return v.Z }
