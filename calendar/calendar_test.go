package calendar_test

import (
	"context"
	"math/rand/v2"
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/calendar"
	"hodometer/core/exchange/booking"
	"hodometer/internal/long"
)

func zone(t require.TestingT, name string) *time.Location {
	z, err := time.LoadLocation(name)
	require.NoError(t, err)
	return z
}

var (
	from = time.Date(2026, 3, 1, 0, 0, 0, 0, time.UTC)
	to   = time.Date(2026, 12, 1, 0, 0, 0, 0, time.UTC)
	now  = time.Date(2026, 3, 10, 15, 30, 0, 0, time.UTC)
)

func nobody(string) []string { return nil }

// file makes a calendar of lines.
func file(lines ...string) []byte {
	return []byte(
		"BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//x//EN\r\n" + strings.Join(lines, "\r\n") + "\r\nEND:VCALENDAR\r\n",
	)
}

func begins(bookings []booking.Booking) []string {
	list := make([]string, len(bookings))
	for i, b := range bookings {
		list[i] = b.Date + " " + b.Start
		if b.Cancelled {
			list[i] += " cancelled"
		}
	}
	return list
}

// What is written is read the same: the day, the start by the clock on the wall and the length, also over the change of
// clocks.
func TestLessonsThatAreWrittenAreReadTheSame(t *testing.T) {
	t.Parallel()
	long.Check(t, func(t *rapid.T) {
		home := zone(
			t,
			rapid.SampledFrom([]string{"Europe/Berlin", "America/New_York", "Australia/Lord_Howe", "Asia/Kathmandu", "UTC"}).
				Draw(t, "zone"),
		)
		day := from.AddDate(0, 0, rapid.IntRange(1, 270).Draw(t, "day"))
		start := time.Date(
			0,
			1,
			1,
			rapid.IntRange(5, 22).Draw(t, "hour"),
			rapid.SampledFrom([]int{0, 15, 30, 45}).Draw(t, "minute"),
			0,
			0,
			time.UTC,
		)
		e := calendar.Event{
			ID:       "0190a000-0000-7000-8000-00000000011c",
			Sequence: rapid.IntRange(0, 9).Draw(t, "sequence"),
			Title: rapid.StringMatching(`[A-Za-zé][A-Za-z0-9 ,;:\\é"]{0,70}[a-z]`).
				Draw(t, "title"),
			Description: "Two lines,\nand a comma; here",
			Date: day.Format(
				time.DateOnly,
			),
			Start:     start.Format("15:04"),
			Minutes:   rapid.IntRange(1, 60).Draw(t, "fives") * 5,
			Cancelled: rapid.Bool().Draw(t, "cancelled"),
		}
		written := calendar.Write("Lessons", []calendar.Event{e}, home, now)
		for _, line := range strings.Split(strings.TrimSuffix(string(written), "\r\n"), "\r\n") {
			require.LessOrEqual(t, len(line), 75, "RFC 5545, 3.1: lines are folded")
			require.NotContains(t, line, "\n")
		}
		read, err := calendar.Read(context.Background(), written, from, to.AddDate(0, 1, 0), home, nobody)
		require.NoError(t, err)
		require.Equal(t, "Lessons", read.Name)
		require.Empty(t, read.Left)
		require.Len(t, read.Bookings, 1)
		got := read.Bookings[0]
		require.Equal(
			t,
			[]any{e.Date, e.Start, e.Minutes, e.Cancelled, strings.Join(strings.Fields(e.Title), " ")},
			[]any{got.Date, got.Start, got.Minutes, got.Cancelled, got.Title},
		)
	})
}

// In 2026 the clocks of Berlin go forward on 29 March and back on 25 October (EU directive 2000/84/EC).
func TestASeriesStaysAtItsHourOverTheChangeOfClocks(t *testing.T) {
	t.Parallel()
	series := []string{
		"BEGIN:VEVENT",
		"UID:a",
		"DTSTAMP:20260101T000000Z",
		"SUMMARY:Juniors",
		"DURATION:PT1H",
		"RRULE:FREQ=WEEKLY;COUNT=3",
	}
	for _, c := range []struct {
		name, start string
		zone        []string
		want        []string
	}{
		{"a zone of the tz database", "DTSTART;TZID=Europe/Berlin:20260324T160000", nil,
			[]string{"2026-03-24 16:00", "2026-03-31 16:00", "2026-04-07 16:00"}},
		{"by the clock of where it is read", "DTSTART:20260324T160000", nil,
			[]string{"2026-03-24 16:00", "2026-03-31 16:00", "2026-04-07 16:00"}},
		{"in UTC it is an hour later by the clock on the wall", "DTSTART:20260324T150000Z", nil,
			[]string{"2026-03-24 16:00", "2026-03-31 17:00", "2026-04-07 17:00"}},
		{"a zone with a name of its own", "DTSTART;TZID=Club time:20260324T160000", []string{
			"BEGIN:VTIMEZONE", "TZID:Club time",
			"BEGIN:STANDARD", "DTSTART:16011028T030000", "RRULE:FREQ=YEARLY;BYDAY=-1SU;BYMONTH=10", "TZOFFSETFROM:+0200",
			"TZOFFSETTO:+0100", "END:STANDARD",
			"BEGIN:DAYLIGHT", "DTSTART:16010325T020000", "RRULE:FREQ=YEARLY;BYDAY=-1SU;BYMONTH=3", "TZOFFSETFROM:+0100",
			"TZOFFSETTO:+0200", "END:DAYLIGHT",
			"END:VTIMEZONE",
		}, []string{"2026-03-24 16:00", "2026-03-31 16:00", "2026-04-07 16:00"}},
	} {
		t.Run(c.name, func(t *testing.T) {
			lines := append(append(append([]string{}, c.zone...), series...), c.start, "END:VEVENT")
			read, err := calendar.Read(context.Background(), file(lines...), from, to, zone(t, "Europe/Berlin"), nobody)
			require.NoError(t, err)
			require.Empty(t, read.Left)
			require.Equal(t, c.want, begins(read.Bookings))
			require.NotEqual(t, read.Bookings[0].Instance, read.Bookings[1].Instance)
		})
	}
}

func TestASeriesIsReadWithItsExceptions(t *testing.T) {
	t.Parallel()
	berlin := zone(t, "Europe/Berlin")
	event := func(lines ...string) []string {
		return append(append([]string{"BEGIN:VEVENT", "DTSTAMP:20260101T000000Z"}, lines...), "END:VEVENT")
	}
	lines := event(
		"UID:a",
		"SUMMARY:Noor\\, Teo",
		"DTSTART;TZID=Europe/Berlin:20260303T160000",
		"DTEND;TZID=Europe/Berlin:20260303T170000",
		"RRULE:FREQ=WEEKLY;UNTIL=20260401T000000Z",
		"EXDATE;TZID=Europe/Berlin:20260310T160000",
		"RDATE;TZID=Europe/Berlin:20260305T160000",
	)
	lines = append(
		lines,
		event(
			"UID:a",
			"RECURRENCE-ID;TZID=Europe/Berlin:20260317T160000",
			"SEQUENCE:1",
			"SUMMARY:Noor and Teo\\, later",
			"DTSTART;TZID=Europe/Berlin:20260318T173000",
			"DURATION:PT45M",
		)...)
	lines = append(
		lines,
		event(
			"UID:a",
			"RECURRENCE-ID;TZID=Europe/Berlin:20260324T160000",
			"STATUS:CANCELLED",
			"SUMMARY:Noor",
			"DTSTART;TZID=Europe/Berlin:20260324T160000",
			"DURATION:PT1H",
		)...)
	lines = append(lines, event("UID:b", "SUMMARY:Club day", "DTSTART;VALUE=DATE:20260320")...)
	lines = append(
		lines,
		event("UID:c", "SUMMARY:Every second", "DTSTART:20260302T100000Z", "DURATION:PT1H", "RRULE:FREQ=SECONDLY")...)
	lines = append(
		lines,
		event(
			"UID:d",
			"SUMMARY:Never",
			"DTSTART:20260302T110000Z",
			"DURATION:PT1H",
			"RRULE:FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30",
		)...)
	begun := time.Now()
	read, err := calendar.Read(context.Background(), file(lines...), from, to, berlin, func(text string) []string {
		if strings.Contains(text, "Noor") {
			return []string{"noor"}
		}
		return nil
	})
	require.NoError(t, err)
	require.Less(t, time.Since(begun), 5*time.Second)
	require.Equal(t, []string{
		"2026-03-02 11:00",
		"2026-03-02 12:00",
		"2026-03-03 16:00",
		"2026-03-05 16:00",
		"2026-03-18 17:30",
		"2026-03-24 16:00 cancelled",
		"2026-03-31 16:00",
	}, begins(read.Bookings))
	require.Equal(t, []string{"noor"}, read.Bookings[2].Students)
	require.Equal(t, "Noor, Teo", read.Bookings[2].Title)
	require.Equal(t, 45, read.Bookings[4].Minutes)
	require.Equal(t, "20260317T150000Z", read.Bookings[4].Instance)
	require.Len(t, read.Left, 2)
	require.Contains(t, read.Left[0], "whole days")
	require.Contains(t, read.Left[1], "only its first time is taken")
}

func TestWhatIsNoCalendarIsToldInWords(t *testing.T) {
	t.Parallel()
	good := calendar.Write(
		"Lessons",
		[]calendar.Event{{ID: "a", Title: "Juniors", Date: "2026-03-10", Start: "16:00", Minutes: 60}},
		zone(t, "Europe/Berlin"),
		now,
	)
	for cut := range len(good) - 2 {
		_, err := calendar.Read(context.Background(), good[:cut], from, to, time.UTC, nobody)
		require.ErrorIs(t, err, calendar.ErrUnreadable, "cut at %d", cut)
	}
	_, err := calendar.Read(context.Background(), []byte(strings.Repeat("x", 5<<20)), from, to, time.UTC, nobody)
	require.ErrorContains(t, err, "larger than 4 MB")
	var many []string
	for range 3 {
		many = append(
			many,
			"BEGIN:VEVENT",
			"UID:"+strings.Repeat("u", len(many)+1),
			"DTSTAMP:20260101T000000Z",
			"DTSTART:20260301T000000Z",
			"DURATION:PT5M",
			"RRULE:FREQ=DAILY;BYHOUR=0,1,2,3,4,5,6,7,8,9,10,11",
			"END:VEVENT",
		)
	}
	_, err = calendar.Read(context.Background(), file(many...), from, to, time.UTC, nobody)
	require.ErrorContains(t, err, "more than 2000 bookings")
}

func FuzzRead(f *testing.F) {
	f.Add(
		calendar.Write(
			"Lessons",
			[]calendar.Event{{ID: "a", Title: "Juniors", Date: "2026-03-10", Start: "16:00", Minutes: 60}},
			zone(f, "Europe/Berlin"),
			now,
		),
	)
	f.Add(
		file(
			"BEGIN:VEVENT",
			"UID:a",
			"DTSTART:20260303T160000",
			"DURATION:PT1H",
			"RRULE:FREQ=WEEKLY;BYDAY=TU",
			"EXDATE:20260310T160000",
			"END:VEVENT",
		),
	)
	f.Fuzz(func(t *testing.T, data []byte) {
		read, err := calendar.Read(context.Background(), data, from, to, time.UTC, nobody)
		if err != nil {
			require.ErrorIs(t, err, calendar.ErrUnreadable)
			return
		}
		require.LessOrEqual(t, len(read.Bookings), calendar.MaxBookings)
	})
}

// Thousands of spoiled files: each is read or told, and none takes long.
func TestSpoiledFilesAreToldAndTakeNoTime(t *testing.T) {
	t.Parallel()
	good := file(
		"BEGIN:VEVENT",
		"UID:a",
		"DTSTART;TZID=Europe/Berlin:19700303T160000",
		"DURATION:PT1H",
		"RRULE:FREQ=DAILY;INTERVAL=3;BYDAY=TU,WE;BYSETPOS=1",
		"EXDATE:20260310T160000",
		"END:VEVENT",
	)
	draw := rand.New(rand.NewPCG(1, 0)) //nolint:gosec // a sample, not a secret
	for range long.Rounds(1000, 10_000) {
		spoiled := slices.Clone(good)
		for range 1 + draw.IntN(8) {
			spoiled[draw.IntN(len(spoiled))] = "0123456789ABCSUMOTEWFRH;=:,-\r\n"[draw.IntN(30)]
		}
		begun := time.Now()
		read, err := calendar.Read(context.Background(), spoiled, from, to, time.UTC, nobody)
		require.Less(t, time.Since(begun), 5*time.Second, "%s", spoiled) // a fifth of it on this machine at the very most
		if err != nil {
			require.ErrorIs(t, err, calendar.ErrUnreadable)
			continue
		}
		require.LessOrEqual(t, len(read.Bookings), calendar.MaxBookings)
	}
}
