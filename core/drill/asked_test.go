package drill_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/people/coach"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
	"hodometer/internal/sample"
)

func varied(t *testing.T, d drill.Document, step feed.Transformation) (drill.Document, string) {
	after, phrases, err := d.Transformed(t.Context(), []feed.Transformation{step}, coach.Default())
	require.NoError(t, err, "%s: %s", d.Name, step.Kind)
	require.Len(t, phrases, 1)
	return after, phrases[0]
}

func TestAVersionChangesWhatIsAskedFor(t *testing.T) {
	d := sample.Coin().Document
	other, phrase := varied(t, d, feed.Transformation{Kind: feed.OtherReply})
	require.Equal(t, "Replies go to the other side.", phrase)
	require.Equal(t, d.Measures[0].Target.Mirrored(), *other.Measures[0].Target)
	require.Equal(t, d.Pattern.Tasks[0].Landing, other.Pattern.Tasks[0].Landing, "the ball comes as before")
	again, _ := varied(t, other, feed.Transformation{Kind: feed.OtherReply})
	require.Equal(t, d, again)

	attack, phrase := varied(t, d, feed.Transformation{Kind: feed.Attack})
	require.Equal(t, "Replies at game pace: attack.", phrase)
	require.Equal(t, sports.GamePace, attack.Pattern.Tasks[0].ReplyPace)
	sliced, _ := varied(t, d, feed.Transformation{Kind: feed.SliceIn})
	require.Equal(t, sports.Slice, sliced.Pattern.Tasks[0].Spin)
	held, phrase := varied(t, d, feed.Transformation{Kind: feed.Constrained, Text: " short grip "})
	require.Equal(t, "Constrained: short grip.", phrase)
	require.Equal(t, "short grip", held.Measures[0].Constraint)
	free, _ := varied(t, held, feed.Transformation{Kind: feed.Free})
	require.Equal(t, d, free)
	refused(t, free, feed.Free)
	refused(t, sample.Drill(t, "Shuttle Rain"), feed.SliceIn) // a shuttle has no spin

	rally := sample.Drill(t, "Crossroads")
	line, _ := varied(t, rally, feed.Transformation{Kind: feed.OtherReply})
	require.Equal(t, feed.DownTheLine, line.Pattern.Rally.Near)
	require.Equal(t, feed.CrossCourt, rally.Pattern.Rally.Near, "the first one is left alone")
	hard, _ := varied(t, rally, feed.Transformation{Kind: feed.Attack})
	require.Equal(t, sports.GamePace, hard.Pattern.Rally.Pace)
}

// What a version asks for leaves the balls, the minutes and the tasks of every drill as they are.
func TestWhatIsAskedForIsNoWorkMore(t *testing.T) {
	for _, stored := range library.All() {
		for _, kind := range []feed.TransformationKind{feed.OtherReply, feed.Attack, feed.Neutral, feed.SliceIn,
			feed.Constrained, feed.Free} {
			d := stored.Document
			after, _, err := d.Transformed(t.Context(), []feed.Transformation{{Kind: kind}}, coach.Default())
			if err != nil && strings.Contains(err.Error(), "changes nothing") {
				continue
			}
			if err != nil {
				require.Equal(t, feed.SliceIn, kind, "%s: only a ball that comes otherwise may not be one to be fed", d.Name)
				continue
			}
			require.Equal(t, d.Pattern.BallsPerTurn(), after.Pattern.BallsPerTurn())
			require.InDelta(t, d.Pattern.TurnSeconds(), after.Pattern.TurnSeconds(), 0)
			for i, m := range after.Measures {
				require.InDelta(t, d.Tried(d.Measures[i]), d.Tried(m), 0)
			}
		}
	}
}

// refused says that a step would change nothing.
func refused(t *testing.T, d drill.Document, step feed.TransformationKind) {
	_, _, err := d.Transformed(t.Context(), []feed.Transformation{{Kind: step}}, coach.Default())
	require.ErrorContains(t, err, "changes nothing in this drill")
}
