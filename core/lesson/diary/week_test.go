package diary_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/lesson/diary"
	"hodometer/internal/long"
)

func TestWeeksBeginOnMonday(t *testing.T) {
	sunday := time.Date(2026, 3, 29, 23, 59, 0, 0, time.UTC)
	require.Equal(
		t,
		[]string{"2026-03-23", "2026-03-24", "2026-03-25", "2026-03-26", "2026-03-27", "2026-03-28", "2026-03-29"},
		diary.Week(sunday, 0),
	)
	require.Equal(t, "2026-03-30", diary.Week(sunday, 1)[0])
	require.Equal(t, 1, diary.WeeksAfter(sunday, sunday.Add(time.Minute)))
	require.Equal(t, -1, diary.WeeksAfter(sunday, time.Date(2026, 3, 22, 0, 0, 0, 0, time.UTC)))
}

func TestAWeekIsAsManyWeeksAwayAsWasAskedFor(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		day := time.Date(2026, 1, 1, rapid.IntRange(0, 23).Draw(t, "hour"), 0, 0, 0, time.UTC).
			AddDate(0, 0, rapid.IntRange(-3000, 3000).Draw(t, "day"))
		after := rapid.IntRange(-500, 500).Draw(t, "after")
		week := diary.Week(day, after)
		for i, each := range week {
			on, err := time.Parse(time.DateOnly, each)
			require.NoError(t, err)
			require.Equal(t, time.Weekday((i+1)%7), on.Weekday())
			require.Equal(t, after, diary.WeeksAfter(day, on))
		}
	})
}
