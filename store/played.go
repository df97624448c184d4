package store

import (
	"context"

	"hodometer/core/game"
)

// PlayedOf returns the games that were played, the newest first, so many after the first ones: of a student, or of
// everybody where that is empty; and how many there are in all.
func (s *Store) PlayedOf(ctx context.Context, student string, skip, limit int) ([]Record[game.Match], int, error) {
	const where = `WHERE archived = 0 AND (? = '' OR EXISTS (SELECT 1 FROM json_each(document, '$.players') AS p WHERE p.value = ?))`
	var total int
	if err := s.read.QueryRowContext(ctx, "SELECT count(*) FROM played "+where, student, student).
		Scan(&total); err != nil {
		return nil, 0, err
	}
	all, err := s.Played.query(
		ctx,
		s.read,
		where+" ORDER BY date DESC, id DESC LIMIT ? OFFSET ?",
		student,
		student,
		limit,
		skip,
	)
	good, _ := split(all)
	return good, total, err
}

// MeasuredOf returns the games of a student from a day on in which strokes are counted beside the score, oldest first.
func (s *Store) MeasuredOf(ctx context.Context, student, from string) ([]Record[game.Match], error) {
	all, err := s.Played.query(
		ctx,
		s.read,
		`WHERE archived = 0 AND date >= ? AND json_array_length(document, '$.rules.measures') > 0
		AND EXISTS (SELECT 1 FROM json_each(document, '$.players') AS p WHERE p.value = ?) ORDER BY date, id`,
		from,
		student,
	)
	good, _ := split(all)
	return good, err
}

// PlayedSince returns the games of a sport that were played from a day on, for a ranking.
func (s *Store) PlayedSince(ctx context.Context, sport, from string) ([]Record[game.Match], error) {
	all, err := s.Played.query(
		ctx,
		s.read,
		"WHERE archived = 0 AND date >= ? AND json_extract(document, '$.sport') = ? ORDER BY date, id",
		from,
		sport,
	)
	good, _ := split(all)
	return good, err
}
