package score

import (
	"fmt"
	"slices"

	"hodometer/core/basics/units"
	"hodometer/core/count/tally"
)

// asManySteps is how many makes are followed at most, beyond what was hoped for.
const asManySteps = 20_000

// asMany is the standing of as many as possible within a time: what was hoped for is no end, only the time is, and what
// comes after it is none of it.
func (g Goal) asMany(entries []tally.Entry) Standing {
	s := Standing{Wanted: g.Steps()}
	end := timeUp(entries)
	if end >= 0 {
		entries = entries[:end]
	}
	// The same machine with room for all that was made: it has no end here.
	each := max(g.Of, 1)
	room := g
	room.Count = min(max(g.Count, tally.CountOf(entries).Made/each)+1, asManySteps/each)
	m, states := room.Machine(), []State{0}
	for _, e := range entries {
		states = room.step(m, states, e)
	}
	made := func(s State) int {
		if s == Met { // more than is followed
			return room.Steps()
		}
		return int(s)
	}
	worst, best := made(states[0]), made(states[len(states)-1])
	s.Have = min(worst, s.Wanted)
	s.Met = worst >= s.Wanted
	s.Perhaps = !s.Met && best >= s.Wanted
	s.Lost = end >= 0 && best < s.Wanted
	what, hoping := fmt.Sprint(worst/each), "hoping"
	if g.Of > 0 {
		what = units.Count(worst/each, "set", "sets")
	}
	if best/each != worst/each {
		what = "at least " + what
	}
	if end >= 0 {
		hoping = "hoped"
	}
	s.Sentence = fmt.Sprintf("%s, %s for %d", what, hoping, g.Count)
	if end >= 0 {
		s.Sentence += "; the time is up"
	}
	return s
}

// timeUp is where the end of the time stands; -1 where it does not.
func timeUp(entries []tally.Entry) int {
	return slices.IndexFunc(entries, func(e tally.Entry) bool { return e.Kind == tally.TimeUp })
}
