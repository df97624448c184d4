// Package closing says what became of a lesson against its plan: how long each block really went, and what each student
// really played.
package closing

import (
	"math"
	"slices"

	"hodometer/core/basics/units"
	"hodometer/core/lesson"
)

// Ran is how long a block was to go, and went. Times are seconds.
type Ran struct {
	Block   string  `json:"block"`
	Title   string  `json:"title"`
	Planned float64 `json:"planned"`
	Ran     float64 `json:"ran"`
	Said    string  `json:"said" description:"In words: 3 min longer"`
}

// same is how far two lengths of a block may lie apart to be the same, in seconds: lengths come in half minutes.
const same = 30

// Against sets a lesson as it was run up to a second of it against what was planned when it began. A block that was cut
// is one; one that was put in or left out is told. The order is that in which they were run; what was left out comes
// last.
func Against(planned, run lesson.Document, end float64) []Ran {
	list := []Ran{}
	at := func(id string) int { return slices.IndexFunc(list, func(r Ran) bool { return r.Block == id }) }
	begins := 0.0
	for _, block := range run.Blocks {
		root := first(run, block)
		i := at(root.ID)
		if i < 0 {
			i, list = len(list), append(list, Ran{Block: root.ID, Title: root.Title})
		}
		list[i].Ran += gone(begins, block, end)
		begins += block.Seconds()
	}
	known := map[string]bool{}
	for _, block := range planned.Blocks {
		root := first(planned, block)
		known[root.ID] = true
		i := at(root.ID)
		if i < 0 {
			i, list = len(list), append(list, Ran{Block: root.ID, Title: root.Title})
		}
		list[i].Planned += block.Seconds()
	}
	for i, r := range list {
		list[i].Said = r.say(known[r.Block])
	}
	return list
}

// gone is how much of a block that begins at a second was run up to another one.
func gone(begins float64, block lesson.Block, end float64) float64 {
	return math.Max(0, math.Min(block.Seconds(), end-begins))
}

// first is the block from which another one goes on, over however many cuts; itself where it goes on from none.
func first(d lesson.Document, block lesson.Block) lesson.Block {
	for range d.Blocks {
		i := slices.IndexFunc(d.Blocks, func(b lesson.Block) bool { return b.ID == block.Continues })
		if block.Continues == "" || i < 0 {
			break
		}
		block = d.Blocks[i]
	}
	return block
}

func (r Ran) say(planned bool) string {
	length := minutes(math.Abs(r.Ran - r.Planned))
	switch {
	case !planned && r.Ran == 0:
		return "put in, and not run"
	case !planned:
		return "put in, " + minutes(r.Ran)
	case r.Ran == 0:
		return "left out"
	case math.Abs(r.Ran-r.Planned) < same:
		return "as planned"
	case r.Ran > r.Planned:
		return length + " longer"
	default:
		return length + " shorter"
	}
}

// minutes is a length in words, to half a minute.
func minutes(seconds float64) string { return units.Decimal(math.Round(seconds/30)/2, 1) + " min" }
