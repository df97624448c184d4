package game_test

import (
	"context"
	"fmt"

	"hodometer/core/game"
)

func ExampleRules_Forecast() {
	// To 11 points, the near side winning six rallies of ten.
	rules := game.Rules{
		Rally: 1,
		Spots: []game.Spot{{Side: game.Near}, {Side: game.Far}},
		End:   game.End{Near: 11, Far: 11},
	}
	f, err := rules.Forecast(context.Background(), game.At(0.6), 0)
	if err != nil {
		panic(err)
	}
	fmt.Printf("wins %.0f games of 100, %.0f rallies\n", 100*f.Near, f.Rallies)
	// Output:
	// wins 83 games of 100, 17 rallies
}
