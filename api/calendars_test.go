package api_test

import (
	"net/http"
	"net/http/httptest"
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/api/desk"
	"hodometer/api/exchange"
	"hodometer/api/repository"
	"hodometer/calendar"
	"hodometer/core/lesson/plan"
)

func (c *club) bookings() map[string]exchange.Booking {
	found := map[string]exchange.Booking{}
	for _, b := range read[exchange.Bookings](c.t, c.ask("GET", "/api/bookings", nil)).Bookings {
		found[b.Title+" "+b.Date] = b
	}
	return found
}

// The calendar of a club is connected, read again, and changes what it brought: nothing is there twice, and a lesson is
// moved on demand.
func TestBookingsOfAClubBecomeLessonsAndFollowIt(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	for _, name := range []string{"Noor Haldane", "Teo Brackwell", "Priya Dunmore"} {
		p := ada()
		p.Name = name
		c.student(p)
	}
	stand := &calendar.Simulated{From: c.now}
	server := httptest.NewServer(stand)
	t.Cleanup(server.Close)
	first := read[exchange.CalendarRead](
		t,
		c.ask("POST", "/api/calendars", exchange.CalendarAt{Address: server.URL + calendar.ClubPath}),
	)
	require.Equal(t, "Club bookings", first.Calendar.Name)
	require.Equal(t, 7, first.New, "four weeks of one, and three")
	booked := c.bookings()
	require.Len(t, booked, 7)
	require.Len(t, booked["Noor, Teo: court 2 2026-03-11"].Students, 2)
	priya := booked["Lesson Priya Dunmore 2026-03-12"]
	require.Equal(t, "18:30", priya.Start)
	require.Len(t, priya.Students, 1)

	id := newID()
	planned := lessonFor(newID(), priya.Students[0])
	planned["date"], planned["start"] = priya.Date, priya.Start
	read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, planned, fresh, "*"))
	require.Equal(
		t,
		http.StatusNoContent,
		c.ask("PUT", "/api/bookings/"+priya.ID, exchange.BookingChange{Lesson: id}).Code,
	)
	require.Equal(
		t,
		"The lesson is planned for 2026-03-12, 18:30, 30 min.",
		c.bookings()["Lesson Priya Dunmore 2026-03-12"].Apart,
	)

	again := read[exchange.CalendarRead](t, c.ask("POST", "/api/calendars/"+first.Calendar.ID+"/read", nil))
	require.Equal(t, []int{1, 1, 1, 5}, []int{again.New, again.Changed, again.Cancelled, again.Same})
	booked = c.bookings()
	require.Len(t, booked, 8)
	require.True(t, booked["Doubles: Oskar and Lotte 2026-03-13"].Cancelled)
	require.Equal(t, "19:30", booked["Lesson Priya Dunmore 2026-03-12"].Start)
	// It shows where the coach looks: on Today and on the lesson.
	told := "Club bookings has it on 2026-03-12, 19:30, 60 min by now. Move it under Lessons, Calendar."
	require.Contains(t, read[plan.Lesson](t, c.ask("GET", "/api/lessons/"+id, nil)).Clashes, told)
	for _, brief := range read[desk.Diary](t, c.ask("GET", "/api/lessons?ahead=7", nil)).Lessons {
		require.Equal(t, brief.ID == id, slices.Contains(brief.Clashes, told))
	}
	moved := read[plan.Lesson](t, c.ask("POST", "/api/bookings/"+priya.ID+"/move", nil))
	require.Equal(
		t,
		[]any{"2026-03-12", "19:30", 60},
		[]any{moved.Document.Date, moved.Document.Start, moved.Document.Minutes},
	)
	require.Empty(t, c.bookings()["Lesson Priya Dunmore 2026-03-12"].Apart)
	require.NotContains(t, read[plan.Lesson](t, c.ask("GET", "/api/lessons/"+id, nil)).Clashes, told)
	third := read[exchange.CalendarRead](
		t,
		c.ask("POST", "/api/calendars", exchange.CalendarAt{Address: server.URL + calendar.ClubPath}),
	)
	require.Equal(t, 8, third.Same)

	// It is away: that is told and kept with it; what it brought stays.
	server.Close()
	p := readProblem(t, c.ask("POST", "/api/calendars/"+first.Calendar.ID+"/read", nil), http.StatusUnprocessableEntity)
	require.Contains(t, p.Fields[0].Message, "nothing answers at this address now")
	require.NotEmpty(t, read[exchange.Bookings](t, c.ask("GET", "/api/bookings", nil)).Calendars[0].Wrong)
	require.Len(t, c.bookings(), 8)
	for _, address := range []string{"http://club.example/bookings.ics", "webcal://club.example/x", "file:///etc/passwd",
		"no address"} {
		readProblem(t, c.ask("POST", "/api/calendars", exchange.CalendarAt{Address: address}), http.StatusUnprocessableEntity)
	}

	require.Equal(t, http.StatusNoContent, c.ask("DELETE", "/api/calendars/"+first.Calendar.ID, nil).Code)
	require.Empty(t, c.bookings())
	require.Equal(t, http.StatusOK, c.ask("GET", "/api/lessons/"+id, nil).Code, "lessons stay")
}

func TestACalendarFileThatIsReadAgainNeverDoubles(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	file := strings.Join([]string{
		"BEGIN:VCALENDAR",
		"VERSION:2.0",
		"PRODID:x",
		"X-WR-CALNAME:School",
		"BEGIN:VEVENT",
		"UID:a",
		"DTSTAMP:20260101T000000Z",
		"SUMMARY:Ada",
		"DTSTART:20260311T100000Z",
		"DURATION:PT1H",
		"RRULE:FREQ=WEEKLY;COUNT=3",
		"END:VEVENT",
		"BEGIN:VEVENT",
		"UID:b",
		"DTSTAMP:20260101T000000Z",
		"SUMMARY:Sports day",
		"DTSTART;VALUE=DATE:20260312",
		"END:VEVENT",
		"END:VCALENDAR",
		"",
	}, "\r\n")
	first := read[exchange.CalendarRead](t, c.ask("POST", "/api/calendars/file?name=term.ics", file))
	require.Equal(t, 3, first.New)
	require.Len(t, first.Left, 1)
	require.Equal(t, "School", first.Calendar.Name)
	again := read[exchange.CalendarRead](
		t,
		c.ask("POST", "/api/calendars/file?name=other.ics", strings.Replace(file, "COUNT=3", "COUNT=2", 1)),
	)
	require.Equal(t, []int{0, 2, 1}, []int{again.New, again.Same, again.Cancelled})
	require.Equal(t, first.Calendar.ID, again.Calendar.ID)
	p := readProblem(t, c.ask("POST", "/api/calendars/file", "Name,Born\nAda,2016"), http.StatusUnprocessableEntity)
	require.Contains(t, p.Fields[0].Message, "this is no calendar")
}

// A calendar program reads the lessons by a secret, until it is taken back; what was changed has a higher number, and
// what was archived is cancelled.
func TestAFeedIsReadByItsSecretUntilItIsTakenBack(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	student, id := c.student(ada()), newID()
	saved := read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, lessonFor(newID(), student), fresh, "*"))
	full := read[exchange.Feed](t, c.ask("POST", "/api/feeds", exchange.FeedAsked{Name: "My phone", Names: true}))
	quiet := read[exchange.Feed](t, c.ask("POST", "/api/feeds", exchange.FeedAsked{Name: "The club"}))
	for _, f := range read[[]exchange.Feed](t, c.ask("GET", "/api/feeds", nil)) {
		require.Empty(t, f.Path, "a secret is told once")
	}
	get := func(path string) string {
		w := c.ask("GET", path, nil)
		require.Equal(t, http.StatusOK, w.Code)
		require.Equal(t, "text/calendar; charset=utf-8", w.Header().Get("Content-Type"))
		return w.Body.String()
	}
	require.Contains(t, get(full.Path), "SUMMARY:Tuesday")
	require.Contains(t, get(full.Path), "Ada")
	require.Contains(t, get(full.Path), "SEQUENCE:0")
	require.NotContains(t, get(quiet.Path), "Tuesday")
	require.NotContains(t, get(quiet.Path), "Ada")

	changed := saved.Document
	changed.Start = "17:00"
	require.Equal(t, http.StatusOK, c.ask("PUT", "/api/lessons/"+id, changed, "If-Match", `"1"`).Code)
	require.Contains(t, get(full.Path), "SEQUENCE:1")
	require.Contains(t, get(full.Path), "T170000")
	c.ask("PUT", "/api/lessons/"+id+"/archived", repository.Archiving{Archived: true})
	require.Contains(t, get(full.Path), "STATUS:CANCELLED")

	require.Equal(t, http.StatusNoContent, c.ask("DELETE", "/api/feeds/"+full.ID, nil).Code)
	require.Equal(t, http.StatusNotFound, c.ask("GET", full.Path, nil).Code)
	require.Equal(t, http.StatusNotFound, c.ask("GET", "/calendar/guessed.ics", nil).Code)
	require.Equal(
		t,
		1,
		strings.Count(
			get("/api/out/lessons.ics?from="+time.Date(2026, 3, 9, 0, 0, 0, 0, time.UTC).Format(time.DateOnly)),
			"BEGIN:VEVENT",
		),
	)
	require.Equal(t, 0, strings.Count(get("/api/out/lessons.ics?from=2026-03-16"), "BEGIN:VEVENT"))
	require.Equal(t, 1, strings.Count(get("/api/out/lessons.ics?lesson="+id), "BEGIN:VEVENT"))
}
