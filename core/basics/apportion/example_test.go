package apportion_test

import (
	"context"
	"fmt"

	"hodometer/core/basics/apportion"
)

func ExampleShare() {
	// An hour: a drill that wants half of it, a game that comes in whole rounds of four minutes, a talk.
	shares, fits, err := apportion.Share(context.Background(), 60, []apportion.Part{
		{Wanted: 30, Min: 20, Max: 45, Weight: 2},
		{Wanted: 26, Min: 12, Max: 40, Weight: 1, Step: 4},
		{Wanted: 10, Min: 5, Max: 10, Weight: 3},
	})
	if err != nil {
		panic(err)
	}
	fmt.Printf("%v %.1f\n", fits, shares.Minutes)
	// Output:
	// true [26.7 24.0 9.3]
}
