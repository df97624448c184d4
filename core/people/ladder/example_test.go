package ladder_test

import (
	"fmt"

	"hodometer/core/people/ladder"
)

func ExampleQuality_Step() {
	next, there := ladder.Direction.Step(1)
	fmt.Println(next, there, "–", next.Plain())
	// Output: depth true – sending it deep
}
