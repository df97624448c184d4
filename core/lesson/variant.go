package lesson

import (
	"fmt"
	"slices"

	"hodometer/core/basics/say"
	"hodometer/core/basics/units"
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/people/student"
)

// Drawn is whether somebody plays a drill as it is drawn, or mirrored.
type Drawn string

// The ways. empty: by the hand that holds the racket.
const (
	AsDrawn  Drawn = "as drawn"
	Mirrored Drawn = "mirrored"
)

// Variant is what is different for one student in one drill block.
type Variant struct {
	Student string       `json:"student" format:"uuid"`
	Version string       `json:"version,omitempty" maxLength:"60" description:"Another version of the drill; empty: that of the block"`
	Drawn   Drawn        `json:"drawn,omitempty"`
	Gap     float64      `json:"gap,omitempty" minimum:"0" maximum:"60" description:"Seconds between two balls; 0: the drill's"`
	Size    float64      `json:"size,omitempty" minimum:"0" maximum:"20" description:"The target so many times as large; 0: as it is"`
	Goals   []Instead    `json:"goals,omitempty" maxItems:"8" description:"Other goals, by measure"`
	Why     say.Sentence `json:"why,omitzero" description:"Where it comes from"`
}

// Instead is what a student is to reach in one measure of the drill.
type Instead struct {
	Measure int          `json:"measure" minimum:"1" maximum:"8" description:"Its number"`
	Goals   score.Course `json:"goals" minItems:"1" maxItems:"6"`
}

// Reach has a student reach something else in a measure.
func (v *Variant) Reach(measure int, goals score.Course) {
	v.Goals = slices.DeleteFunc(slices.Clone(v.Goals), func(g Instead) bool { return g.Measure == measure })
	v.Goals = append(v.Goals, Instead{measure, goals})
}

// Variant is what is different for a student.
func (b Block) Variant(studentID string) Variant {
	i := slices.IndexFunc(b.Variants, func(v Variant) bool { return v.Student == studentID })
	if i < 0 {
		return Variant{Student: studentID}
	}
	return b.Variants[i]
}

// DrillFor is the drill of a block, in its version, as one student plays it.
func (b Block) DrillFor(d drill.Document, p Person) drill.Document {
	v := b.Variant(p.ID)
	if v.Version != "" {
		// A version with other measures could not be counted beside that of the others; the plan says so.
		if own, err := d.Version(v.Version); err == nil && own.CountsAs(d) {
			d = own
		}
	}
	if v.Drawn == Mirrored || v.Drawn == "" && p.Profile.Hand == student.LeftHand {
		d = d.Mirrored()
	}
	if v.Gap > 0 {
		share := v.Gap / d.Pattern.Gap
		d.Pattern.Gap, d.Pattern.Tasks = v.Gap, slices.Clone(d.Pattern.Tasks)
		for i := range d.Pattern.Tasks {
			d.Pattern.Tasks[i].Gap *= share
		}
	}
	for i, m := range d.Measures {
		if v.Size > 0 {
			m = m.Sized(v.Size)
		}
		for _, g := range v.Goals {
			if g.Measure != m.Number || len(g.Goals) == 0 {
				continue
			}
			if m.Goals = g.Goals; !m.What.Takes(g.Goals[0]) {
				m.What = g.Goals[0].Unit()
			}
		}
		d = d.With(i, m)
	}
	return d
}

// Describe puts a variant into words, beginning with how the drill is played; empty where nothing differs.
func (v Variant) Describe(p Person, d drill.Document) string {
	phrase := ""
	add := func(format string, args ...any) {
		if phrase != "" {
			phrase += "; "
		}
		phrase += fmt.Sprintf(format, args...)
	}
	switch {
	case v.Drawn == Mirrored || v.Drawn == "" && p.Profile.Hand == student.LeftHand:
		if p.Profile.Hand == student.LeftHand {
			add("left-handed: mirror it")
		} else {
			add("mirrored")
		}
	case v.Drawn == AsDrawn && p.Profile.Hand == student.LeftHand:
		add("as drawn, though left-handed")
	}
	if v.Version != "" {
		add("%s", v.Version)
	}
	if v.Gap > 0 && v.Gap != d.Pattern.Gap {
		add("%s s apart", units.Decimal(v.Gap, 2))
	}
	if v.Size > 0 && v.Size != 1 {
		add("target %s times as large", units.Decimal(v.Size, 2))
	}
	for _, g := range v.Goals {
		name := ""
		if m, ok := d.Measure(g.Measure); ok && d.Called(m) != "" {
			name = d.Called(m) + ": "
		}
		add("goal: %s%s", name, g.Goals)
	}
	return phrase
}
