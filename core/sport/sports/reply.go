package sports

import (
	"fmt"

	"hodometer/core/sport/court"
)

// Pressure is how much time an opponent has for the ball.
type Pressure string

// The pressures.
const (
	AtEase  Pressure = "at ease"
	Hurried Pressure = "hurried"
)

// Situation is who hits from where, how high, under what pressure, and after which stroke.
type Situation struct {
	ID       string      `json:"id" maxLength:"60"`
	Sport    court.Sport `json:"sport"`
	Name     string      `json:"name" description:"In a coach's words"`
	After    string      `json:"after" description:"The stroke that they answer"`
	Pressure Pressure    `json:"pressure"`
	Across   float64     `json:"across" minimum:"-2" maximum:"2" description:"Where they hit from: shares of half the width for singles, to their forehand side; less than nothing is the backhand side"`
	Deep     float64     `json:"deep" minimum:"0" maximum:"5" description:"How far from the net, as a share of half the length; in squash from the front wall, of all of it"`
	High     float64     `json:"high" minimum:"-0.76" maximum:"4" description:"Metres above the court at which they meet it"`
	Waiting  float64     `json:"waiting" minimum:"0" maximum:"3" description:"Where players wait by rote, as deep is measured"`
	Likely   []Likely    `json:"likely" description:"What they may play, the chances adding up to 1"`
}

// Likely is one reply with its chance.
type Likely struct {
	Reply  string  `json:"reply" maxLength:"40" description:"Of the replies of the sport"`
	Chance float64 `json:"chance" minimum:"0" maximum:"1"`
}

// Side is where a reply goes.
type Side string

// The sides. Straight stays on the side of the court on which the opponent is.
const (
	Straight   Side = "straight"
	Cross      Side = "cross"
	Middle     Side = "middle"
	ToForehand Side = "to your forehand"
	ToBackhand Side = "to your backhand"
)

// Reply is one thing that an opponent may play.
type Reply struct {
	Name    string
	Side    Side
	Deep    float64 // where it lands, as Situation.Deep on the near half
	In      float64 // metres inside the sideline
	Stroke  Stroke
	Pace    Pace
	OffSide bool // off the side wall first
}

// spot is where an opponent hits from.
type spot struct {
	name               string
	across, deep, high float64
}

// when is a situation: chances in hundredths, a name and a figure in turn.
func when(at spot, pressure Pressure, after string, waiting float64, pairs ...any) Situation {
	s := Situation{
		Name: fmt.Sprintf("%s, %s, after %s", at.name, pressure, after), After: after, Pressure: pressure,
		Across: at.across, Deep: at.deep, High: at.high, Waiting: waiting,
	}
	for i := 0; i+1 < len(pairs); i += 2 {
		name, _ := pairs[i].(string)
		chance, _ := pairs[i+1].(int)
		s.Likely = append(s.Likely, Likely{name, float64(chance) / 100})
	}
	return s
}

// situationsOf gives the situations of a sport their identifiers, by its court: they stay, since new ones are added at
// the end.
func situationsOf(sport court.Sport, prefix court.ID, list ...Situation) []Situation {
	for i := range list {
		list[i].ID, list[i].Sport = fmt.Sprintf("%s-%d", prefix, i+1), sport
	}
	return list
}
