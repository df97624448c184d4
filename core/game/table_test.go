package game_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/drill/library"
	"hodometer/core/game"
	"hodometer/core/sport/sports"
	"hodometer/internal/golden"
	"hodometer/internal/pencil"
)

// TestTheGamesOfTheLibrary: what every game says of itself, what is expected of it, and how one goes that is played
// through by chance, point by point in words.
func TestTheGamesOfTheLibrary(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	for i, stored := range library.Games() {
		d := stored.Document
		fmt.Fprintf(&b, "%s: %s\n", d.Name, strings.Join(d.Rules.Sentences(), " "))
		chances := game.At(0.4 + 0.05*float64(i%5))
		forecast, err := d.Rules.Forecast(t.Context(), chances, 0)
		fmt.Fprintln(&b, "  ", golden.Line(t, forecast, 3), err)
		for _, m := range d.Rules.Metrics(forecast, chances, sports.Of(d.Sport).Tempo) {
			fmt.Fprintf(&b, "   %s %.3f %s\n", m.Name, m.Value, m.Unit)
			pencil.Check(t, d.Name, m.Derivation)
		}
		steps, err := d.Rules.PlayedThrough(chances, uint64(i+1), 12)
		fmt.Fprintln(&b, "  ", len(steps), err)
		for _, step := range steps {
			fmt.Fprintln(&b, "    ", golden.Line(t, step, 3))
		}
		for _, version := range d.VersionNames() {
			played, err := d.Version(version)
			fmt.Fprintln(&b, "  ", version, strings.Join(played.Rules.Sentences(), " "), err)
		}
		pairs, err := d.Rules.FairPairs(t.Context(), chances, 9)
		fmt.Fprintln(&b, "  ", golden.Line(t, pairs, 3), err)
	}
	golden.Same(t, "games.txt", b.String())
}
