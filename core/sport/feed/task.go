package feed

import (
	"fmt"

	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// Kind is what a player does in one task of a sequence.
type Kind string

// The kinds of task. The zero value is a ball.
const (
	BallTask   Kind = "ball"
	TouchTask  Kind = "touch"
	ShadowTask Kind = "shadow"
	CatchTask  Kind = "catch"
)

// Flies says whether a ball is fed.
func (k Kind) Flies() bool { return k == "" || k == BallTask || k == CatchTask }

// Struck says whether a task is a ball that the player strikes.
func (k Kind) Struck() bool { return k.Flies() && k != CatchTask }

// Moment is when the player meets the ball.
type Moment string

// The moments. The zero value is at the top of the bounce; before the bounce for strokes that are played so.
const (
	OutOfTheAir Moment = "out of the air"
	Rising      Moment = "rising"
	AtTheTop    Moment = "at the top"
	Falling     Moment = "falling"
	AtHeight    Moment = "at a height"
	OffTheWall  Moment = "off the wall" // after its bounce, before the next one
)

// Task is one thing to do in a sequence.
type Task struct {
	Kind    Kind          `json:"kind,omitempty" description:"empty: a ball"`
	Stroke  sports.Stroke `json:"stroke" description:"What the player answers with"`
	Landing court.Mark    `json:"landing" description:"Where the ball lands first; of a touch or a shadow stroke, the place itself"`
	Area    *Area         `json:"area,omitempty" description:"It lands anywhere around there"`
	Toward  Body          `json:"toward,omitempty" description:"It comes at the player, as deep as the landing; at the feet it lands in front of them"`

	From   *court.Mark     `json:"from,omitempty" description:"Where the feeder stands for it; else where the drill says"`
	Method Method          `json:"method,omitempty" description:"How it is fed; else as the pattern says"`
	Height float64         `json:"height,omitempty" minimum:"0" maximum:"4" description:"Metres above the court at which it leaves; else what is usual"`
	Pace   sports.Pace     `json:"pace,omitempty" description:"empty: rally pace, gentle by hand"`
	By     flight.By       `json:"by,omitempty" description:"Instead of the pace, what its flight is chosen by"`
	Value  float64         `json:"value,omitempty" minimum:"0" maximum:"100" description:"Metres, m/s or seconds, as the flight is chosen"`
	Spin   sports.SpinKind `json:"spin,omitempty"`
	RPM    float64         `json:"rpm,omitempty" minimum:"-10000" maximum:"10000" description:"Turns a minute instead of the word; less than nothing is backspin"`

	Contact Moment  `json:"contact,omitempty" description:"When the player meets it"`
	At      float64 `json:"at,omitempty" minimum:"0" maximum:"4" description:"Metres above the court at which it is met falling, for a contact at a height"`
	Stance  string  `json:"stance,omitempty" maxLength:"60" description:"A cue for the feet: open, closed"`

	Reply     *court.Mark     `json:"reply,omitempty" description:"Where the answer is to land; else on the drill's target"`
	ReplyPace sports.Pace     `json:"replyPace,omitempty"`
	ReplySpin sports.SpinKind `json:"replySpin,omitempty"`
	Recover   *court.Mark     `json:"recover,omitempty" description:"Where to go afterwards; else where the drill says"`

	Gap    float64 `json:"gap,omitempty" minimum:"0.5" maximum:"60" description:"Seconds until the next task; else the pattern's"`
	Player int     `json:"player,omitempty" minimum:"0" maximum:"3" description:"Whose task it is where several players are live, from 0"`
	Weight float64 `json:"weight,omitempty" minimum:"0" maximum:"100" description:"How often it is drawn, against the others; no figure means 1"`
	Meant  bool    `json:"meant,omitempty" description:"Too much on purpose: an overload that the coach means"`
}

// Moment is when a ball is met. Where the task does not say, serves, volleys, overheads and shuttlecocks are met
// out of the air, the others at the top of the bounce.
func (t Task) Moment(ball flight.Ball) Moment {
	switch {
	case t.Served():
		return OutOfTheAir
	case t.Contact != "":
		return t.Contact
	case !ball.Bounces(), t.Kind == CatchTask, t.Stroke.Volleyed(), sports.Of(ball.Sport).Overhead(t.Stroke):
		return OutOfTheAir
	}
	return AtTheTop
}

// Served says whether a task is a serve: the player's own toss, struck before it comes down.
func (t Task) Served() bool { return t.Stroke == sports.Serve && t.Kind.Struck() }

// Label is what a coach calls a task of a sequence.
func (t Task) Label(i int) string {
	switch {
	case t.Method == Answer:
		return fmt.Sprintf("answer %d, %s", i+1, t.Stroke)
	case t.Kind == "" || t.Kind == BallTask:
		return fmt.Sprintf("ball %d, %s", i+1, t.Stroke)
	}
	return fmt.Sprintf("task %d, %s", i+1, t.Kind)
}

// GapOf is the seconds from a task to the next one.
func (p Pattern) GapOf(t Task) float64 {
	if t.Gap > 0 {
		return t.Gap
	}
	return p.Gap
}

// MethodOf is how a task's ball is fed.
func (p Pattern) MethodOf(t Task) Method {
	if t.Served() {
		return SelfDrop
	}
	if t.Method != "" {
		return t.Method
	}
	return p.Method
}
