package report_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/drill/library"
	"hodometer/core/drill/report"
	"hodometer/core/people/coach"
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
		if i%3 == 0 {
			on, err := report.OfGame(stored.Document, s)
			fmt.Fprintln(&b, stored.Document.Name, golden.Line(t, on, 2), err)
		}
	}
	golden.Same(t, "reports.txt", b.String())
}
