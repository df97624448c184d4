package demo_test

import (
	"path/filepath"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/people/student"
	"hodometer/demo"
	"hodometer/store"
)

var now = time.Date(2026, 3, 10, 9, 0, 0, 0, time.UTC)

func TestDemoHoldsAClub(t *testing.T) {
	path, ctx := filepath.Join(t.TempDir(), "demo.db"), t.Context()
	s, err := demo.Open(ctx, path, now, 0)
	require.NoError(t, err)
	students, err := s.Students.List(ctx, false)
	require.NoError(t, err)
	require.GreaterOrEqual(t, len(students), 10)
	hands, bySport, ages := map[any]int{}, map[any]int{}, map[any]int{}
	for _, stored := range students {
		hands[stored.Document.Hand]++
		bySport[stored.Document.Sport]++
		ages[stored.Document.Age]++
	}
	require.Positive(t, hands[student.LeftHand])
	require.Len(t, bySport, 5)
	require.Len(t, ages, 6)

	for _, day := range []string{"2026-03-10", "2026-03-11"} {
		lessons, _, err := s.LessonsBetween(ctx, day, day)
		require.NoError(t, err)
		require.NotEmpty(t, lessons, day)
	}
	past, _, err := s.LessonsBetween(ctx, "2026-02-17", "2026-03-09")
	require.NoError(t, err)
	require.GreaterOrEqual(t, len(past), 15)
	for _, l := range past {
		attempts, err := s.AttemptsOfLesson(ctx, l.ID)
		require.NoError(t, err)
		require.NotEmpty(t, attempts)
		for _, attempt := range attempts {
			require.NotZero(t, attempt.Balls)
		}
	}
	_, err = s.Students.Archive(ctx, students[0].ID, true)
	require.NoError(t, err)
	require.NoError(t, s.Close())

	again, err := demo.Open(ctx, path, now.AddDate(0, 0, 1), 0)
	require.NoError(t, err)
	stored, err := again.Students.Get(ctx, students[0].ID)
	require.NoError(t, err)
	require.True(t, stored.Archived, "a demo is opened as it was left")
	require.NoError(t, again.Close())
}

func TestDemoDoesNotTouchRealData(t *testing.T) {
	path := filepath.Join(t.TempDir(), "hodometer.db")
	s, err := store.Open(t.Context(), path, nil)
	require.NoError(t, err)
	_, err = s.Students.Create(t.Context(), "a", student.Profile{Name: "Ada"})
	require.NoError(t, err)
	require.NoError(t, s.Close())
	_, err = demo.Open(t.Context(), path, now, 0)
	require.ErrorIs(t, err, demo.ErrRealData)
}

func TestYearsOfABusyCoach(t *testing.T) {
	now, ctx := time.Date(2026, 3, 10, 15, 30, 0, 0, time.UTC), t.Context()
	s, err := demo.Open(ctx, filepath.Join(t.TempDir(), "busy.db"), now, 1)
	require.NoError(t, err)
	defer func() { require.NoError(t, s.Close()) }()
	lessons, broken, err := s.LessonsBetween(ctx, "2025-03-10", "2026-02-01")
	require.NoError(t, err)
	require.Empty(t, broken)
	require.Greater(t, len(lessons), 900, "twenty a week")
	for _, l := range lessons {
		require.NoError(t, l.Document.Check())
		attempts, err := s.AttemptsOfLesson(ctx, l.ID)
		require.NoError(t, err)
		require.NotEmpty(t, attempts)
		for _, a := range attempts {
			require.Equal(t, 23, a.Balls)
			require.Contains(t, l.Document.Students, a.Student)
		}
	}
}
