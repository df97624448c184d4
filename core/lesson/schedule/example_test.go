package schedule_test

import (
	"context"
	"fmt"

	"hodometer/core/lesson/schedule"
	"hodometer/internal/sample"
)

func ExampleMake() {
	d, in := sample.Hour()
	table, _, err := schedule.Make(context.Background(), d, in)
	if err != nil {
		panic(err)
	}
	for _, b := range table.Blocks[:3] {
		fmt.Println(b.Clock, b.Title, b.Length)
	}
	// Output:
	// 16:45 Body warm-up 8 min
	// 16:53 Ball warm-up 10 min
	// 17:03 Coin 10 min
}
