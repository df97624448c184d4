package runsheet

import (
	"cmp"
	"fmt"
	"slices"
	"strings"

	"hodometer/core/basics/units"
	"hodometer/core/lesson"
	"hodometer/core/lesson/finding"
	"hodometer/core/lesson/plan"
	"hodometer/core/lesson/schedule"
)

// Content is everything that a run sheet says, on the page and on paper alike.
type Content struct {
	Title    string    `json:"title"`
	Start    string    `json:"start"`
	About    string    `json:"about" description:"Day, length and names in one line"`
	Facts    []Entry   `json:"facts" description:"What to carry and what to watch"`
	Note     string    `json:"note"`
	Sections []Section `json:"sections" description:"Block after block"`
	Cautions []string  `json:"cautions"`
	NoAdvice string    `json:"noAdvice" description:"What ends the cautions"`
}

// Entry is something with its name: what to carry, who does what, who is where.
type Entry struct {
	Name string `json:"name"`
	Text string `json:"text"`
}

// String writes an entry in one line.
func (e Entry) String() string { return e.Name + ": " + e.Text }

// Section is one block of a run sheet.
type Section struct {
	Block  string `json:"block"`
	Clock  string `json:"clock" description:"When it begins"`
	Title  string `json:"title"`
	Length string `json:"length"`
	Lines  []Line `json:"lines"`
}

// Line is one line of a block.
type Line struct {
	After   string  `json:"after" description:"After the start of the block: +4:00; empty for what comes before it"`
	Text    string  `json:"text"`
	Entries []Entry `json:"entries" description:"Who is where, or who plays it otherwise"`
}

// String writes a line with its time and its entries.
func (l Line) String() string {
	phrase := l.Text
	for i, entry := range l.Entries {
		separator := "; "
		if i == 0 {
			separator = ": "
		}
		phrase += separator + entry.String()
	}
	if l.After != "" {
		phrase = l.After + "  " + phrase
	}
	return phrase
}

// ContentOf puts a lesson's run sheet together from its plan and its cues.
func ContentOf(d lesson.Document, p plan.Plan, cues []Cue) Content {
	c := Content{
		Title:    d.Title,
		Start:    d.Start,
		Note:     d.Note,
		Facts:    []Entry{},
		Sections: []Section{},
		Cautions: []string{},
		NoAdvice: finding.NoAdvice,
	}
	var names, watch, rest []string
	for _, b := range p.Budgets {
		names = append(names, b.Name)
		if b.Fault != "" {
			watch = append(watch, b.Name+": "+b.Fault)
		}
		if b.Rests != "" {
			rest = append(rest, b.Name+": "+b.Rests)
		}
	}
	c.About = fmt.Sprintf("%s · %d min · %s", units.Day(d.Date), d.Minutes, strings.Join(names, ", "))
	if len(p.Carry) > 0 {
		c.Facts = append(c.Facts, Entry{Name: "Carry", Text: schedule.InWords(p.Carry)})
	}
	if len(watch) > 0 {
		c.Facts = append(c.Facts, Entry{Name: "Watch", Text: strings.Join(watch, "; ")})
	}
	if len(rest) > 0 {
		c.Facts = append(c.Facts, Entry{Name: "Rests", Text: strings.Join(rest, "; ")})
	}
	for _, block := range p.Blocks {
		c.Sections = append(
			c.Sections,
			Section{Block: block.Block, Clock: block.Clock, Title: block.Title, Length: block.Length, Lines: lines(block, cues)},
		)
	}
	for _, caution := range p.Cautions {
		c.Cautions = append(c.Cautions, strings.TrimSpace(strings.TrimSuffix(caution, finding.NoAdvice)))
	}
	return c
}

// lines are what is to be said and done in a block. What is counted is the goal that stands at the feed, and the
// pick-ups of a block share a line.
func lines(block schedule.ScheduledBlock, cues []Cue) []Line {
	list := []Line{}
	if moves := moves(block); moves != "" {
		list = append(list, Line{Text: moves, Entries: []Entry{}})
	}
	if block.Game != nil {
		for _, rule := range block.Game.Rules {
			list = append(list, Line{Text: rule, Entries: []Entry{}})
		}
	}
	var pickUps []string
	for _, cue := range cues {
		if cue.Block != block.Block {
			continue
		}
		switch cue.Kind {
		case CallOut:
			list = append(list, Line{After: cue.After, Text: cue.Text, Entries: []Entry{}})
		case Feed:
			line := Line{After: cue.After, Text: cue.Text, Entries: []Entry{}}
			for _, role := range cue.Roles {
				if role.Role != asDrawn {
					line.Entries = append(line.Entries, Entry{Name: role.Short, Text: role.Role})
				}
			}
			list = append(list, line)
		case Swap:
			list = append(list, Line{After: cue.After, Text: cue.Text, Entries: places(cue.Roles)})
		case PickUp:
			pickUps = append(pickUps, cue.After)
		}
	}
	if len(pickUps) > 0 {
		list = append(list, Line{Text: "Pick up at " + strings.Join(pickUps, ", "), Entries: []Entry{}})
	}
	return list
}

// places says who is where, place by place, in the same order in every round.
func places(roles []Role) []Entry {
	list := []Entry{}
	for _, role := range roles {
		i := slices.IndexFunc(list, func(e Entry) bool { return e.Name == role.Role })
		if i < 0 {
			list = append(list, Entry{Name: role.Role, Text: role.Short})
			continue
		}
		list[i].Text += ", " + role.Short
	}
	slices.SortFunc(list, func(a, b Entry) int { return cmp.Compare(a.Name, b.Name) })
	return list
}
