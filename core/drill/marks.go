package drill

import (
	"fmt"
	"slices"
	"strings"

	"hodometer/core/court"
	"hodometer/core/invalid"
)

// marked is one mark of a drill: where it stands in the document, what it is, and the mark itself.
type marked struct {
	handle string // the path of the mark: places.0.mark, pattern.tasks.1.landing, target.points.2
	label  string
	mark   *court.Mark
	place  *Place // where it is a place's, else nil
	index  int    // of that place
}

// marks lists every mark of a document, so that it can be read or changed in place.
func (d *Document) marks() []marked {
	var list []marked
	for i := range d.Places {
		list = append(list, marked{handle: placeHandle(i), label: string(d.Places[i].Kind), mark: &d.Places[i].Mark, place: &d.Places[i], index: i})
	}
	for i := range d.Pattern.Tasks {
		task := &d.Pattern.Tasks[i]
		path, label := invalid.Join("pattern.tasks", i), task.Label(i)
		list = append(list, marked{handle: path + ".landing", label: label, mark: &task.Landing})
		for _, other := range []struct {
			part, label string
			mark        *court.Mark
		}{{"from", "fed from", task.From}, {"reply", "reply", task.Reply}, {"recover", "then back to", task.Recover}} {
			if other.mark != nil {
				list = append(list, marked{handle: path + "." + other.part, label: label + ", " + other.label, mark: other.mark})
			}
		}
	}
	list = append(list, targetMarks("target", "target", &d.Target)...)
	for i := range d.NoGo {
		if d.NoGo[i].Area != nil {
			list = append(list, targetMarks(invalid.Join("noGo", i, "area"), "no-go", d.NoGo[i].Area)...)
		}
	}
	return list
}

// placeHandle is the handle of the mark of a place.
func placeHandle(i int) string { return invalid.Join("places", i, "mark") }

func targetMarks(path, label string, t *court.Target) []marked {
	var list []marked
	if t.Mark != nil {
		list = append(list, marked{handle: path + ".mark", label: label, mark: t.Mark})
	}
	if t.Other != nil {
		list = append(list, marked{handle: path + ".other", label: label + ", other post", mark: t.Other})
	}
	for i := range t.Points {
		list = append(list, marked{handle: invalid.Join(path, "points", i), label: fmt.Sprintf("%s, corner %d", label, i+1), mark: &t.Points[i]})
	}
	return list
}

// Clone copies a document so that changing the marks of the copy leaves the first one alone.
func (d Document) Clone() Document {
	d.Places, d.Pattern.Tasks, d.NoGo = slices.Clone(d.Places), slices.Clone(d.Pattern.Tasks), slices.Clone(d.NoGo)
	for i := range d.Pattern.Tasks {
		task := &d.Pattern.Tasks[i]
		cloneMarks(&task.From, &task.Reply, &task.Recover)
	}
	d.Target = cloneTarget(d.Target)
	for i := range d.NoGo {
		if d.NoGo[i].Area != nil {
			area := cloneTarget(*d.NoGo[i].Area)
			d.NoGo[i].Area = &area
		}
	}
	return d
}

func cloneTarget(t court.Target) court.Target {
	t.Points = slices.Clone(t.Points)
	cloneMarks(&t.Mark, &t.Other)
	return t
}

func cloneMarks(marks ...**court.Mark) {
	for _, mark := range marks {
		if *mark != nil {
			copied := **mark
			*mark = &copied
		}
	}
}

// TransferredMark is one mark on another court.
type TransferredMark struct {
	Handle      string         `json:"handle"`
	Label       string         `json:"label"`
	Description string         `json:"description" description:"The mark as it is said on the court it comes from"`
	Moved       court.Transfer `json:"moved"`
}

// TransferTo carries a drill over to another court of its sport or of any other. The listed marks scale
// with the court or become plain places; the others keep their offsets. It shows for
// every mark what each way would do. A mark that makes no sense on the new court stays as it is.
func (d Document) TransferTo(id court.ID, scales, plain []string, t court.Tape) (Document, []TransferredMark, error) {
	from, err := court.Find(d.Court)
	if err != nil {
		return d, nil, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	to, err := court.Find(id)
	if err != nil {
		return d, nil, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	changed := d.Clone()
	changed.Court, changed.Sport = to.ID, to.Sport
	var list []TransferredMark
	for _, m := range changed.marks() {
		list = append(list, TransferredMark{Handle: m.handle, Label: m.label, Description: from.Describe(*m.mark, t), Moved: from.Preview(*m.mark, to, t)})
		if slices.Contains(plain, m.handle) {
			*m.mark = list[len(list)-1].Moved.Plain.Mark
			continue
		}
		m.mark.Scales = slices.Contains(scales, m.handle)
		*m.mark = from.TransferTo(*m.mark, to).Mark
	}
	return changed, list, nil
}

// WalkOff lists everything that is put down for a drill in one short walking order, from the near left
// corner of the court as the coach comes on.
func (d Document) WalkOff(t court.Tape) ([]court.Step, error) {
	c, err := court.Find(d.Court)
	if err != nil {
		return nil, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	return c.WalkOff(d.Stops(), c.Corner(), t)
}

// Stops are what is put down for a drill, with where its players start.
func (d Document) Stops() []court.Stop {
	var stops []court.Stop
	clone := d.Clone()
	for _, m := range clone.marks() {
		if strings.HasPrefix(m.handle, "pattern.") || m.place != nil && !m.place.Kind.carried() && m.place.Kind != Start {
			continue // nobody puts a ball down, and people walk there themselves
		}
		stops = append(stops, court.Stop{Label: m.label, Mark: *m.mark})
	}
	return stops
}
