package lesson

import "slices"

// Again is the lesson planned anew for another day: with everybody, and with blocks that were cut when somebody
// came or left put together again.
func (d Document) Again(date string) Document {
	d.Date = date
	var blocks []Block
	for _, b := range d.Blocks {
		if len(b.People) > 0 {
			b.People, b.Pinned = nil, false // it was pinned since it had been played
		}
		i := slices.IndexFunc(blocks, func(first Block) bool { return b.Continues != "" && first.ID == b.Continues })
		if i < 0 {
			b.Continues = ""
			blocks = append(blocks, b)
			continue
		}
		for _, call := range b.Calls {
			call.Minute += blocks[i].Minutes
			blocks[i].Calls = append(slices.Clip(blocks[i].Calls), call)
		}
		blocks[i].Minutes += b.Minutes
		blocks[i].Pinned = b.Pinned
	}
	d.Blocks = blocks
	if d.Blocks == nil {
		d.Blocks = []Block{}
	}
	return d
}
