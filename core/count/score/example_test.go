package score_test

import (
	"fmt"

	"hodometer/core/count/score"
	"hodometer/core/count/tally"
)

func ExampleCourse_String() {
	goals := score.Course{{Kind: score.Total, Count: 10}, {Kind: score.Streak, Count: 5}}
	entries := []tally.Entry{}
	for i := range 15 {
		entries = append(entries, tally.Entry{Seq: i, Kind: tally.Made})
	}
	fmt.Println(goals)
	fmt.Println(goals.Over(goals.Stand(entries), entries))
	// Output:
	// 10 made in all, then 5 in a row
	// true
}
