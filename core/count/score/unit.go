package score

import "hodometer/core/basics/units"

// Unit is what is counted towards a goal, one after the other.
type Unit string

// The units.
const (
	Ball       Unit = "ball"       // of a rally: a stroke
	Sequence   Unit = "sequence"   // all its balls or none
	Repetition Unit = "repetition" // a shadow stroke, a catch, a touch
	Rally      Unit = "rally"      // with its strokes
	Point      Unit = "point"      // won or lost
	Time       Unit = "time"       // a try on the clock
)

// Takes says whether a goal can be counted in the unit. What is made or missed one by one is a ball, a sequence, a
// repetition or a point; the other goals have a unit of their own.
func (u Unit) Takes(g Goal) bool {
	if g.Unit() != Ball {
		return g.Unit() == u
	}
	return u != Rally && u != Time
}

// OfBalls says whether made and missed are balls: what counts towards how often a stroke is made.
func (u Unit) OfBalls() bool { return u == Ball || u == Rally }

// Words are those for one of the unit and for several.
func (u Unit) Words() (one, many string) {
	switch u {
	case Rally:
		return "rally", "rallies"
	case Time:
		return "try", "tries"
	}
	return string(u), string(u) + "s"
}

// Of is so many of the unit in words.
func (u Unit) Of(n int) string {
	one, many := u.Words()
	return units.Count(n, one, many)
}

// Many is the word for several of the unit.
func (u Unit) Many() string {
	_, many := u.Words()
	return many
}

// Unit is what is counted towards the goal, where its measure does not say.
func (g Goal) Unit() Unit {
	switch g.Kind {
	case FirstTo:
		return Point
	case WithinATime:
		return Time
	case Rallies, SetsInRallies:
		return Rally
	case AsManyAsPossible:
		if g.Of > 0 {
			return Rally
		}
	}
	return Ball
}
