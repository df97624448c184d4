// Package footwork is how far a player runs in a pattern, how fast, and whether each ball can be reached.
//
// A pattern, a player and a tempo give a timeline: when each ball leaves, crosses the net, bounces and is
// met, where the player is, how far they run, the time they need and the time there is. The player really
// moves: who had no time to recover starts the next run from where they were.
package footwork

import (
	"math"

	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// Player is what of a player matters to running. Defaults are from For; every figure of them is common
// practice or from memory, no source.
type Player struct {
	Reaction   float64 `json:"reaction" minimum:"0.05" maximum:"1.5" description:"Seconds from the feeder's strike to the first step, when the ball is not known before"`
	Speedup    float64 `json:"speedup" minimum:"0.5" maximum:"10" description:"Acceleration, m/s²"`
	Top        float64 `json:"top" minimum:"1" maximum:"10" description:"Top speed on court, m/s"`
	Reach      float64 `json:"reach" minimum:"0.2" maximum:"2" description:"Metres from the body to a ball that is met in comfort"`
	LungeReach float64 `json:"lungeReach" minimum:"0.3" maximum:"3" description:"Metres from the body to a ball that is met in a lunge"`
	Scatter    float64 `json:"scatter" minimum:"0.5" maximum:"2" description:"How much wider their balls scatter than those of an adult of the level"`
	Power      float64 `json:"power" minimum:"0.1" maximum:"1.5" description:"How hard they strike, as a share of an adult tournament player"`
	High       float64 `json:"high" minimum:"1" maximum:"4" description:"Metres above the floor at which a ball is met overhead at most"`

	Hand     student.Hand     `json:"hand"`
	Backhand student.Backhand `json:"backhand"`
}

// byLevel are reaction, acceleration, top speed and power of an adult. Common practice, no source; from 5 m to 10 m of
// a sprint a club or tournament player comes out at 0.76 to 0.82 s, adults are known at 0.65 to 0.85 s (Ulbricht et
// al., J. Strength Cond. Res. 30 (2016) 989, from memory). Who has just begun is slower than those who were timed.
var byLevel = map[student.Level][4]float64{
	student.Red: {0.50, 4.6, 5.7, 0.39}, student.Orange: {0.43, 5.0, 5.8, 0.50}, student.Green: {0.37, 5.6, 6.0, 0.60},
	student.Beginner: {0.45, 5.2, 5.3, 0.58}, student.Improver: {0.38, 5.8, 5.7, 0.70},
	student.Club: {0.32, 6.6, 6.1, 0.84}, student.Tournament: {0.25, 8.2, 6.6, 1},
}

// byAge is the share of an adult's speed, the height as a share of an adult's, and how much wider balls scatter than
// those of an adult of the same level. From memory; the scatter is common practice, no source.
var byAge = map[student.AgeBand][3]float64{
	student.Under8: {0.78, 0.70, 1.1}, student.Eight: {0.86, 0.78, 1.05}, student.Eleven: {0.94, 0.87, 1},
	student.Fourteen: {1, 0.96, 1}, student.Adult: {1, 1, 1}, student.Sixty: {0.78, 0.98, 1.05},
}

// For is the player that somebody of an age and level is taken for.
func For(
	sport court.Sport,
	age student.AgeBand,
	level student.Level,
	hand student.Hand,
	backhand student.Backhand,
) Player {
	by, ok := byLevel[level]
	if !ok {
		by = byLevel[student.Club]
	}
	share, ok := byAge[age]
	if !ok {
		share = byAge[student.Adult]
	}
	of := sports.Of(sport)
	return Player{
		Reaction: by[0] / math.Sqrt(
			share[0],
		),
		Speedup:    by[1] * share[0],
		Top:        by[2] * share[0],
		Power:      by[3] * share[0],
		Scatter:    share[2],
		Reach:      of.Reach * share[1],
		LungeReach: of.Lunge * share[1],
		High:       of.High * share[1],
		Hand:       hand,
		Backhand:   backhand,
	}
}

// Usual is the age that goes with a level where nobody in particular is meant.
func Usual(level student.Level) student.AgeBand {
	switch level {
	case student.Red:
		return student.Under8
	case student.Orange:
		return student.Eight
	case student.Green:
		return student.Eleven
	}
	return student.Adult
}

// Seconds is how long a run takes: with even acceleration up to the top speed, then on at it.
//
//	t = √(2d/a) while d ≤ v²/(2a), else d/v + v/(2a)
func (p Player) Seconds(metres float64) float64 {
	if metres <= 0 {
		return 0
	}
	if metres <= p.Top*p.Top/(2*p.Speedup) {
		return math.Sqrt(2 * metres / p.Speedup)
	}
	return metres/p.Top + p.Top/(2*p.Speedup)
}

// Metres is how far a run gets in so many seconds.
func (p Player) Metres(seconds float64) float64 {
	if seconds <= 0 {
		return 0
	}
	if up := p.Top / p.Speedup; seconds > up {
		return p.Top * (seconds - up/2)
	}
	return p.Speedup * seconds * seconds / 2
}

// right is the sign of the side on which a right-hander has the racket, and of its mirror image for a left-hander.
func (p Player) right() float64 {
	if p.Hand == student.LeftHand {
		return -1
	}
	return 1
}
