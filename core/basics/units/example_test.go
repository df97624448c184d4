package units_test

import (
	"fmt"

	"hodometer/core/basics/units"
)

func ExampleRead() {
	metres, err := units.Read("4 ft 6 in", 0)
	if err != nil {
		panic(err)
	}
	fmt.Println(units.Metres.Length(metres), "is", units.Feet.Length(metres))
	// Output:
	// 1.37 m is 4 ft 6 in
}
