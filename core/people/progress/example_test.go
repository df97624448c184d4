package progress_test

import (
	"fmt"

	"hodometer/core/people/ladder"
	"hodometer/core/people/progress"
	"hodometer/internal/sample"
)

func ExampleAdvise() {
	a := progress.Advise(sample.Standing(ladder.Direction, 24, 8))
	fmt.Println(a.Decision, "to", a.Next)
	// Output:
	// step up to depth
}
