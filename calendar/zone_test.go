package calendar

import (
	"os"
	"path/filepath"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
)

func TestTheZoneOfTheMachine(t *testing.T) {
	t.Parallel()
	folder := t.TempDir()
	named := filepath.Join(folder, "zoneinfo", "Europe", "Berlin")
	require.NoError(t, os.MkdirAll(filepath.Dir(named), 0o700))
	copied := filepath.Join(folder, "copied")
	for _, file := range []string{named, copied} {
		require.NoError(t, os.WriteFile(file, []byte("TZif"), 0o600))
	}
	link := filepath.Join(folder, "localtime")
	require.NoError(t, os.Symlink(named, link))
	for _, c := range []struct{ what, name, file, want string }{
		{"it has a name", "America/New_York", copied, "America/New_York"},
		{"its file is a link to one that has", "Local", link, "Europe/Berlin"},
		{"its file is a copy", "Local", copied, "Local"},
		{"it has no file, as on other systems", "Local", filepath.Join(folder, "none"), "Local"},
		{"its name is in no database", "Nowhere/Else", copied, "Local"},
		{"it keeps universal time", "UTC", copied, "UTC"},
	} {
		t.Run(c.what, func(t *testing.T) { require.Equal(t, c.want, homeAs(c.name, c.file).String()) })
	}
}

// A machine whose zone has no name that is known: its clocks are described, so that every program has the lesson at the
// same moment. In 2026 the clocks of Berlin go forward on 29 March (EU directive 2000/84/EC): 16:00 is 15:00 UTC
// before, and 14:00 UTC after.
func TestAZoneWithoutANameIsDescribed(t *testing.T) {
	t.Parallel()
	before := time.Local
	t.Cleanup(func() { time.Local = before })
	berlin, err := time.LoadLocation("Europe/Berlin")
	require.NoError(t, err)
	time.Local = berlin

	event := func(id, date string) Event {
		return Event{ID: id, Title: "Juniors", Date: date, Start: "16:00", Minutes: 60}
	}
	at := time.Date(2026, 3, 10, 15, 30, 0, 0, time.UTC)
	written := Write("Lessons", []Event{event("a", "2026-03-24"), event("b", "2026-03-31")}, time.Local, at)
	require.Contains(t, string(written), "TZID=Local time:20260324T160000")
	require.NotContains(t, string(written), "X-WR-TIMEZONE")

	read, err := Read(t.Context(), written, at, at.AddDate(0, 1, 0), time.UTC, func(string) []string { return nil })
	require.NoError(t, err)
	require.Len(t, read.Bookings, 2)
	require.Equal(t, []string{"15:00", "14:00"}, []string{read.Bookings[0].Start, read.Bookings[1].Start})
}
