package scoreboard_test

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"hodometer/core/drill/library"
	"hodometer/core/game"
	"hodometer/core/live/scoreboard"
	"hodometer/core/people/coach"
	"hodometer/internal/golden"
)

// TestWhatIsShownOfGames: every game of the library, played for some rallies: where it stands, what is next and last,
// what can be tapped, and what is on its court; events that make no sense; and a round robin of entered results.
func TestWhatIsShownOfGames(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	names := map[string]string{
		"ada":  "Ada",
		"ben":  "Ben",
		"cleo": "Cleo",
		"dov":  "Dov",
		"eli":  "Eli",
		"flo":  "Flo",
		"x":    "X",
	}
	players := []string{"ada", "ben", "cleo", "dov", "eli", "flo"}
	for i, stored := range library.Games() {
		d := stored.Document
		kit := scoreboard.Kit{ID: "m", Names: names, Settings: coach.Default(), Document: game.Match{
			FormatVersion: game.MatchVersion,
			Title:         d.Name,
			Sport:         d.Sport,
			Court:         d.Court,
			Rules:         &d.Rules,
			Players:       players[:max(2, len(d.Rules.Spots))%7],
		}}
		var events []game.Event
		at := time.Date(2026, 3, 10, 16, 0, 0, 0, time.UTC)
		for rally := range 7 {
			side := []game.Side{game.Near, game.Far}[(rally*rally+i)%3%2]
			events = append(
				events,
				game.Event{ID: fmt.Sprint(rally), At: at.Add(time.Duration(rally) * time.Second), Kind: game.Won,
					Rally: rally + 1, Side: side},
			)
		}
		for _, part := range [][]game.Event{nil, events[:3], events[3:], {{ID: "z", At: at, Kind: "dance", Rally: 1}}} {
			left, err := kit.Do(part)
			v := kit.View()
			fmt.Fprintf(
				&b,
				"%s: %d left out, %v; next %s, last %s; %s\n",
				d.Name,
				len(left),
				err,
				v.Next,
				v.Last,
				golden.Line(t, v.State, 2),
			)
			fmt.Fprintln(&b, "  ", golden.Line(t, v.Near, 2), golden.Line(t, v.Far, 2))
		}
		v := kit.View()
		fmt.Fprintln(
			&b,
			"  ",
			len(v.Rules),
			len(v.Rounds),
			v.Names,
			len(v.Fixtures),
			len(v.Table),
			golden.Line(t, v.OnCourt, 1),
		)
	}
	entered := scoreboard.Kit{ID: "m", Names: names, Settings: coach.Default(), Document: game.Match{
		FormatVersion: game.MatchVersion, Title: "Evening", Sport: "tennis", Court: "nowhere", Players: players[:4],
		Entered: []game.Round{{Near: []string{"ada"}, Far: []string{"ben"}, NearPoints: 7, FarPoints: 5}},
	}}
	v := entered.View()
	fmt.Fprintln(&b, golden.Line(t, v, 2))
	golden.Same(t, "games.txt", b.String())
}
