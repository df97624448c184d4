package schedule_test

import (
	"testing"

	"hodometer/internal/long"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/drill/load"
	"hodometer/core/game"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/coach"
	"hodometer/core/sport/sports"
	"hodometer/internal/sample"
)

// withGame is a lesson of so many people with one block for a game.
func withGame(t *testing.T, d game.Document, people, courts int, minutes float64) schedule.ScheduledBlock {
	document, in := sample.Crowd(people)
	document.Space = load.Space{Courts: courts}
	document.Blocks = []lesson.Block{
		{
			ID:      "0190a000-0000-7000-8000-000000000001",
			Kind:    lesson.Game,
			Title:   d.Name,
			Minutes: minutes,
			Effort:  5,
			Game:    "g",
			Calls:   []lesson.Call{},
		},
	}
	in.Games = map[string]game.Document{"g": d}
	timetable, _, err := schedule.Make(t.Context(), document, in)
	require.NoError(t, err)
	return timetable.Blocks[0]
}

// What a coach would expect of every ready game: it fits once, four times of five, into the block that is made for it,
// more often into a longer one, and not into a shorter one, for which fewer points are proposed.
func TestEveryReadyGameFitsItsBlock(t *testing.T) {
	long.Skip(t)
	for _, stored := range library.Games() {
		d := stored.Document
		places := d.Rules.Players()
		b, err := schedule.ForGame(t.Context(), stored.ID, d, coach.Default())
		require.NoError(t, err)
		require.Equal(t, lesson.Game, b.Kind)
		s := withGame(t, d, places, 1, b.Minutes)
		require.NotNil(t, s.Game)
		require.GreaterOrEqual(t, s.Game.Games, 1, d.Name)
		require.Zero(t, s.Game.Missing)
		require.Zero(t, s.Game.Waiting)
		require.Contains(t, s.Fits, "game")
		twice := withGame(t, d, places, 1, 3*b.Minutes)
		require.Greater(t, twice.Game.Games, s.Game.Games, d.Name)
		tempo := sports.Of(d.Sport).Tempo
		_, f, err := d.Rules.Usual(t.Context(), tempo)
		require.NoError(t, err)
		require.Equal(t, f.Duration(tempo), s.Game.Minutes, "the length is the same wherever it stands")
		short := withGame(t, d, places, 1, 1.5)
		require.Zero(t, short.Game.Games, d.Name)
		require.LessOrEqual(t, short.Game.ToNear, d.Rules.End.Near)
	}
}

// By hand: seven people at a duel on three courts are three games at once, and one waits; on one court five wait; one
// alone misses somebody.
func TestAGroupAtAGame(t *testing.T) {
	duel := library.Games()[1].Document
	require.Equal(t, 2, duel.Rules.Players())
	s := withGame(t, duel, 7, 3, 10)
	require.Equal(t, []int{3, 1, 0}, []int{s.Game.AtOnce, s.Game.Waiting, s.Game.Missing})
	require.Equal(t, "3 games at once on 3 courts, 1 waits", s.Group)
	s = withGame(t, duel, 7, 1, 10)
	require.Equal(t, []int{1, 5}, []int{s.Game.AtOnce, s.Game.Waiting})
	s = withGame(t, duel, 1, 1, 10)
	require.Equal(t, 1, s.Game.Missing)
	require.Equal(t, "1 player is missing", s.Group)
	gone := duel
	gone.Rules.End = game.End{}
	require.Nil(t, withGame(t, gone, 2, 1, 10).Game, "a game that makes no sense any more is none")
}

// By hand: a game with a coach on court misses one player fewer.
func TestTheCoachStandsInForOne(t *testing.T) {
	for _, stored := range library.Games() {
		d := stored.Document
		missing := d.Rules.Players()
		if d.Rules.Coach {
			missing--
		}
		s := withGame(t, d, 1, 1, 10)
		require.Equal(t, max(0, missing-1), s.Game.Missing, d.Name)
	}
}
