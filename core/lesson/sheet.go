package lesson

import (
	"cmp"
	"fmt"
	"slices"

	"hodometer/core/drill"
	"hodometer/core/rotation"
	"hodometer/core/student"
	"hodometer/core/units"
)

// CueKind is what a cue is for.
type CueKind string

// The kinds of cue.
const (
	Begin  CueKind = "begin"
	Say    CueKind = "say"
	Swap   CueKind = "swap"
	Feed   CueKind = "feed"
	PickUp CueKind = "pick up"
	End    CueKind = "end"
)

// Enum lists the kinds for the schema.
func (CueKind) Enum() []any { return []any{Begin, Say, Swap, Feed, PickUp, End} }

// Cue is one thing to say or do at its second.
type Cue struct {
	Second float64 `json:"second" description:"Seconds after the start of the lesson"`
	Block  string  `json:"block"`
	Kind   CueKind `json:"kind"`
	Text   string  `json:"text"`
	Roles  []Role  `json:"roles" description:"Who does what from now on"`
}

// Role is what one person does.
type Role struct {
	Name string `json:"name"`
	Role string `json:"role"`
}

// RunSheet writes every cue of a lesson with its second, in order.
func RunSheet(d Document, p Plan, in Inputs) []Cue {
	cues := []Cue{}
	for i, s := range p.Stretches {
		block := d.Blocks[i]
		begin := Cue{Second: s.Start, Block: s.Block, Kind: Begin, Text: s.Title, Roles: []Role{}}
		if s.Load != nil {
			begin.Text = "Set up: " + s.Title
		}
		cues = append(cues, begin)
		for _, call := range block.Calls {
			cues = append(cues, Cue{Second: s.Start + call.Minute*60, Block: s.Block, Kind: Say, Text: call.Say, Roles: []Role{}})
		}
		cues = append(cues, swaps(block, s, in)...)
		if s.Load != nil {
			cues = append(cues, drillCues(in.Drills[block.Drill], s, in)...)
		}
	}
	if p.Planned > 0 {
		last := p.Stretches[len(p.Stretches)-1]
		cues = append(cues, Cue{Second: p.Planned, Block: last.Block, Kind: End, Text: "End of the lesson", Roles: []Role{}})
	}
	slices.SortStableFunc(cues, func(a, b Cue) int { return cmp.Compare(a.Second, b.Second) })
	return cues
}

func swaps(block Block, s Stretch, in Inputs) []Cue {
	var cues []Cue
	for i, swap := range rotation.Swaps(len(in.People), block.Roles, block.Swap*60, block.Seconds()) {
		cue := Cue{Second: s.Start + swap.Start, Block: s.Block, Kind: Swap, Text: "Swap roles", Roles: make([]Role, len(swap.Seats))}
		if i == 0 {
			cue.Text = "Take your places"
		}
		for j, seat := range swap.Seats {
			cue.Roles[j] = Role{Name: in.name(seat.Person), Role: seat.Role}
		}
		cues = append(cues, cue)
	}
	return cues
}

func (in Inputs) name(person int) string {
	if person == rotation.Coach {
		return "Coach"
	}
	return in.People[person].Profile.Name
}

// drillCues call the feeding, each pick-up where a basket runs empty, and who plays it mirrored.
func drillCues(d drill.Document, s Stretch, in Inputs) []Cue {
	at := s.Start + s.SetUp
	text := fmt.Sprintf("Feed: %d balls a turn, %s s apart. Goal: %s", d.Pattern.BallsPerTurn(), units.Decimal(d.Pattern.Gap, 2), d.Goal)
	if len(d.Cues) > 0 {
		text += ". " + d.Cues[0]
	}
	first := Cue{Second: at, Block: s.Block, Kind: Feed, Text: text, Roles: make([]Role, len(in.People))}
	for i, person := range in.People {
		role := "as drawn"
		if person.Profile.Hand == student.LeftHand {
			role = "left-handed: mirror it"
		}
		first.Roles[i] = Role{Name: person.Profile.Name, Role: role}
	}
	cues := []Cue{first}
	perBall, pickUp := s.Work/float64(s.Load.Balls), s.PickUp/float64(s.Load.Balls)
	basket := in.Settings.Basket
	for fed := 0; fed < s.Load.Balls; fed += basket {
		n := min(basket, s.Load.Balls-fed)
		at += float64(n) * perBall
		if at < s.End {
			cues = append(cues, Cue{Second: at, Block: s.Block, Kind: PickUp, Text: "Pick up " + units.Count(n, "ball", "balls"), Roles: []Role{}})
		}
		at += float64(n) * pickUp
	}
	return cues
}
