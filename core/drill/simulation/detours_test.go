package simulation_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
)

// A drill of the library that asks for a way round something has a longer way for it, and says by how much.
func TestRunningRoundSomethingTakesLonger(t *testing.T) {
	found := 0
	for _, stored := range library.All() {
		d := stored.Document
		if _, ok := d.Place(drill.Obstacle); !ok {
			continue
		}
		found++
		run := func(d drill.Document) simulation.Simulation {
			p, err := simulation.Run(t.Context(), d, d.PlayerFor(d.Written(), student.RightHand), coach.Default())
			require.NoError(t, err)
			return p
		}
		free := d.Clone()
		free.Places = nil
		for _, place := range d.Places {
			if place.Kind != drill.Obstacle {
				free.Places = append(free.Places, place)
			}
		}
		round, straight := run(d), run(free)
		require.Empty(t, straight.Detours)
		require.Greater(t, round.Ran(0), straight.Ran(0)+1, d.Name)
		for _, detour := range round.Detours {
			require.Equal(t, drill.Obstacle, d.Places[detour.Place].Kind)
			require.Regexp(t, `^A turn is [1-9]\S* m longer for it\. 0\.3 m beside it stays free\.$`, detour.Sentence, d.Name)
		}

		// One that nobody comes by makes nothing longer.
		far := free.Clone()
		far.Places = append(far.Places, drill.Place{
			Kind: drill.Obstacle, Mark: court.At(3, -0.2), Size: 0.3, Around: drill.PassLeft,
		})
		require.Equal(t, []simulation.Detour{{Place: len(far.Places) - 1,
			Sentence: "No way is longer for it: only those within 0.8 m of it are bent. 0.3 m beside it stays free."}},
			run(far).Detours)
	}
	require.Equal(t, 3, found)
}
