package progress_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/people/ladder"
	"hodometer/core/people/progress"
	"hodometer/internal/golden"
	"hodometer/internal/sample"
)

// TestTheAdviceAtEveryCount: what is advised on every rung, for much and little that was made.
func TestTheAdviceAtEveryCount(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	for _, rung := range ladder.Qualities() {
		fmt.Fprintln(&b, rung, rung.Plain())
		for _, made := range []int{0, 6, 10, 13, 16, 20, 24} {
			for _, engagement := range []int{0, 5} {
				k := sample.Standing(rung, made, 24-made)
				k.Beside.Engagement = engagement
				fmt.Fprintln(&b, "  ", made, engagement, golden.Line(t, progress.Advise(k), 3))
			}
		}
		k := sample.Standing(rung, 0, 0)
		fmt.Fprintln(&b, "  ", golden.Line(t, progress.Advise(k).Resting("the shoulder"), 3))
	}
	golden.Same(t, "rungs.txt", b.String())
}
