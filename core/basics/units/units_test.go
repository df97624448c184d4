package units_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/units"
)

func TestLength(t *testing.T) {
	for _, c := range []struct {
		name   string
		system units.System
		metres float64
		want   string
	}{
		{"a tennis service box is 21 ft long", units.Feet, 6.4008, "21 ft"},
		{"half a foot is written in inches", units.Feet, 0.1524, "6 in"},
		{"feet and inches stand together", units.Feet, 1.3716, "4 ft 6 in"},
		{"inches round up into feet", units.Feet, 0.3040, "1 ft"},
		{"nothing is nought inches", units.Feet, 0, "0 in"},
		{"behind is a minus", units.Feet, -0.3048, "−1 ft"},
		{"metres lose trailing zeros", units.Metres, 1.40, "1.4 m"},
		{"metres round to the centimetre", units.Metres, 1.3716, "1.37 m"},
		{"a hair below nothing is nothing", units.Metres, -0.0001, "0 m"},
	} {
		t.Run(c.name, func(t *testing.T) { require.Equal(t, c.want, c.system.Length(c.metres)) })
	}
}

func TestClock(t *testing.T) {
	require.Equal(t, "2:05", units.Clock(125))
	require.Equal(t, "60:00", units.Clock(3599.7), "rounding carries into the minute")
	require.Equal(t, "−0:30", units.Clock(-30))
	require.Equal(t, "0:00", units.Clock(-0.2))
}

func TestAreaAndCount(t *testing.T) {
	require.Equal(t, "1 m²", units.Metres.Area(1))
	require.Equal(t, "10.8 sq ft", units.Feet.Area(1))
	require.Equal(t, "1 ball", units.Count(1, "ball", "balls"))
	require.Equal(t, "0 balls", units.Count(0, "ball", "balls"))
}

func TestTimesOfDay(t *testing.T) {
	for _, c := range []struct {
		start   string
		seconds float64
		want    string
	}{{"16:45", 0, "16:45"}, {"16:45", 48 * 60, "17:33"}, {"23:50", 15 * 60, "00:05"}, {"16:45", 59.9, "16:45"},
		{"soon", 60, "soon"}} {
		require.Equal(t, c.want, units.TimeOfDay(c.start, c.seconds))
	}
	require.Equal(t, "Tuesday, 10 March 2026", units.Day("2026-03-10"))
	require.Equal(t, "soon", units.Day("soon"))
}

// By hand: to the whole inch, with its sign where anything is left of it; shares that are whole percents stay so.
func TestLengthsBelowNothing(t *testing.T) {
	t.Parallel()
	for metres, want := range map[float64]string{
		-0.05: "−2 in", -0.01: "0 in", 0.01: "0 in", 0.3048: "1 ft", -0.3048: "−1 ft", -1: "−3 ft 3 in", 0.02: "1 in",
	} {
		require.Equal(t, want, units.Feet.Length(metres), metres)
	}
	require.Equal(t, []int{29, 71}, units.Percents(0.29, 0.71))
	require.Equal(t, []int{57, 29, 14}, units.Percents(0.57, 0.29, 0.14))
	require.Equal(t, []int{34, 33, 33}, units.Percents(1.0/3, 1.0/3, 1.0/3))
}
