package progress_test

import (
	"fmt"
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

// By hand: Wald's bounds for errors of 10 and 20 of 100 are ln(0.2/0.9) = −1.504 and ln(0.8/0.1) = 2.079; a make at
// 0.8 instead of 0.4 is worth ln 2 = 0.693, a miss ln(0.2/0.6) = −1.099 (Wald, Annals of Mathematical Statistics 16
// (1945) 117).
func TestDecisionsByHand(t *testing.T) {
	t.Parallel()
	s := progress.Sequential{Low: 0.4, High: 0.8, Alpha: 0.1, Beta: 0.2}
	low, high := s.Bounds()
	require.Equal(t, "-1.504 2.079", fmt.Sprintf("%.3f %.3f", low, high))
	for _, c := range []struct {
		made, missed, toGo int
		want               progress.Verdict
	}{
		{0, 0, 3, progress.Open}, {2, 0, 1, progress.Open}, {3, 0, 0, progress.ForHigh}, {9, 0, 0, progress.ForHigh},
		{0, 1, 5, progress.Open}, {0, 2, 7, progress.ForLow}, {1, 2, 6, progress.ForLow}, {2, 2, 5, progress.Open},
	} {
		require.Equal(t, c.want, s.Decide(c.made, c.missed), "%d made, %d missed", c.made, c.missed)
		require.Equal(t, c.toGo, s.MakesToGo(c.made, c.missed), "%d made, %d missed", c.made, c.missed)
	}
}
