package court

import (
	"fmt"
	"math"

	"hodometer/core/units"
)

// Tape writes lengths for one coach: in feet, in metres, or in their own steps.
type Tape struct {
	System units.System
	Step   float64 // length of a step in metres; 0 to write in the system
}

// Length writes a length.
func (t Tape) Length(metres float64) string {
	if t.Step > 0 {
		return units.Steps(metres, t.Step)
	}
	return t.System.Length(metres)
}

// Say puts a mark into a coach's words. Left and right are the near player's, unless it says whose.
func (c Court) Say(m Mark, t Tape) string {
	said := c.say(m, t)
	if m.Whose == FarEndPlayer {
		said += " (the far player's left and right)"
	}
	return said
}

func (c Court) say(m Mark, t Tape) string {
	switch {
	case m.Place != nil:
		return fmt.Sprintf("%s %s of the middle, %s %s", t.Length(math.Abs(m.Place.X)), word(m.Place.X, 0, false),
			t.Length(math.Abs(m.Place.Y)), c.beyond(m.Place.Y))
	case m.Along != nil:
		line, _ := c.Line(m.Along.Line)
		return fmt.Sprintf("%s along the %s from its %s end", t.Length(m.Along.Distance), line.Name, m.Along.From)
	}
	said := ""
	for i, measure := range m.Measures {
		if i > 0 {
			said += ", "
		}
		said += c.sayMeasure(measure, t)
	}
	return said
}

func (c Court) beyond(y float64) string {
	switch {
	case c.Net.HalfUp == 0 && y < 0:
		return "towards the back wall"
	case c.Net.HalfUp == 0:
		return "towards the front wall"
	case y < 0:
		return "this side of the net"
	}
	return "beyond the net"
}

func (c Court) sayMeasure(m Measure, t Tape) string {
	line, _ := c.Line(m.Line)
	if m.Fraction != nil {
		other, _ := c.Line(m.To)
		share := units.Decimal(*m.Fraction*100, 0) + " % of the way"
		if *m.Fraction == 0.5 {
			share = "half-way"
		}
		return fmt.Sprintf("%s from the %s to the %s", share, line.Name, other.Name)
	}
	_, across := line.position()
	length := t.Length(m.Distance)
	switch {
	case m.Distance == 0:
		return "on the " + line.Name
	case m.Toward == In:
		return length + " inside the " + line.Name
	case m.Toward == Out && across:
		return length + " behind the " + line.Name
	case m.Toward == Out:
		return length + " outside the " + line.Name
	case m.Toward == Near:
		return length + " this side of the " + line.Name
	case m.Toward == Far:
		return length + " beyond the " + line.Name
	}
	return fmt.Sprintf("%s %s of the %s", length, m.Toward, line.Name)
}
