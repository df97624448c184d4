package metric_test

import (
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/internal/pencil"
)

// By hand: 4 turns of 102.3 s are 409.2 s, which a clock shows as 6:49; with 1:00 before it 7:49.
func TestASumIsWhatItsPrintedPartsGive(t *testing.T) {
	t.Parallel()
	feeding := metric.Times.Work("Feeding", metric.Clock,
		metric.Counted("turn", "turns").Of("Turns", 4), metric.Decimal(1, "s").Of("One turn", 102.3))
	all := metric.Added.Work("Time", metric.Clock, metric.Clock.Of("Set-up", 60), feeding.Gives)
	require.Equal(t, []string{"4 turns", "102.3 s", "6:49 min"},
		[]string{feeding.Parts[0].Worded(), feeding.Parts[1].Worded(), feeding.Gives.Worded()})
	require.Equal(t, "7:49 min", all.Gives.Worded())
	pencil.Check(t, "by hand", metric.Worked(metric.Derivation{Sums: []metric.Sum{feeding, all}}).Derivation)
}

// 0.654 of 100 balls are 65; with one decimal the rate would say 6.5 of 10 and 65 as well, of 1000 balls it needs two.
func TestNumbersAreAsLongAsTheirSumNeeds(t *testing.T) {
	t.Parallel()
	made := func(balls float64) metric.Sum {
		return metric.Times.Work("Made", metric.Counted("ball", "balls"),
			metric.Counted("ball", "balls").Of("Tried", balls), metric.OfTen.Of("Made", 0.654))
	}
	require.Equal(t, "6.5 of 10", made(100).Parts[1].Worded())
	require.Equal(t, "6.54 of 10", made(1000).Parts[1].Worded())
	require.Equal(t, "654 balls", made(1000).Gives.Worded())
	require.Equal(t, "1 ball", made(1).Parts[0].Worded())
}

func TestHowPartsComeTogether(t *testing.T) {
	t.Parallel()
	of := func(numbers ...float64) (parts []metric.Part) {
		for _, n := range numbers {
			parts = append(parts, metric.Decimal(0, "").Of("", n))
		}
		return parts
	}
	for join, want := range map[metric.Join]string{
		metric.Added: "13", metric.Less: "3", metric.Times: "48", metric.Shared: "1.33",
		metric.Filled: "2", metric.Largest: "8",
	} {
		require.Equal(t, want, join.Work("", metric.Decimal(2, ""), of(8, 3, 2)...).Gives.Text, join)
	}
	require.Equal(t, "0", metric.Largest.Work("", metric.Decimal(0, ""), of()...).Gives.Text)
	require.Equal(t, "0:00 min", metric.Added.Work("", metric.Clock).Gives.Worded())
}

// Whatever is put together comes out with a pencil, in every unit; and is what the exact numbers give, but where clocks
// and counts have only so many digits.
func TestEverySumComesOut(t *testing.T) {
	t.Parallel()
	rapid.Check(t, func(t *rapid.T) {
		prints := []metric.Print{
			metric.Decimal(0, "balls"), metric.Decimal(1, "s"), metric.Decimal(2, "s"), metric.OfTen, metric.OfHundred,
			metric.Length(units.Feet, 0), metric.Length(units.Metres, 1), metric.Clock, metric.Counted("turn", "turns"),
		}
		join := rapid.SampledFrom([]metric.Join{
			metric.Added, metric.Less, metric.Times, metric.Shared, metric.Filled, metric.Largest,
		}).Draw(t, "join")
		var parts []metric.Part
		for range rapid.IntRange(1, 5).Draw(t, "parts") {
			as := rapid.SampledFrom(prints).Draw(t, "print")
			parts = append(parts, as.Of("part", float64(rapid.IntRange(100, 40000).Draw(t, "hundredths"))/100))
		}
		sum := join.Work("all", rapid.SampledFrom(prints).Draw(t, "gives"), parts...)
		pencil.Check(t, "drawn", metric.Worked(metric.Derivation{Sums: []metric.Sum{sum}}).Derivation)
	})
}
