package drill

import (
	"strconv"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/units"
	"hodometer/core/people/coach"
	"hodometer/core/sport/sports"
)

// typed returns the drill with one length read from words.
func (d Document) typed(in coach.Typed, s coach.Settings) (Document, error) {
	c, err := sports.Court(d.Court)
	if err != nil {
		return d, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	fail := func(err error) (Document, error) {
		var wrong invalid.Fields
		wrong.Under(in.Path, err)
		return d, wrong.Err()
	}
	changed := d.Clone()
	for i := range changed.Measures {
		name, ok := strings.CutPrefix(in.Path, targetPath(i)+".")
		target := changed.Measures[i].Target
		if !ok || target == nil {
			continue
		}
		if known, err := s.SetSize(target, name, in.Text, c, d.Format); err != nil {
			return fail(err)
		} else if known {
			return changed, nil
		}
	}
	for i := range changed.Places {
		if in.Path != sizePath(i) {
			continue
		}
		width, err := units.Read(in.Text, s.Step)
		if err != nil {
			return fail(err)
		}
		changed.Places[i].Size = width
		return changed, nil
	}
	for _, m := range changed.Marks() {
		part, ok := strings.CutPrefix(in.Path, m.Handle+".")
		if !ok {
			continue
		}
		phrase, err := c.Retype(*m.Mark, part, in.Text, s.Step)
		if err != nil {
			return fail(err)
		}
		if _, err := c.Resolve(phrase); err != nil {
			return fail(err)
		}
		*m.Mark = phrase
		return changed, nil
	}
	return d, invalid.Fields{
		{
			Path:    "typed.path",
			Message: "there is nothing called " + strconv.Quote(in.Path) + " in this drill that can be typed",
		},
	}
}

// sizePath is the path of the width of an obstacle.
func sizePath(place int) string { return invalid.Join("places", place, "size") }

// Sizes lists the sizes of the targets and of what has a length on court as they are typed.
func (d Document) Sizes(s coach.Settings) []coach.Size {
	list := []coach.Size{}
	for i, m := range d.Measures {
		if m.Target != nil {
			list = append(list, s.Sizes(*m.Target, targetPath(i))...)
		}
	}
	for i, place := range d.Places {
		if place.Kind.long() {
			list = append(list, coach.Size{Path: sizePath(i), Label: "wide", Text: s.Units.Write(place.Size)})
		}
	}
	return list
}
