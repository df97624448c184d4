package footwork

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// By hand: a ball that is there after a second, for which the run takes so long, and in a lunge half a second less. At
// three quarters of the time it is met at ease; just in time it is hurried by 0.8 × 0.25; a tenth of a second late it
// is met in a fifth of a lunge, 0.8 × 0.35 + 0.45 ÷ 5; half a second late in a full one. It grows without a leap.
func TestALungeIsNoEmergency(t *testing.T) {
	t.Parallel()
	for needed, loose := range map[float64]float64{0.5: 1, 0.75: 1, 1: 1.2, 1.1: 1.37, 1.25: 1.625, 1.5: 2.05} {
		a := arrival{needed: needed, reaching: needed - 0.5, available: 1}
		require.InDelta(t, loose, a.hurriedBy(), 1e-9, "%g s needed", needed)
	}
	late := arrival{contact: contact{late: true}, needed: 0.5, available: 1}
	require.InDelta(t, 1.3, late.hurriedBy(), 1e-9)
}

// By hand: a tennis ball that comes in at 22 m/s, where rally pace is 17, makes the reply 1 + 0.25 × (22/17 − 1) = 1.07
// times as wide, and one whose rim turns at 0.0335 m × 2500 turns a minute = 8.8 m/s 1 + 0.1 × 8.8/17 = 1.05 times.
func TestAFastOrSpinningBallIsFierce(t *testing.T) {
	t.Parallel()
	c, err := sports.Court("tennis")
	require.NoError(t, err)
	d := Drill{World: sports.World(c, "")}
	spinning := flown{launch: flight.Launch{Spin: flight.Vec{X: 2500 * 2 * math.Pi / 60}}}
	require.InDelta(t, 1.0735, d.fierce(flown{}, flight.State{V: flight.Vec{Y: 22}}), 1e-4)
	require.InDelta(t, 1, d.fierce(flown{}, flight.State{V: flight.Vec{Y: 17}}), 1e-12)
	require.InDelta(t, 1.0516, d.fierce(spinning, flight.State{V: flight.Vec{Y: 12}}), 1e-4)
}
