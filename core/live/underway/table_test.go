package underway_test

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"pgregory.net/rapid"

	"hodometer/core/basics/invalid"
	"hodometer/core/live/underway"
	"hodometer/internal/golden"
)

// TestWhatIsSeenOfManyLessons: lessons as they are counted, held, changed and gone on with by two devices: what each
// act says, the counters, the clock and how late they end.
func TestWhatIsSeenOfManyLessons(t *testing.T) {
	t.Parallel()
	type story struct {
		kit  underway.Kit
		acts []underway.Act
	}
	stories := rapid.Custom(func(t *rapid.T) story {
		k := drawKit(t)
		return story{k, append(drawActs(t, k, 0, 24), drawActs(t, k, 1, 10)...)}
	})
	var b strings.Builder
	for seed := range 14 {
		s := stories.Example(seed)
		k := s.kit
		fmt.Fprintf(&b, "%d people, %d blocks\n", len(k.People), len(k.Document.Blocks))
		for i, act := range s.acts {
			outcome, err := k.Do(t.Context(), act)
			if err != nil {
				fmt.Fprintf(&b, "   %d: %s\n", i, invalid.Sentence(err))
				continue
			}
			fmt.Fprintf(&b, "   %d: %d taken, %v\n", i, len(outcome.Taken), outcome.Sentences)
			if i%5 > 0 && i < len(s.acts)-1 {
				continue
			}
			now := act.At.Add(7 * time.Second)
			v := view(t, k, now)
			fmt.Fprintf(&b, "      at %.1f, late %.0f, %s\n", v.Second, v.Late, golden.Line(t, v.Clock, 1))
			for n, c := range v.Counters {
				if (n+i)%3 == 0 {
					fmt.Fprintln(&b, "     ", golden.Line(t, c, 2))
				}
			}
			fmt.Fprintln(&b, "     ", golden.Line(t, underway.On(k.ID, k.Document, k.Clock, k.Finished, now), 1))
		}
	}
	golden.Same(t, "lessons.txt", b.String())
}
