package student_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/people/student"
)

func day(t *testing.T, text string) time.Time {
	t.Helper()
	at, err := time.Parse(time.DateOnly, text)
	require.NoError(t, err)
	return at
}

// TestHowOldSomebodyIs on the day before a birthday, on it and after it.
func TestHowOldSomebodyIs(t *testing.T) {
	t.Parallel()
	for _, c := range []struct {
		born, on string
		want     int
	}{
		{"2016-05-20", "2026-05-19", 9}, {"2016-05-20", "2026-05-20", 10}, {"2016-05-20", "2026-05-21", 10},
		{"2016-05-20", "2026-04-30", 9}, {"2016-05-20", "2026-06-01", 10},
		{"2016-02-29", "2026-02-28", 9}, {"2016-02-29", "2026-03-01", 10}, {"2026-05-20", "2025-05-20", -1},
	} {
		require.Equal(t, c.want, student.AgeOn(day(t, c.born), day(t, c.on)), "%s on %s", c.born, c.on)
	}
	for years, want := range map[int]student.AgeBand{
		7: student.Under8, 8: student.Eight, 10: student.Eight, 11: student.Eleven, 13: student.Eleven,
		14: student.Fourteen, 17: student.Fourteen, 18: student.Adult, 59: student.Adult,
		60: student.Sixty, 99: student.Sixty,
	} {
		require.Equal(t, want, student.BandOf(years), "%d", years)
	}
	today := day(t, "2026-03-10")
	for born, wrong := range map[string]string{
		"2026-03-11": "still to come", "2025-03-10": "look at the year", "1915-03-10": "look at the year",
		"2024-03-10": "", "1916-03-10": "", "2026-03-10": "look at the year",
	} {
		err := student.CheckBorn(day(t, born), today)
		if wrong == "" {
			require.NoError(t, err, born)
			continue
		}
		require.ErrorContains(t, err, wrong, born)
	}
	for _, c := range []struct {
		profile student.Profile
		band    student.AgeBand
		grown   bool
	}{
		{student.Profile{Age: student.Eight}, student.Eight, false},
		{student.Profile{Age: student.Eight, Born: "2015-03-10"}, student.Eleven, true},
		{student.Profile{Age: student.Eight, Born: "2015-03-11"}, student.Eight, false},
	} {
		band, grown := c.profile.Grown(today)
		require.Equal(t, []any{c.band, c.grown}, []any{band, grown}, "%+v", c.profile)
	}
}

// TestWhatHurtsInWords: with and without a side, words and a place.
func TestWhatHurtsInWords(t *testing.T) {
	t.Parallel()
	for want, s := range map[string]student.Sore{
		"left shoulder, tight": {Part: student.Shoulder, Side: student.LeftSide, Words: " tight "},
		"both knee":            {Part: student.Knee, Side: student.BothSides},
		"back, stiff":          {Part: student.Back, Words: "stiff"},
		"a toe":                {Part: student.Other, Side: student.LeftSide, Words: "a toe"},
		"":                     {Part: student.Other},
	} {
		require.Equal(t, want, s.InWords())
	}
	p := student.Profile{Hurts: "something", Sore: []student.Sore{{Part: student.Other}, {Part: student.Back}}}
	require.Equal(t, "something; back", p.HurtsInWords())
	require.True(t, p.PrivatelyHurts())
	require.True(t, student.Profile{Sore: p.Sore}.PrivatelyHurts())
	require.True(t, student.Profile{Hurts: "x"}.PrivatelyHurts())
	require.False(t, student.Profile{}.PrivatelyHurts())
	require.Equal(t, "serves and overheads, jumps",
		student.Joined([]student.Strain{student.ServesAndOverheads, student.Jumps}))
	require.Empty(t, student.Joined(nil))
}

// TestTheBoundsOfAProfile: the last that is let in, and the first that is not, and where that is said.
func TestTheBoundsOfAProfile(t *testing.T) {
	t.Parallel()
	sixty := "123456789012345678901234567890123456789012345678901234567890"
	run := func(seconds float64, on string) student.Profile {
		return student.Profile{
			Name:  "Ada",
			Timed: []student.TimedRun{{Seconds: 1, On: "2026-03-10"}, {Seconds: seconds, On: on}},
		}
	}
	rests := func(list ...student.Strain) student.Profile {
		return student.Profile{Name: "Ada", Sore: []student.Sore{{Part: student.Knee, Rests: list}}}
	}
	for _, c := range []struct {
		in, out student.Profile
		path    string
	}{
		{student.Profile{Name: "A"}, student.Profile{Name: " "}, "name"},
		{
			student.Profile{Name: "A", Watch: []string{sixty}},
			student.Profile{Name: "A", Watch: []string{"x", sixty + "1"}}, "watch.1",
		},
		{student.Profile{Name: "A", Watch: []string{"x"}}, student.Profile{Name: "A", Watch: []string{" "}}, "watch.0"},
		{run(0.5, "2026-03-10"), run(0.49, "2026-03-10"), "timed.1.seconds"},
		{run(180, "2026-03-10"), run(180.1, "2026-03-10"), "timed.1.seconds"},
		{run(9, "2026-03-10"), run(9, "10 March"), "timed.1.on"},
		{
			rests(student.Jumps, student.Lunges),
			rests(student.Jumps, student.Lunges, student.Jumps), "sore.0.rests.2",
		},
		{
			student.Profile{Name: "A", Sore: []student.Sore{{Part: student.Other, Words: "a toe"}}},
			student.Profile{Name: "A", Sore: []student.Sore{{Part: student.Other, Words: " "}}}, "sore.0.words",
		},
		{
			student.Profile{Name: "A", Sport: "tennis", Level: student.Red},
			student.Profile{Name: "A", Sport: "squash", Level: student.Red}, "level",
		},
	} {
		require.NoError(t, c.in.Check(), "%+v", c.in)
		require.ErrorContains(t, c.out.Check(), c.path+":", "%+v", c.out)
	}
}
