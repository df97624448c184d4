package ranking

import (
	"fmt"
	"slices"
	"testing"

	"github.com/stretchr/testify/require"
)

// alone are players who play for themselves.
func alone(names ...string) [][]string {
	return slices.Collect(slices.Chunk(names, 1))
}

func TestARoundRobinIsComplete(t *testing.T) {
	for n := 2; n <= 14; n++ {
		for courts := 1; courts <= 7; courts++ {
			list, err := RoundRobin(alone(names(n)...), courts, 12)
			require.NoError(t, err)
			require.Len(t, list, n*(n-1)/2)
			met, busy, slots := map[string]bool{}, map[string]bool{}, 0
			for _, f := range list {
				key := min(f.Near[0], f.Far[0]) + max(f.Near[0], f.Far[0])
				require.False(t, met[key], "everybody meets everybody once")
				met[key] = true
				for _, who := range []string{f.Near[0], f.Far[0], fmt.Sprint("court", f.Court)} {
					at := fmt.Sprint(f.Slot, who)
					require.False(t, busy[at], "nobody and no court twice at once")
					busy[at] = true
				}
				require.LessOrEqual(t, f.Court, courts)
				require.InDelta(t, 12*float64(f.Slot-1), f.Minute, 1e-9)
				slots = max(slots, f.Slot)
			}
			// No timetable is shorter than the games over the courts, and than everybody's own games.
			most := min(courts, n/2)
			least := max((len(list)+most-1)/most, n-1+n%2)
			require.LessOrEqual(t, slots, least+2, "%d on %d courts", n, courts)
		}
	}
	for _, wrong := range []func() ([]Fixture, error){
		func() ([]Fixture, error) { return RoundRobin(alone(names(1)...), 1, 10) },
		func() ([]Fixture, error) { return RoundRobin(alone("a", "a"), 1, 10) },
		func() ([]Fixture, error) { return RoundRobin(alone(names(4)...), 0, 10) },
		func() ([]Fixture, error) { return RoundRobin(alone(names(4)...), 1, 0) },
	} {
		_, err := wrong()
		require.Error(t, err)
	}
}

// By hand: a beats b and loses to c; b beats c. All have one win of two. Against each other the same. Differences: a
// 11:8 and 9:11 is +1, b 8:11 and 11:3 is +5, c 11:9 and 3:11 is −6.
func TestATableOfResults(t *testing.T) {
	one := func(near, far string, a, b int) Result {
		return Result{Near: []string{near}, Far: []string{far}, NearPoints: a, FarPoints: b}
	}
	lines := Table(alone("a", "b", "c", "d"), []Result{one("a", "b", 11, 8), one("c", "a", 11, 9), one("b", "c", 11, 3)})
	order := []string{}
	for _, l := range lines {
		order = append(order, fmt.Sprintf("%d %s %d:%d", l.Place, l.Names[0], l.For, l.Against))
	}
	require.Equal(t, []string{"1 b 19:14", "2 a 20:19", "3 c 14:20", "4 d 0:0"}, order)
	// Who won between two that have as many stands first, whatever their points.
	lines = Table(
		alone("a", "b", "c", "d"),
		[]Result{
			one("a", "b", 11, 9),
			one("b", "c", 11, 0),
			one("b", "d", 11, 0),
			one("a", "c", 11, 9),
			one("d", "a", 11, 0),
			one("c", "d", 11, 0),
		},
	)
	require.Equal(t, []string{"a"}, lines[0].Names)
	draw := Table(alone("a", "b"), []Result{one("a", "b", 5, 5)})
	require.Equal(t, 1, draw[1].Place)
	require.Equal(t, 1, draw[1].Drawn)

	// Pairs stand in the table as pairs; players who change partners have what they won with any of them.
	two := Result{Near: []string{"a", "b"}, Far: []string{"d", "c"}, NearPoints: 6, FarPoints: 3}
	pairs := Table([][]string{{"c", "d"}, {"a", "b"}}, []Result{two})
	require.Equal(t, []string{"a", "b"}, pairs[0].Names)
	require.Equal(t, []int{1, 6, 3}, []int{pairs[0].Won, pairs[0].For, pairs[0].Against})
	each := Table(
		alone("a", "b", "c", "d"),
		[]Result{two, {Near: []string{"a", "c"}, Far: []string{"b", "d"}, NearPoints: 6, FarPoints: 2}},
	)
	require.Equal(t, []string{"a"}, each[0].Names)
	require.Equal(t, []int{2, 12, 5}, []int{each[0].Won, each[0].For, each[0].Against})
}

func TestWhatIsWrongWithAResult(t *testing.T) {
	for _, r := range []Result{
		{Near: []string{"a"}, NearPoints: 1}, {Near: []string{"a"}, Far: []string{"a"}, NearPoints: 1},
		{Near: []string{"a"}, Far: []string{"b"}}, {Near: []string{"a"}, Far: []string{"b"}, NearPoints: -1},
	} {
		require.Error(t, r.Check())
	}
	require.NoError(t, Result{Near: []string{"a"}, Far: []string{"b"}, NearPoints: 1}.Check())
}

func TestWinnersGoUpAndLosersDown(t *testing.T) {
	next := UpAndDown(
		[]CourtResult{{[]string{"a"}, []string{"b"}}, {[]string{"c"}, []string{"d"}}, {[]string{"e"}, []string{"f"}}},
	)
	require.Equal(
		t,
		[]Match{
			{Near: []string{"a"}, Far: []string{"c"}},
			{Near: []string{"b"}, Far: []string{"e"}},
			{Near: []string{"d"}, Far: []string{"f"}},
		},
		next,
	)
	next = UpAndDown([]CourtResult{{[]string{"a", "b"}, []string{"c", "d"}}, {[]string{"e", "f"}, []string{"g", "h"}}})
	require.Equal(
		t,
		[]Match{{Near: []string{"a", "e"}, Far: []string{"b", "f"}}, {Near: []string{"c", "g"}, Far: []string{"d", "h"}}},
		next,
	)
	require.Equal(
		t,
		[]Match{{Near: []string{"a"}, Far: []string{"b"}}},
		UpAndDown([]CourtResult{{[]string{"a"}, []string{"b"}}}),
	)
}
