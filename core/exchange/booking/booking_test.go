package booking_test

import (
	"fmt"
	"slices"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/exchange/booking"
	"hodometer/core/exchange/roster"
	"hodometer/core/people/student"
	"hodometer/internal/long"
)

func TestStudentsAreFoundByTheirNames(t *testing.T) {
	known := []roster.Known{}
	for i, name := range []string{"Noor Haldane", "Teo Brackwell", "Zoë Marsh", "Zoe Lund", "Ann"} {
		known = append(known, roster.Known{ID: fmt.Sprint(i), Profile: student.Profile{Name: name}})
	}
	for text, want := range map[string][]string{
		"Noor & Teo":                  {"0", "1"},
		"Lesson: HALDANE, Noor":       {"0"},
		"Zoë":                         {}, // there are two
		"zoe marsh (court 2)":         {"2"},
		"Zoe L. and Noor":             {"0", "3"},
		"Annual meeting, bring Annie": {},
		"":                            {},
	} {
		require.Equal(t, want, booking.Named(text, known), text)
	}
}

func one(uid, instance, date, start string) booking.Booking {
	return booking.Booking{UID: uid, Instance: instance, Title: "Juniors", Date: date, Start: start, Minutes: 60}
}

func TestACalendarThatIsReadAgainChangesWhatItBrought(t *testing.T) {
	kept := []booking.Stored{
		{ID: "past", Booking: one("a", "1", "2026-03-02", "16:00")},
		{ID: "same", Booking: one("a", "2", "2026-03-10", "16:00")},
		{ID: "moved", Booking: one("a", "3", "2026-03-17", "16:00"), Lesson: "l"},
		{ID: "gone", Booking: one("b", "", "2026-03-18", "16:00")},
	}
	moved := one("a", "3", "2026-03-19", "17:30")
	moved.Students = []string{"noor"}
	changes := booking.Reconcile(
		kept,
		[]booking.Booking{
			one("a", "2", "2026-03-10", "16:00"),
			moved,
			one("c", "", "2026-03-20", "10:00"),
			one("d", "", "2026-03-01", "10:00"),
		},
		"2026-03-10",
	)
	said := map[string]booking.Kind{}
	for _, c := range changes {
		said[c.ID+c.UID] = c.Kind
		if c.ID == "moved" {
			require.Equal(t, "17:30", c.Start)
			require.Equal(t, "16:00", c.Before.Start)
			require.Equal(t, "l", c.Lesson, "it stays the lesson's")
			require.Empty(t, c.Students, "who is in a lesson is the coach's")
		}
	}
	require.Equal(
		t,
		map[string]booking.Kind{
			"samea":  booking.Same,
			"moveda": booking.Changed,
			"goneb":  booking.Cancelled,
			"c":      booking.New,
		},
		said,
	)

	// The series moves from Tuesday to Wednesday: each is still itself, by its week.
	changes = booking.Reconcile(
		kept[1:3],
		[]booking.Booking{one("a", "x", "2026-03-11", "15:00"), one("a", "y", "2026-03-18", "15:00")},
		"2026-03-10",
	)
	require.Equal(t, []string{"same", "moved"}, []string{changes[0].ID, changes[1].ID})
}

// However often and in whatever order the same calendar is read, nothing changes the second time and nothing is there
// twice.
func TestReadAgainNothingDoubles(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		draw := func(name string) []booking.Booking {
			list := rapid.SliceOfNDistinct(rapid.Custom(func(t *rapid.T) booking.Booking {
				b := one(
					rapid.SampledFrom([]string{"a", "b"}).Draw(t, "uid"),
					fmt.Sprint(rapid.IntRange(1, 6).Draw(t, "instance")),
					fmt.Sprintf("2026-03-%02d", rapid.IntRange(8, 28).Draw(t, "day")),
					"16:00",
				)
				b.Cancelled = rapid.IntRange(0, 4).Draw(t, "cancelled") == 0
				return b
			}), 0, 8, func(b booking.Booking) string { return b.UID + b.Instance }).Draw(t, name)
			return list
		}
		first, second := draw("first"), draw("second")
		keep := func(kept []booking.Stored, changes []booking.Change) []booking.Stored {
			for _, c := range changes {
				if c.Kind == booking.New {
					c.ID = fmt.Sprint(len(kept))
					kept = append(kept, c.Stored)
					continue
				}
				i := slices.IndexFunc(kept, func(s booking.Stored) bool { return s.ID == c.ID })
				kept[i] = c.Stored
			}
			return kept
		}
		kept := keep(nil, booking.Reconcile(nil, first, "2026-03-10"))
		kept = keep(kept, booking.Reconcile(kept, second, "2026-03-10"))
		before := len(kept)
		slices.Reverse(second)
		for _, c := range booking.Reconcile(kept, second, "2026-03-10") {
			require.Equal(t, booking.Same, c.Kind, "%+v", c)
		}
		require.Equal(t, before, len(kept))
		// What stands is what the calendar says.
		want, got := []string{}, []string{}
		for _, b := range second {
			if !b.Cancelled && b.Date >= "2026-03-10" {
				want = append(want, b.UID+b.Instance+b.Date)
			}
		}
		for _, s := range kept {
			if !s.Cancelled && s.Date >= "2026-03-10" {
				got = append(got, s.UID+s.Instance+s.Date)
			}
		}
		require.ElementsMatch(t, want, got)
	})
}
