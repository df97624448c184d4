package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"errors"
	"fmt"

	"hodometer/core/people/coach"
)

// Settings returns the coach's settings and their revision; the defaults, at revision 0, before the
// first change.
func (s *Store) Settings(ctx context.Context) (coach.Settings, int64, error) {
	settings := coach.Default()
	var revision int64
	var text string
	err := s.read.QueryRowContext(ctx, "SELECT revision, document FROM coach WHERE id = 1").Scan(&revision, &text)
	if errors.Is(err, sql.ErrNoRows) {
		return settings, 0, nil
	}
	if err != nil {
		return settings, 0, err
	}
	// What an older file does not say keeps its default.
	return settings, revision, json.Unmarshal([]byte(text), &settings)
}

// UpdateSettings puts new settings in the place of the given revision, or fails with ErrStale. Settings that are
// there already, because their answer was lost, are answered like the first time.
func (s *Store) UpdateSettings(ctx context.Context, revision int64, settings coach.Settings) (int64, error) {
	text, err := json.Marshal(settings)
	if err != nil {
		return 0, err
	}
	statement, args := "UPDATE coach SET document = ?, revision = revision + 1 WHERE revision = ?", []any{
		string(text),
		revision,
	}
	if revision == 0 {
		statement, args = "INSERT INTO coach (id, revision, document) VALUES (1, 1, ?) ON CONFLICT DO NOTHING", args[:1]
	}
	result, err := s.exec(ctx, statement, args...)
	if err != nil {
		return 0, err
	}
	if n, err := result.RowsAffected(); err != nil {
		return 0, err
	} else if n > 0 {
		return revision + 1, nil
	}
	var there int64
	err = s.read.QueryRowContext(ctx, "SELECT revision FROM coach WHERE id = 1 AND document = ?", string(text)).
		Scan(&there)
	if errors.Is(err, sql.ErrNoRows) {
		return 0, fmt.Errorf("settings: %w", ErrStale)
	}
	return there, err
}
