package playerfit_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/score"
	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/core/sport/sports"
	"hodometer/internal/sample"
)

// Somebody who is as good as their level makes an attempt as often as the level does, over the library and all levels;
// who is better makes more of every one that can be made at all.
func TestAnAttemptIsWhatTheLevelMakes(t *testing.T) {
	t.Parallel()
	asked := 0
	for _, stored := range library.All() {
		d := stored.Document
		for _, level := range student.LevelsFor(d.Sport) {
			known, err := playerfit.Know(t.Context(), d, d.PlayerFor(level, student.RightHand), level, coach.Default())
			require.NoError(t, err)
			require.Len(t, known.Tried, len(d.Measures))
			for i, tried := range known.Tried {
				rate := known.Priors[i].Rate
				own, slope := tried.Attempt.Chance(0)
				if rate <= 0.0011 || rate >= 0.979 { // what is thought of somebody is never next to never, or to always
					continue
				}
				asked++
				off := 1e-6
				if d.Measures[i].What == score.Sequence {
					off = 0.05 // one sequence stands for all
				}
				require.InDelta(t, rate, own, off, "%s, %s", d.Name, level)
				require.Positive(t, slope)
				better, _ := tried.Attempt.Chance(1)
				require.Greater(t, better, own)
			}
		}
	}
	require.Greater(t, asked, 150)
}

// By hand: of the coin the ball that counts is a forehand, of Ten Past all are, of Net Alphabet the first volleys, of
// Four Corners serves; the ladder on which a measure counts changes nothing of that.
func TestTheStrokeOfAnAttempt(t *testing.T) {
	t.Parallel()
	for name, want := range map[string]sports.Stroke{
		"Coin in the Corner": sports.Forehand, "Ten Past": sports.Forehand, "Net Alphabet": sports.ForehandVolley,
		"Four Corners": sports.Serve,
	} {
		d := sample.Drill(t, name)
		d.Stroke = sports.Lob
		known, err := playerfit.Know(
			t.Context(), d, d.PlayerFor(student.Club, student.RightHand), student.Club, coach.Default(),
		)
		require.NoError(t, err)
		require.Equal(t, want, known.Tried[0].Stroke, name)
	}
}
