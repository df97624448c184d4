package drill

import (
	"strconv"
	"strings"

	"hodometer/core/coach"
	"hodometer/core/court"
	"hodometer/core/invalid"
	"hodometer/core/units"
)

// Typed is a length or a place typed in words.
type Typed struct {
	Path string `json:"path" maxLength:"60" description:"A measure, measures.0.target.mark.measures.0, or a size, measures.0.target.radius or places.3.size"`
	Text string `json:"text" maxLength:"120"`
}

// Size is a length of a drill that can be typed.
type Size struct {
	Path  string `json:"path"`
	Label string `json:"label"`
	Text  string `json:"text" description:"Exactly, to be typed again"`
}

// typed returns the drill with one length read from words. What is meant by a circle of so much is the
// coach's own setting.
func (d Document) typed(in Typed, s coach.Settings) (Document, error) {
	c, err := court.Find(d.Court)
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
		if size, ok := target.Sizes()[name]; ok {
			length, err := units.Read(in.Text, s.Step)
			if err != nil {
				return fail(err)
			}
			if name == "radius" && s.Within == coach.Diameter {
				length /= 2
			}
			*size = length
			if _, err := c.Shape(*target, d.Format); err != nil {
				return fail(err)
			}
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
	return d, invalid.Fields{{Path: "typed.path", Message: "there is nothing called " + strconv.Quote(in.Path) + " in this drill that can be typed"}}
}

// sizePath is the path of the width of an obstacle.
func sizePath(place int) string { return invalid.Join("places", place, "size") }

// sizesOf lists the sizes of a target.
func sizesOf(target court.Target, path string, s coach.Settings) []Size {
	var list []Size
	values := target.Sizes()
	for _, name := range []string{"radius", "width", "depth", "low", "high"} {
		value, ok := values[name]
		if !ok {
			continue
		}
		size := Size{Path: path + "." + name, Label: name, Text: s.Units.Write(*value)}
		if name == "radius" && s.Within == coach.Diameter {
			size.Label, size.Text = "across", s.Units.Write(2**value)
		}
		list = append(list, size)
	}
	return list
}

// Sizes lists the sizes of the targets and of what has a length on court as they are typed.
func (d Document) Sizes(s coach.Settings) []Size {
	list := []Size{}
	for i, m := range d.Measures {
		if m.Target != nil {
			list = append(list, sizesOf(*m.Target, targetPath(i), s)...)
		}
	}
	for i, place := range d.Places {
		if place.Kind.long() {
			list = append(list, Size{Path: sizePath(i), Label: "wide", Text: s.Units.Write(place.Size)})
		}
	}
	return list
}
