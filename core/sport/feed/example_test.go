package feed_test

import (
	"fmt"

	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

func ExamplePattern() {
	p := feed.Pattern{
		Method:    feed.ByRacket,
		Gap:       4,
		Sequences: 3,
		Pause:     6,
		Tasks: []feed.Task{
			{Stroke: sports.Forehand, Landing: court.At(2, -9)},
			{Stroke: sports.Backhand, Landing: court.At(-2, -9)},
		},
	}
	fmt.Printf("%d balls a turn of %g s, %.1f a minute\n", p.BallsPerTurn(), p.TurnSeconds(), p.BlockRate())
	// Output:
	// 6 balls a turn of 42 s, 8.6 a minute
}
