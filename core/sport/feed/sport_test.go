package feed_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
)

// TestEverySportIsComplete fails where a sport has no court or ball, or something would count as 0 for want of an
// entry.
func TestEverySportIsComplete(t *testing.T) {
	for _, value := range court.Sport("").Enum() {
		sport, _ := value.(court.Sport)
		t.Run(string(sport), func(t *testing.T) {
			of := feed.In(sport)
			last := 0.0
			for _, each := range feed.Pace("").Enum() {
				pace, _ := each.(feed.Pace)
				require.Greater(t, of.Speeds[pace], last, "every pace is quicker than the one before")
				last = of.Speeds[pace]
			}
			for _, each := range feed.Method("").Enum() {
				method, _ := each.(feed.Method)
				require.Positive(t, of.Height(method), "%s", method)
			}
			for name, height := range map[string]float64{"rally": of.Rally, "reach": of.Reach, "lunge": of.Lunge, "high": of.High} {
				require.Positive(t, height, name)
			}
			require.Greater(t, of.Lunge, of.Reach)
			require.Greater(t, of.High, of.Rally)
			courts := slices.DeleteFunc(court.All(), func(c court.Court) bool { return c.Sport != sport })
			require.NotEmpty(t, courts)
			for _, c := range courts {
				ball := flight.BallOf(c.ID, false)
				require.Positive(t, ball.Mass)
				require.Equal(t, sport, ball.Sport, "the %s is not played on %s", ball.Name, c.Name)
				require.Equal(t, ball.Bounces(), of.Topspin > 0, "a ball that bounces can be given topspin")
			}
		})
	}
	require.Zero(t, feed.In("curling"))
}
