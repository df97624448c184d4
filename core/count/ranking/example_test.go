package ranking_test

import (
	"context"
	"fmt"

	"hodometer/core/count/ranking"
)

func ExampleRank() {
	r, err := ranking.Rank(context.Background(), []string{"Ada", "Ben", "Cy"}, nil, []ranking.Result{
		{Near: []string{"Ada"}, Far: []string{"Ben"}, NearPoints: 11, FarPoints: 6},
		{Near: []string{"Ben"}, Far: []string{"Cy"}, NearPoints: 11, FarPoints: 9},
	}, ranking.Games)
	if err != nil {
		panic(err)
	}
	for _, s := range r.Standings {
		fmt.Printf("%s %.2f\n", s.Player, s.Strength)
	}
	// Output:
	// Ada 0.31
	// Ben 0.00
	// Cy -0.31
}
