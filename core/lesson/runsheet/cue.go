// Package runsheet writes what is to be said and done in a lesson, second by second.
package runsheet

import (
	"cmp"
	"fmt"
	"slices"
	"strings"

	"hodometer/core/basics/units"
	"hodometer/core/drill"
	"hodometer/core/drill/rotation"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
)

// asDrawn is how somebody plays for whom nothing differs.
const asDrawn = "as drawn"

// CueKind is what a cue is for.
type CueKind string

// The kinds of cue.
const (
	Begin   CueKind = "begin"
	CallOut CueKind = "say"
	Swap    CueKind = "swap"
	Feed    CueKind = "feed"
	CountIt CueKind = "count"
	PickUp  CueKind = "pick up"
	End     CueKind = "end"
)

// Cue is one thing to say or do at its second.
type Cue struct {
	Second float64 `json:"second" description:"Seconds after the start of the lesson"`
	After  string  `json:"after" description:"The same after the start of its block, in words: +4:00"`
	Block  string  `json:"block"`
	Kind   CueKind `json:"kind"`
	Text   string  `json:"text"`
	Roles  []Role  `json:"roles" description:"Who does what from now on"`
}

// Role is what one person does.
type Role struct {
	Name  string       `json:"name"`
	Short string       `json:"short" description:"What to call them on court"`
	Role  string       `json:"role"`
	At    *court.Point `json:"at,omitempty" description:"Where on the court; missing where that is not known"`
}

// Cues writes every cue of a lesson with its second, in order: what to do, who is where, what to say, what
// to count.
func Cues(d lesson.Document, p schedule.Timetable, in schedule.Inputs) []Cue {
	cues := []Cue{}
	in = in.Named()
	for i, l := range schedule.Prepare(d, in) {
		s := p.Blocks[i]
		begin := Cue{Second: s.Start, Block: s.Block, Kind: Begin, Text: s.Title, Roles: []Role{}}
		if s.Load != nil {
			begin.Text = "Set up: " + s.Title
			if moves := moves(s); moves != "" {
				begin.Text += ". " + moves
			}
		}
		cues = append(cues, begin)
		for _, call := range l.Block.Calls {
			cues = append(
				cues,
				Cue{Second: s.Start + call.Minute*60, Block: s.Block, Kind: CallOut, Text: call.Text, Roles: []Role{}},
			)
		}
		cues = append(cues, swaps(l, s, in.Court(d))...)
		if s.Load != nil {
			cues = append(cues, drillCues(l, s, in)...)
		}
	}
	if p.Planned > 0 {
		last := p.Blocks[len(p.Blocks)-1]
		cues = append(cues, Cue{Second: p.Planned, Block: last.Block, Kind: End, Text: "End of the lesson", Roles: []Role{}})
	}
	slices.SortStableFunc(cues, func(a, b Cue) int { return cmp.Compare(a.Second, b.Second) })
	starts, ends := map[string]float64{}, map[string]float64{}
	for _, s := range p.Blocks {
		starts[s.Block], ends[s.Block] = s.Start, s.End
	}
	// What a block is too short for is not said in the next one.
	cues = slices.DeleteFunc(
		cues,
		func(c Cue) bool { return c.Kind != End && c.Second > starts[c.Block] && c.Second >= ends[c.Block] },
	)
	for i, cue := range cues {
		cues[i].After = units.Elapsed(cue.Second - starts[cue.Block])
	}
	return cues
}

// moves says what is collected and put down before a block; empty where everything stays.
func moves(s schedule.ScheduledBlock) string {
	var phrases []string
	if len(s.Goes) > 0 {
		phrases = append(phrases, "Collect "+schedule.InWords(s.Goes))
	}
	if len(s.Comes) > 0 {
		phrases = append(phrases, "Put down "+schedule.InWords(s.Comes))
	}
	return strings.Join(phrases, ". ")
}

// swaps say who is where at the beginning of each round.
func swaps(l schedule.Prepared, s schedule.ScheduledBlock, c court.Court) []Cue {
	if s.Table == nil {
		return nil
	}
	begins := s.Start
	if s.Load != nil {
		begins += s.SetUp
	}
	phrase := "Swap roles"
	if f := l.Form(); f.Kind != rotation.Roles {
		phrase = "Change: one place on"
		if f.Kind == rotation.Pairs {
			phrase = "Next opponent"
		}
	}
	var cues []Cue
	for i, round := range s.Table.Rounds {
		cue := Cue{
			Second: begins + round.Start,
			Block:  s.Block,
			Kind:   Swap,
			Text:   phrase,
			Roles:  make([]Role, len(round.Seats)),
		}
		if i == 0 {
			cue.Text = "Take your places"
		}
		if round.Begins != "" {
			cue.Text += ". The " + round.Begins + " side begins"
		}
		var places []court.Point
		if l.Form().Kind != rotation.Stations { // where these are only the coach knows
			places = l.Form().Places(round, c)
		}
		for j, seat := range round.Seats {
			if cue.Roles[j] = role(l, seat); places != nil {
				cue.Roles[j].At = &places[j]
			}
		}
		cues = append(cues, cue)
	}
	return cues
}

// seated says where somebody is, and on which court where there are several.
func seated(l schedule.Prepared, seat rotation.Seat) string {
	if seat.Waits {
		if l.Block.OnDeck != "" {
			return l.Block.OnDeck
		}
		return seat.Spot
	}
	if seat.Where != "" {
		return seat.Spot + ", " + seat.Where
	}
	return seat.Spot
}

// role is what somebody does from now on.
func role(l schedule.Prepared, seat rotation.Seat) Role {
	if seat.Person == rotation.Coach {
		return Role{Name: "Coach", Short: "Coach", Role: seated(l, seat)}
	}
	person := l.People[seat.Person]
	return Role{Name: person.Profile.Name, Short: person.Short, Role: seated(l, seat)}
}

// goals says what is to be reached, measure by measure.
func goals(d drill.Document) string {
	phrases := make([]string, len(d.Measures))
	for i, m := range d.Measures {
		if phrases[i] = m.Goal(); d.Called(m) != "" {
			phrases[i] = d.Called(m) + ": " + phrases[i]
		}
		if m.Constraint != "" {
			phrases[i] += ", " + m.Constraint
		}
		if forfeit := m.Counts.Costs(); forfeit != "" {
			phrases[i] += ", " + forfeit
		}
	}
	if len(phrases) == 1 {
		return phrases[0]
	}
	return strings.Join(phrases, "; ") + " (" + d.Order.String() + ")"
}

// rest says the pause after each of several sequences; empty where there is none.
func rest(p feed.Pattern) string {
	if p.Pause == 0 || p.UsualSequences() <= 1 {
		return ""
	}
	return fmt.Sprintf(", then a pause of %s s, %s times", units.Decimal(p.Pause, 1), units.Decimal(p.UsualSequences(), 1))
}

// drillCues call the feeding, what to count, each pick-up where a basket runs empty, and who plays it how.
func drillCues(l schedule.Prepared, s schedule.ScheduledBlock, in schedule.Inputs) []Cue {
	d, at := l.Document, s.Start+s.SetUp
	how := "Feed: %s a turn, %s s apart%s. %s Goal: %s"
	switch {
	case d.Pattern.Rally != nil, d.Pattern.OneBall():
		how = "Play: %s a turn, a stroke every %s s%s. %s Goal: %s"
	case d.Pattern.BallsPerTurn() == 0:
		how = "Do: %s a turn, %s s apart%s. %s Goal: %s"
	}
	text := fmt.Sprintf(how, d.Turn(), units.Decimal(d.Pattern.Gap, 2), rest(d.Pattern), l.GroupSummary, goals(d))
	if len(d.Cues) > 0 {
		text += ". " + d.Cues[0]
	}
	first := Cue{Second: at, Block: s.Block, Kind: Feed, Text: text, Roles: make([]Role, len(l.People))}
	counting := Cue{Second: at, Block: s.Block, Kind: CountIt, Text: "Count for each: " + goals(d), Roles: []Role{}}
	for i, person := range l.People {
		role := l.Block.Variant(person.ID).Describe(person, d)
		if rests := student.Joined(person.Profile.Rests()); rests != "" {
			role = strings.TrimPrefix(role+"; rests "+rests, "; ")
		}
		if role == "" {
			role = asDrawn
		}
		first.Roles[i] = Role{Name: person.Profile.Name, Short: person.Short, Role: role}
		if fault := person.Profile.Watching(); fault != "" {
			counting.Roles = append(
				counting.Roles,
				Role{Name: person.Profile.Name, Short: person.Short, Role: "watch: " + fault},
			)
		}
	}
	cues := []Cue{first, counting}
	if s.Load.Baskets == 0 {
		return cues
	}
	perBall, pickUp := s.Work/float64(s.Load.Balls), s.PickUp/float64(s.Load.Balls)
	basket := max(1, in.Settings.Container(d.Sport).Batch())
	for fed := 0; fed < s.Load.Balls; fed += basket {
		n := min(basket, s.Load.Balls-fed)
		at += float64(n) * perBall
		if at < s.End {
			cues = append(cues, Cue{Second: at, Block: s.Block, Kind: PickUp, Text: "Pick up " + d.Fed(n), Roles: []Role{}})
		}
		at += float64(n) * pickUp
	}
	return cues
}
