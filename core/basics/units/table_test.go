package units_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/basics/units"
	"hodometer/internal/golden"
)

// TestLengthsTimesAndSharesInWords: lengths from nothing to a hundred metres as they are shown, written and stepped
// off, and read back; times, shares and counts.
func TestLengthsTimesAndSharesInWords(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	for _, metres := range []float64{
		0, 0.0004, 0.004, 0.0254, 0.05, 0.1, 0.25, 0.3, 0.3048, 0.33, 0.5, 0.61, 0.7999, 0.8, 1, 1.005, 1.37, 2.13, 3.048,
		5.485,
		9.95,
		10, 23.77, 99.99, 100, -1.25,
	} {
		for _, s := range []units.System{units.Metres, units.Feet} {
			read, err := units.Read(s.Write(metres), 0.8)
			fmt.Fprintf(&b, "%v: %s, %s, read %.4f %v; %s; %s\n", metres, s.Length(metres), s.Write(metres), read, err,
				s.Area(metres*metres), units.Steps(metres, 0.75))
		}
	}
	for _, s := range []units.System{units.Metres, units.Feet} {
		fmt.Fprintf(&b, "%.4f %.4f %.4f\n", s.Grain(), s.Nudge(true), s.Nudge(false))
	}
	for _, text := range []string{
		"3 ft 6 in", "3'6\"", "3' 6½\"", "2 steps", "1 step", "1/2 step", "12 in", "1.4 m", "1,4 m", "140 cm", "14",
		"2 1/2 ft", "1/3",
		"", "far", "-2 m", "3 ft 14 in", "half", "0 m", "1e3 m", "4 metres", "5 feet", "7 inches", "3 yards", "90 mm",
	} {
		read, err := units.Read(text, 0.8)
		share, shareErr := units.ReadFraction(text)
		fmt.Fprintf(&b, "%q: %.4f %v; %.4f %v\n", text, read, err, share, shareErr)
	}
	for _, text := range []string{
		"half-way", "3/4", "two thirds", "75 %", "0.3", "5/4", "a quarter", "0", "1", "1/0", "110 %",
	} {
		share, err := units.ReadFraction(text)
		fmt.Fprintf(&b, "%q: %.4f %v\n", text, share, err)
	}
	for _, seconds := range []float64{-90, -0.4, 0, 0.5, 29.5, 59.5, 60, 61.4, 3599.6, 3600, 7261} {
		fmt.Fprintln(&b, seconds, units.Clock(seconds), units.Elapsed(seconds), units.TimeOfDay("23:30", seconds))
	}
	fmt.Fprintln(&b, units.TimeOfDay("late", 60), units.Day("2026-03-10"), units.Day("soon"))
	for _, shares := range [][]float64{
		{0.335, 0.665}, {0.5, 0.4}, {1.0 / 3, 1.0 / 3, 1.0 / 3}, {0.005, 0.995}, {1}, {}, {0.125, 0.125, 0.75},
	} {
		hundredths, whole := units.Whole(shares...)
		fmt.Fprintln(&b, shares, hundredths, whole, units.Percents(shares...))
	}
	for n := range 3 {
		fmt.Fprintln(&b, units.Balls(n), units.Count(n, "try", "tries"), units.And([]string{"a", "b", "c"}[:n+1]))
	}
	fmt.Fprintln(&b, units.Title("balls"), units.Title("über"), units.Title(""))
	for _, value := range []float64{-1.25, -0.04, 0, 0.05, 1, 10, 100, 2.999} {
		fmt.Fprintln(&b, units.Decimal(value, 0), units.Decimal(value, 1), units.Decimal(value, 2))
	}
	golden.Same(t, "words.txt", b.String())
}
