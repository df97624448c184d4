package playerfit_test

import (
	"context"
	"encoding/json"
	"os"
	"slices"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/people/student"
	"hodometer/internal/sample"
)

// The levels that the built-in drills are offered to are those at which their goals make sense; HODOMETER_GOLDEN=write
// writes them anew.
func TestTheLibraryIsOfferedToWhomItSuits(t *testing.T) {
	t.Parallel()
	const kept = "../library/levels.json"
	levels := map[string][]student.Level{}
	for _, stored := range library.All() {
		suits, err := playerfit.Suits(t.Context(), stored.Document)
		require.NoError(t, err)
		levels[stored.Document.Name] = suits
	}
	if os.Getenv("HODOMETER_GOLDEN") == "write" {
		text, err := json.MarshalIndent(levels, "", "  ")
		require.NoError(t, err)
		require.NoError(t, os.WriteFile(kept, append(text, '\n'), 0o600))
		return
	}
	for _, stored := range library.All() {
		require.Equal(t, levels[stored.Document.Name], stored.Levels, stored.Document.Name)
	}
}

// By hand, from the table of goals: a club player meets that of the coin 56 times in 100, an improver 17
// times, a tournament player 98 times; an orange-ball child does Two and Away 22 times in 100, a beginner 20 and a club
// player 92. Nobody does Last Stretch, as it is for several lessons.
func TestWhomADrillSuits(t *testing.T) {
	t.Parallel()
	for name, want := range map[string][]student.Level{
		"Coin in the Corner": {student.Club},
		"Two and Away":       {student.Orange, student.Green, student.Beginner, student.Improver},
		"Last Stretch":       {},
		"Round the Posts":    {}, // without a goal
	} {
		suits, err := playerfit.Suits(t.Context(), sample.Drill(t, name))
		require.NoError(t, err)
		require.Equal(t, want, suits, name)
	}
	ctx, cancel := context.WithCancel(t.Context())
	cancel()
	_, err := playerfit.Suits(ctx, sample.Drill(t, "Crossroads"))
	require.ErrorIs(t, err, context.Canceled)
}

// A goal that asks for more is offered to nobody below whom it was offered to before.
func TestMoreIsOfferedToTheBetter(t *testing.T) {
	t.Parallel()
	d := sample.Drill(t, "Coin in the Corner")
	least := func(count int) int {
		d.Measures[0].Goals[0].Count = count
		suits, err := playerfit.Suits(t.Context(), d)
		require.NoError(t, err)
		grown := slices.DeleteFunc(suits, func(l student.Level) bool {
			return l == student.Red || l == student.Orange || l == student.Green
		})
		return grown[0].Rank()
	}
	require.Less(t, least(2), least(6))
}
