package skill

import (
	"context"
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/require"
	"gonum.org/v1/gonum/mat"
)

// some is a made-up history of so many strokes, days and drills.
func some(random *rand.Rand, strokes, days, drills, each int) (list []Count) {
	names := []string{"forehand", "backhand", "serve", "lob", "smash"}
	day := 0
	for range days {
		day += 1 + random.IntN(12)
		for range each {
			stroke := random.IntN(strokes)
			tried := 1 + random.IntN(20)
			balls := make([]float64, 1+random.IntN(3))
			for i := range balls {
				balls[i] = random.NormFloat64()
			}
			list = append(list, Count{
				Day: day, Stroke: names[stroke], Drill: string(rune('a' + (stroke+3*random.IntN(drills))%20)),
				Points: random.IntN(4) == 0, Attempt: Attempt{Balls: balls, All: random.IntN(5) == 0},
				Made: random.IntN(tried + 1), Tried: tried,
			})
		}
	}
	return list
}

// unknowns are all that is fitted, in one list.
func (f *fit) unknowns() (list []*float64) {
	for i := range f.mean {
		if i >= len(f.chains) {
			list = append(list, &f.mean[i])
		}
	}
	for _, c := range f.chains {
		for day := range c.days {
			list = append(list, &c.skill[day], &c.day[day])
		}
	}
	return list
}

// At the top nothing rises any more, whatever is moved by a little: strokes, days, drills, points.
func TestTheFitIsTheMostLikely(t *testing.T) {
	t.Parallel()
	random := rand.New(rand.NewPCG(5, 6)) //nolint:gosec // to choose by
	for range 20 {
		f := newFit(inOrder(some(random, 1+random.IntN(4), 1+random.IntN(6), 5, 3)))
		for range 5 { // on to the very top
			_, err := f.climb(t.Context())
			require.NoError(t, err)
		}
		for _, x := range f.unknowns() {
			const little = 1e-4
			at := *x
			*x = at + little
			up := f.likelihood()
			*x = at - little
			down := f.likelihood()
			*x = at
			require.InDelta(t, 0, (up-down)/(2*little), 1e-3)
		}
	}
}

// How sure it is is what the curvature of the likelihood at its top says, inverted as a whole: here of single balls, of
// which the information is that curvature.
func TestHowSureIsTheCurvature(t *testing.T) {
	t.Parallel()
	random := rand.New(rand.NewPCG(7, 8)) //nolint:gosec // to choose by
	for range 5 {
		counts := some(random, 2, 3, 3, 3)
		for i := range counts {
			counts[i].Attempt = Attempt{Balls: counts[i].Attempt.Balls[:1]}
		}
		f := newFit(inOrder(counts))
		var equations solved
		for range 5 {
			var err error
			equations, err = f.climb(t.Context())
			require.NoError(t, err)
		}
		list := f.unknowns()
		curved := mat.NewDense(len(list), len(list), nil)
		const little = 1e-3
		at := func(i, k int, a, b float64) float64 {
			x, y := *list[i], *list[k]
			*list[i] += a * little
			*list[k] += b * little
			value := f.likelihood()
			*list[i], *list[k] = x, y
			return value
		}
		for i := range list {
			for k := range list {
				second := at(i, k, 1, 1) - at(i, k, 1, -1) - at(i, k, -1, 1) + at(i, k, -1, -1)
				curved.Set(i, k, -second/(4*little*little))
			}
		}
		var inverse mat.Dense
		require.NoError(t, inverse.Inverse(curved))
		s := f.skill(equations)
		row := f.layout.all - len(f.chains) // the days of the first stroke begin there, two unknowns each
		for _, c := range f.chains {
			for day, past := range s.Past(c.stroke) {
				require.InDelta(t, math.Sqrt(inverse.At(row, row)), past.SD, 1e-4, "%s, day %d of %d", c.stroke, day+1, len(c.days))
				row += 2
			}
		}
		for drill, i := range f.layout.drills {
			k := i - len(f.chains)
			require.InDelta(t, inverse.At(k, k), s.spread.At(i, i), 1e-4, drill)
		}
	}
}

// A fit that begins where one of fewer counts ended ends where one from nothing does.
func TestAFitGoesOnFromTheLast(t *testing.T) {
	t.Parallel()
	random := rand.New(rand.NewPCG(9, 10)) //nolint:gosec // to choose by
	counts := some(random, 3, 30, 6, 4)
	before, err := Fit(context.Background(), counts[:len(counts)-3], nil)
	require.NoError(t, err)
	on, err := Fit(context.Background(), counts, before)
	require.NoError(t, err)
	anew, err := Fit(context.Background(), counts, nil)
	require.NoError(t, err)
	for _, stroke := range []string{"forehand", "backhand", "serve", "lob"} {
		a, b := on.At(stroke, "a", 1000, false), anew.At(stroke, "a", 1000, false)
		require.InDelta(t, a.Mean, b.Mean, 2e-3)
		require.InDelta(t, a.SD, b.SD, 1e-3)
	}
}
