package feed

import (
	"hodometer/core/basics/units"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// Direction is the rule by which a player sends the ball.
type Direction string

// The directions, as the one who strikes has them.
const (
	CrossCourt  Direction = "cross-court"
	DownTheLine Direction = "down the line"
	Alternate   Direction = "one each way in turn"
	ToTheMiddle Direction = "to the middle"
)

// Wide says whether balls by the rule go from side to side.
func (d Direction) Wide() bool { return d == CrossCourt || d == Alternate }

// Rally is play in which each reply is the next feed.
type Rally struct {
	Near  Direction   `json:"near" description:"The student's rule"`
	Far   Direction   `json:"far" description:"The rule at the other end"`
	Pair  bool        `json:"pair,omitempty" description:"Two at the far end, each on their own side: two against one"`
	Shots int         `json:"shots" minimum:"2" maximum:"60" description:"Strokes of a rally that is worked out"`
	Deep  float64     `json:"deep" minimum:"0" maximum:"10" description:"Metres inside the baseline at which replies land"`
	Wide  float64     `json:"wide" minimum:"0" maximum:"5" description:"Metres inside the sideline at which replies land"`
	Pace  sports.Pace `json:"pace,omitempty"`
}

// UsualRally is a rally whose balls land where it is usual on a court: two and a half metres inside the baseline and
// one inside the sideline of a tennis court, as much of any other one, in centimetres. Common practice, no source.
func UsualRally(c court.Court) Rally {
	const deep, wide, length, width = 2.5, 1, 23.77, 8.23 // metres, on a full tennis court
	return Rally{
		Near: CrossCourt, Far: CrossCourt, Shots: 10,
		Deep: units.Centimetres(deep * c.Length / length), Wide: units.Centimetres(wide * c.Singles / width),
	}
}
