package prospect_test

import (
	"context"
	"fmt"

	"hodometer/core/lesson/prospect"
	"hodometer/core/lesson/schedule"
	"hodometer/internal/sample"
)

func ExampleAll() {
	d, in := sample.Hour()
	six := sample.Rated(sample.Coin().Document, 0.6) // 6 of 10 at every measure
	in.Rates = map[string]map[string]schedule.Rated{"3": {"ada": six, "ben": six}}
	table, list, err := schedule.Make(context.Background(), d, in)
	if err != nil {
		panic(err)
	}
	blocks, err := prospect.All(context.Background(), table, list, in)
	if err != nil {
		panic(err)
	}
	coin := blocks[2]
	fmt.Printf("%s, %s: %.0f of %s\n", coin.Title, coin.Students[0].Name, coin.Students[0].Made, coin.Students[0].Tries)
	// Output:
	// Coin, Ada: 14 of 24 balls
}
