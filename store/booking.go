package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"errors"
	"fmt"
	"time"

	"hodometer/core/exchange/booking"
)

// Calendar is where bookings come from.
type Calendar struct {
	ID      string
	Name    string
	Address string // where it is read; empty: from a file
	At      time.Time
	Wrong   string // why it could not be read the last time
}

// Calendars returns all calendars, by their names.
func (s *Store) Calendars(ctx context.Context) ([]Calendar, error) {
	return collect(ctx, s.read, func(rows *sql.Rows) (c Calendar, err error) {
		var at string
		if err := rows.Scan(&c.ID, &c.Name, &c.Address, &at, &c.Wrong); err != nil {
			return c, err
		}
		c.At, err = readTime(at)
		return c, err
	}, "SELECT id, name, address, at, wrong FROM calendar ORDER BY name, id")
}

// Kept is a booking with the calendar it came from.
type Kept struct {
	booking.Stored
	Calendar string
	From     string // the name of that calendar
}

// Bookings returns the bookings from a day on, in the order in which they begin.
func (s *Store) Bookings(ctx context.Context, from string) ([]Kept, error) {
	return bookings(ctx, s.read, "date >= ?", from)
}

// BookingsOf returns the bookings from a day on that became one of some lessons.
func (s *Store) BookingsOf(ctx context.Context, lessons []string, from string) ([]Kept, error) {
	ids, err := json.Marshal(lessons)
	if err != nil {
		return nil, err
	}
	return bookings(ctx, s.read, "lesson IN (SELECT value FROM json_each(?)) AND date >= ?", string(ids), from)
}

// Booking returns one booking. The error wraps ErrNotFound.
func (s *Store) Booking(ctx context.Context, id string) (Kept, error) {
	list, err := bookings(ctx, s.read, "id = ?", id)
	if err != nil {
		return Kept{}, err
	}
	if len(list) == 0 {
		return Kept{}, fmt.Errorf("booking %s: %w", id, ErrNotFound)
	}
	return list[0], nil
}

func bookings(ctx context.Context, db querier, where string, args ...any) ([]Kept, error) {
	return collect(ctx, db, func(rows *sql.Rows) (Kept, error) {
		var k Kept
		var students string
		err := rows.Scan(
			&k.ID,
			&k.Calendar,
			&k.From,
			&k.UID,
			&k.Instance,
			&k.Title,
			&k.Date,
			&k.Start,
			&k.Minutes,
			&k.Cancelled,
			&students,
			&k.Lesson,
			&k.Ignored,
		)
		return k, errors.Join(err, json.Unmarshal([]byte(students), &k.Students))
	}, "SELECT id, calendar, (SELECT name FROM calendar WHERE calendar.id = booking.calendar), uid, instance, title, "+
		"date, start, minutes, cancelled, students, coalesce(lesson, ''), ignored FROM booking WHERE "+where+
		" ORDER BY date, start, id", args...)
}

// ReadCalendar keeps what reading a calendar came to: work gets what is kept of it from a day on and returns how that
// changes. New ones get their identifiers from newID.
func (s *Store) ReadCalendar(
	ctx context.Context,
	c Calendar,
	from string,
	newID func() string,
	work func(kept []booking.Stored) []booking.Change,
) ([]booking.Change, error) {
	var changes []booking.Change
	err := s.in(ctx, func(tx *sql.Tx) error {
		_, err := tx.ExecContext(ctx, `INSERT INTO calendar (id, name, address, at, wrong) VALUES (?, ?, ?, ?, '')
			ON CONFLICT (id) DO UPDATE SET name = excluded.name, address = excluded.address, at = excluded.at, wrong = ''`,
			c.ID, c.Name, c.Address, writeTime(c.At))
		if err != nil {
			return err
		}
		there, err := bookings(ctx, tx, "calendar = ? AND date >= ?", c.ID, from)
		if err != nil {
			return err
		}
		kept := make([]booking.Stored, len(there))
		for i, k := range there {
			kept[i] = k.Stored
		}
		changes = work(kept)
		for i, change := range changes {
			if change.Kind == booking.New {
				changes[i].ID = newID()
			}
			if err := keepBooking(ctx, tx, c.ID, changes[i].Stored); err != nil {
				return err
			}
		}
		return nil
	})
	return changes, err
}

func keepBooking(ctx context.Context, tx *sql.Tx, calendar string, b booking.Stored) error {
	students, err := json.Marshal(b.Students)
	if err != nil {
		return err
	}
	_, err = tx.ExecContext(
		ctx,
		`INSERT INTO booking (id, calendar, uid, instance, title, date, start, minutes, cancelled, students, lesson, ignored)
		VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, nullif(?, ''), ?)
		ON CONFLICT (id) DO UPDATE SET instance = excluded.instance, title = excluded.title, date = excluded.date, start =
		excluded.start,
			minutes = excluded.minutes, cancelled = excluded.cancelled, students = excluded.students, lesson = excluded.lesson,
			ignored = excluded.ignored`,
		b.ID,
		calendar,
		b.UID,
		b.Instance,
		b.Title,
		b.Date,
		b.Start,
		b.Minutes,
		b.Cancelled,
		string(students),
		b.Lesson,
		b.Ignored,
	)
	return err
}

// KeepBooking keeps a booking as it is now.
func (s *Store) KeepBooking(ctx context.Context, k Kept) error {
	return s.in(ctx, func(tx *sql.Tx) error { return keepBooking(ctx, tx, k.Calendar, k.Stored) })
}

// CalendarFailed notes why a calendar could not be read.
func (s *Store) CalendarFailed(ctx context.Context, id, why string) error {
	_, err := s.exec(ctx, "UPDATE calendar SET wrong = ? WHERE id = ?", why, id)
	return err
}

// LeaveCalendar forgets a calendar with its bookings; lessons that they became stay.
func (s *Store) LeaveCalendar(ctx context.Context, id string) error {
	_, err := s.exec(ctx, "DELETE FROM calendar WHERE id = ?", id)
	return err
}

// Feed is an address under which a calendar program reads the lessons.
type Feed struct {
	ID    string
	Name  string
	Names bool // it says who comes
	At    time.Time
}

// AddFeed keeps a feed with the hash of its secret.
func (s *Store) AddFeed(ctx context.Context, f Feed, hash string) error {
	_, err := s.exec(
		ctx,
		"INSERT INTO feed (id, name, names, hash, at) VALUES (?, ?, ?, ?, ?)",
		f.ID,
		f.Name,
		f.Names,
		hash,
		writeTime(f.At),
	)
	return err
}

// Feeds returns all feeds, the newest first.
func (s *Store) Feeds(ctx context.Context) ([]Feed, error) {
	return feeds(ctx, s.read, "1")
}

// FeedOf returns the feed of a secret's hash. The error wraps ErrNotFound.
func (s *Store) FeedOf(ctx context.Context, hash string) (Feed, error) {
	list, err := feeds(ctx, s.read, "hash = ?", hash)
	if err != nil {
		return Feed{}, err
	}
	if len(list) == 0 {
		return Feed{}, fmt.Errorf("feed: %w", ErrNotFound)
	}
	return list[0], nil
}

func feeds(ctx context.Context, db querier, where string, args ...any) ([]Feed, error) {
	return collect(ctx, db, func(rows *sql.Rows) (f Feed, err error) {
		var at string
		if err := rows.Scan(&f.ID, &f.Name, &f.Names, &at); err != nil {
			return f, err
		}
		f.At, err = readTime(at)
		return f, err
	}, "SELECT id, name, names, at FROM feed WHERE "+where+" ORDER BY at DESC, id", args...)
}

// RevokeFeed takes an address back: it is answered no longer.
func (s *Store) RevokeFeed(ctx context.Context, id string) error {
	_, err := s.exec(ctx, "DELETE FROM feed WHERE id = ?", id)
	return err
}
