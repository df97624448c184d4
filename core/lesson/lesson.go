// Package lesson lays a lesson on the clock, says what fits, and writes the run sheet.
package lesson

import (
	"slices"
	"strings"
	"time"

	"hodometer/core/invalid"
)

// Version is the version of the document that this code reads and writes.
const Version = 1

// Kind is a kind of block.
type Kind string

// The kinds of block.
const (
	Body  Kind = "body warm-up"
	Ball  Kind = "ball warm-up"
	Drill Kind = "drill"
	Break Kind = "break"
	Talk  Kind = "closing talk"
)

// Enum lists the kinds for the schema.
func (Kind) Enum() []any { return []any{Body, Ball, Drill, Break, Talk} }

// Call is something to say at a minute of its block.
type Call struct {
	Minute float64 `json:"minute" minimum:"0" maximum:"240" description:"Minutes after the block begins"`
	Say    string  `json:"say" minLength:"1" maxLength:"200"`
}

// Block is one stretch of a lesson.
type Block struct {
	ID      string   `json:"id" format:"uuid"`
	Kind    Kind     `json:"kind"`
	Title   string   `json:"title" minLength:"1" maxLength:"80"`
	Minutes float64  `json:"minutes" minimum:"0.5" maximum:"240"`
	Effort  int      `json:"effort" minimum:"0" maximum:"10" description:"How hard it is, out of ten"`
	Drill   string   `json:"drill,omitempty" format:"uuid" description:"Of a drill block: which drill"`
	Turns   int      `json:"turns,omitempty" minimum:"1" maximum:"100" description:"Turns for each player, where they differ from the drill's"`
	Calls   []Call   `json:"calls" maxItems:"30"`
	Roles   []string `json:"roles" maxItems:"4" description:"Roles of a pair, swapped"`
	Swap    float64  `json:"swap,omitempty" minimum:"0.5" maximum:"60" description:"Minutes between role swaps"`
}

// Document is a lesson.
type Document struct {
	Version  int      `json:"version" minimum:"1" maximum:"1"`
	Title    string   `json:"title" minLength:"1" maxLength:"80"`
	Date     string   `json:"date" format:"date" description:"Year-month-day"`
	Start    string   `json:"start" pattern:"^([01][0-9]|2[0-3]):[0-5][0-9]$" description:"Hours:minutes where the lesson is given"`
	Minutes  int      `json:"minutes" minimum:"5" maximum:"600" description:"Length of the booking"`
	Students []string `json:"students" minItems:"1" maxItems:"4"`
	Blocks   []Block  `json:"blocks" maxItems:"20"`
	Note     string   `json:"note" maxLength:"2000"`
}

const longestRole = 60

// Check says what is wrong with a lesson beyond its shape.
func (d Document) Check() error {
	var wrong invalid.Fields
	if strings.TrimSpace(d.Title) == "" {
		wrong.Add("title", "give the lesson a title")
	}
	if _, err := time.Parse(time.DateOnly, d.Date); err != nil {
		wrong.Add("date", "%q is not a day; write it as year-month-day, 2026-03-09", d.Date)
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
	if b.Kind == Drill && b.Drill == "" {
		wrong.Add("drill", "choose a drill for this block")
	}
	if b.Kind != Drill && b.Drill != "" {
		wrong.Add("drill", "only a drill block has a drill")
	}
	for i, call := range b.Calls {
		if call.Minute >= b.Minutes {
			wrong.Add(invalid.Join("calls", i, "minute"), "the block is over after %g min", b.Minutes)
		}
	}
	for i, role := range b.Roles {
		if strings.TrimSpace(role) == "" || len([]rune(role)) > longestRole {
			wrong.Add(invalid.Join("roles", i), "a role is 1 to %d characters", longestRole)
		}
	}
	if len(b.Roles) > 0 && b.Swap == 0 {
		wrong.Add("swap", "say after how many minutes the roles swap")
	}
	return wrong.Err()
}

// Seconds is the length of the block.
func (b Block) Seconds() float64 { return b.Minutes * 60 }
