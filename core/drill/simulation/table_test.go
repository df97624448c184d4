package simulation_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/drill/library"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/internal/golden"
)

// TestTheTurnsOfTheLibrary: one turn of every drill worked out ball by ball for somebody it is written for, by turns
// left- and right-handed.
func TestTheTurnsOfTheLibrary(t *testing.T) {
	t.Parallel()
	s := coach.Default()
	var b strings.Builder
	for i, stored := range library.All() {
		d := stored.Document
		hand := student.RightHand
		if i%2 == 1 {
			hand = student.LeftHand
		}
		turn, err := simulation.Run(t.Context(), d, d.PlayerFor(d.Written(), hand), s)
		if err != nil {
			t.Fatal(d.Name, err)
		}
		metres, err := simulation.MetresOf(t.Context(), d, d.PlayerFor(d.Written(), student.RightHand), s)
		fmt.Fprintf(
			&b,
			"%s, %s: %s Runs %v. %.1f m %v; answer after %.2f s, stroke after %.2f s\n",
			d.Name,
			hand,
			turn.Verdict,
			turn.Runs,
			metres,
			err,
			answering(d, turn.Timeline),
			simulation.StrokeGap(d, turn.Timeline),
		)
		for k, f := range turn.Fastest {
			fmt.Fprint(&b, "  ", k, golden.Line(t, f, 2))
		}
		fmt.Fprintln(&b)
		for k, task := range turn.Tasks {
			if (k+i)%4 == 0 {
				fmt.Fprintln(&b, "  ", golden.Line(t, task, 2))
			}
		}
	}
	golden.Same(t, "turns.txt", b.String())
}
