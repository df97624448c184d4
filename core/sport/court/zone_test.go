package court_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

func TestZonesTileTheHalfAndWhatIsAroundIt(t *testing.T) {
	for _, c := range sports.Courts() {
		for _, far := range []bool{true, false} {
			zones := c.Zones(court.Singles, far)
			require.Len(t, zones, 20)
			in, names := 0.0, map[string]bool{}
			for i, z := range zones {
				require.True(t, z.Proper(), z.Name)
				names[z.Name] = true
				middle := court.Point{X: (z.Left + z.Right) / 2, Y: (z.Bottom + z.Top) / 2}
				require.Equal(t, far, middle.Y > 0)
				if c.Inside(middle, court.Singles) {
					in += (z.Right - z.Left) * (z.Top - z.Bottom)
				}
				for _, other := range zones[:i] {
					apart := z.Left >= other.Right-1e-9 || other.Left >= z.Right-1e-9 || z.Bottom >= other.Top-1e-9 ||
						other.Bottom >= z.Top-1e-9
					require.True(t, apart, "%s and %s overlap", z.Name, other.Name)
				}
			}
			require.Len(t, names, 20)
			require.InDelta(
				t,
				c.InPlay(court.Singles)*c.Length/2,
				in,
				1e-9,
				"those inside are the half of the court, no more and no less",
			)
		}
	}
	require.False(t, court.Zone{Right: 1, Top: 900}.Proper())
}
