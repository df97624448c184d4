package store

import (
	"context"
	"database/sql"
	"errors"
	"fmt"

	"hodometer/core/live/underway"
)

// AddTaps stores taps of runs, making the runs and their attempts where they are new, and brings the attempts'
// summaries up to date: all of them, or none. A tap that is there already is passed over, so that a device may send
// everything again until it is answered. It fails with ErrTaken where a run belongs to another student, block or
// lesson.
func (s *Store) AddTaps(ctx context.Context, counted ...underway.Counted) error {
	return s.in(ctx, func(tx *sql.Tx) error { return addTaps(ctx, tx, counted) })
}

func addTaps(ctx context.Context, tx *sql.Tx, counted []underway.Counted) error {
	w, err := newTapWriter(ctx, tx)
	if err != nil {
		return err
	}
	defer w.close()
	for _, c := range counted {
		for _, run := range c.Runs {
			if err := w.add(ctx, c.Attempt, run); err != nil {
				return err
			}
		}
	}
	return nil
}

// tapWriter writes runs in one transaction.
type tapWriter struct {
	tx                           *sql.Tx
	owner, known, attempt, entry *sql.Stmt
	ball                         *sql.Stmt
}

func newTapWriter(ctx context.Context, tx *sql.Tx) (*tapWriter, error) {
	w := &tapWriter{tx: tx}
	for statement, text := range map[**sql.Stmt]string{
		&w.owner: `SELECT run.key, run.at, attempt.key, (lesson, block, student, number) = (?, ?, ?, ?) FROM run JOIN attempt ON attempt.key = run.attempt WHERE run.id = ?`,
		&w.known: `SELECT key FROM attempt WHERE lesson = ? AND block = ? AND student = ? AND number = ?`,
		&w.attempt: `INSERT INTO attempt (lesson, block, student, drill, name, version, stroke, rung, number, measure, unit, aim, at)
			VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?) RETURNING key`,
		&w.entry: `INSERT INTO run (id, attempt, at) VALUES (?, ?, ?) RETURNING key`,
		&w.ball:  `INSERT INTO ball (key, at, kind, choice, made, "of", x, y, zone) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT DO NOTHING`,
	} {
		prepared, err := tx.PrepareContext(ctx, text) //nolint:sqlclosecheck // close does it
		if err != nil {
			w.close()
			return nil, err
		}
		*statement = prepared
	}
	return w, nil
}

func (w *tapWriter) close() {
	for _, statement := range []*sql.Stmt{w.owner, w.known, w.attempt, w.entry, w.ball} {
		if statement != nil {
			_ = statement.Close() // the transaction closes it too
		}
	}
}

func (w *tapWriter) add(ctx context.Context, of underway.Attempt, run underway.Run) error {
	var key, attempt int64
	began, same, isNew := of.At.UnixMilli(), true, false
	err := w.owner.QueryRowContext(ctx, of.Lesson, of.Block, of.Student, of.Measure.Number, run.ID).
		Scan(&key, &began, &attempt, &same)
	switch {
	case errors.Is(err, sql.ErrNoRows):
		if attempt, isNew, err = w.attemptOf(ctx, of); err != nil {
			return err
		}
		if err := w.entry.QueryRowContext(ctx, run.ID, attempt, began).Scan(&key); err != nil {
			return err
		}
	case err != nil:
		return err
	case !same:
		return fmt.Errorf("run %s: %w", run.ID, ErrTaken)
	}
	if err := w.balls(ctx, key, began, run.Entries); err != nil {
		return err
	}
	if isNew {
		return writeSummary(ctx, w.tx, attempt, of.Measure.Goals, run.Entries)
	}
	return summarise(ctx, w.tx, attempt)
}

// attemptOf finds the attempt that a new run counts for, or makes it. It began with the earliest of its runs.
func (w *tapWriter) attemptOf(ctx context.Context, of underway.Attempt) (key int64, isNew bool, err error) {
	err = w.known.QueryRowContext(ctx, of.Lesson, of.Block, of.Student, of.Measure.Number).Scan(&key)
	if err == nil {
		_, err = w.tx.ExecContext(ctx, "UPDATE attempt SET at = min(at, ?) WHERE key = ?", of.At.UnixMilli(), key)
		return key, false, err
	}
	if !errors.Is(err, sql.ErrNoRows) {
		return 0, false, err
	}
	measure, err := measureKey(ctx, w.tx, of.Measure)
	if err != nil {
		return 0, false, err
	}
	aim, err := writeJSON(of.Aim)
	if err != nil {
		return 0, false, err
	}
	err = w.attempt.QueryRowContext(ctx, of.Lesson, of.Block, of.Student, of.Drill, of.Name, of.Version, of.Stroke,
		of.Rung, of.Measure.Number, measure, unitKey(of.Measure), aim, of.At.UnixMilli()).
		Scan(&key)
	return key, true, err
}
