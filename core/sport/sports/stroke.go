package sports

import "slices"

// Stroke is what the player answers with.
type Stroke string

// The strokes, each of some of the sports.
const (
	Forehand       Stroke = "forehand"
	Backhand       Stroke = "backhand"
	ForehandVolley Stroke = "forehand volley"
	BackhandVolley Stroke = "backhand volley"
	Overhead       Stroke = "overhead"
	Serve          Stroke = "serve"
	Return         Stroke = "return"
	Approach       Stroke = "approach"
	Drop           Stroke = "drop"
	Clear          Stroke = "clear"
	Smash          Stroke = "smash"
	Lift           Stroke = "lift"
	Dink           Stroke = "dink"
	Lob            Stroke = "lob"
	Drive          Stroke = "drive"
	Net            Stroke = "net shot"
	Boast          Stroke = "boast"
	Push           Stroke = "push"
	Loop           Stroke = "loop"
	Flick          Stroke = "flick"
	Block          Stroke = "block"
)

// What is worked on without a stroke of a ball: each has a ladder of its own, so that it raises no stroke.
const (
	Footwork  Stroke = "footwork"
	Technique Stroke = "technique"
)

// Soft says whether a stroke is to drop short.
func (s Stroke) Soft() bool { return slices.Contains([]Stroke{Drop, Dink, Net, Block, Boast}, s) }

// OtherWing is the same stroke from the other side of the body; strokes that have no sides stay.
func (s Stroke) OtherWing() Stroke {
	other := map[Stroke]Stroke{
		Forehand:       Backhand,
		Backhand:       Forehand,
		ForehandVolley: BackhandVolley,
		BackhandVolley: ForehandVolley,
	}
	if o, ok := other[s]; ok {
		return o
	}
	return s
}

// OnBackhand says whether a stroke is played on the backhand side.
func (s Stroke) OnBackhand() bool { return s == Backhand || s == BackhandVolley }

// Volleyed says whether the stroke is played out of the air near the net.
func (s Stroke) Volleyed() bool { return s == ForehandVolley || s == BackhandVolley }
