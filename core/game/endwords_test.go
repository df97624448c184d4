package game_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/game"
)

// Where a rally can bring both sides to the points that they need, it is said who wins, and it is so: at 4 : 4 to five,
// with a point for serve and next shot, whoever wins the rally then is level at five and has won.
func TestWhoWinsWhereBothGetThere(t *testing.T) {
	t.Parallel()
	said := 0
	for _, stored := range library.Games() {
		rules := stored.Document.Rules
		all := strings.Join(rules.Sentences(), " ")
		if !strings.Contains(all, "Where one rally brings both sides there") {
			continue
		}
		said++
		rules.End.WinBy = 2
		require.NotContains(t, strings.Join(rules.Sentences(), " "), "brings both sides there", "nobody is level two ahead")
		rules.End = game.End{Minutes: 5}
		require.NotContains(t, strings.Join(rules.Sentences(), " "), "brings both sides there", "there is nothing to get to")
		if stored.Document.Name != "Serve, Then One More" {
			continue
		}
		m := game.Match{
			FormatVersion: game.MatchVersion, Title: "x", Sport: stored.Document.Sport, Court: stored.Document.Court,
			Rules: &stored.Document.Rules, Players: []string{"ada", "ben"},
		}
		var events []game.Event
		for rally := range 8 {
			side := []game.Side{game.Near, game.Far}[rally%2]
			events = append(events, game.Event{ID: string(rune('a' + rally)), Kind: game.Won, Rally: rally + 1, Side: side})
		}
		level, left, err := m.With(events)
		require.NoError(t, err)
		require.Empty(t, left)
		over, left, err := level.With([]game.Event{
			{
				ID:    "y",
				Kind:  game.Awarded,
				Rally: 9,
				Side:  game.Near,
				Award: "two",
			},
			{ID: "z", Kind: game.Won, Rally: 9, Side: game.Far},
		})
		require.NoError(t, err)
		require.Empty(t, left)
		state, _, err := over.Course(map[string]string{})
		require.NoError(t, err)
		require.Equal(t, [2]int{5, 5}, state.Points)
		require.True(t, state.Over)
		require.Equal(t, game.Far, state.Winner)
	}
	require.Positive(t, said)
}
