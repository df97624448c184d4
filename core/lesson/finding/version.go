package finding

import (
	"fmt"

	"hodometer/core/basics/invalid"
	"hodometer/core/lesson"
	"hodometer/core/lesson/editing"
	"hodometer/core/lesson/schedule"
	"hodometer/core/sport/sports"
)

// elsewhere says that a drill is not played on the lesson's own court, since it makes no sense there.
func elsewhere(l schedule.Prepared, d lesson.Document) []Finding {
	if d.Space.Court == "" {
		return nil
	}
	c, err := sports.Court(d.Space.Court)
	if err != nil || c.Sport != l.Document.Sport || l.Document.Court == c.ID {
		return nil
	}
	_, err = l.Document.OnCourt(c.ID)
	if err == nil {
		return nil
	}
	return []Finding{
		found(
			Warning,
			l.Block,
			fmt.Sprintf("%s is planned on its own court: on %s %s.", l.Block.Title, c.Name, invalid.Sentence(err)),
		),
	}
}

// asWritten says that a version cannot be played.
func asWritten(block lesson.Block, why error) Finding {
	return found(Warning, block, fmt.Sprintf("%s is planned as it is written: %s.", block.Title, invalid.Sentence(why)),
		Remedy{Label: "Play it as written", Edit: editing.Edit{Kind: editing.SetVersion, Block: block.ID}})
}

// versions says which version of a drill cannot be played, by all or by one: it is no longer there, its steps are no
// longer possible, or it has other measures than the others count.
func versions(l schedule.Prepared) []Finding {
	var all []Finding
	if _, err := l.Document.Version(l.Block.Version); err != nil {
		all = append(all, asWritten(l.Block, err))
	}
	for _, person := range l.People {
		v := l.Block.Variant(person.ID)
		if v.Version == "" {
			continue
		}
		own, err := l.Document.Version(v.Version)
		why := "it has other measures than the others count"
		if err != nil {
			why = invalid.Sentence(err)
		} else if own.CountsAs(l.Document) {
			continue
		}
		v.Version = ""
		all = append(
			all,
			found(
				Warning,
				l.Block,
				fmt.Sprintf("%s: %s does not play “%s”: %s.", l.Block.Title, person.Short, l.Block.Variant(person.ID).Version, why),
				Remedy{
					Label: "Leave it out for " + person.Short,
					Edit:  editing.Edit{Kind: editing.SetVariant, Block: l.Block.ID, Variant: &v},
				},
			),
		)
	}
	return all
}
