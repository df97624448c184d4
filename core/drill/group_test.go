package drill_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/coach"
	"hodometer/core/drill"
	"hodometer/core/feed"
	"hodometer/core/library"
	"hodometer/core/rotation"
)

func TestADrillAdaptsToWhoTurnedUp(t *testing.T) {
	whole, half := drill.Space{}, drill.Space{Half: true}
	for _, c := range []struct {
		name, drill   string
		people, lines int
		space         drill.Space
		want          int // lines
		said          string
	}{
		{"alone", "Two and Away", 1, 1, whole, 1, "Alone with the coach."},
		{"a line", "Two and Away", 5, 1, whole, 1, "One line of 5."},
		{"two lines", "Two and Away", 5, 2, whole, 2, "2 lines of 3 and 2, each with a feeder of its own."},
		{"never more lines than players", "Two and Away", 2, 4, whole, 2, "2 lines of 1, each with a feeder of its own."},
		{"a partner is missing", "Net Alphabet", 1, 1, whole, 1, "The coach stands in as the partner."},
		{"two pairs share a court where the drill is narrow", "Closing the Door", 4, 1, whole, 2, "2 pairs side by side."},
		{"half a court holds one pair", "Closing the Door", 5, 1, half, 1, "1 pair side by side, 3 on deck and in at the next change."},
		{"a wide rally needs a court", "Crossroads", 8, 1, drill.Space{Courts: 2}, 2, "2 pairs side by side, 4 on deck and in at the next change."},
		{"two against one", "Pair Against One", 3, 1, whole, 1, "1 three side by side."},
	} {
		t.Run(c.name, func(t *testing.T) {
			g, phrase := named(t, c.drill).Arrange(c.people, c.lines, c.space)
			require.Equal(t, c.want, g.Lines)
			require.Equal(t, c.said, phrase)
		})
	}
}

func TestLoadOfGroupsByHand(t *testing.T) {
	s := coach.Default()
	// Two and Away: a turn of 2 × 3.2 + 3 = 9.4 s, the next starts 1.5 s before its end. Eight in one line, six
	// turns: 9.4 + 47 × 7.9 = 380.7 s; in two lines of four: 9.4 + 23 × 7.9 = 191.1 s, with the same 96 balls.
	line := named(t, "Two and Away")
	one, two := line.LoadFor(drill.Group{People: 8}, 6, s), line.LoadFor(drill.Group{People: 8, Lines: 2}, 6, s)
	require.InDelta(t, 380.7, one.Feeding, 1e-9)
	require.InDelta(t, 191.1, two.Feeding, 1e-9)
	require.Equal(t, []int{96, 96}, []int{one.Balls, two.Balls})
	// Waiting: the first starts again after eight starts of 7.9 s, and has played for 6.4 s: 63.2 − 6.4 = 56.8 s;
	// in the shorter line 31.6 − 6.4 = 25.2 s.
	require.InDelta(t, 56.8, one.Waiting, 1e-9)
	require.InDelta(t, 25.2, two.Waiting, 1e-9)
	require.InDelta(t, 56.8/6.4, one.Rest, 1e-9)
	require.Equal(t, 8, one.Largest, "eight wait 56.8 s, nine 64.7 s")
	require.Equal(t, 1, line.Split(8, s))
	require.Equal(t, 2, line.Split(9, s))

	// A rally is a turn of both: three turns of three rallies of 12 × 2 s and a pause of 15 s are 351 s for two, and
	// nobody waits; the ball is shared.
	rally := named(t, "Crossroads").LoadFor(drill.Group{People: 2}, 3, s)
	require.InDelta(t, 351, rally.Feeding, 1e-9)
	require.Equal(t, 9, rally.Balls)
	require.InDelta(t, 15, rally.Waiting, 1e-9, "only the pause")
	// Who feeds a partner does not wait either.
	require.InDelta(t, 6, named(t, "Net Alphabet").LoadFor(drill.Group{People: 2}, 2, s).Waiting, 1e-9)
}

func TestFormsOfPartners(t *testing.T) {
	require.Nil(t, named(t, "Two and Away").Form())
	require.Equal(t, rotation.TwoToOne, named(t, "Pair Against One").Form().Kind)
	form := named(t, "Net Alphabet").Form()
	require.NoError(t, form.Check())
	require.True(t, form.Spots[1].Feeds)
}

func TestNarrowDrillsFitHalfACourt(t *testing.T) {
	require.True(t, named(t, "Closing the Door").Narrow())
	require.False(t, named(t, "Both Verges").Narrow(), "from verge to verge")
	require.False(t, named(t, "Crossroads").Narrow(), "cross-court")
}

func TestMetresOfATurn(t *testing.T) {
	wide, err := named(t, "Both Verges").Metres(t.Context(), coach.Default())
	require.NoError(t, err)
	near, err := named(t, "Two Hops Beyond").Metres(t.Context(), coach.Default())
	require.NoError(t, err)
	require.Greater(t, wide, 15.0)
	require.Less(t, near, 3.0)
}

func BenchmarkMetres(b *testing.B) {
	d := named(b, "Both Verges")
	for b.Loop() {
		if _, err := d.Metres(b.Context(), coach.Default()); err != nil {
			b.Fatal(err)
		}
	}
}

// TestWaitingIsWhatTheStartsSay lets a line go through its turns start by start, over the whole library, also
// where turns overlap, and measures how long the first one stands.
func TestWaitingIsWhatTheStartsSay(t *testing.T) {
	for _, stored := range library.All() {
		d := stored.Document
		group, _ := d.Arrange(8, 1, drill.Space{})
		if d.Pattern.Rally != nil || d.Pattern.Method == feed.Partner || d.Pattern.Method == feed.Live {
			continue // no line
		}
		for _, overlap := range []float64{0, 0.7, d.Pattern.Pause / 2, d.Pattern.Pause} {
			d.Pattern.Next, d.Pattern.Overlap = feed.WhileTheLast, overlap
			// Who stands first in the line starts; the next one starts so many seconds before the turn is over.
			starts := []float64{0}
			for len(starts) <= group.People {
				over := starts[len(starts)-1] + d.Pattern.TurnSeconds()
				starts = append(starts, over-overlap)
			}
			played := d.Pattern.TurnSeconds() - d.Pattern.Pause
			require.InDelta(t, starts[group.People]-played, d.LoadFor(group, 2, coach.Default()).Waiting, 1e-9, "%s, %g s", d.Name, overlap)
		}
	}
}
