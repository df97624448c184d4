package scoreboard_test

import (
	"fmt"

	"hodometer/core/drill/library"
	"hodometer/core/game"
	"hodometer/core/live/scoreboard"
)

func ExampleKit_Do() {
	ready := library.Games()[1].Document
	kit := scoreboard.Kit{
		ID: "m",
		Document: game.Match{
			FormatVersion: game.MatchVersion,
			Title:         ready.Name,
			Sport:         ready.Sport,
			Court:         ready.Court,
			Rules:         &ready.Rules,
			Players:       []string{"ada", "ben"},
		},
		Names: map[string]string{"ada": "Ada", "ben": "Ben"},
	}
	if _, err := kit.Do([]game.Event{{ID: "1", Kind: game.Won, Rally: 1, Side: game.Near}}); err != nil {
		panic(err)
	}
	fmt.Println(kit.View().State.Points, kit.View().Next)
	// Output:
	// [1 0] Ada serves.
}
