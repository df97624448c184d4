package progress_test

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/basics/seeded"
	"hodometer/core/people/progress"
)

func watched(day, times, balls int) progress.Watched {
	return progress.Watched{At: time.Date(2026, 3, day, 16, 0, 0, 0, time.UTC), Times: times, Balls: balls}
}

// By hand: 8 in 40 balls and then 2 in 40. The one with which the lessons begin aside, nine fall on either half alike,
// and two or fewer on the later one (1 + 9 + 36) / 512 = 0.090 of the time: it is going down. 3 and then 2 leave (1 + 4
// + 6) / 16 = 0.69: nothing is clear.
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
		var lessons []progress.Watched
		for i := range n {
			lessons = append(
				lessons,
				watched(i+1, rapid.IntRange(0, 12).Draw(t, "times"), rapid.IntRange(1, 60).Draw(t, "balls")),
			)
		}
		lessons[0].Times++
		trend := progress.TrendOf("x", lessons)
		fewer := append([]progress.Watched{}, lessons...)
		fewer[n-1].Times = 0
		if trend.Going == "down" {
			require.Equal(t, "down", progress.TrendOf("x", fewer).Going, "seen less lately it goes down all the more")
		}
	})
}

// A fault that is seen as often all the time begins with a lesson in which it was seen: it is called going down no more
// often than is told.
func TestAFaultThatNeverChangesIsNotCalledGoingDown(t *testing.T) {
	const tried, balls = 4000, 20
	for _, share := range []float64{0.005, 0.02, 0.1} {
		n, down, up := seeded.From(1), 0, 0
		for range tried {
			var lessons []progress.Watched
			for len(lessons) < 10 {
				times := 0
				for range balls {
					if n.Share() < share {
						times++
					}
				}
				if len(lessons) > 0 || times > 0 {
					lessons = append(lessons, watched(len(lessons)+1, times, balls))
				}
			}
			switch progress.TrendOf("x", lessons).Going {
			case "down":
				down++
			case "up":
				up++
			}
		}
		// Up to three standard errors above one in ten.
		most := 0.1*tried + 3*math.Sqrt(0.1*0.9*tried)
		require.Less(t, float64(down), most, "down, at %v of the balls", share)
		require.Less(t, float64(up), most, "up, at %v of the balls", share)
	}
	once := []progress.Watched{watched(1, 1, 20)}
	for day := range 12 {
		once = append(once, watched(day+2, 0, 20))
	}
	trend := progress.TrendOf("x", once)
	require.Empty(t, trend.Going, "seen once and never again says nothing")
	require.Equal(t, "seen 1 time in 260 balls", trend.Sentence)
}
