package diary_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/lesson/diary"
)

func TestClashes(t *testing.T) {
	slot := func(id, start string, minutes int, students ...string) diary.Slot {
		return diary.Slot{
			ID:       id,
			Title:    "Lesson " + id,
			Date:     "2026-03-10",
			Start:    start,
			Minutes:  minutes,
			Students: students,
		}
	}
	all := []diary.Slot{
		slot("a", "16:00", 60, "noor"),
		slot("b", "17:00", 60, "noor"),
		slot("c", "16:30", 45, "teo"),
		slot("d", "23:30", 60),
	}
	names := map[string]string{"teo": "Teo", "noor": "Noor"}
	require.Equal(t, []string{"Overlaps with Lesson c, 16:30 to 17:15."}, all[0].Clashes(all, names))
	require.Equal(
		t,
		[]string{"Overlaps with Lesson c, 16:30 to 17:15; Teo is in both."},
		slot("e", "16:00", 60, "teo").Clashes(all[2:3], names),
	)
	require.Empty(t, all[0].Clashes(all[1:2], names), "one after the other")
	here, there := slot("g", "16:00", 60, "ada", "noor"), slot("h", "16:59", 60, "noor", "ada", "bo")
	here.Court, there.Court = "Two", "two"
	require.Equal(
		t,
		[]string{"Overlaps with Lesson h, 16:59 to 17:59; a student and Noor are in both; both are on court Two."},
		here.Clashes([]diary.Slot{there}, names),
	)
	midnight := diary.Slot{ID: "f", Date: "2026-03-11", Start: "00:15", Minutes: 30}
	require.Equal(
		t,
		[]string{"Overlaps with Lesson d, 2026-03-10 23:30 to 00:30."},
		midnight.Clashes(all, names),
		"past midnight",
	)
}
