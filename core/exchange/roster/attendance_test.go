package roster_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/exchange/roster"
	"hodometer/core/people/student"
)

var here = []roster.Known{
	{ID: "a", Profile: student.Profile{Name: "Ada Fenn"}},
	{ID: "b", Profile: student.Profile{Name: "Ben Okoro"}},
}

func none(roster.Presence) bool { return false }

func TestATableWithAColumnForEachDay(t *testing.T) {
	rows := table("Name|3.3.2026|10.3.2026|17.3.2026", "Ada Fenn|x|x|", "okoro, ben||✓|", "Cleo|x||")
	got, err := roster.ReadAttendance(roster.AttendanceAsked{Rows: rows[:3]}, here, none, today)
	require.NoError(t, err)
	require.Equal(t, roster.DayColumns, got.Layout)
	require.True(t, got.Blank)
	require.Len(t, got.Wrong, 2, "the 17th is still to come, for both")
	require.Equal(t, []roster.Presence{
		{Student: "a", Day: "2026-03-03", Came: true}, {Student: "a", Day: "2026-03-10", Came: true},
		{Student: "b", Day: "2026-03-03"}, {Student: "b", Day: "2026-03-10", Came: true},
	}, got.Presences)
	require.Equal(t, 2, got.Days)
	require.Equal(t, 2, got.Students)

	got, err = roster.ReadAttendance(roster.AttendanceAsked{Rows: rows}, here, none, today)
	require.NoError(t, err)
	require.Equal(t, []string{"Cleo"}, got.Strangers)
	got, err = roster.ReadAttendance(
		roster.AttendanceAsked{Rows: rows, People: []roster.Person{{Name: "cleo"}}},
		here,
		none,
		today,
	)
	require.NoError(t, err)
	require.Empty(t, got.Strangers, "left out by choice")

	// Where there is a sign for not being there, nothing says nothing.
	got, err = roster.ReadAttendance(
		roster.AttendanceAsked{Rows: table("Name|2026-03-03|2026-03-10", "Ada Fenn|x|", "Ben Okoro|-|maybe")},
		here,
		none,
		today,
	)
	require.NoError(t, err)
	require.False(t, got.Blank)
	require.Equal(
		t,
		[]roster.Presence{{Student: "a", Day: "2026-03-03", Came: true}, {Student: "b", Day: "2026-03-03"}},
		got.Presences,
	)
	require.Equal(
		t,
		[]roster.AttendanceFlaw{
			{Row: 3, Column: 2, Message: "“maybe” does not say whether somebody was there: write yes or no, x or nothing"},
		},
		got.Wrong,
	)
}

func TestATableWithARowForEachTime(t *testing.T) {
	rows := table(
		"Name|Date|Start|Lesson|Came|Minutes",
		"Ada Fenn|2026-03-03|16:00|Juniors|yes|60",
		"Ben Okoro|2026-03-03||Juniors|no|",
		"Ada Fenn|2026-03-03||juniors|yes|",
		"Ada Fenn|2026-03-03||Juniors|no|",
		"Ada Fenn|soon||Juniors|no|",
	)
	kept := func(p roster.Presence) bool { return p.Student == "b" }
	got, err := roster.ReadAttendance(roster.AttendanceAsked{Rows: rows}, here, kept, today)
	require.NoError(t, err)
	require.Equal(t, roster.RowEach, got.Layout)
	require.Equal(t, 2, got.Before, "kept already, and the second time in the table")
	require.Len(t, got.Presences, 2)
	require.Equal(t, "Juniors", got.Presences[0].Lesson)
	require.Equal(t, 6, got.Wrong[0].Row)

	for _, rows := range [][][]string{table("Name|Age", "Ada|9"), table("Name")} {
		_, err = roster.ReadAttendance(roster.AttendanceAsked{Rows: rows}, here, none, today)
		require.ErrorContains(t, err, "rows")
	}
}

// Late is kept as came, and sick as was not there: what is lost by it is told.
func TestWordsThatSayMoreThanIsKeptAreTold(t *testing.T) {
	got, err := roster.ReadAttendance(
		roster.AttendanceAsked{
			Rows: table("Name|2026-03-02|2026-03-03|2026-03-04", "Ada Fenn|late|x|Sick", "Ben Okoro|Late|no|yes"),
		},
		here,
		none,
		today,
	)
	require.NoError(t, err)
	require.Len(t, got.Presences, 6)
	require.Equal(t, []roster.TakenAs{{Word: "late", Came: true, Times: 2}, {Word: "sick", Times: 1}}, got.Taken)
}
