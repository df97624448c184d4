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
	"hodometer/core/drill"
)

//go:embed steps/measures.sql
var measures string

// What made and missed of an attempt count is stored as its place in this list; strokes of rallies are balls.
var units = []score.Unit{score.Ball, score.Point, score.Sequence, score.Repetition, score.Time}

func unitKey(m drill.Measure) int { return max(0, slices.Index(units, m.What)) }

// measureKey finds a measure as it is now, or stores it.
func measureKey(ctx context.Context, tx *sql.Tx, m drill.Measure) (key int64, err error) {
	text, err := json.Marshal(m)
	if err != nil {
		return 0, err
	}
	if _, err := tx.ExecContext(
		ctx,
		"INSERT INTO measure (document) VALUES (?) ON CONFLICT DO NOTHING",
		string(text),
	); err != nil {
		return 0, err
	}
	return key, tx.QueryRowContext(ctx, "SELECT key FROM measure WHERE document = ?", string(text)).Scan(&key)
}

// measured brings a file up to drills and attempts with measures: what had one goal and one target has one measure.
func measured() *goose.Migration {
	return goose.NewGoMigration(11, &goose.GoFunc{RunTx: func(ctx context.Context, tx *sql.Tx) error {
		if _, err := tx.ExecContext(ctx, measures); err != nil {
			return err
		}
		goals, err := collect(
			ctx,
			tx,
			func(rows *sql.Rows) (text string, err error) { return text, rows.Scan(&text) },
			"SELECT DISTINCT goal FROM attempt",
		)
		if err != nil {
			return err
		}
		for _, text := range goals {
			var goal score.Goal
			if err := json.Unmarshal([]byte(text), &goal); err != nil {
				return fmt.Errorf("goal %s: %w", text, err)
			}
			m := drill.Measure{Number: 1, What: goal.Unit(), Goals: score.Course{goal}}
			key, err := measureKey(ctx, tx, m)
			if err != nil {
				return err
			}
			if _, err := tx.ExecContext(
				ctx,
				"UPDATE attempt SET measure = ?, unit = ? WHERE goal = ?",
				key,
				unitKey(m),
				text,
			); err != nil {
				return err
			}
		}
		if _, err := tx.ExecContext(ctx, "ALTER TABLE attempt DROP COLUMN goal"); err != nil {
			return err
		}
		for table, change := range map[string]func(map[string]any){"drill": drillMeasured, "lesson": lessonMeasured} {
			if err := rewrite(ctx, tx, table, func(document any) any {
				if fields, ok := document.(map[string]any); ok {
					change(fields)
					fields["version"] = 4
				}
				return document
			}); err != nil {
				return err
			}
		}
		return summariseAll(ctx, tx)
	}}, nil)
}

// drillMeasured puts the goal, the target and what counts of a drill into its only measure.
func drillMeasured(fields map[string]any) {
	measure := map[string]any{"number": 1, "goals": []any{fields["goal"]}}
	goal, _ := fields["goal"].(map[string]any)
	kind, _ := goal["kind"].(string)
	measure["what"] = score.Goal{Kind: score.Kind(kind)}.Unit()
	for _, name := range []string{"target", "counts"} {
		if value, ok := fields[name]; ok {
			measure[name] = value
		}
		delete(fields, name)
	}
	delete(fields, "goal")
	fields["measures"] = []any{measure}
}

// lessonMeasured has a student's other goal be that of the first measure.
func lessonMeasured(fields map[string]any) {
	blocks, _ := fields["blocks"].([]any)
	for _, block := range blocks {
		b, _ := block.(map[string]any)
		variants, _ := b["variants"].([]any)
		for _, variant := range variants {
			v, _ := variant.(map[string]any)
			if goal, ok := v["goal"]; ok {
				v["goals"] = []any{map[string]any{"measure": 1, "goals": []any{goal}}}
				delete(v, "goal")
			}
		}
	}
}
