package score

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"hodometer/core/basics/units"
	"hodometer/core/count/tally"
)

// Standing is how far along a goal is after what was counted. A turn that was counted without its order leaves several
// states possible: what is true in all of them is certain.
type Standing struct {
	Met      bool   `json:"met" description:"Certainly reached"`
	Perhaps  bool   `json:"perhaps" description:"Reached in some order of the turns that were counted without one, and not in all"`
	Lost     bool   `json:"lost" description:"It cannot be reached any more"`
	Have     int    `json:"have" description:"Steps that are certain"`
	Wanted   int    `json:"wanted" description:"Steps in all"`
	Sentence string `json:"sentence" description:"How far along it is, in words"`
}

const perhapsMet = "perhaps met: the order of a turn is not known"

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
	case s.Met:
		s.Have, s.Sentence = s.Wanted, "met"
		if g.Kind == WithinATime {
			s.Sentence += ", " + seconds(c.Fastest)
		}
	case s.Lost && g.Kind == FirstTo:
		s.Sentence = "lost"
	case s.Lost && g.Kind == WithinATime:
		s.Sentence = "not within it; best " + seconds(c.Fastest)
	case s.Lost:
		s.Sentence = "one miss too many"
	case g.Kind == FirstTo:
		s.Have, s.Sentence = min(made, s.Wanted), fmt.Sprintf("%d : %d", made, missed)
	case g.Kind == WithinATime:
		s.Sentence = fmt.Sprintf("%d of %s", c.Tries, units.Count(g.Count, "try", "tries"))
		if c.Tries > 0 {
			s.Sentence += ", best " + seconds(c.Fastest)
		}
	case g.Timed():
		s.Sentence = fmt.Sprintf("%s of at most %d until the time is up", g.missed(c.Of(g.Only)), g.Misses)
	case g.Kind == FewMisses:
		s.Have = min(made+missed, s.Wanted)
		s.Sentence = fmt.Sprintf("%d of %d balls, %s of at most %d", made+missed, g.Count, g.missed(c.Of(g.Only)), g.Misses)
	default:
		s.Have = int(worst)
		s.Sentence = g.along(int(worst), int(best))
	}
	if s.Perhaps {
		s.Sentence = perhapsMet
	}
	return s
}

// seconds writes a time on the clock.
func seconds(s float64) string { return units.Decimal(s, 1) + " s" }

// along says how far a goal is that is reached step by step, from the worst and the best state that are possible. What
// they do not agree on is left out.
func (g Goal) along(worst, best int) string {
	agreed := worst == best
	switch g.Kind {
	case Streak:
		run := fmt.Sprintf("%d in a row", worst%g.Count)
		switch {
		case g.sets() == 1 && agreed:
			return run
		case g.sets() == 1:
			return "at least " + run
		}
		sets := fmt.Sprintf("%d of %d times", worst/g.Count, g.sets())
		if !agreed {
			return sets
		}
		return sets + ", " + run
	case Stages:
		left := worst
		for i, stage := range g.Stages {
			if left < stage.Count {
				phrase := fmt.Sprintf("stage %d of %d", i+1, len(g.Stages))
				if agreed {
					phrase += fmt.Sprintf(", %d of %d", left, stage.Count)
				}
				return phrase
			}
			left -= stage.Count
		}
	case Routine:
		part := g.Count + g.Then
		at, left := worst/part, worst%part
		phrase := ""
		if g.sets() > 1 {
			phrase = fmt.Sprintf("part %d of %d: ", at+1, g.sets())
			if best < 0 || best/part != at {
				phrase = "at least " + phrase
			}
		}
		switch {
		case left < g.Count:
			return phrase + fmt.Sprintf("%d of %d made", left, g.Count)
		case !agreed:
			return phrase + fmt.Sprintf("all %d made", g.Count)
		}
		return phrase + fmt.Sprintf("%d in a row", left-g.Count)
	case SetsInRallies, AsManyAsPossible:
		if g.Of > 0 {
			return fmt.Sprintf("%d of %s", worst/g.Of, units.Count(g.Count, "set", "sets"))
		}
	case Rallies:
		return fmt.Sprintf("%d of %s", worst, Rally.Of(g.Count))
	}
	return fmt.Sprintf("%d of %d", worst, g.Count)
}
