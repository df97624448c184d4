package diary_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/lesson/diary"
)

// By hand, to the minute: what begins as another ends is no clash, and what is known of both is said.
func TestClashesByTheMinute(t *testing.T) {
	t.Parallel()
	names := map[string]string{"a": "Ada", "b": "Ben"}
	own := diary.Slot{
		ID:       "1",
		Title:    "Own",
		Date:     "2026-03-10",
		Start:    "10:00",
		Minutes:  60,
		Students: []string{"a", "b", "x"},
		Court:    "3",
	}
	other := func(date, start string, minutes int, court string, students ...string) diary.Slot {
		return diary.Slot{
			ID:       "2",
			Title:    "Other",
			Date:     date,
			Start:    start,
			Minutes:  minutes,
			Students: students,
			Court:    court,
		}
	}
	for _, c := range []struct {
		other diary.Slot
		want  []string
	}{
		{other("2026-03-10", "11:00", 60, "3"), []string{}},
		{other("2026-03-10", "09:00", 60, "3"), []string{}},
		{other("2026-03-10", "10:59", 60, "4"), []string{"Overlaps with Other, 10:59 to 11:59."}},
		{other("2026-03-10", "09:00", 61, ""), []string{"Overlaps with Other, 09:00 to 10:01."}},
		{other("2026-03-10", "10:30", 10, "3", "a"),
			[]string{"Overlaps with Other, 10:30 to 10:40; Ada is in both; both are on court 3."}},
		{other("2026-03-10", "10:30", 10, "4", "x", "b"),
			[]string{"Overlaps with Other, 10:30 to 10:40; Ben and a student are in both."}},
		{other("2026-03-09", "23:00", 700, ""), []string{"Overlaps with Other, 2026-03-09 23:00 to 10:40."}},
		{other("not a day", "10:30", 10, "3"), []string{}},
	} {
		require.Equal(t, c.want, own.Clashes([]diary.Slot{c.other}, names))
	}
	same := own
	require.Empty(t, own.Clashes([]diary.Slot{same}, names), "it is the same lesson")
	same.ID, same.Date = "2", "x"
	require.Empty(t, same.Clashes([]diary.Slot{own}, names), "nobody knows when it is")
}

// By hand: Tuesday the 10th of March 2026.
func TestWeeksByHand(t *testing.T) {
	t.Parallel()
	day := time.Date(2026, 3, 10, 23, 30, 0, 0, time.UTC)
	require.Equal(
		t,
		[]string{"2026-03-09", "2026-03-10", "2026-03-11", "2026-03-12", "2026-03-13", "2026-03-14", "2026-03-15"},
		diary.Week(day, 0),
	)
	require.Equal(t, "2026-03-23", diary.Week(day, 2)[0])
	require.Equal(t, "2026-03-02", diary.Week(day, -1)[0])
	sunday, monday := day.AddDate(0, 0, 5), day.AddDate(0, 0, -1)
	require.Equal(t, "2026-03-09", diary.Week(sunday, 0)[0])
	require.Equal(t, "2026-03-09", diary.Week(monday, 0)[0])
	require.Equal(t, 0, diary.WeeksAfter(monday, sunday))
	require.Equal(t, 1, diary.WeeksAfter(sunday, sunday.AddDate(0, 0, 1)))
	require.Equal(t, -1, diary.WeeksAfter(monday, monday.AddDate(0, 0, -1)))
	require.Equal(t, 5, diary.WeeksAfter(day, day.AddDate(0, 0, 35)))
}
