package score

import (
	"slices"

	"hodometer/core/basics/say"
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
	s.Sentence = say.Of("standing.made so far", worst/each)
	if g.Of > 0 {
		s.Sentence = say.Of("standing.sets so far", worst/each)
	}
	if best/each != worst/each {
		s.Sentence = say.Of("standing.at least", s.Sentence)
	}
	if end >= 0 {
		s.Sentence = say.Of("standing.hoped", s.Sentence, g.Count)
	} else {
		s.Sentence = say.Of("standing.hoping", s.Sentence, g.Count)
	}
	return s
}

// timeUp is where the end of the time stands; -1 where it does not.
func timeUp(entries []tally.Entry) int {
	return slices.IndexFunc(entries, func(e tally.Entry) bool { return e.Kind == tally.TimeUp })
}
