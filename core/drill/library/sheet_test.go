package library_test

import (
	"fmt"
	"strconv"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/game"
)

// sheet is a score sheet worked out by hand: on each line what was tapped, and after an arrow what the board has to
// show then – points first, then any of: feeds, box, net, ball, spots, own, over.
type sheet struct {
	name    string
	of      string // the ready game
	players string
	lines   string
}

// tap reads what was tapped: N or F for a rally won by the near or the far side, with the name of an award or "broke"
// and a number behind it, "fault", "again" and "time".
func tap(t *testing.T, text string, n, rally int) game.Event {
	e := game.Event{
		ID:    fmt.Sprintf("e%04d", n),
		At:    time.Date(2026, 3, 10, 16, 0, n, 0, time.UTC),
		Rally: rally,
		Kind:  game.EventKind(text),
	}
	side, rest, _ := strings.Cut(text, " ")
	switch side {
	case "N":
		e.Side = game.Near
	case "F":
		e.Side = game.Far
	default:
		return e
	}
	switch number, broke := strings.CutPrefix(rest, "broke "); {
	case rest == "":
		e.Kind = game.Won
	case broke:
		index, err := strconv.Atoi(number)
		require.NoError(t, err)
		e.Kind, e.Restriction = game.Broke, index
	default:
		e.Kind, e.Award = game.Awarded, rest
	}
	return e
}

// shows is what the board says of one thing.
func shows(s game.State, what string) string {
	switch what {
	case "feeds":
		return string(s.Feeds)
	case "feeder":
		return s.Feeder
	case "box":
		return string(s.Box)
	case "net":
		return string(s.Net)
	case "ball":
		return s.Ball
	case "spots":
		return strings.Join(s.Spots, "")
	case "waits":
		return strings.Join(s.Waiting, "")
	case "own":
		return strings.Trim(fmt.Sprint(s.Personal), "[]")
	case "over":
		if !s.Over {
			return "no"
		}
		return string(s.Winner) + strings.Join(s.Best, "")
	case "stand":
		return strconv.FormatBool(s.Stand)
	case "scored":
		return strconv.FormatBool(s.Scored)
	}
	return "?"
}

func TestScoreSheets(t *testing.T) {
	t.Parallel()
	ready := map[string]game.Rules{}
	for _, stored := range library.Games() {
		if _, ok := ready[stored.Document.Name]; !ok {
			ready[stored.Document.Name] = stored.Document.Rules // of the first sport that has it
		}
	}
	for _, one := range sheets {
		t.Run(one.name, func(t *testing.T) {
			rules, ok := ready[one.of]
			require.True(t, ok)
			players := strings.Split(one.players, "")
			s, err := rules.Start(players)
			require.NoError(t, err)
			var events []game.Event
			rallies := 0
			for n, line := range strings.Split(strings.TrimSpace(one.lines), "\n") {
				what, board, ok := strings.Cut(line, "->")
				require.True(t, ok, line)
				before := s.Rally
				e := tap(t, strings.TrimSpace(what), n, s.Rally)
				events = append(events, e)
				var left []game.LeftOut
				s, left, err = rules.Replay(players, events)
				require.NoError(t, err)
				require.Empty(t, left, line)
				rallies += max(0, s.Rally-before)
				fields := strings.Split(strings.TrimSpace(board), ", ")
				require.Equal(t, fields[0], fmt.Sprintf("%d-%d", s.Points[0], s.Points[1]), "line %d: %s", n+1, line)
				for _, field := range fields[1:] {
					what, want, _ := strings.Cut(field, " ")
					require.Equal(t, want, shows(s, what), "line %d: %s", n+1, line)
				}
			}
			require.GreaterOrEqual(t, rallies, 10, "a sheet has at least ten points")
		})
	}
}
