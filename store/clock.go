package store

import (
	"context"
	"database/sql"

	"hodometer/core/lesson"
)

// Clock returns where a lesson stands; ok is false where it was not begun.
func (s *Store) Clock(ctx context.Context, lessonID string) (clock lesson.Clock, finished, ok bool, err error) {
	return clockOf(ctx, s.read, lessonID)
}

func clockOf(ctx context.Context, db querier, lessonID string) (clock lesson.Clock, finished, ok bool, err error) {
	err = each(ctx, db, func(rows *sql.Rows) error {
		var anchor string
		if err := rows.Scan(&anchor, &clock.Second, &clock.Running, &finished, &clock.Held); err != nil {
			return err
		}
		ok = true
		clock.Anchor, err = readTime(anchor)
		return err
	}, "SELECT anchor, second, running, finished, held FROM clock WHERE lesson = ?", lessonID)
	return clock, finished, ok, err
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
	return s.in(ctx, func(tx *sql.Tx) error { return setClock(ctx, tx, lessonID, clock, finished, nil) })
}

// setClock keeps where a lesson stands; of one that begins by it, its plan.
func setClock(ctx context.Context, tx *sql.Tx, lessonID string, clock lesson.Clock, finished bool, planned *lesson.Document) error {
	plan, err := writeJSON(planned)
	if err != nil {
		return err
	}
	_, err = tx.ExecContext(ctx, `INSERT INTO clock (lesson, anchor, second, running, finished, planned, held) VALUES (?, ?, ?, ?, ?, ?, ?)
		ON CONFLICT (lesson) DO UPDATE SET anchor = excluded.anchor, second = excluded.second, running = excluded.running, finished = excluded.finished, held = excluded.held`,
		lessonID, writeTime(clock.Anchor), clock.Second, clock.Running, finished, plan, clock.Held)
	return err
}
