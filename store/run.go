package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"fmt"
	"time"

	"hodometer/core/court"
	"hodometer/core/feed"
	"hodometer/core/odds"
	"hodometer/core/progress"
	"hodometer/core/tally"
)

// Run is one student on one drill in one block, as one device counts it, with what the drill stood for.
type Run struct {
	ID      string
	Lesson  string
	Block   string
	Student string
	Drill   string
	Name    string
	Stroke  feed.Stroke
	Rung    progress.Rung
	Goal    odds.Goal
	Aim     *court.Point // where its target was, on the court; nil where that is not known
	At      time.Time
	Taps    []tally.Entry // in order
}

// AddTaps keeps taps of a run, making the run where it is new. A tap that is there already is passed
// over, so that a device may send everything again until it is answered. It fails with ErrTaken where
// the run belongs to another student, block or lesson.
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
		_, err := tx.ExecContext(ctx, `INSERT INTO run (id, lesson, block, student, drill, name, stroke, rung, goal, aim, at)
			VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT DO NOTHING`,
			run.ID, run.Lesson, run.Block, run.Student, run.Drill, run.Name, run.Stroke, run.Rung, string(goal), aim, writeTime(run.At))
		if err != nil {
			return err
		}
		var same bool
		err = tx.QueryRowContext(ctx, "SELECT lesson = ? AND block = ? AND student = ? FROM run WHERE id = ?", run.Lesson, run.Block, run.Student, run.ID).Scan(&same)
		if err != nil {
			return err
		}
		if !same {
			return fmt.Errorf("run %s: %w", run.ID, ErrTaken)
		}
		for _, tap := range run.Taps {
			landing, err := writePlace(tap.Landing)
			if err != nil {
				return err
			}
			zone, err := writePlace(tap.Zone)
			if err != nil {
				return err
			}
			_, err = tx.ExecContext(ctx, `INSERT INTO tap (run, seq, kind, made, "of", landing, zone, choice, at) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT DO NOTHING`,
				run.ID, tap.Seq, tap.Kind, tap.Made, tap.Of, landing, zone, sql.NullString{String: string(tap.Choice), Valid: tap.Choice != ""}, writeTime(tap.At))
			if err != nil {
				return err
			}
		}
		return nil
	})
}

// RunsOfLesson returns the runs of a lesson with their taps, oldest first.
func (s *Store) RunsOfLesson(ctx context.Context, lessonID string) ([]Run, error) {
	return s.runs(ctx, "run.lesson = ?", lessonID)
}

// RunsOfStudent returns the runs of a student with their taps, oldest first.
func (s *Store) RunsOfStudent(ctx context.Context, studentID string) ([]Run, error) {
	return s.runs(ctx, "run.student = ?", studentID)
}

func (s *Store) runs(ctx context.Context, where string, arg any) ([]Run, error) {
	runs, err := collect(ctx, s.read, scanRun, `SELECT id, lesson, block, student, drill, name, stroke, rung, goal, aim, at
		FROM run WHERE `+where+` ORDER BY at, id`, arg)
	if err != nil {
		return nil, err
	}
	index := make(map[string]int, len(runs))
	for i, run := range runs {
		index[run.ID] = i
	}
	type tap struct {
		run   string
		entry tally.Entry
	}
	taps, err := collect(ctx, s.read, func(rows *sql.Rows) (tap, error) {
		var t tap
		var at string
		var landing, zone, choice sql.NullString
		err := rows.Scan(&t.run, &t.entry.Seq, &t.entry.Kind, &t.entry.Made, &t.entry.Of, &landing, &zone, &choice, &at)
		if err != nil {
			return t, err
		}
		t.entry.Choice = tally.Choice(choice.String)
		if t.entry.Landing, err = readPlace[court.Point](landing); err != nil {
			return t, err
		}
		if t.entry.Zone, err = readPlace[court.Zone](zone); err != nil {
			return t, err
		}
		t.entry.At, err = readTime(at)
		return t, err
	}, `SELECT tap.run, tap.seq, tap.kind, tap.made, tap."of", tap.landing, tap.zone, tap.choice, tap.at FROM tap JOIN run ON run.id = tap.run WHERE `+where+` ORDER BY tap.run, tap.seq`, arg)
	if err != nil {
		return nil, err
	}
	for _, t := range taps {
		// A tap whose run came after the runs were read is left for the next time.
		if i, ok := index[t.run]; ok {
			runs[i].Taps = append(runs[i].Taps, t.entry)
		}
	}
	return runs, nil
}

func scanRun(rows *sql.Rows) (Run, error) {
	var run Run
	var goal, at string
	var aim sql.NullString
	err := rows.Scan(&run.ID, &run.Lesson, &run.Block, &run.Student, &run.Drill, &run.Name, &run.Stroke, &run.Rung, &goal, &aim, &at)
	if err != nil {
		return run, err
	}
	if run.Aim, err = readPlace[court.Point](aim); err != nil {
		return run, err
	}
	if err := json.Unmarshal([]byte(goal), &run.Goal); err != nil {
		return run, fmt.Errorf("goal of run %s: %w", run.ID, err)
	}
	run.At, err = readTime(at)
	return run, err
}

// writePlace writes a place or a zone of the court as JSON, and none as null.
func writePlace[T court.Point | court.Zone](p *T) (sql.NullString, error) {
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
