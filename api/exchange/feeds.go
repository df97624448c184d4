package exchange

import (
	"context"
	"crypto/rand"
	"crypto/sha256"
	"encoding/base32"
	"encoding/hex"
	"fmt"
	"net/http"
	"strings"
	"time"

	"github.com/google/uuid"
	"github.com/labstack/echo/v5"

	"hodometer/api/request"
	"hodometer/calendar"
	"hodometer/core/basics/invalid"
	"hodometer/core/lesson"
	"hodometer/core/people/student"
	"hodometer/store"
)

// Feed is an address under which a calendar program reads the lessons.
type Feed struct {
	ID    string    `json:"id" format:"uuid"`
	Name  string    `json:"name"`
	Names bool      `json:"names" description:"It says titles, who comes and what is planned; else only that there is a lesson"`
	At    time.Time `json:"at"`
	Path  string    `json:"path,omitempty" description:"Where it is read on this machine; told once, when it is made"`
	Ways  []string  `json:"ways,omitempty" description:"The same as whole addresses, as other devices reach them, the likeliest first; none where they do not reach this machine"`
}

// FeedAsked is a feed that is to be made.
type FeedAsked struct {
	Name  string `json:"name" minLength:"1" maxLength:"60" description:"Which calendar program it is for"`
	Names bool   `json:"names"`
}

const feedPath = "/calendar/"

func (s *Exchange) addFeed(ctx context.Context, _ request.None, body FeedAsked) (Feed, error) {
	id, err := uuid.NewV7()
	if err != nil {
		return Feed{}, err
	}
	raw := make([]byte, 20)
	_, _ = rand.Read(raw) // never fails, by its documentation
	secret := strings.ToLower(base32.StdEncoding.EncodeToString(raw))
	f := store.Feed{ID: id.String(), Name: body.Name, Names: body.Names, At: s.Now()}
	if err := s.Store.AddFeed(ctx, f, hashed(secret)); err != nil {
		return Feed{}, err
	}
	made := Feed{ID: f.ID, Name: f.Name, Names: f.Names, At: f.At, Path: feedPath + secret + ".ics"}
	if n := s.Entrance.Network; n != nil {
		for _, address := range n.Addresses() {
			made.Ways = append(made.Ways, address+made.Path)
		}
	}
	return made, nil
}

func hashed(secret string) string {
	sum := sha256.Sum256([]byte(secret))
	return hex.EncodeToString(sum[:])
}

// Feed answers a calendar program that knows a secret. It needs nothing else.
func (s *Exchange) feed(c *echo.Context) error {
	secret, is := strings.CutSuffix(c.Param("file"), ".ics")
	if !is {
		return echo.ErrNotFound
	}
	feed, err := s.Store.FeedOf(c.Request().Context(), hashed(secret))
	if err != nil {
		return echo.ErrNotFound
	}
	day := func(offset int) string { return s.Now().AddDate(0, 0, offset).Format(time.DateOnly) }
	records, err := s.Store.LessonsDated(c.Request().Context(), day(-feedBack), day(feedAhead))
	if err != nil {
		return err
	}
	return s.calendarOut(c, records, feed.Names, "inline")
}

// lessonsOut hands the lessons out as iCalendar: one, a week, or all.
func (s *Exchange) lessonsOut(c *echo.Context) error {
	if id := c.QueryParam("lesson"); id != "" {
		record, err := s.Store.Lessons.Get(c.Request().Context(), id)
		if err != nil {
			return err
		}
		return s.calendarOut(c, []store.Record[lesson.Document]{record}, true, "attachment")
	}
	from, to := "2000-01-01", "2099-12-31"
	if week := c.QueryParam("from"); week != "" {
		at, err := time.Parse(time.DateOnly, week)
		if err != nil {
			return invalid.Fields{{Path: "from", Message: "write it as year-month-day, 2026-03-09"}}
		}
		from, to = week, at.AddDate(0, 0, 6).Format(time.DateOnly)
	}
	records, err := s.Store.LessonsDated(c.Request().Context(), from, to)
	if err != nil {
		return err
	}
	return s.calendarOut(c, records, true, "attachment")
}

// calendarOut answers with lessons as a calendar; names is whether it says what they are called, who comes and what is
// planned.
func (s *Exchange) calendarOut(
	c *echo.Context,
	records []store.Record[lesson.Document],
	names bool,
	disposition string,
) error {
	_, students, err := s.knownStudents(c.Request().Context())
	if err != nil {
		return err
	}
	var events []calendar.Event
	for _, r := range records {
		d := r.Document
		e := calendar.Event{
			ID:        r.ID,
			Sequence:  int(r.Revision - 1),
			Title:     "Lesson",
			Date:      d.Date,
			Start:     d.Start,
			Minutes:   d.Minutes,
			Cancelled: r.Archived,
		}
		if names {
			e.Title, e.Description = d.Title, described(d, students)
		}
		events = append(events, e)
	}
	zone := s.Now().Location()
	if zone == time.Local {
		zone = calendar.Home()
	}
	c.Response().Header().Set("Content-Disposition", fmt.Sprintf("%s; filename=%q", disposition, "hodometer.ics"))
	c.Response().Header().Set("Cache-Control", "no-store")
	return c.Blob(http.StatusOK, "text/calendar; charset=utf-8", calendar.Write("Hodometer", events, zone, s.Now()))
}

// described says who comes to a lesson and what is planned.
func described(d lesson.Document, students map[string]store.Record[student.Profile]) string {
	people := make([]string, 0, len(d.Students))
	for _, id := range d.Students {
		if record, known := students[id]; known {
			people = append(people, record.Document.Name)
		}
	}
	lines := []string{strings.Join(people, ", ")}
	for _, b := range d.Blocks {
		lines = append(lines, fmt.Sprintf("%g min  %s", b.Minutes, b.Title))
	}
	return strings.Join(lines, "\n")
}
