package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"errors"
	"fmt"

	"hodometer/core/court"
	"hodometer/core/tally"
)

// Run is what one device counted of an attempt.
type Run struct {
	ID string // chosen by the device
	Attempt
	Taps []tally.Entry // in order
}

// AddTaps stores taps of a run, making the run and its attempt where they are new, and brings the attempt's summary up
// to date. A tap that is there already is passed over, so that a device may send everything again until it is
// answered. It fails with ErrTaken where the run belongs to another student, block or lesson.
func (s *Store) AddTaps(ctx context.Context, run Run) error {
	goal, err := json.Marshal(run.Goal)
	if err != nil {
		return err
	}
	aim, err := writePlace(run.Aim)
	if err != nil {
		return err
	}
	return s.in(ctx, func(tx *sql.Tx) error {
		var attempt, key, began int64
		same := true
		err := tx.QueryRowContext(ctx, `SELECT (lesson, block, student) = (?, ?, ?) FROM run JOIN attempt ON attempt.key = run.attempt WHERE run.id = ?`,
			run.Lesson, run.Block, run.Student, run.ID).Scan(&same)
		if err != nil && !errors.Is(err, sql.ErrNoRows) {
			return err
		}
		if !same {
			return fmt.Errorf("run %s: %w", run.ID, ErrTaken)
		}
		err = tx.QueryRowContext(ctx, `INSERT INTO attempt (lesson, block, student, drill, name, stroke, rung, goal, aim, at)
			VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (lesson, block, student) DO UPDATE SET at = min(at, excluded.at) RETURNING key`,
			run.Lesson, run.Block, run.Student, run.Drill, run.Name, run.Stroke, run.Rung, string(goal), aim, run.At.UnixMilli()).Scan(&attempt)
		if err != nil {
			return err
		}
		if _, err := tx.ExecContext(ctx, "INSERT INTO run (id, attempt, at) VALUES (?, ?, ?) ON CONFLICT DO NOTHING", run.ID, attempt, run.At.UnixMilli()); err != nil {
			return err
		}
		if err := tx.QueryRowContext(ctx, "SELECT key, at FROM run WHERE id = ?", run.ID).Scan(&key, &began); err != nil {
			return err
		}
		if err := addBalls(ctx, tx, key, began, run.Taps); err != nil {
			return err
		}
		return summarise(ctx, tx, attempt)
	})
}

// writePlace writes a place of the court as JSON, and none as null.
func writePlace(p *court.Point) (sql.NullString, error) {
	if p == nil {
		return sql.NullString{}, nil
	}
	text, err := json.Marshal(p)
	return sql.NullString{String: string(text), Valid: true}, err
}

func readPlace[T court.Point | court.Zone](text sql.NullString) (*T, error) {
	if !text.Valid {
		return nil, nil
	}
	var p T
	if err := json.Unmarshal([]byte(text.String), &p); err != nil {
		return nil, fmt.Errorf("place %s: %w", text.String, err)
	}
	return &p, nil
}
