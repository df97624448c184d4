package anticipate_test

import (
	"context"
	"fmt"

	"hodometer/core/people/anticipate"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

func ExampleQuestion_Answer() {
	c, err := sports.Court("badminton")
	if err != nil {
		panic(err)
	}
	// The opponent is deep in the forehand corner, at ease, after a clear: where should one wait?
	situation, _ := anticipate.Find(court.Badminton, "badminton-1")
	player := footwork.For(c.Sport, student.Adult, student.Club, student.RightHand, student.OneHanded)
	answer, err := anticipate.Question{
		World:     sports.World(c, ""),
		Situation: situation,
		Opponent:  student.RightHand,
		Power:     0.84,
		Player:    player,
	}.Answer(
		context.Background(),
	)
	if err != nil {
		panic(err)
	}
	for _, stand := range answer.Stands[:2] {
		fmt.Printf("%s: %.0f of 100 are held\n", stand.School, 100*stand.Held)
	}
	// Output:
	// back to the middle: 56 of 100 are held
	// to the likely reply: 77 of 100 are held
}
