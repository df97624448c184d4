package feed

import (
	"math"

	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
)

// Pace is how fast a ball comes, in a coach's words.
type Pace string

// The paces.
const (
	Gentle    Pace = "gentle"
	HalfPace  Pace = "half pace"
	RallyPace Pace = "rally pace"
	GamePace  Pace = "game pace"
)

// Speed is the mean speed over the ground of a pace on a court, m/s. The small courts of tennis are
// played slower, by the root of their length.
func (p Pace) Speed(c court.Court) float64 {
	speed := In(c.Sport).Speeds[p]
	if c.Sport == court.Tennis {
		speed *= math.Sqrt(c.Length / fullCourt)
	}
	return speed
}

// Over is how high over the net a ball of a pace is struck at most in a sport, metres; 0 where the pace alone says it. Common
// practice, no source.
func (p Pace) Over(sport court.Sport) float64 { return In(sport).Over[p] }

const fullCourt = 23.7744 // metres, ITF Rules of Tennis

// PaceOf is the pace of a task: its own, else gentle by hand or dropped, else rally pace.
func (p Pattern) PaceOf(t Task) Pace {
	switch method := p.MethodOf(t); {
	case t.Pace != "":
		return t.Pace
	case method == ByHand || method == SelfDrop:
		return Gentle
	}
	return RallyPace
}

// SpinKind is how a ball turns, in a coach's words.
type SpinKind string

// The spins. The zero value is flat.
const (
	Flat         SpinKind = "flat"
	Topspin      SpinKind = "topspin"
	HeavyTopspin SpinKind = "heavy topspin"
	Slice        SpinKind = "slice"
	HeavySlice   SpinKind = "heavy slice"
	SideLeft     SpinKind = "curving left"
	SideRight    SpinKind = "curving right"
)

// mirrored swaps left and right.
func (s SpinKind) mirrored() SpinKind {
	switch s {
	case SideLeft:
		return SideRight
	case SideRight:
		return SideLeft
	}
	return s
}

// RPM is the turns a minute, over the top and to the side.
func (s SpinKind) RPM(sport court.Sport) (top, side float64) {
	plain := In(sport).Topspin
	switch s {
	case Topspin:
		return plain, 0
	case HeavyTopspin:
		return 2 * plain, 0
	case Slice:
		return -0.8 * plain, 0
	case HeavySlice:
		return -1.6 * plain, 0
	case SideLeft:
		return 0, plain
	case SideRight:
		return 0, -plain
	}
	return 0, 0
}

// SpinOf is how a task's ball turns, in radians a second.
func (t Task) SpinOf(sport court.Sport) flight.Spin {
	const second = 2 * math.Pi / 60
	top, side := t.Spin.RPM(sport)
	if t.RPM != 0 {
		top, side = t.RPM, 0
	}
	if sport == court.Badminton {
		return flight.Spin{}
	}
	return flight.Spin{Top: top * second, Side: side * second}
}
