package calendar_test

import (
	"context"
	"fmt"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/calendar"
)

func ofSeries(n int, rule string) []byte {
	var b strings.Builder
	b.WriteString("BEGIN:VCALENDAR\r\nVERSION:2.0\r\nX-WR-CALNAME:" + strings.Repeat("n", 300_000) + "\r\n")
	for i := range n {
		fmt.Fprintf(
			&b,
			"BEGIN:VEVENT\r\nUID:%d\r\nDTSTART:20260310T160000Z\r\nDTEND:20260310T170000Z\r\n"+
				"SUMMARY:Lesson\r\nRRULE:%s\r\nEND:VEVENT\r\n",
			i,
			rule,
		)
	}
	b.WriteString("END:VCALENDAR\r\n")
	return []byte(b.String())
}

// Series that never take place are looked for in few of them only, a name is as long as is shown, and who does not wait
// any more is not read for.
func TestACostlyCalendarIsRefused(t *testing.T) {
	t.Parallel()
	from := time.Date(2026, 3, 1, 0, 0, 0, 0, time.UTC)
	read := func(ctx context.Context, n int, rule string) (calendar.Calendar, error) {
		return calendar.Read(
			ctx,
			ofSeries(n, rule),
			from,
			from.AddDate(0, 1, 0),
			time.UTC,
			func(string) []string { return nil },
		)
	}
	_, err := read(t.Context(), 3000, "FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30")
	require.ErrorContains(t, err, "series that never take place")
	few, err := read(t.Context(), 3, "FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30")
	require.NoError(t, err)
	require.Len(t, few.Bookings, 3, "their first time is taken all the same")
	require.LessOrEqual(t, len(few.Name), 200)
	good, err := read(t.Context(), 40, "FREQ=WEEKLY;COUNT=2")
	require.NoError(t, err)
	require.Len(t, good.Bookings, 80)
	cancelled, cancel := context.WithCancel(t.Context())
	cancel()
	_, err = read(cancelled, 3000, "FREQ=WEEKLY")
	require.ErrorIs(t, err, context.Canceled)
}
