package drill_test

import (
	"fmt"

	"hodometer/core/drill/library"
)

func ExampleDocument_Check() {
	d, _ := library.Find("f239ec76-d0f1-5e8d-9d2a-d3df78c0ebd9")
	fmt.Println(d.Name, "asks for", d.Turn(), "a turn:", d.Check())
	d.Court = "the moon"
	fmt.Println(d.Check() != nil)
	// Output:
	// Coin in the Corner asks for 6 balls a turn: <nil>
	// true
}
