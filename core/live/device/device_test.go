package device_test

import (
	"encoding/json"
	"fmt"
	"slices"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/game"
	"hodometer/core/live/device"
	"hodometer/core/live/scoreboard"
	"hodometer/core/people/coach"
)

func ask[A any](t *testing.T, q device.Question) (a A) {
	t.Helper()
	text, err := json.Marshal(q)
	require.NoError(t, err)
	require.NoError(t, json.Unmarshal(device.Answer(text), &a))
	return a
}

// Every ready game is scored on a device as in the program: every rally counts for one of both sides, one that is won
// twice is left out, and what is taken back was never there.
func TestEveryReadyGameIsScoredOnADevice(t *testing.T) {
	for _, ready := range library.Games() {
		t.Run(ready.Document.Name, func(t *testing.T) {
			for _, version := range append([]game.Version{{}}, ready.Document.Versions...) {
				played := ask[game.Document](
					t,
					device.Question{Version: &device.VersionAsked{Document: ready.Document, Version: version.Name}},
				)
				want, err := ready.Document.InLesson(version.Name, "")
				require.NoError(t, err)
				require.Equal(t, want.Rules.Sentences(), played.Rules.Sentences())

				kit := kitOf(played)
				begun := ask[scoreboard.Scored](t, device.Question{Game: &device.GameAsked{Kit: kit}})
				require.Equal(t, [2]int{}, begun.State.Points)
				require.NotNil(t, begun.OnCourt)

				won := []game.Event{event(1, game.Won, game.Near, 1)}
				one := ask[scoreboard.Scored](t, device.Question{Game: &device.GameAsked{Kit: kit, Events: won}})
				require.Empty(t, one.LeftOut)
				require.NotEmpty(t, one.Last)

				twice := slices.Concat(won, []game.Event{event(2, game.Won, game.Far, 1), event(3, game.Undo, "", 1)})
				undone := ask[scoreboard.Scored](t, device.Question{Game: &device.GameAsked{Kit: kit, Events: twice}})
				require.Len(t, undone.LeftOut, 1)
				require.Equal(t, "2", undone.LeftOut[0].ID)
				require.Equal(t, begun.State.Points, undone.State.Points)
				require.Equal(t, begun.Next, undone.Next)
			}
		})
	}
}

func kitOf(d game.Document) scoreboard.Kit {
	m := game.Match{
		FormatVersion: game.MatchVersion,
		Title:         d.Name,
		Sport:         d.Sport,
		Court:         d.Court,
		Date:          "2026-03-10",
		Rules:         &d.Rules,
	}
	names := map[string]string{}
	for i := range d.Rules.Players() {
		id := fmt.Sprintf("p%d", i)
		m.Players, names[id] = append(m.Players, id), fmt.Sprintf("Player %d", i+1)
	}
	return scoreboard.Kit{ID: "g", Document: m, Names: names, Settings: coach.Settings{}}
}

func event(n int, kind game.EventKind, side game.Side, rally int) game.Event {
	return game.Event{
		ID:    fmt.Sprint(n),
		At:    time.Date(2026, 3, 10, 17, 0, n, 0, time.UTC),
		Kind:  kind,
		Side:  side,
		Rally: rally,
	}
}

func TestWhatIsNoQuestionIsTold(t *testing.T) {
	for _, text := range []string{"", "no question", "{}", `{"game":{}}`} {
		var refused struct{ Error string }
		require.NoError(t, json.Unmarshal(device.Answer([]byte(text)), &refused), text)
		require.NotEmpty(t, refused.Error, text)
	}
}

func FuzzAnswer(f *testing.F) {
	text, err := json.Marshal(
		device.Question{
			Game: &device.GameAsked{
				Kit:    kitOf(library.Games()[0].Document),
				Events: []game.Event{event(1, game.Won, game.Near, 1)},
			},
		},
	)
	require.NoError(f, err)
	f.Add(text)
	f.Add([]byte(`{"lesson":{"kit":{},"acts":[],"now":"2026-03-10T17:00:00Z"}}`))
	f.Fuzz(func(t *testing.T, question []byte) {
		require.True(t, json.Valid(device.Answer(question)))
	})
}
