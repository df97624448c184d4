package seeded_test

import (
	"fmt"

	"hodometer/core/basics/seeded"
)

func ExampleFrom() {
	fmt.Println(seeded.From(7).Order(5), seeded.From(7).Order(5)) // the same seed, the same order
	// Output:
	// [1 0 4 2 3] [1 0 4 2 3]
}
