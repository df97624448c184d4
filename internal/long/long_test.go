package long_test

import (
	"strconv"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/internal/long"
)

var sizes = []int{1, 2, 3, 5, 8, 12}

func TestASampleKeepsItsOrderAndItsSize(t *testing.T) {
	t.Setenv("HODOMETER_LONG", "")
	seen := map[int]bool{}
	for seed := range 200 {
		t.Setenv("HODOMETER_SEED", strconv.Itoa(seed))
		for n := range 8 {
			got := long.Some(t, sizes, n)
			want := n
			if testing.Short() {
				want = min(n, max(1, n/5))
			}
			require.Len(t, got, min(want, 6))
			require.IsIncreasing(t, append([]int{0}, got...))
			require.Equal(t, got, long.Some(t, sizes, n), "the same seed")
		}
		seen[long.Some(t, sizes, 1)[0]] = true
	}
	require.Len(t, seen, 6, "every item is in some sample")
	t.Setenv("HODOMETER_LONG", "1")
	require.Equal(t, sizes, long.Some(t, sizes, 1))
}

func TestThePropertiesOfAShortRunAreTheSameEachTime(t *testing.T) {
	t.Setenv("HODOMETER_LONG", "")
	draw := func() (drawn []uint64) {
		long.Check(t, func(t *rapid.T) { drawn = append(drawn, rapid.Uint64().Draw(t, "number")) })
		return drawn
	}
	first := draw()
	want := 100
	if testing.Short() {
		want = 20
	}
	require.Len(t, first, want)
	require.Equal(t, first, draw())
}
