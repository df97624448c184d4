package apportion_test

import (
	"context"
	"encoding/json"
	"math"
	"os"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/basics/apportion"
	"hodometer/internal/long"
)

// The reference values are SciPy 1.10's SLSQP; the file's note says of what.
func TestFitAsTheReferenceHasIt(t *testing.T) {
	text, err := os.ReadFile("testdata/fits.json")
	require.NoError(t, err)
	var file struct {
		Cases []struct {
			Total                         float64
			Ideal, Min, Max, Weight, Want []float64
		}
	}
	require.NoError(t, json.Unmarshal(text, &file))
	require.NotEmpty(t, file.Cases)
	for _, c := range file.Cases {
		var parts []apportion.Part
		for i := range c.Ideal {
			parts = append(parts, apportion.Part{Wanted: c.Ideal[i], Min: c.Min[i], Max: c.Max[i], Weight: c.Weight[i]})
		}
		f, ok, err := apportion.Share(t.Context(), c.Total, parts)
		require.NoError(t, err)
		require.True(t, ok)
		for i, want := range c.Want {
			require.InDelta(t, want, f.Minutes[i], 0.01)
		}
	}
}

func anyParts(t *rapid.T, steps []float64) []apportion.Part {
	parts := make([]apportion.Part, rapid.IntRange(1, 5).Draw(t, "parts"))
	for i := range parts {
		wanted := rapid.Float64Range(2, 20).Draw(t, "wanted")
		parts[i] = apportion.Part{
			Wanted: wanted,
			Min:    wanted * rapid.Float64Range(0.2, 1).Draw(t, "least"),
			Max:    wanted * rapid.Float64Range(1, 2).Draw(t, "most"),
			Weight: rapid.Float64Range(0.5, 4).Draw(t, "weight"),
			Step:   rapid.SampledFrom(steps).Draw(t, "step"),
		}
	}
	return parts
}

// cost is what the fit minimises: spare time costs its square where everything comes in steps, and else
// more than anything.
func cost(parts []apportion.Part, minutes []float64, total float64) float64 {
	sum, loose := 0.0, false
	for i, p := range parts {
		sum += p.Weight * (minutes[i] - p.Wanted) * (minutes[i] - p.Wanted) / p.Wanted
		total -= minutes[i]
		loose = loose || p.Step == 0 && p.Max-p.Min > 1e-9
	}
	if loose {
		return sum + 1e4*math.Max(0, total)
	}
	return sum + total*total
}

func TestWholeStepsAreTheBestThereAre(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		parts := anyParts(t, []float64{0, 1, 2, 2.5, 3})
		total := rapid.Float64Range(5, 70).Draw(t, "total")
		f, ok, err := apportion.Share(t.Context(), total, parts)
		require.NoError(t, err)
		// Every choice of whole steps, with the rest fitted by itself.
		best, found := math.Inf(1), false
		var try func(i int, fixed []apportion.Part)
		try = func(i int, fixed []apportion.Part) {
			if i == len(parts) {
				// Fixed lengths are parts without room; nothing has a step any more.
				g, ok, err := apportion.Share(t.Context(), total, fixed)
				require.NoError(t, err)
				if !ok {
					return
				}
				found = true
				best = math.Min(best, cost(parts, g.Minutes, total))
				return
			}
			p := parts[i]
			if p.Step == 0 {
				try(i+1, append(fixed, p))
				return
			}
			for k := math.Ceil(p.Min/p.Step - 1e-9); k*p.Step <= p.Max+1e-9; k++ {
				one := p
				one.Min, one.Max, one.Step = k*p.Step, k*p.Step, 0
				try(i+1, append(fixed[:i:i], one))
			}
		}
		try(0, nil)
		require.Equal(t, found, ok)
		if !ok {
			return
		}
		require.True(t, f.Best)
		require.InEpsilon(t, 1+best, 1+cost(parts, f.Minutes, total), 1e-5)
		sum := f.Spare
		for i, m := range f.Minutes {
			require.GreaterOrEqual(t, m, parts[i].Min-1e-6)
			require.LessOrEqual(t, m, parts[i].Max+1e-6)
			if step := parts[i].Step; step > 0 {
				require.InDelta(t, 0, math.Remainder(m, step), 1e-6)
			}
			sum += m
		}
		require.InDelta(t, total, sum, 1e-5)
	})
}

func TestFitSaysWhatCannotBe(t *testing.T) {
	_, ok, err := apportion.Share(
		t.Context(),
		10,
		[]apportion.Part{{Wanted: 8, Min: 6, Max: 10, Weight: 1}, {Wanted: 8, Min: 6, Max: 10, Weight: 1}},
	)
	require.NoError(t, err)
	require.False(t, ok)
	_, ok, err = apportion.Share(t.Context(), 60, []apportion.Part{{Wanted: 5, Min: 4.5, Max: 5.5, Weight: 1, Step: 4}})
	require.NoError(t, err)
	require.False(t, ok)
	f, ok, err := apportion.Share(t.Context(), 60, []apportion.Part{{Wanted: 5, Min: 4, Max: 10, Weight: 1}})
	require.NoError(t, err)
	require.True(t, ok)
	require.InDelta(t, 50, f.Spare, 1e-6)
	require.InDelta(t, 10, f.Minutes[0], 1e-6)
}

func TestAPartHasAStepWhereAMultipleLiesWithinIt(t *testing.T) {
	for _, c := range []struct {
		least, most, step float64
		want              bool
	}{
		{2.1, 2.9, 0, true}, {2.1, 2.9, 1, false}, {2, 2.9, 1, true}, {2.1, 3, 1, true}, {2, 2, 1, true},
		{0.3, 0.3, 0.1, true}, {2.1, 4.4, 1.5, true}, {3.1, 4.4, 1.5, false},
	} {
		p := apportion.Part{Min: c.least, Max: c.most, Step: c.step}
		require.Equal(t, c.want, p.HasStep(), "%+v", c)
	}
}

// asked is a context that is cancelled once it was asked so often.
type asked struct {
	context.Context
	times, until int
}

func (a *asked) Err() error {
	if a.times++; a.times > a.until {
		return context.Canceled
	}
	return nil
}

// steps are parts that come in steps of which many choices are nearly as good as one another.
func steps(n int) []apportion.Part {
	var parts []apportion.Part
	for i := range n {
		wanted := 4 + 1.3*float64(i%5) + 0.17*float64(i)
		parts = append(parts, apportion.Part{
			Wanted: wanted, Min: 0, Max: 3 * wanted, Weight: 1 + 0.3*float64(i%3), Step: 0.5 * float64(3+i%4),
		})
	}
	return parts
}

// TestTheBestIsFoundInALongSearchToo compares with the best of all choices, by the total that they come to: half a
// minute divides every step.
func TestTheBestIsFoundInALongSearchToo(t *testing.T) {
	const total, halves = 61.3, 122
	parts := steps(9)
	best := make([]float64, halves+1)
	for i := range best {
		best[i] = math.Inf(1)
	}
	best[0] = 0
	for _, p := range parts {
		next := make([]float64, halves+1)
		for sum := range next {
			next[sum] = math.Inf(1)
			for used := 0; used <= sum && float64(used)/2 <= p.Max; used += int(2 * p.Step) {
				off := float64(used)/2 - p.Wanted
				next[sum] = math.Min(next[sum], best[sum-used]+p.Weight*off*off/p.Wanted)
			}
		}
		best = next
	}
	least := math.Inf(1)
	for sum, each := range best {
		spare := total - float64(sum)/2
		least = math.Min(least, each+spare*spare)
	}
	search := &asked{Context: t.Context(), until: math.MaxInt}
	f, ok, err := apportion.Share(search, total, parts)
	require.NoError(t, err)
	require.True(t, ok && f.Best)
	require.Greater(t, search.times, 1, "it takes long enough for somebody to be asked whether to go on")
	require.InDelta(t, least, cost(parts, f.Minutes, total), 1e-6)
}

func TestASearchIsStoppedAndBounded(t *testing.T) {
	parts := steps(40)
	hurried := &asked{Context: t.Context(), until: 2}
	_, ok, err := apportion.Share(hurried, 233.3, parts)
	require.ErrorIs(t, err, context.Canceled)
	require.False(t, ok)
	require.Less(t, hurried.times, 100, "nothing is looked at any more")

	patient := &asked{Context: t.Context(), until: math.MaxInt}
	f, ok, err := apportion.Share(patient, 233.3, parts)
	require.NoError(t, err)
	require.True(t, ok)
	require.False(t, f.Best, "it was cut off")
	require.InDelta(t, 20_000.0/256, patient.times, 30, "once in 256 choices")
	sum := f.Spare
	for i, m := range f.Minutes {
		require.InDelta(t, 0, math.Remainder(m, parts[i].Step), 1e-9)
		sum += m
	}
	require.InDelta(t, 233.3, sum, 1e-9)
}

func BenchmarkFit12Steps(b *testing.B) {
	var parts []apportion.Part
	for i := range 12 {
		wanted := 3 + float64(i*7%11)
		parts = append(
			parts,
			apportion.Part{Wanted: wanted, Min: wanted / 2, Max: 2 * wanted, Weight: 1 + float64(i%3), Step: float64(i % 4)},
		)
	}
	for b.Loop() {
		if _, _, err := apportion.Share(b.Context(), 77, parts); err != nil {
			b.Fatal(err)
		}
	}
}
