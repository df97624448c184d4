package library_test

import (
	"context"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/basics/invalid"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/load"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/core/sport/feed"
	"hodometer/internal/long"
)

// TestEveryDrillAdaptsToWhoTurnedUp: alone, in twos, threes, fives and eights, on a whole court and on half of one.
func TestEveryDrillAdaptsToWhoTurnedUp(t *testing.T) {
	t.Parallel()
	for _, stored := range library.All() {
		d := stored.Document
		for _, people := range []int{1, 2, 3, 5, 8} {
			for _, half := range []bool{false, true} {
				g, phrase := load.Arrange(d, people, 1, load.Space{Half: half})
				require.NotEmpty(t, phrase)
				require.Equal(t, people, g.People)
				takes := load.For(d, g, d.Turns, coach.Default())
				require.Positive(t, takes.Need)
				if d.Pattern.StrokesPerTurn() == d.Pattern.BallsPerTurn() {
					require.GreaterOrEqual(t, takes.Balls, takes.Each*people/3-1, d.Name)
				}
				if form := load.Form(d); form != nil {
					form.Courts = g.Lines
					table := form.Table(people, takes.Feeding, d.Pattern.Gap)
					require.NotEmpty(t, table.Rounds, "%s for %d", d.Name, people)
				}
			}
		}
	}
}

func TestVariationsStandReady(t *testing.T) {
	t.Parallel()
	for _, stored := range library.All() {
		d := stored.Document
		ways := map[drill.Difficulty]bool{}
		for _, v := range d.Variations {
			ways[v.Difficulty] = true
			varied, phrases, err := d.Transformed(t.Context(), v.Steps, coach.Default())
			require.NoError(t, err, "%s: %s", d.Name, v.Name)
			require.Len(t, phrases, len(v.Steps))
			require.NotEqual(t, d, varied, "%s: %s", d.Name, v.Name)
		}
		require.True(t, ways[drill.Easier] && ways[drill.Harder], "%s has an easier and a harder version", d.Name)
	}
}

// TestNoChangeInventsABallThatCannotBeFed tries every transformation on every built-in drill: it is either
// refused with a sentence, or every ball can still be fed.
func TestNoChangeInventsABallThatCannotBeFed(t *testing.T) {
	t.Parallel()
	library := library.All()
	long.Check(t, func(t *rapid.T) {
		d := library[rapid.IntRange(0, len(library)-1).Draw(t, "drill")].Document
		var steps []feed.Transformation
		for range rapid.IntRange(1, 3).Draw(t, "steps") {
			change, ok := rapid.SampledFrom(feed.TransformationKind("").Enum()).Draw(t, "change").(feed.TransformationKind)
			require.True(t, ok)
			steps = append(
				steps,
				feed.Transformation{
					Kind: change,
					Task: rapid.IntRange(0, 4).Draw(t, "task"),
					By:   rapid.Float64Range(0, 3).Draw(t, "by"),
				},
			)
		}
		varied, _, err := d.Transformed(context.Background(), steps, coach.Default())
		if err != nil {
			var fields invalid.Fields
			require.ErrorAs(t, err, &fields)
			require.NotEmpty(t, fields[0].Message)
			return
		}
		p, err := simulation.Run(
			context.Background(),
			varied,
			varied.PlayerFor(varied.Written(), student.RightHand),
			coach.Default(),
		)
		require.NoError(t, err)
		require.Empty(t, p.Problems)
	})
}

// TestBothMirrorsAndReverseTwice: on whole drills, too, done twice they are the drill again.
func TestBothMirrorsAndReverseTwice(t *testing.T) {
	t.Parallel()
	for _, stored := range library.All() {
		for _, change := range []feed.TransformationKind{feed.ToOtherWing, feed.ForLeftHander, feed.Reverse} {
			step := feed.Transformation{Kind: change}
			if change == feed.Reverse && len(stored.Document.Pattern.Tasks) == 1 {
				continue // refused: it would change nothing
			}
			varied, _, err := stored.Document.Transformed(t.Context(), []feed.Transformation{step, step}, coach.Default())
			require.NoError(t, err)
			require.Equal(t, stored.Document, varied, "%s %s", stored.Document.Name, change)
		}
	}
}

func TestALeftHanderHasTheSameVerdicts(t *testing.T) {
	t.Parallel()
	for _, stored := range library.All() {
		d := stored.Document
		if d.Pattern.Rally != nil {
			continue // a rally begins on the right of whoever plays
		}
		right, err := simulation.Run(t.Context(), d, d.PlayerFor(d.Written(), student.RightHand), coach.Default())
		require.NoError(t, err)
		left, err := simulation.Run(
			t.Context(),
			d.For(student.LeftHand),
			d.PlayerFor(d.Written(), student.LeftHand),
			coach.Default(),
		)
		require.NoError(t, err)
		for i, m := range right.Timeline.Interceptions {
			require.Equal(t, m.Verdict, left.Timeline.Interceptions[i].Verdict, "%s %d", d.Name, i)
			require.InDelta(t, m.Metres, left.Timeline.Interceptions[i].Metres, 0.02)
		}
	}
}
