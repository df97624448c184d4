package metric_test

import (
	"fmt"

	"hodometer/core/basics/metric"
)

func ExampleNew() {
	m := metric.New("Feed rate", 15, "15", "a minute", metric.Derivation{
		Formula: "60 ÷ gap", Inputs: []metric.Input{{Name: "Gap", Value: "4 s"}}, Source: "arithmetic",
	})
	fmt.Println(m.Name, m.Text, m.Unit, "=", m.Derivation.Formula)
	// Output:
	// Feed rate 15 a minute = 60 ÷ gap
}
