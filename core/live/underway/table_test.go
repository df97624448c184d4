package underway_test

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"pgregory.net/rapid"

	"hodometer/core/basics/invalid"
	"hodometer/core/count/score"
	"hodometer/core/count/tally"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
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
	// What several count on one count, or against one another.
	for i, each := range drill.Who("").Enum() {
		stored, who := library.All()[3*i], each.(drill.Who)
		stored.Document.Measures[0].Who = who
		if who == drill.TwoSides {
			stored.Document.Measures[0].What = score.Point
			stored.Document.Measures[0].Goals = score.Course{{Kind: score.FirstTo, Count: 7}}
		}
		k := kitOf(3+i%4, stored)
		for n, student := range k.Document.Students {
			for seq, kind := range []tally.Kind{tally.Made, tally.Missed, tally.Made} {
				outcome, err := k.Do(
					t.Context(),
					underway.Act{ID: idOf(20+n, seq), At: after(float64(1300 + 9*n + seq)), Tap: &underway.Tap{
						Run: idOf(40, n), Block: idOf(2, 3), Student: student, Measure: stored.Document.Main().Number,
						Entry: tally.Entry{Seq: seq, Kind: kind, At: after(float64(1300 + 9*n + seq))},
					}},
				)
				fmt.Fprintln(&b, stored.Document.Name, who, n, kind, err)
				for _, taken := range outcome.Taken {
					fmt.Fprintln(&b, "  ", taken.Student, golden.Line(t, taken.Runs, 1))
				}
			}
		}
		for _, c := range view(t, k, after(1400)).Counters {
			fmt.Fprintln(&b, "  ", golden.Line(t, c, 2))
		}
	}
	golden.Same(t, "lessons.txt", b.String())
}
