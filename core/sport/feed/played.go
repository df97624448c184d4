package feed

import (
	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
)

// Serving is how a ball is served: it leaves the hand, comes to its highest point, and is struck on the way down. Metres above
// the court, for an adult; and how deep into the box it is aimed, as a share of it. Common practice, no source.
type Serving struct{ Held, Up, Met, Deep float64 }

// Strokes that are told by something else than their pace. Common practice, no source; the height of a badminton serve is
// held under the 1.15 m of the BWF Laws, Law 9 (from memory).
type played struct {
	serving Serving
	first   map[Stroke]float64 // m/s as the ball leaves an adult tournament player at game pace
	apex    map[Stroke]float64 // metres above the court
	over    map[Stroke]float64 // metres over the net
	wall    map[Stroke]float64 // metres up the front wall
}

var playedIn = map[court.Sport]played{
	court.Tennis: {
		serving: Serving{Held: 1.6, Up: 3.0, Met: 2.55, Deep: 0.85},
		first:   map[Stroke]float64{Serve: 46, Overhead: 36}, apex: map[Stroke]float64{Lob: 6.5}, over: map[Stroke]float64{Drop: 0.5},
	},
	court.Pickleball: {
		serving: Serving{Held: 1.0, Up: 1.0, Met: 0.75, Deep: 0.75},
		first:   map[Stroke]float64{Serve: 21, Overhead: 20}, apex: map[Stroke]float64{Lob: 4.5}, over: map[Stroke]float64{Drop: 0.4, Dink: 0.3},
	},
	court.Badminton: {
		serving: Serving{Held: 1.25, Up: 1.25, Met: 1.1, Deep: 0.12},
		first:   map[Stroke]float64{Smash: 58, Drive: 36}, apex: map[Stroke]float64{Clear: 6, Lift: 5.5, Lob: 5.5}, over: map[Stroke]float64{Net: 0.15, Drop: 0.3, Block: 0.3},
	},
	court.Squash: {serving: Serving{Held: 1.0, Up: 1.7, Met: 1.4, Deep: 0.4}, wall: map[Stroke]float64{Drop: 0.65, Lob: 4.2}},
	court.TableTennis: {
		serving: Serving{Held: 0.1, Up: 0.4, Met: 0.2, Deep: 0.5},
		first:   map[Stroke]float64{Smash: 22}, apex: map[Stroke]float64{Lob: 2.5},
	},
}

// Hardest is the speed at which the hardest ball of a sport leaves an adult tournament player, m/s: no stroke asks for more.
// Common practice, no source.
func Hardest(sport court.Sport) float64 {
	return map[court.Sport]float64{court.Tennis: 50, court.Pickleball: 24, court.Badminton: 75, court.Squash: 60, court.TableTennis: 24}[sport]
}

// ServingIn is how a ball is served in a sport.
func ServingIn(sport court.Sport) Serving { return playedIn[sport].serving }

// paceShare is that of the speed at game pace at which a serve, a smash or a drive leaves: a second serve goes at rally pace.
var paceShare = map[Pace]float64{Gentle: 0.5, HalfPace: 0.65, RallyPace: 0.82, GamePace: 1}

// What a serve goes by where it is not struck at a speed: metres over the net or above the court, or up the front wall. Common
// practice, no source.
const (
	lowServe  = 0.12
	highServe = 5.5
)

var wallServe = map[Pace]float64{Gentle: 4.0, HalfPace: 3.6, RallyPace: 3.2, GamePace: 2.3}

// Answered is the stroke with which a task's ball is answered, as one that is sent. A second serve in tennis, at less than game pace,
// has topspin unless its spin is said (common practice, no source).
func (t Task) Answered(sport court.Sport) Task {
	sent := Task{Stroke: t.Stroke, Pace: t.ReplyPace, Spin: t.ReplySpin}
	if sport == court.Tennis && t.Stroke == Serve && t.ReplySpin == "" && t.ReplyPace != GamePace {
		sent.Spin = HeavyTopspin
	}
	return sent
}

// FirstServe says whether a ball is answered with a first serve: struck as hard as it goes, and not aimed higher to be safe.
func (t Task) FirstServe() bool { return t.Served() && t.ReplyPace == GamePace }

// Played is what the flight of a stroke is chosen by when somebody plays it as hard as a share of an adult tournament player
// to a place so far beyond the net; false where it goes by its pace.
func Played(c court.Court, stroke Stroke, pace Pace, power, beyond float64) (flight.By, float64, bool) {
	if stroke == Serve {
		switch c.Sport {
		case court.Squash:
			return flight.ByWall, wallServe[pace], true
		case court.Badminton:
			if beyond < c.Length/4 {
				return flight.ByClearance, lowServe, true
			}
			return flight.ByApex, highServe, true
		}
	}
	in := playedIn[c.Sport]
	if v, ok := in.first[stroke]; ok {
		return flight.BySpeed, v * power * paceShare[pace], true
	}
	if v, ok := in.apex[stroke]; ok {
		return flight.ByApex, v, true
	}
	if v, ok := in.over[stroke]; ok {
		return flight.ByClearance, v, true
	}
	if v, ok := in.wall[stroke]; ok {
		return flight.ByWall, v, true
	}
	return "", 0, false
}

// AboveHead says whether a stroke of a sport is met above the head, and loads the shoulder. Most sports serve from below.
func AboveHead(sport court.Sport) func(Stroke) bool {
	return func(s Stroke) bool {
		switch s {
		case Serve:
			return sport == court.Tennis
		case Overhead, Clear:
			return true
		case Smash:
			return sport != court.TableTennis
		}
		return false
	}
}
