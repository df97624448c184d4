package playerfit_test

import (
	"context"
	"fmt"

	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
)

func ExampleKnow() {
	d, _ := library.Find("f239ec76-d0f1-5e8d-9d2a-d3df78c0ebd9")
	for _, level := range []student.Level{student.Beginner, student.Club} {
		known, err := playerfit.Know(context.Background(), d, d.PlayerFor(level, student.RightHand), level, coach.Default())
		if err != nil {
			panic(err)
		}
		fmt.Printf("%s: %.0f of 100 balls\n", level, 100*known.Tried[0].OfLevel())
	}
	// Output:
	// beginner: 7 of 100 balls
	// club player: 20 of 100 balls
}
