package skill_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/people/skill"
)

// By hand: somebody who makes a ball as likely 2 of 10 as 6 of 10, and then makes it: 0.2 × ½ to 0.6 × ½, so 1 to 3.
// After a make and a miss it is 0.16 to 0.24, so 2 to 3.
func TestWhatCountsSayOfAChanceByHand(t *testing.T) {
	t.Parallel()
	likely := []skill.Likely{{Rate: 0.2, Share: 0.5}, {Rate: 0.6, Share: 0.5}}
	require.InDelta(t, 0.4, skill.Mean(likely), 1e-12)
	made := skill.Given(likely, 1, 0)
	require.InDelta(t, 0.25, made[0].Share, 1e-12)
	require.InDelta(t, 0.75, made[1].Share, 1e-12)
	require.InDelta(t, 0.6, skill.Given(likely, 1, 1)[1].Share, 1e-12)
	require.Equal(t, likely, skill.Given(likely, 0, 0))
	require.Empty(t, skill.Belief{}.Likely(), "of an attempt without balls nothing is believed")
}

// What may be adds up to what is sure: shares to 1, the mean and the spread of the log-odds to those believed. An even
// point is even for somebody of whom nothing is known. Makes raise a chance and misses lower it.
func TestWhatMayBeIsWhatIsBelieved(t *testing.T) {
	t.Parallel()
	nobody := skill.Skill{}
	point := skill.Belief{Better: nobody.At("forehand", "a", 0, true), Attempt: skill.Even()}
	require.InDelta(t, 0.5, point.Chance().Mean, 1e-12)
	rapid.Check(t, func(t *rapid.T) {
		b := skill.Belief{
			Better:  skill.Estimate{Mean: rapid.Float64Range(-2, 2).Draw(t, "mean"), SD: rapid.Float64Range(0, 1).Draw(t, "sd")},
			Attempt: skill.Of(0.5),
		}
		likely := b.Likely()
		shares, mean, square := 0.0, 0.0, 0.0
		for _, l := range likely {
			x := skill.LogOdds(l.Rate)
			shares, mean, square = shares+l.Share, mean+l.Share*x, square+l.Share*x*x
		}
		require.InDelta(t, 1, shares, 1e-12)
		require.InDelta(t, b.Better.Mean, mean, 1e-9)
		require.InDelta(t, b.Better.SD, math.Sqrt(math.Max(0, square-mean*mean)), 0.03)
		chance := b.Chance()
		require.True(t, chance.Low <= chance.Mean+1e-12 && chance.Mean <= chance.High+1e-12)
		n := rapid.IntRange(1, 50).Draw(t, "tried")
		require.GreaterOrEqual(t, skill.Mean(skill.Given(likely, n, 0)), chance.Mean-1e-12)
		require.LessOrEqual(t, skill.Mean(skill.Given(likely, 0, n)), chance.Mean+1e-12)
	})
}

// Somebody who makes an attempt so often is so much better than the level.
func TestHowMuchBetterAChanceIs(t *testing.T) {
	t.Parallel()
	rapid.Check(t, func(t *rapid.T) {
		a := skill.Attempt{
			Balls: rapid.SliceOfN(rapid.Float64Range(-3, 3), 1, 4).Draw(t, "balls"),
			All:   rapid.Bool().Draw(t, "all"),
		}
		x := rapid.Float64Range(-3, 3).Draw(t, "better")
		p, _ := a.Chance(x)
		require.InDelta(t, x, a.Reaches(p), 1e-6)
	})
}
