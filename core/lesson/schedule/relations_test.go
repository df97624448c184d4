package schedule_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/lesson/schedule"
	"hodometer/internal/sample"
)

// What each player does in a block adds up to its length, and over all players to players times length: every drill of
// the library with 1, 2, 3, 6 and 8 players (relations R12 and R13).
func TestWhatEverybodyDoesAddsUpToTheBlock(t *testing.T) {
	for _, people := range []int{1, 2, 3, 6, 8} {
		for _, stored := range library.All() {
			d, in := sample.Crowd(people)
			block := schedule.ForDrill(stored.ID, stored.Document, people, d.Space, in.Settings)
			block.ID = "only"
			d.Blocks, in.Drills[stored.ID] = d.Blocks[:0:0], stored.Document
			d.Blocks = append(d.Blocks, block)
			require.NoError(t, in.Measure(t.Context()))
			table, _, err := schedule.Make(t.Context(), d, in)
			require.NoError(t, err)
			s := table.Blocks[0]
			sum, metres, balls := 0.0, 0.0, 0
			for _, b := range table.Budgets {
				whole := b.Playing + b.Waiting + s.SetUp + s.PickUp + s.Spare - s.Over
				require.InDelta(t, s.End-s.Start, whole, 1e-6, "%s, %d players", stored.Document.Name, people)
				require.GreaterOrEqual(t, b.Waiting, -1e-9)
				sum += whole
				metres, balls = metres+b.Metres, balls+b.Balls
			}
			require.InDelta(t, float64(people)*(s.End-s.Start), sum, 1e-6)
			turns := float64(people * s.Load.Turns)
			require.InDelta(t, turns*in.Metres[stored.ID], metres, 1e-6)
			require.Equal(t, people*s.Load.Each, balls)
		}
	}
}
