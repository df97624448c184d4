package store

import (
	"context"
	"database/sql"

	"hodometer/core/count/reliability"
	"hodometer/core/live/closing"
)

// Forecasts returns what was told of the goals of a lesson when it began, block by block.
func (s *Store) Forecasts(ctx context.Context, lessonID string) ([]closing.Told, error) {
	return collect(ctx, s.read, func(rows *sql.Rows) (t closing.Told, err error) {
		return t, rows.Scan(&t.Block, &t.Student, &t.Measure, &t.Chance, &t.Tries)
	}, "SELECT block, student, measure, chance, tries FROM forecast WHERE lesson = ? ORDER BY block, student, measure",
		lessonID)
}

// KeepOutcomes keeps what became of what was told of a lesson, one each; nil where it is not known.
func (s *Store) KeepOutcomes(ctx context.Context, lessonID string, told []closing.Told, met []*bool) error {
	return s.in(ctx, func(tx *sql.Tx) error {
		for i, t := range told {
			if _, err := tx.ExecContext(ctx,
				"UPDATE forecast SET met = ? WHERE lesson = ? AND block = ? AND student = ? AND measure = ?",
				met[i], lessonID, t.Block, t.Student, t.Measure); err != nil {
				return err
			}
		}
		return nil
	})
}

// Outcomes returns what was told of which it is known what became of it, of all lessons.
func (s *Store) Outcomes(ctx context.Context) ([]reliability.Outcome, error) {
	return collect(ctx, s.read, func(rows *sql.Rows) (o reliability.Outcome, err error) {
		return o, rows.Scan(&o.Chance, &o.Met)
	}, "SELECT chance, met FROM forecast WHERE met IS NOT NULL ORDER BY lesson, block, student, measure")
}

// keepTold keeps what is told of a lesson that begins; what was told already stays.
func keepTold(ctx context.Context, tx *sql.Tx, lessonID string, told []closing.Told) error {
	for _, t := range told {
		if _, err := tx.ExecContext(ctx, `INSERT INTO forecast (lesson, block, student, measure, chance, tries)
			SELECT ?1, ?2, id, ?4, ?5, ?6 FROM student WHERE id = ?3 ON CONFLICT DO NOTHING`,
			lessonID, t.Block, t.Student, t.Measure, t.Chance, t.Tries); err != nil {
			return err
		}
	}
	return nil
}
