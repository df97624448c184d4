package underway

import (
	"cmp"
	"slices"
	"time"

	"hodometer/core/basics/invalid"
	"hodometer/core/count/tally"
	"hodometer/core/drill"
	"hodometer/core/drill/load"
	"hodometer/core/lesson"
	"hodometer/core/sport/court"
)

// count takes a count in, and returns what is new: a run of the student, and where several are on one count, one of
// each of them; the other one of two sides has it the other way round.
func (k *Kit) count(t Tap) ([]Counted, error) {
	of, err := k.runsOf(t)
	if err != nil {
		return nil, err
	}
	for _, c := range of {
		if slices.ContainsFunc(k.Counted, func(other Counted) bool {
			return !other.same(c) && slices.ContainsFunc(other.Runs, func(r Run) bool { return r.ID == c.Runs[0].ID })
		}) {
			return nil, invalid.Fields{{Path: "tap.run", Message: "this count was taken of somebody else"}}
		}
	}
	var taken []Counted
	for _, c := range of {
		if k.take(c) {
			c.Runs = slices.Clone(c.Runs) // those of the kit grow
			taken = append(taken, c)
		}
	}
	return taken, nil
}

// runsOf are the attempts that a count belongs to, with what it counts in each.
func (k *Kit) runsOf(t Tap) ([]Counted, error) {
	var wrong invalid.Fields
	block, known := k.block(t.Block)
	if !known || block.Drill == "" {
		wrong.Add("tap.block", "this lesson has no such drill any more")
	}
	if !slices.Contains(k.Document.Students, t.Student) {
		wrong.Add("tap.student", "this student is not in the lesson")
	}
	if wrong.Err() != nil {
		return nil, wrong.Err()
	}
	in := k.Inputs()
	document, known := in.Drills[block.Plays()]
	if !known {
		return nil, invalid.Fields{{Path: "tap.block", Message: "the drill of this block is no longer there"}}
	}
	there := in.In(block)
	if !slices.Contains(lesson.IDs(there), t.Student) {
		there = in.Known([]string{t.Student}) // who left the block since is counted alone
	}
	if len(there) == 0 {
		return nil, invalid.Fields{{Path: "tap.student", Message: "this student was erased"}}
	}
	t.Measure = cmp.Or(t.Measure, drill.FirstMeasure)
	who, _ := document.Measure(t.Measure)
	group, _ := load.Arrange(document, len(there), block.Lines, k.Document.Space)
	var list []Counted
	for _, id := range who.Who.Party(t.Student, lesson.IDs(there), group.Lines) {
		person := there[slices.IndexFunc(there, func(p lesson.Person) bool { return p.ID == id })]
		mine := block.DrillFor(document, person)
		m, ok := mine.Measure(t.Measure)
		if !ok {
			return nil, invalid.Fields{{Path: "tap.measure", Message: "the drill no longer has this measure"}}
		}
		var aim *court.Point
		if shape, ok := mine.Aimed(m); ok {
			aim = &shape.Centre
		}
		m.Name, m.Realism = mine.Called(m), mine.RealismOf(m)
		run := Run{ID: t.Run, Entries: []tally.Entry{t.Entry}}
		if id != t.Student {
			partner, err := derivedID(t.Run, id)
			if err != nil {
				return nil, invalid.Fields{{Path: "tap.run", Message: err.Error()}}
			}
			run = Run{ID: partner, Entries: []tally.Entry{forPartner(t.Entry, who.Who)}}
		}
		list = append(list, Counted{Attempt: Attempt{
			Lesson: k.ID, Block: block.CountedAs(), Student: id, Drill: block.Drill, Name: document.Name,
			Version: block.VersionSaid(id), Stroke: mine.StrokeOf(m), Rung: mine.RungOf(m),
			Measure: m, Aim: aim, At: k.playedAt(t),
		}, Runs: []Run{run}})
	}
	return list, nil
}

// countedLate is how long after its booking what is counted of a lesson was played then, and not now.
const countedLate = 6 * time.Hour

// playedAt is when what a tap counts was played: when it was tapped, or, of a lesson that is counted long after it was
// given, when its block was on.
func (k Kit) playedAt(t Tap) time.Time {
	begins, known := k.Document.Begins(k.At.Location())
	if !known || t.Entry.At.Before(begins.Add(time.Duration(k.Document.Minutes)*time.Minute+countedLate)) {
		return t.Entry.At
	}
	for _, b := range k.Document.Blocks {
		if b.ID == t.Block {
			break
		}
		begins = begins.Add(time.Duration(b.Seconds() * float64(time.Second)))
	}
	return begins
}

// forPartner is a count as somebody else on it has it: faults are nobody else's.
func forPartner(e tally.Entry, who drill.Who) tally.Entry {
	e.Fault = ""
	if who == drill.TwoSides {
		return e.ForTheOther()
	}
	return e
}

// same says whether it is the same attempt.
func (c Counted) same(other Counted) bool {
	return other.Block == c.Block && other.Student == c.Student && other.Measure.Number == c.Measure.Number
}

// take counts one entry of one run, and says whether it was not there already.
func (k *Kit) take(c Counted) bool {
	run, entry := c.Runs[0], c.Runs[0].Entries[0]
	at := slices.IndexFunc(k.Counted, c.same)
	if at < 0 {
		k.Counted = append(k.Counted, c)
		return true
	}
	if c.At.Before(k.Counted[at].At) {
		k.Counted[at].At = c.At
	}
	runs := k.Counted[at].Runs
	i, there := slices.BinarySearchFunc(runs, run.ID, func(r Run, id string) int { return cmp.Compare(r.ID, id) })
	if !there {
		k.Counted[at].Runs = slices.Insert(runs, i, run)
		return true
	}
	place, there := slices.BinarySearchFunc(
		runs[i].Entries,
		entry.Seq,
		func(e tally.Entry, seq int) int { return e.Seq - seq },
	)
	if !there {
		runs[i].Entries = slices.Insert(runs[i].Entries, place, entry)
	}
	return !there
}

// merge adds counts to those that are to be kept, run by run.
func merge(list, more []Counted) []Counted {
	for _, c := range more {
		i := slices.IndexFunc(list, func(other Counted) bool { return other.Runs[0].ID == c.Runs[0].ID })
		if i < 0 {
			list = append(list, c)
			continue
		}
		run := &list[i].Runs[0]
		run.Entries = append(slices.Clip(run.Entries), c.Runs[0].Entries...)
	}
	return list
}
