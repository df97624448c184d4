// Package pencil does the sums of derivations again from what they print, as a coach with a pencil would.
package pencil

import (
	"math"
	"strconv"
	"strings"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
)

// Check fails where a sum of a derivation does not give what it says to the last digit shown, where a step leads to
// nothing, or where the last one is not the figure.
func Check(t require.TestingT, of string, d metric.Derivation) {
	for i, sum := range d.Sums {
		var printed []float64
		for _, p := range sum.Parts {
			number, _ := read(t, of, p)
			printed = append(printed, number)
		}
		given, half := read(t, of, sum.Gives)
		require.InDelta(t, again(sum.Join, printed), given, half, "%s: %s %+v", of, d.Figure, sum)
		if i == len(d.Sums)-1 {
			const longest = 3 // words of a figure; what is longer is a sentence about it
			if len(strings.Fields(d.Value)) <= longest {
				require.Equal(t, d.Value, sum.Gives.Worded(), "%s: %s", of, d.Figure)
			}
			continue
		}
		require.True(t, used(sum.Gives, d.Sums[i+1:]), "%s: %s: %s leads to nothing", of, d.Figure, sum.Gives.Name)
	}
}

// used says whether what a step gives is a part of one that comes later.
func used(p metric.Part, later []metric.Sum) bool {
	for _, sum := range later {
		for _, part := range sum.Parts {
			if part.Name == p.Name && part.Number == p.Number {
				return true
			}
		}
	}
	return false
}

// read is the number that a part prints, and half of its last digit.
func read(t require.TestingT, of string, p metric.Part) (number, half float64) {
	text := strings.Replace(p.Text, "−", "-", 1)
	if minutes, seconds, ok := strings.Cut(strings.TrimPrefix(text, "-"), ":"); ok && p.Unit == "min" {
		m, err := strconv.Atoi(minutes)
		require.NoError(t, err, of)
		s, err := strconv.Atoi(seconds)
		require.NoError(t, err, of)
		require.Less(t, s, 60)
		return math.Copysign(float64(60*m+s), p.Number), 0.5 + 1e-9
	}
	text = strings.TrimPrefix(text, "1:")
	printed, err := strconv.ParseFloat(text, 64)
	require.NoError(t, err, "%s: %+v", of, p)
	_, decimals, _ := strings.Cut(text, ".")
	half = math.Pow10(-len(decimals))/2 + 1e-9
	for _, per := range []float64{1, 10, 100, 1 / units.Foot} { // balls; of 10; of 100; feet
		if math.Abs(p.Number*per-printed) < 1e-9*math.Max(1, math.Abs(printed)) {
			return printed / per, half / per
		}
	}
	require.Fail(t, "the number is another one than is printed", "%s: %+v", of, p)
	return 0, 0
}

// again joins numbers as is said.
func again(join metric.Join, numbers []float64) float64 {
	if len(numbers) == 0 {
		return 0
	}
	all := numbers[0]
	for _, n := range numbers[1:] {
		switch join {
		case metric.Added:
			all += n
		case metric.Less:
			all -= n
		case metric.Times:
			all *= n
		case metric.Shared, metric.Filled:
			all /= n
		case metric.Largest:
			all = math.Max(all, n)
		}
	}
	if join == metric.Filled {
		return math.Ceil(all - 1e-9)
	}
	return all
}
