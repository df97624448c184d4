package library_test

import (
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/people/student"
	"hodometer/core/sport/sports"
	"hodometer/internal/golden"
)

// TestWhereEverythingStands: where players, balls and targets of every ready drill and game are on their court, what is
// asked for, and the least drill of each court.
func TestWhereEverythingStands(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	for _, stored := range library.All() {
		d := stored.Document
		c, err := sports.Court(d.Court)
		require.NoError(t, err)
		fmt.Fprintf(&b, "%s, %s, %d turns\n", d.Name, c.ID, d.Turns)
		for _, m := range d.Marks() {
			at, err := c.Resolve(*m.Mark)
			require.NoError(t, err, m.Handle)
			fmt.Fprintf(&b, "  %s %.2f/%.2f\n", m.Label, at.X, at.Y)
		}
		for _, m := range d.Measures {
			shape, ok := d.Aimed(m)
			fmt.Fprintf(&b, "  %d %s: %s; %v %.2f/%.2f %.3f\n", m.Number, m.What, m.Goal(), ok, shape.Centre.X, shape.Centre.Y,
				shape.Area)
		}
	}
	for _, stored := range library.Games() {
		d := stored.Document
		c, err := sports.Court(d.Court)
		require.NoError(t, err)
		fmt.Fprintf(&b, "%s, %s:", d.Name, c.ID)
		for _, spot := range d.Rules.Spots {
			at, err := c.Resolve(spot.Mark)
			require.NoError(t, err)
			fmt.Fprintf(&b, " %s %.2f/%.2f", spot.Side, at.X, at.Y)
		}
		fmt.Fprintln(&b)
	}
	for _, c := range sports.Courts() {
		d, err := library.Bare(c.ID, student.Club, 0.3, 0.3, 0.2)
		require.NoError(t, err)
		fmt.Fprintln(&b, c.ID, golden.Line(t, d.Places, 3), golden.Line(t, d.Pattern, 3))
	}
	golden.Same(t, "places.txt", b.String())
}
