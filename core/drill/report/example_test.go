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
	fmt.Println(r.Measures[0].Goal + r.Measures[0].Where)
	// Output:
	// 10 made in all, into the circle within 1.37 m of the mark: 1.98 m inside the far baseline, 1.37 m inside the left singles sideline
}
