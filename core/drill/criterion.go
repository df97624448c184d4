package drill

import (
	"fmt"

	"hodometer/core/basics/invalid"
	"hodometer/core/sport/court"
)

// CriterionKind is what is looked at in how a player moves.
type CriterionKind string

// The criteria.
const (
	BeforeTheLine     CriterionKind = "met before a line"
	InFrontOfTheBody  CriterionKind = "met in front of the body"
	FeetInABox        CriterionKind = "feet in a box"
	BackAtTheMark     CriterionKind = "back at the recovery mark"
	ObjectIsUntouched CriterionKind = "object untouched"
)

// Criterion is what a movement has to do to be right.
type Criterion struct {
	Kind CriterionKind `json:"kind"`
	Line court.LineID  `json:"line,omitempty" maxLength:"40" description:"Before which the ball is met"`
	Box  court.BoxID   `json:"box,omitempty" maxLength:"40" description:"In which the feet are"`
}

// check says what is wrong with a criterion on a court, and whether the drill has what it needs.
func (k Criterion) check(d Document, c court.Court) error {
	var wrong invalid.Fields
	switch k.Kind {
	case BeforeTheLine:
		if _, ok := c.Line(k.Line); !ok {
			wrong.Add("line", "say before which line of the court the ball is met")
		}
	case FeetInABox:
		if _, err := k.area(c, d.Format); err != nil {
			wrong.Add("box", "say in which box of the court the feet are")
		}
	case BackAtTheMark:
		if _, ok := d.Place(Recovery); !ok {
			wrong.Add("kind", "the drill has no recovery mark to come back to; put one down, or take another criterion")
		}
	case ObjectIsUntouched:
		if _, ok := d.Place(Obstacle); !ok {
			if _, ok := d.Place(Cone); !ok {
				wrong.Add("kind", "nothing stands on court that could be touched; put a cone or an obstacle down")
			}
		}
	}
	return wrong.Err()
}

func (k Criterion) area(c court.Court, f court.Format) (court.Shape, error) {
	return c.Shape(court.Target{Kind: court.BoxTarget, Box: k.Box}, f)
}

// Say puts a criterion into words on a court.
func (k Criterion) Say(c court.Court, f court.Format) string {
	switch k.Kind {
	case BeforeTheLine:
		if line, ok := c.Line(k.Line); ok {
			return "met before the " + line.Name
		}
	case FeetInABox:
		if shape, err := k.area(c, f); err == nil {
			return fmt.Sprintf("feet in the %s", shape.Box)
		}
	}
	return string(k.Kind)
}

// Drawn is the area of a criterion on a court; false where it has none.
func (k Criterion) Drawn(c court.Court, f court.Format) (court.Shape, bool) {
	if k.Kind != FeetInABox {
		return court.Shape{}, false
	}
	shape, err := k.area(c, f)
	return shape, err == nil
}

func (k Criterion) mirrored() Criterion {
	k.Line = k.Line.Mirrored()
	k.Box = court.Target{Kind: court.BoxTarget, Box: k.Box}.Mirrored().Box
	return k
}
