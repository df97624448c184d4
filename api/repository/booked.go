package repository

import (
	"context"
	"fmt"

	"hodometer/core/exchange/booking"
	"hodometer/core/lesson"
	"hodometer/core/lesson/diary"
	"hodometer/store"
)

// Apart says how a lesson differs from its booking; empty where it does not.
func Apart(b booking.Booking, d lesson.Document) string {
	if b.Cancelled {
		return "The booking was cancelled."
	}
	if b.Date == d.Date && b.Start == d.Start && b.Minutes == d.Minutes {
		return ""
	}
	return fmt.Sprintf("The lesson is planned for %s, %s, %d min.", d.Date, d.Start, d.Minutes)
}

// Booked finds what the calendars have as some lessons by now, by those lessons.
func (s *Repository) Booked(ctx context.Context, lessons ...string) (map[string]store.Kept, error) {
	kept, err := s.Store.BookingsOf(ctx, lessons, s.Today())
	list := map[string]store.Kept{}
	for _, k := range kept {
		list[k.Lesson] = k
	}
	return list, err
}

// Moved says what a calendar has that a lesson has not followed yet; nothing where that is the same. It is followed on
// the page of the calendar.
func Moved(k store.Kept, d lesson.Document) []string {
	switch {
	case Apart(k.Booking, d) == "":
		return []string{}
	case k.Cancelled:
		return []string{fmt.Sprintf("%s has cancelled it. Archive it under Lessons, Calendar.", k.From)}
	}
	return []string{
		fmt.Sprintf(
			"%s has it on %s, %s, %d min by now. Move it under Lessons, Calendar.",
			k.From,
			k.Date,
			k.Start,
			k.Minutes,
		),
	}
}

// Slots are when lessons are given.
func Slots(records []store.Record[lesson.Document]) []diary.Slot {
	list := make([]diary.Slot, len(records))
	for i, record := range records {
		list[i] = diary.SlotOf(record.ID, record.Document)
	}
	return list
}
