package underway

import (
	"time"

	"hodometer/core/basics/invalid"
	"hodometer/core/count/tally"
	"hodometer/core/lesson"
	"hodometer/core/lesson/editing"
)

// Why is why a coach changes a drill while it is played.
type Why string

// The reasons.
const (
	TooEasy Why = "too easy"
	Swamped Why = "swamped"
	Tired   Why = "tired"
	Stiff   Why = "stiff"
)

// Act is one thing that a coach does with a lesson under way, and when: exactly one of the six from tap to before is
// there.
type Act struct {
	ID     string           `json:"id" format:"uuid" description:"Chosen by the device: done again, it changes nothing"`
	At     time.Time        `json:"at" description:"By the clock of the device"`
	Tap    *Tap             `json:"tap,omitempty"`
	Clock  *ClockChange     `json:"clock,omitempty"`
	Travel *editing.Travel  `json:"travel,omitempty"`
	Change *editing.Edit    `json:"change,omitempty"`
	Reason *Reason          `json:"reason,omitempty"`
	Before *lesson.Document `json:"before,omitempty" description:"The lesson as it was before a change that is taken back"`
	After  *lesson.Document `json:"after,omitempty" description:"With before: the lesson as that change left it; what was changed since then stays. Left out: all is as it was before"`
}

// withoutDocuments is the act without the documents that came with it: the lesson has what came of them.
func (a Act) withoutDocuments() Act {
	a.Before, a.After = nil, nil
	return a
}

// Tap is one count of one student at one measure in one block.
type Tap struct {
	Run     string      `json:"run" format:"uuid" description:"Chosen by the device, one for each student, block and measure"`
	Block   string      `json:"block" format:"uuid"`
	Student string      `json:"student" format:"uuid"`
	Measure int         `json:"measure,omitempty" minimum:"0" maximum:"8" description:"Its number; empty: the first one"`
	Entry   tally.Entry `json:"entry"`
}

// ClockChange sets a lesson going, stops it, moves along its road, or finishes it.
type ClockChange struct {
	Second   float64 `json:"second" minimum:"0" maximum:"86400" description:"Second of the lesson it is at that instant"`
	Running  bool    `json:"running"`
	Finished bool    `json:"finished"`
	Block    string  `json:"block,omitempty" maxLength:"40" description:"The block that it is in, for whoever does not know yet what became of the road; the second is one of the lesson where it is missing"`
	Gone     float64 `json:"gone,omitempty" minimum:"0" maximum:"86400" description:"Seconds of that block that are gone"`
}

// on is the second of a lesson that is meant: where its block begins by now, and how much of it is gone. Only the last
// block may go on beyond its end.
func (c ClockChange) on(d lesson.Document) float64 {
	begins := 0.0
	for i, block := range d.Blocks {
		switch {
		case block.ID == c.Block && i == len(d.Blocks)-1:
			return begins + c.Gone
		case block.ID == c.Block:
			return begins + min(c.Gone, block.Seconds())
		}
		begins += block.Seconds()
	}
	return c.Second
}

// Reason is why something was done.
type Reason struct {
	Of  string `json:"of" format:"uuid" description:"The act"`
	Why Why    `json:"why"`
}

// Check says what is wrong with an act beyond its shape.
func (a Act) Check() error {
	var wrong invalid.Fields
	parts := 0
	for _, there := range []bool{a.Tap != nil, a.Clock != nil, a.Travel != nil, a.Change != nil, a.Reason != nil,
		a.Before != nil} {
		if there {
			parts++
		}
	}
	if parts != 1 {
		wrong.Add("id", "an act is one thing: a count, the clock, the road, a change, its reason, or taking one back")
	}
	if a.After != nil && a.Before == nil {
		wrong.Add("after", "say how the lesson was before the change, too")
	}
	if a.Tap != nil {
		wrong.Under("tap.entry", a.Tap.Entry.Check())
	}
	return wrong.Err()
}
