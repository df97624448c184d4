package playerfit_test

import (
	"slices"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
)

// asked are the questions of all goals of the library, for a club player.
func asked(t testing.TB) (list []odds.Question) {
	for _, stored := range library.All() {
		d := stored.Document
		known, err := playerfit.Know(
			t.Context(),
			d,
			d.PlayerFor(student.Club, student.RightHand),
			student.Club,
			coach.Default(),
		)
		require.NoError(t, err)
		for i, m := range d.Measures {
			for _, g := range m.Goals {
				if m.What != score.Time {
					list = append(
						list,
						playerfit.Ask(d, m, g, playerfit.Evidence{}.Rates(known.Priors[i]), known.Stroke, 2, coach.Default()),
					)
				}
			}
		}
	}
	return list
}

// BenchmarkGoalsOfTheLibrary answers every goal of the library, and tells the median of them and the slowest one.
func BenchmarkGoalsOfTheLibrary(b *testing.B) {
	list := asked(b)
	least := slices.Repeat([]time.Duration{time.Hour}, len(list))
	for b.Loop() {
		for i, q := range list {
			began := time.Now()
			if _, err := q.Answer(b.Context()); err != nil {
				b.Fatal(err)
			}
			least[i] = min(least[i], time.Since(began))
		}
	}
	slices.Sort(least)
	b.ReportMetric(float64(least[len(least)/2].Microseconds()), "µs/median")
	b.ReportMetric(float64(least[len(least)-1].Microseconds()), "µs/slowest")
}
