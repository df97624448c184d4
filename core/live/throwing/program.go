// Package throwing is a ball machine and an eye for landings as they behave, without wires: a machine takes a program,
// throws it ball by ball at its rate with some jitter, has a hopper of some size, runs empty and can jam; an eye says
// where the balls of a player land.
package throwing

import (
	"context"
	"math"

	"hodometer/core/basics/invalid"
	"hodometer/core/drill"
	"hodometer/core/drill/simulation"
	"hodometer/core/people/coach"
	"hodometer/core/people/footwork"
	"hodometer/core/sport/court"
)

// What a machine does at most.
const (
	ShortestWait = 0.3 // seconds
	longestWait  = 600
	mostBalls    = 400
	fastest      = 100 // m/s
)

// Ball is one ball of a program.
type Ball struct {
	To    court.Point `json:"to" description:"Where it lands first, in metres from the middle of the net"`
	Speed float64     `json:"speed" minimum:"0" maximum:"100" description:"As it leaves, m/s"`
	Wait  float64     `json:"wait" minimum:"0.3" maximum:"600" description:"Seconds until the next one"`
}

// Program is what a machine throws, in its order, again and again.
type Program struct {
	Name  string `json:"name" maxLength:"120"`
	Balls []Ball `json:"balls" minItems:"1" maxItems:"400"`
}

// Rate is how many balls a minute it throws when it waits so many times as long as it says; 0 for none.
func (p Program) Rate(times float64) float64 {
	seconds := 0.0
	for _, b := range p.Balls {
		seconds += max(ShortestWait, b.Wait*times)
	}
	if seconds <= 0 {
		return 0
	}
	return 60 * float64(len(p.Balls)) / seconds
}

// Check says what is wrong with a program.
func (p Program) Check() error {
	var wrong invalid.Fields
	if len(p.Balls) == 0 || len(p.Balls) > mostBalls {
		wrong.Add("balls", "a program has 1 to %d balls", mostBalls)
	}
	for i, b := range p.Balls {
		if !(b.Wait >= ShortestWait && b.Wait <= longestWait) {
			wrong.Add(
				invalid.Join("balls", i, "wait"),
				"%g to %g seconds until the next ball",
				ShortestWait,
				float64(longestWait),
			)
		}
		if !(b.Speed >= 0 && b.Speed <= fastest) {
			wrong.Add(invalid.Join("balls", i, "speed"), "0 to %g m/s", float64(fastest))
		}
		if !(math.Abs(b.To.X) <= 100 && math.Abs(b.To.Y) <= 100) {
			wrong.Add(invalid.Join("balls", i, "to"), "a place within 100 m")
		}
	}
	return wrong.Err()
}

// Of is the program that feeds one turn of a drill to a player, as the drill is worked out: the balls that a feeder
// feeds, each at its place, speed and time. A drill in which nothing is fed has none. It returns invalid.Fields, or
// ctx.Err() when cancelled.
func Of(ctx context.Context, d drill.Document, player footwork.Player, s coach.Settings) (Program, error) {
	turn, err := simulation.TurnOf(ctx, d, player, s)
	if err != nil {
		return Program{}, err
	}
	p := Program{Name: d.Name}
	var released []float64
	for _, m := range turn.Interceptions {
		if m.Problem != "" || m.Skipped || m.Served || m.Speed <= 0 || d.Pattern.Rally != nil {
			continue
		}
		to := m.Body
		if m.Bounce != nil {
			to = court.Point{X: m.Bounce.X, Y: m.Bounce.Y}
		}
		p.Balls, released = append(p.Balls, Ball{To: to, Speed: m.Speed}), append(released, m.Release)
	}
	if len(p.Balls) == 0 {
		return p, invalid.Fields{{Path: "pattern", Message: "no ball is fed in this drill: a machine has nothing to throw"}}
	}
	for i := range p.Balls {
		next := turn.Seconds + released[0] // the next turn begins
		if i+1 < len(released) {
			next = released[i+1]
		}
		p.Balls[i].Wait = min(longestWait, max(ShortestWait, next-released[i]))
	}
	return p, p.Check()
}
