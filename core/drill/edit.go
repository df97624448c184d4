package drill

import (
	"fmt"
	"slices"

	"hodometer/core/basics/invalid"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// Edit is what a coach does to a drill on its court or in the table beside it. The steps that are there
// are taken in the order in which they are listed.
type Edit struct {
	Move    *Move        `json:"move,omitempty" description:"A place was moved"`
	Typed   *coach.Typed `json:"typed,omitempty" description:"A length or a place was typed in words"`
	Reword  *Reword      `json:"reword,omitempty" description:"A place is to be said in another way"`
	Press   *court.Point `json:"press,omitempty" description:"The court was pressed: another ball lands there"`
	Put     *Put         `json:"put,omitempty" description:"Somebody or something was put on court; it becomes the last place"`
	Tour    *Tour        `json:"tour,omitempty" description:"The pattern becomes work in each depth region in turn"`
	Corners *Corners     `json:"corners,omitempty" description:"The pattern becomes balls to the corners"`
	Reply   *Reply       `json:"reply,omitempty" description:"Where the reply to a ball goes, in words"`
	Stroke  *Restroke    `json:"stroke,omitempty" description:"A ball is played with another stroke"`
	Remove  string       `json:"remove,omitempty" maxLength:"60" description:"The handle of a thing that is taken off the court"`
}

// Reword is another way of saying the same place.
type Reword struct {
	Handle string `json:"handle" maxLength:"60" description:"The handle of a spot in the report"`
	court.Reference
}

// Edited returns the drill after a change that was made as a player of a hand sees it: on a
// left-hander's court the places are the mirrored ones of the drill as it is written.
func (d Document) Edited(change Edit, hand student.Hand, s coach.Settings) (Document, error) {
	seen, err := d.For(hand), error(nil)
	if change.Move != nil {
		if task, ok := d.contactTask(change.Move.Handle); ok {
			seen, err = seen.contactMoved(task, *change.Move, s)
		} else {
			seen, err = seen.moved(*change.Move, s.Units.Grain())
		}
	}
	if change.Typed != nil && err == nil {
		seen, err = seen.typed(*change.Typed, s)
	}
	if change.Reword != nil && err == nil {
		seen, err = seen.reworded(*change.Reword)
	}
	if change.Press != nil && err == nil {
		seen, err = seen.pressed(*change.Press, hand, s.Units.Grain())
	}
	if change.Put != nil && err == nil {
		seen, err = seen.put(*change.Put, s.Units.Grain())
	}
	if change.Tour != nil && err == nil {
		seen, err = seen.toured(*change.Tour, hand, s)
	}
	if change.Corners != nil && err == nil {
		seen, err = seen.cornered(*change.Corners, hand, s)
	}
	if change.Reply != nil && err == nil {
		seen, err = seen.For(hand).replied(*change.Reply, s.Units.Grain())
		seen = seen.For(hand)
	}
	if change.Stroke != nil && err == nil {
		seen, err = seen.restroked(*change.Stroke, s.Units.Grain())
	}
	if change.Remove != "" && err == nil {
		seen, err = seen.without(change.Remove)
	}
	return seen.For(hand), err
}

func (d Document) reworded(r Reword) (Document, error) {
	c, err := sports.Court(d.Court)
	if err != nil {
		return d, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	changed := d.Clone()
	for _, m := range changed.Marks() {
		if m.Handle != r.Handle {
			continue
		}
		at, err := c.Resolve(*m.Mark)
		if err == nil {
			*m.Mark, err = c.MarkFrom(at, r.Reference)
		}
		var wrong invalid.Fields
		wrong.Under(r.Handle, err)
		return changed, wrong.Err()
	}
	return d, noSpot("reword.handle", r.Handle)
}

// without takes a thing off the court. What the drill needs stays.
func (d Document) without(handle string) (Document, error) {
	changed := d.Clone()
	for i := range changed.Places {
		if handle == placeHandle(i) && changed.Removable(i) {
			changed.Places = slices.Delete(changed.Places, i, i+1)
			return changed, nil
		}
	}
	return d, noSpot("remove", handle)
}

// Removable says whether a drill does without one of its places.
func (d Document) Removable(i int) bool {
	kind, alike := d.Places[i].Kind, 0
	for _, p := range d.Places {
		if p.Kind == kind {
			alike++
		}
	}
	return alike > 1 || kind != Start && kind != Feeder
}

func noSpot(path, handle string) error {
	return invalid.Fields{
		{Path: path, Message: fmt.Sprintf("there is no place called %q in this drill that can be changed so", handle)},
	}
}

// played is where a task of the drill is on its court. The error is told at a path.
func (d Document) played(path string, task int) (c court.Court, at court.Point, err error) {
	if c, err = sports.Court(d.Court); err != nil {
		return c, at, invalid.Fields{{Path: "court", Message: err.Error()}}
	}
	if task < 0 || task >= len(d.Pattern.Tasks) {
		message := fmt.Sprintf("the pattern has %d tasks", len(d.Pattern.Tasks))
		return c, at, invalid.Fields{{Path: path, Message: message}}
	}
	if at, err = c.Resolve(d.Pattern.Tasks[task].Landing); err != nil {
		return c, at, invalid.Fields{{Path: invalid.Join("pattern.tasks", task, "landing"), Message: err.Error()}}
	}
	return c, at, nil
}

// near is the mark of a place, from the nearest lines, in multiples of a grain, in metres.
func near(c court.Court, at court.Point, grain float64) court.Mark {
	return c.Rounded(c.Nearby(at), grain, true, true)
}
