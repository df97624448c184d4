package editing

import (
	"context"
	"math"
	"slices"

	"hodometer/core/basics/apportion"
	"hodometer/core/basics/invalid"
	"hodometer/core/basics/say"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
)

// Going is what a coach does with the road while a lesson is under way.
type Going string

// What it can be.
const (
	Longer Going = "longer" // the block that is on has so many minutes more
	// the lesson stood still; it goes on now where it stood, and all that is to come is as much later
	Held    Going = "held"
	CatchUp Going = "catch up" // what is left is fitted into what is left of the booking, after it was held
	GoOn    Going = "go on"    // the block that is on is over, the next one begins
	GoBack  Going = "go back"  // the block before goes on for a minute; the one that was on begins after it
	EndThen Going = "end"      // the lesson begins at a time of the day, and has so many minutes
)

// Travel is one thing done with the road while a block is on.
type Travel struct {
	Kind    Going   `json:"kind"`
	Block   string  `json:"block" maxLength:"40" description:"Identifier of the block that is on"`
	Gone    float64 `json:"gone,omitempty" minimum:"0" maximum:"86400" description:"Seconds of it that are gone"`
	Minutes float64 `json:"minutes,omitempty" minimum:"0" maximum:"600" description:"How much longer; of end, how long the lesson is"`
	Start   string  `json:"start,omitempty" pattern:"^([01][0-9]|2[0-3]):[0-5][0-9]$" description:"Of end: when it really begins, hours:minutes"`
}

// Travelled is a lesson after something was done with its road.
type Travelled struct {
	Document  lesson.Document `json:"document"`
	Second    float64         `json:"second" description:"Where the lesson is then"`
	Sentences []say.Sentence  `json:"sentences" description:"What got shorter or longer"`
}

const (
	again        = 1    // minutes for which the block before goes on
	leastBooking = 5    // minutes
	worthTelling = 0.25 // minutes
)

// Under does one thing with the road of a lesson under way that stood still for so many seconds. What was played stays
// as it was; what is left is fitted into what is left of the booking, but where the lesson just goes on, and where even
// its least does not fit, each block has its least and it is said how late the lesson ends. It returns invalid.Fields,
// or ctx.Err() when cancelled.
func Under(ctx context.Context, d lesson.Document, t Travel, held float64, in schedule.Inputs) (Travelled, error) {
	at := slices.IndexFunc(d.Blocks, func(b lesson.Block) bool { return b.ID == t.Block })
	if at < 0 {
		return Travelled{}, invalid.Fields{{Path: "block", Message: "this block is not in the lesson any more"}}
	}
	d.Blocks = slices.Clone(d.Blocks)
	begins := 0.0
	for _, before := range d.Blocks[:at] {
		begins += before.Seconds()
	}
	now, more := Travelled{Second: begins + t.Gone}, 0.0 // minutes for the rest, beside what it has
	switch t.Kind {
	case Held:
		now.Document, now.Sentences = d, []say.Sentence{}
		return now, nil
	case CatchUp:
	case Longer:
		d.Blocks[at] = d.Blocks[at].Lasting(d.Blocks[at].Minutes + t.Minutes)
	case GoOn:
		was := d.Blocks[at].Minutes
		d.Blocks[at] = d.Blocks[at].Lasting(math.Max(lesson.ShortestBlock, math.Ceil(t.Gone/0.6)/100))
		more = math.Max(0, was-d.Blocks[at].Minutes)
		now.Second = begins + d.Blocks[at].Seconds()
	case GoBack:
		if at == 0 {
			return Travelled{}, invalid.Fields{{Path: "block", Message: "this is the first block"}}
		}
		at--
		d.Blocks[at] = d.Blocks[at].Lasting(d.Blocks[at].Minutes + t.Gone/60 + again)
	case EndThen:
		d.Minutes = int(math.Max(leastBooking, math.Round(t.Minutes)))
		if t.Start != "" {
			d.Start = t.Start
		}
		if t.Gone == 0 {
			at-- // it has not begun
		}
		more = float64(d.Minutes)
	}
	fitted, sentences, err := fitRest(ctx, d, at+1, more, held/60, in)
	now.Document, now.Sentences = fitted, sentences
	if err == nil {
		err = fitted.Check()
	}
	return now, err
}

// fitRest gives the blocks from one on what they have and so many minutes more, but no more than is left of the booking
// after the lesson stood still for some, and says what they have now instead of before.
func fitRest(
	ctx context.Context,
	d lesson.Document,
	from int,
	more, held float64,
	in schedule.Inputs,
) (lesson.Document, []say.Sentence, error) {
	left := float64(d.Minutes) - held
	for _, block := range d.Blocks[:from] {
		left -= block.Minutes
	}
	list := schedule.Prepare(d, in)
	parts, least, has := []apportion.Part{}, 0.0, more
	for _, l := range list[from:] {
		p := part(l)
		parts, least, has = append(parts, p), least+p.Min, has+l.Block.Minutes
	}
	sentences := []say.Sentence{}
	if len(parts) == 0 {
		return d, late(sentences, -left), nil
	}
	fitted, ok, err := apportion.Share(ctx, math.Max(0, math.Min(left, has)), parts)
	if err != nil {
		return d, nil, err
	}
	for i := range parts {
		was, minutes := d.Blocks[from+i], parts[i].Min
		if ok {
			minutes = math.Round(fitted.Minutes[i]*100) / 100
		}
		if was.Pinned {
			continue
		}
		block := was.Resized(minutes)
		if block.Wanted == 0 {
			block.Wanted = was.Minutes
		}
		if math.Abs(block.Minutes-was.Minutes) >= worthTelling {
			adapt(&block, list[from+i], in)
		}
		d.Blocks[from+i] = block
		if sentence := instead(was, block, list[from+i]); !sentence.Empty() {
			sentences = append(sentences, sentence)
		}
	}
	if !ok {
		sentences = late(sentences, least-left)
	}
	return d, sentences, nil
}

// late says how many minutes the lesson ends after its booking.
func late(sentences []say.Sentence, minutes float64) []say.Sentence {
	if minutes < worthTelling {
		return sentences
	}
	return append(sentences, say.Of("edit.late", minutes))
}

// instead says what a block has now instead of before; empty where that is as good as the same.
func instead(was, now lesson.Block, l schedule.Prepared) say.Sentence {
	before, turns := 0, 0
	if l.Drilled {
		before, turns = was.TurnsOf(l.Document), now.TurnsOf(l.Document)
	}
	resized := math.Abs(now.Minutes-was.Minutes) >= worthTelling
	switch {
	case resized && turns != before:
		return say.Of("edit.minutes and turns", was.Title, now.Minutes, was.Minutes, turns, before)
	case resized:
		return say.Of("edit.minutes", was.Title, now.Minutes, was.Minutes)
	case turns != before:
		return say.Of("edit.turns instead", was.Title, turns, before)
	}
	return say.Sentence{}
}
