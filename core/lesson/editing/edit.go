// Package editing does one thing to a lesson and fits the rest to it.
package editing

import (
	"cmp"
	"context"
	"fmt"
	"maps"
	"math"
	"slices"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/units"
	"hodometer/core/drill/load"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/coach"
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
	Sentences []string        `json:"sentences" description:"What was squeezed or stretched, and why; or what to do"`
	Drop      []string        `json:"drop" description:"Identifiers of the blocks to take out so that the rest fits"`
}

// Apply does one thing to a lesson and fits the rest to it where that is called for. A block that
// is cut gets a fresh identifier of those that are passed in. It returns invalid.Fields, or ctx.Err() when cancelled.
func Apply(ctx context.Context, d lesson.Document, c Edit, fresh []string, in schedule.Inputs) (Edited, error) {
	before := schedule.Prepare(d, in)
	d.Blocks = slices.Clone(d.Blocks)
	done := func(phrases ...string) (Edited, error) {
		if phrases == nil {
			phrases = []string{}
		}
		return Edited{Document: d, Fits: true, Sentences: phrases, Drop: []string{}}, d.Check()
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
		phrase := adapt(&d.Blocks[at], before[at], in)
		fitted, err := ShareOut(ctx, d, c.Block, in)
		if err == nil && phrase != "" && d.Blocks[at].Kind.Drilled() {
			fitted.Sentences = append([]string{phrase + "."}, fitted.Sentences...)
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

// insert puts a block in, and fits the rest where it does not fit any more.
func insert(ctx context.Context, d lesson.Document, c Edit, in schedule.Inputs) (Edited, error) {
	if c.New == nil {
		return Edited{}, invalid.Fields{{Path: "new", Message: "say which block to put in"}}
	}
	d.Blocks = slices.Insert(d.Blocks, min(c.To, len(d.Blocks)), *c.New)
	if err := d.Check(); err != nil {
		return Edited{}, err
	}
	total := 0.0
	for _, b := range d.Blocks {
		total += b.Minutes
	}
	if total <= float64(d.Minutes) {
		return Edited{Document: d, Fits: true, Sentences: []string{}, Drop: []string{}}, nil
	}
	return ShareOut(ctx, d, "", in)
}

// replay has a block play another version of its drill, or another drill: its minutes become what that takes, and the
// rest is fitted; where they are pinned they stay. The turns and what it may be fitted to stay with another version;
// with another drill they, its calls and what was different for single players are the new one's. Its place, its people
// and what those do who wait stay.
func replay(ctx context.Context, d lesson.Document, at int, c Edit, in schedule.Inputs) (Edited, error) {
	was := d.Blocks[at]
	block := was
	if c.Kind == SetVersion {
		if block.Version = c.Text; block.Version == coach.AsWritten {
			block.Version = ""
		}
		var err error
		if in, block.Minutes, err = withVersion(ctx, block, d, in); err != nil {
			return Edited{}, err
		}
		if c.On {
			block.Minutes = was.Minutes
			d.Blocks[at] = block
			said := fmt.Sprintf("%s: “%s” from now on.", block.Title, cmp.Or(block.Version, coach.AsWritten))
			return Edited{Document: d, Fits: true, Sentences: []string{said}, Drop: []string{}}, d.Check()
		}
	} else {
		if c.New == nil {
			return Edited{}, invalid.Fields{{Path: "new", Message: "say which drill to put in"}}
		}
		block = *c.New
		block.ID, block.People, block.OnDeck = was.ID, was.People, was.OnDeck
		block.Turns, block.Min, block.Max = 0, 0, 0
	}
	block.Wanted, block.Pinned = 0, was.Pinned
	if was.Pinned {
		block = block.Resized(was.Minutes)
	}
	d.Blocks[at] = block
	if l := schedule.Prepare(d, in)[at]; was.Pinned && l.Drilled {
		if turns := max(1, l.TurnsIn(in)); turns < block.TurnsOf(l.Document) {
			d.Blocks[at].Turns = turns
		}
	}
	if err := d.Check(); err != nil {
		return Edited{}, err
	}
	fitted, err := ShareOut(ctx, d, "", in)
	if err != nil {
		return fitted, err
	}
	if phrase := lengthened(was.Minutes, fitted.Document.Blocks[at]); phrase != "" {
		fitted.Sentences = append(
			[]string{phrase},
			slices.DeleteFunc(
				fitted.Sentences,
				func(other string) bool { return strings.HasPrefix(other, block.Title+": ") },
			)...)
	}
	return fitted, nil
}

// withVersion adds the version that a block plays of its drill or its game to what a lesson is planned with, and says
// how many minutes that takes. It returns invalid.Fields.
func withVersion(
	ctx context.Context,
	block lesson.Block,
	d lesson.Document,
	in schedule.Inputs,
) (schedule.Inputs, float64, error) {
	if written, known := in.Games[block.Game]; known {
		document, err := written.InLesson(block.Version, d.Space.Court)
		if err != nil {
			return in, 0, err
		}
		in.Games = maps.Clone(in.Games)
		in.Games[block.Plays()] = document
		usual, err := schedule.ForGame(ctx, block.Game, document, in.Settings)
		return in, usual.Minutes, err
	}
	written, known := in.Drills[block.Drill]
	if !known {
		return in, 0, invalid.Fields{{Path: "block", Message: "what this block plays is no longer there"}}
	}
	document, err := written.Version(block.Version)
	if err != nil {
		return in, 0, err
	}
	if document, err = document.OnCourt(d.Space.Court); err != nil {
		return in, 0, err
	}
	in.Drills = maps.Clone(in.Drills)
	in.Drills[block.Plays()] = document
	if block.Turns > 0 {
		document.Turns = block.Turns
	}
	return in, schedule.ForDrill(block.Drill, document, max(1, len(in.In(block))), d.Space, in.Settings).Minutes, nil
}

// Attendance is who turned up, and when that was seen.
type Attendance struct {
	Present []string   `json:"present" minItems:"1" maxItems:"12" description:"Identifiers of the students who are there from now on"`
	Second  float64    `json:"second,omitempty" minimum:"0" maximum:"86400" description:"Second of the lesson; 0 before it begins"`
	Space   load.Space `json:"space" description:"The courts there are from now on"`
}

// setAttendance plans the lesson anew, from a second on, for those who are there. What was played stays as it was,
// with those who played it: a block under way is cut where it stands and goes on with its balls counted on.
// The rest is fitted to the time that is left.
func setAttendance(
	ctx context.Context,
	d lesson.Document,
	t Attendance,
	fresh []string,
	in schedule.Inputs,
) (Edited, error) {
	everybody := slices.Clone(d.Students)
	for _, id := range t.Present {
		if !slices.Contains(everybody, id) {
			everybody = append(everybody, id)
		}
	}
	phrases := []string{}
	var blocks []lesson.Block
	begins := 0.0
	for _, block := range d.Blocks {
		ends := begins + block.Seconds()
		gone := t.Second - begins
		switch {
		case ends <= t.Second+60*lesson.ShortestBlock && t.Second > 0: // over, or as good as over
			blocks = append(blocks, block.Played(d.Students))
		// under way, and no room for a part of its own
		case gone >= 60*lesson.ShortestBlock && len(d.Blocks) >= lesson.MaxBlocks:
			blocks = append(blocks, block.ForThose(t.Present, everybody))
			phrases = append(
				phrases,
				fmt.Sprintf(
					"%s is not cut, because a lesson has at most %d blocks: those who are there now are planned for all of it.",
					block.Title,
					lesson.MaxBlocks,
				),
			)
		case gone >= 60*lesson.ShortestBlock && len(fresh) > 0: // under way
			played, rest := block.Cut(gone / 60)
			rest.ID, fresh = fresh[0], fresh[1:]
			blocks = append(blocks, played.Played(d.Students), rest.ForThose(t.Present, everybody))
			phrases = append(
				phrases,
				block.Title+" goes on from "+units.Elapsed(t.Second)+" with those who are there; what was counted counts on.",
			)
		default:
			blocks = append(blocks, block.ForThose(t.Present, everybody))
		}
		begins = ends
	}
	was := schedule.Prepare(d, in)
	d.Students, d.Blocks, d.Space = everybody, blocks, t.Space
	if len(d.Blocks) == 0 {
		return Edited{Document: d, Fits: true, Sentences: phrases, Drop: []string{}}, d.Check()
	}
	in.People = in.Known(everybody)
	needed(d, was, in)
	fitted, err := ShareOut(ctx, d, "", in)
	fitted.Sentences = append(phrases, fitted.Sentences...)
	return fitted, err
}

// needed has drills want no more minutes for those who are there now than they need, where before they needed more: the
// rest is not stood about.
func needed(d lesson.Document, was []schedule.Prepared, in schedule.Inputs) {
	for i, l := range schedule.Prepare(d, in) {
		b := &d.Blocks[i]
		at := slices.IndexFunc(was, func(l schedule.Prepared) bool { return l.Block.ID == b.ID })
		if at < 0 || !l.Drilled || b.Pinned || len(l.People) >= len(was[at].People) {
			continue
		}
		turns := b.TurnsOf(l.Document)
		before, now := math.Ceil(was[at].Need(turns, in)/60), math.Ceil(l.Need(turns, in)/60)
		if now < before && b.MinutesWanted() > now {
			b.Wanted = math.Max(now, b.MinutesWanted()-(before-now))
			least, most := b.Bounds()
			b.Max = math.Max(least, math.Min(most, b.Wanted))
		}
	}
}
