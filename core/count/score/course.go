package score

import (
	"slices"
	"strconv"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/say"
	"hodometer/core/count/tally"
)

// Course is one goal, or several that follow one another: the next begins with the attempt after the one that met the
// goal before it.
type Course []Goal

// MaxCourse is how many goals can follow one another.
const MaxCourse = 6

// alone says whether a goal follows no other and is followed by none: what can be lost, what has a time of its own, and
// what players count together.
func (g Goal) alone() bool {
	switch g.Kind {
	case FirstTo, FewMisses, WithinATime, AsManyAsPossible, Together:
		return true
	}
	return false
}

// Check says what is wrong with a course, by field: 0.count is the count of the first goal.
func (c Course) Check() error {
	var wrong invalid.Fields
	if len(c) == 0 {
		wrong.Add("", "say what is to be reached")
	}
	if len(c) > MaxCourse {
		wrong.Add("", "at most %d goals follow one another", MaxCourse)
	}
	for i, g := range c {
		wrong.Under(strconv.Itoa(i), g.Check())
		if len(c) > 1 && g.alone() {
			wrong.Add(invalid.Join(i, "kind"), "%q stands alone: no goal comes before or after it", g.Kind)
		}
	}
	if wrong == nil && c.Steps() > maxPlaces {
		wrong.Add("", "that is %d to be made in all; at most %d", c.Steps(), maxPlaces)
	}
	return wrong.Err()
}

// Clone are goals that share nothing with the first ones.
func (c Course) Clone() Course {
	c = slices.Clone(c)
	for i := range c {
		c[i].Stages = slices.Clone(c[i].Stages)
	}
	return c
}

// Steps is the least number of makes that meet the whole course.
func (c Course) Steps() int {
	sum := 0
	for _, g := range c {
		sum += g.Steps()
	}
	return sum
}

// Over says whether nothing counts towards it any more, at what it stands after what several devices counted: it is met
// or lost, or, of as many as possible, its time is up.
func (c Course) Over(s Standing, devices ...[]tally.Entry) bool {
	if len(c) == 1 && c[0].Kind == AsManyAsPossible {
		return timeUp(tally.InOrder(devices...)) >= 0
	}
	return s.Met || s.Lost
}

// GoalsDone is how many of its goals are met at a standing, and all of them where it is over.
func (c Course) GoalsDone(s Standing, over bool) int {
	switch {
	case over:
		return len(c)
	case s.Met:
		return len(c) - 1
	}
	have := s.Have
	for i, g := range c {
		if have < g.Steps() {
			return i
		}
		have -= g.Steps()
	}
	return max(0, len(c)-1)
}

// String puts a course into words.
func (c Course) String() string {
	goals := make([]string, len(c))
	for i, g := range c {
		goals[i] = g.String()
	}
	return strings.Join(goals, ", then ")
}

// Machine writes a course that makes sense as one machine; see Leg.
func (c Course) Machine() *Machine {
	m := c[0].Machine()
	for _, g := range c[1:] {
		m = m.then(g.Machine())
	}
	return m
}

// Joint says whether several players count together towards it.
func (c Course) Joint() bool { return len(c) > 0 && c[0].Kind == Together }

// LongestRally is from how many strokes on a rally is stopped because it got too long; 0 where none is.
func (c Course) LongestRally() int {
	longest := 0
	for _, g := range c {
		if g.Kind == Rallies {
			longest = max(longest, g.To+1)
		}
	}
	return longest
}

// Stand steps a course with what several devices counted, in the order in which it was counted: by instant, and at one
// instant in the order of the devices and their numbers.
func (c Course) Stand(devices ...[]tally.Entry) Standing {
	if c.Check() != nil {
		return c.unknown()
	}
	entries := tally.InOrder(devices...)
	if c[0].Kind == AsManyAsPossible {
		return c[0].asMany(entries)
	}
	m, states := c.stepped(entries)
	s := c.standing(m, states, tally.CountOf(entries))
	if n := len(entries); n > 0 && !s.Met && c.tooSlow(entries[n-1]) {
		s.Sentence = say.Of("standing.too slow", s.Sentence, entries[n-1].Strokes)
	}
	return s
}

// States are the states of a course that makes sense which are possible after what several devices counted; see Stand.
func (c Course) States(devices ...[]tally.Entry) (*Machine, []State) {
	return c.stepped(tally.InOrder(devices...))
}

func (c Course) stepped(entries []tally.Entry) (*Machine, []State) {
	m, states := c.Machine(), []State{0}
	for _, entry := range entries {
		states = c.step(m, states, entry)
	}
	return m, states
}

// tooSlow says whether a rally got longer than any that is wanted.
func (c Course) tooSlow(e tally.Entry) bool {
	longest := c.LongestRally()
	return e.Kind == tally.Rally && longest > 0 && e.Strokes >= longest
}

// StandJointly is the standing of a goal that several players count together, from what each of them made.
func (c Course) StandJointly(made int) Standing {
	if c.Check() != nil {
		return c.unknown()
	}
	m, states := c.StatesJointly(made)
	return c.standing(m, states, tally.Count{Made: made, Balls: made})
}

// StatesJointly is the state of a goal that makes sense which several players count together, after what each of them
// made; see States.
func (c Course) StatesJointly(made int) (*Machine, []State) {
	m, s := c.Machine(), State(0)
	for range min(made, m.Len()) {
		s = m.Next(s, Make)
	}
	return m, []State{s}
}

// unknown is the standing of a course that was stored by an earlier version and makes no sense any more.
func (c Course) unknown() Standing {
	return Standing{Wanted: c.Steps(), Sentence: say.Of("standing.as counted then")}
}

// step takes one entry. What a rally means depends on the goal that is on when it begins.
func (c Course) step(m *Machine, states []State, e tally.Entry) []State {
	if e.Kind != tally.Rally || len(c) == 1 {
		return c[0].step(m, states, e)
	}
	var all []State
	for _, s := range states {
		if s < 0 {
			all = append(all, s)
			continue
		}
		all = append(all, c[m.Leg(s)].step(m, []State{s}, e)...)
	}
	return m.distinct(all)
}

// standing says what all possible states have in common.
func (c Course) standing(m *Machine, states []State, count tally.Count) Standing {
	if len(c) == 1 {
		return c[0].standing(states, count)
	}
	worst, best := states[0], states[len(states)-1]
	s := Standing{Met: worst == Met, Perhaps: worst != Met && best == Met, Wanted: c.Steps()}
	switch {
	case s.Met:
		s.Have, s.Sentence = s.Wanted, say.Of("standing.met")
	case s.Perhaps:
		s.Have, s.Sentence = int(worst), say.Of("standing.perhaps met")
	default:
		leg := m.Leg(worst)
		first := m.First(leg)
		s.Have = int(worst)
		if m.Leg(best) == leg {
			s.Sentence = say.Of("standing.goal", leg+1, len(c), c[leg].along(int(worst-first), int(best-first)))
		} else {
			s.Sentence = say.Of("standing.at least",
				say.Of("standing.goal", leg+1, len(c), c[leg].along(int(worst-first), int(Met))))
		}
	}
	return s
}
