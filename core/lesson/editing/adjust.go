package editing

import (
	"cmp"
	"slices"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/say"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
)

// adjust changes the drill of a block on the spot, in the minutes that there are. It returns invalid.Fields.
func adjust(d lesson.Document, at int, c Edit, fresh []string, in schedule.Inputs) (Edited, error) {
	written, known := in.Drills[d.Blocks[at].Drill]
	if !known {
		return Edited{}, invalid.Fields{{Path: "block", Message: "what this block plays is no longer there"}}
	}
	if c.Step == nil && c.Size <= 0 {
		return Edited{}, invalid.Fields{{Path: "step", Message: "say what to change"}}
	}
	const smallest, largest = 0.25, 4
	if size := cmp.Or(d.Blocks[at].Size, 1) * cmp.Or(c.Size, 1); size < smallest || size > largest {
		return Edited{}, invalid.Fields{
			{Path: "size", Message: "a target is a quarter to four times as large as it is drawn"},
		}
	}
	changed := d.Blocks[at].Adjusted(c.Step, c.Size)
	if _, err := changed.OnTheSpot(changed.VersionOf(written, d.Space.Court)); err != nil {
		return Edited{}, err
	}
	d, at = parted(d, at, c.Gone, fresh)
	d.Blocks[at] = d.Blocks[at].Adjusted(c.Step, c.Size)
	return Edited{
		Document:  d,
		Fits:      true,
		Sentences: []say.Sentence{say.Of("edit.from now on", d.Blocks[at].Title)},
		Drop:      []string{},
	}, d.Check()
}

// parted cuts a block under way where it stands, so that what was counted so far stays what it was, and returns where
// what is left of it stands. What was played has half a minute at least. Where less than that would be left, and where
// there is no room for one more block, all of it is counted anew. One that has not begun stays as it is.
func parted(d lesson.Document, at int, gone float64, fresh []string) (lesson.Document, int) {
	block := d.Blocks[at]
	if gone <= 0 || len(fresh) == 0 {
		return d, at
	}
	minutes := max(lesson.ShortestBlock, float64(int(gone/0.6))/100)
	if block.Minutes-minutes < lesson.ShortestBlock || len(d.Blocks) >= lesson.MaxBlocks {
		d.Blocks = slices.Clone(d.Blocks)
		d.Blocks[at].Continues, d.Blocks[at].ID, d.Blocks[at].Anew = block.CountedAs(), fresh[0], true
		return d, at
	}
	played, rest := block.Cut(minutes)
	rest.ID, rest.Anew = fresh[0], true
	d.Blocks = slices.Replace(slices.Clone(d.Blocks), at, at+1, played.Played(d.Students), rest)
	return d, at + 1
}
