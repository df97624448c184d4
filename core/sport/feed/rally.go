package feed

import (
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
