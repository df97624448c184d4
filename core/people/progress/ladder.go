// Package progress says from the evidence what a student should do next.
package progress

import "slices"

// Rung is a rung of the quality ladder: the order in which a stroke is built (common practice, no
// source).
type Rung string

// The rungs, lowest first.
const (
	Consistency Rung = "consistency"
	Direction   Rung = "direction"
	Depth       Rung = "depth"
	Spin        Rung = "spin"
	Pace        Rung = "pace"
)

// Ladder lists the rungs of the quality ladder, lowest first.
func Ladder() []Rung { return []Rung{Consistency, Direction, Depth, Spin, Pace} }

// step returns the rung so many steps higher, and false where the ladder ends.
func (r Rung) step(by int) (Rung, bool) {
	ladder := Ladder()
	i := r.index() + by
	if i < 0 || i >= len(ladder) {
		return r, false
	}
	return ladder[i], true
}

// index is where a rung stands on the ladder, from 0.
func (r Rung) index() int { return slices.Index(Ladder(), r) }
