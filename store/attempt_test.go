package store_test

import (
	"fmt"
	"path/filepath"
	"slices"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/basics/say"
	"hodometer/core/count/score"
	"hodometer/core/count/tally"
	"hodometer/core/drill"
	"hodometer/core/lesson"
	"hodometer/core/live/underway"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/internal/long"
	"hodometer/store"
)

func TestTapsAreKeptOnceAndOutliveTheProgram(t *testing.T) {
	t.Parallel()
	path, ctx := filepath.Join(t.TempDir(), "h.db"), t.Context()
	s := open(t, path)
	_, err := s.Students.Create(ctx, "ada", student.Profile{Name: "Ada"})
	require.NoError(t, err)
	_, err = s.Lessons.Create(ctx, "l", lesson.Document{Date: "2026-03-10", Start: "16:00"})
	require.NoError(t, err)
	at := time.Date(2026, 3, 10, 16, 5, 0, 0, time.UTC)
	run := underway.Counted{
		Attempt: underway.Attempt{
			Lesson:  "l",
			Block:   "b",
			Student: "ada",
			Drill:   "d",
			Name:    "Coin",
			Version: "More time",
			Stroke:  "forehand",
			Rung:    "depth",
			Measure: drill.Measure{
				Number: 1,
				What:   score.Ball,
				Goals:  score.Course{{Kind: score.Total, Count: 10}},
			},
			At:  at,
			Aim: &court.Point{X: 2.5, Y: 9},
		},
		Runs: []underway.Run{
			{ID: "r", Entries: []tally.Entry{
				{Seq: 0, Kind: tally.Made, At: at, Choice: tally.RightChoice, Landing: &court.Point{X: 2.1, Y: 8.4}},
				{Seq: 1, Kind: tally.Turn, Made: 4, Of: 5, At: at},
				{
					Seq:  2,
					Kind: tally.Missed,
					At:   at,
					Zone: &court.Zone{Name: "long, left", Left: -4, Right: -1, Bottom: 11, Top: 15},
				},
			}},
		},
	}
	require.NoError(t, s.AddTaps(ctx, run))
	require.NoError(t, s.AddTaps(ctx, run), "sent again")

	stranger := run
	stranger.Student = "bo"
	require.ErrorIs(t, s.AddTaps(ctx, stranger), store.ErrTaken)

	clock := lesson.Clock{Anchor: at, Second: 65, Running: true}
	require.NoError(t, s.SetClock(ctx, "l", clock, false))
	require.NoError(t, s.SetRemark(ctx, store.Remark{Lesson: "l", Student: "ada", Engagement: 8, Remark: "bright"}))
	require.NoError(
		t,
		s.SetLadderPosition(ctx, store.LadderPosition{Student: "ada", Stroke: "forehand", Rung: "direction", At: at}),
	)

	s = open(t, path)
	taps, err := s.TapsOfLesson(ctx, "l")
	require.NoError(t, err)
	require.Equal(t, [][]tally.Entry{run.Runs[0].Entries}, taps)
	attempts, err := s.AttemptsOfLesson(ctx, "l")
	require.NoError(t, err)
	want := store.Attempt{Attempt: run.Attempt}
	want.Summary = tally.Summary{
		Count: tally.Count{Made: 5, Balls: 7, Best: 2, AtLeast: true, Right: 1, Taps: 3},
		Zones: []tally.Zoned{{Zone: *run.Runs[0].Entries[2].Zone, Balls: 1}}, Landed: 1, Last: at,
	}
	want.Standing = score.Standing{Have: 5, Wanted: 10, Sentence: say.Of("standing.steps", 5, 10)}
	require.Equal(t, []store.Attempt{want}, attempts)
	mine, err := s.AttemptsOfStudent(ctx, "ada")
	require.NoError(t, err)
	require.Equal(t, attempts, mine)
	landings, err := s.Landings(ctx, "ada", "d", 1)
	require.NoError(t, err)
	require.Equal(t, []store.Landing{{At: court.Point{X: 2.1, Y: 8.4}, Aim: court.Point{X: 2.5, Y: 9}}}, landings)
	practised, err := s.Practised(ctx, []string{"bo", "ada"})
	require.NoError(t, err)
	require.Len(t, practised, 1)
	require.Equal(t, []int{1, 5, 7}, []int{practised[0].Student, practised[0].Made, practised[0].Balls})
	require.Equal(t, "d", practised[0].Drill)
	record, finished, ok, err := s.Clock(ctx, "l")
	require.NoError(t, err)
	require.True(t, ok)
	require.False(t, finished)
	require.Equal(t, clock, record)
	remarks, err := s.RemarksOfStudent(ctx, "ada")
	require.NoError(t, err)
	require.Equal(t, 8, remarks[0].Engagement)
	positions, err := s.LadderPositions(ctx, "ada")
	require.NoError(t, err)
	require.EqualValues(t, "direction", positions[0].Rung)
	lessons, _, err := s.LessonsBetween(ctx, "2026-03-10", "2026-03-10")
	require.NoError(t, err)
	require.Len(t, lessons, 1)

	require.NoError(t, s.Students.Erase(ctx, "ada"))
	attempts, err = s.AttemptsOfLesson(ctx, "l")
	require.NoError(t, err)
	require.Empty(t, attempts, "erasing a student erases what was counted of them")
	left, err := s.BallsLeft(ctx)
	require.NoError(t, err)
	require.Zero(t, left)
}

// TestSummariesAreThoseOfTheirBalls counts on several devices, with balls taken back, sent twice and out of order, and
// works the summaries out again.
func TestSummariesAreThoseOfTheirBalls(t *testing.T) {
	t.Parallel()
	s, ctx := fresh(t), t.Context()
	_, err := s.Students.Create(ctx, "ada", student.Profile{Name: "Ada"})
	require.NoError(t, err)
	_, err = s.Lessons.Create(ctx, "l", lesson.Document{Date: "2026-03-10", Start: "16:00"})
	require.NoError(t, err)
	at := time.Date(2026, 3, 10, 16, 5, 0, 0, time.UTC)
	n := 0
	long.Check(t, func(t *rapid.T) {
		n++
		devices := make([][]tally.Entry, rapid.IntRange(1, 3).Draw(t, "devices"))
		for i := range devices {
			for seq := range rapid.IntRange(1, 12).Draw(t, "taps") {
				kind := rapid.SampledFrom([]tally.Kind{tally.Made, tally.Missed, tally.Turn, tally.Again, tally.Fault, tally.Undo}).
					Draw(t, "kind")
				// Every tap has an instant of its own, so that there is one order of them all.
				e := tally.Entry{Seq: seq, Kind: kind, At: at.Add(time.Duration(3*seq+i) * time.Millisecond)}
				if kind == tally.Fault {
					e.Fault = rapid.SampledFrom([]string{"late", "low"}).Draw(t, "fault")
				}
				if kind == tally.Turn {
					e.Of = rapid.IntRange(1, 9).Draw(t, "of")
					e.Made = rapid.IntRange(0, e.Of).Draw(t, "made")
				}
				devices[i] = append(devices[i], e)
			}
		}
		block := fmt.Sprint("b", n)
		for i, taps := range devices {
			run := underway.Counted{
				Runs:    []underway.Run{{ID: fmt.Sprint(block, i)}},
				Attempt: underway.Attempt{Lesson: "l", Block: block, Student: "ada", Drill: "d", At: taps[0].At},
			}
			for _, cut := range []int{rapid.IntRange(1, len(taps)).Draw(t, "cut"), len(taps)} {
				run.Runs[0].Entries = taps[:cut]
				require.NoError(t, s.AddTaps(ctx, run))
			}
		}
		attempts, err := s.AttemptsOfLesson(ctx, "l")
		require.NoError(t, err)
		i := slices.IndexFunc(attempts, func(a store.Attempt) bool { return a.Block == block })
		require.Equal(t, tally.Summarise(devices...), attempts[i].Summary)
	})
	before, err := s.AttemptsOfLesson(ctx, "l")
	require.NoError(t, err)
	require.NoError(t, s.Resummarise(ctx))
	after, err := s.AttemptsOfLesson(ctx, "l")
	require.NoError(t, err)
	require.Equal(t, before, after, "they can be built again from the balls")
}
