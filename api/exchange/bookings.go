package exchange

import (
	"context"

	"hodometer/api/repository"
	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/core/exchange/booking"
	"hodometer/core/lesson"
	"hodometer/core/lesson/editing"
	"hodometer/core/lesson/plan"
	"hodometer/store"
)

// Booking is a booking from now on.
type Booking struct {
	booking.Booking
	ID       string `json:"id" format:"uuid"`
	Calendar string `json:"calendar" description:"Its name"`
	Lesson   string `json:"lesson" description:"What it became; empty: nothing yet"`
	Ignored  bool   `json:"ignored"`
	Apart    string `json:"apart" description:"How the lesson differs from it, in words; empty where it does not"`
}

// Bookings are the bookings from today on.
type Bookings struct {
	Calendars []CalendarFrom `json:"calendars"`
	Bookings  []Booking      `json:"bookings"`
}

// BookingChange is what a coach does with a booking.
type BookingChange struct {
	Students []string `json:"students,omitempty" maxItems:"12" description:"Who comes"`
	Lesson   string   `json:"lesson,omitempty" format:"uuid" description:"What it became"`
	Ignored  *bool    `json:"ignored,omitempty"`
}

func (s *Exchange) bookings(ctx context.Context, _ request.None, _ request.None) (Bookings, error) {
	calendars, err := s.Store.Calendars(ctx)
	if err != nil {
		return Bookings{}, err
	}
	answer := Bookings{Calendars: make([]CalendarFrom, len(calendars)), Bookings: []Booking{}}
	for i, c := range calendars {
		answer.Calendars[i] = asCalendar(c)
	}
	kept, err := s.Store.Bookings(ctx, s.Today())
	if err != nil {
		return Bookings{}, err
	}
	var ids []string
	for _, k := range kept {
		if k.Lesson != "" {
			ids = append(ids, k.Lesson)
		}
	}
	lessons, err := s.Store.Lessons.Some(ctx, ids)
	if err != nil {
		return Bookings{}, err
	}
	for _, k := range kept {
		b := Booking{Booking: k.Booking, ID: k.ID, Calendar: k.From, Lesson: k.Lesson, Ignored: k.Ignored}
		if record, is := lessons[k.Lesson]; is && !record.Archived {
			b.Apart = repository.Apart(k.Booking, record.Document)
		}
		answer.Bookings = append(answer.Bookings, b)
	}
	return answer, nil
}

func (s *Exchange) changeBooking(ctx context.Context, p request.ByID, body BookingChange) (request.None, error) {
	k, err := s.Store.Booking(ctx, p.ID)
	if err != nil {
		return request.None{}, err
	}
	if body.Students != nil {
		k.Students = body.Students
	}
	if body.Lesson != "" {
		if _, err := s.Store.Lessons.Get(ctx, body.Lesson); err != nil {
			return request.None{}, err
		}
		k.Lesson = body.Lesson
	}
	if body.Ignored != nil {
		k.Ignored = *body.Ignored
	}
	return request.None{}, s.Store.KeepBooking(ctx, k)
}

// moveBooked moves a lesson to where its booking is by now, and fits its blocks to another length. Of a booking that
// was cancelled it archives the lesson.
func (s *Exchange) moveBooked(ctx context.Context, p request.ByID, _ request.None) (plan.Lesson, error) {
	k, err := s.Store.Booking(ctx, p.ID)
	if err != nil {
		return plan.Lesson{}, err
	}
	record, err := s.Store.Lessons.Get(ctx, k.Lesson)
	if err != nil {
		return plan.Lesson{}, err
	}
	begun, err := s.Store.Begun(ctx, []string{record.ID})
	if err != nil {
		return plan.Lesson{}, err
	}
	if _, is := begun[record.ID]; is {
		return plan.Lesson{}, invalid.Fields{{Path: "lesson", Message: "it was begun already"}}
	}
	if k.Cancelled {
		record, err = s.Store.Lessons.Archive(ctx, record.ID, true)
	} else {
		record, err = s.rebooked(ctx, record, k.Booking)
	}
	if err != nil {
		return plan.Lesson{}, err
	}
	return s.Lesson(ctx, record)
}

func (s *Exchange) rebooked(
	ctx context.Context,
	record store.Record[lesson.Document],
	b booking.Booking,
) (store.Record[lesson.Document], error) {
	d := record.Document
	d.Date, d.Start = b.Date, b.Start
	if d.Minutes != b.Minutes {
		in, err := s.Inputs(ctx, d)
		if err != nil {
			return record, err
		}
		ids, err := repository.Fresh(2)
		if err != nil {
			return record, err
		}
		edited, err := editing.Apply(ctx, d, editing.Edit{Kind: editing.SetBooking, Minutes: float64(b.Minutes)}, ids, in)
		if err != nil {
			return record, err
		}
		d = edited.Document
	}
	if err := d.Check(); err != nil {
		return record, err
	}
	return s.Store.Lessons.Replace(ctx, record.ID, record.Revision, d)
}
