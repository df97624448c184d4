package feed

import (
	"math"

	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// PaceOf is the pace of a task: its own, else gentle by hand or dropped, else rally pace.
func (p Pattern) PaceOf(t Task) sports.Pace {
	switch method := p.MethodOf(t); {
	case t.Pace != "":
		return t.Pace
	case method == ByHand || method == SelfDrop:
		return sports.Gentle
	}
	return sports.RallyPace
}

// SpinOf is how a task's ball turns, in radians a second.
func (t Task) SpinOf(sport court.Sport) flight.Spin {
	const second = 2 * math.Pi / 60
	top, side := t.Spin.RPM(sport)
	if t.RPM != 0 {
		top, side = t.RPM, 0
	}
	if !sports.Of(sport).Bounces() {
		return flight.Spin{}
	}
	return flight.Spin{Top: top * second, Side: side * second}
}
