package student_test

import (
	"fmt"
	"time"

	"hodometer/core/people/student"
	"hodometer/core/sport/court"
)

func ExampleAgeOn() {
	born := time.Date(2016, 5, 14, 0, 0, 0, 0, time.UTC)
	years := student.AgeOn(born, time.Date(2026, 3, 10, 0, 0, 0, 0, time.UTC))
	fmt.Println(years, student.BandOf(years), student.LevelsFor(court.Squash))
	// Output:
	// 9 8 to 10 [beginner improver club player tournament player]
}
