package store

import (
	"context"
	"database/sql"

	"hodometer/core/lesson"
)

// Begun is where a lesson that was begun stands.
type Begun struct {
	lesson.Clock
	Finished bool
}

// Clock returns where a lesson stands; ok is false where it was not begun.
func (s *Store) Clock(ctx context.Context, lessonID string) (clock lesson.Clock, finished, ok bool, err error) {
	return clockOf(ctx, s.read, lessonID)
}

func clockOf(ctx context.Context, db querier, lessonID string) (clock lesson.Clock, finished, ok bool, err error) {
	begun, err := begunOf(ctx, db, lessonID)
	b, ok := begun[lessonID]
	return b.Clock, b.Finished, ok, err
}

// Begun returns where those of some lessons stand that were begun.
func (s *Store) Begun(ctx context.Context, lessonIDs []string) (map[string]Begun, error) {
	return begunOf(ctx, s.read, lessonIDs...)
}

func begunOf(ctx context.Context, db querier, lessonIDs ...string) (map[string]Begun, error) {
	begun := map[string]Begun{}
	err := each(ctx, db, func(rows *sql.Rows) error {
		var id, anchor string
		var b Begun
		if err := rows.Scan(&id, &anchor, &b.Second, &b.Running, &b.Finished, &b.Held); err != nil {
			return err
		}
		var err error
		b.Anchor, err = readTime(anchor)
		begun[id] = b
		return err
	}, "SELECT lesson, anchor, second, running, finished, held FROM clock WHERE lesson IN (SELECT value FROM "+
		"json_each(?))", asList(lessonIDs))
	return begun, err
}

// SetClock keeps where a lesson stands.
func (s *Store) SetClock(ctx context.Context, lessonID string, clock lesson.Clock, finished bool) error {
	return s.in(ctx, func(tx *sql.Tx) error { return setClock(ctx, tx, lessonID, clock, finished, nil) })
}

// setClock keeps where a lesson stands; of one that begins by it, its plan.
func setClock(
	ctx context.Context,
	tx *sql.Tx,
	lessonID string,
	clock lesson.Clock,
	finished bool,
	planned *lesson.Document,
) error {
	plan, err := writeJSON(planned)
	if err != nil {
		return err
	}
	_, err = tx.ExecContext(
		ctx,
		`INSERT INTO clock (lesson, anchor, second, running, finished, planned, held) VALUES (?, ?, ?, ?, ?, ?, ?)
		ON CONFLICT (lesson) DO UPDATE SET anchor = excluded.anchor, second = excluded.second, running = excluded.running,
		finished = excluded.finished, held = excluded.held`,
		lessonID,
		writeTime(clock.Anchor),
		clock.Second,
		clock.Running,
		finished,
		plan,
		clock.Held,
	)
	return err
}
