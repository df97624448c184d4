package court_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/basics/units"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
	"hodometer/internal/golden"
)

// TestEveryCourtInWords: places all over every court, measured from its lines and read back, on another court, within
// its boxes and zones, and targets of every shape there.
func TestEveryCourtInWords(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	courts := sports.Courts()
	tapes := []court.Tape{{System: units.Metres}, {System: units.Feet}, {System: units.Metres, Step: 0.8}}
	for i, c := range courts {
		other := courts[(i+1)%len(courts)]
		fmt.Fprintln(&b, c.ID, golden.Line(t, c.Corner(), 3), c.HasNet(), c.AtTable(), c.HasFrontWall(), c.PlaysWalls(),
			golden.Line(t, []any{c.Zones(court.Singles, true), c.Zones(court.Doubles, false)}, 2))
		fmt.Fprintf(&b, "  in play %.3f %.3f, deep %.3f\n", c.InPlay(court.Singles), c.InPlay(court.Doubles), c.AtDepth(0.75))
		for k, share := range [][2]float64{
			{-0.4, -0.45}, {0.1, -0.2}, {0.45, 0.1}, {-0.2, 0.35}, {0, 0.5}, {0.7, 0.6}, {0.3, -0.05},
		} {
			p := court.Point{X: share[0] * c.Width, Y: share[1] * c.Length}
			tape := tapes[(i+k)%len(tapes)]
			mark := c.Nearby(p)
			at, err := c.Resolve(mark)
			line, margin := c.Margin(p, court.Singles)
			fmt.Fprintf(&b, "  %.2f/%.2f: %s, %s %v %v; in %v, on map %v, %s %.3f, %s\n", p.X, p.Y, c.Describe(mark, tape),
				golden.Line(t, at, 3), err, c.Kept(p, 0.5), c.Inside(p, court.Singles), c.OnMap(p), line.ID, margin, c.Third(p))
			fmt.Fprintln(&b, "   ", golden.Line(t, c.Preview(mark, other, tape), 3))
			fmt.Fprintln(
				&b,
				"   ",
				golden.Line(t, []any{c.Parts(mark, tape.System), c.Rounded(mark, 0.5, k%2 == 0, k%3 == 0)}, 3),
			)
			beside, behind := c.Nearby(court.Point{X: p.X + 1, Y: p.Y}), c.Nearby(court.Point{X: p.X, Y: p.Y + 1})
			for n, target := range []court.Target{
				court.Ring(0.8, mark), {Kind: court.BoxTarget, Width: 1.5, Depth: 2, Mark: &mark},
				{Kind: court.Gate, Mark: &mark, Other: &beside}, {Kind: court.Object, Radius: 0.2, Mark: &mark},
				{Kind: court.Polygon, Points: []court.Mark{mark, beside, behind}},
				{Kind: court.Window, Mark: &mark, Width: 1.2, Low: 0.3, High: 1}, {Kind: court.WallBand, Width: 2, Low: 1, High: 2},
			} {
				if n > 0 {
					target = target.Mirrored()
				}
				shape, err := c.Shape(target, court.Singles)
				if err != nil {
					fmt.Fprintln(&b, "    ", err)
					continue
				}
				fmt.Fprintln(
					&b,
					"    ",
					c.DescribeTarget(target, tape),
					golden.Line(t, shape, 3),
					c.MarginName(
						shape,
					),
					golden.Line(t, c.AimPoint(shape), 3),
					shape.Holds(p),
					shape.Holds(court.Point{X: p.X + 0.9, Y: p.Y}),
				)
				bigger, ok := target.Scaled(1.5)
				fmt.Fprintln(&b, "    ", c.DescribeTarget(bigger, tape), ok)
			}
		}
		for _, line := range c.Lines[:min(4, len(c.Lines))] {
			strip := court.StripAlong(line.ID, 0.6)
			shape, err := c.Shape(strip, court.Doubles)
			fmt.Fprintln(&b, "  ", line.ID, golden.Line(t, shape, 3), err)
		}
	}
	golden.Same(t, "courts.txt", b.String())
}
