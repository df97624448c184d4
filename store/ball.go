package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"fmt"
	"math"
	"slices"
	"time"

	"hodometer/core/count/tally"
	"hodometer/core/sport/court"
)

// ballsOfRun is how many keys of balls a run has: one more than the largest number of a tap on its device.
const ballsOfRun = 1 << 17

// Kinds and choices are stored as their places in these lists.
var (
	ballKinds = []tally.Kind{
		tally.Made,
		tally.Missed,
		tally.Turn,
		tally.Again,
		tally.Undo,
		tally.Rally,
		tally.Timed,
		tally.TimeUp,
		tally.Fault,
	}
	ballChoices = []tally.Choice{tally.RightChoice, tally.WrongChoice}
	ballMisses  = []tally.Miss{tally.IntoNet, tally.Long, tally.Wide}
)

// millimetres and metres convert the coordinates of landings, which are stored to the millimetre: a tap on a drawn
// court is a hundred times coarser.
func millimetres(metres float64) int64 { return int64(math.Round(1000 * metres)) }

// millis converts seconds on the clock, which are stored to the millisecond.
func millis(seconds float64) int64 { return int64(math.Round(1000 * seconds)) }

func metres(millimetres int64) float64 { return float64(millimetres) / 1000 }

// balls stores the balls of a run that are not there yet.
func (w *tapWriter) balls(ctx context.Context, run, began int64, entries []tally.Entry) error {
	for _, e := range entries {
		var choice, made, of, x, y, zone any
		if i := slices.Index(ballChoices, e.Choice); i >= 0 {
			choice = i
		}
		if e.Kind == tally.Turn {
			made, of = e.Made, e.Of
		}
		if i := slices.Index(ballMisses, e.Miss); i >= 0 {
			made = i
		}
		if e.Kind == tally.Rally {
			made, of = e.Strokes, e.Stopped
		}
		if e.Kind == tally.Timed {
			made = millis(e.Seconds)
		}
		if e.Kind == tally.Fault {
			key, err := faultKey(ctx, w.tx, e.Fault)
			if err != nil {
				return err
			}
			made = key
		}
		if e.Landing != nil {
			x, y = millimetres(e.Landing.X), millimetres(e.Landing.Y)
		}
		if e.Zone != nil {
			key, err := zoneKey(ctx, w.tx, *e.Zone)
			if err != nil {
				return err
			}
			zone = key
		}
		at := e.At.UnixMilli() - began
		if _, err := w.ball.ExecContext(
			ctx,
			run*ballsOfRun+int64(e.Seq),
			at,
			slices.Index(ballKinds, e.Kind),
			choice,
			made,
			of,
			x,
			y,
			zone,
		); err != nil {
			return err
		}
	}
	return nil
}

func faultKey(ctx context.Context, tx *sql.Tx, fault string) (key int64, err error) {
	if _, err := tx.ExecContext(ctx, "INSERT INTO fault (text) VALUES (?) ON CONFLICT DO NOTHING", fault); err != nil {
		return 0, err
	}
	return key, tx.QueryRowContext(ctx, "SELECT key FROM fault WHERE text = ?", fault).Scan(&key)
}

// name gives the faults of runs, of which only the keys were read, their words. Files of earlier versions have none,
// and no words.
func name(ctx context.Context, db querier, runs []counted) error {
	words := map[int]string{}
	for _, run := range runs {
		for i := range run.entries {
			e := &run.entries[i]
			if e.Kind != tally.Fault {
				continue
			}
			if len(words) == 0 {
				err := each(ctx, db, func(rows *sql.Rows) error {
					var key int
					var text string
					err := rows.Scan(&key, &text)
					words[key] = text
					return err
				}, "SELECT key, text FROM fault")
				if err != nil {
					return err
				}
			}
			e.Fault, e.Made = words[e.Made], 0
		}
	}
	return nil
}

func zoneKey(ctx context.Context, tx *sql.Tx, zone court.Zone) (key int64, err error) {
	bounds, err := json.Marshal(zone)
	if err != nil {
		return 0, err
	}
	if _, err := tx.ExecContext(
		ctx,
		"INSERT INTO zone (bounds) VALUES (?) ON CONFLICT DO NOTHING",
		string(bounds),
	); err != nil {
		return 0, err
	}
	return key, tx.QueryRowContext(ctx, "SELECT key FROM zone WHERE bounds = ?", string(bounds)).Scan(&key)
}

// counted is what one device counted of an attempt.
type counted struct {
	run     int64
	id      string // of the run
	attempt int64
	entries []tally.Entry
}

// balls reads the balls of runs, each run's in order, and the runs in an order that does not depend on which came
// first.
func balls(ctx context.Context, db querier, where string, args ...any) ([]counted, error) {
	return readBalls(ctx, db, db, selectBalls(where), args...)
}

func selectBalls(where string) string {
	return `SELECT run.key, run.id, run.attempt, ball.key - run.key * 131072, run.at + ball.at, ball.kind, ball.choice,
	ball.made, ball."of", ball.x, ball.y, zone.bounds
		FROM run JOIN ball ON ball.key BETWEEN run.key * 131072 AND run.key * 131072 + 131071 LEFT JOIN zone ON zone.key =
		ball.zone
		WHERE ` + where + ` ORDER BY run.attempt, run.id, ball.key`
}

// readBalls reads the balls of a query; faults are named from db.
func readBalls(ctx context.Context, db, from querier, query string, args ...any) ([]counted, error) {
	var runs []counted
	err := each(ctx, from, func(rows *sql.Rows) error {
		var run, attempt, at int64
		var id string
		var kind int
		var e tally.Entry
		var choice, made, of, x, y sql.NullInt64
		var zone sql.NullString
		if err := rows.Scan(&run, &id, &attempt, &e.Seq, &at, &kind, &choice, &made, &of, &x, &y, &zone); err != nil {
			return err
		}
		e.At, e.Made, e.Of = time.UnixMilli(at).UTC(), int(made.Int64), int(of.Int64)
		if kind < 0 || kind >= len(ballKinds) || choice.Int64 < 0 || choice.Int64 >= int64(len(ballChoices)) {
			return fmt.Errorf("ball %d of run %d: unknown kind %d or choice %d", e.Seq, run, kind, choice.Int64)
		}
		e.Kind = ballKinds[kind]
		if e.Kind == tally.Rally {
			e.Strokes, e.Stopped, e.Made, e.Of = e.Made, e.Of != 0, 0, 0
		}
		if e.Kind == tally.Timed {
			e.Seconds, e.Made = float64(e.Made)/1000, 0
		}
		if e.Kind == tally.Missed && made.Valid {
			e.Made = 0
			if made.Int64 < 0 || made.Int64 >= int64(len(ballMisses)) {
				return fmt.Errorf("ball %d of run %d: unknown miss %d", e.Seq, run, made.Int64)
			}
			e.Miss = ballMisses[made.Int64]
		}
		if choice.Valid {
			e.Choice = ballChoices[choice.Int64]
		}
		if x.Valid && y.Valid {
			e.Landing = &court.Point{X: metres(x.Int64), Y: metres(y.Int64)}
		}
		var err error
		if e.Zone, err = readJSON[court.Zone](zone); err != nil {
			return err
		}
		if n := len(runs); n == 0 || runs[n-1].run != run {
			runs = append(runs, counted{run: run, id: id, attempt: attempt})
		}
		last := &runs[len(runs)-1]
		last.entries = append(last.entries, e)
		return nil
	}, query, args...)
	if err == nil {
		err = name(ctx, db, runs)
	}
	return runs, err
}

// faultKind is how a fault that was seen is stored among the balls: made is then its key.
func faultKind() int { return slices.Index(ballKinds, tally.Fault) }
