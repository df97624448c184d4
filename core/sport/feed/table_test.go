package feed_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/drill/library"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
	"hodometer/internal/golden"
)

// TestThePatternsOfTheLibrary: how long every pattern takes and how it goes, ball by ball, and what each transformation
// makes of it.
func TestThePatternsOfTheLibrary(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	kinds := feed.TransformationKind("").Enum()
	for i, stored := range library.All() {
		d := stored.Document
		p := d.Pattern
		if i%2 == 1 {
			p = p.Mirrored()
		}
		fmt.Fprintf(
			&b,
			"%s: %d balls, %d strokes, %d roles, one ball %v, varies %v, known %v; sequence %.2f s, turn %.2f s, "+
				"every %.2f s, rate %.3f, block %.3f, usual %.2f; four people, three turns %.1f s\n",
			d.Name,
			p.BallsPerTurn(),
			p.StrokesPerTurn(),
			p.Roles(),
			p.OneBall(),
			p.Varies(),
			p.Known(),
			p.SequenceSeconds(),
			p.TurnSeconds(),
			p.Every(),
			p.Rate(),
			p.BlockRate(),
			p.UsualSequences(),
			p.FeedingSeconds(4, 3),
		)
		releases, err := p.PlanTurn(t.Context(), i%3)
		for k, r := range releases {
			if k < 4 {
				fmt.Fprintln(&b, "  ", golden.Line(t, r, 2))
			}
		}
		fmt.Fprintln(&b, "  ", len(releases), err, golden.Line(t, p.Listed(), 2), feed.Seconds(p.Listed()))
		for k, task := range p.Tasks {
			if k < 3 {
				fmt.Fprintf(
					&b,
					"   %v %s %.2f %s %v\n",
					p.Fed(task),
					p.MethodOf(task),
					p.GapOf(task),
					p.PaceOf(task),
					p.Answered(k),
				)
			}
		}
		c, err := sports.Court(d.Court)
		if err != nil {
			t.Fatal(err)
		}
		for k := range 3 {
			step := feed.Transformation{Kind: kinds[(i+5*k)%len(kinds)].(feed.TransformationKind), Task: i % 4, Seed: uint64(i),
				By: 0.5 * float64(k), Text: "no backswing"}
			changed, said, err := step.Apply(p, c)
			fmt.Fprintln(&b, "  ", step.Kind, step.Where(i%4, len(p.Tasks)), said, err, step.Constraint())
			if err == nil && k == i%3 {
				fmt.Fprintln(&b, "    ", golden.Line(t, changed, 2))
			}
		}
	}
	golden.Same(t, "patterns.txt", b.String())
}
