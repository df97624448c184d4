package store

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/tally"
)

// FileOf makes a file as it was after a migration, and fills it.
func FileOf(ctx context.Context, path string, migration int64, fill string) (err error) {
	db, err := sql.Open("sqlite", dsn(path))
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, db.Close()) }()
	provider, err := migrator(db)
	if err != nil {
		return err
	}
	if _, err := provider.UpTo(ctx, migration); err != nil {
		return err
	}
	_, err = db.ExecContext(ctx, fill)
	return err
}

// TapsOfLesson returns what each device counted of the attempts of a lesson, in order.
func (s *Store) TapsOfLesson(ctx context.Context, lessonID string) ([][]tally.Entry, error) {
	runs, err := balls(ctx, s.read, "run.attempt IN (SELECT key FROM attempt WHERE lesson = ?)", lessonID)
	taps := make([][]tally.Entry, len(runs))
	for i, run := range runs {
		taps[i] = run.entries
	}
	return taps, err
}

// BallsLeft returns how many balls the file has.
func (s *Store) BallsLeft(ctx context.Context) (n int, err error) {
	return n, s.read.QueryRowContext(ctx, "SELECT count(*) FROM ball").Scan(&n)
}

// Bare makes a file that is none of ours.
func Bare(ctx context.Context, path, fill string) error {
	db, err := sql.Open("sqlite", "file:"+path)
	if err != nil {
		return err
	}
	_, err = db.ExecContext(ctx, fill)
	return errors.Join(err, db.Close())
}

// Fill writes into an open file.
func (s *Store) Fill(ctx context.Context, statements string) error {
	_, err := s.exec(ctx, statements)
	return err
}

// LimitPages has the file grow to so many pages and no further, as on a full disk; 0 leaves it free. It returns how
// many there are.
func (s *Store) LimitPages(t testing.TB, most int) (pages int) {
	t.Helper()
	require.NoError(t, s.write.QueryRowContext(t.Context(), "PRAGMA page_count").Scan(&pages))
	if most > 0 {
		_, err := s.write.ExecContext(t.Context(), fmt.Sprintf("PRAGMA max_page_count = %d", most))
		require.NoError(t, err)
	}
	return pages
}
