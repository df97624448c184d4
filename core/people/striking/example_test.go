package striking_test

import (
	"fmt"

	"hodometer/core/people/striking"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
)

func ExampleScatter() {
	for _, level := range []student.Level{student.Beginner, student.Club, student.Tournament} {
		s := striking.Scatter(level, court.Tennis, false)
		fmt.Printf("%s: speed to %.0f of 100\n", level, 100*s.Speed)
	}
	// Output:
	// beginner: speed to 14 of 100
	// club player: speed to 8 of 100
	// tournament player: speed to 5 of 100
}
