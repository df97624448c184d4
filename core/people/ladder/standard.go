package ladder

import "hodometer/core/sport/sports"

// TaskOf is the standard task of a quality: the lower ones ask less of the court, spin asks for a corner, and pace for
// it from a ball that comes fast.
func TaskOf(q Quality) Task {
	switch q {
	case Direction:
		return Task{Into: Side}
	case Depth:
		return Task{Into: End}
	case Spin:
		return Task{Into: Corner}
	case Pace:
		return Task{Into: Corner, Pace: sports.GamePace}
	}
	return Task{Into: Inside}
}

// Itself says whether a quality is seen in its own drills only: balls that are sent somewhere say nothing of spin and
// of pace.
func (q Quality) Itself() bool { return q == Spin || q == Pace }
