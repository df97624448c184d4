package court_test

import (
	"fmt"

	"hodometer/core/basics/units"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

func ExampleCourt_Resolve() {
	c, err := sports.Court("tennis")
	if err != nil {
		panic(err)
	}
	// The aim for a short ball: 6.5 ft in from the baseline, 4.5 ft in from the sideline.
	mark := court.From(
		court.Off(court.FarBaseline, 6.5*units.Foot, court.In),
		court.Off(court.LeftSingles, 4.5*units.Foot, court.In),
	)
	at, err := c.Resolve(mark)
	if err != nil {
		panic(err)
	}
	fmt.Printf("%.2f %.2f: %s\n", at.X, at.Y, c.Describe(mark, court.Tape{System: units.Feet}))
	// Output:
	// -2.74 9.91: 6 ft 6 in inside the far baseline, 4 ft 6 in inside the left singles sideline
}
