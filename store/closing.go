package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"errors"
	"fmt"

	"hodometer/core/lesson"
	"hodometer/core/live/closing"
)

// Planned is a lesson as it was planned when it was begun; nil where it was not, or that was not kept.
func (s *Store) Planned(ctx context.Context, lessonID string) (*lesson.Document, error) {
	var text sql.NullString
	err := s.read.QueryRowContext(ctx, "SELECT planned FROM clock WHERE lesson = ?", lessonID).Scan(&text)
	if errors.Is(err, sql.ErrNoRows) {
		return nil, nil //nolint:nilnil // no plan is no fault
	}
	if err != nil {
		return nil, err
	}
	return readJSON[lesson.Document](text)
}

// Closing is what was said of a lesson at its end; empty where nothing was.
func (s *Store) Closing(ctx context.Context, lessonID string) (closing.Document, error) {
	d := closing.Document{Blocks: []closing.Marked{}}
	var text string
	err := s.read.QueryRowContext(ctx, "SELECT document FROM closing WHERE lesson = ?", lessonID).Scan(&text)
	if errors.Is(err, sql.ErrNoRows) {
		return d, nil
	}
	if err != nil {
		return d, err
	}
	return d, json.Unmarshal([]byte(text), &d)
}

// SetClosing keeps what is said of a lesson at its end. The error wraps ErrNotFound where the lesson is gone.
func (s *Store) SetClosing(ctx context.Context, lessonID string, d closing.Document) error {
	text, err := json.Marshal(d)
	if err != nil {
		return err
	}
	result, err := s.exec(ctx, `INSERT INTO closing (lesson, document) SELECT id, ? FROM lesson WHERE id = ?
		ON CONFLICT (lesson) DO UPDATE SET document = excluded.document`, string(text), lessonID)
	if err != nil {
		return err
	}
	if n, err := result.RowsAffected(); err != nil || n == 0 {
		return errors.Join(err, fmt.Errorf("lesson %s: %w", lessonID, ErrNotFound))
	}
	return nil
}

// Unclosed are the lessons from a day on that were begun, are no longer on their way, and of which the coach has not
// said that that is all, the newest first. Those that were begun before plans were kept are left out.
func (s *Store) Unclosed(ctx context.Context, from string, limit int) ([]Record[lesson.Document], error) {
	all, err := s.Lessons.query(ctx, s.read, `WHERE archived = 0 AND date >= ? AND id IN (
			SELECT lesson FROM clock WHERE planned IS NOT NULL AND finished = 1
			AND lesson NOT IN (SELECT lesson FROM closing WHERE json_extract(document, '$.done')))
		ORDER BY date DESC, id LIMIT ?`, from, limit)
	good, _ := split(all)
	return good, err
}
