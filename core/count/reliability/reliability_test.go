package reliability_test

import (
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/count/reliability"
	"hodometer/internal/long"
)

// some are goals of one chance, so many of them met.
func some(chance float64, told, met int) (list []reliability.Outcome) {
	for i := range told {
		list = append(list, reliability.Outcome{Chance: chance, Met: i < met})
	}
	return list
}

// By hand: of 100 goals told 8 times in 10 80 are to be met, give or take 4; 72 are the last that is not too few
// (80 − 1.96 × 4 = 72.2).
func TestWhatWasToldAgainstWhatHappened(t *testing.T) {
	t.Parallel()
	for met, want := range map[int]reliability.Verdict{
		80: reliability.AsTold, 73: reliability.AsTold, 72: reliability.TooHopeful, 87: reliability.AsTold,
		88: reliability.TooCareful,
	} {
		a := reliability.Of(some(0.8, 100, met))
		require.Equal(t, want, a.Verdict, met)
		require.InDelta(t, 80, a.Expected, 1e-9)
		require.Equal(t, met, a.Tenths[8].Met, "told 8 times in 10")
		require.Equal(t, 100, a.Tenths[8].Told)
		require.Less(t, a.Tenths[8].Low, float64(met)/100)
	}
	require.Contains(t, reliability.Of(some(0.8, 100, 60)).Sentence, "Of 100 goals 60 were met; about 80 would have been")
	few := reliability.Of(some(0.8, 3, 0))
	require.Equal(t, reliability.TooFew, few.Verdict)
	require.Contains(t, few.Sentence, "too few to say more")
	require.Contains(t, reliability.Of(nil).Sentence, "kept from when a lesson begins")
	require.Contains(t, reliability.Of(some(1, 30, 29)).Sentence, "too hopeful", "what is told for sure has to be")
}

// Every goal stands in one tenth, the one of its chance; and what is met as often as it was told is as told.
func TestEveryGoalStandsInItsTenth(t *testing.T) {
	t.Parallel()
	long.Check(t, func(t *rapid.T) {
		var list []reliability.Outcome
		for range rapid.IntRange(0, 200).Draw(t, "goals") {
			list = append(list, reliability.Outcome{
				Chance: rapid.Float64Range(0, 1).Draw(t, "chance"), Met: rapid.Bool().Draw(t, "met"),
			})
		}
		a := reliability.Of(list)
		told, met := 0, 0
		for _, tenth := range a.Tenths {
			told, met = told+tenth.Told, met+tenth.Met
			if tenth.Told > 0 {
				require.GreaterOrEqual(t, tenth.Mean, tenth.From-1e-6)
				require.LessOrEqual(t, tenth.Mean, tenth.To+1e-6)
				require.LessOrEqual(t, tenth.Low, float64(tenth.Met)/float64(tenth.Told)+1e-9)
			}
		}
		require.Equal(t, []int{len(list), a.Met}, []int{told, met})
	})
}
