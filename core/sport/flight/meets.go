package flight

import (
	"math"

	"hodometer/core/sport/court"
)

// met is what a ball meets: when, what, the unit normal of it, pointing at the ball, and its surface.
type met struct {
	at      State
	kind    Happening
	normal  Vec
	surface Surface
}

// sooner is the earlier of two, each where there is one.
func (m met) sooner(other met) met {
	if m.kind == "" || other.kind != "" && other.at.T < m.at.T {
		return other
	}
	return m
}

// meets finds the first thing that a ball meets within a step. Where a net parts the court, a ball that comes to a wall
// before it has bounced is out: it goes on as if there were none.
func (w *World) meets(a, b State, landed bool) (first met) {
	for _, ground := range w.grounds() {
		if b.P.Z > ground || b.V.Z >= 0 {
			continue
		}
		at, fell := landing(a, b, ground)
		if !fell {
			at = a // it starts on the ground
		}
		if w.ground(at.P) == ground && at.P.Z >= ground-w.Ball.Radius() {
			first = first.sooner(met{at, Bounced, Vec{Z: 1}, w.Surface})
		}
	}
	if w.Court.HasNet() && math.Abs(a.P.Y) > atNet && a.P.Y*b.P.Y <= 0 {
		passed := crossing(a, b, alongY, 0)
		kind, beside := OverNet, math.Abs(passed.P.X) > w.Court.Net.HalfUp
		if !beside && w.clearance(&passed) < 0 && passed.P.Z > -w.Court.Above {
			kind = InNet
		}
		first = first.sooner(met{at: passed, kind: kind})
	}
	if w.Court.PlaysWalls() && (landed || !w.Court.HasNet()) {
		first = first.sooner(w.meetsWall(a, b))
	}
	return first
}

// meetsWall finds the wall that a ball meets within a step.
func (w *World) meetsWall(a, b State) (first met) {
	r := w.Ball.Radius()
	x, y := w.Court.Width/2-r, w.Court.Length/2-r
	for _, side := range [...]struct {
		foot   court.LineID
		along  axis
		at     float64
		normal Vec
	}{
		{court.FarBaseline, alongY, y, Vec{Y: -1}}, {court.NearBaseline, alongY, -y, Vec{Y: 1}},
		{court.RightSide, alongX, x, Vec{X: -1}}, {court.LeftSide, alongX, -x, Vec{X: 1}},
	} {
		from, to := side.along.of(a.P), side.along.of(b.P)
		if side.at > 0 && !(to > side.at && from <= side.at) || side.at < 0 && !(to < side.at && from >= side.at) {
			continue
		}
		s := crossing(a, b, side.along, side.at)
		along := s.P.X
		if side.normal.X != 0 {
			along = s.P.Y
		}
		material, there := w.Court.WallAt(side.foot, along, s.P.Z)
		if !there {
			continue
		}
		surface := w.Surface
		if material != "" {
			surface = SurfaceCalled(material)
		}
		first = first.sooner(met{s, Walled, side.normal, surface})
	}
	return first
}
