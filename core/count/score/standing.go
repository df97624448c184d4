package score

import (
	"cmp"
	"math"
	"slices"

	"hodometer/core/basics/say"
	"hodometer/core/count/tally"
)

// Standing is how far along a goal is after what was counted. A turn that was counted without its order leaves several
// states possible: what is true in all of them is certain.
type Standing struct {
	Met      bool         `json:"met" description:"Certainly reached"`
	Perhaps  bool         `json:"perhaps" description:"Reached in some order of the turns that were counted without one, and not in all"`
	Lost     bool         `json:"lost" description:"It cannot be reached any more"`
	Have     int          `json:"have" description:"Steps that are certain"`
	Wanted   int          `json:"wanted" description:"Steps in all"`
	Sentence say.Sentence `json:"sentence" description:"How far along it is, in words"`
}

// step takes one entry. It is the only place that knows what an entry means to a goal: of a race, made and missed are
// points; a rally is one attempt of a goal that wants its length, and else its strokes and a miss.
func (g Goal) step(m *Machine, states []State, e tally.Entry) []State {
	switch e.Kind {
	case tally.Made:
		return m.all(states, Make)
	case tally.Missed:
		switch {
		case g.Only == "" || e.Miss == g.Only:
			return m.all(states, Miss)
		case e.Miss != "":
			return m.all(states, Make) // a miss that does not count
		}
		return m.distinct(append(m.all(slices.Clone(states), Miss), m.all(states, Make)...))
	case tally.Turn:
		if g.Only == "" {
			return m.unordered(states, e.Made, e.Of)
		}
		var either []State // of what kind its misses were is not known
		for other := e.Made; other <= e.Of; other++ {
			either = append(either, m.unordered(slices.Clone(states), other, e.Of)...)
		}
		return m.distinct(either)
	case tally.TimeUp:
		if end, ok := g.timeUp(); ok {
			for i, s := range states {
				if s >= 0 {
					states[i] = end
				}
			}
			return m.distinct(states)
		}
	case tally.Timed:
		if g.Kind != WithinATime {
			return states
		}
		if e.Seconds <= g.Seconds {
			return m.all(states, Make)
		}
		return m.all(states, Miss)
	case tally.Rally:
		switch g.Kind {
		case FirstTo, WithinATime:
			return states
		case Rallies:
			if e.Strokes >= g.From && e.Strokes <= g.To {
				return m.all(states, Make)
			}
			return m.all(states, Miss)
		}
		for range e.Strokes {
			states = m.all(states, Make)
		}
		return m.all(states, Miss)
	}
	return states
}

// all steps every state with the same letter, in place.
func (m *Machine) all(states []State, l Letter) []State {
	for i, s := range states {
		states[i] = m.Next(s, l)
	}
	return m.distinct(states)
}

// unordered are the states that some order of x makes in y attempts leads to.
func (m *Machine) unordered(states []State, x, y int) []State {
	// by number of makes so far, after each attempt
	now := make([][]State, x+1)
	now[0] = states
	for i := 1; i <= y; i++ {
		next := make([][]State, x+1)
		for makes := max(0, x-(y-i)); makes <= min(i, x); makes++ {
			var all []State
			if i-1 >= makes { // after a miss
				for _, s := range now[makes] {
					all = append(all, m.Next(s, Miss))
				}
			}
			if makes > 0 {
				for _, s := range now[makes-1] {
					all = append(all, m.Next(s, Make))
				}
			}
			next[makes] = m.distinct(all)
		}
		now = next
	}
	return now[x]
}

// rank orders states from the worst to the best.
func rank(s State) int {
	switch s {
	case Lost:
		return -1
	case Met:
		return math.MaxInt
	}
	return int(s)
}

// distinct sorts states and keeps each once; of a linear machine only the worst and the best.
func (m *Machine) distinct(states []State) []State {
	if len(states) < 2 {
		return states
	}
	slices.SortFunc(states, func(a, b State) int { return cmp.Compare(rank(a), rank(b)) })
	states = slices.Compact(states)
	if n := len(states); m.linear && n > 2 {
		return []State{states[0], states[n-1]}
	}
	return states
}

// standing says what all possible states have in common, and of a race and of few misses the score itself.
func (g Goal) standing(states []State, c tally.Count) Standing {
	made, missed := c.Made, c.Missed()
	worst, best := states[0], states[len(states)-1]
	s := Standing{
		Met: worst == Met, Lost: best == Lost, Wanted: g.Steps(),
		Perhaps: worst != Met && slices.Contains(states, Met),
	}
	switch {
	case s.Met && g.Kind == WithinATime:
		s.Have, s.Sentence = s.Wanted, say.Of("standing.met in", c.Fastest)
	case s.Met:
		s.Have, s.Sentence = s.Wanted, say.Of("standing.met")
	case s.Lost && g.Kind == FirstTo:
		s.Sentence = say.Of("standing.lost")
	case s.Lost && g.Kind == WithinATime:
		s.Sentence = say.Of("standing.not within", c.Fastest)
	case s.Lost:
		s.Sentence = say.Of("standing.too many misses")
	case g.Kind == FirstTo:
		s.Have, s.Sentence = min(made, s.Wanted), say.Of("standing.score", made, missed)
	case g.Kind == WithinATime && c.Tries > 0:
		s.Sentence = say.Of("standing.tries and best", c.Tries, g.Count, c.Fastest)
	case g.Kind == WithinATime:
		s.Sentence = say.Of("standing.tries", c.Tries, g.Count)
	case g.Timed():
		s.Sentence = say.Of("standing.misses in time", g.missed(c.Of(g.Only)), g.Misses)
	case g.Kind == FewMisses:
		s.Have = min(made+missed, s.Wanted)
		s.Sentence = say.Of("standing.misses", made+missed, g.Count, g.missed(c.Of(g.Only)), g.Misses)
	default:
		s.Have = int(worst)
		s.Sentence = g.along(int(worst), int(best))
	}
	if s.Perhaps {
		s.Sentence = say.Of("standing.perhaps met")
	}
	return s
}

// along says how far a goal is that is reached step by step, from the worst and the best state that are possible. What
// they do not agree on is left out.
func (g Goal) along(worst, best int) say.Sentence {
	agreed := worst == best
	switch g.Kind {
	case Streak:
		return g.inRows(worst, agreed)
	case Stages:
		left := worst
		for i, stage := range g.Stages {
			switch {
			case left >= stage.Count:
				left -= stage.Count
			case agreed:
				return say.Of("standing.within a stage", i+1, len(g.Stages), left, stage.Count)
			default:
				return say.Of("standing.stage", i+1, len(g.Stages))
			}
		}
	case Routine:
		return g.inParts(worst, best)
	case SetsInRallies, AsManyAsPossible:
		if g.Of > 0 {
			return say.Of("standing.sets of rallies", worst/g.Of, g.Count)
		}
	case Rallies:
		return say.Of("standing.rallies", worst, g.Count)
	}
	return say.Of("standing.steps", worst, g.Count)
}

// inRows says how far a streak is, and how often it was reached.
func (g Goal) inRows(worst int, agreed bool) say.Sentence {
	run, times := worst%g.Count, worst/g.Count
	switch {
	case g.sets() == 1 && agreed:
		return say.Of("standing.in a row", run)
	case g.sets() == 1:
		return say.Of("standing.at least", say.Of("standing.in a row", run))
	case agreed:
		return say.Of("standing.times and in a row", times, g.sets(), run)
	}
	return say.Of("standing.times", times, g.sets())
}

// inParts says in which part of a routine a player is, and how far in it.
func (g Goal) inParts(worst, best int) say.Sentence {
	length := g.Count + g.Then
	part, left := worst/length, worst%length
	var within say.Sentence
	switch {
	case left < g.Count:
		within = say.Of("standing.made", left, g.Count)
	case worst != best:
		within = say.Of("standing.all made", g.Count)
	default:
		within = say.Of("standing.in a row", left-g.Count)
	}
	if g.sets() == 1 {
		return within
	}
	within = say.Of("standing.part", part+1, g.sets(), within)
	if best < 0 || best/length != part {
		return say.Of("standing.at least", within)
	}
	return within
}
