// Package finding holds a lesson on the clock against what a coach would want to know: findings with their remedies,
// and cautions.
package finding

import (
	"context"
	"fmt"
	"math"
	"unicode"

	"hodometer/core/basics/units"
	"hodometer/core/drill/load"
	"hodometer/core/lesson"
	"hodometer/core/lesson/editing"
	"hodometer/core/lesson/prospect"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/student"
)

// Severity is how much a finding matters.
type Severity string

// Note is good to know, Warning should be looked at, Problem cannot be run as planned.
const (
	Note    Severity = "note"
	Warning Severity = "warning"
	Problem Severity = "problem"
)

// Finding is something the plan gives to think about.
type Finding struct {
	Severity Severity `json:"severity"`
	Block    string   `json:"block,omitempty" description:"Identifier of the block it is about"`
	Reason   string   `json:"reason"`
	Remedies []Remedy `json:"remedies"`
	About    string   `json:"about" description:"The same however its figures change: by which it is hushed"`
	Hushed   string   `json:"hushed,omitempty" description:"Why the coach leaves it as it is"`
}

// about is a sentence without its figures.
func about(reason string) string {
	runes := []rune(reason)
	text := make([]rune, 0, len(runes))
	for _, r := range runes {
		switch {
		case !unicode.IsDigit(r):
			text = append(text, r)
		case len(text) == 0 || text[len(text)-1] != '#':
			text = append(text, '#')
		}
	}
	return string(text[:min(len(text), longestAbout)])
}

const longestAbout = 300 // characters

// hush marks the findings that the coach leaves as they are. What cannot be run as planned is always told.
func hush(all []Finding, d lesson.Document) {
	for i := range all {
		all[i].About = about(all[i].Reason)
		for _, h := range d.Hushed {
			if all[i].Severity != Problem && h.Block == all[i].Block && h.About == all[i].About {
				all[i].Hushed = h.Why
			}
		}
	}
}

// Remedy is a change that answers a finding.
type Remedy struct {
	Label string       `json:"label"`
	Edit  editing.Edit `json:"edit"`
}

func found(severity Severity, block lesson.Block, reason string, remedies ...Remedy) Finding {
	if remedies == nil {
		remedies = []Remedy{}
	}
	return Finding{Severity: severity, Block: block.ID, Reason: reason, Remedies: remedies}
}

const (
	longestBooking = 600    // minutes
	plentySpare    = 5 * 60 // seconds left over that are worth a word
)

// All holds a plan against everything that a coach would want to know. It returns ctx.Err() when cancelled.
func All(
	ctx context.Context,
	d lesson.Document,
	p schedule.Timetable,
	list []schedule.Prepared,
	prospects []prospect.Block,
	in schedule.Inputs,
) ([]Finding, error) {
	all := []Finding{}
	all = append(all, missing(d, in)...)
	all = append(all, overrun(d, p)...)
	for i, l := range list {
		s := p.Blocks[i]
		all = append(all, sore(l)...)
		all = append(all, missingDrill(l, d)...)
		all = append(all, games(l, s, in)...)
		if !l.Drilled {
			continue
		}
		all = append(all, versions(l)...)
		all = append(all, elsewhere(l, d)...)
		all = append(all, tooLong(l, s, in)...)
		all = append(all, waiting(l, d, s, in)...)
		all = append(all, spacing(l, d)...)
		all = append(all, emptied(l, s, in)...)
		goals, err := goals(ctx, l, s, prospects[i].Students, in)
		if err != nil {
			return nil, err
		}
		all = append(all, goals...)
	}
	all = append(all, warmUps(d, list, in)...)
	all = append(all, rests(list, in)...)
	for _, person := range in.People {
		all = append(all, bodyFindings(person, p, list)...)
	}
	hush(all, d)
	return all, nil
}

// missing says who of the lesson's students is not to be had.
func missing(d lesson.Document, in schedule.Inputs) []Finding {
	var all []Finding
	if n := len(d.Students) - len(in.People); n > 0 {
		all = append(
			all,
			found(
				Warning,
				lesson.Block{},
				units.Count(
					n,
					"student of this lesson was erased.",
					"students of this lesson were erased.",
				)+" The lesson is planned for those who are left; take the others out of the booking.",
			),
		)
	}
	for _, p := range in.People {
		if p.Archived {
			all = append(
				all,
				found(Note, lesson.Block{}, p.Profile.Name+" is archived. Bring them back, or take them out of the booking."),
			)
		}
	}
	return all
}

// overrun compares the blocks with the booking.
func overrun(d lesson.Document, p schedule.Timetable) []Finding {
	if len(d.Blocks) == 0 {
		return nil
	}
	fit := Remedy{Label: "Fit all blocks to the booking", Edit: editing.Edit{Kind: editing.FitBlocks}}
	if p.Over == 0 {
		if p.Spare >= plentySpare {
			return []Finding{
				found(Note, lesson.Block{}, fmt.Sprintf("%s of the booking is not planned yet.", units.Clock(p.Spare)), fit),
			}
		}
		return nil
	}
	remedies := []Remedy{fit}
	if minutes := math.Ceil(p.Planned / 60); minutes <= longestBooking {
		remedies = append(
			remedies,
			Remedy{
				Label: fmt.Sprintf("Book %s min", units.Decimal(minutes, 0)),
				Edit:  editing.Edit{Kind: editing.SetBooking, Minutes: minutes},
			},
		)
	}
	return []Finding{
		found(
			Problem,
			lesson.Block{},
			fmt.Sprintf(
				"The blocks take %s and the booking is %d min: %s over.",
				units.Clock(p.Planned),
				d.Minutes,
				units.Clock(p.Over),
			),
			remedies...),
	}
}

// missingDrill says that a drill is no longer there, or that nobody is in a block.
func missingDrill(l schedule.Prepared, d lesson.Document) []Finding {
	takeOut := Remedy{Label: "Take it out", Edit: editing.Edit{Kind: editing.RemoveBlock, Block: l.Block.ID}}
	switch {
	case l.Block.Drill != "" && !l.Drilled && len(l.People) > 0:
		return []Finding{
			found(Problem, l.Block, l.Block.Title+": this drill is no longer there. Choose another one.", takeOut),
		}
	case len(l.People) == 0 && len(d.Students) > 0 && len(l.Block.People) > 0:
		return []Finding{found(Problem, l.Block, l.Block.Title+": nobody is left for it.", takeOut)}
	}
	return nil
}

// games says that a game is not there or not its version, that players are missing for it, or that it will hardly be
// over in its minutes.
func games(l schedule.Prepared, s schedule.ScheduledBlock, in schedule.Inputs) []Finding {
	block := l.Block
	_, gone := in.Games[block.Game].Version(block.Version)
	switch {
	case block.Game != "" && s.Game == nil:
		return []Finding{
			found(Problem, block, block.Title+": this game is no longer there, or makes no sense any more. Choose another one.",
				Remedy{Label: "Take it out", Edit: editing.Edit{Kind: editing.RemoveBlock, Block: block.ID}}),
		}
	case s.Game == nil:
		return nil
	case gone != nil:
		return []Finding{asWritten(block, gone)}
	case s.Game.Missing > 0:
		return []Finding{
			found(
				Warning,
				block,
				fmt.Sprintf("%s: %s for one game. Choose another game, or let the coach fill in.", block.Title, s.Group),
			),
		}
	case s.Game.Games == 0:
		minutes := math.Ceil(s.SetUp/60 + s.Game.Minutes.High80)
		f := found(
			Warning,
			block,
			fmt.Sprintf(
				"%s takes %s to %s min, four times of five, and has %s to play.",
				block.Title,
				units.Decimal(s.Game.Minutes.Low80, 0),
				units.Decimal(math.Ceil(s.Game.Minutes.High80), 0),
				units.Clock(s.Work),
			),
		)
		if minutes <= lesson.MaxMinutes {
			f.Remedies = append(
				f.Remedies,
				Remedy{
					Label: fmt.Sprintf("Give it %s min", units.Decimal(minutes, 0)),
					Edit:  editing.Edit{Kind: editing.Resize, Block: block.ID, Minutes: minutes},
				},
			)
		}
		return []Finding{f}
	}
	return nil
}

// tooLong says that a drill needs more time than it has.
func tooLong(l schedule.Prepared, s schedule.ScheduledBlock, in schedule.Inputs) []Finding {
	if s.Over < 1 {
		return nil
	}
	block := l.Block
	minutes := math.Ceil((block.Seconds()+s.Over)/30) / 2
	f := found(
		Warning,
		block,
		fmt.Sprintf(
			"%s needs %s and has %s: %s over.",
			block.Title,
			units.Clock(block.Seconds()+s.Over),
			units.Clock(block.Seconds()),
			units.Clock(s.Over),
		),
	)
	if turns := l.TurnsIn(in); turns > 0 {
		f.Remedies = append(
			f.Remedies,
			Remedy{
				Label: "Play " + units.Count(turns, "turn", "turns") + " each",
				Edit:  editing.Edit{Kind: editing.SetTurns, Block: block.ID, Turns: turns},
			},
		)
	}
	if minutes <= lesson.MaxMinutes {
		f.Remedies = append(
			f.Remedies,
			Remedy{
				Label: fmt.Sprintf("Give it %s min", units.Decimal(minutes, 1)),
				Edit:  editing.Edit{Kind: editing.Resize, Block: block.ID, Minutes: minutes},
			},
		)
	}
	return []Finding{f}
}

// waiting says that somebody stands too long between two turns.
func waiting(l schedule.Prepared, d lesson.Document, s schedule.ScheduledBlock, in schedule.Inputs) []Finding {
	if len(l.People) < 2 || s.Load.Waiting <= in.Settings.Wait {
		return nil
	}
	severity := Warning
	if l.Block.OnDeck != "" {
		severity = Note
	}
	f := found(
		severity,
		l.Block,
		fmt.Sprintf(
			"%s: everybody waits %s s between two turns, %s times as long as they play. In one line %s would be enough.",
			l.Block.Title,
			units.Decimal(s.Load.Waiting, 0),
			units.Decimal(s.Load.Rest, 1),
			units.Count(s.Load.Largest, "player", "players"),
		),
	)
	const maxLines = 4
	if lines := load.Split(
		l.Document,
		len(l.People),
		in.Settings,
	); lines > s.Load.Lines && lines <= min(maxLines, len(l.People)) && !d.Space.Half &&
		l.Form() == nil {
		f.Remedies = append(
			f.Remedies,
			Remedy{
				Label: fmt.Sprintf("Split into %d lines, each with a feeder", lines),
				Edit:  editing.Edit{Kind: editing.SetLines, Block: l.Block.ID, Lines: lines},
			},
		)
	}
	if l.Block.OnDeck == "" {
		f.Remedies = append(
			f.Remedies,
			Remedy{
				Label: "Give the waiting a task",
				Edit: editing.Edit{
					Kind:  editing.SetOnDeck,
					Block: l.Block.ID,
					Text:  "Shadow the stroke behind the line, feet never still",
				},
			},
		)
	}
	return []Finding{f}
}

// spacing says that a drill does not go with half a court, or that its line stands in the way of volleys.
func spacing(l schedule.Prepared, d lesson.Document) []Finding {
	var all []Finding
	if d.Space.Half && !load.Narrow(l.Document) {
		all = append(
			all,
			found(
				Warning,
				l.Block,
				l.Block.Title+" needs the whole width of a court, and there is half of one. Play it down one side, or choose "+
					"another drill.",
				Remedy{
					Label: "Take the whole court",
					Edit:  editing.Edit{Kind: editing.SetSpace, Space: &load.Space{Courts: d.Space.Courts}},
				},
			),
		)
	}
	if side := l.Document.FacesVolleys(); side != "" && len(l.People) > 2 {
		all = append(all, found(Warning, l.Block, l.Block.Title+": "+side+" Let the line wait behind the player's baseline."))
	}
	return all
}

// emptied says that a drill feeds more than the coach's baskets hold.
func emptied(l schedule.Prepared, s schedule.ScheduledBlock, in schedule.Inputs) []Finding {
	carried := in.Settings.Container(l.Document.Sport)
	has := carried.Holds * carried.Has
	if s.Load.Balls <= has || !l.FromABasket() {
		return nil
	}
	f := found(
		Note,
		l.Block,
		fmt.Sprintf(
			"%s feeds %s, and the %s hold %d: they are picked up %s in the middle of it, which is counted in its minutes.",
			l.Block.Title,
			l.Document.Fed(s.Load.Balls),
			carried.Many,
			has,
			units.Count((s.Load.Balls-1)/has, "time", "times"),
		),
	)
	if turns := has * s.Load.Turns / s.Load.Balls; turns > 0 {
		f.Remedies = append(
			f.Remedies,
			Remedy{
				Label: "Play " + units.Count(turns, "turn", "turns") + " each",
				Edit:  editing.Edit{Kind: editing.SetTurns, Block: l.Block.ID, Turns: turns},
			},
		)
	}
	return []Finding{f}
}

// bodyFindings holds the plan against what a student's body may be given in one lesson.
func bodyFindings(person lesson.Person, p schedule.Timetable, list []schedule.Prepared) []Finding {
	var all []Finding
	profile := person.Profile
	if profile.PrivatelyHurts() {
		text := fmt.Sprintf("%s: %s. Pain means stop; ask a licensed practitioner.", profile.Name, profile.HurtsInWords())
		if profile.Hurts != "" {
			text += " What is to be spared is not said yet: say so on the student’s page."
		}
		all = append(all, found(Note, lesson.Block{}, text))
	}
	limit := profile.Limit
	if limit == nil {
		return all
	}
	var budget schedule.Budget
	for _, b := range p.Budgets {
		if b.Student == person.ID {
			budget = b
		}
	}
	of := func(b schedule.Budget) int {
		return map[student.LimitOf]int{student.Overheads: b.Overheads, student.Serves: b.Serves,
			student.Balls: b.Balls}[limit.Of]
	}
	planned := of(budget)
	if planned <= limit.Max {
		if limit.Near(planned) {
			all = append(
				all,
				found(
					Note,
					lesson.Block{},
					fmt.Sprintf(
						"%s: %d %s planned, close to the limit of %d. Courtside it is told before it is crossed.",
						profile.Name,
						planned,
						limit.Of,
						limit.Max,
					),
				),
			)
		}
		return all
	}
	f := found(
		Warning,
		lesson.Block{},
		fmt.Sprintf("%s: %d %s planned, and the limit is %d.", profile.Name, planned, limit.Of, limit.Max),
	)
	// Fewer turns where most of it comes from.
	most, at := 0, -1
	for i, s := range p.Blocks {
		if s.Load == nil {
			continue
		}
		if n := of(schedule.Budget{Balls: s.Load.Each, Overheads: s.Load.Overheads, Serves: s.Load.Serves}); n > most {
			most, at = n, i
		}
	}
	if at >= 0 {
		turns := p.Blocks[at].Load.Turns
		if fewer := (most - (planned - limit.Max)) * turns / most; fewer > 0 {
			f.Block = list[at].Block.ID
			f.Remedies = append(
				f.Remedies,
				Remedy{
					Label: fmt.Sprintf("%s: %s each", list[at].Block.Title, units.Count(fewer, "turn", "turns")),
					Edit:  editing.Edit{Kind: editing.SetTurns, Block: f.Block, Turns: fewer},
				},
			)
		} else {
			f.Remedies = append(
				f.Remedies,
				Remedy{
					Label: "Take out " + list[at].Block.Title,
					Edit:  editing.Edit{Kind: editing.RemoveBlock, Block: list[at].Block.ID},
				},
			)
		}
	}
	return append(all, f)
}
