package units_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/basics/units"
	"hodometer/internal/long"
)

const step = 0.8

func TestRead(t *testing.T) {
	for text, want := range map[string]float64{
		"4 ft 6 in": 1.3716, `4'6"`: 1.3716, "4' 6": 1.3716, "6 in": 0.1524, "1.4 m": 1.4, "140 cm": 1.4, "1,40 m": 1.4,
		"3 steps": 2.4, "1 step": 0.8, "4 1/2 ft": 1.3716, "  4   FT 6 IN ": 1.3716, `6"`: 0.1524, "21'": 6.4008, "0": 0,
		"1/2 m": 0.5, "4 feet 6 inches": 1.3716,
	} {
		got, err := units.Read(text, step)
		require.NoError(t, err, text)
		require.InDelta(t, want, got, 1e-9, text)
	}
	for _, text := range []string{"", "four feet", "4", "ft", "-1 m", "1 m 2 m", "1e3 m", "1/0 m", "400 m", "4 ft 6 cm",
		"NaN m", "1.2.3 m"} {
		_, err := units.Read(text, step)
		require.ErrorIs(t, err, units.ErrLength, text)
		require.ErrorContains(t, err, "such as 4 ft 6 in")
	}
}

func TestReadFraction(t *testing.T) {
	for text, want := range map[string]float64{
		"half-way": 0.5, "half": 0.5, "3/4 back": 0.75, "three quarters back": 0.75, "60 %": 0.6, "60%": 0.6, "1/3": 1. / 3,
		"a third of the way": 1. / 3, "12,5 %": 0.125,
	} {
		got, err := units.ReadFraction(text)
		require.NoError(t, err, text)
		require.InDelta(t, want, got, 1e-12, text)
	}
	for _, text := range []string{"", "most", "5/4", "1/0", "120 %", "3"} {
		_, err := units.ReadFraction(text)
		require.ErrorIs(t, err, units.ErrFraction, text)
	}
}

func TestSteps(t *testing.T) {
	require.Equal(t, "3 steps", units.Steps(2.4, step))
	require.Equal(t, "2.5 steps", units.Steps(1.95, step))
	require.Equal(t, "1 step", units.Steps(0.9, step))
}

func TestWhatIsWrittenIsReadBackWithinAMillimetre(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		metres := rapid.Float64Range(0, 99).Draw(t, "metres")
		system := rapid.SampledFrom([]units.System{units.Feet, units.Metres}).Draw(t, "system")
		back, err := units.Read(system.Write(metres), step)
		require.NoError(t, err, system.Write(metres))
		require.InDelta(t, metres, back, 0.001)
		// What is written for reading is read too, within half an inch or half a centimetre.
		rough, err := units.Read(system.Length(metres), step)
		require.NoError(t, err, system.Length(metres))
		require.InDelta(t, metres, rough, units.Inch/2+1e-9)
	})
}

func FuzzRead(f *testing.F) {
	for _, text := range []string{"4 ft 6 in", `4'6"`, "1,40 m", "3 steps", "9999999999999999999 1/3 ft", "half-way",
		"1/0 in"} {
		f.Add(text)
	}
	f.Fuzz(func(t *testing.T, text string) {
		if metres, err := units.Read(text, step); err == nil {
			require.False(t, math.IsNaN(metres))
			require.GreaterOrEqual(t, metres, 0.0)
			require.LessOrEqual(t, metres, float64(units.Longest))
		}
		if share, err := units.ReadFraction(text); err == nil {
			require.False(t, math.IsNaN(share))
			require.GreaterOrEqual(t, share, 0.0)
			require.LessOrEqual(t, share, 1.0)
		}
	})
}
