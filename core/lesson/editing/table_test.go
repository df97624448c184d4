package editing_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/lesson/editing"
	"hodometer/internal/golden"
	"hodometer/internal/sample"
)

// TestManyEditsOfManyLessons: what becomes of the blocks of a lesson by every kind of edit, and what is said of it.
func TestManyEditsOfManyLessons(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	for i := range 12 {
		d, in := sample.Mixed(i)
		other := d.Blocks[4]
		for k, c := range []editing.Edit{
			{Kind: editing.Resize, Block: "3", Minutes: float64(4 + i)},
			{Kind: editing.Resize, Block: "2", Minutes: 6, On: true},
			{Kind: editing.SetTurns, Block: "3", Turns: 1 + i%5}, {Kind: editing.SetLines, Block: "3", Lines: 1 + i%3},
			{Kind: editing.Pin, Block: "5", On: i%2 == 0}, {Kind: editing.MoveBlock, Block: "4", To: i % 5},
			{Kind: editing.RemoveBlock, Block: "2"}, {Kind: editing.FitBlocks},
			{Kind: editing.SetBooking, Minutes: float64(30 + 6*i)},
			{Kind: editing.AddBlock, New: &other}, {Kind: editing.InsertBlock, To: i % 4, New: &other},
			{Kind: editing.SetPeople, Block: "3", People: d.Students[:1]}, {Kind: editing.SetOnDeck, Block: "3", Text: "shadow"},
			{Kind: editing.Adjust, Block: "3", Size: 1.5}, {Kind: editing.SwapDrill, Block: "3", New: &other},
			{
				Kind: editing.SetAttendance,
				Attendance: &editing.Attendance{
					Present: d.Students[:(len(d.Students)+1)/2], Second: float64(300 * (i % 5)), Space: d.Space,
				},
			},
		} {
			changed, err := editing.Apply(t.Context(), d, c, []string{"f1", "f2", "f3"}, in)
			fmt.Fprintf(&b, "%d %s: %v %v %v %v\n", i, c.Kind, changed.Fits, changed.Drop, changed.Sentences, err)
			for n, block := range changed.Document.Blocks {
				if (n+k+i)%3 == 0 {
					fmt.Fprintf(&b, "   %s %s %.2f of %.2f, %d turns, %d lines, pinned %v, %v\n", block.ID, block.Title, block.Minutes,
						block.Wanted, block.Turns, block.Lines, block.Pinned, block.People)
				}
			}
		}
	}
	golden.Same(t, "edits.txt", b.String())
}
