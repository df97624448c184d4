package schedule_test

import (
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
	"hodometer/internal/golden"
	"hodometer/internal/sample"
)

// TestTheTimetablesOfManyLessons: an hour for one to eight people with drills and games of the library in it, with what
// is carried, what comes to each student and what is told at a glance.
func TestTheTimetablesOfManyLessons(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	games := library.Games()
	for i := range 24 {
		d, in := sample.Mixed(i)
		if i%6 == 1 {
			d.Blocks[1].Step = lesson.WholeRotations
		}
		if form := d.Blocks[1].Rotation; i%6 == 3 && form != nil {
			three := *form
			three.Courts, d.Blocks[1].Rotation = 3, &three
		}
		table, list, err := schedule.Make(t.Context(), d, in)
		require.NoError(t, err)
		fmt.Fprintf(
			&b,
			"%d people, %d min: planned %.0f s, over %.0f, spare %.0f, late %.0f, %d balls, %d baskets; carry %s\n",
			len(d.Students),
			d.Minutes,
			table.Planned,
			table.Over,
			table.Spare,
			table.Late,
			table.Balls,
			table.Baskets,
			schedule.InWords(table.Carry),
		)
		for k, block := range table.Blocks {
			where := []string{} // the rest of a rotation has tables of its own
			if block.Table != nil {
				for _, seat := range block.Table.Rounds[0].Seats {
					where = append(where, seat.Where)
				}
			}
			block.Table = nil
			fmt.Fprintln(
				&b,
				"  ",
				golden.Line(t, block, 1),
				fmt.Sprintf("step %.1f, %d turns, above the head %v, at %q", list[k].Step(), list[k].TurnsIn(in),
					list[k].Overhead(), where),
			)
		}
		fmt.Fprintln(&b, "  ", golden.Line(t, table.Budgets, 1))
		fmt.Fprintln(&b, "  ", golden.Line(t, table.Milestones[min(i%5, len(table.Milestones)-1):], 1))
	}
	for i, g := range games {
		if i%3 == 0 {
			_, in := sample.Crowd(4)
			block, err := schedule.ForGame(t.Context(), g.ID, g.Document, in.Settings)
			fmt.Fprintln(&b, g.Document.Name, golden.Line(t, block, 1), err)
		}
	}
	golden.Same(t, "timetables.txt", b.String())
}
