package angles_test

import (
	"context"
	"fmt"

	"hodometer/core/sport/angles"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

func ExampleStrike_Sector() {
	c, err := sports.Court("tennis")
	if err != nil {
		panic(err)
	}
	// From the forehand corner, at rally pace: everything that can be played, and where it is halved.
	strike := angles.Strike{
		World: sports.World(c, ""),
		From:  flight.Vec{X: 3.5, Y: -12, Z: 0.9},
		Pace:  17,
		Name:  "the corner",
	}
	sector, err := strike.Sector(context.Background(), 1)
	if err != nil {
		panic(err)
	}
	fmt.Printf("%s open; wait %.1f m to the left of the middle\n", angles.Degrees(sector.Opening), -sector.Wait.X)
	// Output:
	// 29.3° open; wait 2.0 m to the left of the middle
}
