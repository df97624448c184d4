// Package diary is when lessons are given: weeks, and lessons that overlap.
package diary

import (
	"cmp"
	"fmt"
	"slices"
	"strings"
	"time"

	"hodometer/core/basics/units"
	"hodometer/core/lesson"
)

// Slot is when a lesson is given, and to whom.
type Slot struct {
	ID       string
	Title    string
	Date     string // year-month-day
	Start    string // hours:minutes
	Minutes  int
	Students []string
	Court    string // which court, in the coach's words; empty where that is not said
}

// SlotOf is when a lesson is given.
func SlotOf(id string, d lesson.Document) Slot {
	return Slot{
		ID:       id,
		Title:    d.Title,
		Date:     d.Date,
		Start:    d.Start,
		Minutes:  d.Minutes,
		Students: d.Students,
		Court:    strings.TrimSpace(d.Space.Name),
	}
}

// span is the beginning and the end of a slot; false where its day or time cannot be read.
func (s Slot) span() (from, to time.Time, ok bool) {
	from, err := time.Parse("2006-01-02 15:04", s.Date+" "+s.Start)
	return from, from.Add(time.Duration(s.Minutes) * time.Minute), err == nil
}

// Clashes says which of the others a lesson overlaps with: one coach cannot give both, and perhaps a student or
// a court is in both. Names are those of the students by identifier.
func (s Slot) Clashes(others []Slot, names map[string]string) []string {
	phrases := []string{}
	from, to, ok := s.span()
	for _, other := range others {
		begins, ends, readable := other.span()
		if !ok || !readable || other.ID == s.ID || !begins.Before(to) || !from.Before(ends) {
			continue
		}
		var both []string
		for _, id := range s.Students {
			if slices.Contains(other.Students, id) {
				both = append(both, cmp.Or(names[id], "a student"))
			}
		}
		day := ""
		if other.Date != s.Date {
			day = other.Date + " "
		}
		phrase := fmt.Sprintf(
			"Overlaps with %s, %s%s to %s",
			other.Title,
			day,
			other.Start,
			units.TimeOfDay(other.Start, 60*float64(other.Minutes)),
		)
		if len(both) > 0 {
			phrase += "; " + units.And(both) + map[bool]string{true: " is", false: " are"}[len(both) == 1] + " in both"
		}
		if s.Court != "" && strings.EqualFold(s.Court, other.Court) {
			phrase += "; both are on court " + s.Court
		}
		phrases = append(phrases, phrase+".")
	}
	return phrases
}
