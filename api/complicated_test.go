package api_test

import (
	"hodometer/internal/long"

	"encoding/json"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/api/desk"
	"hodometer/core/game"
	"hodometer/core/sport/sports"
)

// Little matches with two bonuses are among the costliest games there are: what would be fair may take too long, and
// then that is said; all the rest is told.
func TestACostlyGameIsToldAsFarAsItGoes(t *testing.T) {
	t.Parallel()
	long.Skip(t)
	c := newClub(t)
	begun := read[game.Document](t, c.ask("POST", "/api/games/begin", desk.NewGame{Court: sports.Courts()[0].ID}))
	line := `1v1; serve, then other every 1; mini "second serve" "volley" "overhead"; bonus "cone hit" 3; bonus "ace" 2; to 21`
	r := read[desk.GameLineRead](t, c.ask("POST", "/api/games/line", map[string]any{"line": line, "document": begun}))
	require.Empty(t, r.Wrong)
	body, err := json.Marshal(
		map[string]any{
			"document": r.Document,
			"rallies":  40,
			"minutes":  20,
			"seed":     1,
			"chances":  map[string]any{"nearFeeds": 0.5, "farFeeds": 0.5, "awards": []any{}},
		},
	)
	require.NoError(t, err)
	w := read[desk.WorkedGame](t, c.ask("POST", "/api/games/preview", string(body)))
	require.NotEmpty(t, w.Metrics)
	require.NotEmpty(t, w.Steps)
	require.True(t, len(w.Fair) > 0 || w.FairWhy != "", "a fair score, or why there is none")
}
