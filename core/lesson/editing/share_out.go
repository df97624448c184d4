package editing

import (
	"context"
	"math"
	"slices"

	"hodometer/core/basics/apportion"
	"hodometer/core/basics/invalid"
	"hodometer/core/basics/say"
	"hodometer/core/basics/units"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
)

// part is the block as it is fitted. A step that is longer than its most is left out of account: better
// part of a rotation than none.
func part(l schedule.Prepared) apportion.Part {
	b := l.Block
	if b.Pinned {
		return apportion.Part{Wanted: b.Minutes, Min: b.Minutes, Max: b.Minutes, Weight: 1}
	}
	least, most := b.Bounds()
	p := apportion.Part{
		Wanted: b.MinutesWanted(),
		Min:    least,
		Max:    most,
		Weight: float64(b.MinutesWeight()),
		Step:   l.Step(),
	}
	if !p.HasStep() {
		p.Step = 0
	}
	return p
}

// ShareOut shares the booking out among the blocks: each gets as near to what it should have as the others
// let it, in its steps, and pinned ones stay. A block that was just given its minutes by hand is kept as
// if it were pinned. Drills get the turns that fit.
func ShareOut(ctx context.Context, d lesson.Document, keep string, in schedule.Inputs) (Edited, error) {
	if err := d.Check(); err != nil {
		return Edited{}, err
	}
	if len(d.Blocks) == 0 {
		return Edited{}, invalid.Fields{{Path: "blocks", Message: "there is nothing to fit yet; add a block"}}
	}
	parts := make([]apportion.Part, len(d.Blocks))
	list := schedule.Prepare(d, in)
	for i, l := range list {
		l.Block.Pinned = l.Block.Pinned || l.Block.ID == keep
		parts[i] = part(l)
	}
	shares, ok, err := apportion.Share(ctx, float64(d.Minutes), parts)
	if err != nil {
		return Edited{}, err
	}
	if !ok {
		return tooMuch(ctx, d, keep, parts)
	}
	r := Edited{Document: d, Fits: true, Sentences: []say.Sentence{}, Drop: []string{}}
	r.Document.Blocks = slices.Clone(d.Blocks)
	for i := range r.Document.Blocks {
		block := &r.Document.Blocks[i]
		if block.Wanted == 0 && !block.Pinned {
			block.Wanted = block.Minutes
		}
		if block.ID == keep {
			block.Wanted = block.Minutes
			continue
		}
		*block = block.Resized(math.Round(shares.Minutes[i]*100) / 100)
		if sentence := adapt(block, list[i], in); !sentence.Empty() {
			r.Sentences = append(r.Sentences, sentence)
		} else if sentence := lengthened(d.Blocks[i].Minutes, *block); !sentence.Empty() {
			r.Sentences = append(r.Sentences, sentence)
		}
	}
	if sentence := squeezed(d, parts, shares.Spare); !sentence.Empty() {
		r.Sentences = append([]say.Sentence{sentence}, r.Sentences...)
	}
	evenOut(r.Document, float64(d.Minutes)-shares.Spare, keep)
	if shares.Spare >= 0.05 {
		r.Sentences = append(r.Sentences, say.Of("edit.spare", shares.Spare))
	}
	return r, nil
}

// lengthened says that a block has other minutes than it had; empty where it has not.
func lengthened(had float64, b lesson.Block) say.Sentence {
	if units.Decimal(b.Minutes, 1) == units.Decimal(had, 1) {
		return say.Sentence{}
	}
	return say.Of("edit.minutes", b.Title, b.Minutes, had)
}

// squeezed says why blocks do not have what they should; empty where they do.
func squeezed(d lesson.Document, parts []apportion.Part, spare float64) say.Sentence {
	wanted, pinned := 0.0, 0.0
	for _, p := range parts {
		wanted += p.Wanted
		if p.Min == p.Max {
			pinned += p.Wanted
		}
	}
	off := float64(d.Minutes) - spare - wanted
	if math.Abs(off) < 0.25 {
		return say.Sentence{}
	}
	sentence := say.Of("edit.too little to share", wanted, wanted+off, off)
	if off < 0 {
		sentence = say.Of("edit.too much to share", wanted, wanted+off, -off)
	}
	if pinned > 0 {
		return say.Of("edit.and pinned", sentence, pinned)
	}
	return sentence
}

// evenOut gives what rounding left over to the longest block that may take it.
func evenOut(d lesson.Document, total float64, keep string) {
	at := -1
	for i, b := range d.Blocks {
		total -= b.Minutes
		if !b.Pinned && b.ID != keep && b.StepMinutes() == 0 && b.Step != lesson.WholeRotations &&
			(at < 0 || b.Minutes > d.Blocks[at].Minutes) {
			at = i
		}
	}
	if at >= 0 && math.Abs(total) < 0.2 {
		d.Blocks[at].Minutes = math.Max(lesson.ShortestBlock, math.Round((d.Blocks[at].Minutes+total)*100)/100)
	}
}

// adapt gives a drill the turns that there is time for in its minutes, and says what became of the block as
// it was scheduled before. There are never more turns than were planned or than the drill has.
func adapt(b *lesson.Block, l schedule.Prepared, in schedule.Inputs) say.Sentence {
	var sentence say.Sentence
	off := b.Minutes - b.Wanted
	switch {
	case b.Pinned || b.Wanted == 0 || math.Abs(off) < 0.25:
	case off < 0:
		sentence = say.Of("edit.fewer minutes", b.Title, b.Minutes, -off)
	default:
		sentence = say.Of("edit.more minutes", b.Title, b.Minutes, off)
	}
	if !l.Drilled || b.Pinned {
		return sentence
	}
	planned := b.TurnsOf(l.Document)
	l.Block.Minutes = b.Minutes
	turns := max(1, min(l.TurnsIn(in), max(planned, in.Drills[b.Plays()].Turns)))
	if turns == planned {
		return sentence
	}
	b.Turns = turns
	switch {
	case sentence.Empty():
		return say.Of("edit.turns", b.Title, turns, planned)
	case off < 0:
		return say.Of("edit.fewer minutes and turns", b.Title, b.Minutes, -off, turns, planned)
	}
	return say.Of("edit.more minutes and turns", b.Title, b.Minutes, off, turns, planned)
}

// tooMuch says which blocks to take out so that the least of the rest fits: those that matter least
// first, and of these the longest.
func tooMuch(ctx context.Context, d lesson.Document, keep string, parts []apportion.Part) (Edited, error) {
	r := Edited{Document: d, Sentences: []say.Sentence{}, Drop: []string{}}
	least := 0.0
	for _, p := range parts {
		least += p.Min
	}
	r.Sentences = append(
		r.Sentences,
		say.Of("edit.too much", least, d.Minutes),
	)
	gone := make([]bool, len(parts))
	for {
		at := -1
		for i, block := range d.Blocks {
			if gone[i] || block.Pinned || block.ID == keep {
				continue
			}
			if at < 0 || block.MinutesWeight() < d.Blocks[at].MinutesWeight() ||
				block.MinutesWeight() == d.Blocks[at].MinutesWeight() && parts[i].Min > parts[at].Min {
				at = i
			}
		}
		if at < 0 {
			r.Sentences = append(r.Sentences, say.Of("edit.pinned too much"))
			return r, nil
		}
		gone[at] = true
		r.Drop = append(r.Drop, d.Blocks[at].ID)
		r.Sentences = append(r.Sentences, say.Of("edit.take out", d.Blocks[at].Title))
		var rest []apportion.Part
		for i, p := range parts {
			if !gone[i] {
				rest = append(rest, p)
			}
		}
		if len(rest) == 0 {
			return r, nil
		}
		if _, ok, err := apportion.Share(ctx, float64(d.Minutes), rest); err != nil || ok {
			return r, err
		}
	}
}
