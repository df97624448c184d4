// Package template is the shapes of lessons, which fill themselves with drills for what the students should do next.
package template

import (
	"context"
	"fmt"
	"slices"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/say"
	"hodometer/core/drill/catalogue"
	"hodometer/core/drill/library"
	"hodometer/core/lesson"
	"hodometer/core/lesson/editing"
	"hodometer/core/lesson/schedule"
	"hodometer/core/sport/court"
)

// Template is the shape of a lesson. It fills itself with drills for what its students should do next.
type Template struct {
	Name       string      `json:"name"`
	For        string      `json:"for" description:"Whom it is for, in words"`
	MinPlayers int         `json:"minPlayers" description:"Fewest players"`
	MaxPlayers int         `json:"maxPlayers"`
	Minutes    int         `json:"minutes" description:"Usual length"`
	Sport      court.Sport `json:"sport,omitempty" description:"empty: any"`

	slots []slot
	rare  bool // for a day that is not like others
}

// Suiting is the shape that goes for so many players of a sport and comes nearest to so many minutes; ok is false where
// there is none.
func Suiting(players, minutes int, sport court.Sport) (found Template, ok bool) {
	off := func(t Template) int { return max(t.Minutes-minutes, minutes-t.Minutes) }
	for _, t := range Templates() {
		goes := t.MinPlayers <= players && players <= t.MaxPlayers && (t.Sport == "" || t.Sport == sport) && !t.rare
		if goes && (!ok || off(t) < off(found)) {
			found, ok = t, true
		}
	}
	return found, ok
}

// pick is which drill a slot wants.
type pick int

const (
	noDrill pick = iota // no drill
	focus               // for the next step of most students
	second              // for the next step of others, or the same one in another way
	again               // the focus once more, as points
)

type slot struct {
	block lesson.Block
	pick  pick
}

// Fill makes the blocks of a lesson from a template: drills for the students' next steps out of the coach's
// library, then everything fitted to the minutes. It says why each drill was chosen. New blocks get the
// fresh identifiers that are passed in. It returns invalid.Fields, or ctx.Err() when cancelled.
func (t Template) Fill(
	ctx context.Context,
	d lesson.Document,
	needs map[string][]catalogue.Need,
	library []library.Stored,
	fresh []string,
	in schedule.Inputs,
) (editing.Edited, error) {
	if n := len(d.Students); n < t.MinPlayers || n > t.MaxPlayers {
		return editing.Edited{}, invalid.Fields{
			{
				Path:    "students",
				Message: fmt.Sprintf("%s is for %s; these are %d", t.Name, manyPlayers(t.MinPlayers, t.MaxPlayers), n),
			},
		}
	}
	if len(fresh) < len(t.slots) {
		return editing.Edited{}, invalid.Fields{{Path: "fresh", Message: "too few identifiers for the blocks"}}
	}
	sport := in.Sport()
	if t.Sport != "" && t.Sport != sport {
		return editing.Edited{}, invalid.Fields{
			{Path: "students", Message: fmt.Sprintf("%s is for %s, and most of these play %s", t.Name, t.Sport, sport)},
		}
	}
	in = in.Named()
	c := chooser{in: in, needs: needs, sport: sport, library: library, space: d.Space, rests: rests(in.People)}
	first, why := c.choose(nil)
	other, alsoWhy := c.choose(first)
	sentences := []say.Sentence{}
	d.Blocks = []lesson.Block{}
	for i, s := range t.slots {
		block, phrase := sparing(s.block.In(sport), in.People)
		if phrase != "" {
			sentences = append(sentences, say.Words(phrase))
		}
		if more, why := lesson.WarmUp(in.Settings.Air.Celsius, in.People); block.Kind == lesson.Body && why != "" {
			block.Minutes += more
			for k := range block.Calls { // the last ones come at its end
				block.Calls[k].Minute = min(block.Calls[k].Minute, block.Minutes-2)
			}
			sentences = append(sentences, say.Of("template.because", block.Title, why))
		}
		block.ID, block.Wanted = fresh[i], block.Minutes
		chosen, reason := first, why
		if s.pick == second {
			chosen, reason = other, alsoWhy
		}
		if s.pick != noDrill {
			if chosen == nil {
				sentences = append(sentences, c.none())
				block.Kind, block.Title, block.Effort = lesson.Technique, "Technique", 3
			} else {
				block.Drill, block.Title, block.Effort = chosen.ID, chosen.Document.Name, chosen.Document.Effort
				if s.pick == again {
					block.Title += ", for points"
				} else {
					sentences = append(sentences, say.Words(reason))
				}
				in.Drills[chosen.ID] = chosen.Document
				block.Lines = c.lines(chosen.Document, block)
			}
		}
		d.Blocks = append(d.Blocks, block)
	}
	fitted, err := editing.ShareOut(ctx, d, "", in)
	// What a short booking has no room for goes, the least important first; somebody has to play all the same.
	for err == nil && !fitted.Fits && len(fitted.Drop) > 0 && len(fitted.Drop) < len(d.Blocks) {
		var out []string
		d.Blocks = slices.DeleteFunc(d.Blocks, func(b lesson.Block) bool {
			gone := slices.Contains(fitted.Drop, b.ID)
			if gone {
				out = append(out, b.Title)
			}
			return gone
		})
		sentences = append(sentences, say.Of("template.left out", d.Minutes, strings.Join(out, ", ")))
		fitted, err = editing.ShareOut(ctx, d, "", in)
	}
	fitted.Sentences = append(sentences, fitted.Sentences...)
	return fitted, err
}

// FindTemplate returns a template by its name.
func FindTemplate(name string) (Template, bool) {
	all := Templates()
	i := slices.IndexFunc(all, func(t Template) bool { return t.Name == name })
	if i < 0 {
		return Template{}, false
	}
	return all[i], true
}
