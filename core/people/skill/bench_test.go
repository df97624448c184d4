package skill_test

import (
	"cmp"
	"fmt"
	"math/rand/v2"
	"slices"
	"testing"

	"hodometer/core/people/skill"
)

// years is what 20 years of a player are: 1 000 days, 4 000 attempts at 40 drills of five strokes.
func years() (list []skill.Count) {
	random := rand.New(rand.NewPCG(1, 2)) //nolint:gosec // to choose by
	for day := range 1000 {
		for range 4 {
			drill := random.IntN(40)
			made := 0
			for range 12 {
				if random.Float64() < 0.6 {
					made++
				}
			}
			list = append(list, skill.Count{
				Day: 7 * day, Stroke: fmt.Sprint("stroke ", drill%5), Drill: fmt.Sprint("drill ", drill),
				Points: drill%7 == 0, Attempt: skill.Of(0.3 + 0.01*float64(drill)), Made: made, Tried: 12,
			})
		}
	}
	return list
}

func BenchmarkTwentyYears(b *testing.B) {
	counts := years()
	for b.Loop() {
		if _, err := skill.Fit(b.Context(), counts, nil); err != nil {
			b.Fatal(err)
		}
	}
}

func BenchmarkOneMoreAttempt(b *testing.B) {
	counts := years()
	// As they are kept: by stroke.
	slices.SortStableFunc(counts, func(a, b skill.Count) int { return cmp.Compare(a.Stroke, b.Stroke) })
	before, err := skill.Fit(b.Context(), counts[:len(counts)-1], nil)
	if err != nil {
		b.Fatal(err)
	}
	for b.Loop() {
		if _, err := skill.Fit(b.Context(), counts, before); err != nil {
			b.Fatal(err)
		}
	}
}
