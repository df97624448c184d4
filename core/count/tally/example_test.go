package tally_test

import (
	"fmt"

	"hodometer/core/count/tally"
)

func ExampleCountOf() {
	entries := []tally.Entry{
		{Seq: 0, Kind: tally.Made},
		{Seq: 1, Kind: tally.Made},
		{Seq: 2, Kind: tally.Missed},
		{Seq: 3, Kind: tally.Made},
		{Seq: 4, Kind: tally.Undo},
	}
	c := tally.CountOf(entries)
	fmt.Printf("%d of %d, best %d in a row\n", c.Made, c.Balls, c.Best)
	// Output:
	// 3 of 4, best 2 in a row
}
