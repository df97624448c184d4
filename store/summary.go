package store

import (
	"context"
	"database/sql"
	_ "embed"
	"encoding/json"
	"fmt"
	"slices"
	"strings"

	"github.com/pressly/goose/v3"

	"hodometer/core/basics/say"
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

// told brings a file up to standings that are stored as what they say. Where they would be others today, the words of
// then stay.
func told() *goose.Migration {
	return goose.NewGoMigration(24, &goose.GoFunc{RunTx: func(ctx context.Context, tx *sql.Tx) error {
		return eachAttempt(ctx, tx, func(ctx context.Context, tx *sql.Tx, attempt int64) error {
			goals, devices, err := countedBy(ctx, tx, attempt)
			if err != nil {
				return err
			}
			standing := goals.Stand(devices...)
			along, err := json.Marshal(standing.Sentence)
			if err != nil {
				return err
			}
			_, err = tx.ExecContext(ctx, "UPDATE attempt SET along = ? WHERE key = ? AND outcome = ? AND have = ?",
				string(along), attempt, outcomeOf(standing), standing.Have)
			return err
		})
	}}, nil)
}

// Resummarise works out the summary of every attempt again from its balls.
func (s *Store) Resummarise(ctx context.Context) error {
	return s.in(ctx, func(tx *sql.Tx) error { return summariseAll(ctx, tx) })
}

func summariseAll(ctx context.Context, tx *sql.Tx) error { return eachAttempt(ctx, tx, summarise) }

// eachAttempt does something with every attempt there is, by its key.
func eachAttempt(ctx context.Context, tx *sql.Tx, do func(ctx context.Context, tx *sql.Tx, key int64) error) error {
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
		if err := do(ctx, tx, key); err != nil {
			return err
		}
	}
	return nil
}

// summarise works out what the balls of one attempt amount to, and writes it beside them.
func summarise(ctx context.Context, tx *sql.Tx, attempt int64) error {
	goals, devices, err := countedBy(ctx, tx, attempt)
	if err != nil {
		return err
	}
	return writeSummary(ctx, tx, attempt, goals, devices...)
}

// countedBy reads the goals of an attempt, and what each device counted towards them.
func countedBy(ctx context.Context, tx *sql.Tx, attempt int64) (score.Course, [][]tally.Entry, error) {
	var text string
	if err := tx.QueryRowContext(ctx, "SELECT document FROM measure WHERE key = (SELECT measure FROM attempt WHERE "+
		"key = ?)", attempt).
		Scan(&text); err != nil {
		return nil, nil, err
	}
	var m drill.Measure
	if err := json.Unmarshal([]byte(text), &m); err != nil {
		return nil, nil, fmt.Errorf("measure of attempt %d: %w", attempt, err)
	}
	runs, err := balls(ctx, tx, "run.attempt = ?", attempt)
	if err != nil {
		return nil, nil, err
	}
	devices := make([][]tally.Entry, len(runs))
	for i, run := range runs {
		devices[i] = run.entries
	}
	return m.Goals, devices, nil
}

func writeSummary(ctx context.Context, tx *sql.Tx, attempt int64, goals score.Course, devices ...[]tally.Entry) error {
	sum := tally.Summarise(devices...)
	standing := goals.Stand(devices...)
	along, err := json.Marshal(standing.Sentence)
	if err != nil {
		return err
	}
	var zoned *[]tally.Zoned
	if len(sum.Zones) > 0 {
		zoned = &sum.Zones
	}
	zones, err := writeJSON(zoned)
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
		string(along),
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
func standingOf(goals score.Course, outcome, have int, along string) (score.Standing, error) {
	s := score.Standing{
		Met:     outcome == met,
		Perhaps: outcome == perhaps,
		Lost:    outcome == lost,
		Have:    have,
		Wanted:  goals.Steps(),
	}
	if !strings.HasPrefix(along, "{") { // as the words alone, before there was a catalogue
		s.Sentence = say.Words(along)
		return s, nil
	}
	return s, json.Unmarshal([]byte(along), &s.Sentence)
}
