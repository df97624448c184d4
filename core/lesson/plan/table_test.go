package plan_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/drill/playerfit"
	"hodometer/core/lesson/plan"
	"hodometer/core/people/student"
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
		for k, id := range d.Students[:min(len(d.Students), 1+i%2)] {
			evidence := make([]playerfit.Evidence, 8)
			for n := range evidence {
				evidence[n] = playerfit.Evidence{Level: student.Level("").Enum()[(i+k)%7].(student.Level),
					Skill: sample.Counted(10+5*(k%3), 20-5*(i%3))}
			}
			v, err := plan.Propose(t.Context(), d, "3", id, evidence, in)
			fmt.Fprintln(&b, "  ", golden.Line(t, v, 2), err)
		}
	}
	golden.Same(t, "plans.txt", b.String())
}
