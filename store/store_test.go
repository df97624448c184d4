package store_test

import (
	"database/sql"
	"fmt"
	"path/filepath"
	"sync"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/units"
	"hodometer/core/drill"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/store"
)

func open(t *testing.T, path string) *store.Store {
	s, err := store.Open(t.Context(), path, nil)
	require.NoError(t, err)
	t.Cleanup(func() { require.NoError(t, s.Close()) })
	return s
}

func fresh(t *testing.T) *store.Store {
	return open(t, filepath.Join(t.TempDir(), "a file with ? and spaces.db"))
}

func TestCollection(t *testing.T) {
	t.Parallel()
	s, ctx := fresh(t), t.Context()
	first, err := s.Students.Create(ctx, "a", student.Profile{Name: "Ada"})
	require.NoError(t, err)
	require.EqualValues(t, 1, first.Revision)

	again, err := s.Students.Create(ctx, "a", student.Profile{Name: "Ada"})
	require.NoError(t, err, "a retry is answered like the first time")
	require.Equal(t, first, again)
	_, err = s.Students.Create(ctx, "a", student.Profile{Name: "Bo"})
	require.ErrorIs(t, err, store.ErrTaken)

	second, err := s.Students.Replace(ctx, "a", 1, student.Profile{Name: "Ada B."})
	require.NoError(t, err)
	require.EqualValues(t, 2, second.Revision)
	newest, err := s.Students.Replace(ctx, "a", 1, student.Profile{Name: "lost"})
	require.ErrorIs(t, err, store.ErrStale)
	require.Equal(t, second, newest, "who comes second is shown what is there")
	again, err = s.Students.Replace(ctx, "a", 1, student.Profile{Name: "Ada B."})
	require.NoError(t, err, "a save whose answer was lost is answered like the first time")
	require.Equal(t, second, again)

	_, err = s.Students.Archive(ctx, "a", true)
	require.NoError(t, err)
	list, err := s.Students.List(ctx, false)
	require.NoError(t, err)
	require.Empty(t, list)
	list, err = s.Students.List(ctx, true)
	require.NoError(t, err)
	require.Len(t, list, 1)
	_, err = s.Students.Archive(ctx, "nobody", true)
	require.ErrorIs(t, err, store.ErrNotFound)

	require.NoError(t, s.Students.Erase(ctx, "a"))
	_, err = s.Students.Get(ctx, "a")
	require.ErrorIs(t, err, store.ErrNotFound)
	require.ErrorIs(t, s.Students.Erase(ctx, "a"), store.ErrNotFound)
}

func TestOnlyOneOfManySavesOfARevisionWins(t *testing.T) {
	t.Parallel()
	s, ctx := fresh(t), t.Context()
	_, err := s.Drills.Create(ctx, "d", drill.Document{Name: "start"})
	require.NoError(t, err)
	results := make(chan error, 16)
	var all sync.WaitGroup
	for i := range cap(results) {
		all.Go(func() {
			_, err := s.Drills.Replace(ctx, "d", 1, drill.Document{Name: fmt.Sprint("mine ", i)})
			results <- err
		})
	}
	all.Wait()
	close(results)
	won := 0
	for err := range results {
		if err == nil {
			won++
			continue
		}
		require.ErrorIs(t, err, store.ErrStale)
	}
	require.Equal(t, 1, won)
}

func TestSettings(t *testing.T) {
	t.Parallel()
	s, ctx := fresh(t), t.Context()
	settings, version, err := s.Settings(ctx)
	require.NoError(t, err)
	require.Equal(t, coach.Default(), settings)
	settings.Units = units.Feet
	version, err = s.UpdateSettings(ctx, version, settings)
	require.NoError(t, err)
	again, err := s.UpdateSettings(ctx, 0, settings)
	require.NoError(t, err, "the same settings sent again are answered like the first time")
	require.Equal(t, version, again)
	other := settings
	other.Basket++
	_, err = s.UpdateSettings(ctx, 0, other)
	require.ErrorIs(t, err, store.ErrStale)
	_, err = s.UpdateSettings(ctx, version, settings)
	require.NoError(t, err)
	record, _, err := s.Settings(ctx)
	require.NoError(t, err)
	require.Equal(t, settings, record)
}

func TestADocumentThatCannotBeReadHidesNoOther(t *testing.T) {
	t.Parallel()
	path, ctx := filepath.Join(t.TempDir(), "h.db"), t.Context()
	s := open(t, path)
	db, err := sql.Open("sqlite", path)
	require.NoError(t, err)
	t.Cleanup(func() { require.NoError(t, db.Close()) })
	_, err = db.ExecContext(
		ctx,
		`INSERT INTO student (id, revision, document) VALUES ('a', 1, '{"name":'), ('b', 1, '{"name":"Bo"}'), ('c', 1,
		'{"name":7}'), ('d', 1, '{"name":"Di","shoe":41}');
		INSERT INTO lesson (id, revision, document) VALUES ('x', 1,
		'{"title":"Odd","date":"2026-03-10","minutes":"an hour"}'), ('y', 1, '{"date":17}'),
			('z', 1, '{"title":"Good","date":"2026-03-10","start":"16:00","minutes":60}')`,
	)
	require.NoError(t, err)
	students, err := s.Students.List(ctx, false)
	require.NoError(t, err)
	require.Len(t, students, 1)
	require.Equal(t, "Bo", students[0].Document.Name)
	broken, err := s.Students.Unreadable(ctx)
	require.NoError(t, err)
	require.Len(t, broken, 3, "cut off, of another type, and with a word that would be lost")
	require.Equal(t, `{"name":`, broken[0].Text)
	for _, each := range broken {
		require.ErrorIs(t, each.Err, store.ErrUnreadable)
		_, err = s.Students.Get(ctx, each.ID)
		require.ErrorIs(t, err, store.ErrUnreadable)
		text, err := s.Students.Text(ctx, each.ID)
		require.NoError(t, err)
		require.Equal(t, each.Text, text)
		require.NoError(t, s.Students.Erase(ctx, each.ID), "and can be erased")
	}
	_, err = s.Students.Text(ctx, "a")
	require.ErrorIs(t, err, store.ErrNotFound)

	lessons, odd, err := s.LessonsBetween(ctx, "2026-03-10", "2026-03-10")
	require.NoError(t, err)
	require.Len(t, lessons, 1)
	require.Len(t, odd, 2, "one of that day, and one of no day")
	lessons, odd, err = s.LessonsBetween(ctx, "2026-03-11", "2026-03-12")
	require.NoError(t, err)
	require.Empty(t, lessons)
	require.Len(t, odd, 1)
	before, after, err := s.DaysAround(ctx, "2026-03-11", "2026-03-12")
	require.NoError(t, err)
	require.Equal(t, []string{"2026-03-10", ""}, []string{before, after})
	before, after, err = s.DaysAround(ctx, "2026-03-02", "2026-03-09")
	require.NoError(t, err)
	require.Equal(t, []string{"", "2026-03-10"}, []string{before, after}, "lessons of no day are in no week")
}
