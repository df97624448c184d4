package simulation_test

import (
	"context"
	"fmt"

	"hodometer/core/drill/library"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
)

func ExampleRun() {
	d, _ := library.Find("f239ec76-d0f1-5e8d-9d2a-d3df78c0ebd9")
	s, err := simulation.Run(context.Background(), d, d.PlayerFor(student.Club, student.RightHand), coach.Default())
	if err != nil {
		panic(err)
	}
	fmt.Println(s.Verdict)
	for _, task := range s.Tasks {
		fmt.Println(task.Met.Label, task.Met.Verdict)
	}
	// Output:
	// All can be reached with honest work.
	// forehand working
	// forehand easy
}
