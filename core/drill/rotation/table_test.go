package rotation_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/drill/rotation"
	"hodometer/core/sport/sports"
	"hodometer/internal/golden"
)

// TestTheTablesOfAllForms: who is where in two rounds of every way to rotate, for two to seven people, on how many
// courts, timed and counted, and where they stand; and lines of all lengths.
func TestTheTablesOfAllForms(t *testing.T) {
	t.Parallel()
	tennis, err := sports.Court("tennis")
	if err != nil {
		t.Fatal(err)
	}
	var b strings.Builder
	sides := []rotation.Spot{
		{
			Name: "left",
			Side: "near",
		},
		{Name: "right", Side: "near"},
		{Name: "net", Side: "far"},
		{Name: "feeder", Feeds: true},
	}
	for _, f := range []rotation.Form{
		{Kind: rotation.Roles, Spots: sides[2:], Every: 2},
		{Kind: rotation.Roles, Spots: sides[:3], Every: 1.5, Courts: 2, Queues: true},
		{Kind: rotation.Spots, Spots: sides, Every: 2, Begins: rotation.TakeTurns},
		{Kind: rotation.Spots, Spots: sides[:2], Count: 4, Of: rotation.Points, Courts: 1, Queues: true},
		{Kind: rotation.Spots, Spots: sides[:3], Every: 1, Mix: true, Courts: 2},
		{Kind: rotation.Stations, Spots: sides[1:], Every: 4},
		{Kind: rotation.Pairs, Every: 3, Courts: 2},
		{Kind: rotation.Pairs, Count: 12, Of: rotation.Balls, Begins: rotation.SameSide},
		{Kind: rotation.TwoToOne, Every: 2},
		{Kind: rotation.TwoToOne, Every: 1, Courts: 1, Begins: rotation.Winners},
	} {
		fmt.Fprintln(&b, golden.Line(t, f, 2))
		for _, people := range []int{2, 3, 5, 7} {
			table := f.Table(people, 700, 2.5)
			fmt.Fprintf(&b, "  %d: cycle of %d, %.1f s, even %v. %s\n", people, table.Cycle, table.Seconds, table.Even,
				table.Sentence)
			for i, r := range table.Rounds {
				if i == 1 || i == len(table.Rounds)-1 {
					fmt.Fprintln(&b, "    ", golden.Line(t, r, 1))
				}
			}
			fmt.Fprintln(&b, "    ", golden.Line(t, table.People, 1))
			fmt.Fprintln(&b, "    ", golden.Line(t, f.Places(table.Rounds[0], tennis), 2))
		}
	}
	for people := 1; people <= 9; people++ {
		for lines := range 4 {
			l := rotation.Line{People: people, Lines: lines, Turn: 12, Between: float64(4*lines - 4)}
			fmt.Fprintf(&b, "%d in %d: longest %d, waits %.2f s, rest %.3f, largest %d, split %d\n", people, lines, l.Longest(),
				l.Waiting(), l.Rest(), l.Largest(40), l.Split(25))
		}
	}
	golden.Same(t, "tables.txt", b.String())
}
