package store_test

import (
	"hodometer/internal/long"

	"context"
	"fmt"
	"os"
	"path/filepath"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/internal/killed"
	"hodometer/store"
)

func TestMain(m *testing.M) {
	if killed.Task() == "update" {
		data := os.Args[1]
		s, err := store.Open(
			context.Background(),
			data,
			func(ctx context.Context, _ int64, copyTo func(context.Context, string) error) error {
				return copyTo(ctx, data+".copy")
			},
		)
		if err == nil {
			err = s.Close()
		}
		if err != nil {
			panic(err)
		}
		os.Exit(0)
	}
	os.Exit(m.Run())
}

// A file of an early format with a season's counts is brought up to date, and the program is killed on the way: nothing
// is lost, the copy of before is whole or not there, and the next start ends the work.
func TestNothingIsLostWhereAnUpdateIsKilled(t *testing.T) {
	t.Parallel()
	long.Skip(t)
	ctx := t.Context()
	early := filepath.Join(t.TempDir(), "early.db")
	const lessons, taps = 60, 100
	require.NoError(t, store.FileOf(ctx, early, 5, fmt.Sprintf(`
		WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < 40) INSERT INTO student (id, version, document) SELECT 's' || i, 1, '{"name":"Student ' || i || '"}' FROM n;
		WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < %[1]d) INSERT INTO lesson (id, version, document) SELECT 'l' || i, 1, '{"version":2,"title":"T","date":"2026-03-10","start":"16:00","minutes":60,"students":["s1"],"space":{},"note":"","blocks":[]}' FROM n;
		INSERT INTO run (id, lesson, block, student, drill, name, stroke, rung, goal, at) SELECT 'r' || lesson.id || student.id, lesson.id, 'b', student.id, 'd', 'Coin', 'forehand', 'depth', '{"kind":"total","count":9}', '2026-03-10T16:00:00.000Z' FROM lesson, student WHERE CAST(substr(student.id, 2) AS INTEGER) <= 5;
		WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < %[2]d) INSERT INTO tap (run, seq, kind, made, "of", at) SELECT run.id, n.i, 'made', 0, 0, '2026-03-10T16:00:01.000Z' FROM run, n`, lessons, taps)))
	before, err := os.ReadFile(early)
	require.NoError(t, err)
	data := filepath.Join(t.TempDir(), "club.db")
	prepare := func() {
		files, err := filepath.Glob(data + "*")
		require.NoError(t, err)
		for _, file := range files {
			require.NoError(t, os.Remove(file))
		}
		require.NoError(t, os.WriteFile(data, before, 0o600))
	}
	killed.Off(t, "update", []string{data}, prepare, func(ended bool) {
		if _, err := os.Stat(data + ".copy"); err == nil || ended {
			h, err := store.Examine(ctx, data+".copy", store.Wholly)
			require.NoError(t, err)
			require.Equal(t, int64(5), h.Format)
			require.Equal(t, lessons, h.Lessons)
		}
		s, err := store.Open(ctx, data, nil)
		require.NoError(t, err)
		defer func() { require.NoError(t, s.Close()) }()
		attempts, err := s.AttemptsOfStudent(ctx, "s3")
		require.NoError(t, err)
		require.Len(t, attempts, lessons)
		for _, a := range attempts {
			require.Equal(t, taps, a.Made)
		}
		h, err := store.Examine(ctx, data, store.Wholly)
		require.NoError(t, err)
		require.Equal(t, store.Format(), h.Format)
	})
}
