package plan_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/drill/playerfit"
	"hodometer/core/lesson/plan"
	"hodometer/internal/golden"
	"hodometer/internal/sample"
)

// TestThePlansOfManyLessons: figures, cautions and what there is to think about, with its remedies.
func TestThePlansOfManyLessons(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	for i := range 16 {
		d, in := sample.Mixed(i)
		p := sample.Planned(t, d, in)
		fmt.Fprintln(&b, i, golden.Line(t, p.Metrics, 2))
		fmt.Fprintln(&b, "  ", strings.Join(p.Cautions, " "))
		for _, f := range p.Findings {
			fmt.Fprintln(&b, "  ", golden.Line(t, f, 2))
		}
		if len(d.Students) > 0 && len(p.Blocks) > 2 {
			v, err := plan.Propose(t.Context(), d, "3", d.Students[0], make([]playerfit.Evidence, 8), in)
			fmt.Fprintln(&b, "  ", golden.Line(t, v, 2), err)
		}
	}
	golden.Same(t, "plans.txt", b.String())
}
