package rotation_test

import (
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/rotation"
)

func TestSwaps(t *testing.T) {
	roles := []string{"volleys", "feeds"}
	seat := func(person int, role string) rotation.Seat { return rotation.Seat{Person: person, Role: role} }

	// Common practice, no source (T10): two players, ten minutes, roles swapped every minute.
	two := rotation.Swaps(2, roles, 60, 600)
	require.Len(t, two, 10)
	require.Equal(t, rotation.Swap{Start: 0, Seats: []rotation.Seat{seat(0, "volleys"), seat(1, "feeds")}}, two[0])
	require.Equal(t, rotation.Swap{Start: 60, Seats: []rotation.Seat{seat(0, "feeds"), seat(1, "volleys")}}, two[1])

	alone := rotation.Swaps(1, roles, 60, 120)
	require.Equal(t, []rotation.Seat{seat(0, "volleys"), seat(rotation.Coach, "feeds")}, alone[0].Seats)

	three := rotation.Swaps(3, roles, 60, 180)
	require.Equal(t, []rotation.Seat{seat(0, "volleys"), seat(1, "feeds"), seat(2, rotation.Ready)}, three[0].Seats)

	require.Empty(t, rotation.Swaps(2, nil, 60, 600))
	require.Empty(t, rotation.Swaps(2, roles, 0, 600))
	require.Empty(t, rotation.Swaps(0, roles, 60, 600))
}

func TestOverACycleEverybodyHasEverySeatEqually(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		people := rapid.IntRange(2, 12).Draw(t, "people")
		roles := []string{"one", "two", "three"}[:rapid.IntRange(1, 3).Draw(t, "roles")]
		had := make([]map[string]int, people)
		for i := range had {
			had[i] = map[string]int{}
		}
		for _, swap := range rotation.Swaps(people, roles, 1, float64(people)) {
			for _, seat := range swap.Seats {
				had[seat.Person][seat.Role]++
			}
		}
		for _, roles := range had {
			require.Equal(t, had[0], roles)
		}
	})
}

func TestWaiting(t *testing.T) {
	// Four in a line, turns of 12 s and 3 s between them: three other turns and four changes.
	require.InDelta(t, 48, rotation.Waiting(4, 12, 3), 1e-9)
	require.InDelta(t, 3, rotation.Waiting(1, 12, 3), 1e-9)
}
