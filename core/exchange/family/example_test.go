package family_test

import (
	"context"
	"fmt"

	"hodometer/core/exchange/family"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
)

func ExampleOf() {
	page, err := family.Of(context.Background(), family.Known{
		Player: student.Profile{
			Name:  "Ada Fenn",
			Age:   student.Eight,
			Sport: court.Tennis,
			Level: student.Orange,
			Hand:  student.RightHand,
		},
		From:    "2026-02-01",
		To:      "2026-03-01",
		Came:    3,
		Of:      4,
		Minutes: 180,
	})
	if err != nil {
		panic(err)
	}
	fmt.Println(page.Player + ": " + page.There)
	// Output:
	// Ada Fenn: At 3 of 4 lessons, 3 h 00 min on court.
}
