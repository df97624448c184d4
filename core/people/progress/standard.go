package progress

import (
	"math"

	"hodometer/core/people/coach"
	"hodometer/core/people/ladder"
	"hodometer/core/people/skill"
	"hodometer/core/sport/sports"
)

// Bounds are when a step is clear: how often the standard task of a rung is to be made, and how likely it is to be at
// that where it goes up, and where it goes back. Common practice, no source; the calibrated simulations of this package
// say what they do.
type Bounds struct{ Bar, Up, Back float64 }

// Usual are the bounds where the coach has no own.
func Usual() Bounds { return Bounds{Bar: 0.675, Up: 0.9, Back: 0.1} }

// BoundsOf are those that a coach chose, and the usual ones where they chose none.
func BoundsOf(s coach.Steps) Bounds {
	b := Usual()
	for _, own := range []struct {
		of   *float64
		says float64
	}{{&b.Bar, s.Wanted}, {&b.Up, s.Up}, {&b.Back, s.Back}} {
		if own.says > 0 {
			*own.of = own.says / 10
		}
	}
	return b
}

// Standard is a rung as one player is measured on it.
type Standard struct {
	Attempt skill.Attempt // the standard task, as the level's model judges it
	Task    string        // it, in words
	Makes   string        // where its balls go, after “7 of 10”, for somebody who does not coach
	Itself  bool          // seen in its own drills only: others say nothing of it
}

// StandardOf is a quality of a stroke as one player is measured on it, whose level's model judges its standard task so.
func StandardOf(q ladder.Quality, stroke sports.Stroke, judged skill.Attempt) Standard {
	task := ladder.TaskOf(q)
	return Standard{Attempt: judged, Task: task.Say(), Makes: task.Plain(stroke), Itself: q.Itself()}
}

// StandardOfMoving is a rung of what nobody strikes: it is seen in its own drills, as right as is usual for the level.
func StandardOfMoving(usual skill.Attempt) Standard {
	return Standard{Attempt: usual, Task: "what is counted in its drills", Makes: "as they should", Itself: true}
}

// Sure is how likely it is that somebody who is so much better than their level makes a standard task at least so
// often.
func (s Standard) Sure(better skill.Estimate, bar float64) float64 {
	above := better.Mean - s.Attempt.Reaches(bar)
	if better.SD == 0 {
		if above >= 0 {
			return 1
		}
		return 0
	}
	return 0.5 * math.Erfc(-above/better.SD/math.Sqrt2)
}

// Chance is how often they make it, most likely.
func (s Standard) Chance(better skill.Estimate) float64 {
	return skill.Belief{Better: better, Attempt: s.Attempt}.Chance().Mean
}
