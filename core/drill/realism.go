package drill

import (
	"slices"

	"hodometer/core/count/score"
	"hodometer/core/sport/feed"
)

// Realism is how near to play the balls of a measure are.
type Realism string

// From the farthest to the nearest.
const (
	Shadowed    Realism = "shadow"
	SelfDropped Realism = "self-drop"
	HandFed     Realism = "hand-fed"
	Fed         Realism = "fed"
	ByMachine   Realism = "machine"
	InRallies   Realism = "rally"
	InPoints    Realism = "points"
)

// RealismOf is how near to play a measure is: as it says, or as its balls come.
func (d Document) RealismOf(m Measure) Realism {
	switch {
	case m.Realism != "":
		return m.Realism
	case m.What == score.Point:
		return InPoints
	case d.Pattern.Rally != nil:
		return InRallies
	}
	flies, method := false, d.Pattern.Method
	for i, t := range d.Pattern.Tasks {
		if m.Has(i) && t.Kind.Flies() {
			flies, method = true, d.Pattern.MethodOf(t)
			break
		}
	}
	switch {
	case !flies:
		return Shadowed
	case method == feed.ByHand:
		return HandFed
	case method == feed.SelfDrop:
		return SelfDropped
	case method == feed.Answer:
		return InRallies
	case method == feed.Machine:
		return ByMachine
	}
	return Fed
}

// WithMachine says whether the drill is planned with a ball machine: its balls come from one, or one is carried to it.
func (d Document) WithMachine() bool {
	fed := slices.ContainsFunc(
		d.Pattern.Tasks,
		func(t feed.Task) bool { return t.Kind.Flies() && d.Pattern.MethodOf(t) == feed.Machine },
	)
	return fed || mentions(d.Equipment, []string{"machine"})
}
