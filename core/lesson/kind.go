package lesson

import "cmp"

// Kind is a kind of block.
type Kind string

// The kinds of block.
const (
	Body      Kind = "body warm-up"
	Ball      Kind = "ball warm-up"
	Technique Kind = "technique"
	Drill     Kind = "drill"
	Points    Kind = "drill as points"
	Game      Kind = "game"
	Serving   Kind = "serving"
	Break     Kind = "break"
	CoolDown  Kind = "cool-down"
	Talk      Kind = "closing talk"
)

// Drilled says whether a block of the kind has a drill.
func (k Kind) Drilled() bool { return k == Drill || k == Points }

// Counts says whether a block of the kind can have a drill, by which it is counted.
func (k Kind) Counts() bool { return k.Drilled() || k == Technique || k == Serving }

// PlayedAs is one of the kinds of block that a drill can be played in, in words.
type PlayedAs struct {
	Kind    Kind   `json:"kind"`
	Label   string `json:"label"`
	Drilled bool   `json:"drilled" description:"It has to have a drill"`
}

// AsPlayed lists the kinds of block that a drill can be played in.
func AsPlayed() []PlayedAs {
	words := map[Kind]string{Drill: "a drill", Points: "points"}
	var list []PlayedAs
	for _, value := range Kind("").Enum() {
		if kind, _ := value.(Kind); kind.Counts() {
			list = append(list, PlayedAs{kind, cmp.Or(words[kind], string(kind)), kind.Drilled()})
		}
	}
	return list
}

// Warms says whether a block of the kind warms up.
func (k Kind) Warms() bool { return k == Body || k == Ball }

// Rests says whether a block of the kind is rest.
func (k Kind) Rests() bool { return k == Break || k == Talk || k == CoolDown }

// usual is what is usual for a kind of block: the least and the most it has, as shares of what it should
// have, and how much its minutes matter. Common practice, no source.
func (k Kind) usual() (least, most float64, weight int) {
	switch k {
	case Body, Ball:
		return 0.7, 1.4, 4
	case Break:
		return 0.6, 1.5, 4
	case Talk, CoolDown:
		return 0.5, 1.5, 3
	case Game, Points:
		return 0.4, 2, 2
	case Serving, Technique:
		return 0.5, 1.6, 2
	}
	return 0.5, 1.8, 2
}

// LengthStep is what lengths a block comes in.
type LengthStep string

// The steps. The zero value is any length.
const (
	AnyLength      LengthStep = "any length"
	WholeMinutes   LengthStep = "whole minutes"
	EvenMinutes    LengthStep = "even minutes"
	WholeRotations LengthStep = "whole rotations"
)
