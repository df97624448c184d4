package throwing_test

import (
	"fmt"

	"hodometer/core/live/throwing"
)

func ExampleSimulatedMachine_Do() {
	m := throwing.NewSimulatedMachine(throwing.Make{Hopper: 20, Seed: 1})
	for _, e := range m.Do(throwing.Command{Do: throwing.Fill, Balls: 60}, 0) {
		fmt.Println(e.Event, e.Left)
	}
	// Output:
	// state 60
}
