package throwing

import (
	"fmt"
	"math"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/seeded"
)

// Make is how a machine is made.
type Make struct {
	Hopper int     // balls in it at first
	Jitter float64 // how much a wait differs from what it should be, as a share of it
	Jams   float64 // how likely a ball jams
	Seed   uint64
}

// SimulatedMachine is a ball machine as it behaves. Times are seconds of any clock that goes on. It is for one user
// at a time.
type SimulatedMachine struct {
	made    Make
	chance  *seeded.Numbers
	program Program
	next    int     // ball of the program
	due     float64 // when it is thrown
	last    float64 // when one was thrown last
	running bool
	jammed  bool
	left    int
	thrown  int
	toGo    int // balls until it stops; 0: it does not by itself
	times   float64
	told    float64 // when it was told something last
}

// NewSimulatedMachine is a machine that was switched on.
func NewSimulatedMachine(m Make) *SimulatedMachine {
	return &SimulatedMachine{made: m, chance: seeded.From(m.Seed), left: m.Hopper, times: 1, last: math.Inf(-1)}
}

// Do has the machine do something, and returns what it says.
func (m *SimulatedMachine) Do(c Command, now float64) []Event {
	refuse := func(why string) []Event { return []Event{{Event: Refused, Why: why}} }
	m.told = now
	switch c.Do {
	case Alive:
		return nil
	case Load:
		if c.Program == nil {
			return refuse("there is no program in it")
		}
		if err := c.Program.Check(); err != nil {
			return refuse(invalid.Sentence(err))
		}
		m.program, m.next = *c.Program, 0
		m.due = max(now, m.due)
	case Start:
		if why := m.cannot(); why != nil {
			return why
		}
		if c.Balls < 0 || c.Balls > 2000 {
			return refuse("0 to 2000 balls")
		}
		if !m.running {
			m.running, m.due = true, max(now, m.last+ShortestWait)
		}
		m.toGo = c.Balls
	case Pause:
		m.running = false
	case One:
		if why := m.cannot(); why != nil {
			return why
		}
		if now < m.last+ShortestWait {
			return refuse("the last ball is still on its way")
		}
		return append(m.throw(now), m.state())
	case Gap:
		if !(c.Times >= 0.2 && c.Times <= 10) {
			return refuse("between a fifth and ten times as long")
		}
		m.times = c.Times
	case Fill:
		if c.Balls < 0 || c.Balls > 2000 {
			return refuse("0 to 2000 balls")
		}
		m.left = c.Balls
		m.running = m.running && m.left > 0
	case Clear:
		m.jammed = false
	case State:
	default:
		return refuse(fmt.Sprintf("it cannot do %.40q", string(c.Do)))
	}
	return []Event{m.state()}
}

// cannot says why no ball can be thrown; nothing where one can.
func (m *SimulatedMachine) cannot() []Event {
	switch {
	case len(m.program.Balls) == 0:
		return []Event{{Event: Refused, Why: "no program is loaded"}}
	case m.jammed:
		return []Event{{Event: Refused, Why: "it is jammed: clear it first"}}
	case m.left == 0:
		return []Event{{Event: Refused, Why: "the hopper is empty"}, {Event: Empty, N: m.thrown}}
	}
	return nil
}

func (m *SimulatedMachine) state() Event {
	return Event{
		Event:   Reported,
		N:       m.thrown,
		Left:    m.left,
		Running: m.running,
		Jammed:  m.jammed,
		Times:   m.times,
		Program: m.program.Name,
	}
}

// Due is when the machine throws next, if it is told something until then; ok is false where it does not.
func (m *SimulatedMachine) Due() (at float64, ok bool) { return m.due, m.running }

// Wakes is when the machine throws next, or stops because it was told nothing; ok is false where it does neither.
func (m *SimulatedMachine) Wakes() (at float64, ok bool) {
	return min(m.due, m.told+AloneFor), m.running
}

// Pass has the time go on, and returns what the machine says of what it did meanwhile.
func (m *SimulatedMachine) Pass(now float64) []Event {
	var said []Event
	for m.running && m.due <= now {
		if m.due > m.told+AloneFor {
			break
		}
		said = append(said, m.throw(m.due)...)
		if !m.running {
			stands := m.state()
			if m.left > 0 && !m.jammed {
				stands.Why = "all the balls that it was started for are thrown"
			}
			said = append(said, stands)
		}
	}
	if m.running && now >= m.told+AloneFor {
		m.running = false
		stands := m.state()
		stands.Why = "it was told nothing for 5 s, and stopped by itself"
		said = append(said, stands)
	}
	return said
}

// throw throws the next ball at an instant, if it can.
func (m *SimulatedMachine) throw(now float64) []Event {
	if m.made.Jams > 0 && m.chance.Share() < m.made.Jams {
		m.running, m.jammed = false, true
		return []Event{{Event: Jam, N: m.thrown}}
	}
	ball := m.program.Balls[m.next]
	m.left--
	m.thrown++
	m.last = now
	m.next = (m.next + 1) % len(m.program.Balls)
	said := []Event{
		{
			Event: Thrown,
			N:     m.thrown,
			Ball:  (m.next+len(m.program.Balls)-1)%len(m.program.Balls) + 1,
			At:    &ball.To,
			Left:  m.left,
		},
	}
	m.due = now + max(ShortestWait, ball.Wait*m.times*(1+m.made.Jitter*(2*m.chance.Share()-1)))
	if m.toGo > 0 && m.running {
		if m.toGo--; m.toGo == 0 {
			m.running = false
		}
	}
	if m.left == 0 {
		m.running = false
		said = append(said, Event{Event: Empty, N: m.thrown})
	}
	return said
}
