// Package booking is what a club's or a school's calendar says of lessons to come: bookings, which are read again and
// again, and become lessons.
package booking

import (
	"slices"
	"strings"

	"hodometer/core/exchange/roster"
	"hodometer/core/people/student"
)

// Booking is an entry of a calendar, or one of a series.
type Booking struct {
	UID       string   `json:"uid" description:"Of the entry in its calendar"`
	Instance  string   `json:"instance" description:"Which one of a series: when it was to begin at first, in UTC; empty for an entry that stands alone"`
	Title     string   `json:"title"`
	Date      string   `json:"date" format:"date"`
	Start     string   `json:"start" description:"Hours:minutes where the lesson is given"`
	Minutes   int      `json:"minutes"`
	Cancelled bool     `json:"cancelled"`
	Students  []string `json:"students" description:"Those of the coach's students whose names are in it"`
}

// Stored is a booking as it is kept.
type Stored struct {
	ID string
	Booking
	Lesson  string // what it became; empty: nothing yet
	Ignored bool   // the coach does not want it
}

// Named lists those of some students whose names stand in a text: the whole name, or what nobody else of them is
// called. Marks, capitals and punctuation do not matter. The order is that of the students.
func Named(text string, known []roster.Known) []string {
	words := strings.Fields(roster.Fold(text))
	names := make([]string, len(known))
	for i, k := range known {
		names[i] = roster.Fold(k.Profile.Name)
	}
	found := []string{}
	whole := " " + strings.Join(words, " ") + " "
	for i, short := range student.ShortNames(names) {
		if stands(whole, names[i]) || stands(whole, roster.Fold(short)) {
			found = append(found, known[i].ID)
		}
	}
	return found
}

func stands(whole, name string) bool { return name != "" && strings.Contains(whole, " "+name+" ") }

// Change is what reading a calendar again comes to for one booking.
type Change struct {
	Stored // as it is from now on; of one that is new, without an identifier
	Kind   Kind
	Before *Booking // nil for one that is new
}

// Kind is what becomes of a booking.
type Kind string

// What can become of it.
const (
	New       Kind = "new"
	Changed   Kind = "changed"
	Cancelled Kind = "cancelled"
	Same      Kind = "same"
)

// Reconcile holds what is kept of a calendar against what it says now. An entry is the same one by its identifier and
// by which one of its series it is. One of a series whose time was changed as a whole is known by its day, else by its
// week. What is not in the calendar any more is cancelled. What was before a day is left as it is. Nothing is there
// twice, however often it is read.
func Reconcile(kept []Stored, read []Booking, from string) []Change {
	left := slices.DeleteFunc(slices.Clone(kept), func(s Stored) bool { return s.Date < from })
	coming := slices.DeleteFunc(slices.Clone(read), func(b Booking) bool { return b.Date < from })
	changes := []Change{}
	pair := func(same func(Stored, Booking) bool) {
		coming = slices.DeleteFunc(coming, func(b Booking) bool {
			i := slices.IndexFunc(left, func(s Stored) bool { return s.UID == b.UID && same(s, b) })
			if i < 0 {
				return false
			}
			changes = append(changes, changed(left[i], b))
			left = slices.Delete(left, i, i+1)
			return true
		})
	}
	pair(func(s Stored, b Booking) bool { return s.Instance == b.Instance })
	pair(func(s Stored, b Booking) bool { return s.Date == b.Date })
	pair(func(s Stored, b Booking) bool { return week(s.Date) == week(b.Date) })
	for _, s := range left {
		gone := s.Booking
		gone.Cancelled = true
		changes = append(changes, changed(s, gone))
	}
	for _, b := range coming {
		if !b.Cancelled {
			changes = append(changes, Change{Stored: Stored{Booking: b}, Kind: New})
		}
	}
	slices.SortStableFunc(changes, func(a, b Change) int { return strings.Compare(a.Date+a.Start, b.Date+b.Start) })
	return changes
}

// changed is a booking that is kept, as its calendar has it now. Who is in it stays as the coach chose once it became a
// lesson.
func changed(s Stored, now Booking) Change {
	before := s.Booking
	c := Change{Stored: s, Kind: Same, Before: &before}
	c.Booking = now
	if s.Lesson != "" {
		c.Students = s.Students
	}
	switch {
	case now.Cancelled && !before.Cancelled:
		c.Kind = Cancelled
	case now.Cancelled != before.Cancelled,
		now.Title != before.Title,
		now.Date != before.Date,
		now.Start != before.Start,
		now.Minutes != before.Minutes,
		!slices.Equal(c.Students, before.Students):
		c.Kind = Changed
	}
	return c
}
