// Package lesson is a lesson as a document: its blocks, who is in them, and what is different for single students.
package lesson

import (
	"cmp"
	"slices"
	"strings"
	"time"

	"hodometer/core/basics/invalid"
	"hodometer/core/drill"
	"hodometer/core/drill/load"
	"hodometer/core/drill/rotation"
	"hodometer/core/sport/feed"
)

// FormatVersion is the version of the document's format that this code reads and writes.
const FormatVersion = 4

// MaxMinutes is the longest that a block can be.
const MaxMinutes = 240

// MaxBlocks is how many blocks a lesson can have.
const MaxBlocks = 20

// The days on which lessons can be given.
const (
	firstDay = "2000-01-01"
	lastDay  = "2099-12-31"
)

// Call is something to say at a minute of its block.
type Call struct {
	Minute float64 `json:"minute" minimum:"0" maximum:"240" description:"Minutes after the block begins"`
	Text   string  `json:"text" minLength:"1" maxLength:"200"`
}

// Block is one part of a lesson.
type Block struct {
	ID       string                `json:"id" format:"uuid"`
	Kind     Kind                  `json:"kind"`
	Title    string                `json:"title" minLength:"1" maxLength:"80"`
	Minutes  float64               `json:"minutes" minimum:"0.5" maximum:"240"`
	Effort   int                   `json:"effort" minimum:"0" maximum:"10" description:"How hard it is, out of ten"`
	Drill    string                `json:"drill,omitempty" format:"uuid" description:"Of a drill block: which drill; of technique and serving: by which it is counted"`
	Version  string                `json:"version,omitempty" maxLength:"60" description:"Which version of the drill; empty: as written"`
	Steps    []feed.Transformation `json:"steps,omitempty" maxItems:"6" description:"What is changed in its drill on the spot: the other wing, balls less"`
	Size     float64               `json:"size,omitempty" minimum:"0" maximum:"8" description:"The targets of its drill so many times as large, on the spot; 0: as they are"`
	Game     string                `json:"game,omitempty" format:"uuid" description:"Of a game block: which game; empty: any"`
	Turns    int                   `json:"turns,omitempty" minimum:"1" maximum:"100" description:"Turns for each player, where they differ from the drill's"`
	Lines    int                   `json:"lines,omitempty" minimum:"0" maximum:"6" description:"Of a drill in lines: how many side by side; 0: one"`
	OnDeck   string                `json:"onDeck,omitempty" maxLength:"120" description:"What those who wait do"`
	Calls    []Call                `json:"calls" maxItems:"30"`
	Rotation *rotation.Form        `json:"rotation,omitempty" description:"How the group changes places"`

	Wanted float64    `json:"wanted,omitempty" minimum:"0" maximum:"240" description:"Minutes it should have; 0: what it has"`
	Min    float64    `json:"min,omitempty" minimum:"0" maximum:"240" description:"Fewest minutes that make sense; 0: what is usual for its kind"`
	Max    float64    `json:"max,omitempty" minimum:"0" maximum:"240"`
	Step   LengthStep `json:"step,omitempty" description:"What lengths it comes in"`
	Weight int        `json:"weight,omitempty" minimum:"0" maximum:"5" description:"How much its minutes matter, 1 to 5; 0: what is usual for its kind"`
	Pinned bool       `json:"pinned,omitempty" description:"Fitting leaves it as it is"`

	People    []string  `json:"people,omitempty" maxItems:"12" description:"Who of the students is in it; empty: all"`
	Continues string    `json:"continues,omitempty" format:"uuid" description:"The block it goes on from after somebody came or left, or the drill was changed: balls are counted on"`
	Anew      bool      `json:"anew,omitempty" description:"It goes on from another block, but is counted anew: what was counted there was another drill"`
	Variants  []Variant `json:"variants,omitempty" maxItems:"12" description:"What is different for single students"`
}

// Hushed is a finding that a coach leaves as it is, for a reason.
type Hushed struct {
	Block string `json:"block,omitempty" maxLength:"40" description:"Identifier of the block that it is about; empty: of the lesson"`
	About string `json:"about" minLength:"1" maxLength:"300" description:"What it is about; see the finding"`
	Why   string `json:"why" maxLength:"200"`
}

// Plays is the key of what a block plays among the drills and games that a lesson is planned with: the drill or the
// game, and which version of it.
func (b Block) Plays() string {
	what := cmp.Or(b.Drill, b.Game)
	if b.Version != "" {
		what += "#" + b.Version
	}
	if b.Changed() != "" {
		what += "#" + b.ID
	}
	return what
}

// At is which block is on at a second of the lesson, and how many seconds of it are gone; the last one where the lesson
// is over, -1 where there is none.
func (d Document) At(second float64) (block int, gone float64) {
	for i, b := range d.Blocks {
		if second < b.Seconds() || i == len(d.Blocks)-1 {
			return i, max(0, second)
		}
		second -= b.Seconds()
	}
	return -1, 0
}

// Document is a lesson.
type Document struct {
	FormatVersion int        `json:"version" minimum:"4" maximum:"4" description:"Of the format of this document"`
	Title         string     `json:"title" minLength:"1" maxLength:"80"`
	Date          string     `json:"date" format:"date" description:"Year-month-day"`
	Start         string     `json:"start" pattern:"^([01][0-9]|2[0-3]):[0-5][0-9]$" description:"Hours:minutes where the lesson is given"`
	Minutes       int        `json:"minutes" minimum:"5" maximum:"600" description:"Length of the booking"`
	Students      []string   `json:"students" minItems:"1" maxItems:"12"`
	Space         load.Space `json:"space" description:"The courts there are"`
	Blocks        []Block    `json:"blocks" maxItems:"20"`
	Note          string     `json:"note" maxLength:"2000"`
	Hushed        []Hushed   `json:"hushed,omitempty" maxItems:"40" description:"Findings that the coach knows of and leaves as they are"`
}

// Day is the day of a lesson; the zero time where its date is none.
func (d Document) Day() time.Time {
	day, err := time.Parse(time.DateOnly, d.Date)
	if err != nil {
		return time.Time{}
	}
	return day
}

// Begins is when a lesson begins by its plan where the coach's clock is; false where its date or its time is none.
func (d Document) Begins(where *time.Location) (time.Time, bool) {
	at, err := time.ParseInLocation(time.DateOnly+" 15:04", d.Date+" "+d.Start, where)
	return at, err == nil
}

// Check says what is wrong with a lesson beyond its shape.
func (d Document) Check() error {
	var wrong invalid.Fields
	if strings.TrimSpace(d.Title) == "" {
		wrong.Add("title", "give the lesson a title")
	}
	if _, err := time.Parse(time.DateOnly, d.Date); err != nil {
		wrong.Add("date", "%q is not a day; write it as year-month-day, 2026-03-09", d.Date)
	} else if d.Date < firstDay || d.Date > lastDay {
		wrong.Add("date", "between %s and %s", firstDay, lastDay)
	}
	if n := len(d.Blocks); n > MaxBlocks {
		wrong.Add("blocks", "a lesson has at most %d blocks, and these are %d; take one out first", MaxBlocks, n)
	}
	if len(d.Students) == 0 {
		wrong.Add("students", "choose at least one student")
	}
	for i, id := range d.Students {
		if slices.Index(d.Students, id) < i {
			wrong.Add(invalid.Join("students", i), "this student is in the lesson already")
		}
	}
	for i, block := range d.Blocks {
		wrong.Under(invalid.Join("blocks", i), block.check())
		if slices.IndexFunc(d.Blocks, func(b Block) bool { return b.ID == block.ID }) < i {
			wrong.Add(invalid.Join("blocks", i, "id"), "another block has this identifier already")
		}
	}
	return wrong.Err()
}

func (b Block) check() error {
	var wrong invalid.Fields
	if strings.TrimSpace(b.Title) == "" {
		wrong.Add("title", "give the block a title")
	}
	if b.Kind.Drilled() && b.Drill == "" {
		wrong.Add("drill", "choose a drill for this block")
	}
	if !b.Kind.Counts() && b.Drill != "" {
		wrong.Add("drill", "a drill is played in a block for drills, points, technique or serving")
	}
	if b.Game != "" && b.Kind != Game {
		wrong.Add("game", "a game is played in a block for games")
	}
	for i, call := range b.Calls {
		if call.Minute > b.Minutes {
			wrong.Add(invalid.Join("calls", i, "minute"), "the block is over after %g min", b.Minutes)
		}
	}
	if b.Rotation != nil {
		wrong.Under("rotation", b.Rotation.Check())
	}
	if least, most := b.Bounds(); least > most {
		wrong.Add("min", "the least, %g min, is more than the most, %g min", least, most)
	}
	if b.Step == WholeRotations && b.Rotation == nil {
		wrong.Add("step", "without a rotation there are no whole rotations")
	}
	for i, v := range b.Variants {
		for k, g := range v.Goals {
			wrong.Under(invalid.Join("variants", i, "goals", k, "goals"), g.Goals.Check())
		}
	}
	return wrong.Err()
}

// Seconds is the length of the block.
func (b Block) Seconds() float64 { return b.Minutes * 60 }

// CountedAs is the block under which its balls are counted: its own, or the one it goes on from.
func (b Block) CountedAs() string {
	if b.Continues != "" && !b.Anew {
		return b.Continues
	}
	return b.ID
}

// TurnsOf is how many turns each player has in the block.
func (b Block) TurnsOf(d drill.Document) int {
	if b.Turns > 0 {
		return b.Turns
	}
	return d.Turns
}
