package score

import "slices"

// State is where a goal stands: a number from 0 up, or one of its two ends.
type State int

// The ends. What happens afterwards changes nothing.
const (
	Met  State = -1
	Lost State = -2
)

// Letter is what an attempt came to.
type Letter uint8

// The letters. Of a race they are a point for the other side and one for one's own.
const (
	Miss Letter = iota
	Make
)

// Machine is a goal as a table: for each state the state after a miss and after a make. It begins in state 0. A
// make never leads to a lower state than a miss, and states are ordered by what was attempted or reached, so that most
// steps lead upwards.
type Machine struct {
	next [][2]State
	hard []Hardness // by state: how hard the next attempt is
	legs []State    // where each further goal of a course begins; none for one goal
	// linear says that a higher state is never worse than a lower one, whatever follows: then the worst and the best
	// of several possible states say all about those between them.
	linear bool
}

// cell is a score: points of both sides, or makes and misses.
type cell struct{ own, other int }

// Len is the number of states, without the ends.
func (m *Machine) Len() int { return len(m.next) }

// Next is the state after a letter.
func (m *Machine) Next(s State, l Letter) State {
	if s < 0 {
		return s
	}
	return m.next[s][l]
}

// Table is, by state, the state after a miss and after a make. It belongs to the machine.
func (m *Machine) Table() [][2]State { return m.next }

// Leg is which goal of a course a state belongs to, from 0.
func (m *Machine) Leg(s State) int {
	leg := 0
	for leg < len(m.legs) && s >= m.legs[leg] {
		leg++
	}
	return leg
}

// First is the state in which a goal of a course begins.
func (m *Machine) First(leg int) State {
	if leg == 0 {
		return 0
	}
	return m.legs[leg-1]
}

// then puts another machine behind: where this one is met, that one begins.
func (m *Machine) then(other *Machine) *Machine {
	first := m.here()
	joined := &Machine{
		next: make([][2]State, 0, len(m.next)+len(other.next)), hard: append(slices.Clone(m.hard), other.hard...),
		legs: append(slices.Clone(m.legs), first), linear: m.linear && other.linear,
	}
	for _, next := range m.next {
		for l, to := range next {
			if to == Met {
				next[l] = first
			}
		}
		joined.next = append(joined.next, next)
	}
	for _, next := range other.next {
		for l, to := range next {
			if to >= 0 {
				next[l] = to + first
			}
		}
		joined.next = append(joined.next, next)
	}
	return joined
}

// Hard is how hard the next attempt is in a state.
func (m *Machine) Hard(s State) Hardness { return m.hard[s] }

// Machine writes a goal that makes sense as a machine.
func (g Goal) Machine() *Machine {
	switch g.Kind {
	case FirstTo:
		return g.race()
	case FewMisses:
		return g.fewMisses()
	case WithinATime:
		return g.tries()
	}
	m := &Machine{linear: true}
	switch g.Kind {
	case Streak:
		for range g.sets() {
			m.add(g.Count, "", g.Miss.breaks(), m.here())
		}
	case Stages:
		for _, stage := range g.Stages {
			back := m.here()
			if g.Miss.fromTheStart() {
				back = 0
			}
			m.add(stage.Count, stage.Hard, g.Miss.breaks(), back)
		}
	case Routine:
		for range g.sets() {
			m.add(g.Count, "", false, 0)
			m.add(g.Then, "", g.Miss.breaks(), m.here())
		}
	case SetsInRallies:
		for range g.Count {
			m.add(g.Of, "", true, m.here())
		}
	default:
		m.add(g.Steps(), "", false, 0)
	}
	m.next[len(m.next)-1][Make] = Met
	return m
}

// here is the state that the next step begins in.
func (m *Machine) here() State { return State(len(m.next)) }

// add adds so many steps. A miss leads back to a state, or leaves everything as it is.
func (m *Machine) add(steps int, hard Hardness, breaks bool, back State) {
	for range steps {
		here := m.here()
		miss := here
		if breaks {
			miss = back
		}
		m.next = append(m.next, [2]State{miss, here + 1})
		m.hard = append(m.hard, hard)
	}
}

// race is points until one side has enough and is far enough ahead. Where both have more than either needs, only the
// difference matters.
func (g Goal) race() *Machine {
	own, other := g.Count, g.against()
	top := max(own, other)
	high := top + max(g.Lead, 1) + 2
	return grow(high, high, func(c cell) (cell, State) {
		switch {
		case c.own >= own && g.leads(c.own-c.other):
			return c, Met
		case c.other >= other && g.leads(c.other-c.own):
			return c, Lost
		}
		for c.own > top && c.other > top {
			c.own, c.other = c.own-1, c.other-1
		}
		return c, 0
	})
}

// leads says whether a side that has enough points is far enough ahead. Where one point ahead is enough, whoever has
// their points first has won, however many the other needs.
func (g Goal) leads(by int) bool { return g.Lead < 2 || by >= g.Lead }

// fewMisses is so many balls with at most so many misses. Of a time, the balls are not counted: its end is met, see
// step.
func (g Goal) fewMisses() *Machine {
	if g.Timed() {
		m := &Machine{}
		for range g.Misses + 1 {
			here := m.here()
			m.next, m.hard = append(m.next, [2]State{here + 1, here}), append(m.hard, "")
		}
		m.next[g.Misses][Miss] = Lost
		return m
	}
	return grow(g.Count+1, g.Misses+1, func(c cell) (cell, State) {
		switch {
		case c.other > g.Misses:
			return c, Lost
		case c.own+c.other >= g.Count:
			return c, Met
		}
		return c, 0
	})
}

// tries is one of so many that is good enough.
func (g Goal) tries() *Machine {
	return grow(1, g.Count, func(c cell) (cell, State) {
		switch {
		case c.own > 0:
			return c, Met
		case c.other >= g.Count:
			return c, Lost
		}
		return c, 0
	})
}

// grow finds all states that a rule leads to, in the order in which they are first reached. The rule says where a score
// stands that was just counted: as which score it goes on, or which end it is. The scores that go on stay below high
// for makes and wide for misses.
func grow(high, wide int, rule func(cell) (cell, State)) *Machine {
	m := &Machine{next: make([][2]State, 0, high*wide)}
	cells := make([]cell, 1, high*wide)
	known := make([]State, high*wide) // one more than the state; 0 where there is none yet
	known[0] = 1
	for i := 0; i < len(cells); i++ {
		var next [2]State
		for l, counted := range [2]cell{Miss: {cells[i].own, cells[i].other + 1}, Make: {cells[i].own + 1, cells[i].other}} {
			c, end := rule(counted)
			if end != 0 {
				next[l] = end
				continue
			}
			seen := &known[c.own*wide+c.other]
			if *seen == 0 {
				cells = append(cells, c)
				*seen = State(len(cells))
			}
			next[l] = *seen - 1
		}
		m.next = append(m.next, next)
	}
	m.hard = make([]Hardness, len(m.next))
	return m
}
