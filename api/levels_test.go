package api_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/api/courtside"
	"hodometer/core/drill/library"
	"hodometer/core/game"
	"hodometer/core/people/student"
)

// Two who never played are told apart by their levels: a beginner wins 7 of 100 points against a tournament player, and
// needs far fewer for a fair game.
func TestALevelIsTheStartOfAHandicap(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	of := func(name string, level student.Level) string {
		p := ada()
		p.Name, p.Level = name, level
		return c.student(p)
	}
	weak, strong, like := of("Ada", student.Beginner), of("Ben", student.Tournament), of("Cleo", student.Beginner)
	handicap := func(near, far string) game.Handicap {
		return read[game.Handicap](t, c.ask("POST", "/api/games/handicap", map[string]any{
			"document": library.Games()[1].Document, "near": near, "far": far, "rallies": 20,
		}))
	}
	h := handicap(weak, strong)
	require.InDelta(t, 0.072, h.Won, 0.001)
	require.Less(t, 4*h.Near, h.Far)
	require.InDelta(t, 0.5, handicap(weak, like).Won, 1e-9)
	r := read[courtside.Ranked](t, c.ask("GET", "/api/played/ranking?sport=tennis&who="+weak+"&who="+strong, nil))
	require.Equal(t, strong, r.Standings[0].Player)
}
