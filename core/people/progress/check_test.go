package progress_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/people/progress"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// By hand: what is said of ladders that make no sense, at and around the years that can be kept.
func TestLaddersThatMakeNoSense(t *testing.T) {
	t.Parallel()
	for year, sound := range map[int]bool{1899: false, 1900: true, 9998: true, 9999: false} {
		l := progress.Ladders{Title: "x", Sport: court.Tennis, Reached: []progress.Reached{
			{Stroke: sports.Forehand, At: time.Date(year, 6, 1, 0, 0, 0, 0, time.UTC)},
		}}
		if sound {
			require.NoError(t, l.Check(), year)
		} else {
			require.EqualError(t, l.Check(), "reached.0.at: this is no time that can be kept", year)
		}
	}
	l := progress.Ladders{
		Title:   " ",
		Sport:   court.Squash,
		Reached: []progress.Reached{{Stroke: sports.Dink, At: time.Unix(0, 0)}},
	}
	require.EqualError(t, l.Check(), "title: say what it is; reached.0.stroke: there is no dink in squash")
}
