package load_test

import (
	"fmt"

	"hodometer/core/drill/library"
	"hodometer/core/drill/load"
	"hodometer/core/people/coach"
)

func ExampleFor() {
	d, _ := library.Find("f239ec76-d0f1-5e8d-9d2a-d3df78c0ebd9")
	l := load.For(d, load.Group{People: 3}, 4, coach.Default())
	fmt.Printf("%d balls, %d basket, %.0f min, %.0f s between two turns\n", l.Balls, l.Baskets, l.Need/60, l.Waiting)
	// Output:
	// 72 balls, 2 basket, 10 min, 84 s between two turns
}
