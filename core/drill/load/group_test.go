package load_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/drill/load"
	"hodometer/core/drill/rotation"
	"hodometer/core/people/coach"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
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
		{"half a court holds one pair", "Closing the Door", 5, 1, half, 1, "1 pair side by side, 3 on deck and in at the " +
			"next change."},
		{"a wide rally needs a court", "Crossroads", 8, 1, load.Space{Courts: 2}, 2, "2 pairs side by side, 4 on deck " +
			"and in at the next change."},
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

// By hand: a coach feeds a drive, and a volleyer takes what is driven: 2 strokes of one ball, 5 times a turn, 2×2 s and
// a pause of 2 s, so 30 s a turn. Six players are three pairs in each of 4 turns: 12 turns are 6 min and 60 balls; each
// plays 4×5 = 20 strokes, half of them drives. They wait while the two other pairs play.
func TestPartsHaveQueuesOfTheirOwn(t *testing.T) {
	d := sample.Drill(t, "Two and Away")
	d.Places = append(d.Places, drill.Place{Kind: drill.Start, Mark: court.At(-1, 4)})
	d.Pattern = feed.Pattern{Method: feed.ByRacket, Gap: 2, Sequences: 5, Pause: 2, Tasks: []feed.Task{
		{Stroke: sports.Drive, Landing: court.At(1, -8)},
		{Stroke: sports.ForehandVolley, Method: feed.Answer, Player: 1, Landing: court.At(-1, 6)},
	}}
	d.Measures = d.Measures[:1]
	d.Measures[0].Tasks, d.Measures[0].What = []int{1}, score.Ball
	g, phrase := load.Arrange(d, 6, 3, load.Space{})
	require.Equal(t, "2 queues, one for each part; parts change after each turn.", phrase)
	l := load.For(d, g, 4, coach.Default())
	require.Equal(t, []int{60, 20}, []int{l.Balls, l.Each})
	require.InDelta(t, 6*60, l.Feeding, 1e-9)
	require.Equal(t, 10, load.Pool(d, d.Measures[0], 4), "volleys: in every second turn five")
	require.InDelta(t, 2*28+3*2, l.Waiting, 1e-9, "two other pairs, and three pauses")
	form := load.Form(d)
	table := form.Table(6, 12*30, 2)
	require.Len(t, table.Rounds, 12)
	parts := make([][]string, 6)
	for _, round := range table.Rounds {
		for _, seat := range round.Seats {
			if !seat.Waits {
				parts[seat.Person] = append(parts[seat.Person], seat.Spot)
			}
		}
	}
	for _, each := range parts {
		require.Len(t, each, 4, "four turns each")
		require.NotEqual(t, each[0], each[1], "the other part the next time")
	}
	require.NoError(t, form.Check())
	require.Equal(
		t,
		[]string{"player 1: drive", "player 2: forehand volley"},
		[]string{form.Spots[0].Name, form.Spots[1].Name},
	)
	_, phrase = load.Arrange(d, 1, 1, load.Space{})
	require.Equal(t, "The coach takes the part that is left.", phrase)
	_, phrase = load.Arrange(d, 2, 1, load.Space{})
	require.Equal(t, "Each has one part; they change after each turn.", phrase)
}
