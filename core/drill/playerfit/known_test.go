package playerfit_test

import (
	"testing"

	"hodometer/internal/long"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/core/sport/feed"
	"hodometer/internal/sample"
)

// What a lesson thinks of a player is what the drill page does, for the whole library, both hands and several levels:
// before anything was counted, and after.
func TestALessonThinksOfAPlayerAsTheDrillDoes(t *testing.T) {
	t.Parallel()
	long.Skip(t)
	for _, stored := range long.Some(t, library.All(), 40) {
		for _, level := range []student.Level{student.Beginner, student.Club, student.Tournament} {
			for _, hand := range []student.Hand{student.RightHand, student.LeftHand} {
				d := stored.Document.For(hand)
				player := d.PlayerFor(level, hand)
				known, err := playerfit.Know(t.Context(), d, player, level, coach.Default())
				require.NoError(t, err)
				for _, evidence := range []playerfit.Evidence{{Level: level}, counted(t, d, player, level, 1, 7, 5)} {
					fit := playedBy(t, d, player, evidence)
					require.InDelta(t, known.Stroke, fit.Stroke, 1e-9, d.Name)
					for i, m := range d.Measures {
						require.Equal(t, fit.Measures[i].Rates, evidence.Rates(m, known.Tried[i]), "%s, %s, %s", d.Name, level, hand)
					}
				}
			}
		}
	}
}

// A sequence is made as often as all its balls are; a better player makes more of every measure that has a target.
func TestWhatIsThoughtOfSequencesAndLevels(t *testing.T) {
	t.Parallel()
	d := sample.Drill(t, "Coin in the Corner")
	target := d.Main().Target
	d.Measures = []drill.Measure{
		{Number: 1, What: score.Ball, Target: target, Goals: score.Course{{Kind: score.Total, Count: 10}}},
		{Number: 2, What: score.Sequence, Target: target, Goals: score.Course{{Kind: score.Total, Count: 10}}},
	}
	last := 0.0
	for _, level := range []student.Level{student.Improver, student.Club, student.Tournament} {
		known, err := playerfit.Know(t.Context(), d, d.PlayerFor(level, student.RightHand), level, coach.Default())
		require.NoError(t, err)
		ball, sequence := known.Tried[0].OfLevel(), known.Tried[1].OfLevel()
		// Every sequence is alike but for the first, which begins at the start: the product of its two balls.
		balls := known.Balls[0]
		require.Len(t, balls, 6)
		product := 0.0
		for i := 0; i < 6; i += 2 {
			product += balls[i].Chance * balls[i+1].Chance / 3
		}
		require.InDelta(t, product, sequence, 1e-4)
		require.Less(t, sequence, ball)
		require.Greater(t, ball, last, "%s", level)
		last = ball
	}
}

// BenchmarkKnow12x12 is what a lesson of twelve drills and twelve players that are all different costs before anything
// is remembered, besides its plan.
func BenchmarkKnow12x12(b *testing.B) {
	s := coach.Default()
	for b.Loop() {
		for _, stored := range library.All()[:12] {
			for n := range 12 {
				player := stored.Document.PlayerFor(student.Club, student.RightHand)
				player.Reaction += 0.001 * float64(n)
				_, err := playerfit.Know(b.Context(), stored.Document, player, student.Club, s)
				require.NoError(b, err)
			}
		}
	}
}

// Whoever attacks makes no more of what the level makes than who keeps it neutral, over the whole library.
func TestAttackingIsNeverSafer(t *testing.T) {
	t.Parallel()
	differs := 0
	for _, stored := range library.All() {
		d := stored.Document
		rate := func(kind feed.TransformationKind) []playerfit.Tried {
			version, _, err := d.Transformed(t.Context(), []feed.Transformation{{Kind: kind}}, coach.Default())
			if err != nil {
				require.ErrorContains(t, err, "changes nothing") // it is written so
				version = d
			}
			known, err := playerfit.Know(
				t.Context(),
				version,
				d.PlayerFor(student.Club, student.RightHand),
				student.Club,
				coach.Default(),
			)
			require.NoError(t, err)
			return known.Tried
		}
		attack, neutral := rate(feed.Attack), rate(feed.Neutral)
		for i := range attack {
			if d.Pattern.Rally == nil { // of a rally the pace changes the balls that come too
				require.LessOrEqual(t, attack[i].OfLevel(), neutral[i].OfLevel()+0.02, d.Name)
			}
			if attack[i].OfLevel() < neutral[i].OfLevel()-0.05 {
				differs++
			}
		}
	}
	require.Greater(t, differs, 5)
}
