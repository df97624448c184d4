package prospect_test

import (
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/lesson/prospect"
	"hodometer/core/lesson/schedule"
	"hodometer/internal/golden"
	"hodometer/internal/sample"
)

// TestWhatToExpectOfManyLessons: goals, how often they are met, what would be met 4 times in 5, and the turns it takes,
// by players of all rates.
func TestWhatToExpectOfManyLessons(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	drills := library.All()
	for i := range 20 {
		d, in := sample.Crowd(1 + i%4)
		s := drills[(5*i)%len(drills)]
		in.Drills[s.ID] = s.Document
		d.Blocks[2].Drill, d.Blocks[2].Turns, d.Blocks[2].Minutes = s.ID, i%7, float64(6+i%9)
		rated := map[string]schedule.Rated{}
		for k, id := range d.Students {
			rated[id] = sample.Rated(s.Document, 0.3+0.15*float64((i+k)%5))
		}
		in.Rates = map[string]map[string]schedule.Rated{"3": rated}
		table, list, err := schedule.Make(t.Context(), d, in)
		require.NoError(t, err)
		blocks, err := prospect.All(t.Context(), table, list, in)
		require.NoError(t, err)
		fmt.Fprintln(&b, s.Document.Name)
		for _, p := range blocks[2].Students {
			goals, ok, err := p.Attainable(t.Context())
			turns, enough, turnsErr := p.Turns(t.Context(), 3)
			fmt.Fprintf(
				&b,
				"   %s; attainable %s %v %v; turns %.2f %v %v\n",
				golden.Line(t, p, 3),
				goals,
				ok,
				err,
				turns,
				enough,
				turnsErr,
			)
		}
	}
	golden.Same(t, "prospects.txt", b.String())
}
