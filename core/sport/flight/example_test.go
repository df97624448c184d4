package flight_test

import (
	"fmt"

	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

func ExampleWorld_Aim() {
	c, err := sports.Court("tennis")
	if err != nil {
		panic(err)
	}
	world := sports.World(c, "hard")
	launch, err := world.Aim(
		flight.Want{From: flight.Vec{Y: 6, Z: 1}, Landing: court.Point{X: 2, Y: -9}, By: flight.ByTime, Value: 1.2},
	)
	if err != nil {
		panic(err)
	}
	bounce, _ := world.Follow(launch, 1).Bounce(0)
	fmt.Printf(
		"leaves at %.1f m/s, bounces after %.2f s at %.2f, %.2f\n",
		launch.Velocity.Norm(),
		bounce.T,
		bounce.P.X,
		bounce.P.Y,
	)
	// Output:
	// leaves at 15.7 m/s, bounces after 1.20 s at 2.00, -9.00
}
