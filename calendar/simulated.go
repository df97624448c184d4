package calendar

import (
	"context"
	"net"
	"net/http"
	"sync"
	"time"

	ics "github.com/arran4/golang-ical"
)

// Simulated is a stand-in for the booking calendar of a club: a few weeks of an invented one, from a day on. Once it
// was read, it is another one: a booking was moved, one was cancelled, and one is new.
type Simulated struct {
	From time.Time // in the club's zone
	lock sync.Mutex
	read bool
}

// ServeHTTP answers with the calendar.
func (c *Simulated) ServeHTTP(w http.ResponseWriter, r *http.Request) {
	if r.Method != http.MethodGet || r.URL.Path != ClubPath {
		http.NotFound(w, r)
		return
	}
	c.lock.Lock()
	later := c.read
	c.read = true
	c.lock.Unlock()
	w.Header().Set("Content-Type", "text/calendar; charset=utf-8")
	_, _ = w.Write(c.calendar(later))
}

// ClubPath is where a stand-in has its calendar.
const ClubPath = "/bookings.ics"

// clubBooking is an entry of the stand-in's calendar.
type clubBooking struct {
	uid, title string
	day        int // from the first one
	start      time.Duration
	minutes    int
	weekly     bool
}

var clubBookings = []clubBooking{
	{"juniors-tuesday", "Noor, Teo: court 2", 1, 16 * time.Hour, 60, true},
	{"priya", "Lesson Priya Dunmore", 2, 18*time.Hour + 30*time.Minute, 60, false},
	{"doubles", "Doubles: Oskar and Lotte", 3, 10 * time.Hour, 90, false},
	{"trial", "Trial lesson (new member)", 4, 17 * time.Hour, 45, false},
}

// calendar is the club's calendar, as it is at first, or later.
func (c *Simulated) calendar(later bool) []byte {
	zone := c.From.Location()
	calendar := ics.NewCalendarFor("Club")
	calendar.SetXWRCalName("Club bookings")
	at := func(b clubBooking, weeks int, shift time.Duration) time.Time {
		day := c.From.AddDate(0, 0, b.day+7*weeks)
		return time.Date(day.Year(), day.Month(), day.Day(), 0, 0, 0, 0, zone).Add(b.start + shift)
	}
	if zone != time.UTC {
		calendar.Components = append(
			calendar.Components,
			describeZone(zone, c.From.AddDate(0, -1, 0), c.From.AddDate(0, 3, 0)),
		)
	}
	add := func(b clubBooking, begins time.Time) *ics.VEvent {
		event := calendar.AddEvent(b.uid + "@club.example")
		event.SetDtStampTime(c.From)
		setTime(event, ics.ComponentPropertyDtStart, begins, tzid(zone))
		setTime(event, ics.ComponentPropertyDtEnd, begins.Add(time.Duration(b.minutes)*time.Minute), tzid(zone))
		event.SetSummary(b.title)
		return event
	}
	for _, b := range clubBookings {
		shift := time.Duration(0)
		if later && b.uid == "priya" {
			shift = time.Hour // it was moved
		}
		event := add(b, at(b, 0, shift))
		if b.weekly {
			event.AddRrule("FREQ=WEEKLY;COUNT=4")
		}
		if later && b.uid == "doubles" {
			event.SetStatus(ics.ObjectStatusCancelled)
		}
		if later && (shift != 0 || b.uid == "doubles") {
			event.SetSequence(1)
		}
	}
	if later {
		add(clubBooking{"badminton", "Kwame, Suki", 5, 0, 60, false}, at(clubBooking{day: 5, start: 18 * time.Hour}, 0, 0))
	}
	return []byte(calendar.Serialize(ics.WithNewLineWindows))
}

// Serve answers with the calendar of a stand-in until ctx ends.
func (c *Simulated) Serve(ctx context.Context, listener net.Listener) error {
	server := &http.Server{Handler: c, ReadHeaderTimeout: 5 * time.Second}
	go func() {
		<-ctx.Done()
		_ = server.Close()
	}()
	if err := server.Serve(listener); ctx.Err() == nil {
		return err
	}
	return nil
}
