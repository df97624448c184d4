package flight_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
	"hodometer/internal/golden"
)

// TestFlightsOnEveryCourt: balls of several speeds, heights and spins that are to land at a place, where they go on to,
// and how wide they scatter.
func TestFlightsOnEveryCourt(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	for i, c := range sports.Courts() {
		w := sports.World(c, "")
		if i%2 == 1 {
			w.Air.Wind = flight.Vec{X: 1.5, Y: -2}
		}
		fmt.Fprintln(&b, c.ID)
		for k, by := range []flight.By{flight.BySpeed, flight.ByApex, flight.ByClearance} {
			for n, share := range [][2]float64{{-0.2, 0.4}, {0.3, 0.2}, {0, 0.47}} {
				want := flight.Want{
					From:    flight.Above(court.Point{X: 0.1 * c.Width, Y: -0.45 * c.Length}, 0.9),
					Landing: court.Point{X: share[0] * c.Width, Y: share[1] * c.Length}, By: by,
					Value: []float64{10 + 6*float64(n), 2 + float64(n), 0.4 + 0.5*float64(n)}[k],
					Spin:  flight.Spin{Top: 40 * float64(n-1), Side: 15 * float64(k-1)}, Flat: (n+k)%2 == 0,
				}
				launch, err := w.Aim(want)
				if err != nil {
					fmt.Fprintln(&b, "  ", err)
					continue
				}
				path := w.Follow(launch, 2)
				spread, ok := w.LandingSpread(launch, flight.Scatter{Speed: 0.04, Elevation: 0.02, Azimuth: 0.02})
				over, sigma, crosses := w.OverNet(launch, flight.Scatter{Speed: 0.04, Elevation: 0.02, Azimuth: 0.02})
				fmt.Fprintf(&b, "  %s %v %s spread %s %v over %.2f %.2f %v\n", by, share, golden.Line(t, launch, 2),
					golden.Line(t, spread, 2), ok, over, sigma, crosses)
				for _, event := range path.Events {
					fmt.Fprintln(&b, "    ", golden.Line(t, event, 2))
				}
			}
		}
	}
	golden.Same(t, "flights.txt", b.String())
}
