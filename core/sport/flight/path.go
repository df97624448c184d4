package flight

import (
	"sort"
)

// Happening is what ends a part of a ball's way.
type Happening string

// What can happen to a ball on its way.
const (
	Bounced  Happening = "bounce"
	Walled   Happening = "wall"
	OverNet  Happening = "net"    // it passed over the net
	InNet    Happening = "in net" // it was caught by the net
	Finished Happening = "finished"
)

// Event is something that happened at a moment.
type Event struct {
	Kind Happening
	At   State
}

// Path is the way of a ball, dense enough to be asked at any moment.
type Path struct {
	states []State // a bounce has two states at the same moment
	Events []Event
	Top    State // the highest point before the first bounce
}

// maxFlight bounds a way: seconds, and bounces on floor and walls.
const (
	maxFlight  = 12.0
	maxBounces = 12
	atNet      = 1e-6 // metres: a ball so near to the net's plane has just been seen to cross it
)

// Follow computes the way of a ball through so many bounces on the ground; without the last of them
// where the ball does not bounce or is caught by the net.
func (w World) Follow(l Launch, bounces int) Path {
	path := Path{states: make([]State, 0, 24)}
	spin := l.Spin
	f := forcesOn(w.Ball, w.Air, spin)
	s := f.from(0, l.From, l.Velocity)
	path.states = append(path.states, s)
	path.Top = s
	touched, hits := 0, 0
	for s.T < maxFlight && hits < maxBounces {
		next := f.after(s, f.step(s.V))
		meets := w.meets(s, next, touched > 0)
		if meets.kind != "" {
			next = meets.at
		}
		if touched == 0 && s.V.Z > 0 && next.V.Z <= 0 {
			path.Top = summit(s, next)
		}
		path.states = append(path.states, next)
		s = next
		switch meets.kind {
		case "":
			continue
		case OverNet:
			path.Events = append(path.Events, Event{OverNet, s})
			continue
		case InNet:
			path.Events = append(path.Events, Event{InNet, s})
			return path
		}
		hits++
		path.Events = append(path.Events, Event{meets.kind, s})
		if meets.kind == Bounced {
			touched++
			if touched == bounces || !w.Ball.Bounces() {
				return path
			}
		}
		s.V, spin = w.Ball.bounce(s.V, spin, meets.normal, meets.surface)
		f = forcesOn(w.Ball, w.Air, spin)
		s = f.from(s.T, s.P, s.V)
		path.states = append(path.states, s)
	}
	path.Events = append(path.Events, Event{Finished, s})
	return path
}

// First finds the first event of a kind.
func (p Path) First(kind Happening) (State, bool) { return p.nth(kind, 0) }

// Bounce finds the n-th bounce, from 0.
func (p Path) Bounce(n int) (State, bool) { return p.nth(Bounced, n) }

// OffWall finds the first wall that a ball meets after its first bounce and before the second one.
func (p Path) OffWall() (State, bool) {
	bounced := 0
	for _, e := range p.Events {
		switch {
		case e.Kind == Bounced:
			bounced++
		case e.Kind == Walled && bounced == 1:
			return e.At, true
		}
	}
	return State{}, false
}

func (p Path) nth(kind Happening, n int) (State, bool) {
	for _, e := range p.Events {
		if e.Kind != kind {
			continue
		}
		if n == 0 {
			return e.At, true
		}
		n--
	}
	return State{}, false
}

// End is the last moment of the way.
func (p Path) End() float64 { return p.states[len(p.states)-1].T }

// At is the ball at a moment; before the beginning or after the end, as it was then.
func (p Path) At(t float64) State {
	i := sort.Search(len(p.states), func(i int) bool { return p.states[i].T >= t })
	switch i {
	case 0:
		return p.states[0]
	case len(p.states):
		return p.states[len(p.states)-1]
	}
	return between(p.states[i-1], p.states[i], t)
}

// Passes finds the first moment from a time on at which the ball falls (or, rising, climbs) through a height.
func (p Path) Passes(height, from float64, rising bool) (State, bool) {
	for i := 1; i < len(p.states); i++ {
		a, b := &p.states[i-1], &p.states[i]
		if b.T <= from || b.T == a.T {
			continue
		}
		h := b.T - a.T
		low, high := turn(a, b), 1.0 // it falls from its highest point on
		if rising {
			low, high = 0, low
		}
		first, _ := alongZ.place(a, b, h, low)
		last, _ := alongZ.place(a, b, h, high)
		if rising == (first > last) || (first-height)*(last-height) > 0 || low == high {
			continue
		}
		if t := a.T + h*alongZ.root(a, b, low, high, height); t >= from {
			return between(*a, *b, t), true
		}
	}
	return State{}, false
}
