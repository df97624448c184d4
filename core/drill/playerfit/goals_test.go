package playerfit_test

import (
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/drill"
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
						playerfit.Ask(d, m, g, playerfit.Evidence{}.Rates(m, known.Tried[i]), known.Stroke, 2, coach.Default()),
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

// Every goal of the library suits the level that its drill is written for: one player meets it 2 to 9 times in 10 in
// the turns of the drill. Not asked are those that say that they are work for several lessons, measures that follow
// one another, which share their time, and the strip of which the trade wants 25 together (common practice, no
// source).
func TestGoalsOfTheLibrarySuitTheirLevel(t *testing.T) {
	t.Parallel()
	asked := 0
	for _, stored := range library.All() {
		d := stored.Document
		if d.Order.Follow() || d.Name == "Last Stretch" || strings.Contains(d.Summary, "several lessons") ||
			strings.Contains(d.Summary, "one lesson") {
			continue
		}
		known, err := playerfit.Know(
			t.Context(),
			d,
			d.PlayerFor(d.Written(), student.RightHand),
			d.Written(),
			coach.Default(),
		)
		require.NoError(t, err)
		for i, m := range d.Measures {
			if m.What == score.Time {
				continue
			}
			q := playerfit.Ask(d, m, m.Goals[0], known.Tried[i].Typical(), known.Stroke, 1, coach.Default())
			answer, err := playerfit.Planned(q, d, m, float64(d.Turns), d.Pattern.FeedingSeconds(1, d.Turns)).Answer(t.Context())
			require.NoError(t, err)
			require.NotNil(t, answer.Chance, d.Name)
			require.True(t, *answer.Chance >= 0.2 && *answer.Chance <= 0.9, "%s, %s: %.2f", d.Name, m.Goals[0], *answer.Chance)
			asked++
		}
	}
	require.Greater(t, asked, 40)
}

// A rally of a pair is played with one ball: twice the time is twice the strokes, and no pick-up comes in between. By
// hand: a stroke every 1.8 s or so are 33 in a minute and a hundred in three.
func TestTwiceTheTimeIsTwiceTheStrokes(t *testing.T) {
	t.Parallel()
	found := 0
	for _, stored := range library.All() {
		d := stored.Document
		if d.Pattern.Rally == nil {
			continue
		}
		for _, m := range d.Measures {
			if m.What != score.Rally || m.Goals[0].Kind != score.AsManyAsPossible {
				continue
			}
			found++
			strokes := func(minutes float64) float64 {
				c := d.Clone()
				m.Goals = score.Course{m.Goals[0]}
				m.Goals[0].Minutes = minutes
				c.Measures, c.Order = []drill.Measure{m}, ""
				return fitOf(t, c, playerfit.Evidence{Level: d.Written()}).Goal.Mean
			}
			one := strokes(1)
			require.Positive(t, one)
			for _, minutes := range []float64{2, 3, 5, 10} {
				require.InEpsilon(t, minutes*one, strokes(minutes), 0.05, "%s, %v min", d.Name, minutes)
			}
		}
	}
	require.Positive(t, found)
}
