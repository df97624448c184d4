// Package student is what a coach needs to know about a student, and no more.
package student

import (
	"slices"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/core/sport/court"
)

// AgeBand is an age near enough for coaching.
type AgeBand string

// The age bands.
const (
	Under8   AgeBand = "under 8"
	Eight    AgeBand = "8 to 10"
	Eleven   AgeBand = "11 to 13"
	Fourteen AgeBand = "14 to 17"
	Adult    AgeBand = "adult"
	Sixty    AgeBand = "60 and over"
)

// Growing says whether a player of this age is still growing.
func (a AgeBand) Growing() bool { return a != Adult && a != Sixty }

// Hand is the hand that holds the racket.
type Hand string

// The hands.
const (
	RightHand Hand = "right"
	LeftHand  Hand = "left"
)

// Backhand is how many hands are on the grip.
type Backhand string

// The backhands.
const (
	OneHanded Backhand = "one-handed"
	TwoHanded Backhand = "two-handed"
)

// Level is a playing level or, for juniors, a ball stage.
type Level string

// The levels.
const (
	Red        Level = "red ball"
	Orange     Level = "orange ball"
	Green      Level = "green ball"
	Beginner   Level = "beginner"
	Improver   Level = "improver"
	Club       Level = "club player"
	Tournament Level = "tournament player"
)

// Rank is how far a level is, from 0 for the first ball stage.
func (l Level) Rank() int {
	return map[Level]int{Red: 0, Orange: 1, Green: 2, Beginner: 1, Improver: 2, Club: 3, Tournament: 4}[l]
}

// LimitOf is something a coach keeps count of to spare a body.
type LimitOf string

// What can be limited in one lesson.
const (
	Overheads LimitOf = "overheads"
	Serves    LimitOf = "serves"
	Balls     LimitOf = "balls"
)

// Limit is the most of something in one lesson.
type Limit struct {
	Of  LimitOf `json:"of"`
	Max int     `json:"max" minimum:"1" maximum:"2000"`
}

// nearShare is from which share of a limit on it is told, so that it is heard of before it is crossed. Our own choice.
const nearShare = 0.8

// Near says whether so much of something is near the limit, or beyond it.
func (l Limit) Near(n int) bool { return float64(n) >= nearShare*float64(l.Max) }

// Profile is what is kept about a student.
type Profile struct {
	Name      string      `json:"name" minLength:"1" maxLength:"80"`
	Age       AgeBand     `json:"age"`
	Born      string      `json:"born,omitempty" format:"date" description:"Birthday, where the coach wants it kept"`
	Hand      Hand        `json:"hand"`
	Backhand  Backhand    `json:"backhand"`
	Sport     court.Sport `json:"sport"`
	Level     Level       `json:"level"`
	Objective string      `json:"objective" maxLength:"200" description:"What they work towards"`
	Hurts     string      `json:"hurts" maxLength:"200" description:"What hurts, as free text of which it was not said yet what it is spared"`
	Sore      []Sore      `json:"sore,omitempty" maxItems:"6" description:"What hurts, and what it is spared"`
	Note      string      `json:"note" maxLength:"2000"`
	Limit     *Limit      `json:"limit,omitempty"`
	Watch     []string    `json:"watch,omitempty" maxItems:"2" description:"One or two faults to watch, from lesson to lesson"`
	Timed     []TimedRun  `json:"timed,omitempty" maxItems:"40" description:"Runs against the clock"`
}

const longestFault = 60 // characters, so that it can be read on court

// Watching is what to watch, in one line.
func (p Profile) Watching() string { return strings.Join(p.Watch, "; ") }

// OnCourt is of a profile what a device needs to run a lesson, field by field: whatever is not named here is private.
// What somebody is spared is in it, without where or why.
func (p Profile) OnCourt() Profile {
	there := Profile{
		Name: p.Name, Age: p.Age, Hand: p.Hand, Backhand: p.Backhand, Sport: p.Sport, Level: p.Level,
		Limit: p.Limit, Watch: p.Watch, Timed: p.Timed,
	}
	if rests := p.Rests(); len(rests) > 0 {
		there.Sore = []Sore{{Part: Other, Rests: rests}}
	}
	return there
}

// Check says what is wrong with a profile beyond its shape.
func (p Profile) Check() error {
	var wrong invalid.Fields
	if strings.TrimSpace(p.Name) == "" {
		wrong.Add("name", "a student needs a name, or whatever you call them on court")
	}
	for i, fault := range p.Watch {
		if n := len([]rune(fault)); strings.TrimSpace(fault) == "" || n > longestFault {
			wrong.Add(invalid.Join("watch", i), "a fault to watch is 1 to %d characters", longestFault)
		}
	}
	if p.Level != "" && !slices.Contains(LevelsFor(p.Sport), p.Level) {
		wrong.Add("level", "ball stages belong to tennis; choose a level for %s", p.Sport)
	}
	wrong.Under("", p.checkSore())
	wrong.Under("", p.checkTimed())
	return wrong.Err()
}
