package flight

import "math"

// Scatter is how much launches differ from one another: standard deviations of the speed, as a share of
// it, and of the two angles, in radians.
type Scatter struct {
	Speed     float64
	Elevation float64
	Azimuth   float64
}

// Times is a scatter so many times as wide.
func (s Scatter) Times(share float64) Scatter {
	return Scatter{s.Speed * share, s.Elevation * share, s.Azimuth * share}
}

// Varied are the launches one standard deviation off in speed, elevation and azimuth: turned to the side to which it
// does not go, so that those of a mirrored launch are the mirrored ones.
func (l Launch) Varied(s Scatter) [3]Launch {
	v := l.Velocity
	level := math.Hypot(v.X, v.Y)
	turned := l
	sin, cos := math.Sincos(s.Azimuth * math.Copysign(1, v.X))
	turned.Velocity = Vec{v.X*cos - v.Y*sin, v.X*sin + v.Y*cos, v.Z}
	raised := l
	if level > 0 {
		sin, cos = math.Sincos(s.Elevation)
		up := level*cos - v.Z*sin
		raised.Velocity = Vec{v.X / level * up, v.Y / level * up, v.Z*cos + level*sin}
	}
	faster := l
	faster.Velocity = v.Times(1 + s.Speed)
	return [3]Launch{faster, raised, turned}
}

// Spread is the scatter of a place in two directions: standard deviations and their correlation.
type Spread struct {
	A, B float64 // metres
	Rho  float64
}

// spread sums up what each independent part of the scatter does.
func spread(parts [3][2]float64) Spread {
	var aa, bb, ab float64
	for _, p := range parts {
		aa, bb, ab = aa+p[0]*p[0], bb+p[1]*p[1], ab+p[0]*p[1]
	}
	s := Spread{A: math.Sqrt(aa), B: math.Sqrt(bb)}
	if s.A > 0 && s.B > 0 {
		s.Rho = ab / (s.A * s.B)
	}
	return s
}

// LandingSpread is the scatter of the landing along x and y, to first order in the launch's.
func (w World) LandingSpread(l Launch, s Scatter) (Spread, bool) {
	return w.spreadAt(l, s, func(p Path) (float64, float64, bool) {
		at, ok := p.Bounce(l.Landing())
		return at.P.X, at.P.Y, ok
	})
}

// Plane is an upright plane through two places: a gate, or the net. A crossing is measured along it from
// the first place, and upwards.
type Plane struct{ X1, Y1, X2, Y2 float64 }

// PlaneSpread is the scatter with which a ball passes an upright plane before it lands: along the plane
// and in height. Nothing stops the ball on its way.
func (w World) PlaneSpread(l Launch, s Scatter, plane Plane) (Spread, bool) {
	free := w
	free.Court = w.Court.WithoutNet()
	return free.spreadAt(l, s, plane.crossing)
}

// OverNet is how far over the net a ball passes, and the standard deviation of that; false where it does not cross it.
func (w World) OverNet(l Launch, s Scatter) (clearance, sigma float64, ok bool) {
	if !w.Court.HasNet() {
		return 0, 0, false
	}
	passed, over := w.Follow(l, 1+l.Landing()).First(OverNet)
	if !over {
		return 0, 0, false
	}
	at, ok := w.PlaneSpread(l, s, Plane{X1: -w.Court.Net.HalfUp, X2: w.Court.Net.HalfUp})
	return w.Clearance(passed), at.B, ok
}

// Passage is how a stroke that scatters passes the net, and where it lands.
type Passage struct {
	Crosses bool    // it goes over the net
	Over    float64 // metres over it
	Sigma   float64 // standard deviation of that
	Lands   Spread  // of the landing along x and y
}

// Passage is what OverNet and LandingSpread say of a stroke, with each of its launches followed once. It is false where
// the ball never lands.
func (w World) Passage(l Launch, s Scatter) (p Passage, ok bool) {
	if w.Court.PlaysWalls() || !w.Court.HasNet() { // what is behind the net matters: walls, and the floor of a table
		p.Over, p.Sigma, p.Crosses = w.OverNet(l, s)
		p.Lands, ok = w.LandingSpread(l, s)
		return p, ok
	}
	free := w
	free.Court = w.Court.WithoutNet()
	net := Plane{X1: -w.Court.Net.HalfUp, X2: w.Court.Net.HalfUp}
	type passed struct {
		height, x, y float64
		crosses      bool
	}
	own, varied, ok := around(l, s, func(l Launch) (passed, bool) {
		path := free.Follow(l, 1+l.Landing())
		landed, ok := path.Bounce(l.Landing())
		along, height, crosses := net.crossing(path)
		if crosses {
			height = w.clearance(&State{P: Vec{X: along + net.X1, Z: height}})
		}
		return passed{height, landed.P.X, landed.P.Y, crosses}, ok
	})
	if !ok {
		return p, false
	}
	p.Crosses, p.Over = own.crosses, own.height
	var heights, landings [3][2]float64
	for i, v := range varied {
		p.Crosses = p.Crosses && v.crosses
		heights[i] = [2]float64{(v.height - own.height) / small}
		landings[i] = [2]float64{(v.x - own.x) / small, (v.y - own.y) / small}
	}
	p.Sigma, p.Lands = spread(heights).A, spread(landings)
	return p, true
}

// PlaneCrossing is where a ball passes an upright plane before it lands, if it does. Nothing stops it on
// its way.
func (w World) PlaneCrossing(l Launch, plane Plane) (along, height float64, ok bool) {
	free := w
	free.Court = w.Court.WithoutNet()
	return plane.crossing(free.Follow(l, 1+l.Landing()))
}

func (g Plane) crossing(p Path) (along, height float64, ok bool) {
	dx, dy := g.X2-g.X1, g.Y2-g.Y1
	width := math.Hypot(dx, dy)
	if width == 0 {
		return 0, 0, false
	}
	off := func(v Vec) float64 { return (dx*(v.Y-g.Y1) - dy*(v.X-g.X1)) / width }
	for i := 1; i < len(p.states); i++ {
		a, b := off(p.states[i-1].P), off(p.states[i].P)
		if a*b > 0 || a == b {
			continue
		}
		from, to := p.states[i-1], p.states[i]
		s := between(from, to, from.T+(to.T-from.T)*a/(a-b))
		for range 8 { // by Newton's method
			miss, speed := off(s.P), (dx*s.V.Y-dy*s.V.X)/width
			if math.Abs(miss) < 1e-10 || speed == 0 {
				break
			}
			s = between(from, to, math.Max(from.T, math.Min(s.T-miss/speed, to.T)))
		}
		at := s.P
		return (dx*(at.X-g.X1) + dy*(at.Y-g.Y1)) / width, at.Z, true
	}
	return 0, 0, false
}

// small is the share of a standard deviation that launches are varied by: the answer is the slope times the deviation.
const small = 0.05

// around reads something of a launch, and of those a small share of a standard deviation off; false where one of them
// cannot be read.
func around[T any](l Launch, s Scatter, read func(Launch) (T, bool)) (own T, varied [3]T, ok bool) {
	if own, ok = read(l); !ok {
		return own, varied, false
	}
	for i, other := range l.Varied(s.Times(small)) {
		if varied[i], ok = read(other); !ok {
			return own, varied, false
		}
	}
	return own, varied, true
}

func (w World) spreadAt(l Launch, s Scatter, where func(Path) (a, b float64, ok bool)) (Spread, bool) {
	own, varied, ok := around(l, s, func(l Launch) (at [2]float64, ok bool) {
		at[0], at[1], ok = where(w.Follow(l, 1+l.Landing()))
		return at, ok
	})
	if !ok {
		return Spread{}, false
	}
	var parts [3][2]float64
	for i, v := range varied {
		parts[i] = [2]float64{(v[0] - own[0]) / small, (v[1] - own[1]) / small}
	}
	return spread(parts), true
}
