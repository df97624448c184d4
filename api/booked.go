package api

import (
	"context"
	"fmt"

	"hodometer/core/exchange/booking"
	"hodometer/core/lesson"
	"hodometer/store"
)

// apart says how a lesson differs from its booking; empty where it does not.
func apart(b booking.Booking, d lesson.Document) string {
	if b.Cancelled {
		return "The booking was cancelled."
	}
	if b.Date == d.Date && b.Start == d.Start && b.Minutes == d.Minutes {
		return ""
	}
	return fmt.Sprintf("The lesson is planned for %s, %s, %d min.", d.Date, d.Start, d.Minutes)
}

// booked finds what the calendars have as some lessons by now, by those lessons.
func (s *server) booked(ctx context.Context, lessons ...string) (map[string]store.Kept, error) {
	kept, err := s.store.BookingsOf(ctx, lessons, s.today())
	list := map[string]store.Kept{}
	for _, k := range kept {
		list[k.Lesson] = k
	}
	return list, err
}

// moved says what a calendar has that a lesson has not followed yet; nothing where that is the same. It is followed on the page of the calendar.
func moved(k store.Kept, d lesson.Document) []string {
	switch {
	case apart(k.Booking, d) == "":
		return []string{}
	case k.Cancelled:
		return []string{fmt.Sprintf("%s has cancelled it. Archive it under Lessons, Calendar.", k.From)}
	}
	return []string{fmt.Sprintf("%s has it on %s, %s, %d min by now. Move it under Lessons, Calendar.", k.From, k.Date, k.Start, k.Minutes)}
}
