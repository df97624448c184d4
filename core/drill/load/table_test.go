package load_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/drill/library"
	"hodometer/core/drill/load"
	"hodometer/core/people/coach"
	"hodometer/internal/golden"
)

// TestTheLoadsOfTheLibrary: what each drill takes of groups of different sizes, in lines and side by side, and how many
// turns there is time for.
func TestTheLoadsOfTheLibrary(t *testing.T) {
	t.Parallel()
	s := coach.Default()
	var b strings.Builder
	for i, stored := range library.All() {
		d := stored.Document
		fmt.Fprintf(&b, "%s: at once %d, narrow %v\n", d.Name, load.AtOnce(d), load.Narrow(d))
		for k, people := range []int{1 + i%2, 3 + i%4, 8} {
			space := load.Space{Courts: k, Half: (i+k)%4 == 0}
			g, said := load.Arrange(d, people, 1+(i+k)%3, space)
			l := load.For(d, g, 2+(i+k)%3, s)
			fmt.Fprintf(&b, "  %d in %d: %d×%d %s, %d baskets, each %d, over %d, serves %d, %.1f + %.1f + %.1f = %.1f s, "+
				"waits %.1f s, %.2f, at most %d; %d turns in %.0f s, %d lines; pool %d. %s\n",
				people, l.Lines, l.Turns, l.Balls, l.Word, l.Baskets, l.Each, l.Overheads, l.Serves,
				l.SetUp, l.Feeding, l.PickUp, l.Need, l.Waiting, l.Rest, l.Largest,
				load.TurnsIn(d, l.Need+float64(100*k), g, s), l.Need+float64(100*k), load.Split(d, people, s),
				load.Pool(d, d.Main(), float64(l.Turns)), said)
		}
		if f := load.Form(d); f != nil {
			fmt.Fprintf(&b, "  %s every %.2f min, queues %v, %v\n", f.Kind, f.Every, f.Queues, f.Spots)
		}
	}
	golden.Same(t, "loads.txt", b.String())
}
