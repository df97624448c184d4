package lesson

import (
	"hodometer/core/drill/rotation"
	"hodometer/core/sport/court"
)

// Starters returns a block of every kind but a drill, in the order of a lesson, to begin a plan with, in the words of a sport;
// empty: those of tennis.
// Lengths and wording are common practice, no source. The blocks have no identifiers yet.
func Starters(sport court.Sport) []Block {
	netAndBack := NetAndBack()
	blocks := []Block{
		{Kind: Body, Title: "Body warm-up", Minutes: 8, Effort: 3, Calls: []Call{
			{Minute: 0, Text: "Easy jog and side steps, both ways"},
			{Minute: 3, Text: "Leg swings, arm circles, trunk turns"},
			{Minute: 6, Text: "Three short runs, each a little quicker"},
		}},
		{Kind: Ball, Title: "Ball warm-up", Minutes: 8, Effort: 4, Step: WholeRotations, Rotation: &netAndBack, Calls: warmUpCalls()},
		Water(),
		{Kind: Talk, Title: "Closing talk", Minutes: 4, Effort: 1, Calls: []Call{
			{Minute: 0, Text: "One thing that worked, one thing for next time"},
		}},
	}
	for i := range blocks {
		blocks[i] = blocks[i].In(sport)
	}
	return blocks
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
		{Kind: Game, Title: "Game", Minutes: 10, Effort: 7, Rotation: &rotation.Form{Kind: rotation.Pairs, Every: 3, Spots: []rotation.Spot{}}, Calls: []Call{{Minute: 0, Text: "Points from the feed, every ball counts"}}},
		{Kind: Serving, Title: "Serving", Minutes: 8, Effort: 5, Calls: []Call{{Minute: 0, Text: "Five easy ones before the first full one"}}},
		{Kind: CoolDown, Title: "Cool-down", Minutes: 5, Effort: 1, Calls: []Call{{Minute: 0, Text: "Walk, then stretch what worked"}}},
	}
}
