package drill

import (
	"fmt"
	"slices"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/units"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// NamedMark is one mark of a drill: where it stands in the document, what it is, and the mark itself.
type NamedMark struct {
	Handle string // the path of the mark: places.0.mark, pattern.tasks.1.landing, target.points.2
	Label  string
	Mark   *court.Mark
	Place  *Place // where it is a place's, else nil
	Index  int    // of that place
}

// Marks lists every mark of a document, so that it can be read or changed in place.
func (d *Document) Marks() []NamedMark {
	var list []NamedMark
	for i := range d.Places {
		list = append(
			list,
			NamedMark{Handle: placeHandle(i), Label: d.PlaceName(i), Mark: &d.Places[i].Mark, Place: &d.Places[i], Index: i},
		)
	}
	for i := range d.Pattern.Tasks {
		task := &d.Pattern.Tasks[i]
		path, label := invalid.Join("pattern.tasks", i), task.Label(i)
		list = append(list, NamedMark{Handle: path + ".landing", Label: label, Mark: &task.Landing})
		for _, other := range []struct {
			part, label string
			mark        *court.Mark
		}{{"from", "fed from", task.From}, {"reply", "reply", task.Reply}, {"recover", "then back to", task.Recover}} {
			if other.mark != nil {
				list = append(list, NamedMark{Handle: path + "." + other.part, Label: label + ", " + other.label, Mark: other.mark})
			}
		}
	}
	for i := range d.Measures {
		if target := d.Measures[i].Target; target != nil {
			list = append(list, targetMarks(targetPath(i), d.targetLabel(i), target)...)
		}
	}
	for i := range d.NoGo {
		if d.NoGo[i].Area != nil {
			list = append(list, targetMarks(invalid.Join("noGo", i, "area"), "no-go", d.NoGo[i].Area)...)
		}
	}
	return list
}

// targetPath is where the target of a measure stands in the document.
func targetPath(i int) string { return invalid.Join("measures", i, "target") }

func (d *Document) targetLabel(i int) string {
	if len(d.Measures) == 1 {
		return "target"
	}
	return fmt.Sprintf("target %d", d.Measures[i].Number)
}

// placeHandle is the handle of the mark of a place.
func placeHandle(i int) string { return invalid.Join("places", i, "mark") }

func targetMarks(path, label string, t *court.Target) []NamedMark {
	var list []NamedMark
	if t.Mark != nil {
		list = append(list, NamedMark{Handle: path + ".mark", Label: label, Mark: t.Mark})
	}
	if t.Other != nil {
		list = append(list, NamedMark{Handle: path + ".other", Label: label + ", other post", Mark: t.Other})
	}
	for i := range t.Points {
		list = append(
			list,
			NamedMark{
				Handle: invalid.Join(path, "points", i),
				Label:  fmt.Sprintf("%s, corner %d", label, i+1),
				Mark:   &t.Points[i],
			},
		)
	}
	return list
}

// Clone copies a document so that changing the copy leaves the first one alone.
func (d Document) Clone() Document {
	d.Places, d.Pattern, d.NoGo = slices.Clone(d.Places), d.Pattern.Clone(), slices.Clone(d.NoGo)
	for i := range d.Places {
		d.Places[i].Mark = d.Places[i].Mark.Clone()
	}
	d.Measures, d.Variations = cloneMeasures(d.Measures), slices.Clone(d.Variations)
	for i := range d.Variations {
		v := &d.Variations[i]
		v.Steps, v.Measures = slices.Clone(v.Steps), cloneMeasures(v.Measures)
	}
	d.Cues, d.Cautions, d.Equipment = slices.Clone(d.Cues), slices.Clone(d.Cautions), slices.Clone(d.Equipment)
	for i := range d.NoGo {
		if d.NoGo[i].Area != nil {
			area := d.NoGo[i].Area.Clone()
			d.NoGo[i].Area = &area
		}
	}
	return d
}

// TransferredMark is one mark on another court.
type TransferredMark struct {
	Handle      string         `json:"handle"`
	Label       string         `json:"label"`
	Description string         `json:"description" description:"The mark as it is said on the court it comes from"`
	Moved       court.Transfer `json:"moved"`
}

// TransferTo carries a drill over to another court of its sport or of any other. The listed marks scale
// with the court or become plain places; the others keep their offsets. A rally scales. It shows for
// every mark what each way would do. A mark that makes no sense on the new court stays as it is.
func (d Document) TransferTo(id court.ID, scales, plain []string, t court.Tape) (Document, []TransferredMark, error) {
	from, err := sports.Court(d.Court)
	if err != nil {
		return d, nil, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	to, err := sports.Court(id)
	if err != nil {
		return d, nil, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	changed := d.Clone()
	changed.Court, changed.Sport = to.ID, to.Sport
	if r := changed.Pattern.Rally; r != nil { // its strokes land at the same share of the court
		r.Deep = units.Kept(r.Deep * to.Length / from.Length)
		r.Wide = units.Kept(r.Wide * to.Singles / from.Singles)
	}
	var list []TransferredMark
	for _, m := range changed.Marks() {
		list = append(
			list,
			TransferredMark{
				Handle:      m.Handle,
				Label:       m.Label,
				Description: from.Describe(*m.Mark, t),
				Moved:       from.Preview(*m.Mark, to, t),
			},
		)
		if slices.Contains(plain, m.Handle) {
			*m.Mark = list[len(list)-1].Moved.Plain.Mark
			continue
		}
		m.Mark.Scales = slices.Contains(scales, m.Handle)
		*m.Mark = from.TransferTo(*m.Mark, to).Mark
	}
	return changed, list, nil
}

// OnCourt returns the drill on another court of its sport: marks keep their offsets from the lines, or scale where they
// say so; one that would make no sense there comes to the same share of the court. It returns invalid.Fields, and the
// drill as it is, where the drill makes no sense on that court.
func (d Document) OnCourt(id court.ID) (Document, error) {
	to, err := sports.Court(id)
	if err != nil || to.Sport != d.Sport || to.ID == d.Court {
		return d, nil
	}
	var scales, plain []string
	own := d.Clone()
	for _, m := range own.Marks() {
		if m.Mark.Scales {
			scales = append(scales, m.Handle)
		}
	}
	_, moved, err := d.TransferTo(id, scales, nil, court.Tape{})
	if err != nil {
		return d, err
	}
	for _, m := range moved {
		if scaled := slices.Contains(scales, m.Handle) && m.Moved.Scales.At != nil; m.Moved.Keeps.At == nil && !scaled {
			plain = append(plain, m.Handle)
		}
	}
	changed, _, err := d.TransferTo(id, scales, plain, court.Tape{})
	if err == nil {
		err = changed.Check()
	}
	if err != nil {
		return d, err
	}
	if d.written != nil {
		// Its other versions are played there, too.
		written, err := d.written.OnCourt(id)
		if err != nil {
			return d, err
		}
		changed.written = &written
	}
	return changed, nil
}

// WalkOff lists everything that is put down for a drill in one short walking order, from the near left
// corner of the court as the coach comes on.
func (d Document) WalkOff(t court.Tape) ([]court.Step, error) {
	c, err := sports.Court(d.Court)
	if err != nil {
		return nil, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	return c.WalkOff(d.Stops(), c.Corner(), t)
}

// Stops are what is put down for a drill, with where its players start.
func (d Document) Stops() []court.Stop {
	var stops []court.Stop
	clone := d.Clone()
	for _, m := range clone.Marks() {
		if strings.HasPrefix(m.Handle, "pattern.") || m.Place != nil && !m.Place.Kind.carried() && m.Place.Kind != Start {
			continue // nobody puts a ball down, and people walk there themselves
		}
		stops = append(stops, court.Stop{Label: m.Label, Mark: *m.Mark})
	}
	return stops
}
