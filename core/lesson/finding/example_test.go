package finding_test

import (
	"context"
	"fmt"

	"hodometer/core/lesson/finding"
	"hodometer/core/lesson/prospect"
	"hodometer/core/lesson/schedule"
	"hodometer/internal/sample"
)

func ExampleAll() {
	d, in := sample.Hour()
	d.Blocks = d.Blocks[2:] // nobody warms up
	table, list, err := schedule.Make(context.Background(), d, in)
	if err != nil {
		panic(err)
	}
	prospects, err := prospect.All(context.Background(), table, list, in)
	if err != nil {
		panic(err)
	}
	found, err := finding.All(context.Background(), d, table, list, prospects, in)
	if err != nil {
		panic(err)
	}
	fmt.Println(found[0].Reason)
	fmt.Println(found[0].Remedies[0].Label)
	// Output:
	// 30:00 of the booking is not planned yet.
	// Fit all blocks to the booking
}
