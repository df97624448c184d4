package shorthand

import (
	"fmt"
	"strings"

	"hodometer/core/basics/units"
	"hodometer/core/sport/court"
)

// Aim is where replies go: so far in from a sideline, and so far inside the far end of the court.
type Aim struct {
	In, Deep float64 // metres
	Within   float64 // of the mark; 0 as it was
	Left     bool    // from the left sideline
}

// usually is how near a ball has to come to a mark of which nothing is said, metres. Common practice, no source.
const usually = 1.2

// target is the circle about the mark.
func (a Aim) target(c court.Court, was *court.Target) (court.Target, bool) {
	back, side, ok := c.Ends(a.Left)
	within := usually
	if was != nil && was.Radius > 0 {
		within = was.Radius
	}
	if a.Within > 0 {
		within = a.Within
	}
	return court.Ring(within, court.From(court.Off(back, a.Deep, court.In), court.Off(side, a.In, court.In))), ok
}

// aimOf is the aim that a target can be written as; false for any other.
func aimOf(c court.Court, t *court.Target) (Aim, bool) {
	if t == nil || t.Kind != court.Circle || t.Mark == nil || len(t.Mark.Measures) != 2 {
		return Aim{}, false
	}
	deep, in := t.Mark.Measures[0], t.Mark.Measures[1]
	for _, left := range []bool{true, false} {
		a := Aim{In: in.Distance, Deep: deep.Distance, Within: t.Radius, Left: left}
		if back, side, ok := c.Ends(
			left,
		); ok && deep.Line == back && in.Line == side && deep.Toward == court.In &&
			in.Toward == court.In {
			return a, true
		}
	}
	return Aim{}, false
}

func (a Aim) write() string {
	side := "right"
	if a.Left {
		side = "left"
	}
	return fmt.Sprintf("aim %s m in %s %s m deep within %s m", number(a.In), side, number(a.Deep), number(a.Within))
}

// aimed reads an aim: aim 1.4 m in left 2 m deep within 1 m.
func (r *reader) aimed() {
	a := Aim{}
	var length []string
	first := r.tokens[r.at-1]
	take := func(into *float64, t token) {
		v, err := metres(strings.Join(length, " "))
		if err != nil || v < 0 {
			r.failed(t, "a length stands before it: 1.4 m in, 2 m deep")
		}
		*into, length = v, nil
	}
	within := false
	last := first
	for t, ok := r.peek(); ok && t.text != ";"; t, ok = r.peek() {
		r.at++
		last = t
		next, more := r.peek()
		switch word := strings.ToLower(t.text); {
		case word == "in" && len(length) > 0 && (!more || next.text != "in"):
			take(&a.In, t)
		case word == "deep":
			take(&a.Deep, t)
		case word == "within":
			within = true
		case word == "left" || word == "right":
			a.Left = word == "left"
		default:
			length = append(length, t.text)
		}
	}
	if within && len(length) > 0 {
		take(&a.Within, last)
	}
	if len(length) > 0 || a.In == 0 && a.Deep == 0 {
		r.failed(last, "say an aim as: aim 1.4 m in left 2 m deep within 1 m")
		return
	}
	side := "right"
	if a.Left {
		side = "left"
	}
	r.understood(
		first,
		last,
		fmt.Sprintf("aim %s in from the %s, %s inside the end", units.Metres.Length(a.In), side, units.Metres.Length(a.Deep)),
	)
	r.aim = &a
}
