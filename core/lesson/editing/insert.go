package editing

import (
	"cmp"
	"context"
	"maps"
	"slices"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/say"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/coach"
)

// insert puts a block in, and fits the rest where it does not fit any more.
func insert(ctx context.Context, d lesson.Document, c Edit, in schedule.Inputs) (Edited, error) {
	if c.New == nil {
		return Edited{}, invalid.Fields{{Path: "new", Message: "say which block to put in"}}
	}
	d.Blocks = slices.Insert(d.Blocks, min(c.To, len(d.Blocks)), *c.New)
	if err := d.Check(); err != nil {
		return Edited{}, err
	}
	total := 0.0
	for _, b := range d.Blocks {
		total += b.Minutes
	}
	if total <= float64(d.Minutes) {
		return Edited{Document: d, Fits: true, Sentences: []say.Sentence{}, Drop: []string{}}, nil
	}
	return ShareOut(ctx, d, "", in)
}

// replay has a block play another version of its drill, or another drill: its minutes become what that takes, and the
// rest is fitted; where they are pinned they stay. The turns and what it may be fitted to stay with another version;
// with another drill they, its calls and what was different for single players are the new one's. Its place, its people
// and what those do who wait stay.
func replay(ctx context.Context, d lesson.Document, at int, c Edit, in schedule.Inputs) (Edited, error) {
	was := d.Blocks[at]
	block := was
	if c.Kind == SetVersion {
		if block.Version = c.Text; block.Version == coach.AsWritten {
			block.Version = ""
		}
		var err error
		if in, block.Minutes, err = withVersion(ctx, block, d, in); err != nil {
			return Edited{}, err
		}
		if c.On {
			block.Minutes = was.Minutes
			d.Blocks[at] = block
			said := say.Of("edit.another version", block.Title, cmp.Or(block.Version, coach.AsWritten))
			return Edited{Document: d, Fits: true, Sentences: []say.Sentence{said}, Drop: []string{}}, d.Check()
		}
	} else {
		if c.New == nil {
			return Edited{}, invalid.Fields{{Path: "new", Message: "say which drill to put in"}}
		}
		block = *c.New
		block.ID, block.People, block.OnDeck = was.ID, was.People, was.OnDeck
		block.Turns, block.Min, block.Max = 0, 0, 0
	}
	block.Wanted, block.Pinned = 0, was.Pinned
	if was.Pinned {
		block = block.Resized(was.Minutes)
	}
	d.Blocks[at] = block
	if l := schedule.Prepare(d, in)[at]; was.Pinned && l.Drilled {
		if turns := max(1, l.TurnsIn(in)); turns < block.TurnsOf(l.Document) {
			d.Blocks[at].Turns = turns
		}
	}
	if err := d.Check(); err != nil {
		return Edited{}, err
	}
	fitted, err := ShareOut(ctx, d, "", in)
	if err != nil {
		return fitted, err
	}
	if sentence := lengthened(was.Minutes, fitted.Document.Blocks[at]); !sentence.Empty() {
		others := slices.DeleteFunc(fitted.Sentences, func(other say.Sentence) bool {
			return other.Key == sentence.Key && other.With[0] == block.Title
		})
		fitted.Sentences = append([]say.Sentence{sentence}, others...)
	}
	return fitted, nil
}

// withVersion adds the version that a block plays of its drill or its game to what a lesson is planned with, and says
// how many minutes that takes. It returns invalid.Fields.
func withVersion(
	ctx context.Context,
	block lesson.Block,
	d lesson.Document,
	in schedule.Inputs,
) (schedule.Inputs, float64, error) {
	if written, known := in.Games[block.Game]; known {
		document, err := written.InLesson(block.Version, d.Space.Court)
		if err != nil {
			return in, 0, err
		}
		in.Games = maps.Clone(in.Games)
		in.Games[block.Plays()] = document
		usual, err := schedule.ForGame(ctx, block.Game, document, in.Settings)
		return in, usual.Minutes, err
	}
	written, known := in.Drills[block.Drill]
	if !known {
		return in, 0, invalid.Fields{{Path: "block", Message: "what this block plays is no longer there"}}
	}
	document, err := written.Version(block.Version)
	if err != nil {
		return in, 0, err
	}
	if document, err = document.OnCourt(d.Space.Court); err != nil {
		return in, 0, err
	}
	in.Drills = maps.Clone(in.Drills)
	in.Drills[block.Plays()] = document
	if block.Turns > 0 {
		document.Turns = block.Turns
	}
	return in, schedule.ForDrill(block.Drill, document, max(1, len(in.In(block))), d.Space, in.Settings).Minutes, nil
}
