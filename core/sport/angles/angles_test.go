package angles_test

import (
	"context"
	"math"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/sport/angles"
	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
	"hodometer/internal/long"
)

func strike(t require.TestingT, id court.ID, x, deep, high, pace float64) angles.Strike {
	c, err := sports.Court(id)
	require.NoError(t, err)
	return angles.Strike{
		World: sports.World(c, ""),
		From:  flight.Vec{X: x, Y: -deep * c.Length / 2, Z: high},
		Pace:  pace,
		Name:  "there",
	}
}

func sector(t require.TestingT, k angles.Strike) angles.Sector {
	s, err := k.Sector(context.Background(), 0.6)
	require.NoError(t, err)
	return s
}

const degree = math.Pi / 180

// From the middle of the baseline, met at 0.9 m, at 17 m/s: about 15° to each side; from the corner 28° across and 1°
// down the line. By hand from the middle: the widest ball comes down on the sideline 4.11 m aside, 3.46 m beyond the
// net, 15.35 m along the court, and atan(4.11 ÷ 15.35) = 15.0°. The drives into the far corners, one metre off the
// lines, are 23.5 and 22.8 m long from 3.8 m aside: √(22.77² + 6.91²) − √(22.77² + 0.69²) = 1.02 m.
func TestAnglesOfTheBaseline(t *testing.T) {
	pace := sports.RallyPace.Speed(strike(t, "tennis", 0, 1, 0.9, 17).World.Court)
	middle := sector(t, strike(t, "tennis", 0, 1, 0.9, pace))
	require.InDelta(t, 15.0*degree, middle.Left.Angle, 0.6*degree)
	require.InDelta(t, middle.Left.Angle, middle.Right.Angle, 1e-3)
	require.InDelta(t, math.Atan2(4.115, 15.35), middle.Left.Angle, 0.1*degree)
	require.InDelta(t, 0, middle.Bisector, 1e-4)
	require.InDelta(t, 0, middle.Wait.X, 0.01)
	require.Zero(t, middle.Longer)

	corner := sector(t, strike(t, "tennis", 3.8, 1, 0.9, pace))
	require.InDelta(t, 28.5*degree, corner.Left.Angle, 0.8*degree)
	require.InDelta(t, 1.2*degree, corner.Right.Angle, 0.3*degree)
	require.InDelta(t, -13.4*degree, corner.Bisector, 0.6*degree, "the opening hardly grows, it turns")
	require.InDelta(t, middle.Opening, corner.Opening, 1.5*degree)
	require.InDelta(t, math.Hypot(22.77, 6.91)-math.Hypot(22.77, 0.69), corner.Longer, 0.02)
	// Two metres inside the lines: √(21.77² + 5.91²) − √(21.77² + 1.69²) = 0.72 m.
	safe := strike(t, "tennis", 3.8, 1, 0.9, pace)
	safe.Inside = 2
	require.InDelta(t, math.Hypot(21.77, 5.91)-math.Hypot(21.77, 1.69), sector(t, safe).Longer, 0.02)
	require.InDelta(t, 0, corner.Lowest.X, 1e-9, "the net is lowest in the middle")
	require.InDelta(t, 0.914, corner.NetThere, 0.001)
	require.NotNil(t, corner.Left.Out)
	require.Greater(t, corner.Left.Wide, middle.Left.Wide, "across from the corner one is drawn farther out of the court")
	require.Equal(
		t,
		"From there the steepest ball leaves at 28.2° instead of 15°; the middle between the widest two turns by 13.5° "+
			"to the left, and the opening between them is 29.3° instead of 30°.",
		angles.Compare(middle, corner),
	)
}

// Mirrored, higher, slower, nearer: what a coach expects.
func TestWhatWidensTheAngles(t *testing.T) {
	for _, c := range []struct {
		id         court.ID
		high, pace float64
	}{{"tennis", 0.9, 17}, {"pickleball", 0.7, 8}, {"badminton", 1.4, 7}, {"table-tennis", 0.2, 6}} {
		t.Run(string(c.id), func(t *testing.T) {
			long.Check(t, func(t *rapid.T) {
				k := strike(t, c.id, 0, 1, c.high, c.pace)
				k.From.X = rapid.Float64Range(-0.45, 0.45).Draw(t, "x") * k.World.Court.Singles
				s, err := k.Sector(context.Background(), 0.6)
				if err != nil {
					return
				}
				mirrored := k
				mirrored.From.X = -k.From.X
				m := sector(t, mirrored)
				require.InDelta(t, s.Left.Angle, m.Right.Angle, 2e-3)
				require.InDelta(t, s.Bisector, -m.Bisector, 2e-3)
				slower := k
				slower.Pace *= 0.8
				require.GreaterOrEqual(t, sector(t, slower).Opening, s.Opening-2e-3, "a slower ball goes over steeper")
				safer := k
				safer.Over, safer.Inside = 0.1*k.World.Court.Net.Centre, 0.02*k.World.Court.Singles
				if narrow, err := safer.Sector(context.Background(), 0.6); err == nil {
					require.LessOrEqual(t, narrow.Opening, s.Opening+2e-3, "a margin costs angle")
				}
				higher := k
				higher.From.Z += 0.2
				require.GreaterOrEqual(t, sector(t, higher).Opening, s.Opening-2e-3)
			})
		})
	}
	far := strike(t, "tennis", 0, 1, 0.9, 17)
	beyond := far
	beyond.From.Y = -far.From.Y // the opponent's
	require.InDelta(t, sector(t, far).Opening, sector(t, beyond).Opening, 1e-3)
}

func TestAnglesThatMakeNoSense(t *testing.T) {
	for _, c := range []struct {
		k       angles.Strike
		at, say string
	}{
		{strike(t, "squash", 0, 0.5, 0.9, 13), "court", "walls"},
		{strike(t, "tennis", 0, 0, 0.9, 13), "at", "in the net"},
		{strike(t, "tennis", 30, 1, 0.9, 13), "at", "too far"},
		{strike(t, "tennis", 0, 1, 9, 13), "high", "3.5 m"},
		{strike(t, "tennis", 0, 1, 0.9, 0), "pace", "1 to 60"},
		{strike(t, "tennis", 0, 1, 0.9, 55), "pace", "no ball from there"},
	} {
		_, err := c.k.Sector(t.Context(), 0.6)
		require.ErrorContains(t, err, c.at+": ")
		require.ErrorContains(t, err, c.say)
	}
}

func BenchmarkSector(b *testing.B) {
	k := strike(b, "tennis", 3.8, 1, 0.9, 17)
	for b.Loop() {
		if _, err := k.Sector(b.Context(), 0.6); err != nil {
			b.Fatal(err)
		}
	}
}
