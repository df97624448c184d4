package drill

import (
	"slices"

	"hodometer/core/basics/invalid"
	"hodometer/core/count/score"
	"hodometer/core/sport/court"
)

// CountBy is what a make is about.
type CountBy string

// A ball can count for where it lands, for how the player moved, or only when both were right. Out is
// never a make.
const (
	ByLanding  CountBy = "landing"
	ByMovement CountBy = "movement"
	ByBoth     CountBy = "both"
)

// Counts says what counts as a made ball in a drill, and what else is marked. The zero value counts
// landings and marks nothing else.
type Counts struct {
	By       CountBy     `json:"by,omitempty" description:"empty: landing"`
	Criteria []Criterion `json:"criteria,omitempty" maxItems:"4" description:"Of movement: what makes it right"`
	NoCount  bool        `json:"noCount,omitempty" description:"A bad feed or a let can be marked: it is played again and counts for nobody"`
	Misses   bool        `json:"misses,omitempty" description:"Each miss is marked net, long or wide"`
	Choices  bool        `json:"choices,omitempty" description:"Each ball is marked right or wrong choice, apart from made or missed"`
	Forfeit  string      `json:"forfeit,omitempty" maxLength:"60" description:"What a miss costs whoever wants it to; empty: nothing"`
}

// Costs puts the forfeit of a miss into words; empty where there is none.
func (c Counts) Costs() string {
	if c.Forfeit == "" {
		return ""
	}
	return "after a miss, for whoever wants: " + c.Forfeit
}

// Kinds says whether misses are marked by their kind: where the measure asks for it, or a goal is about one kind.
func (m Measure) Kinds() bool {
	return m.Counts.Misses || slices.ContainsFunc(m.Goals, func(g score.Goal) bool { return g.Only != "" })
}

// NoGo is a line that no ball may cross or an area where none may land.
type NoGo struct {
	Line court.LineID  `json:"line,omitempty" maxLength:"40"`
	Area *court.Target `json:"area,omitempty"`
}

func (n NoGo) check(c court.Court, simulation court.Format) error {
	var wrong invalid.Fields
	if (n.Line == "") == (n.Area == nil) {
		wrong.Add("line", "name either a line or an area where no ball may go")
		return wrong.Err()
	}
	if n.Area != nil {
		_, err := c.Shape(*n.Area, simulation)
		wrong.Under("area", err)
	} else if _, ok := c.Line(n.Line); !ok {
		wrong.Add("line", "%s has no line called %q", c.Name, n.Line)
	}
	return wrong.Err()
}

func (n NoGo) mirrored() NoGo {
	n.Line = n.Line.Mirrored()
	if n.Area != nil {
		area := n.Area.Mirrored()
		n.Area = &area
	}
	return n
}
