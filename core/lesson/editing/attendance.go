package editing

import (
	"context"
	"math"
	"slices"

	"hodometer/core/basics/say"
	"hodometer/core/basics/units"
	"hodometer/core/drill/load"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
)

// Attendance is who turned up, and when that was seen.
type Attendance struct {
	Present []string   `json:"present" minItems:"1" maxItems:"12" description:"Identifiers of the students who are there from now on"`
	Second  float64    `json:"second,omitempty" minimum:"0" maximum:"86400" description:"Second of the lesson; 0 before it begins"`
	Space   load.Space `json:"space" description:"The courts there are from now on"`
}

// setAttendance plans the lesson anew, from a second on, for those who are there. What was played stays as it was,
// with those who played it: a block under way is cut where it stands and goes on with its balls counted on.
// The rest is fitted to the time that is left.
func setAttendance(
	ctx context.Context,
	d lesson.Document,
	t Attendance,
	fresh []string,
	in schedule.Inputs,
) (Edited, error) {
	everybody := slices.Clone(d.Students)
	for _, id := range t.Present {
		if !slices.Contains(everybody, id) {
			everybody = append(everybody, id)
		}
	}
	sentences := []say.Sentence{}
	var blocks []lesson.Block
	begins := 0.0
	for _, block := range d.Blocks {
		ends := begins + block.Seconds()
		gone := t.Second - begins
		switch {
		case ends <= t.Second+60*lesson.ShortestBlock && t.Second > 0: // over, or as good as over
			blocks = append(blocks, block.Played(d.Students))
		// under way, and no room for a part of its own
		case gone >= 60*lesson.ShortestBlock && len(d.Blocks) >= lesson.MaxBlocks:
			blocks = append(blocks, block.ForThose(t.Present, everybody))
			sentences = append(sentences, say.Of("edit.not cut", block.Title, lesson.MaxBlocks))
		case gone >= 60*lesson.ShortestBlock && len(fresh) > 0: // under way
			played, rest := block.Cut(gone / 60)
			rest.ID, fresh = fresh[0], fresh[1:]
			blocks = append(blocks, played.Played(d.Students), rest.ForThose(t.Present, everybody))
			sentences = append(sentences, say.Of("edit.goes on", block.Title, units.Elapsed(t.Second)))
		default:
			blocks = append(blocks, block.ForThose(t.Present, everybody))
		}
		begins = ends
	}
	was := schedule.Prepare(d, in)
	d.Students, d.Blocks, d.Space = everybody, blocks, t.Space
	if len(d.Blocks) == 0 {
		return Edited{Document: d, Fits: true, Sentences: sentences, Drop: []string{}}, d.Check()
	}
	in.People = in.Known(everybody)
	needed(d, was, in)
	fitted, err := ShareOut(ctx, d, "", in)
	fitted.Sentences = append(sentences, fitted.Sentences...)
	return fitted, err
}

// needed has drills want no more minutes for those who are there now than they need, where before they needed more: the
// rest is not stood about.
func needed(d lesson.Document, was []schedule.Prepared, in schedule.Inputs) {
	for i, l := range schedule.Prepare(d, in) {
		b := &d.Blocks[i]
		at := slices.IndexFunc(was, func(l schedule.Prepared) bool { return l.Block.ID == b.ID })
		if at < 0 || !l.Drilled || b.Pinned || len(l.People) >= len(was[at].People) {
			continue
		}
		turns := b.TurnsOf(l.Document)
		before, now := math.Ceil(was[at].Need(turns, in)/60), math.Ceil(l.Need(turns, in)/60)
		if now < before && b.MinutesWanted() > now {
			b.Wanted = math.Max(now, b.MinutesWanted()-(before-now))
			least, most := b.Bounds()
			b.Max = math.Max(least, math.Min(most, b.Wanted))
		}
	}
}
