package progress_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/people/ladder"
	"hodometer/core/people/progress"
	"hodometer/core/sport/sports"
	"hodometer/internal/sample"
)

// nobody is somebody of whom nothing was counted.
func nobody(sports.Stroke) progress.Known { return sample.Standing(ladder.Consistency, 0, 0) }

func TestStrokesStandWhereTheStudentWasPutLast(t *testing.T) {
	day := func(n int) time.Time { return time.Date(2026, 3, n, 16, 0, 0, 0, time.UTC) }
	done := []progress.Done{
		{
			Lesson: "1",
			At:     day(1),
			Name:   "Coin",
			Stroke: sports.Forehand,
			Rung:   ladder.Direction,
			Balls:  20,
			Made:   15,
			Missed: 5,
		},
		{
			Lesson: "2",
			At:     day(8),
			Name:   "Coin",
			Stroke: sports.Forehand,
			Rung:   ladder.Depth,
			Balls:  20,
			Made:   19,
			Missed: 1,
		},
		{
			Lesson: "3",
			At:     day(15),
			Name:   "Serve",
			Stroke: sports.Serve,
			Rung:   ladder.Consistency,
			Balls:  10,
			Made:   5,
			Missed: 5,
		},
	}
	on := func(placed ...progress.Placed) map[sports.Stroke]ladder.Quality {
		rungs := map[sports.Stroke]ladder.Quality{}
		for _, each := range progress.Strokes(done, placed, nobody) {
			rungs[each.Stroke] = each.Advice.Rung
		}
		return rungs
	}
	require.Equal(
		t,
		map[sports.Stroke]ladder.Quality{sports.Forehand: ladder.Consistency, sports.Serve: ladder.Consistency},
		on(),
		"who was put nowhere begins at the ground",
	)
	later := progress.Placed{Stroke: sports.Forehand, Stand: progress.Stand{Rung: ladder.Depth, At: day(7)}}
	require.Equal(t, ladder.Depth, on(later)[sports.Forehand])
	// On depth only what was done on it since counts: 19 of 20.
	for _, each := range progress.Strokes(done, []progress.Placed{later}, nobody) {
		if each.Stroke == sports.Forehand {
			require.Equal(t, 20, each.Advice.Balls)
		}
	}
	volley := progress.Placed{Stroke: sports.ForehandVolley, Stand: progress.Stand{Rung: ladder.Pace, At: day(2)}}
	require.Equal(t, ladder.Pace, on(volley)[sports.ForehandVolley], "also one that no drill was done for")
}

func TestFaultsAreFollowedFromTheLessonInWhichTheyWereSeenFirst(t *testing.T) {
	day := func(n int) time.Time { return time.Date(2026, 3, n, 16, 0, 0, 0, time.UTC) }
	trends := progress.Trends([]progress.Done{
		{Lesson: "1", At: day(1), Balls: 10},
		{Lesson: "2", At: day(8), Balls: 10, Faults: map[string]int{"late": 2}},
		{Lesson: "2", At: day(8), Balls: 5, Faults: map[string]int{"late": 1, "drops": 1}},
		{Lesson: "3", At: day(15), Balls: 20},
	})
	require.Len(t, trends, 2)
	require.Equal(t, "late", trends[0].Fault)
	require.Equal(
		t,
		[]progress.Watched{{At: day(8), Times: 3, Balls: 15}, {At: day(15), Balls: 20}},
		trends[0].Lessons,
		"two drills of a lesson are one lesson",
	)
	require.Empty(t, progress.Trends(nil))
}
