package plan_test

import (
	"context"
	"fmt"

	"hodometer/core/lesson/plan"
	"hodometer/internal/sample"
)

func ExampleMake() {
	d, in := sample.Hour()
	p, err := plan.Make(context.Background(), d, in)
	if err != nil {
		panic(err)
	}
	fmt.Printf("%.0f min planned of %d\n", p.Planned/60, d.Minutes)
	// Output:
	// 48 min planned of 60
}
