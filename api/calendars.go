package api

import (
	"context"
	"crypto/rand"
	"crypto/sha256"
	"encoding/base32"
	"encoding/hex"
	"errors"
	"fmt"
	"net"
	"net/http"
	"slices"
	"strings"
	"sync"
	"time"

	"github.com/google/uuid"
	"github.com/labstack/echo/v5"

	"hodometer/calendar"
	"hodometer/core/booking"
	"hodometer/core/editing"
	"hodometer/core/invalid"
	"hodometer/core/lesson"
	"hodometer/core/plan"
	"hodometer/core/roster"
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

// BookingChange is what a coach does with a booking.
type BookingChange struct {
	Students []string `json:"students,omitempty" maxItems:"12" description:"Who comes"`
	Lesson   string   `json:"lesson,omitempty" format:"uuid" description:"What it became"`
	Ignored  *bool    `json:"ignored,omitempty"`
}

// Feed is an address under which a calendar program reads the lessons.
type Feed struct {
	ID    string    `json:"id" format:"uuid"`
	Name  string    `json:"name"`
	Names bool      `json:"names" description:"It says titles, who comes and what is planned; else only that there is a lesson"`
	At    time.Time `json:"at"`
	Path  string    `json:"path,omitempty" description:"Where it is read on this machine; told once, when it is made"`
}

// FeedAsked is a feed that is to be made.
type FeedAsked struct {
	Name  string `json:"name" minLength:"1" maxLength:"60" description:"Which calendar program it is for"`
	Names bool   `json:"names"`
}

// fileNamed is the parameter of a file with a name.
type fileNamed struct {
	Name string `query:"name" description:"What the file is called"`
}

func (s *server) calendarRoutes() []Route {
	return []Route{
		route("GET", "/api/bookings", "listBookings", "The bookings from today on, and where they come from", s.bookings),
		route("PUT", "/api/bookings/:id", "changeBooking", "Say who comes, what it became, or that it is not wanted", s.changeBooking),
		route("POST", "/api/bookings/:id/move", "moveBookedLesson", "Move the lesson of a booking to where the calendar has it", s.moveBooked),
		route("POST", "/api/calendars/file", "readCalendarFile", "Read the bookings of an .ics file; the same calendar again changes what it brought", func(ctx context.Context, p fileNamed, body File) (CalendarRead, error) {
			return s.readCalendarFile(ctx, p.Name, body)
		}),
		route("POST", "/api/calendars", "connectCalendar", "Read a calendar at an address, now and from time to time", func(ctx context.Context, _ None, body CalendarAt) (CalendarRead, error) {
			return s.connectCalendar(ctx, body.Address)
		}),
		route("POST", "/api/calendars/simulated", "simulateClub", "Start a stand-in for a club's calendar, and connect it", s.simulateClub),
		route("POST", "/api/calendars/:id/read", "readCalendarAgain", "Read a calendar at its address again", func(ctx context.Context, p byID, _ None) (CalendarRead, error) {
			return s.readAgain(ctx, p.ID)
		}),
		route("DELETE", "/api/calendars/:id", "leaveCalendar", "Forget a calendar and its bookings; lessons stay", func(ctx context.Context, p byID, _ None) (None, error) {
			return None{}, s.store.LeaveCalendar(ctx, p.ID)
		}),
		route("GET", "/api/feeds", "listFeeds", "Addresses under which calendar programs read the lessons", func(ctx context.Context, _ None, _ None) ([]Feed, error) {
			list, err := s.store.Feeds(ctx)
			feeds := make([]Feed, len(list))
			for i, f := range list {
				feeds[i] = Feed{ID: f.ID, Name: f.Name, Names: f.Names, At: f.At}
			}
			return feeds, err
		}).forTheCoach(),
		route("POST", "/api/feeds", "addFeed", "Make an address for a calendar program", s.addFeed).forTheCoach(),
		route("DELETE", "/api/feeds/:id", "revokeFeed", "Take an address back", func(ctx context.Context, p byID, _ None) (None, error) {
			return None{}, s.store.RevokeFeed(ctx, p.ID)
		}).forTheCoach(),
	}
}

func asCalendar(c store.Calendar) CalendarFrom { return CalendarFrom(c) }

func (s *server) bookings(ctx context.Context, _ None, _ None) (Bookings, error) {
	calendars, err := s.store.Calendars(ctx)
	if err != nil {
		return Bookings{}, err
	}
	answer := Bookings{Calendars: make([]CalendarFrom, len(calendars)), Bookings: []Booking{}}
	names := map[string]string{}
	for i, c := range calendars {
		answer.Calendars[i], names[c.ID] = asCalendar(c), c.Name
	}
	kept, err := s.store.Bookings(ctx, "", s.today())
	if err != nil {
		return Bookings{}, err
	}
	var ids []string
	for _, k := range kept {
		if k.Lesson != "" {
			ids = append(ids, k.Lesson)
		}
	}
	lessons, err := s.store.Lessons.Some(ctx, ids)
	if err != nil {
		return Bookings{}, err
	}
	for _, k := range kept {
		b := Booking{Booking: k.Booking, ID: k.ID, Calendar: names[k.Calendar], Lesson: k.Lesson, Ignored: k.Ignored}
		if record, is := lessons[k.Lesson]; is && !record.Archived {
			b.Apart = apart(k.Booking, record.Document)
		}
		answer.Bookings = append(answer.Bookings, b)
	}
	return answer, nil
}

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

func (s *server) today() string { return s.now().Format(time.DateOnly) }

func (s *server) changeBooking(ctx context.Context, p byID, body BookingChange) (None, error) {
	k, err := s.store.Booking(ctx, p.ID)
	if err != nil {
		return None{}, err
	}
	if body.Students != nil {
		k.Students = body.Students
	}
	if body.Lesson != "" {
		if _, err := s.store.Lessons.Get(ctx, body.Lesson); err != nil {
			return None{}, err
		}
		k.Lesson = body.Lesson
	}
	if body.Ignored != nil {
		k.Ignored = *body.Ignored
	}
	return None{}, s.store.KeepBooking(ctx, k)
}

// moveBooked moves a lesson to where its booking is by now, and fits its blocks to another length. Of a booking that was cancelled it archives the lesson.
func (s *server) moveBooked(ctx context.Context, p byID, _ None) (plan.Lesson, error) {
	k, err := s.store.Booking(ctx, p.ID)
	if err != nil {
		return plan.Lesson{}, err
	}
	record, err := s.store.Lessons.Get(ctx, k.Lesson)
	if err != nil {
		return plan.Lesson{}, err
	}
	begun, err := s.store.Begun(ctx, []string{record.ID})
	if err != nil {
		return plan.Lesson{}, err
	}
	if _, is := begun[record.ID]; is {
		return plan.Lesson{}, invalid.Fields{{Path: "lesson", Message: "it was begun already"}}
	}
	if k.Cancelled {
		record, err = s.store.Lessons.Archive(ctx, record.ID, true)
	} else {
		record, err = s.rebooked(ctx, record, k.Booking)
	}
	if err != nil {
		return plan.Lesson{}, err
	}
	return s.lesson(ctx, record)
}

func (s *server) rebooked(ctx context.Context, record store.Record[lesson.Document], b booking.Booking) (store.Record[lesson.Document], error) {
	d := record.Document
	d.Date, d.Start = b.Date, b.Start
	if d.Minutes != b.Minutes {
		in, err := s.inputs(ctx, d)
		if err != nil {
			return record, err
		}
		ids, err := fresh(2)
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
	return s.store.Lessons.Replace(ctx, record.ID, record.Revision, d)
}

// readCalendar reads a calendar's text, and keeps what it comes to.
func (s *server) readCalendar(ctx context.Context, from store.Calendar, text []byte) (CalendarRead, error) {
	known, _, err := s.knownStudents(ctx)
	if err != nil {
		return CalendarRead{}, err
	}
	known = slices.DeleteFunc(known, func(k roster.Known) bool { return k.Archived })
	now := s.now()
	read, err := calendar.Read(text, now.AddDate(0, 0, -bookingsBack), now.AddDate(0, 0, bookingsAhead), now.Location(), func(text string) []string {
		return booking.Named(text, known)
	})
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
	changes, err := s.store.ReadCalendar(ctx, from, s.today(), newID, func(kept []booking.Stored) []booking.Change {
		return booking.Reconcile(kept, read.Bookings, s.today())
	})
	if err = errors.Join(err, failed); err != nil {
		return CalendarRead{}, err
	}
	answer := CalendarRead{Calendar: asCalendar(from), Left: read.Left}
	if answer.Left == nil {
		answer.Left = []string{}
	}
	for _, c := range changes {
		*map[booking.Kind]*int{booking.New: &answer.New, booking.Changed: &answer.Changed, booking.Cancelled: &answer.Cancelled, booking.Same: &answer.Same}[c.Kind]++
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

func (s *server) readCalendarFile(ctx context.Context, name string, text []byte) (CalendarRead, error) {
	name = strings.TrimSuffix(strings.TrimSpace(name), ".ics")
	if named := calendar.NameOf(text); named != "" {
		name = named
	}
	if name == "" {
		name = "Calendar"
	}
	all, err := s.store.Calendars(ctx)
	if err != nil {
		return CalendarRead{}, err
	}
	id, err := uuid.NewV7()
	if err != nil {
		return CalendarRead{}, err
	}
	from := store.Calendar{ID: id.String(), Name: name}
	for _, c := range all {
		if c.Address == "" && c.Name == name {
			from.ID = c.ID
		}
	}
	read, err := s.readCalendar(ctx, from, text)
	return read, noCalendar(err)
}

func (s *server) connectCalendar(ctx context.Context, address string) (CalendarRead, error) {
	address = strings.TrimSpace(address)
	text, err := calendar.Fetch(ctx, address)
	if err != nil {
		return CalendarRead{}, invalid.Fields{{Path: "address", Message: err.Error()}}
	}
	all, err := s.store.Calendars(ctx)
	if err != nil {
		return CalendarRead{}, err
	}
	id, err := uuid.NewV7()
	if err != nil {
		return CalendarRead{}, err
	}
	from := store.Calendar{ID: id.String(), Name: address, Address: address}
	for _, c := range all {
		if c.Address == address {
			from = c
		}
	}
	read, err := s.readCalendar(ctx, from, text)
	return read, noCalendar(err)
}

func (s *server) readAgain(ctx context.Context, id string) (CalendarRead, error) {
	all, err := s.store.Calendars(ctx)
	if err != nil {
		return CalendarRead{}, err
	}
	i := slices.IndexFunc(all, func(c store.Calendar) bool { return c.ID == id && c.Address != "" })
	if i < 0 {
		return CalendarRead{}, fmt.Errorf("calendar %s: %w", id, store.ErrNotFound)
	}
	read, err := s.connectCalendar(ctx, all[i].Address)
	if err != nil {
		return read, errors.Join(err, s.store.CalendarFailed(ctx, id, invalid.Sentence(err)))
	}
	return read, nil
}

// readCalendars reads all calendars at addresses again from time to time, until ctx ends.
func (s *server) readCalendars(ctx context.Context) {
	ticker := time.NewTicker(readEvery)
	defer ticker.Stop()
	for {
		select {
		case <-ctx.Done():
			return
		case <-ticker.C:
		}
		all, err := s.store.Calendars(ctx)
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

func (s *server) simulateClub(ctx context.Context, _ None, _ None) (CalendarRead, error) {
	s.clubs.lock.Lock()
	defer s.clubs.lock.Unlock()
	if s.clubs.address == "" {
		listener, err := (&net.ListenConfig{}).Listen(ctx, "tcp", "127.0.0.1:0")
		if err != nil {
			return CalendarRead{}, err
		}
		club := &calendar.Club{From: s.now()}
		go func() { _ = club.Serve(s.clubs.ctx, listener) }()
		s.clubs.address = "http://" + listener.Addr().String() + calendar.ClubPath
	}
	return s.connectCalendar(ctx, s.clubs.address)
}

const feedPath = "/calendar/"

func (s *server) addFeed(ctx context.Context, _ None, body FeedAsked) (Feed, error) {
	id, err := uuid.NewV7()
	if err != nil {
		return Feed{}, err
	}
	raw := make([]byte, 20)
	_, _ = rand.Read(raw) // never fails, by its documentation
	secret := strings.ToLower(base32.StdEncoding.EncodeToString(raw))
	f := store.Feed{ID: id.String(), Name: body.Name, Names: body.Names, At: s.now()}
	if err := s.store.AddFeed(ctx, f, hashed(secret)); err != nil {
		return Feed{}, err
	}
	return Feed{ID: f.ID, Name: f.Name, Names: f.Names, At: f.At, Path: feedPath + secret + ".ics"}, nil
}

func hashed(secret string) string {
	sum := sha256.Sum256([]byte(secret))
	return hex.EncodeToString(sum[:])
}

// feed answers a calendar program that knows a secret. It needs nothing else.
func (s *server) feed(c *echo.Context) error {
	secret, is := strings.CutSuffix(c.Param("file"), ".ics")
	if !is {
		return echo.ErrNotFound
	}
	feed, err := s.store.FeedOf(c.Request().Context(), hashed(secret))
	if err != nil {
		return echo.ErrNotFound
	}
	day := func(offset int) string { return s.now().AddDate(0, 0, offset).Format(time.DateOnly) }
	return s.calendarOut(c, day(-feedBack), day(feedAhead), "", feed.Names, "inline")
}

// lessonsOut hands the lessons out as iCalendar: one, a week, or all.
func (s *server) lessonsOut(c *echo.Context) error {
	from, to := "2000-01-01", "2099-12-31"
	if week := c.QueryParam("from"); week != "" {
		at, err := time.Parse(time.DateOnly, week)
		if err != nil {
			return invalid.Fields{{Path: "from", Message: "write it as year-month-day, 2026-03-09"}}
		}
		from, to = week, at.AddDate(0, 0, 6).Format(time.DateOnly)
	}
	return s.calendarOut(c, from, to, c.QueryParam("lesson"), true, "attachment")
}

func (s *server) calendarOut(c *echo.Context, from, to, only string, names bool, disposition string) error {
	ctx := c.Request().Context()
	records, err := s.store.LessonsDated(ctx, from, to)
	if err != nil {
		return err
	}
	known, _, err := s.knownStudents(ctx)
	if err != nil {
		return err
	}
	called := map[string]string{}
	for _, k := range known {
		called[k.ID] = k.Profile.Name
	}
	var events []calendar.Event
	for _, r := range records {
		if only != "" && r.ID != only {
			continue
		}
		d := r.Document
		e := calendar.Event{ID: r.ID, Sequence: int(r.Revision - 1), Title: "Lesson", Date: d.Date, Start: d.Start, Minutes: d.Minutes, Cancelled: r.Archived}
		if names {
			e.Title, e.Description = d.Title, described(d, called)
		}
		events = append(events, e)
	}
	zone := s.now().Location()
	if zone == time.Local {
		zone = calendar.Home()
	}
	c.Response().Header().Set("Content-Disposition", fmt.Sprintf("%s; filename=%q", disposition, "hodometer.ics"))
	c.Response().Header().Set("Cache-Control", "no-store")
	return c.Blob(http.StatusOK, "text/calendar; charset=utf-8", calendar.Write("Hodometer", events, zone, s.now()))
}

// described says who comes to a lesson and what is planned.
func described(d lesson.Document, called map[string]string) string {
	people := make([]string, 0, len(d.Students))
	for _, id := range d.Students {
		if name, known := called[id]; known {
			people = append(people, name)
		}
	}
	lines := []string{strings.Join(people, ", ")}
	for _, b := range d.Blocks {
		lines = append(lines, fmt.Sprintf("%g min  %s", b.Minutes, b.Title))
	}
	return strings.Join(lines, "\n")
}
