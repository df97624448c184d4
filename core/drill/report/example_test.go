package report_test

import (
	"fmt"

	"hodometer/core/drill/library"
	"hodometer/core/drill/report"
	"hodometer/core/people/coach"
)

func ExampleOf() {
	d, _ := library.Find("f239ec76-d0f1-5e8d-9d2a-d3df78c0ebd9")
	r, err := report.Of(d, 2, coach.Default())
	if err != nil {
		panic(err)
	}
	fmt.Println(r.Measures[0].Goal)
	fmt.Println(r.Measures[0].Target.Margin >= 0, len(r.Feeds), "balls")
	// Output:
	// 5 made in all
	// true 2 balls
}
