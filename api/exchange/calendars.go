package exchange

import (
	"context"
	"errors"
	"fmt"
	"net"
	"slices"
	"strings"
	"sync"
	"time"

	"github.com/google/uuid"

	"hodometer/api/door"
	"hodometer/api/request"
	"hodometer/calendar"
	"hodometer/core/basics/invalid"
	"hodometer/core/exchange/booking"
	"hodometer/core/exchange/roster"
	"hodometer/store"
)

const (
	// How far bookings are taken, in days from today.
	bookingsBack, bookingsAhead = 1, 400
	// What a calendar program is shown, in days from today.
	feedBack, feedAhead = 60, 400
	// readEvery is how often a calendar at an address is read again while Hodometer runs.
	readEvery = 15 * time.Minute
)

// CalendarFrom is where bookings come from.
type CalendarFrom struct {
	ID      string    `json:"id" format:"uuid"`
	Name    string    `json:"name"`
	Address string    `json:"address" description:"Where it is read; empty: from a file"`
	At      time.Time `json:"at" description:"When it was read last"`
	Wrong   string    `json:"wrong" description:"Why it could not be read the last time; empty where it could"`
}

// CalendarRead is what reading a calendar came to.
type CalendarRead struct {
	Calendar  CalendarFrom `json:"calendar"`
	New       int          `json:"new"`
	Changed   int          `json:"changed"`
	Cancelled int          `json:"cancelled"`
	Same      int          `json:"same"`
	Left      []string     `json:"left" description:"Entries that are no bookings, and why"`
}

// CalendarAt is the address of a calendar.
type CalendarAt struct {
	Address string `json:"address" minLength:"1" maxLength:"2000"`
}

// fileNamed is the parameter of a file with a name.
type fileNamed struct {
	Name string `query:"name" description:"What the file is called"`
}

func (s *Exchange) calendarRoutes() []request.Route {
	return []request.Route{
		request.Make(
			"GET",
			"/api/bookings",
			"listBookings",
			"The bookings from today on, and where they come from",
			s.bookings,
		),
		request.Make(
			"PUT",
			"/api/bookings/:id",
			"changeBooking",
			"Say who comes, what it became, or that it is not wanted",
			s.changeBooking,
		),
		request.Make(
			"POST",
			"/api/bookings/:id/move",
			"moveBookedLesson",
			"Move the lesson of a booking to where the calendar has it",
			s.moveBooked,
		),
		request.Make(
			"POST",
			"/api/calendars/file",
			"readCalendarFile",
			"Read the bookings of an .ics file; the same calendar again changes what it brought",
			func(ctx context.Context, p fileNamed, body request.File) (CalendarRead, error) {
				return s.readCalendarFile(ctx, p.Name, body)
			},
		),
		request.Make(
			"POST",
			"/api/calendars",
			"connectCalendar",
			"Read a calendar at an address, now and from time to time",
			func(ctx context.Context, _ request.None, body CalendarAt) (CalendarRead, error) {
				return s.connectCalendar(ctx, body.Address)
			},
		),
		request.Make(
			"POST",
			"/api/calendars/simulated",
			"simulateClub",
			"Start a stand-in for a club's calendar, and connect it",
			s.simulateClub,
		),
		request.Make(
			"POST",
			"/api/calendars/:id/read",
			"readCalendarAgain",
			"Read a calendar at its address again",
			func(ctx context.Context, p request.ByID, _ request.None) (CalendarRead, error) {
				return s.readAgain(ctx, p.ID)
			},
		),
		request.Make(
			"DELETE",
			"/api/calendars/:id",
			"leaveCalendar",
			"Forget a calendar and its bookings; lessons stay",
			func(ctx context.Context, p request.ByID, _ request.None) (request.None, error) {
				return request.None{}, s.Store.LeaveCalendar(ctx, p.ID)
			},
		),
		request.Make("GET", "/api/feeds", "listFeeds", "Addresses under which calendar programs read the lessons",
			func(ctx context.Context, _ request.None, _ request.None) ([]Feed, error) {
				list, err := s.Store.Feeds(ctx)
				feeds := make([]Feed, len(list))
				for i, f := range list {
					feeds[i] = Feed{ID: f.ID, Name: f.Name, Names: f.Names, At: f.At}
				}
				return feeds, err
			}).
			ForTheCoach(),
		request.Make("POST", "/api/feeds", "addFeed", "Make an address for a calendar program", s.addFeed).ForTheCoach(),
		request.Make("DELETE", "/api/feeds/:id", "revokeFeed", "Take an address back",
			func(ctx context.Context, p request.ByID, _ request.None) (request.None, error) {
				return request.None{}, s.Store.RevokeFeed(ctx, p.ID)
			}).
			ForTheCoach(),
	}
}

func asCalendar(c store.Calendar) CalendarFrom { return CalendarFrom(c) }

// readCalendar reads a calendar's text, and keeps what it comes to.
func (s *Exchange) readCalendar(ctx context.Context, from store.Calendar, text []byte) (CalendarRead, error) {
	known, _, err := s.knownStudents(ctx)
	if err != nil {
		return CalendarRead{}, err
	}
	known = slices.DeleteFunc(known, func(k roster.Known) bool { return k.Archived })
	now := s.Now()
	read, err := calendar.Read(
		ctx,
		text,
		now.AddDate(0, 0, -bookingsBack),
		now.AddDate(0, 0, bookingsAhead),
		now.Location(),
		func(text string) []string {
			return booking.Named(text, known)
		},
	)
	if err != nil {
		return CalendarRead{}, err
	}
	if read.Name != "" && from.Address != "" {
		from.Name = read.Name
	}
	from.At = now
	failed := error(nil)
	newID := func() string {
		id, err := uuid.NewV7()
		failed = errors.Join(failed, err)
		return id.String()
	}
	changes, err := s.Store.ReadCalendar(ctx, from, s.Today(), newID, func(kept []booking.Stored) []booking.Change {
		return booking.Reconcile(kept, read.Bookings, s.Today())
	})
	if err = errors.Join(err, failed); err != nil {
		return CalendarRead{}, err
	}
	answer := CalendarRead{Calendar: asCalendar(from), Left: read.Left}
	if answer.Left == nil {
		answer.Left = []string{}
	}
	for _, c := range changes {
		*map[booking.Kind]*int{booking.New: &answer.New, booking.Changed: &answer.Changed,
			booking.Cancelled: &answer.Cancelled, booking.Same: &answer.Same}[c.Kind]++
	}
	return answer, nil
}

// noCalendar tells why a calendar cannot be read where a coach looks.
func noCalendar(err error) error {
	if errors.Is(err, calendar.ErrUnreadable) {
		return invalid.Fields{{Path: "calendar", Message: err.Error()}}
	}
	return err
}

func (s *Exchange) readCalendarFile(ctx context.Context, name string, text []byte) (CalendarRead, error) {
	name = strings.TrimSuffix(strings.TrimSpace(name), ".ics")
	if named := calendar.NameOf(text); named != "" {
		name = named
	}
	if name == "" {
		name = "Calendar"
	}
	return s.readAs(
		ctx,
		store.Calendar{Name: name},
		func(c store.Calendar) bool { return c.Address == "" && c.Name == name },
		text,
	)
}

// readAs reads a calendar: the one that is there already, or a new one.
func (s *Exchange) readAs(
	ctx context.Context,
	from store.Calendar,
	same func(store.Calendar) bool,
	text []byte,
) (CalendarRead, error) {
	all, err := s.Store.Calendars(ctx)
	if err != nil {
		return CalendarRead{}, err
	}
	if i := slices.IndexFunc(all, same); i >= 0 {
		from = all[i]
	} else {
		id, err := uuid.NewV7()
		if err != nil {
			return CalendarRead{}, err
		}
		from.ID = id.String()
	}
	read, err := s.readCalendar(ctx, from, text)
	return read, noCalendar(err)
}

func (s *Exchange) connectCalendar(ctx context.Context, address string) (CalendarRead, error) {
	address = strings.TrimSpace(address)
	if door.At(ctx) == door.FromNetwork && calendar.OnThisMachine(address) {
		all, err := s.Store.Calendars(ctx)
		if err != nil {
			return CalendarRead{}, err
		}
		if !slices.ContainsFunc(all, func(c store.Calendar) bool { return c.Address == address }) {
			return CalendarRead{}, invalid.Fields{
				{Path: "address", Message: "a calendar on the coach’s own machine is connected there"},
			}
		}
	}
	text, err := calendar.Fetch(ctx, address)
	if err != nil {
		return CalendarRead{}, invalid.Fields{{Path: "address", Message: err.Error()}}
	}
	return s.readAs(
		ctx,
		store.Calendar{Name: address, Address: address},
		func(c store.Calendar) bool { return c.Address == address },
		text,
	)
}

func (s *Exchange) readAgain(ctx context.Context, id string) (CalendarRead, error) {
	all, err := s.Store.Calendars(ctx)
	if err != nil {
		return CalendarRead{}, err
	}
	i := slices.IndexFunc(all, func(c store.Calendar) bool { return c.ID == id && c.Address != "" })
	if i < 0 {
		return CalendarRead{}, fmt.Errorf("calendar %s: %w", id, store.ErrNotFound)
	}
	read, err := s.connectCalendar(ctx, all[i].Address)
	if err != nil {
		return read, errors.Join(err, s.Store.CalendarFailed(ctx, id, invalid.Sentence(err)))
	}
	return read, nil
}

// Begin reads all calendars at addresses again from time to time, until ctx ends.
func (s *Exchange) Begin(ctx context.Context) {
	s.clubs.ctx = ctx
	go s.readCalendars(ctx)
}

func (s *Exchange) readCalendars(ctx context.Context) {
	ticker := time.NewTicker(readEvery)
	defer ticker.Stop()
	for {
		select {
		case <-ctx.Done():
			return
		case <-ticker.C:
		}
		all, err := s.Store.Calendars(ctx)
		if err != nil {
			continue
		}
		for _, c := range all {
			if c.Address != "" {
				_, _ = s.readAgain(ctx, c.ID) // why it could not be is kept with it
			}
		}
	}
}

// clubs are the stand-ins that this program runs.
type clubs struct {
	lock    sync.Mutex
	address string
	ctx     context.Context //nolint:containedctx // they go on until the program ends
}

func (s *Exchange) simulateClub(ctx context.Context, _ request.None, _ request.None) (CalendarRead, error) {
	s.clubs.lock.Lock()
	defer s.clubs.lock.Unlock()
	if s.clubs.address == "" {
		listener, err := (&net.ListenConfig{}).Listen(ctx, "tcp", "127.0.0.1:0")
		if err != nil {
			return CalendarRead{}, err
		}
		club := &calendar.Simulated{From: s.Now()}
		go func() { _ = club.Serve(s.clubs.ctx, listener) }()
		s.clubs.address = "http://" + listener.Addr().String() + calendar.ClubPath
	}
	return s.connectCalendar(ctx, s.clubs.address)
}
