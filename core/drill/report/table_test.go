package report_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/report"
	"hodometer/core/game"
	"hodometer/core/people/coach"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
	"hodometer/internal/golden"
)

// TestTheReportsOfTheLibrary: places, balls, walks, figures and care of every drill, and the court of every game.
func TestTheReportsOfTheLibrary(t *testing.T) {
	t.Parallel()
	s := coach.Default()
	var b strings.Builder
	for i, stored := range library.All() {
		r, err := report.Of(stored.Document, 1+i%5, s)
		if err != nil {
			t.Fatal(err)
		}
		fmt.Fprintln(&b, stored.Document.Name, golden.Line(t, r.Metrics, 1))
		switch i % 3 {
		case 0:
			fmt.Fprintln(&b, "  ", golden.Line(t, []any{r.Feeds, r.Measures}, 2))
		case 1:
			fmt.Fprintln(&b, "  ", golden.Line(t, []any{r.Walk, r.Sizes, r.NoGo, r.NoGoLines}, 2))
		default:
			fmt.Fprintln(&b, "  ", golden.Line(t, []any{r.Spots, r.Care}, 2))
		}
	}
	for i, stored := range library.Games() {
		on, err := report.OfGame(stored.Document, s)
		if i%3 == 0 || err != nil {
			fmt.Fprintln(&b, stored.Document.Name, golden.Line(t, on, 2), err)
		}
		stored.Document.Rules.Spots[0].Mark.Measures = nil
		awards := &stored.Document.Rules.Awards
		*awards = append(*awards, game.Award{ID: "a", Target: &court.Target{Kind: "none"}})
		_, err = report.OfGame(stored.Document, s)
		fmt.Fprintln(&b, "   spoilt:", err)
	}
	moved := library.All()[0].Document
	c, _ := sports.Court(moved.Court)
	moved.Measures[0].Counts = drill.Counts{By: drill.ByMovement}
	for _, kind := range drill.CriterionKind("").Enum() {
		moved.Measures[0].Counts.Criteria = append(moved.Measures[0].Counts.Criteria,
			drill.Criterion{Kind: kind.(drill.CriterionKind), Line: c.Lines[1].ID, Box: c.Boxes[1].ID})
	}
	r, err := report.Of(moved, 2, s)
	fmt.Fprintln(&b, golden.Line(t, r.Measures, 2), err)
	golden.Same(t, "reports.txt", b.String())
}
