package footwork_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/internal/long"
)

var day = time.Date(2026, 3, 10, 12, 0, 0, 0, time.UTC)

func ran(runs ...student.TimedRun) student.Profile {
	return student.Profile{
		Name:  "Ada",
		Sport: court.Tennis,
		Age:   student.Adult,
		Level: student.Club,
		Hand:  student.RightHand,
		Timed: runs,
	}
}

func run(kind student.RunKind, seconds float64, on string) student.TimedRun {
	return student.TimedRun{Kind: kind, Seconds: seconds, On: on}
}

func wide(r footwork.Ranged) float64 { return r.High - r.Low }

// By hand: a club player, a = 6.6 m/s², v = 6.1 m/s, is at top speed after 0.924 s and 2.82 m, and takes 10/6.1 +
// 6.1/13.2 = 2.10 s for ten metres and 3.74 s for twenty. Across the singles court, 8.23 m, and back: to the middle of
// the way 4.115/6.1 + 0.462 = 1.137 s, twice, a turn of 0.15 s, and back through the finish 8.23/6.1 + 0.462 = 1.811 s:
// 4.235 s.
func TestRunsByHand(t *testing.T) {
	q := footwork.QuicknessOf(ran(), day)
	seconds := map[student.RunKind]float64{}
	for _, c := range q.Kinds {
		seconds[c.Kind] = c.Seconds
	}
	require.InDelta(t, 2.101, seconds[student.ShortSprint], 2e-3)
	require.InDelta(t, 3.741, seconds[student.LongSprint], 2e-3)
	require.InDelta(t, 4.235, seconds[student.Line], 5e-3)
	require.Contains(t, q.Say, "By age and level")
	require.InDelta(t, 6.6, q.Speedup.Mean, 1e-9)
	require.InDelta(t, 6.1, q.Top.Mean, 1e-9)
}

// A quick run makes a quicker player, one run moves what is thought, and two of different length tell acceleration and
// top speed apart; an old run says less.
func TestTimedRunsMoveWhatIsThought(t *testing.T) {
	none := footwork.QuicknessOf(ran(), day)
	quick := footwork.QuicknessOf(ran(run(student.LongSprint, 3.3, "2026-03-09")), day)
	slow := footwork.QuicknessOf(ran(run(student.LongSprint, 4.4, "2026-03-09")), day)
	require.Greater(t, quick.Top.Mean, none.Top.Mean)
	require.Less(t, slow.Top.Mean, none.Top.Mean)
	require.Less(t, wide(quick.Top), wide(none.Top))
	require.Contains(t, quick.Say, "1 timed run")

	starter := footwork.QuicknessOf(
		ran(run(student.ShortSprint, 1.85, "2026-03-09"), run(student.LongSprint, 3.9, "2026-03-09")),
		day,
	)
	require.Greater(t, starter.Speedup.Mean, 1.01*none.Speedup.Mean, "quick off the mark")
	require.Less(t, starter.Top.Mean, none.Top.Mean, "and no quicker at the end")
	require.Less(
		t,
		wide(starter.Speedup),
		wide(footwork.QuicknessOf(ran(run(student.ShortSprint, 1.85, "2026-03-09")), day).Speedup),
	)

	old := footwork.QuicknessOf(ran(run(student.LongSprint, 3.3, "2025-03-09")), day)
	require.True(t, old.Top.Mean < quick.Top.Mean && old.Top.Mean > none.Top.Mean)
	require.Greater(t, wide(old.Top), wide(quick.Top))

	p := footwork.Of(court.Tennis, ran(run(student.LongSprint, 3.3, "2026-03-09")), student.LeftHand, day)
	require.InDelta(t, quick.Top.Mean, p.Top, 1e-12, "what is shown is what is used")
	require.Equal(t, student.LeftHand, p.Hand)
}

// Whatever was timed, quicker is never slower, and the figures stay those of people.
func TestQuickerRunsAreNeverSlower(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		sport := rapid.SampledFrom([]court.Sport{court.Tennis, court.Pickleball, court.Badminton, court.Squash,
			court.TableTennis}).
			Draw(t, "sport")
		var kinds []student.RunKind
		for _, c := range student.RunKind("").Enum() {
			kind, _ := c.(student.RunKind)
			kinds = append(kinds, kind)
		}
		kind := rapid.SampledFrom(kinds).Draw(t, "kind")
		profile := ran()
		profile.Sport = sport
		usual := 0.0
		for _, c := range footwork.QuicknessOf(profile, day).Kinds {
			if c.Kind == kind {
				usual = c.Seconds
			}
		}
		share := rapid.Float64Range(0.7, 1.4).Draw(t, "share")
		at := func(share float64) footwork.Quickness {
			profile.Timed = []student.TimedRun{run(kind, usual*share, "2026-03-01")}
			return footwork.QuicknessOf(profile, day)
		}
		a, b := at(share), at(share*1.1)
		require.GreaterOrEqual(t, a.Top.Mean, b.Top.Mean-1e-6)
		require.GreaterOrEqual(t, a.Speedup.Mean, b.Speedup.Mean-1e-6)
		require.True(
			t,
			a.Top.Mean > 3 && a.Top.Mean < 12 && a.Speedup.Mean > 2 && a.Speedup.Mean < 16,
			"%v %v",
			a.Top,
			a.Speedup,
		)
		require.True(t, a.Top.Low < a.Top.Mean && a.Top.Mean < a.Top.High)
	})
}

func TestTimedRunsThatMakeNoSense(t *testing.T) {
	require.NoError(t, ran(run(student.Star, 18, "2026-03-09")).Check())
	require.ErrorContains(t, ran(run(student.Star, 18, "yesterday")).Check(), "timed.0.on")
	require.ErrorContains(t, ran(run(student.Star, 0, "2026-03-09")).Check(), "timed.0.seconds")
}
