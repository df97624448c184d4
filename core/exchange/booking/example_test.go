package booking_test

import (
	"fmt"

	"hodometer/core/exchange/booking"
	"hodometer/core/exchange/roster"
	"hodometer/core/people/student"
)

func ExampleNamed() {
	known := []roster.Known{
		{ID: "1", Profile: student.Profile{Name: "Ada Fenn"}},
		{ID: "2", Profile: student.Profile{Name: "Ben Okoro"}},
	}
	fmt.Println(booking.Named("Court 3: Ada Fenn, private", known))
	// Output:
	// [1]
}
