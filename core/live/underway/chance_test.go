package underway_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/live/underway"
)

// Where nothing is known of anybody's rates nothing is said of a goal's chances; where something is, of everybody's.
func TestChancesRestOnWhatIsKnown(t *testing.T) {
	t.Parallel()
	for _, known := range []bool{true, false} {
		k := kitOf(2, library.All()[0])
		if !known {
			k.Rates = nil
		}
		do(t, &k, underway.Act{ID: idOf(4, 1), At: after(0), Clock: &underway.ClockChange{Running: true}})
		begins := 0.0
		for _, b := range view(t, k, after(0)).Lesson.Plan.Blocks {
			if b.Block == k.Document.Blocks[2].ID {
				begins = b.Start
			}
		}
		said := 0
		for _, c := range view(t, k, after(begins+60)).Counters {
			if c.Chance != nil {
				require.Contains(t, c.Hope, "left: met")
				said++
			}
		}
		require.Equal(t, known, said > 0)
	}
}
