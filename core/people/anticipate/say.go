package anticipate

import (
	"fmt"
	"math"
	"strings"

	"hodometer/core/basics/metric"
	"hodometer/core/basics/say"
	"hodometer/core/basics/units"
	"hodometer/core/sport/court"
)

// Say puts a standing place into words: where it is from the middle, what is held there, and what is given up.
func (a Answer) Say(s Stand, tape court.Tape) string {
	middle := a.Stands[0]
	held := fmt.Sprintf("%s of 100 are held", hundredth(s.Held))
	sentence := "In the middle: " + held
	if where := a.from(middle.At, s.At, tape); where != "" {
		sentence = where
		if s.Lean != "" {
			sentence += ", leaning " + s.Lean
		}
		sentence += ": " + held
		if s.School != TheMiddle {
			sentence += fmt.Sprintf(", %s in the middle", hundredth(middle.Held))
		}
	}
	if lost := a.givenUp(s); len(lost) > 0 {
		if s.School == LeastBad {
			return say.Of("stand.not all", sentence, units.And(lost)).String()
		}
		return sentence + "; you give up " + units.And(lost)
	}
	return sentence + "; nothing is given up"
}

// Cost says what going back to the middle by rote costs; empty where it costs nothing.
func (a Answer) Cost() string {
	best := a.Stands[0]
	for _, s := range a.Stands {
		if s.Held > best.Held {
			best = s
		}
	}
	lost := math.Round(100*best.Held) - math.Round(100*a.Stands[0].Held)
	if lost < 1 {
		return "Back to the middle costs nothing here."
	}
	return fmt.Sprintf("Back to the middle costs %g of 100.", lost)
}

func hundredth(share float64) string { return units.Decimal(100*share, 0) }

// from says how a place lies from another one; empty within a hand's breadth.
func (a Answer) from(middle, at court.Point, tape court.Tape) string {
	const breadth, aside = 0.1, 0.5
	var parts []string
	if across := at.X - middle.X; math.Abs(across) >= breadth {
		side := "to the right"
		switch {
		case math.Abs(a.From.X) < aside && across < 0:
			side = "to the left"
		case math.Abs(a.From.X) >= aside && across*a.From.X > 0:
			side = "to the side of the ball"
		case math.Abs(a.From.X) >= aside:
			side = "away from the side of the ball"
		}
		parts = append(parts, tape.Length(math.Abs(across))+" "+side)
	}
	if along := at.Y - middle.Y; math.Abs(along) >= breadth {
		way := "forward"
		if along < 0 {
			way = "back"
		}
		parts = append(parts, tape.Length(math.Abs(along))+" "+way)
	}
	return units.And(parts)
}

// givenUp are the replies that are held less than one time in three.
func (a Answer) givenUp(s Stand) (names []string) {
	for i, c := range a.Coming {
		if c.Chance > 0 && s.Each[i] < given {
			names = append(names, fmt.Sprintf("%s (%s)", theReply(c.Reply), inTen(c.Chance)))
		}
	}
	return names
}

// theReply is a reply with its article: the cross drop, the ball down the line.
func theReply(name string) string {
	for _, where := range []string{"down ", "deep ", "at ", "to ", "fast to ", "short to ", "floated "} {
		if strings.HasPrefix(name, where) {
			return "the ball " + name
		}
	}
	return "the " + name
}

// Derivation says how what is held came about.
func (a Answer) Derivation(s Stand) metric.Derivation {
	d := metric.Derivation{
		Figure: "Held, " + string(s.School),
		Value:  hundredth(s.Held) + " of 100",
		Formula: fmt.Sprintf(
			"of each reply its chance × what is held of it: how often it is reached (the own start varies by %g s) × how "+
				"well it is met, 1 at ease, the less the more hurried, %g at least; replies fly as they do in play, and places "+
				"up to %s from the middle were tried",
			start,
			poorest,
			units.Metres.Length(a.Within),
		),
		Source: "Flights and runs as in every drill; likely replies, and what a hurried ball is worth: common practice, " +
			"no source",
		Inputs: []metric.Input{},
	}
	var parts []metric.Part
	for i, c := range a.Coming {
		if c.Possible && c.Chance == 0 { // what never comes is no reply
			continue
		}
		value := "cannot be played from there: " + c.Why
		if c.Possible {
			value = units.Decimal(c.Seconds, 2) + " s until it lands"
			held := metric.Times.Work(c.Reply, metric.OfHundred,
				metric.OfHundred.Of("It comes", c.Chance), metric.OfHundred.Of("It is held", s.Each[i]))
			d.Sums, parts = append(d.Sums, held), append(parts, held.Gives)
		}
		d.Inputs = append(d.Inputs, metric.Input{Name: c.Reply, Value: value})
	}
	d.Sums = append(d.Sums, metric.Added.Work("Held", metric.OfHundred, parts...))
	return d.Settled()
}
