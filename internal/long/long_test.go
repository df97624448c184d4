package long

import (
	"flag"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

func TestASampleKeepsItsOrderAndItsSize(t *testing.T) {
	defer func(kept bool, was uint64) { all, seed = kept, was }(all, seed)
	all = false
	Check(t, func(t *rapid.T) {
		seed = rapid.Uint64().Draw(t, "seed")
		n := rapid.IntRange(0, 12).Draw(t, "n")
		got := Some(&testing.T{}, []int{1, 2, 3, 5, 8, 12}, n)
		require.Len(t, got, min(n, 6))
		require.IsIncreasing(t, append([]int{0}, got...))
	})
	seed = 1
	require.Equal(t, Some(t, []int{1, 2, 3, 5, 8, 12}, 2), Some(t, []int{1, 2, 3, 5, 8, 12}, 2))
	all = true
	require.Len(t, Some(t, []int{1, 2, 3}, 1), 3)
}

func TestRapidIsSeeded(t *testing.T) {
	if all {
		require.Equal(t, "1000", flag.Lookup("rapid.checks").Value.String())
		return
	}
	require.Equal(t, flag.Lookup("rapid.seed").Value.String(), "1")
}
