package seeded_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/seeded"
)

// The first numbers of SplitMix64 from seed 0 are e220a8397b1dcdaf and 6e789e6aa1b965f4 in hexadecimal (the generator's
// reference values, from memory); a share is the upper 53 bits.
func TestTheNumbersAreThoseOfTheGenerator(t *testing.T) {
	n := seeded.From(0)
	for _, want := range []uint64{0xe220a8397b1dcdaf, 0x6e789e6aa1b965f4} {
		require.InDelta(t, float64(want>>11)/(1<<53), n.Share(), 1e-16)
	}
}

func TestTheSameSeedGivesTheSame(t *testing.T) {
	one, two, other := seeded.From(7), seeded.From(7), seeded.From(8)
	order := one.Order(20)
	require.Equal(t, order, two.Order(20))
	require.NotEqual(t, order, other.Order(20))
	slices.Sort(order)
	for i, each := range order {
		require.Equal(t, i, each, "each once")
	}
	sum, n := 0.0, 4000
	for range n {
		share := one.Share()
		require.True(t, share >= 0 && share < 1)
		require.Less(t, one.Below(6), 6)
		sum += share
	}
	require.InDelta(t, 0.5, sum/float64(n), 0.03, "evenly between 0 and 1")
}
