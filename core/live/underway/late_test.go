package underway_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/tally"
	"hodometer/core/drill/library"
	"hodometer/core/live/underway"
)

// What is counted the next morning was played in the lesson: in its third block, which begins twenty minutes into it.
func TestALessonThatIsCountedLateWasPlayedThen(t *testing.T) {
	t.Parallel()
	madrid := time.FixedZone("", 3600)
	begins := time.Date(2026, 3, 10, 16, 0, 0, 0, madrid)
	for at, want := range map[time.Duration]time.Time{
		25 * time.Minute: begins.Add(25 * time.Minute),
		2 * time.Hour:    begins.Add(2 * time.Hour), // told right after it
		17 * time.Hour:   begins.Add(20 * time.Minute),
		-24 * time.Hour:  begins.Add(-24 * time.Hour), // a lesson of tomorrow is given today
	} {
		k := kitOf(1, library.All()[0])
		k.At = begins.Add(time.Hour)
		block := k.Document.Blocks[2].ID
		tap := underway.Tap{
			Run:     idOf(5, 1),
			Block:   block,
			Student: k.Document.Students[0],
			Entry:   tally.Entry{Kind: tally.Made, At: begins.Add(at).UTC()},
		}
		do(t, &k, underway.Act{ID: idOf(4, 1), At: begins.Add(at), Tap: &tap})
		require.True(t, want.Equal(k.Counted[0].At), "%v: %v", at, k.Counted[0].At)
		require.True(t, begins.Add(at).Equal(k.Counted[0].Runs[0].Entries[0].At), "when it was tapped stays what it is")
	}
}
