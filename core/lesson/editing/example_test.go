package editing_test

import (
	"context"
	"fmt"

	"hodometer/core/lesson/editing"
	"hodometer/internal/sample"
)

func ExampleApply() {
	d, in := sample.Hour()
	edited, err := editing.Apply(
		context.Background(),
		d,
		editing.Edit{Kind: editing.Resize, Block: "3", Minutes: 14},
		nil,
		in,
	)
	if err != nil {
		panic(err)
	}
	fmt.Println(d.Blocks[2].Minutes, "becomes", edited.Document.Blocks[2].Minutes)
	// Output:
	// 10 becomes 14
}
