package store

import (
	"context"
	"database/sql"
	_ "embed"

	"github.com/pressly/goose/v3"

	"hodometer/core/tally"
)

//go:embed steps/compact_balls.sql
var compactBalls string

// compact brings a file up to compact balls with a summary of each attempt.
func compact() *goose.Migration {
	return goose.NewGoMigration(9, &goose.GoFunc{RunTx: func(ctx context.Context, tx *sql.Tx) error {
		if _, err := tx.ExecContext(ctx, compactBalls); err != nil {
			return err
		}
		return summariseAll(ctx, tx)
	}}, nil)
}

// Resummarise works out the summary of every attempt again from its balls.
func (s *Store) Resummarise(ctx context.Context) error {
	return s.in(ctx, func(tx *sql.Tx) error { return summariseAll(ctx, tx) })
}

func summariseAll(ctx context.Context, tx *sql.Tx) error {
	keys, err := collect(ctx, tx, func(rows *sql.Rows) (key int64, err error) { return key, rows.Scan(&key) }, "SELECT key FROM attempt ORDER BY key")
	if err != nil {
		return err
	}
	for _, key := range keys {
		if err := summarise(ctx, tx, key); err != nil {
			return err
		}
	}
	return nil
}

// summarise works out what the balls of one attempt amount to, and writes it beside them.
func summarise(ctx context.Context, tx *sql.Tx, attempt int64) error {
	runs, err := balls(ctx, tx, "run.attempt = ?", attempt)
	if err != nil {
		return err
	}
	devices := make([][]tally.Entry, len(runs))
	for i, run := range runs {
		devices[i] = run.entries
	}
	return writeSummary(ctx, tx, attempt, tally.Summarise(devices...))
}

func writeSummary(ctx context.Context, tx *sql.Tx, attempt int64, sum tally.Summary) error {
	var counted *[]tally.Zoned
	if len(sum.Zones) > 0 {
		counted = &sum.Zones
	}
	zones, err := writeJSON(counted)
	if err != nil {
		return err
	}
	last := int64(0)
	if !sum.Last.IsZero() {
		last = sum.Last.UnixMilli()
	}
	_, err = tx.ExecContext(ctx, `UPDATE attempt SET made = ?, balls = ?, streak = ?, best = ?, at_least = ?, "right" = ?, wrong = ?, taps = ?, landed = ?, last = ?, zones = ?
		WHERE key = ?`, sum.Made, sum.Balls, sum.Streak, sum.Best, sum.AtLeast, sum.Right, sum.Wrong, sum.Taps, sum.Landed, last, zones, attempt)
	return err
}
