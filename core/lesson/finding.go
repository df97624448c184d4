package lesson

import (
	"fmt"
	"math"

	"hodometer/core/student"
	"hodometer/core/units"
)

// Severity is how much a finding matters.
type Severity string

// Note is good to know, Warning should be looked at, Problem cannot be run as planned.
const (
	Note    Severity = "note"
	Warning Severity = "warning"
	Problem Severity = "problem"
)

// Enum lists the severities for the schema.
func (Severity) Enum() []any { return []any{Note, Warning, Problem} }

// Finding is something the plan gives to think about.
type Finding struct {
	Severity Severity `json:"severity"`
	Block    string   `json:"block,omitempty" description:"Identifier of the block it is about"`
	Reason   string   `json:"reason"`
	Remedies []Remedy `json:"remedies"`
}

// Remedy is one change to one block that answers a finding.
type Remedy struct {
	Label   string  `json:"label"`
	Block   string  `json:"block"`
	Minutes float64 `json:"minutes,omitempty" description:"New length of the block"`
	Turns   int     `json:"turns,omitempty" description:"New turns for each player"`
}

const (
	shortestBlock = 0.5    // minutes
	plentySpare   = 5 * 60 // seconds left over that are worth a word
)

func findings(d Document, p Plan, in Inputs) []Finding {
	found := []Finding{}
	found = append(found, overrun(d, p)...)
	for i, s := range p.Stretches {
		found = append(found, blockFindings(d.Blocks[i], s, in)...)
	}
	found = append(found, warmUp(d)...)
	for _, person := range in.People {
		found = append(found, bodyFindings(person.Profile, d, in)...)
	}
	return found
}

// overrun compares the blocks with the booking and offers to shorten the longest block.
func overrun(d Document, p Plan) []Finding {
	if p.Over == 0 {
		if p.Spare >= plentySpare && len(d.Blocks) > 0 {
			return []Finding{{Severity: Note, Reason: fmt.Sprintf("%s of the booking is not planned yet.", units.Clock(p.Spare)), Remedies: []Remedy{}}}
		}
		return nil
	}
	f := Finding{Severity: Problem, Remedies: []Remedy{}, Reason: fmt.Sprintf("The blocks take %s and the booking is %d min: %s over.", units.Clock(p.Planned), d.Minutes, units.Clock(p.Over))}
	longest := d.Blocks[0]
	for _, block := range d.Blocks {
		if block.Minutes > longest.Minutes {
			longest = block
		}
	}
	if left := longest.Minutes - p.Over/60; left >= shortestBlock {
		f.Remedies = append(f.Remedies, Remedy{Label: fmt.Sprintf("Shorten %s to %s min", longest.Title, units.Decimal(left, 1)), Block: longest.ID, Minutes: left})
	}
	return []Finding{f}
}

func blockFindings(block Block, s Stretch, in Inputs) []Finding {
	if block.Kind == Drill && s.Load == nil && len(in.People) > 0 {
		return []Finding{{Severity: Problem, Block: block.ID, Remedies: []Remedy{}, Reason: block.Title + ": this drill is no longer there. Choose another one."}}
	}
	if s.Over < 1 {
		return nil
	}
	document := in.Drills[block.Drill]
	changeOver := s.SetUp - s.Load.SetUp
	turns := document.TurnsIn(block.Seconds()-changeOver, len(in.People), in.Settings)
	minutes := math.Ceil((block.Seconds()+s.Over)/30) / 2
	f := Finding{
		Severity: Warning, Block: block.ID,
		Reason:   fmt.Sprintf("%s needs %s and has %s: %s over.", block.Title, units.Clock(block.Seconds()+s.Over), units.Clock(block.Seconds()), units.Clock(s.Over)),
		Remedies: []Remedy{{Label: fmt.Sprintf("Give it %s min", units.Decimal(minutes, 1)), Block: block.ID, Minutes: minutes}},
	}
	if turns > 0 {
		f.Remedies = append([]Remedy{{Label: "Play " + units.Count(turns, "turn", "turns") + " each", Block: block.ID, Turns: turns}}, f.Remedies...)
	}
	return []Finding{f}
}

// warmUp asks for a body warm-up before the first drill.
func warmUp(d Document) []Finding {
	for _, block := range d.Blocks {
		switch block.Kind {
		case Body:
			return nil
		case Drill:
			return []Finding{{Severity: Warning, Block: block.ID, Remedies: []Remedy{}, Reason: "The first drill comes before any body warm-up. Warm the body first."}}
		}
	}
	return nil
}

// bodyFindings holds the plan against what a student's body may be given in one lesson.
func bodyFindings(p student.Profile, d Document, in Inputs) []Finding {
	var found []Finding
	if p.Hurts != "" {
		found = append(found, Finding{Severity: Note, Remedies: []Remedy{}, Reason: fmt.Sprintf("%s: %s. Pain means stop; ask a licensed practitioner.", p.Name, p.Hurts)})
	}
	if p.Limit == nil {
		return found
	}
	planned := 0
	for _, block := range d.Blocks {
		document, known := in.Drills[block.Drill]
		if block.Kind != Drill || !known {
			continue
		}
		load := document.LoadFor(len(in.People), block.turns(document), in.Settings)
		switch p.Limit.Of {
		case student.Overheads:
			planned += load.Overheads
		case student.Serves:
			planned += load.Serves
		case student.Balls:
			planned += load.Each
		}
	}
	if planned > p.Limit.Most {
		found = append(found, Finding{Severity: Warning, Remedies: []Remedy{}, Reason: fmt.Sprintf("%s: %d %s planned, and the limit is %d.", p.Name, planned, p.Limit.Of, p.Limit.Most)})
	}
	return found
}
