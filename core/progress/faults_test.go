package progress_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/progress"
)

func watched(day, times, balls int) progress.Watched {
	return progress.Watched{At: time.Date(2026, 3, day, 16, 0, 0, 0, time.UTC), Times: times, Balls: balls}
}

// By hand: 8 in 40 balls and then 2 in 40. Of ten that fall on either half alike, two or fewer fall on the later one
// (1 + 10 + 45) / 1024 = 0.055 of the time: it is going down. 3 and then 2 of five is (1 + 5 + 10) / 32 = 0.5: nothing is clear.
func TestWhetherAFaultGoesDown(t *testing.T) {
	down := progress.TrendOf("late split step", []progress.Watched{watched(2, 8, 40), watched(9, 2, 40)})
	require.Equal(t, "down", down.Going)
	require.Equal(t, "in 10 balls 2 at first and 0.5 lately: going down", down.Sentence)
	up := progress.TrendOf("x", []progress.Watched{watched(2, 1, 40), watched(9, 8, 40)})
	require.Equal(t, "up", up.Going)
	unclear := progress.TrendOf("x", []progress.Watched{watched(2, 3, 40), watched(9, 2, 40)})
	require.Empty(t, unclear.Going)
	require.Contains(t, unclear.Sentence, "no clear change yet")
	// Twice as many balls lately: as often, but less in each.
	more := progress.TrendOf("x", []progress.Watched{watched(2, 6, 20), watched(9, 6, 120)})
	require.Equal(t, "down", more.Going)
	require.Equal(t, "seen 3 times in 12 balls", progress.TrendOf("x", []progress.Watched{watched(2, 3, 12)}).Sentence)
}

func TestTheTrendOfAFault(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		n := rapid.IntRange(2, 8).Draw(t, "lessons")
		var lessons, turned []progress.Watched
		for i := range n {
			lessons = append(lessons, watched(i+1, rapid.IntRange(0, 12).Draw(t, "times"), rapid.IntRange(1, 60).Draw(t, "balls")))
		}
		lessons[0].Times++
		trend := progress.TrendOf("x", lessons)
		if n%2 == 0 {
			for i := range lessons {
				turned = append(turned, lessons[n-1-i])
			}
			other := progress.TrendOf("x", turned)
			require.Equal(t, trend.Going == "down", other.Going == "up", "the other way round in time")
		}
		fewer := append([]progress.Watched{}, lessons...)
		fewer[n-1].Times = 0
		if trend.Going == "down" {
			require.Equal(t, "down", progress.TrendOf("x", fewer).Going, "seen less lately it goes down all the more")
		}
	})
}
