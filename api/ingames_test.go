package api_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/api/repository"
	"hodometer/core/count/odds"
	"hodometer/core/game"
	"hodometer/core/lesson/plan"
	"hodometer/core/live/scoreboard"
	"hodometer/core/sport/sports"
	"hodometer/internal/golden"
)

// A stroke that is counted in a game stands beside the same stroke in drills, and moves nobody on the ladder.
func TestAStrokeInGamesStandsBesideDrills(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	one, two := ada(), ada()
	two.Name = "Ben"
	a, b := c.student(one), c.student(two)
	block, lesson := newID(), newID()
	read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+lesson, lessonFor(block, a), fresh, "*"))
	c.count(lesson, block, a, 1, 8, 2)
	before := read[repository.Progress](t, c.ask("GET", "/api/students/"+a+"/progress", nil))
	require.Empty(t, before.InGames)
	stroke := before.Drills[0].Stroke

	rules := readyGame(t, "Ten for Five").Document.Rules
	rules.Measures = []game.Measure{
		{ID: "own", Name: "the stroke of the day", Stroke: stroke},
		{ID: "lob", Name: "lob", Stroke: sports.Lob},
	}
	var events []game.Event
	tap := func(measure string, side game.Side, right bool) {
		n := len(events)
		events = append(
			events,
			game.Event{
				ID:      newID(),
				At:      c.now.Add(time.Duration(n) * time.Second),
				Kind:    game.Counted,
				Rally:   1,
				Side:    side,
				Measure: measure,
				Right:   right,
			},
		)
	}
	for i := range 6 {
		tap("own", game.Near, i < 2) // Ada: 2 of 6
	}
	tap("own", game.Far, true)
	tap("lob", game.Near, false)
	match := game.Match{
		FormatVersion: 1,
		Title:         "Counted",
		Sport:         "tennis",
		Date:          "2026-03-10",
		Players:       []string{a, b},
		Rules:         &rules,
	}
	id := newID()
	read[scoreboard.Played](t, c.ask("PUT", "/api/played/"+id, match, fresh, "*"))
	played := read[scoreboard.Played](t, c.ask("POST", "/api/played/"+id+"/events", map[string]any{"events": events}))
	require.Equal(t, game.Count{Measure: "own", Stroke: stroke, Player: a, Made: 2, Missed: 4}, played.State.Counts[0])
	require.Equal(t, [2]int{}, played.State.Points)

	after := read[repository.Progress](t, c.ask("GET", "/api/students/"+a+"/progress", nil))
	want, _ := odds.TransferOf(odds.Done{Made: 8, Missed: 2}, odds.Done{Made: 2, Missed: 4})
	found := map[sports.Stroke]repository.StrokeInGames{}
	for _, each := range after.InGames {
		found[each.Stroke] = each
	}
	require.Equal(t, golden.Line(t, want, 9), golden.Line(t, found[stroke].Transfer, 9))
	require.Equal(t, odds.Done{Missed: 1}, found[sports.Lob].Games)
	require.Nil(t, found[sports.Lob].Transfer, "nothing in drills to set it against")
	require.Equal(t, before.Strokes, after.Strokes)
	require.Equal(t, before.Drills, after.Drills)

	// What is long ago says nothing of today.
	c.now = c.now.AddDate(0, 6, 0)
	require.Empty(t, read[repository.Progress](t, c.ask("GET", "/api/students/"+a+"/progress", nil)).InGames)
}
