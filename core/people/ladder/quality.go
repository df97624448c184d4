// Package ladder is how a stroke is built, rung by rung: ladders as documents, those that are built in and those that are
// the coach's own.
package ladder

import "slices"

// Quality is a rung of the quality ladder: the order in which a stroke is built (common practice, no source).
type Quality string

// The qualities, lowest first.
const (
	Consistency Quality = "consistency"
	Direction   Quality = "direction"
	Depth       Quality = "depth"
	Spin        Quality = "spin"
	Pace        Quality = "pace"
)

// Qualities lists the rungs of the quality ladder, lowest first.
func Qualities() []Quality { return []Quality{Consistency, Direction, Depth, Spin, Pace} }

// Step returns the quality so many rungs higher, and false where the ladder ends.
func (q Quality) Step(by int) (Quality, bool) {
	i := q.Index() + by
	if i < 0 || i >= len(Qualities()) {
		return q, false
	}
	return Qualities()[i], true
}

// Index is where a quality stands on its ladder, from 0.
func (q Quality) Index() int { return slices.Index(Qualities(), q) }

// Plain says what a quality asks, for somebody who does not coach.
func (q Quality) Plain() string {
	return map[Quality]string{
		Consistency: "keeping the ball in play",
		Direction:   "sending it to a chosen side",
		Depth:       "sending it deep",
		Spin:        "putting spin on it",
		Pace:        "hitting it fast, and still in",
	}[q]
}
