package underway_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/lesson/editing"
	"hodometer/core/live/underway"
)

// One device gives the warm-up a minute more and takes it back; meanwhile another one has the drill after it take its
// balls away. That stays.
func TestTakingBackLeavesWhatAnotherDeviceDid(t *testing.T) {
	t.Parallel()
	k := kitOf(1, library.All()[0])
	first, third := k.Document.Blocks[0].ID, k.Document.Blocks[2].ID
	was := k.Document.Blocks[0].Minutes
	do(t, &k, underway.Act{ID: idOf(4, 1), At: after(0), Clock: &underway.ClockChange{Running: true}})
	mine := do(
		t,
		&k,
		underway.Act{
			ID:     idOf(4, 2),
			At:     after(60),
			Travel: &editing.Travel{Kind: editing.Longer, Block: first, Gone: 60, Minutes: 1},
		},
	)
	require.NotNil(t, mine.Changed)
	require.InDelta(t, was+1, k.Document.Blocks[0].Minutes, 1e-9)
	theirs := do(
		t,
		&k,
		underway.Act{ID: idOf(4, 3), At: after(70), Change: &editing.Edit{Kind: editing.Adjust, Block: third, Size: 1.5}},
	)
	require.Empty(t, theirs.Refused)
	require.InDelta(t, 1.5, k.Document.Blocks[2].Size, 1e-9)

	back := do(
		t,
		&k,
		underway.Act{ID: idOf(4, 4), At: after(80), Before: &mine.Changed.Before, After: &mine.Changed.After},
	)
	require.Empty(t, back.Refused)
	require.InDelta(t, was, k.Document.Blocks[0].Minutes, 1e-9)
	require.InDelta(t, 1.5, k.Document.Blocks[2].Size, 1e-9, "what the other device did stays")
	require.Nil(t, back.Acts[0].Before, "no document is kept with what was done")

	refused := do(
		t,
		&k,
		underway.Act{ID: idOf(4, 5), At: after(90), Clock: &underway.ClockChange{}, After: &mine.Changed.After},
	)
	require.Equal(t, "after", refused.Refused[0].Fields[0].Path)
}
