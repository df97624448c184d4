package finding_test

import (
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/game"
	"hodometer/core/lesson"
	"hodometer/core/lesson/finding"
	"hodometer/core/lesson/prospect"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/student"
	"hodometer/internal/golden"
	"hodometer/internal/sample"
)

// TestTheFindingsOfManyLessons: what is told of lessons that are too long, too full, too hot, too far off or too much
// for somebody, and what is proposed.
func TestTheFindingsOfManyLessons(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	for i := range 24 {
		d, in := sample.Mixed(i)
		in.Settings.Air.Celsius = []float64{20, 36, 2}[i%3]
		in.Settings.Baskets = 1 + i%2
		for k := range in.People {
			p := &in.People[k].Profile
			p.Sport, p.Level = "tennis", student.LevelsFor("tennis")[(i+k)%7]
			p.Age = student.AgeBand("").Enum()[(i+2*k)%6].(student.AgeBand)
			if (i+k)%4 == 0 {
				p.Sore = []student.Sore{{Part: student.Knee, Rests: student.Knee.Proposed()}}
			}
			if (i+k)%3 == 0 {
				p.Limit = &student.Limit{Of: student.LimitOf("").Enum()[(i+k)%2].(student.LimitOf), Max: 20 + 5*i}
			}
		}
		for k := range d.Blocks {
			d.Blocks[k].Effort = (d.Blocks[k].Effort + i) % 11
			d.Blocks[k].Minutes += float64((i * k) % 9)
		}
		switch i % 8 {
		case 5: // the drill of one block is gone, and nobody of those in another one is there
			d.Blocks[2].Drill = "0190a000-0000-7000-8000-000000000999"
			d.Blocks[4].People = []string{"nobody"}
		case 6: // a game that takes longer than it has
			g := library.Games()[(i+3)%len(library.Games())]
			in.Games = map[string]game.Document{g.ID: g.Document}
			d.Blocks[4] = lesson.Block{ID: "g", Kind: lesson.Game, Title: g.Document.Name, Game: g.ID, Minutes: 2 + float64(i%3)}
		}
		found, table, list := foundIn(t, d, in)
		fmt.Fprintln(&b, i, strings.Join(finding.Cautions(table, list, in), " "))
		for _, f := range found {
			fmt.Fprintln(&b, "  ", golden.Line(t, f, 2))
		}
	}
	golden.Same(t, "findings.txt", b.String())
}

// foundIn is what is told of a lesson, with its timetable.
func foundIn(
	t *testing.T,
	d lesson.Document,
	in schedule.Inputs,
) ([]finding.Finding, schedule.Timetable, []schedule.Prepared) {
	t.Helper()
	table, list, err := schedule.Make(t.Context(), d, in)
	require.NoError(t, err)
	prospects, err := prospect.All(t.Context(), table, list, in)
	require.NoError(t, err)
	all, err := finding.All(t.Context(), d, table, list, prospects, in)
	require.NoError(t, err)
	return all, table, list
}
