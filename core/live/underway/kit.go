// Package underway runs a lesson: what is done with it, one act after the other, and what a coach sees of it at an
// instant. It needs nothing but what it is given, so that a device does the same without the network as the program
// does.
package underway

import (
	"cmp"
	"slices"
	"time"

	"hodometer/core/count/score"
	"hodometer/core/count/tally"
	"hodometer/core/drill"
	"hodometer/core/game"
	"hodometer/core/lesson"
	"hodometer/core/lesson/plan"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/coach"
	"hodometer/core/people/ladder"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// Kit is all that a lesson is run from: what a device takes along to where there is no network.
type Kit struct {
	ID       string                    `json:"id"`
	Revision int64                     `json:"revision"`
	Archived bool                      `json:"archived"`
	Document lesson.Document           `json:"document"`
	Drills   map[string]drill.Document `json:"drills" description:"As they are written, by identifier; those that are gone are missing"`
	Games    map[string]game.Document  `json:"games"`
	People   []lesson.Person           `json:"people" description:"Those of the lesson, and others who may come to it; those who are gone are missing"`
	Settings coach.Settings            `json:"settings"`
	Clock    *lesson.Clock             `json:"clock" description:"Null before the lesson is begun"`
	Finished bool                      `json:"finished"`
	Rates    []Rates                   `json:"rates" description:"What is known of the students, by block"`
	Counted  []Counted                 `json:"counted" description:"What was counted so far"`
	At       time.Time                 `json:"at" description:"When it was packed, by the clock of the program"`
	Done     []string                  `json:"done" description:"Identifiers of the acts that are in it: done again, they change nothing"`

	in *schedule.Inputs // of the document as it is; see Inputs
}

// Attempt is what one student did at one measure of a drill in one block, with what it stood for then.
type Attempt struct {
	Lesson  string         `json:"lesson"`
	Block   string         `json:"block"`
	Student string         `json:"student"`
	Drill   string         `json:"drill"`
	Name    string         `json:"name" description:"Of the drill"`
	Version string         `json:"version" description:"Which of it was played, in words; empty: as it is written, or not known"`
	Stroke  sports.Stroke  `json:"stroke"`
	Rung    ladder.Quality `json:"rung"`
	Measure drill.Measure  `json:"measure" description:"As it was then"`
	Aim     *court.Point   `json:"aim" description:"Where the target was, on the court; null where that is not known"`
	At      time.Time      `json:"at" description:"When it began"`
}

// Run is what one device counted of an attempt.
type Run struct {
	ID      string        `json:"id" description:"Chosen by the device"`
	Entries []tally.Entry `json:"entries" description:"In order"`
}

// Counted is an attempt with what every device counted of it.
type Counted struct {
	Attempt
	Runs []Run `json:"runs" description:"By their identifiers"`
}

func (c Counted) devices() [][]tally.Entry {
	list := make([][]tally.Entry, len(c.Runs))
	for i, run := range c.Runs {
		list[i] = run.Entries
	}
	return list
}

// done is what an attempt amounts to.
type done struct {
	Attempt
	tally.Summary
	standing score.Standing
	over     bool // nothing counts towards it any more
}

// summaries works out what was counted amounts to. What players count together stands where all of them brought it.
func (k Kit) summaries() []done {
	list := make([]done, len(k.Counted))
	inOrder := slices.SortedFunc(slices.Values(k.Counted), func(a, b Counted) int {
		return cmp.Or(
			a.At.Compare(b.At),
			cmp.Compare(a.Block, b.Block),
			cmp.Compare(a.Student, b.Student),
			cmp.Compare(a.Measure.Number, b.Measure.Number),
		)
	})
	for i, c := range inOrder {
		standing := c.Measure.Goals.Stand(c.devices()...)
		list[i] = done{
			Attempt:  c.Attempt,
			Summary:  tally.Summarise(c.devices()...),
			standing: standing,
			over:     c.Measure.Goals.Over(standing, c.devices()...),
		}
	}
	for i, a := range list {
		if !a.Measure.Goals.Joint() {
			continue
		}
		made := 0
		for _, other := range list {
			if other.Block == a.Block && other.Measure.Number == a.Measure.Number {
				made += other.Made
			}
		}
		list[i].standing = a.Measure.Goals.StandJointly(made)
		list[i].over = list[i].standing.Met
	}
	return list
}

// Inputs are what the lesson is scheduled from; they are worked out once for each document.
func (k *Kit) Inputs() schedule.Inputs {
	if k.in == nil {
		var people []lesson.Person
		for _, id := range k.Document.Students {
			if i := slices.IndexFunc(k.People, func(p lesson.Person) bool { return p.ID == id }); i >= 0 {
				people = append(people, k.People[i])
			}
		}
		in := schedule.Gather(k.Document, k.Drills, k.Games, people, k.Settings)
		k.in = &in
	}
	return *k.in
}

// Becomes gives the lesson another document.
func (k *Kit) Becomes(d lesson.Document) { k.Document, k.in = d, nil }

func (k Kit) state() plan.State { return plan.StateOf(k.Clock != nil, k.Finished) }

// at is the second of the lesson at an instant.
func (k Kit) at(now time.Time) float64 {
	if k.Clock == nil {
		return 0
	}
	return k.Clock.At(now)
}

// block finds a block of the lesson.
func (k Kit) block(id string) (lesson.Block, bool) {
	i := slices.IndexFunc(k.Document.Blocks, func(b lesson.Block) bool { return b.ID == id })
	if i < 0 {
		return lesson.Block{}, false
	}
	return k.Document.Blocks[i], true
}
