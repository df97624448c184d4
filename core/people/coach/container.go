package coach

import (
	"hodometer/core/basics/units"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// Container is what the balls of a sport are carried in.
type Container struct {
	One   string // basket
	Many  string
	Holds int // balls in a full one
	Has   int // full ones that the coach has
}

// Batch is how many balls are fed before they are picked up: a basket or a box, and all the tubes there are.
func (c Container) Batch() int {
	if c.One == "tube" {
		return c.Holds * c.Has
	}
	return c.Holds
}

// Of is so many of them in words.
func (c Container) Of(n int) string { return units.Count(n, c.One, c.Many) }

// What is usual where a coach says nothing; common practice, no source.
const (
	usualTube, usualTubes = 12, 8
	usualBox, usualBoxes  = 100, 1
)

// Container is what the balls of a sport are carried in: shuttles in tubes, the balls of a table in boxes, all others
// in baskets.
func (s Settings) Container(sport court.Sport) Container {
	or := func(own, usual int) int {
		if own > 0 {
			return own
		}
		return usual
	}
	switch sports.Of(sport).Carried {
	case sports.Tubes:
		return Container{"tube", "tubes", or(s.Tube, usualTube), or(s.Tubes, usualTubes)}
	case sports.Boxes:
		return Container{"box", "boxes", or(s.Box, usualBox), or(s.Boxes, usualBoxes)}
	}
	return Container{"basket", "baskets", s.Basket, s.Baskets}
}
