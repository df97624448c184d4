package throwing

import "hodometer/core/sport/court"

// CommandKind is what a machine or an eye is told.
type CommandKind string

// What it is told.
const (
	Load  CommandKind = "load"  // a program; it begins at its first ball
	Start CommandKind = "start" // throw
	Pause CommandKind = "pause"
	One   CommandKind = "one"   // throw the next ball, once
	Gap   CommandKind = "gap"   // wait so many times as long from now on
	Fill  CommandKind = "fill"  // the hopper holds so many balls now
	Clear CommandKind = "clear" // a jam is cleared
	Watch CommandKind = "watch" // of an eye: a player plays at a target now
	State CommandKind = "state" // say how it stands
	Alive CommandKind = "alive" // somebody watches still: nothing is said to it
)

// Command is one thing that a machine or an eye is told.
type Command struct {
	Do      CommandKind  `json:"do"`
	Program *Program     `json:"program,omitempty" description:"Of load"`
	Times   float64      `json:"times,omitempty" minimum:"0" maximum:"10" description:"Of gap: 2 is half as fast"`
	Balls   int          `json:"balls,omitempty" minimum:"0" maximum:"2000" description:"Of fill; of start: after how many it stops, 0: not by itself"`
	Aim     *court.Point `json:"aim,omitempty" description:"Of watch: where the player aims"`
	Ball    int          `json:"ball,omitempty" minimum:"0" maximum:"1000000000" description:"Of watch: which ball of the machine it is, by its number; 0: of none"`
}

// EventKind is what a machine or an eye says.
type EventKind string

// What it says.
const (
	Reported EventKind = "state"
	Thrown   EventKind = "ball"
	Empty    EventKind = "empty"
	Jam      EventKind = "jam"
	Landed   EventKind = "landing"
	Refused  EventKind = "refused"
)

// Event is one thing that a machine or an eye says.
type Event struct {
	Event   EventKind    `json:"event"`
	N       int          `json:"n,omitempty" description:"Balls thrown, or landings seen, since it was switched on"`
	Ball    int          `json:"ball,omitempty" description:"Of a ball: which one of the program, from 1; of a landing: the number that the eye was told of its ball, 0: it was told none"`
	At      *court.Point `json:"at,omitempty" description:"Where it lands: of a ball where it is to, of a landing where it did"`
	Left    int          `json:"left,omitempty" description:"Balls in the hopper"`
	Running bool         `json:"running,omitempty"`
	Jammed  bool         `json:"jammed,omitempty"`
	Times   float64      `json:"times,omitempty" description:"So many times as long as the program says is waited"`
	Program string       `json:"program,omitempty" description:"The name of what is loaded"`
	Why     string       `json:"why,omitempty" description:"Of what is refused; of state: why it stopped by itself"`
}
