// Package editing does one thing to a lesson and fits the rest to it.
package editing

import (
	"context"
	"math"
	"slices"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/say"
	"hodometer/core/drill/load"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
	"hodometer/core/sport/feed"
)

// EditKind is something that is done to a lesson on its road.
type EditKind string

// The kinds.
const (
	Resize        EditKind = "resize"  // a block to so many minutes; the rest is fitted again
	SetTurns      EditKind = "turns"   // of a drill, for each player
	SetLines      EditKind = "lines"   // side by side
	Pin           EditKind = "pin"     // or unpin
	MoveBlock     EditKind = "move"    // a block to another place in the order
	InsertBlock   EditKind = "insert"  // a block at a place in the order
	AddBlock      EditKind = "add"     // a block at the end, before the closing talk
	RemoveBlock   EditKind = "remove"  // a block
	FitBlocks     EditKind = "fit"     // all blocks to the booking
	SetBooking    EditKind = "booking" // another length; the blocks are fitted to it
	SetVariant    EditKind = "variant" // what is different for one student
	SetVersion    EditKind = "version" // which version of its drill a block plays: minutes, turns and goals follow
	Adjust        EditKind = "adjust"  // the drill of a block on the spot: a step, or the size of its targets
	SwapDrill     EditKind = "swap"    // another drill in the place of one: minutes, turns, goals and calls follow
	SetOnDeck     EditKind = "on deck" // what those do who wait
	SetPeople     EditKind = "people"  // who is in a block
	SetCalls      EditKind = "calls"   // what is called in a block
	SetAttendance EditKind = "attendance"
	HushFinding   EditKind = "hush"  // for a reason; without one it is told again
	SetSpace      EditKind = "space" // the courts there are
)

// Edit is one thing done to a lesson: by hand on the road, or as the remedy of a finding.
type Edit struct {
	Kind       EditKind             `json:"kind"`
	Block      string               `json:"block,omitempty" maxLength:"40" description:"Identifier of the block it is about"`
	Minutes    float64              `json:"minutes,omitempty" minimum:"0" maximum:"600" description:"New length of the block or the booking"`
	Turns      int                  `json:"turns,omitempty" minimum:"0" maximum:"100"`
	Lines      int                  `json:"lines,omitempty" minimum:"0" maximum:"6"`
	To         int                  `json:"to,omitempty" minimum:"0" maximum:"20" description:"Place in the order, from 0"`
	On         bool                 `json:"on,omitempty" description:"Pinned; of a length: it was typed, so that it is pinned, and nothing else is fitted; of a version: it is played in the minutes that there are"`
	Gone       float64              `json:"gone,omitempty" minimum:"0" maximum:"86400" description:"Of a drill that is changed while it is played: seconds of its block that are gone; what was counted so far stays what it was"`
	Step       *feed.Transformation `json:"step,omitempty" description:"Of an adjustment"`
	Size       float64              `json:"size,omitempty" minimum:"0" maximum:"4" description:"Of an adjustment: the targets so many times as large as they are"`
	New        *lesson.Block        `json:"new,omitempty" description:"The block to put in"`
	Variant    *lesson.Variant      `json:"variant,omitempty"`
	Text       string               `json:"text,omitempty" maxLength:"120"`
	People     []string             `json:"people,omitempty" maxItems:"12" description:"Who is in the block"`
	Calls      []lesson.Call        `json:"calls,omitempty" maxItems:"30" description:"What is called in the block"`
	Attendance *Attendance          `json:"attendance,omitempty"`
	Hush       *lesson.Hushed       `json:"hush,omitempty"`
	Space      *load.Space          `json:"space,omitempty"`
}

// With is a lesson with the people and the block that the edit brings to it: what it has to be planned from.
func (c Edit) With(d lesson.Document) lesson.Document {
	if t := c.Attendance; t != nil {
		d.Students = slices.Clone(d.Students)
		for _, id := range t.Present {
			if !slices.Contains(d.Students, id) {
				d.Students = append(d.Students, id)
			}
		}
	}
	if c.New != nil {
		d.Blocks = append(slices.Clone(d.Blocks), *c.New)
	}
	return d
}

// Edited is a lesson after a change.
type Edited struct {
	Document  lesson.Document `json:"document"`
	Fits      bool            `json:"fits" description:"Else something has to go"`
	Sentences []say.Sentence  `json:"sentences" description:"What was squeezed or stretched, and why; or what to do"`
	Drop      []string        `json:"drop" description:"Identifiers of the blocks to take out so that the rest fits"`
}

// Apply does one thing to a lesson and fits the rest to it where that is called for. A block that
// is cut gets a fresh identifier of those that are passed in. It returns invalid.Fields, or ctx.Err() when cancelled.
func Apply(ctx context.Context, d lesson.Document, c Edit, fresh []string, in schedule.Inputs) (Edited, error) {
	before := schedule.Prepare(d, in)
	d.Blocks = slices.Clone(d.Blocks)
	done := func() (Edited, error) {
		return Edited{Document: d, Fits: true, Sentences: []say.Sentence{}, Drop: []string{}}, d.Check()
	}
	at := slices.IndexFunc(d.Blocks, func(b lesson.Block) bool { return b.ID == c.Block })
	if at < 0 && c.Block != "" {
		return Edited{}, invalid.Fields{{Path: "block", Message: "this block is not in the lesson any more"}}
	}
	if at < 0 &&
		!slices.Contains(
			[]EditKind{InsertBlock, AddBlock, FitBlocks, SetBooking, SetAttendance, SetSpace, HushFinding},
			c.Kind,
		) {
		return Edited{}, invalid.Fields{{Path: "block", Message: "say which block"}}
	}
	switch c.Kind {
	case Resize:
		if c.Minutes < lesson.ShortestBlock {
			return Edited{}, invalid.Fields{{Path: "minutes", Message: "a block has at least half a minute"}}
		}
		d.Blocks[at] = d.Blocks[at].Resized(c.Minutes)
		if c.On {
			d.Blocks[at].Pinned, d.Blocks[at].Wanted = true, 0
			return done()
		}
		sentence := adapt(&d.Blocks[at], before[at], in)
		fitted, err := ShareOut(ctx, d, c.Block, in)
		if err == nil && !sentence.Empty() && d.Blocks[at].Kind.Drilled() {
			fitted.Sentences = append([]say.Sentence{sentence}, fitted.Sentences...)
		}
		return fitted, err
	case SetSpace:
		if c.Space != nil {
			d.Space = *c.Space
		}
	case HushFinding:
		if c.Hush == nil {
			return Edited{}, invalid.Fields{{Path: "hush", Message: "say which finding"}}
		}
		d = d.Hush(*c.Hush)
	case SetTurns:
		d.Blocks[at].Turns = c.Turns
	case SetLines:
		d.Blocks[at].Lines = c.Lines
	case Pin:
		d.Blocks[at].Pinned = c.On
	case SetOnDeck:
		d.Blocks[at].OnDeck = c.Text
	case SetPeople:
		if len(c.People) == 0 {
			return Edited{}, invalid.Fields{{Path: "people", Message: "say who is in the block"}}
		}
		d.Blocks[at].People = c.People
	case SetCalls:
		d.Blocks[at].Calls = append([]lesson.Call{}, c.Calls...)
	case SetVariant:
		if c.Variant == nil {
			return Edited{}, invalid.Fields{{Path: "variant", Message: "say what is different, and for whom"}}
		}
		d.Blocks[at] = d.Blocks[at].With(*c.Variant)
	case Adjust:
		return adjust(d, at, c, fresh, in)
	case SetVersion, SwapDrill:
		if c.Kind == SetVersion && c.On {
			d, at = parted(d, at, c.Gone, fresh)
		}
		return replay(ctx, d, at, c, in)
	case MoveBlock:
		block := d.Blocks[at]
		d.Blocks = slices.Delete(d.Blocks, at, at+1)
		d.Blocks = slices.Insert(d.Blocks, min(c.To, len(d.Blocks)), block)
	case RemoveBlock:
		d.Blocks = slices.Delete(d.Blocks, at, at+1)
	case AddBlock:
		if c.New != nil {
			c.To = d.PlaceFor(*c.New)
		}
		return insert(ctx, d, c, in)
	case InsertBlock:
		return insert(ctx, d, c, in)
	case SetBooking:
		d.Minutes = int(math.Round(c.Minutes))
		if len(d.Blocks) == 0 {
			return done()
		}
		return ShareOut(ctx, d, "", in)
	case FitBlocks:
		return ShareOut(ctx, d, "", in)
	case SetAttendance:
		if c.Attendance == nil {
			return Edited{}, invalid.Fields{{Path: "attendance", Message: "say who is there"}}
		}
		return setAttendance(ctx, d, *c.Attendance, fresh, in)
	}
	return done()
}
