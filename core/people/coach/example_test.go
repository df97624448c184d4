package coach_test

import (
	"fmt"

	"hodometer/core/people/coach"
	"hodometer/core/sport/court"
)

func ExampleDefault() {
	s := coach.Default()
	fmt.Println(s.Container(court.Tennis).Of(2), s.Container(court.Badminton).One)
	// Output:
	// 2 baskets tube
}
