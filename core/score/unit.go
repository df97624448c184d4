package score

// Unit is what is counted towards a goal, one after the other.
type Unit string

// The units.
const (
	Ball  Unit = "ball"
	Rally Unit = "rally" // with its strokes
	Point Unit = "point" // won or lost
	Time  Unit = "time"  // a try on the clock
)

// Unit is what is counted towards the goal.
func (g Goal) Unit() Unit {
	switch g.Kind {
	case FirstTo:
		return Point
	case WithinATime:
		return Time
	case Rallies, SetsInRallies:
		return Rally
	}
	return Ball
}

// LongestRally is from how many strokes on a rally is stopped because it got too long; 0 where none is.
func (g Goal) LongestRally() int {
	if g.Kind == Rallies {
		return g.To + 1
	}
	return 0
}
