// Package feed is the sequence of balls a feeder plays and when each of them leaves.
//
// Gap is the seconds between two releases in a sequence, feed rate is 60/gap, pause is the seconds
// after a sequence, and block rate is balls a minute with everything counted.
package feed

import (
	"hodometer/core/court"
)

// Way is how a ball is brought into play.
type Way string

// The ways of feeding.
const (
	ByHand   Way = "hand"
	ByRacket Way = "racket"
	Machine  Way = "machine"
	Partner  Way = "partner"
)

// Enum lists the ways for the schema.
func (Way) Enum() []any { return []any{ByHand, ByRacket, Machine, Partner} }

// Stroke is what the player answers with.
type Stroke string

// The strokes of the five sports.
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
)

// Enum lists the strokes for the schema.
func (Stroke) Enum() []any {
	return []any{Forehand, Backhand, ForehandVolley, BackhandVolley, Overhead, Serve, Return, Approach, Drop, Clear, Smash, Lift, Dink}
}

// AboveHead says whether the stroke loads the shoulder above the head.
func (s Stroke) AboveHead() bool {
	return s == Overhead || s == Serve || s == Clear || s == Smash
}

// Ball is one fed ball.
type Ball struct {
	Stroke  Stroke     `json:"stroke" description:"What the player answers with"`
	Landing court.Mark `json:"landing"`
}

// Pattern is a sequence of balls, played several times in a turn.
type Pattern struct {
	Way       Way     `json:"way"`
	Balls     []Ball  `json:"balls" minItems:"1" maxItems:"12"`
	Gap       float64 `json:"gap" minimum:"0.5" maximum:"60" description:"Seconds between two releases"`
	Sequences int     `json:"sequences" minimum:"1" maximum:"20" description:"Times the sequence is played in one turn"`
	Pause     float64 `json:"pause" minimum:"0" maximum:"120" description:"Seconds after each sequence"`
}

// BallsPerTurn is how many balls one player gets in one turn.
func (p Pattern) BallsPerTurn() int { return len(p.Balls) * p.Sequences }

// SequenceSeconds is how long one sequence takes with the pause after it.
func (p Pattern) SequenceSeconds() float64 { return float64(len(p.Balls))*p.Gap + p.Pause }

// TurnSeconds is how long one turn takes, pauses included.
func (p Pattern) TurnSeconds() float64 { return float64(p.Sequences) * p.SequenceSeconds() }

// Rate is the feed rate in balls a minute.
func (p Pattern) Rate() float64 { return 60 / p.Gap }

// BlockRate is balls a minute with the pauses counted.
func (p Pattern) BlockRate() float64 { return 60 * float64(p.BallsPerTurn()) / p.TurnSeconds() }

// Releases returns the second at which each ball of a turn leaves, from the first.
func (p Pattern) Releases() []float64 {
	releases := make([]float64, 0, p.BallsPerTurn())
	for sequence := range p.Sequences {
		for ball := range p.Balls {
			releases = append(releases, float64(sequence)*p.SequenceSeconds()+float64(ball)*p.Gap)
		}
	}
	return releases
}

// Count is how many balls of a turn ask for a stroke of some sort.
func (p Pattern) Count(sort func(Stroke) bool) int {
	n := 0
	for _, ball := range p.Balls {
		if sort(ball.Stroke) {
			n += p.Sequences
		}
	}
	return n
}

// Mirrored is the pattern with left and right swapped: the same strokes for the other hand.
func (p Pattern) Mirrored() Pattern {
	balls := make([]Ball, len(p.Balls))
	for i, ball := range p.Balls {
		ball.Landing = ball.Landing.Mirrored()
		balls[i] = ball
	}
	p.Balls = balls
	return p
}
