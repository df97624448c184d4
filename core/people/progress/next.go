// Package progress says where a student stands with each stroke, and what they should do next, from the evidence.
package progress

import (
	"fmt"
	"time"

	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/core/people/ladder"
	"hodometer/core/people/skill"
)

// Evidence is what one student did in one run of one drill.
type Evidence struct {
	At     time.Time
	Drill  string
	Rung   ladder.Quality
	Made   int
	Missed int
}

// Decision is the advice for the next lesson.
type Decision string

// The decisions.
const (
	StepUp   Decision = "step up"
	Stay     Decision = "stay"
	ThinOut  Decision = "thin out one thing"
	StepBack Decision = "step back"
)

// Advice is a decision with its reason.
type Advice struct {
	Decision   Decision          `json:"decision"`
	Rung       ladder.Quality    `json:"rung" description:"Where the student stands"`
	Next       ladder.Quality    `json:"next" description:"Where the decision leads; the same rung for stay"`
	Reason     string            `json:"reason"`
	Beside     []string          `json:"beside" description:"What else there is to think of, a sentence each"`
	Made       int               `json:"made" description:"On the rung, since they came to it"`
	Balls      int               `json:"balls"`
	Held       bool              `json:"held" description:"What they make says step up, something beside it holds that back"`
	Chance     *float64          `json:"chance" description:"How often they make the standard task of the rung, most likely; null where none is known"`
	Asked      float64           `json:"asked" description:"How often it is to be made"`
	Makes      string            `json:"makes" description:"Where the balls of the standard task go; empty where there is none"`
	Derivation metric.Derivation `json:"derivation"`
}

// Known is what a step on a rung is decided from.
type Known struct {
	Ladder    []ladder.Quality // all rungs, lowest first
	Rung      ladder.Quality
	Evidence  []Evidence // on the rung, since they came to it
	Placed    bool       // they were put on a rung: else it is only known where they begin
	Counted   int        // balls of drills of the stroke, whichever of their balls are struck with it
	Standards map[ladder.Quality]Standard
	Skill     *skill.Skill
	Of        string   // the stroke, as the skill knows it
	Day       int      // on which it is asked
	Options   []Option // at which they were counted; the standard task itself is always one
	InPoints  bool     // the stroke was counted while points were played
	Bounds    Bounds
	Beside    Beside
}

// Better is how much better than their level they are at the stroke.
func (k Known) Better() skill.Estimate { return k.Skill.Stroke(k.Of, k.Day) }

// leastBalls is how many balls of a stroke are counted before anything is said of it, and how many on a rung that is
// seen in its own drills only. Common practice, no source.
const leastBalls = 12

// Advise decides the next step on a rung, by how likely the player is to make the standard task of the rung as often as
// is asked: all that was counted of the stroke weighs as much as its difficulty makes it worth. Clear upwards they go
// on. Clear the other way they go back where the rung below does not hold either, and else take
// one thing away where less than half is made. What stands beside it may hold a step up back, but is never mixed into
// the chance.
func Advise(k Known) Advice {
	own, measured := k.Standards[k.Rung]
	if measured && k.InPoints {
		k.Beside.Points = &InPoints{own.Chance(k.Better()), own.Chance(k.Skill.InPoints(k.Of, k.Day))}
	}
	a := Advice{Decision: Stay, Rung: k.Rung, Next: k.Rung, Beside: k.Beside.said()}
	for _, e := range k.Evidence {
		a.Made, a.Balls = a.Made+e.Made, a.Balls+e.Made+e.Missed
	}
	a.Asked, a.Makes = k.Bounds.Bar, own.Makes
	counted := max(k.Counted, k.Skill.Tried(k.Of))
	switch {
	case !measured:
		a.Reason = fmt.Sprintf("There is no standard task for this, so %s is yours to judge.", k.Rung)
	case counted == 0:
		a.Reason = fmt.Sprintf("Nothing counted of this stroke yet, so nothing is known. Count %s first.",
			units.Balls(leastBalls))
	case counted < leastBalls:
		a.Reason = fmt.Sprintf("Only %s of this stroke counted so far. Count %d before anything is decided.",
			units.Balls(counted), leastBalls)
	default:
		k.decide(&a, own)
	}
	a.Derivation = k.explain(a, own, measured)
	return a
}

func (k Known) decide(a *Advice, own Standard) {
	better := k.Better()
	chance, sure := own.Chance(better), own.Sure(better, k.Bounds.Bar)
	a.Chance = &chance
	makes := fmt.Sprintf("About %s of 10 go %s", ofTen(chance), own.Makes)
	lower, canFall := k.Rung.Beside(k.Ladder, -1)
	switch {
	case sure >= k.Bounds.Up && own.Itself && a.Balls < leastBalls:
		a.Reason = fmt.Sprintf("%s; but only %s of %s itself counted here. It shows in its own drills: count %d of them.",
			makes, units.Balls(a.Balls), k.Rung, leastBalls)
	case sure >= k.Bounds.Up:
		k.up(a, makes)
	case sure > k.Bounds.Back:
		a.Reason = fmt.Sprintf("%s, and %s are wanted: not clear yet. %s", makes, ofTen(k.Bounds.Bar), k.clearer())
	case canFall && k.Standards[lower].Sure(better, k.Bounds.Bar) < 0.5:
		a.Decision, a.Next = StepBack, lower
		a.Reason = fmt.Sprintf("%s where %s are wanted, and %s does not hold either. Go back to %s, %s, until it does.",
			makes, ofTen(k.Bounds.Bar), lower, lower, lower.Plain())
	case chance < 0.5:
		a.Decision = ThinOut
		a.Reason = fmt.Sprintf("%s where %s are wanted. Take one thing away – a larger target, a slower feed, less "+
			"running – until it comes, then add it again.", makes, ofTen(k.Bounds.Bar))
	default:
		a.Reason = fmt.Sprintf("%s; %s are wanted. It is coming: stay with it.", makes, ofTen(k.Bounds.Bar))
	}
}

// up is a step up, unless something holds it back: a rung at a time, but for who was put nowhere so far, who begins
// where it is no longer clear.
func (k Known) up(a *Advice, makes string) {
	next, there := k.Rung.Beside(k.Ladder, 1)
	var also []string
	for !k.Placed && there {
		standard, measured := k.Standards[next]
		if !measured || standard.Itself || standard.Sure(k.Better(), k.Bounds.Bar) < k.Bounds.Up {
			break
		}
		also = append(also, string(next))
		next, there = next.Beside(k.Ladder, 1)
	}
	switch held := k.Beside.holds(k.Bounds); {
	case !there:
		a.Reason = fmt.Sprintf("%s: %s is the top rung and it is met. Keep it fresh in points.", makes, k.Rung)
	case held != "":
		a.Held = true
		a.Reason = fmt.Sprintf("%s, enough to go on; but %s", makes, held)
	default:
		a.Decision, a.Next = StepUp, next
		is := "is"
		if len(also) > 0 {
			is = "are"
		}
		there := units.And(append([]string{string(k.Rung)}, also...))
		a.Reason = fmt.Sprintf("%s, and %s are wanted: %s %s there. Go on to %s, %s.",
			makes, ofTen(k.Bounds.Bar), there, is, next, next.Plain())
	}
}

// clearer is what would make a step clear.
func (k Known) clearer() string {
	by, ok := k.Settle()
	if !ok {
		return "They are about at what is wanted, so it may stay open for a while: go by what you see."
	}
	return fmt.Sprintf("%s of %d %s at %s would make it clear, most likely.",
		units.Title(units.Count(by.Lessons, "lesson", "lessons")), by.Look.Attempts, by.Unit, by.Name)
}

// Resting is the advice for a stroke that is spared while something hurts: it stays where it is, and nothing is
// proposed.
func (a Advice) Resting(what string) Advice {
	a.Decision, a.Next, a.Held = Stay, a.Rung, false
	a.Reason = fmt.Sprintf(
		"Rested while it hurts (%s): nothing is proposed. Pain means stop; a licensed practitioner says when it goes on.",
		what,
	)
	return a
}

// ofTen is a chance as so many of ten.
func ofTen(chance float64) string { return units.Decimal(10*chance, 1) }

func (k Known) explain(a Advice, own Standard, measured bool) metric.Derivation {
	d := metric.Derivation{
		Figure: "Next step on " + string(a.Rung), Value: string(a.Decision),
		Formula: "How likely the standard task is made as often as is asked, by all that was counted of the stroke",
		Inputs:  []metric.Input{{Name: "Counted of the stroke", Value: units.Balls(max(k.Counted, k.Skill.Tried(k.Of)))}},
		Source: "A whole history fitted (Coulom, Whole-History Rating, 2008); what is asked, and when it is clear, is " +
			"common practice, no source",
	}
	if !measured {
		return d
	}
	better := k.Better()
	d.Inputs = append(d.Inputs,
		metric.Input{Name: "Standard task", Value: own.Task},
		metric.Input{Name: "Made by somebody of the level", Value: "about " + ofTen(own.Chance(skill.Estimate{})) + " of 10"},
		metric.Input{Name: "Made by this player", Value: "about " + ofTen(own.Chance(better)) + " of 10"},
		metric.Input{Name: "Asked", Value: ofTen(k.Bounds.Bar) + " of 10"},
		metric.Input{Name: "How likely that is reached", Value: ofTen(own.Sure(better, k.Bounds.Bar)) + " in 10"},
		metric.Input{Name: "Up from", Value: ofTen(k.Bounds.Up) + " in 10"},
		metric.Input{Name: "Back from", Value: ofTen(k.Bounds.Back) + " in 10"},
	)
	return d
}
