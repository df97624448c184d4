package roster_test

import (
	"encoding/json"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/exchange/roster"
	"hodometer/core/people/student"
)

// cells are those of a table as it is pasted.
func cells(text string) [][]string {
	var rows [][]string
	for line := range strings.Lines(text) {
		rows = append(rows, strings.Split(strings.TrimRight(line, "\n"), "\t"))
	}
	return rows
}

var someone = []roster.Known{
	{ID: "00000000-0000-4000-8000-000000000001", Profile: student.Profile{Name: "Noor Haldane"}},
}

// Whatever a table has in it, it is read within its bounds: each row is a student to bring in, or says what is wrong,
// and the same table reads the same.
func FuzzRead(f *testing.F) {
	f.Add("Name\tBorn\tSport\nNoor Haldane\t3.4.2015\tTennis\nTeo\t2016\tpadel?\n")
	f.Add("Surname, first name\tHand\nHaldane, Noor\tleft\n\t\n")
	f.Add("\tname\n\x00\t\u202e\n")
	today := time.Date(2026, 3, 10, 12, 0, 0, 0, time.UTC)
	f.Fuzz(func(t *testing.T, text string) {
		asked := roster.Asked{Rows: cells(text)}
		reading := roster.Read(asked, someone, today)
		require.LessOrEqual(t, len(reading.Rows), len(asked.Rows))
		first, err := json.Marshal(reading)
		require.NoError(t, err)
		again, err := json.Marshal(roster.Read(asked, someone, today))
		require.NoError(t, err)
		require.Equal(t, string(first), string(again))
	})
}

// Whatever a table of attendance has in it, it is read, or refused in words.
func FuzzReadAttendance(f *testing.F) {
	f.Add("Name\t3.3.2026\t10.3.2026\nNoor Haldane\tx\t\n")
	f.Add("date\tname\n2026-03-03\tNoor Haldane\n")
	f.Add("\t\t\n")
	today := time.Date(2026, 3, 10, 12, 0, 0, 0, time.UTC)
	f.Fuzz(func(t *testing.T, text string) {
		asked := roster.AttendanceAsked{Rows: cells(text)}
		reading, err := roster.ReadAttendance(asked, someone, func(roster.Presence) bool { return false }, today)
		if err != nil {
			require.NotEmpty(t, err.Error())
			return
		}
		for _, p := range reading.Presences {
			_, err := time.Parse(time.DateOnly, p.Day)
			require.NoError(t, err)
		}
	})
}
