package progress_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/people/ladder"
	"hodometer/core/people/progress"
	"hodometer/internal/golden"
)

// TestTheTestOfARungAtEveryCount: what two sequential tests say of up to forty makes and misses, and what is advised on
// every rung.
func TestTheTestOfARungAtEveryCount(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	for _, s := range []progress.Sequential{
		{Low: 0.6, High: 0.8, Alpha: 0.05, Beta: 0.05}, {Low: 0.4, High: 0.6, Alpha: 0.05, Beta: 0.1},
	} {
		low, high := s.Bounds()
		fmt.Fprintf(&b, "%+v: %.4f to %.4f\n", s, low, high)
		for made := 0; made <= 40; made += 4 {
			for missed := 0; missed <= 16; missed += 4 {
				fmt.Fprintf(&b, "%d/%d: %v %d; ", made, missed, s.Decide(made, missed), s.MakesToGo(made, missed))
			}
			fmt.Fprintln(&b)
		}
	}
	for i, rung := range ladder.Qualities() {
		fmt.Fprintln(&b, rung, rung.Plain())
		for engagement := 1; engagement <= 5; engagement++ {
			for _, made := range []int{0, 6, 13, 24} {
				e := progress.Evidence{Rung: rung, Made: made, Missed: 24 + i - made}
				fmt.Fprintln(
					&b,
					"  ",
					made,
					engagement,
					golden.Line(t, progress.Advise(rung, []progress.Evidence{e}, engagement), 3),
				)
			}
		}
		fmt.Fprintln(&b, "  ", golden.Line(t, progress.Advise(rung, nil, 3).Resting("the shoulder"), 3))
	}
	golden.Same(t, "rungs.txt", b.String())
}
