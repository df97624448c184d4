package lesson_test

import (
	"fmt"

	"hodometer/core/lesson"
	"hodometer/core/sport/court"
)

func ExampleStarters() {
	for _, b := range lesson.Starters(court.Squash) {
		fmt.Println(b.Title, b.Minutes)
	}
	// Output:
	// Body warm-up 8
	// Ball warm-up 8
	// Water 4
	// Closing talk 4
}
