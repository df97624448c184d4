package finding

import (
	"fmt"
	"math"

	"hodometer/core/basics/units"
	"hodometer/core/drill/load"
	"hodometer/core/lesson"
	"hodometer/core/lesson/editing"
	"hodometer/core/lesson/schedule"
)

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

// tooLong says that a drill needs more time than it has.
func tooLong(l schedule.Prepared, s schedule.ScheduledBlock, in schedule.Inputs) []Finding {
	if s.Over < 1 {
		return nil
	}
	block := l.Block
	minutes := math.Ceil((s.End-s.Start+s.Over)/30) / 2
	f := found(
		Warning,
		block,
		fmt.Sprintf(
			"%s needs %s and has %s: %s over.",
			block.Title,
			units.Clock(s.End-s.Start+s.Over),
			units.Clock(s.End-s.Start),
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
	if s.Load.Baskets == 0 || s.Load.Balls <= has {
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
