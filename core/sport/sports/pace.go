package sports

import (
	"math"

	"hodometer/core/sport/court"
)

// Pace is how fast a ball comes, in a coach's words.
type Pace string

// The paces.
const (
	Gentle    Pace = "gentle"
	HalfPace  Pace = "half pace"
	RallyPace Pace = "rally pace"
	GamePace  Pace = "game pace"
)

// Speed is the mean speed over the ground of a pace on a court, m/s. Small courts are played slower, by a little more
// than in proportion to their length, so that a ball is on its way at least as long (common practice, no source).
func (p Pace) Speed(c court.Court) float64 {
	s := Of(c.Sport)
	if len(s.Courts) == 0 {
		return 0
	}
	return s.Speeds[p] * math.Pow(c.Length/s.Courts[0].Court.Length, 1.3)
}

// Over is how high over the net a ball of a pace is struck at most in a sport, metres; 0 where the pace alone says it.
// Common practice, no source.
func (p Pace) Over(sport court.Sport) float64 { return Of(sport).Over[p] }
