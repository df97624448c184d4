package store

import (
	"context"
	"database/sql"
	_ "embed"
	"encoding/json"
	"fmt"
	"slices"

	"github.com/pressly/goose/v3"

	"hodometer/core/count/score"
	"hodometer/core/count/tally"
	"hodometer/core/drill"
)

//go:embed steps/compact_balls.sql
var compactBalls string

// compact brings a file up to compact balls; the summaries of attempts are made by measured.
func compact() *goose.Migration {
	return goose.NewGoMigration(9, &goose.GoFunc{RunTx: func(ctx context.Context, tx *sql.Tx) error {
		_, err := tx.ExecContext(ctx, compactBalls)
		return err
	}}, nil)
}

//go:embed steps/standings.sql
var standings string

// stand brings a file up to attempts that say how far along their goals are; that is worked out by measured.
func stand() *goose.Migration {
	return goose.NewGoMigration(10, &goose.GoFunc{RunTx: func(ctx context.Context, tx *sql.Tx) error {
		_, err := tx.ExecContext(ctx, standings)
		return err
	}}, nil)
}

// Resummarise works out the summary of every attempt again from its balls.
func (s *Store) Resummarise(ctx context.Context) error {
	return s.in(ctx, func(tx *sql.Tx) error { return summariseAll(ctx, tx) })
}

func summariseAll(ctx context.Context, tx *sql.Tx) error {
	keys, err := collect(
		ctx,
		tx,
		func(rows *sql.Rows) (key int64, err error) { return key, rows.Scan(&key) },
		"SELECT key FROM attempt ORDER BY key",
	)
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
	var text string
	if err := tx.QueryRowContext(ctx, "SELECT document FROM measure WHERE key = (SELECT measure FROM attempt WHERE "+
		"key = ?)", attempt).
		Scan(&text); err != nil {
		return err
	}
	var m drill.Measure
	if err := json.Unmarshal([]byte(text), &m); err != nil {
		return fmt.Errorf("measure of attempt %d: %w", attempt, err)
	}
	runs, err := balls(ctx, tx, "run.attempt = ?", attempt)
	if err != nil {
		return err
	}
	devices := make([][]tally.Entry, len(runs))
	for i, run := range runs {
		devices[i] = run.entries
	}
	return writeSummary(ctx, tx, attempt, m.Goals, devices...)
}

func writeSummary(ctx context.Context, tx *sql.Tx, attempt int64, goals score.Course, devices ...[]tally.Entry) error {
	sum := tally.Summarise(devices...)
	standing := goals.Stand(devices...)
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
	_, err = tx.ExecContext(
		ctx,
		`UPDATE attempt SET made = ?, balls = ?, streak = ?, best = ?, at_least = ?, "right" = ?, wrong = ?, taps = ?, landed
		= ?, last = ?, zones = ?, rallies = ?, longest = ?, tries = ?, fastest = ?, net = ?, long = ?, wide = ?, outcome = ?,
		have = ?, along = ?
		WHERE key = ?`,
		sum.Made,
		sum.Balls,
		sum.Streak,
		sum.Best,
		sum.AtLeast,
		sum.Right,
		sum.Wrong,
		sum.Taps,
		sum.Landed,
		last,
		zones,
		sum.Rallies,
		sum.Longest,
		sum.Tries,
		sum.Fastest,
		sum.Net,
		sum.Long,
		sum.Wide,
		outcomeOf(standing),
		standing.Have,
		standing.Sentence,
		attempt,
	)
	if err != nil || !slices.ContainsFunc(devices, func(entries []tally.Entry) bool {
		return slices.ContainsFunc(entries, func(e tally.Entry) bool { return e.Kind == tally.Fault })
	}) {
		return err
	}
	if _, err := tx.ExecContext(ctx, "DELETE FROM faulted WHERE attempt = ?", attempt); err != nil {
		return err
	}
	for _, seen := range sum.Faults {
		if _, err := tx.ExecContext(
			ctx,
			"INSERT INTO faulted (attempt, fault, times) SELECT ?, key, ? FROM fault WHERE text = ?",
			attempt,
			seen.Times,
			seen.Fault,
		); err != nil {
			return err
		}
	}
	return nil
}

// The outcomes of an attempt, as they are stored.
const (
	open = iota
	met
	perhaps
	lost
)

func outcomeOf(s score.Standing) int {
	switch {
	case s.Met:
		return met
	case s.Perhaps:
		return perhaps
	case s.Lost:
		return lost
	}
	return open
}

// standingOf reads a standing back.
func standingOf(goals score.Course, outcome, have int, along string) score.Standing {
	return score.Standing{
		Met:      outcome == met,
		Perhaps:  outcome == perhaps,
		Lost:     outcome == lost,
		Have:     have,
		Wanted:   goals.Steps(),
		Sentence: along,
	}
}
