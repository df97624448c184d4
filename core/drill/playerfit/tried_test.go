package playerfit_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/score"
	"hodometer/core/drill"
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
				own, slope := tried.Attempt.Chance(0)
				require.Positive(t, slope)
				better, _ := tried.Attempt.Chance(1)
				require.Greater(t, better, own)
				rate, ok := makes(d.Measures[i], known.Balls[i])
				if !ok || rate < 1e-4 || rate >= 0.96 { // what is thought of somebody is never next to always
					continue
				}
				asked++
				require.InDelta(t, rate, own, 1e-3, "%s, %s", d.Name, level)
			}
		}
	}
	require.Greater(t, asked, 150)
}

// makes is how often a measure is made, by what is made of each of its balls: of sequences of all balls of one.
func makes(m drill.Measure, balls []playerfit.Ball) (float64, bool) {
	if len(balls) == 0 || m.What == score.Point || m.What == score.Time {
		return 0, false
	}
	sum, n, together := 0.0, 0.0, 1.0
	for i, b := range balls {
		together *= b.Chance
		last := i+1 == len(balls) || balls[i+1].Sequence != b.Sequence
		if m.What != score.Sequence || last {
			sum, n, together = sum+together, n+1, 1
		}
	}
	return sum / n, true
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
