package store

import (
	"context"
	"database/sql"
	"errors"

	"hodometer/core/lesson"
)

// Clock returns where a lesson stands; ok is false where it was not begun.
func (s *Store) Clock(ctx context.Context, lessonID string) (clock lesson.Clock, finished, ok bool, err error) {
	var anchor string
	err = s.read.QueryRowContext(ctx, "SELECT anchor, second, running, finished FROM clock WHERE lesson = ?", lessonID).
		Scan(&anchor, &clock.Second, &clock.Running, &finished)
	if errors.Is(err, sql.ErrNoRows) {
		return clock, false, false, nil
	}
	if err != nil {
		return clock, false, false, err
	}
	clock.Anchor, err = readTime(anchor)
	return clock, finished, true, err
}

// Begun says of those of some lessons that were begun whether they are finished.
func (s *Store) Begun(ctx context.Context, lessonIDs []string) (map[string]bool, error) {
	begun := map[string]bool{}
	err := each(ctx, s.read, func(rows *sql.Rows) error {
		var id string
		var finished bool
		err := rows.Scan(&id, &finished)
		begun[id] = finished
		return err
	}, "SELECT lesson, finished FROM clock WHERE lesson IN (SELECT value FROM json_each(?))", asList(lessonIDs))
	return begun, err
}

// SetClock keeps where a lesson stands.
func (s *Store) SetClock(ctx context.Context, lessonID string, clock lesson.Clock, finished bool) error {
	_, err := s.exec(ctx, `INSERT INTO clock (lesson, anchor, second, running, finished) VALUES (?, ?, ?, ?, ?)
		ON CONFLICT (lesson) DO UPDATE SET anchor = excluded.anchor, second = excluded.second, running = excluded.running, finished = excluded.finished`,
		lessonID, writeTime(clock.Anchor), clock.Second, clock.Running, finished)
	return err
}
