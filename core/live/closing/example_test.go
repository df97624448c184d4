package closing_test

import (
	"fmt"
	"slices"

	"hodometer/core/live/closing"
	"hodometer/internal/sample"
)

func ExampleAgainst() {
	d, _ := sample.Hour()
	run := d
	run.Blocks = slices.Clone(d.Blocks)
	run.Blocks[0].Minutes = 11
	for _, r := range closing.Against(d, run, 48*60)[:2] {
		fmt.Println(r.Title, r.Said)
	}
	// Output:
	// Body warm-up 3 min longer
	// Ball warm-up as planned
}
