package ladder

import (
	"fmt"

	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// Into is where the balls of a standard task go: larger or smaller parts of where the stroke may go at all.
type Into string

// The parts. Side is one half across; end is the far third, of a soft stroke the near one; corner is the two together.
const (
	Inside Into = "inside the lines"
	Side   Into = "to one side"
	End    Into = "to the end"
	Corner Into = "into a corner"
)

// Task is a standard task: a ball that is fed alike everywhere, and where it is to go. With it a rung is measured, so
// that easy and hard drills weigh what they are worth. The zero value is a ball at rally pace, inside the lines.
type Task struct {
	Into   Into        `json:"into,omitempty" description:"empty: inside the lines"`
	Method feed.Method `json:"method,omitempty" description:"How the ball comes; empty: from a racket"`
	Pace   sports.Pace `json:"pace,omitempty" description:"Of the feed; empty: rally pace"`
	InTurn int         `json:"inTurn,omitempty" minimum:"0" maximum:"12" description:"So many are made one after the other, all of them; 0 or 1: each counts for itself"`
}

// Say puts a task into words.
func (t Task) Say() string {
	into := t.Into
	if into == "" {
		into = Inside
	}
	how := map[feed.Method]string{
		feed.SelfDrop: "dropped for oneself", feed.ByHand: "tossed by hand", feed.Machine: "from the machine",
		feed.Partner: "from a partner",
	}[t.Method]
	if how == "" {
		how = "fed"
	}
	if t.Pace != "" {
		how += ", " + string(t.Pace)
	}
	if t.InTurn > 1 {
		return fmt.Sprintf("%d in turn, all %s, %s", t.InTurn, into, how)
	}
	return fmt.Sprintf("%s, %s", into, how)
}

// Plain is where the balls of a stroke go in a task, as it is said to somebody who does not coach.
func (t Task) Plain(stroke sports.Stroke) string {
	where := map[Into]string{Side: "to a chosen side", End: "into the far third", Corner: "into a corner"}[t.Into]
	switch {
	case where == "":
		where = string(Inside)
	case t.Into == End && stroke.Soft():
		where = "into the near third"
	}
	if t.InTurn > 1 {
		where = fmt.Sprintf("runs of %d %s", t.InTurn, where)
	}
	if t.Pace == sports.GamePace {
		where += " at game pace"
	}
	return where
}
