package editing_test

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/lesson"
	"hodometer/core/lesson/editing"
	"hodometer/core/lesson/schedule"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
	"hodometer/internal/sample"
)

// By hand: four minutes into the ten of a drill, the other wing. Four minutes stay what they were; six are the other
// drill, counted anew.
func TestADrillIsChangedOnTheSpot(t *testing.T) {
	d, in := sample.Hour()
	wing := editing.Edit{
		Kind:  editing.Adjust,
		Block: "3",
		Gone:  4 * 60,
		Step:  &feed.Transformation{Kind: feed.ToOtherWing},
	}
	now := sample.Apply(t, d, wing, in)
	require.Len(t, now.Document.Blocks, 7)
	played, rest := now.Document.Blocks[2], now.Document.Blocks[3]
	require.Equal(t, []float64{4, 6}, []float64{played.Minutes, rest.Minutes})
	require.Equal(t, "Coin, other wing", rest.Title)
	require.Equal(t, "[Coin, other wing, from now on.]", fmt.Sprint(now.Sentences))
	require.Equal(t, "Coin", played.Title)
	require.Equal(t, "3", played.CountedAs())
	require.Equal(t, rest.ID, rest.CountedAs(), "what was counted was another drill")
	gathered := schedule.Gather(now.Document, in.Drills, in.Games, in.People, in.Settings)
	require.Equal(t, sports.Forehand, gathered.Drills[played.Plays()].Stroke)
	require.Equal(t, sports.Backhand, gathered.Drills[rest.Plays()].Stroke)
	table, list, err := schedule.Make(t.Context(), now.Document, gathered)
	require.NoError(t, err)
	require.Zero(t, list[3].Document.SetUp, "nothing has to be put down again")
	require.InDelta(t, sample.Minutes(d), sample.Minutes(now.Document), 1e-9)
	require.Equal(t, 10*60.0, table.Blocks[3].End-table.Blocks[2].Start)

	wing.Block = rest.ID
	wing.Gone = 0
	back := sample.Apply(t, now.Document, wing, in).Document.Blocks[3]
	require.Equal(t, "Coin", back.Title)
	require.Empty(t, back.Steps, "taken twice it is the first one")

	for gone, minutes := range map[float64][]float64{0: {10, 5}, 20: {0.5, 9.5}, 590: {10, 5}} {
		soon := sample.Apply(t, d, editing.Edit{Kind: editing.Adjust, Block: "3", Gone: gone, Size: 1.25}, in).Document
		require.Equal(t, minutes, minutesOf(soon)[2:4], "no part is shorter than half a minute")
		require.Equal(t, gone != 590, soon.Blocks[2].CountedAs() == "3", "%g s: what was counted was another drill", gone)
	}
	for _, wrong := range []editing.Edit{{Kind: editing.Adjust, Block: "3"}, {Kind: editing.Adjust, Block: "1", Size: 2},
		{Kind: editing.Adjust, Block: "3", Size: 0.001}} {
		_, err := editing.Apply(t.Context(), d, wrong, []string{"x"}, in)
		require.Error(t, err)
	}
}

// Over the whole library: a ball less is fewer balls in a turn, the other wing is the other stroke and back again, a
// larger target is larger.
func TestWhatIsChangedOnTheSpotMakesSense(t *testing.T) {
	fewer, larger, winged := 0, 0, 0
	for _, stored := range library.All() {
		d, b := stored.Document, lesson.Block{Kind: lesson.Drill, Title: stored.Document.Name}
		if less, err := b.Adjusted(&feed.Transformation{Kind: feed.DropTask}, 0).OnTheSpot(d); err == nil {
			fewer++
			require.Less(t, len(less.Pattern.Tasks), len(d.Pattern.Tasks), d.Name)
			require.LessOrEqual(t, less.Pattern.BallsPerTurn(), d.Pattern.BallsPerTurn(), d.Name)
		}
		once := b.Adjusted(&feed.Transformation{Kind: feed.ToOtherWing}, 0)
		if other, err := once.OnTheSpot(d); err == nil {
			winged++
			require.Equal(t, d.Stroke.OtherWing(), other.Stroke, d.Name)
			require.Equal(t, b.Title, once.Adjusted(&feed.Transformation{Kind: feed.ToOtherWing}, 0).Title)
		}
		if wide, err := b.Adjusted(nil, 1.25).OnTheSpot(d); err == nil {
			larger++
			require.Greater(t, targets(t, wide), targets(t, d), d.Name)
			same, err := b.Adjusted(nil, 1.25).Adjusted(nil, 0.8).OnTheSpot(d)
			require.NoError(t, err)
			require.Equal(t, targets(t, d), targets(t, same), "%s: larger and smaller again is as it was", d.Name)
		}
	}
	require.Greater(t, fewer, 20, "drills of one task keep it")
	require.Greater(t, winged, 40)
	require.Greater(t, larger, 20, "the others aim into a box that is part of the court")
}

// targets is how large the targets of a drill are in all, in square metres or, of cones and the like, in metres.
func targets(t *testing.T, d drill.Document) float64 {
	sum := 0.0
	for _, m := range d.Measures {
		if m.Target == nil {
			continue
		}
		shape, ok := d.Aimed(m)
		require.True(t, ok)
		sum += shape.Radius
		for i, p := range shape.Corners {
			q := shape.Corners[(i+1)%len(shape.Corners)]
			sum += max(0, p.X-q.X) + max(0, p.Y-q.Y)
		}
	}
	return sum
}
