package playerfit_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/count/tally"
	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/people/skill"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

func TestWhatWasDoneSpeaksForItsLike(t *testing.T) {
	t.Parallel()
	now := time.Date(2026, 3, 10, 16, 0, 0, 0, time.UTC)
	d := library.All()[0]
	m := d.Document.Measures[0]
	tried := &playerfit.Tried{Stroke: sports.Forehand, Attempt: skill.Of(0.5)}
	row := func(student int, id string, number int, unit score.Unit) playerfit.Practice {
		return playerfit.Practice{
			Student: student,
			Lesson:  "of " + id,
			Drill:   id,
			Measure: number,
			At:      now.Add(-48 * time.Hour),
			Unit:    unit,
			Tried:   tried,
			Count:   tally.Count{Made: 6, Balls: 10},
		}
	}
	rows := []playerfit.Practice{
		row(0, d.ID, m.Number, score.Ball),
		row(0, d.ID, m.Number, score.Point),
		row(0, d.ID, m.Number+1, score.Ball),
		row(0, d.ID, m.Number, score.Sequence),
		row(0, "another", 1, score.Ball),
		row(1, d.ID, m.Number, score.Ball),
	}
	list := playerfit.Practised(rows, 2, d.ID, m, now)
	require.Len(t, list[0], 2, "the same measure of the same drill, and what is alike")
	require.Equal(t, odds.Practised{Days: 2, Made: 6, Missed: 4}, list[0][0])
	require.True(t, list[0][1].InPoints)
	require.Len(t, list[1], 1)

	// Of their skill all speaks that it is known of how hard it was, but for the lesson that is asked about and what came
	// after it.
	rows[3].Tried = nil
	day := playerfit.Day(now) - 2
	of := func(until playerfit.Until) []skill.Count {
		counts, _ := playerfit.Counts(rows, 0, until)
		return counts
	}
	counts, unknown := playerfit.Counts(rows, 0, playerfit.Until{})
	require.Len(t, counts, 4)
	require.Equal(t, 10, unknown, "and it is told what does not")
	require.Equal(t, skill.Count{
		Day: day, Stroke: "forehand", Drill: playerfit.At(d.ID, m.Number), Attempt: tried.Attempt, Made: 6, Tried: 10,
	}, counts[0])
	require.Len(t, of(playerfit.Until{Lesson: "of another"}), 3)
	require.Empty(t, of(playerfit.Until{At: rows[0].At}))
	require.Len(t, of(playerfit.Until{At: now}), 4)
	require.Equal(t, []int{-1, 0, 0, 1}, []int{
		playerfit.Day(time.Unix(-1, 0)), playerfit.Day(time.Unix(0, 0)), playerfit.Day(time.Unix(86_399, 0)),
		playerfit.Day(time.Unix(86_400, 0)),
	})
}

func TestBallsInOneZoneAreAddedUp(t *testing.T) {
	t.Parallel()
	zone := tally.Zoned{Zone: court.Zone{Left: 1, Right: 2, Bottom: 8, Top: 9}, Balls: 3}
	list := playerfit.Zoned(nil, []tally.Zoned{zone, zone}, court.Point{X: 1, Y: 8})
	list = playerfit.Zoned(list, []tally.Zoned{zone}, court.Point{X: 2, Y: 8})
	require.Equal(t, []odds.Zone{
		{Left: 0, Right: 1, Bottom: 0, Top: 1, Count: 6},
		{Left: -1, Right: 0, Bottom: 0, Top: 1, Count: 3},
	}, list)
}
