package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"fmt"

	"hodometer/core/lesson"
	"hodometer/core/live/closing"
	"hodometer/core/live/underway"
)

// Underway is a lesson as it stands under way, all of it at one instant.
type Underway struct {
	Record   Record[lesson.Document]
	Clock    *lesson.Clock // nil where it was not begun
	Finished bool
	Counted  []underway.Counted
	Acts     []string // identifiers of what was done with it, beside counts
}

// Underway reads a lesson as it stands under way. The error wraps ErrNotFound or ErrUnreadable.
func (s *Store) Underway(ctx context.Context, lessonID string) (u Underway, err error) {
	tx, err := s.read.BeginTx(ctx, nil)
	if err != nil {
		return u, err
	}
	defer tx.Rollback() //nolint:errcheck // only read
	if u.Record, err = s.Lessons.get(ctx, tx, lessonID); err != nil {
		return u, err
	}
	if clock, finished, begun, err := clockOf(ctx, tx, lessonID); err != nil {
		return u, err
	} else if begun {
		u.Clock, u.Finished = &clock, finished
	}
	if u.Counted, err = countedOf(ctx, tx, lessonID); err != nil {
		return u, err
	}
	u.Acts, err = collect(
		ctx,
		tx,
		func(rows *sql.Rows) (id string, err error) { return id, rows.Scan(&id) },
		"SELECT id FROM act WHERE lesson = ? ORDER BY at, id",
		lessonID,
	)
	return u, err
}

// countedOf reads what was counted in a lesson, count by count.
func countedOf(ctx context.Context, db querier, lessonID string) ([]underway.Counted, error) {
	list, err := attempts(ctx, db, "lesson = ?", lessonID)
	if err != nil {
		return nil, err
	}
	place := 0
	at := make(map[int64]int, len(list)) // where each attempt stands in the list, by its key
	err = each(ctx, db, func(rows *sql.Rows) error {
		var key int64
		err := rows.Scan(&key)
		at[key], place = place, place+1
		return err
	}, "SELECT key FROM attempt WHERE lesson = ? ORDER BY at, key", lessonID)
	if err != nil {
		return nil, err
	}
	all := make([]underway.Counted, len(list))
	for i, a := range list {
		all[i] = underway.Counted{Attempt: a.Attempt, Runs: []underway.Run{}}
	}
	runs, err := balls(ctx, db, "run.attempt IN (SELECT key FROM attempt WHERE lesson = ?)", lessonID)
	for _, run := range runs {
		of := &all[at[run.attempt]]
		of.Runs = append(of.Runs, underway.Run{ID: run.id, Entries: run.entries})
	}
	return all, err
}

// ActsOfLesson returns what was done with a lesson under way, beside its counts, in order.
func (s *Store) ActsOfLesson(ctx context.Context, lessonID string) ([]underway.Did, error) {
	return collect(ctx, s.read, func(rows *sql.Rows) (did underway.Did, err error) {
		var text string
		if err := rows.Scan(&text); err != nil {
			return did, err
		}
		return did, json.Unmarshal([]byte(text), &did)
	}, "SELECT act FROM act WHERE lesson = ? ORDER BY at, id", lessonID)
}

// Changes are what acts made of a lesson.
type Changes struct {
	Revision int64            // of the document on which they build
	Document *lesson.Document // nil where it stays as it is
	Clock    *lesson.Clock    // nil where it stays as it is
	Finished bool
	Planned  *lesson.Document // the document before, kept where the lesson begins by it
	Counted  []underway.Counted
	Acts     []underway.Did // of those that are no counts
	Told     []closing.Told // of a lesson that begins
}

// Keep stores what acts made of a lesson: all of it, or nothing. It fails with ErrStale where the document was changed
// meanwhile, or one of the acts was done meanwhile.
func (s *Store) Keep(ctx context.Context, lessonID string, c Changes) error {
	return s.in(ctx, func(tx *sql.Tx) error {
		for _, act := range c.Acts {
			text, err := json.Marshal(act)
			if err != nil {
				return err
			}
			if err := one(
				tx.ExecContext(
					ctx,
					"INSERT INTO act (id, lesson, at, act) VALUES (?, ?, ?, ?) ON CONFLICT DO NOTHING",
					act.ID,
					lessonID,
					writeTime(act.At),
					string(text),
				),
			); err != nil {
				return fmt.Errorf("act %s: %w", act.ID, err)
			}
		}
		if c.Document != nil {
			text, err := json.Marshal(c.Document)
			if err != nil {
				return err
			}
			if err := one(
				tx.ExecContext(
					ctx,
					"UPDATE lesson SET document = ?, revision = revision + 1 WHERE id = ? AND revision = ?",
					string(text),
					lessonID,
					c.Revision,
				),
			); err != nil {
				return fmt.Errorf("lesson %s: %w", lessonID, err)
			}
		}
		if c.Clock != nil {
			if err := setClock(ctx, tx, lessonID, *c.Clock, c.Finished, c.Planned); err != nil {
				return err
			}
		}
		if err := keepTold(ctx, tx, lessonID, c.Told); err != nil {
			return err
		}
		return addTaps(ctx, tx, c.Counted)
	})
}

// one fails with ErrStale where a statement changed nothing.
func one(result sql.Result, err error) error {
	if err != nil {
		return err
	}
	if n, err := result.RowsAffected(); err != nil || n > 0 {
		return err
	}
	return ErrStale
}
