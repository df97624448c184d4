package lesson

import (
	"hodometer/core/drill/rotation"
	"hodometer/core/sport/court"
)

// Starters returns a block of every kind but a drill, in the order of a lesson, to begin a plan with, in the words of a
// sport; empty: those of the first sport. Lengths and wording are common practice, no source. The blocks have no
// identifiers yet.
func Starters(sport court.Sport) []Block {
	const warm = 8 // minutes, of either kind
	blocks := []Block{BodyWarmUp(warm), BallWarmUp(warm), Water(), ClosingTalk()}
	for i := range blocks {
		blocks[i] = blocks[i].In(sport)
	}
	return blocks
}

// BodyWarmUp warms the body without a ball, in so many minutes.
func BodyWarmUp(minutes float64) Block {
	return Block{Kind: Body, Title: "Body warm-up", Minutes: minutes, Effort: 3, Calls: []Call{
		{Minute: 0, Text: "Easy jog and side steps, both ways"},
		{Minute: 3, Text: "Leg swings, arm circles, trunk turns"},
		{Minute: minutes - 2, Text: "Three short runs, each a little quicker"},
	}}
}

// BallWarmUp warms up with the ball in twos, in so many minutes, in the words of the first sport.
func BallWarmUp(minutes float64) Block {
	netAndBack := NetAndBack()
	return Block{
		Kind:     Ball,
		Title:    "Ball warm-up",
		Minutes:  minutes,
		Effort:   4,
		Step:     WholeRotations,
		Rotation: &netAndBack,
		Calls:    warmUpCalls(minutes),
	}
}

// ClosingTalk ends a lesson.
func ClosingTalk() Block {
	return Block{
		Kind:    Talk,
		Title:   "Closing talk",
		Minutes: 4,
		Effort:  1,
		Calls:   []Call{{Minute: 0, Text: "One thing that worked, one thing for next time"}},
	}
}

// CoolingDown ends the work of a lesson, in so many minutes.
func CoolingDown(minutes float64) Block {
	return Block{
		Kind:    CoolDown,
		Title:   "Cool-down",
		Minutes: minutes,
		Effort:  1,
		Calls:   []Call{{Minute: 0, Text: "Walk, then stretch what worked"}},
	}
}

// Water is a short break.
func Water() Block {
	return Block{Kind: Break, Title: "Water", Minutes: 4, Effort: 0, Calls: []Call{}}
}

// More returns the other blocks without a drill that a lesson can have. Lengths and wording are common
// practice, no source. The blocks have no identifiers yet.
func More() []Block {
	return []Block{
		{Kind: Technique, Title: "Technique", Minutes: 8, Effort: 3, Step: WholeMinutes, Calls: []Call{
			{Minute: 0, Text: "Ten slow swings without a ball"},
			{Minute: 2, Text: "The same with a dropped ball"},
		}},
		{
			Kind:     Game,
			Title:    "Game",
			Minutes:  10,
			Effort:   7,
			Rotation: &rotation.Form{Kind: rotation.Pairs, Every: 3, Spots: []rotation.Spot{}},
			Calls:    []Call{{Minute: 0, Text: "Points from the feed, every ball counts"}},
		},
		{
			Kind:    Serving,
			Title:   "Serving",
			Minutes: 8,
			Effort:  5,
			Calls:   []Call{{Minute: 0, Text: "Five easy ones before the first full one"}},
		},
		CoolingDown(5),
	}
}
