package load_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/load"
	"hodometer/core/rotation"
	"hodometer/internal/sample"
)

func TestADrillAdaptsToWhoTurnedUp(t *testing.T) {
	whole, half := load.Space{}, load.Space{Half: true}
	for _, c := range []struct {
		name, drill   string
		people, lines int
		space         load.Space
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
		{"a wide rally needs a court", "Crossroads", 8, 1, load.Space{Courts: 2}, 2, "2 pairs side by side, 4 on deck and in at the next change."},
		{"two against one", "Pair Against One", 3, 1, whole, 1, "1 three side by side."},
	} {
		t.Run(c.name, func(t *testing.T) {
			g, phrase := load.Arrange(sample.Drill(t, c.drill), c.people, c.lines, c.space)
			require.Equal(t, c.want, g.Lines)
			require.Equal(t, c.said, phrase)
		})
	}
}

func TestFormsOfPartners(t *testing.T) {
	require.Nil(t, load.Form(sample.Drill(t, "Two and Away")))
	require.Equal(t, rotation.TwoToOne, load.Form(sample.Drill(t, "Pair Against One")).Kind)
	form := load.Form(sample.Drill(t, "Net Alphabet"))
	require.NoError(t, form.Check())
	require.True(t, form.Spots[1].Feeds)
}

func TestNarrowDrillsFitHalfACourt(t *testing.T) {
	require.True(t, load.Narrow(sample.Drill(t, "Closing the Door")))
	require.False(t, load.Narrow(sample.Drill(t, "Both Verges")), "from verge to verge")
	require.False(t, load.Narrow(sample.Drill(t, "Crossroads")), "cross-court")
}
