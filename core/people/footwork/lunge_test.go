package footwork

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// By hand: a ball that is there after a second, for which the run takes so long, and in a lunge half a second less. At
// three quarters of the time it is met at ease; just in time it is hurried by 0.8 × 0.25; a tenth of a second late it is
// met in a fifth of a lunge, 0.8 × 0.35 + 0.45 ÷ 5; half a second late in a full one. It grows without a leap.
func TestALungeIsNoEmergency(t *testing.T) {
	t.Parallel()
	for needed, loose := range map[float64]float64{0.5: 1, 0.75: 1, 1: 1.2, 1.1: 1.37, 1.25: 1.625, 1.5: 2.05} {
		a := arrival{needed: needed, reaching: needed - 0.5, available: 1}
		require.InDelta(t, loose, a.hurriedBy(), 1e-9, "%g s needed", needed)
	}
	late := arrival{contact: contact{late: true}, needed: 0.5, available: 1}
	require.InDelta(t, 1.3, late.hurriedBy(), 1e-9)
}
