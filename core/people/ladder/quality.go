// Package ladder is how a stroke is built, rung by rung, and by which standard task each rung is measured.
package ladder

import (
	"slices"

	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

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

// Of lists the rungs of the quality ladder in a sport: there is no spin where nothing spins.
func Of(sport court.Sport) []Quality {
	spins := slices.ContainsFunc(sports.Of(sport).Spins, func(kind sports.SpinKind) bool { return kind != sports.Flat })
	return slices.DeleteFunc(Qualities(), func(q Quality) bool { return q == Spin && !spins })
}

// On is where a quality stands on a ladder: itself, or the nearest one below that is on it.
func (q Quality) On(ladder []Quality) Quality {
	for !slices.Contains(ladder, q) {
		lower, there := q.Step(-1)
		if !there {
			break
		}
		q = lower
	}
	return q
}

// Beside is the next quality on a ladder upwards or downwards, and false where it ends.
func (q Quality) Beside(ladder []Quality, by int) (Quality, bool) {
	next, there := q.Step(by)
	for there && !slices.Contains(ladder, next) {
		next, there = next.Step(by)
	}
	if !there {
		return q, false
	}
	return next, true
}

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
