package odds

import (
	"fmt"
	"math"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/sport/court"
	"hodometer/internal/golden"
)

// TestAreasAndScatters: what lands in rectangles, circles and polygons, cut by a rectangle or not, by distributions
// that are narrow, wide, far off and askew; the same by sums over a fine grid; and what landings and zones make of a
// scatter.
func TestAreasAndScatters(t *testing.T) {
	t.Parallel()
	normals := []Normal{
		{SX: 0.5, SY: 0.9}, {X: 0.4, Y: -0.7, SX: 1.6, SY: 0.4, Rho: 0.6}, {X: -1, Y: 0.5, SX: 0.3, SY: 2.5, Rho: -0.8},
		{X: 3, Y: 3, SX: 0.6, SY: 0.6}, {SX: 4, SY: 5, Rho: 0.2}, {SX: 0.05, SY: 0.06, X: 0.2},
	}
	whole := rect{-9, 9, -9, 9}
	cut := rect{-0.8, 1.1, -0.6, 0.7}
	star := []court.Point{
		{X: -1.5, Y: -1},
		{X: 0, Y: 0.2},
		{X: 1.5, Y: -1},
		{X: 1, Y: 1.4},
		{X: 0.1, Y: 0.9},
		{X: -1.2, Y: 1.3},
	}
	inside := func(p court.Point) (in bool) {
		for i, a := range star {
			b := star[(i+1)%len(star)]
			if (a.Y > p.Y) != (b.Y > p.Y) && p.X < a.X+(b.X-a.X)*(p.Y-a.Y)/(b.Y-a.Y) {
				in = !in
			}
		}
		return in
	}
	within := func(r rect, p court.Point) bool {
		return p.X >= r.left && p.X <= r.right && p.Y >= r.bottom && p.Y <= r.top
	}
	round := court.Point{X: 0.3, Y: 0.1}
	areas := []struct {
		name string
		area area
		has  func(p court.Point) bool
	}{
		{"box", cut.area(), func(p court.Point) bool { return within(cut, p) }},
		{"circle", disc(round, 1.2, whole), func(p court.Point) bool { return p.Distance(round) <= 1.2 }},
		{
			"circle, cut",
			disc(round, 1.2, cut),
			func(p court.Point) bool { return p.Distance(round) <= 1.2 && within(cut, p) },
		},
		{"star", outline(star, whole), inside},
		{"star, cut", outline(star, cut), func(p court.Point) bool { return inside(p) && within(cut, p) }},
	}
	var b strings.Builder
	for _, n := range normals {
		for _, a := range areas {
			chance := n.in(a.area)
			fmt.Fprintf(&b, "%s of %+v: %.5f\n", a.name, n, chance)
			// By a grid of 60 by 60 places of equal chance the chance is right to a hundredth or two.
			hits, side := 0, 60
			for i := range side {
				for k := range side {
					u, v := quantile((float64(i)+0.5)/float64(side)), quantile((float64(k)+0.5)/float64(side))
					p := court.Point{X: n.X + n.SX*u, Y: n.Y + n.SY*(n.Rho*u+math.Sqrt(1-n.Rho*n.Rho)*v)}
					if a.has(p) {
						hits++
					}
				}
			}
			require.InDelta(t, float64(hits)/float64(side*side), chance, 0.02, "%s of %+v", a.name, n)
		}
	}
	offsets := []court.Point{
		{X: 0.4, Y: 0.9},
		{X: -0.2, Y: -0.5},
		{X: 0.7, Y: 0.3},
		{X: 0.1, Y: -1.2},
		{X: 0.3, Y: 0.2},
		{X: 6, Y: -7},
	}
	zones := []Zone{
		{-1, 0, -1, 0, 3},
		{0, 1, -1, 0, 2},
		{0, 1, 0, 1, 7},
		{-1, 0, 0, 1, 0},
		{1, 2, 1, 3, 1},
		{30, 31, 40, 41, 1},
	}
	for i, n := range normals[:4] {
		s := Scatter{Normal: n, Logged: i}
		for many := range offsets {
			fmt.Fprintln(&b, golden.Line(t, s.Learn(offsets[:many+1], 0.1*float64(i)), 4))
		}
		for many := range zones {
			fmt.Fprintln(&b, golden.Line(t, s.LearnZones(zones[:many+1]), 4))
		}
		require.Equal(t, s, s.Learn(nil, 0.1))
		require.Equal(t, s, s.LearnZones(zones[3:4]), "nobody landed there")
	}
	golden.Same(t, "areas.txt", b.String())
}

// quantile is the value below which a standard normal variable lies with a chance, by halving.
func quantile(chance float64) float64 {
	low, high := -9.0, 9.0
	for range 60 {
		if middle := (low + high) / 2; below(middle) < chance {
			low = middle
		} else {
			high = middle
		}
	}
	return low
}

// By hand: at and around where the words change.
func TestHowOftenInWords(t *testing.T) {
	t.Parallel()
	for chance, want := range map[float64]string{
		1: "nearly always", 0.995: "nearly always", 0.9949: "99 times in 100", 0.906: "91 times in 100",
		0.905: "9 times in 10",
		0.5:   "5 times in 10", 0.15: "2 times in 10", 0.1499: "once in 10", 0.095: "once in 10", 0.0949: "9 times in 100",
		0.015: "2 times in 100", 0.0149: "once in 100", 0.005: "once in 100", 0.0049: "hardly ever", 0: "hardly ever",
	} {
		require.Equal(t, want, Times(chance), chance)
	}
	require.Equal(t, "2.9", minutes(175))
	require.Equal(t, "3", minutes(180))
	require.Equal(t, "4.5 of 10", ofTen(0.45))
}
