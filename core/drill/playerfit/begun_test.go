package playerfit_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/drill/playerfit"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// The first ball of a new drill, pressed where most begin: on every court and on either side somebody of club level
// makes about every other one, and better players more; the goal that it begins with can be met.
func TestTheUsualBallOfANewDrillIsMetEveryOtherTime(t *testing.T) {
	t.Parallel()
	levels := []student.Level{student.Beginner, student.Improver, student.Club, student.Tournament}
	for _, of := range sports.All() {
		for _, played := range of.Courts {
			c := played.Court
			for _, side := range []float64{-1, 1} {
				d, err := library.Begun(c.ID, court.Point{X: side * c.Singles / 6, Y: -0.35 * c.Length})
				require.NoError(t, err)
				last := 0.0
				for _, level := range levels {
					fit := playedBy(t, d, d.PlayerFor(level, student.RightHand), playerfit.Evidence{Level: level})
					require.Greater(t, fit.Goal.Rate, last, "%s, %s", c.ID, level)
					last = fit.Goal.Rate
					if level == student.Club {
						require.InDelta(t, 0.45, fit.Goal.Rate, 0.1, c.ID)
						require.Less(t, fit.Goal.Mean, float64(fit.Attempts), c.ID)
					}
				}
			}
		}
	}
}
