package api_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/api/desk"
	"hodometer/core/drill/library"
	"hodometer/core/exchange/shorthand"
)

// So are the rules of a game.
func TestAGameInWords(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	d := readyGame(t, "The Third Is Soft").Document
	line := func(line string) desk.GameLineRead {
		return read[desk.GameLineRead](t, c.ask("POST", "/api/games/line", map[string]any{"document": d, "line": line}))
	}
	written := line("")
	require.Equal(t, shorthand.OfGame(d), written.Line)
	again := line(written.Line)
	require.Empty(t, again.Wrong)
	require.Equal(t, d.Rules, again.Document.Rules)
	wrong := line("1v1; to eleven")
	require.Nil(t, wrong.Document)
	require.Contains(t, wrong.Wrong, "eleven")
	// What is understood and makes no game is said too.
	never := line("1v1; serve")
	require.Nil(t, never.Document)
	require.Contains(t, never.Wrong, "never ends")
}

// A drill is written as a line, a line is read into a drill, and what is not understood is said beside it.
func TestALineInWords(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	d := library.All()[0].Document
	written := read[desk.LineRead](t, c.ask("POST", "/api/drills/line", map[string]any{"document": d, "line": ""}))
	require.Equal(t, shorthand.Of(d), written.Line)
	again := read[desk.LineRead](t, c.ask("POST", "/api/drills/line", map[string]any{"document": d, "line": written.Line}))
	require.Empty(t, again.Wrong)
	require.Equal(t, d.Pattern, again.Document.Pattern)
	require.NotEmpty(t, again.Words)
	wrong := read[desk.LineRead](
		t,
		c.ask("POST", "/api/drills/line", map[string]any{"document": d, "line": "deep FH, shrot FH"}),
	)
	require.Nil(t, wrong.Document)
	require.Contains(t, wrong.Wrong, "shrot")
	// What is understood and makes no drill is said too.
	alone := read[desk.LineRead](
		t,
		c.ask("POST", "/api/drills/line", map[string]any{"document": d, "line": "deep FH player=3"}),
	)
	require.Contains(t, alone.Wrong, "no start place for player 3")
}
