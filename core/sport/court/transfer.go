package court

import (
	"math"

	"hodometer/core/basics/units"
)

// Transfer is what becomes of a mark on another court.
type Transfer struct {
	Keeps  Outcome `json:"keeps" description:"With its offsets as they are"`
	Scales Outcome `json:"scales" description:"With offsets that grow or shrink with the court"`
	Plain  Outcome `json:"plain" description:"As a plain place, at the same share of the court and at most at its edge; for a mark whose lines are not there"`
}

// Outcome is a mark on another court: where it is, or why it makes no sense there.
type Outcome struct {
	Mark    Mark   `json:"mark"`
	At      *Point `json:"at" description:"Null where the mark makes no sense"`
	Wording string `json:"wording" description:"The place there as a coach says it"`
	Problem string `json:"problem" description:"Why it makes no sense; empty where it does"`
}

// Preview shows a mark of this court on another one, both with its offsets kept and with them scaled.
func (c Court) Preview(m Mark, to Court, t Tape) Transfer {
	keeps, scales := m, m
	keeps.Scales, scales.Scales = false, true
	plain := Outcome{Mark: m, Problem: "it makes no sense on this court either"}
	if at, err := c.Resolve(m); err == nil {
		scaled := c.onto(Mark{Place: &at, Scales: true}, to)
		x, y := to.Width/2+to.RunOff.Side, to.Length/2+to.RunOff.Back
		held := Point{units.Kept(math.Max(-x, math.Min(x, scaled.Place.X))),
			units.Kept(math.Max(-y, math.Min(y, scaled.Place.Y)))}
		plain = to.outcome(Mark{Place: &held}, t)
	}
	return Transfer{Plain: plain, Keeps: to.outcome(c.onto(keeps, to), t), Scales: to.outcome(c.onto(scales, to), t)}
}

// TransferTo carries a mark over to another court in the way the mark itself says. Nothing is lost: a mark
// that makes no sense there is returned all the same, with the reason.
func (c Court) TransferTo(m Mark, to Court) Outcome { return to.outcome(c.onto(m, to), Tape{}) }

func (c Court) outcome(m Mark, t Tape) Outcome {
	at, err := c.Resolve(m)
	if err != nil {
		return Outcome{Mark: m, Problem: err.Error()}
	}
	return Outcome{Mark: m, At: &at, Wording: c.Describe(m, t)}
}

// onto rewrites a mark for another court. Lines and fractions stay as they are said; only the lengths of
// a mark that scales change: along the court with its length, across it with its width.
func (c Court) onto(m Mark, to Court) Mark {
	if !m.Scales {
		return m
	}
	long, wide := to.Length/c.Length, to.Singles/c.Singles
	// A line that one of the courts lacks still runs as it does on the other.
	ratio := func(id LineID) float64 {
		line, ok := c.Line(id)
		if !ok {
			line, ok = to.Line(id)
		}
		if ok && line.Across() {
			return long
		}
		return wide
	}
	scaled := Mark{View: m.View, Scales: true}
	if m.Place != nil {
		scaled.Place = &Point{X: units.Kept(m.Place.X * wide), Y: units.Kept(m.Place.Y * long)}
	}
	if m.Along != nil {
		along := *m.Along
		along.Distance = units.Kept(along.Distance * long * wide / ratio(along.Line)) // along a line, not away from it
		scaled.Along = &along
	}
	for _, measure := range m.Measures {
		measure.Distance = units.Kept(measure.Distance * ratio(measure.Line))
		scaled.Measures = append(scaled.Measures, measure)
	}
	return scaled
}

// Side is a side of the court as some player has it.
type Side string

// The sides. Deuce is a player's own right, ad their left; forehand and backhand depend on the hand.
const (
	LeftSideOf   Side = "left"
	RightSideOf  Side = "right"
	DeuceSide    Side = "deuce"
	AdSide       Side = "ad"
	ForehandSide Side = "forehand"
	BackhandSide Side = "backhand"
)

// SideSign returns the sign of x on a side of the player at an end; leftHanded is about that player.
func SideSign(side Side, end End, leftHanded bool) float64 {
	sign := 1.0
	switch {
	case side == LeftSideOf, side == AdSide, side == ForehandSide && leftHanded, side == BackhandSide && !leftHanded:
		sign = -1
	}
	if end == FarEndPlayer {
		sign = -sign
	}
	return sign
}
