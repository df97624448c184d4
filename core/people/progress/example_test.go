package progress_test

import (
	"fmt"
	"time"

	"hodometer/core/people/ladder"
	"hodometer/core/people/progress"
)

func ExampleAdvise() {
	day := time.Date(2026, 3, 10, 0, 0, 0, 0, time.UTC)
	a := progress.Advise(
		ladder.Direction,
		[]progress.Evidence{{At: day, Drill: "coin", Rung: ladder.Direction, Made: 34, Missed: 4}},
		0,
	)
	fmt.Println(a.Decision, "to", a.Next)
	// Output:
	// step up to depth
}
