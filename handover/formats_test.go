package handover_test

import (
	"context"
	"os"
	"regexp"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/calendar"
	"hodometer/core/exchange/booking"
	"hodometer/core/exchange/roster"
	"hodometer/core/exchange/sharing"
	"hodometer/core/exchange/shorthand"
	"hodometer/core/game"
	"hodometer/core/people/progress"
	"hodometer/core/sport/sports"
	"hodometer/handover"
	"hodometer/sheets"
)

// TestExamplesOfFormatsAreRead reads every example in docs/formats.md as what it says it is.
func TestExamplesOfFormatsAreRead(t *testing.T) {
	t.Parallel()
	text, err := os.ReadFile("../docs/formats.md")
	require.NoError(t, err)
	today := time.Date(2026, 3, 10, 15, 30, 0, 0, time.UTC)
	here := []roster.Known{}
	seen := map[string]int{}
	for _, example := range regexp.MustCompile("(?s)```(\\w+) (\\w+)\n(.*?)```").FindAllStringSubmatch(string(text), -1) {
		kind := example[1] + " " + example[2]
		seen[kind]++
		if kind == "json document" {
			opened, err := handover.Open([]byte(example[3]))
			require.NoError(t, err)
			require.NoError(t, opened[0].Err)
			if opened[0].Piece.Hodometer == sharing.Ladder {
				var d progress.Ladders
				require.NoError(t, sharing.Strict(opened[0].Piece.Document, &d))
				require.NoError(t, d.Check())
				continue
			}
			require.Equal(t, sharing.Game, opened[0].Piece.Hodometer)
			var d game.Document
			require.NoError(t, sharing.Strict(opened[0].Piece.Document, &d))
			require.NoError(t, d.Check())
			continue
		}
		if kind == "json datapackage" {
			export, file, resources := handover.Described(t, example[3])
			require.Equal(t, 1, export)
			require.Positive(t, file)
			require.Equal(t, []string{"ladder_position"}, resources)
			continue
		}
		if kind == "csv rows" {
			rows := handover.RowsOf(t, example[3])
			require.Equal(
				t,
				[]any{
					"0190a000-0000-7000-8000-000000000001",
					"0190a000-0000-7000-8000-000000000002",
					"8",
					"=quick today\nand glad",
					nil,
				},
				rows[0],
			)
			continue
		}
		if kind == "text line" {
			_, line, _ := strings.Cut(example[3], " | ")
			name, line, _ := strings.Cut(line, " | ")
			require.Equal(t, "Corner", name)
			on, err := sports.Court("tennis")
			require.NoError(t, err)
			_, _, _, err = shorthand.Read(strings.TrimSpace(line), on)
			require.NoError(t, err)
			continue
		}
		if kind == "ics bookings" {
			got, err := calendar.Read(
				context.Background(),
				[]byte(example[3]),
				today,
				today.AddDate(0, 1, 0),
				time.UTC,
				func(text string) []string { return booking.Named(text, here) },
			)
			require.NoError(t, err)
			require.Empty(t, got.Left)
			require.Len(t, got.Bookings, 4)
			require.Len(t, got.Bookings[0].Students, 2)
			continue
		}
		table, err := sheets.Read([]byte(example[3]))
		require.NoError(t, err, kind)
		switch kind {
		case "csv students":
			got := roster.Read(roster.Asked{Rows: table.Rows}, nil, today)
			require.Zero(t, got.Wrong, "%+v", got.Rows)
			require.Equal(t, len(table.Rows)-1, got.Add)
			for i, row := range got.Rows {
				here = append(here, roster.Known{ID: string(rune('a' + i)), Profile: row.Profile})
			}
			require.Equal(t, "Ben Okoro", got.Rows[1].Profile.Name)
		case "csv attendance":
			got, err := roster.ReadAttendance(
				roster.AttendanceAsked{Rows: table.Rows},
				here,
				func(roster.Presence) bool { return false },
				today,
			)
			require.NoError(t, err)
			require.Empty(t, got.Wrong)
			require.Empty(t, got.Strangers)
			require.NotEmpty(t, got.Presences)
		default:
			t.Errorf("nothing reads the example of %q", kind)
		}
	}
	require.Equal(
		t,
		map[string]int{
			"csv students":     1,
			"csv attendance":   2,
			"ics bookings":     1,
			"json document":    2,
			"text line":        1,
			"json datapackage": 1,
			"csv rows":         1,
		},
		seen,
	)
}
