package store

import (
	"context"

	"hodometer/core/lesson"
)

// LessonsBetween returns the lessons from one day to another, both included, in the order in which
// they are given. Beside them it returns those of these days, or of no day, that cannot be read.
func (s *Store) LessonsBetween(ctx context.Context, from, to string) ([]Record[lesson.Document], []Unreadable, error) {
	all, err := s.Lessons.query(
		ctx,
		s.read,
		"WHERE archived = 0 AND (date BETWEEN ? AND ? OR date IS NULL OR date < '2000' OR date >= '2100') ORDER BY date, "+
			"json_extract(document, '$.start'), id",
		from,
		to,
	)
	good, broken := split(all)
	return good, broken, err
}

// LessonsDated returns the lessons from one day to another, both included, also those that are archived, in the order
// in which they are given. Those that cannot be read are left out.
func (s *Store) LessonsDated(ctx context.Context, from, to string) ([]Record[lesson.Document], error) {
	all, err := s.Lessons.query(
		ctx,
		s.read,
		"WHERE date BETWEEN ? AND ? ORDER BY date, json_extract(document, '$.start'), id",
		from,
		to,
	)
	good, _ := split(all)
	return good, err
}

// LessonsWith returns the lessons from a day on that have a drill or a game in a block, in the order in which they are
// given. Those that cannot be read are left out.
func (s *Store) LessonsWith(ctx context.Context, played, from string) ([]Record[lesson.Document], error) {
	all, err := s.Lessons.query(ctx, s.read, `WHERE archived = 0 AND date >= ?1 AND EXISTS (
		SELECT 1 FROM json_each(document, '$.blocks') AS block WHERE ?2 IN (json_extract(block.value, '$.drill'),
		json_extract(block.value, '$.game')))
		ORDER BY date, json_extract(document, '$.start'), id`, from, played)
	good, _ := split(all)
	return good, err
}

// DrillsUsed returns the last day within some days on which each drill was in a lesson, both included.
func (s *Store) DrillsUsed(ctx context.Context, from, to string) (map[string]string, error) {
	rows, err := s.read.QueryContext(ctx, `SELECT json_extract(block.value, '$.drill') AS drill, max(date)
		FROM lesson, json_each(document, '$.blocks') AS block
		WHERE archived = 0 AND date BETWEEN ? AND ? AND drill IS NOT NULL GROUP BY drill`, from, to)
	if err != nil {
		return nil, err
	}
	defer rows.Close() //nolint:errcheck // only read
	used := map[string]string{}
	for rows.Next() {
		var drill, day string
		if err := rows.Scan(&drill, &day); err != nil {
			return nil, err
		}
		used[drill] = day
	}
	return used, rows.Err()
}

// DaysAround returns the last day with a lesson before one day, and the first after another; empty where there is none.
func (s *Store) DaysAround(ctx context.Context, from, to string) (before, after string, err error) {
	err = s.read.QueryRowContext(ctx, `SELECT
		coalesce((SELECT max(date) FROM lesson WHERE archived = 0 AND date < ? AND date >= '2000'), ''),
		coalesce((SELECT min(date) FROM lesson WHERE archived = 0 AND date > ? AND date < '2100'), '')`, from,
		to).Scan(&before, &after)
	return before, after, err
}
