package store

import (
	"context"
	"database/sql"
	"time"

	"hodometer/core/people/ladder"
	"hodometer/core/sport/sports"
)

// LadderPosition is a rung that a student came to.
type LadderPosition struct {
	Student string
	Stroke  sports.Stroke
	Rung    ladder.Quality
	At      time.Time
}

// SetLadderPosition keeps a rung that a student came to.
func (s *Store) SetLadderPosition(ctx context.Context, position LadderPosition) error {
	_, err := s.exec(ctx, `INSERT INTO ladder_position (student, stroke, at, rung) VALUES (?, ?, ?, ?)
		ON CONFLICT DO UPDATE SET rung = excluded.rung`, position.Student, position.Stroke, writeTime(position.At),
		position.Rung)
	return err
}

// LadderPositions returns the rungs a student came to, oldest first.
func (s *Store) LadderPositions(ctx context.Context, studentID string) ([]LadderPosition, error) {
	return collect(ctx, s.read, func(rows *sql.Rows) (LadderPosition, error) {
		position := LadderPosition{Student: studentID}
		var at string
		err := rows.Scan(&position.Stroke, &position.Rung, &at)
		if err != nil {
			return position, err
		}
		position.At, err = readTime(at)
		return position, err
	}, "SELECT stroke, rung, at FROM ladder_position WHERE student = ? ORDER BY at", studentID)
}
