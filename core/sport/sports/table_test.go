package sports_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
	"hodometer/internal/golden"
)

// TestWhatEverySportIs: courts with their balls, worlds and boxes, paces, spins, and how strokes are struck.
func TestWhatEverySportIs(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	paces := []sports.Pace{sports.Gentle, sports.HalfPace, sports.RallyPace, sports.GamePace}
	for _, of := range sports.All() {
		fmt.Fprintln(&b, strings.ReplaceAll(golden.Line(t, of, 4), "},{", "},\n{"))
		fmt.Fprintf(
			&b,
			"%s: bounces %v, ladders %v, words %s\n",
			of.Name,
			of.Bounces(),
			of.Ladders(),
			golden.Line(t, of.WarmUp, 2),
		)
		mean, sd := of.Tempo.Rally()
		fmt.Fprintf(
			&b,
			"   rally %.3f s, sd %.3f, in 10 min %d, in 0 min %d, in 0.01 min %d\n",
			mean,
			sd,
			of.Tempo.Rallies(10),
			of.Tempo.Rallies(0),
			of.Tempo.Rallies(0.01),
		)
		for _, played := range of.Courts {
			c := played.Court
			fmt.Fprintf(&b, "   %s: %.3f × %.3f m, ball %s", c.ID, c.Width, c.Length,
				golden.Line(t, sports.BallOn(c, false), 4))
			if green := sports.BallOn(c, true); green != sports.BallOn(c, false) {
				fmt.Fprintf(&b, ", green %s", golden.Line(t, green, 4))
			}
			for _, x := range []float64{-0.5, 0, 0.5} {
				box, ok := sports.ServedTo(c, court.Point{X: x, Y: -c.Length / 2})
				fmt.Fprintf(&b, ", from %.1f to %s %v", x, box, ok)
			}
			for _, surface := range append([]string{""}, c.Surfaces...) {
				fmt.Fprintf(&b, ", %q is %s", surface, golden.Line(t, sports.World(c, surface).Surface, 3))
			}
			fmt.Fprint(&b, "\n     ")
			for _, pace := range paces {
				fmt.Fprintf(&b, " %s %.3f m/s %.3f m over;", pace, pace.Speed(c), pace.Over(c.Sport))
			}
			fmt.Fprintln(&b)
		}
		for i, stroke := range of.Strokes {
			fmt.Fprintf(
				&b,
				"   %s: other wing %s, backhand %v, volleyed %v, overhead %v;",
				stroke,
				stroke.OtherWing(),
				stroke.OnBackhand(),
				stroke.Volleyed(),
				of.Overhead(stroke),
			)
			for k, pace := range paces {
				by, v, ok := sports.By(
					of.Courts[0].Court,
					stroke,
					pace,
					0.4+0.2*float64((i+k)%4),
					of.Courts[0].Court.Length/float64(3+2*k),
				)
				fmt.Fprintf(&b, " %s %.3f %v;", by, v, ok)
			}
			fmt.Fprintln(&b)
		}
		for _, spin := range of.Spins {
			top, side := spin.RPM(of.Name)
			fmt.Fprintf(&b, "   %s %.1f %.1f, mirrored %s\n", spin, top, side, spin.Mirrored())
		}
	}
	for _, tempo := range []sports.Tempo{
		{}, {Strokes: 1, Stroke: 0.2}, {Strokes: 60, Stroke: 6, Between: 120}, {Strokes: 61, Stroke: 6.1, Between: 121},
		{Strokes: 0.9, Stroke: 0.1, Between: -1},
	} {
		fmt.Fprintln(&b, golden.Line(t, tempo, 2), tempo.Check())
	}
	fmt.Fprintln(&b, len(sports.Courts()), "courts,", len(sports.Regions()), "schemes")
	golden.Same(t, "sports.txt", b.String())
}
