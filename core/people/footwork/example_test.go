package footwork_test

import (
	"fmt"

	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
)

func ExamplePlayer_Seconds() {
	child := footwork.For(court.Tennis, student.Eight, student.Orange, student.RightHand, student.TwoHanded)
	adult := footwork.For(court.Tennis, student.Adult, student.Club, student.RightHand, student.TwoHanded)
	fmt.Printf("4 m to the side: %.1f s and %.1f s\n", child.Seconds(4), adult.Seconds(4))
	// Output:
	// 4 m to the side: 1.4 s and 1.1 s
}
