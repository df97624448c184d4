package underway_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/tally"
	"hodometer/core/drill/library"
	"hodometer/core/live/underway"
)

// In every drill of the library, whoever counted a student last holds that count, for everybody who is on it; a fault
// that another one notes changes nothing.
func TestWhoCountedLastHoldsTheCount(t *testing.T) {
	t.Parallel()
	for _, stored := range library.All() {
		t.Run(stored.Document.Name, func(t *testing.T) {
			k := kitOf(4, stored)
			block := k.Document.Blocks[len(k.Document.Blocks)-1].ID
			view, err := k.View(t.Context(), after(0))
			require.NoError(t, err)
			for _, c := range view.Counters {
				require.Nil(t, c.Newest)
			}
			c := view.Counters[0]
			tap := func(n int, run, student string, e tally.Entry) {
				e.At = after(float64(n))
				do(
					t,
					&k,
					underway.Act{
						ID:  idOf(9, n),
						At:  e.At,
						Tap: &underway.Tap{Run: run, Block: block, Student: student, Measure: c.Measure, Entry: e},
					},
				)
			}
			held := func() map[string]string {
				view, err := k.View(t.Context(), after(20))
				require.NoError(t, err)
				of := map[string]string{}
				for _, each := range view.Counters {
					if each.Measure == c.Measure && each.Newest != nil {
						of[each.Student] = each.Newest.Run
					}
				}
				return of
			}
			first, second, third := idOf(7, 1), idOf(7, 2), idOf(7, 3)
			tap(1, first, c.Party, tally.Entry{Kind: tally.Made})
			before := held()
			require.Equal(t, first, before[c.Party])
			for student, run := range before {
				require.Equal(t, first, run, student)
			}
			tap(2, second, c.Party, tally.Entry{Kind: tally.Missed})
			require.Equal(t, second, held()[c.Party])
			require.Len(t, held(), len(before), "nobody else is counted by it")
			tap(3, third, c.Party, tally.Entry{Kind: tally.Fault, Fault: "late"})
			require.Equal(t, second, held()[c.Party])
			tap(4, first, c.Party, tally.Entry{Seq: 1, Kind: tally.Undo})
			require.Equal(t, first, held()[c.Party])
		})
	}
}
