package lesson

import (
	"fmt"
	"slices"

	"hodometer/core/drill"
	"hodometer/core/score"
	"hodometer/core/student"
	"hodometer/core/units"
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
	Student string      `json:"student" format:"uuid"`
	Drawn   Drawn       `json:"drawn,omitempty"`
	Gap     float64     `json:"gap,omitempty" minimum:"0" maximum:"60" description:"Seconds between two balls; 0: the drill's"`
	Size    float64     `json:"size,omitempty" minimum:"0" maximum:"20" description:"The target so many times as large; 0: as it is"`
	Goal    *score.Goal `json:"goal,omitempty"`
	Why     string      `json:"why,omitempty" maxLength:"400" description:"Where it comes from"`
}

// Variant is what is different for a student.
func (b Block) Variant(studentID string) Variant {
	i := slices.IndexFunc(b.Variants, func(v Variant) bool { return v.Student == studentID })
	if i < 0 {
		return Variant{Student: studentID}
	}
	return b.Variants[i]
}

// DrillFor is the drill of a block as one student plays it.
func (b Block) DrillFor(d drill.Document, p Person) drill.Document {
	v := b.Variant(p.ID)
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
	if v.Size > 0 {
		if target, ok := d.Target.Scaled(v.Size); ok {
			d.Target = target
		}
	}
	if v.Goal != nil {
		d.Goal = *v.Goal
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
	if v.Gap > 0 && v.Gap != d.Pattern.Gap {
		add("%s s apart", units.Decimal(v.Gap, 2))
	}
	if v.Size > 0 && v.Size != 1 {
		add("target %s times as large", units.Decimal(v.Size, 2))
	}
	if v.Goal != nil {
		add("goal: %s", v.Goal)
	}
	return phrase
}
