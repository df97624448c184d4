package court

import (
	"fmt"
	"math"

	"hodometer/core/basics/units"
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

// Describe puts a mark into a coach's words. Left and right are the near player's, unless it says whose.
func (c Court) Describe(m Mark, t Tape) string {
	phrase := c.describe(m, t)
	if m.View == FarEndPlayer {
		phrase += " (the far player's left and right)"
	}
	return phrase
}

func (c Court) describe(m Mark, t Tape) string {
	switch {
	case m.Place != nil:
		return fmt.Sprintf("%s %s of the middle, %s %s", t.Length(math.Abs(m.Place.X)), word(m.Place.X, 0, false),
			t.Length(math.Abs(m.Place.Y)), c.beyond(m.Place.Y))
	case m.Along != nil:
		return t.Length(m.Along.Distance) + " " + c.describeAlong(*m.Along)
	}
	phrase := ""
	for i, measure := range m.Measures {
		if i > 0 {
			phrase += ", "
		}
		phrase += c.describeMeasure(measure, t)
	}
	return phrase
}

func (c Court) beyond(y float64) string {
	switch {
	case !c.HasNet() && y < 0:
		return "towards the back wall"
	case !c.HasNet():
		return "towards the front wall"
	case y < 0:
		return "this side of the net"
	}
	return "beyond the net"
}

func (c Court) describeMeasure(m Measure, t Tape) string {
	if m.Fraction != nil {
		share := units.Decimal(*m.Fraction*100, 0) + " % of the way"
		if *m.Fraction == 0.5 {
			share = "half-way"
		}
		return share + " " + c.reference(m)
	}
	if m.Distance == 0 {
		line, _ := c.Line(m.Line)
		return "on the " + line.Name
	}
	return t.Length(m.Distance) + " " + c.reference(m)
}

// reference is what follows the length of a measure: inside the far baseline, from the net to the ….
func (c Court) reference(m Measure) string {
	line, _ := c.Line(m.Line)
	if m.Fraction != nil {
		other, _ := c.Line(m.To)
		return fmt.Sprintf("from the %s to the %s", line.Name, other.Name)
	}
	_, across := line.position()
	return directionFrom(m.Toward, across) + " the " + line.Name
}

// directionFrom puts a direction from a line into words.
func directionFrom(toward Toward, across bool) string {
	switch {
	case toward == In:
		return "inside"
	case toward == Out && across:
		return "behind"
	case toward == Out:
		return "outside"
	case toward == Near:
		return "this side of"
	case toward == Far:
		return "beyond"
	}
	return string(toward) + " of"
}
