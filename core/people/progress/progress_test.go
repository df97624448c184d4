package progress_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/people/ladder"
	"hodometer/core/people/progress"
	"hodometer/internal/long"
)

func TestSequential(t *testing.T) {
	s := progress.Sequential{Low: 0.6, High: 0.8, Alpha: 0.1, Beta: 0.1}
	// Wald, Annals of Mathematical Statistics 16 (1945) 117: A = (1−β)/α = 9, B = β/(1−α) = 1/9.
	low, high := s.Bounds()
	require.InDelta(t, math.Log(9), high, 1e-12)
	require.InDelta(t, -math.Log(9), low, 1e-12)
	// By hand: a make weighs ln(0.8/0.6) = 0.28768, a miss ln(0.2/0.4) = −0.69315.
	require.InDelta(t, 0.28768, s.Ratio(1, 0), 1e-5)
	require.InDelta(t, -0.69315, s.Ratio(0, 1), 1e-5)
	// ln 9 ÷ 0.28768 = 7.64: eight makes in a row settle it, seven do not.
	require.Equal(t, progress.Open, s.Decide(7, 0))
	require.Equal(t, progress.ForHigh, s.Decide(8, 0))
	require.Equal(t, progress.ForLow, s.Decide(0, 4))
	require.Equal(t, 8, s.MakesToGo(0, 0))
	require.Equal(t, 0, s.MakesToGo(8, 0))
}

func TestAdvise(t *testing.T) {
	run := func(made, missed int) []progress.Evidence {
		return []progress.Evidence{{Made: made, Missed: missed}}
	}
	for _, c := range []struct {
		name       string
		rung       ladder.Quality
		evidence   []progress.Evidence
		engagement int
		want       progress.Decision
		next       ladder.Quality
		says       string
	}{
		{"nothing counted, nothing known", ladder.Depth, nil, 0, progress.Stay, ladder.Depth, "nothing is known"},
		{"20 of 20 steps up", ladder.Direction, run(20, 0), 0, progress.StepUp, ladder.Depth, "Go on to depth"},
		{"8 of 10 may be luck", ladder.Direction, run(8, 2), 0, progress.Stay, ladder.Direction, "not clear yet"},
		{"32 of 40 is no luck", ladder.Direction, run(32, 8), 0, progress.StepUp, ladder.Depth, "32 of 40"},
		{"6 of 10 stays", ladder.Direction, run(18, 12), 0, progress.Stay, ladder.Direction, "not clear"},
		{"5 of 20 steps back", ladder.Direction, run(5, 15), 0, progress.StepBack, ladder.Consistency,
			"go back to consistency"},
		{"the first rung has nothing below it", ladder.Consistency, run(5, 15), 0, progress.Stay, ladder.Consistency,
			"first rung"},
		{"the last rung has nothing above it", ladder.Pace, run(20, 0), 0, progress.Stay, ladder.Pace, "top rung"},
		{"boredom holds a step up back", ladder.Depth, run(20, 0), 5, progress.Stay, ladder.Depth, "engagement was 5"},
		{"good engagement does not", ladder.Depth, run(20, 0), 7, progress.StepUp, ladder.Spin, "Go on to spin"},
		{"runs add up", ladder.Depth, append(run(4, 0), run(4, 0)...), 0, progress.StepUp, ladder.Spin, "8 of 8"},
	} {
		t.Run(c.name, func(t *testing.T) {
			a := progress.Advise(c.rung, c.evidence, c.engagement)
			require.Equal(t, c.want, a.Decision)
			require.Equal(t, c.next, a.Next)
			require.Contains(t, a.Reason, c.says)
			require.Equal(t, string(c.want), a.Derivation.Value)
		})
	}
}

func TestMoreMakesNeverStepBack(t *testing.T) {
	order := map[progress.Decision]int{progress.StepBack: 0, progress.Stay: 1, progress.StepUp: 2}
	long.Check(t, func(t *rapid.T) {
		made, missed := rapid.IntRange(0, 60).Draw(t, "made"), rapid.IntRange(0, 60).Draw(t, "missed")
		now := progress.Advise(ladder.Depth, []progress.Evidence{{Made: made, Missed: missed}}, 0)
		then := progress.Advise(ladder.Depth, []progress.Evidence{{Made: made + 1, Missed: missed}}, 0)
		require.GreaterOrEqual(t, order[then.Decision], order[now.Decision])
	})
}
