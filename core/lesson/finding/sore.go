package finding

import (
	"fmt"
	"slices"
	"strings"

	"hodometer/core/basics/say"
	"hodometer/core/lesson"
	"hodometer/core/lesson/editing"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/student"
)

// sore says who is asked in a block for what they are spared, each with a remedy for them alone: a version of the drill
// that asks for nothing of it, or to sit the block out. It hurts none of the others.
func sore(l schedule.Prepared) []Finding {
	var all []Finding
	for _, person := range l.People {
		if len(person.Profile.Sore) == 0 {
			continue // what a block asks takes some working out
		}
		spared := person.Profile.Spared(l.Asks(person))
		if len(spared) == 0 {
			continue
		}
		f := found(
			Warning,
			l.Block,
			fmt.Sprintf(
				"%s asks for %s, and %s rests that. Pain means stop.",
				l.Block.Title,
				student.Joined(spared),
				person.Short,
			),
		)
		if version, ok := l.Sparing(person); ok {
			v := l.Block.Variant(person.ID)
			v.Version, v.Why = version, say.Of("variant.spares")
			f.Remedies = append(
				f.Remedies,
				Remedy{
					Label: fmt.Sprintf("%s plays “%s”", person.Short, version),
					Edit:  editing.Edit{Kind: editing.SetVariant, Block: l.Block.ID, Variant: &v},
				},
			)
		}
		if calls := callsWithout(l, person); calls != nil {
			f.Remedies = append(
				f.Remedies,
				Remedy{
					Label: "Say that it is not for " + person.Short,
					Edit:  editing.Edit{Kind: editing.SetCalls, Block: l.Block.ID, Calls: calls},
				},
			)
		}
		if others := without(l, person); len(others) > 0 {
			f.Remedies = append(
				f.Remedies,
				Remedy{
					Label: person.Short + " sits it out",
					Edit:  editing.Edit{Kind: editing.SetPeople, Block: l.Block.ID, People: others},
				},
			)
		} else {
			f.Remedies = append(
				f.Remedies,
				Remedy{Label: "Take it out", Edit: editing.Edit{Kind: editing.RemoveBlock, Block: l.Block.ID}},
			)
		}
		all = append(all, f)
	}
	return all
}

// without are the others in a block.
func without(l schedule.Prepared, person lesson.Person) []string {
	return slices.DeleteFunc(lesson.IDs(l.People), func(id string) bool { return id == person.ID })
}

// callsWithout are the calls of a block, with a word in those that ask for what somebody is spared; nil where the calls
// are not what asks.
func callsWithout(l schedule.Prepared, person lesson.Person) []lesson.Call {
	if l.Drilled || l.Block.Kind == lesson.Serving {
		return nil
	}
	calls := slices.Clone(l.Block.Calls)
	for i, call := range calls {
		if len(person.Profile.Spared(schedule.CallAsks(call, person))) > 0 {
			calls[i].Text = strings.TrimSuffix(call.Text, ".") + "; " + schedule.NotFor(person)
		}
	}
	return calls
}
