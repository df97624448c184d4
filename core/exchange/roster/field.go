// Package roster reads students, and who was there, out of tables as people keep them: which column is what, what a
// cell means, who is known already, and what is wrong, row by row.
package roster

import (
	"slices"
	"strings"
	"time"
)

// Field is what a column of a table of students is about.
type Field string

// What a column can be about.
const (
	Unused    Field = "not used"
	Name      Field = "name"
	FirstName Field = "first name"
	LastName  Field = "last name"
	Birthday  Field = "birthday"
	Age       Field = "age"
	Sport     Field = "sport"
	Level     Field = "level"
	Hand      Field = "racket hand"
	Backhand  Field = "backhand"
	Objective Field = "works towards"
	Hurts     Field = "what hurts"
	Note      Field = "note"
)

// headings are what columns are called, folded; what stands first is looked for first.
var headings = []struct {
	field Field
	words []string
}{
	{FirstName, []string{"first name", "first", "forename", "given name", "firstname"}},
	{LastName, []string{"last name", "last", "surname", "family name", "lastname"}},
	{Birthday, []string{"birthday", "date of birth", "birth date", "dob", "born", "birth year", "year of birth"}},
	{Age, []string{"age", "age group", "age band", "years"}},
	{Backhand, []string{"backhand", "bh"}},
	{Hand, []string{"racket hand", "hand", "plays with", "playing hand", "handed"}},
	{Level, []string{"level", "level or ball stage", "ball stage", "ball", "stage", "standard", "grade"}},
	{Sport, []string{"sport", "game"}},
	{Objective, []string{"works towards", "objective", "goal", "aim", "target"}},
	{Hurts, []string{"what hurts", "hurts", "injury", "injuries", "pain", "medical"}},
	{Note, []string{"note", "notes", "remark", "remarks", "comment", "comments"}},
	{
		Name,
		[]string{
			"name",
			"full name",
			"student",
			"player",
			"pupil",
			"junior",
			"member",
			"student name",
			"player name",
			"child",
		},
	},
}

// called is the field that a heading names; Unused where it names none.
func called(heading string) Field {
	folded := Fold(heading)
	if folded == "" {
		return Unused
	}
	for _, h := range headings {
		if slices.Contains(h.words, folded) {
			return h.field
		}
	}
	// A word of it, as in "Level (ball)".
	words := strings.Fields(folded)
	for _, h := range headings {
		if slices.ContainsFunc(h.words, func(word string) bool { return slices.Contains(words, word) }) {
			return h.field
		}
	}
	return Unused
}

// heads says whether a row is one of headings: one of its cells names a field, and none is what only a student's row
// has.
func heads(row []string, today time.Time) bool {
	named := false
	for _, cell := range row {
		_, sport := sportOf(cell)
		_, hand := handOf(cell)
		if isDay(cell, today) || sport || hand {
			return false
		}
		named = named || called(cell) != Unused
	}
	return named
}

// likely is the field that the cells of a column without a heading look like; Unused where they look like none.
func likely(cells []string, today time.Time) Field {
	looks := []struct {
		field Field
		is    func(cell string) bool
	}{
		{Birthday, func(cell string) bool { return isDay(cell, today) }},
		{Hand, func(cell string) bool { _, ok := handOf(cell); return ok }},
		{Backhand, func(cell string) bool { _, ok := backhandOf(cell); return ok }},
		{Sport, func(cell string) bool { _, ok := sportOf(cell); return ok }},
		{Level, func(cell string) bool { _, ok := levelOf(cell); return ok }},
		{Age, func(cell string) bool { _, ok := ageOf(cell); return ok }},
		{Name, func(cell string) bool {
			n := len(strings.Fields(cell))
			return n >= 1 && n <= 4 && !strings.ContainsAny(cell, "0123456789@")
		}},
	}
	for _, look := range looks {
		filled, fits := 0, 0
		for _, cell := range cells {
			if cell == "" {
				continue
			}
			filled++
			if look.is(cell) {
				fits++
			}
		}
		if filled > 0 && 5*fits >= 4*filled {
			return look.field
		}
	}
	return Unused
}
