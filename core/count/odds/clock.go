package odds

import "math"

// Clock turns balls into minutes: how a drill is fed, and how its balls are picked up.
type Clock struct {
	Gap      float64 `json:"gap" minimum:"0.1" maximum:"120" description:"Seconds between two balls"`
	Sequence int     `json:"sequence" minimum:"1" maximum:"200" description:"Balls in one sequence"`
	Pause    float64 `json:"pause" minimum:"0" maximum:"600" description:"Seconds after a sequence"`
	People   int     `json:"people" minimum:"1" maximum:"12" description:"Players who take turns; each has as many balls"`
	Basket   int     `json:"basket" minimum:"1" maximum:"20000" description:"Balls in one basket"`
	PickUp   float64 `json:"pickUp" minimum:"0" maximum:"30" description:"Seconds to pick one ball up, for one person"`
}

// PickUps is how often the basket runs out before one player has had so many balls.
func (c Clock) PickUps(balls float64) float64 {
	return math.Max(0, math.Ceil(balls*float64(c.People)/float64(c.Basket))-1)
}

// Seconds is how long it takes until one player has had so many balls, the others' turns and all pick-ups
// before the last ball counted. Everybody picks up, the coach too.
func (c Clock) Seconds(balls float64) float64 {
	if balls <= 0 {
		return 0
	}
	return c.played(balls) + c.PickUps(balls)*float64(c.Basket)*c.PickUp/float64(c.People+1)
}

// played is the same without the pick-ups.
func (c Clock) played(balls float64) float64 {
	if balls <= 0 {
		return 0
	}
	pauses := math.Ceil(balls/float64(c.Sequence)) - 1
	return float64(c.People) * (balls*c.Gap + pauses*c.Pause)
}

// Balls is how many balls one player has within so many seconds.
func (c Clock) Balls(seconds float64) int {
	low, high := 0, 1
	const most = 1 << 20
	for high < most && c.Seconds(float64(high)) <= seconds {
		low, high = high, 2*high
	}
	for low+1 < high {
		if mid := (low + high) / 2; c.Seconds(float64(mid)) <= seconds {
			low = mid
		} else {
			high = mid
		}
	}
	return low
}

// Rate is balls a minute over a whole sequence, pauses included.
func (c Clock) Rate() float64 {
	return 60 * float64(c.Sequence) / (float64(c.Sequence)*c.Gap + c.Pause)
}
