package throwing

import (
	"fmt"
	"math"

	"hodometer/core/basics/seeded"
	"hodometer/core/sport/court"
)

// SimulatedEye says where the balls of a player land. Its simulated player aims where they are told, and scatters
// round it alike in both directions.
type SimulatedEye struct {
	spread float64 // metres, one standard deviation
	chance *seeded.Numbers
	seen   int
}

// NewSimulatedEye is an eye that watches a player of a spread in metres.
func NewSimulatedEye(spread float64, seed uint64) *SimulatedEye {
	return &SimulatedEye{spread: spread, chance: seeded.From(seed)}
}

// Do has the eye do something, and returns what it says: one landing for each time that it watches somebody play.
func (e *SimulatedEye) Do(c Command) []Event {
	switch {
	case c.Do == Alive:
		return nil
	case c.Do == State:
		return []Event{{Event: Reported, N: e.seen}}
	case c.Do != Watch:
		return []Event{{Event: Refused, Why: fmt.Sprintf("it cannot do %.40q", string(c.Do))}}
	case c.Aim == nil || !(math.Abs(c.Aim.X) <= 100 && math.Abs(c.Aim.Y) <= 100):
		return []Event{{Event: Refused, Why: "say where the player aims, within 100 m"}}
	}
	e.seen++
	// Two numbers of a normal distribution from two alike (Box and Muller, Annals of Mathematical Statistics 29 (1958)
	// 610).
	far, round := e.spread*math.Sqrt(-2*math.Log(1-e.chance.Share())), 2*math.Pi*e.chance.Share()
	return []Event{
		{
			Event: Landed,
			N:     e.seen,
			Ball:  c.Ball,
			At:    &court.Point{X: c.Aim.X + far*math.Cos(round), Y: c.Aim.Y + far*math.Sin(round)},
		},
	}
}
