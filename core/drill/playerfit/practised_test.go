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
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

func TestWhatWasDoneSpeaksForItsLike(t *testing.T) {
	t.Parallel()
	now := time.Date(2026, 3, 10, 16, 0, 0, 0, time.UTC)
	d := library.All()[0]
	m := d.Document.Measures[0]
	stroke := d.Document.StrokeOf(m)
	other := sports.Serve
	require.NotEqual(t, other, stroke)
	row := func(student int, id string, number int, stroke sports.Stroke, unit score.Unit) playerfit.Practice {
		return playerfit.Practice{
			Student: student,
			Drill:   id,
			Measure: number,
			Stroke:  stroke,
			At:      now.Add(-48 * time.Hour),
			Unit:    unit,
			Count:   tally.Count{Made: 6, Balls: 10},
		}
	}
	list := playerfit.Practised([]playerfit.Practice{
		row(0, d.ID, m.Number, stroke, score.Ball),
		row(0, d.ID, m.Number+1, stroke, score.Ball),
		row(0, "another", 1, stroke, score.Point),
		row(0, "another", 1, other, score.Ball),
		row(0, "another", 1, stroke, score.Sequence),
		row(1, "another", 1, stroke, score.Ball),
	}, 2, d.ID, d.Document, m, now)
	require.Len(t, list[0].Own, 1, "the same measure of the same drill")
	require.Equal(t, odds.Practised{Days: 2, Made: 6, Missed: 4}, list[0].Own[0])
	require.Len(t, list[0].Related, 2, "another measure, and another drill, for the same stroke")
	require.True(t, list[0].Related[1].InPoints)
	require.Empty(t, list[1].Own)
	require.Len(t, list[1].Related, 1)
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
