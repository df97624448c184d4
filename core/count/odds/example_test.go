package odds_test

import (
	"context"
	"fmt"

	"hodometer/core/count/odds"
	"hodometer/core/count/score"
)

func ExampleQuestion_Answer() {
	// Five in a row by somebody who makes 7 of 10, a ball every four seconds.
	clock := odds.Clock{Gap: 4, Sequence: 10, People: 1, Basket: 60}
	answer, err := odds.Question{
		Goal:  score.Goal{Kind: score.Streak, Count: 5},
		Rate:  0.7,
		Clock: clock,
	}.Answer(
		context.Background(),
	)
	if err != nil {
		panic(err)
	}
	fmt.Printf("%.1f balls on average\n", answer.Mean)
	// Output:
	// 16.5 balls on average
}
