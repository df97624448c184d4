package court_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/sport/court"
)

func TestATargetHoldsWhatLandsInIt(t *testing.T) {
	at := func(x, y float64) court.Point { return court.Point{X: x, Y: y} }
	circle := court.Shape{Centre: at(2, 9), Radius: 1}
	box := court.Shape{Centre: at(0, 10), Corners: []court.Point{at(-2, 9), at(2, 9), at(2, 11), at(-2, 11)}}
	for _, each := range []struct {
		shape court.Shape
		at    court.Point
		in    bool
	}{
		{circle, at(2, 9), true}, {circle, at(3, 9), true}, {circle, at(3.01, 9), false}, {circle, at(2.8, 9.8), false},
		{box, at(0, 10), true}, {box, at(-2, 10), true}, {box, at(2, 11), true}, {box, at(2.01, 10), false},
		{box, at(0, 8.9), false},
		{court.Shape{Corners: []court.Point{at(-1, 5), at(1, 5)}}, at(0, 5), false},
	} {
		require.Equal(t, each.in, each.shape.Holds(each.at), "%v", each)
	}
	// The middle of a polygon with equal sides is in it, what is further off than its corners is not; and a larger one
	// holds all that a smaller one does.
	rapid.Check(t, func(t *rapid.T) {
		n, r := rapid.IntRange(3, 9).Draw(t, "corners"), rapid.Float64Range(0.2, 5).Draw(t, "radius")
		polygon := func(r float64) (s court.Shape) {
			for i := range n {
				angle := 2 * math.Pi * float64(i) / float64(n)
				s.Corners = append(s.Corners, at(r*math.Cos(angle), r*math.Sin(angle)))
			}
			return s
		}
		p := at(rapid.Float64Range(-6, 6).Draw(t, "x"), rapid.Float64Range(-6, 6).Draw(t, "y"))
		require.True(t, polygon(r).Holds(at(0, 0)))
		if polygon(r).Holds(p) {
			require.LessOrEqual(t, math.Hypot(p.X, p.Y), r+1e-6)
			require.True(t, polygon(1.5*r).Holds(p))
		}
	})
}
