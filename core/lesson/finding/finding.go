// Package finding holds a lesson on the clock against what a coach would want to know: findings with their remedies,
// and cautions.
package finding

import (
	"context"
	"fmt"
	"math"

	"hodometer/core/basics/units"
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
		all = append(all, bodyFindings(person, p, list, in)...)
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

// bodyFindings holds the plan against what a student's body may be given in one lesson.
func bodyFindings(
	person lesson.Person, p schedule.Timetable, list []schedule.Prepared, in schedule.Inputs,
) []Finding {
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
		if n := of(list[i].ComesTo(person.ID, s, in)); n > most {
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
