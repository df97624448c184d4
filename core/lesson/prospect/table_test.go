package prospect_test

import (
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/score"
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
		if m := s.Document.Main(); i%3 == 0 && m.What == score.Ball {
			m.Goals = score.Course{
				{Kind: score.Total, Count: 3},
				{Kind: score.Streak, Count: 2},
				{Kind: score.Total, Count: 9 + i},
			}
			s.Document = s.Document.With(0, m)
		}
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
			fmt.Fprintf(&b, "   %s; attainable %s %v %v; turns", golden.Line(t, p, 3), goals, ok, err)
			for _, now := range []int{0, 1, 3} {
				turns, enough, err := p.Turns(t.Context(), now)
				fmt.Fprintf(&b, " %.2f %v %v", turns, enough, err)
			}
			fmt.Fprintln(&b)
		}
	}
	golden.Same(t, "prospects.txt", b.String())
}
