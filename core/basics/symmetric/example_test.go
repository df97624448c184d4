package symmetric_test

import (
	"fmt"

	"hodometer/core/basics/symmetric"
)

func ExampleMatrix_Factor() {
	m := symmetric.New(2) // 4x + 2y = 8 and 2x + 5y = 12
	m.Add(0, 0, 4)
	m.Add(1, 0, 2)
	m.Add(1, 1, 5)
	l, ok := m.Factor()
	unknowns := []float64{8, 12}
	l.Solve(unknowns)
	fmt.Println(unknowns, ok)
	// Output: [1 2] true
}
