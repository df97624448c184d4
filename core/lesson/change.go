package lesson

import (
	"math"
	"slices"
)

// PlaceFor is where a new block belongs in the order: at the end, before the closing talk.
func (d Document) PlaceFor(b Block) int {
	if n := len(d.Blocks); n > 0 && d.Blocks[n-1].Kind == Talk && b.Kind != Talk {
		return n - 1
	}
	return len(d.Blocks)
}

// Resized is the block with other minutes, its calls within them.
func (b Block) Resized(minutes float64) Block {
	was := b.Minutes
	b.Minutes = minutes
	b.shorten(was)
	return b
}

// shorten moves the calls of a block that got shorter closer together, where the last would come too late.
func (b *Block) shorten(was float64) {
	if !slices.ContainsFunc(b.Calls, func(c Call) bool { return c.Minute > b.Minutes }) {
		return
	}
	b.Calls = slices.Clone(b.Calls)
	for i := range b.Calls {
		b.Calls[i].Minute = math.Floor(10*b.Calls[i].Minute*b.Minutes/was) / 10
	}
}

// With is the block with something different for one student; nothing different takes it away.
func (b Block) With(v Variant) Block {
	b.Variants = slices.DeleteFunc(
		slices.Clone(b.Variants),
		func(other Variant) bool { return other.Student == v.Student },
	)
	if v.Version != "" || v.Drawn != "" || v.Gap != 0 || v.Size != 0 || len(v.Goals) > 0 {
		b.Variants = append(b.Variants, v)
	}
	if len(b.Variants) == 0 {
		b.Variants = nil
	}
	return b
}

// Hush is the lesson with a finding left as it is for a reason, or told again where there is none.
func (d Document) Hush(h Hushed) Document {
	d.Hushed = slices.DeleteFunc(
		slices.Clone(d.Hushed),
		func(other Hushed) bool { return other.Block == h.Block && other.About == h.About },
	)
	if h.Why != "" {
		d.Hushed = append(d.Hushed, h)
	}
	if len(d.Hushed) == 0 {
		d.Hushed = nil
	}
	return d
}

// Played is a block that is over: pinned, with those who were in it.
func (b Block) Played(students []string) Block {
	b.Pinned = true
	if len(b.People) == 0 {
		b.People = slices.Clone(students)
	}
	return b
}

// Lasting is a block under way that lasts so many minutes in all: what it could have is settled, and calls that would
// come later are gone.
func (b Block) Lasting(minutes float64) Block {
	b.Minutes = math.Ceil(minutes*100-1e-6) / 100
	b.Wanted, b.Min, b.Max, b.Step = 0, 0, 0, ""
	b.Calls = slices.DeleteFunc(slices.Clone(b.Calls), func(c Call) bool { return c.Minute >= b.Minutes })
	return b
}

// ForThose is a block to come for those who are there.
func (b Block) ForThose(present, everybody []string) Block {
	b.People = nil
	if len(present) < len(everybody) {
		b.People = slices.Clone(present)
	}
	return b
}

// Cut parts a block after so many minutes. The second part goes on counting where the first one stood.
func (b Block) Cut(minutes float64) (played, rest Block) {
	minutes = math.Round(minutes*100) / 100
	played, rest = b, b
	played.Minutes, rest.Minutes = minutes, math.Max(ShortestBlock, math.Round((b.Minutes-minutes)*100)/100)
	played.Wanted, rest.Wanted = 0, 0
	played.Min, played.Max, rest.Min, rest.Max = 0, 0, 0, 0
	played.Step, rest.Step = "", ""
	rest.Continues, rest.Pinned = b.CountedAs(), false
	played.Calls, rest.Calls = []Call{}, []Call{}
	for _, call := range b.Calls {
		if call.Minute < minutes {
			played.Calls = append(played.Calls, call)
		} else if call.Minute-minutes < rest.Minutes {
			call.Minute = math.Round((call.Minute-minutes)*100) / 100
			rest.Calls = append(rest.Calls, call)
		}
	}
	return played, rest
}
