package units_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/basics/units"
	"hodometer/internal/long"
)

func TestElapsed(t *testing.T) {
	require.Equal(t, "+0:00", units.Elapsed(0))
	require.Equal(t, "+4:00", units.Elapsed(239.7))
	require.Equal(t, "+12:05", units.Elapsed(725))
	require.Equal(t, "−0:30", units.Elapsed(-30))
}

func TestSecondsNeverReadSixty(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		text := units.Elapsed(rapid.Float64Range(0, 40_000).Draw(t, "seconds"))
		require.Regexp(t, `^\+[0-9]+:[0-5][0-9]$`, text)
	})
}

func TestPercentsAddUp(t *testing.T) {
	// By hand: 33.3 three times and 0.1: each rounded down loses, and one more goes to the first.
	require.Equal(t, []int{34, 33, 33, 0}, units.Percents(1./3, 1./3, 1./3, 0))
	require.Equal(t, []int{13, 12, 75}, units.Percents(.125, .125, .75))
	require.Equal(t, []int{41}, units.Percents(.414))
	long.Check(t, func(t *rapid.T) {
		parts := rapid.SliceOfN(rapid.Float64Range(0, 1), 1, 8).Draw(t, "parts")
		whole := 0.0
		for _, p := range parts {
			whole += p
		}
		if whole == 0 {
			return
		}
		sum := 0
		for i := range parts {
			parts[i] /= whole
		}
		for i, p := range units.Percents(parts...) {
			require.Less(t, math.Abs(float64(p)-100*parts[i]), 1.0, "no part is off by a whole percent")
			sum += p
		}
		require.Equal(t, 100, sum)
	})
}
