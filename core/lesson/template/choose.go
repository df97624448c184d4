package template

import (
	"fmt"
	"math"
	"strings"

	"hodometer/core/basics/say"
	"hodometer/core/drill"
	"hodometer/core/drill/catalogue"
	"hodometer/core/drill/library"
	"hodometer/core/drill/load"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
)

func manyPlayers(least, most int) string {
	if least == most {
		return map[int]string{1: "one player", 2: "two players"}[least]
	}
	return fmt.Sprintf("%d to %d players", least, most)
}

// chooser chooses drills for a group.
type chooser struct {
	in      schedule.Inputs
	needs   map[string][]catalogue.Need
	sport   court.Sport
	library []library.Stored
	space   load.Space
	rests   []student.Strain // what anybody is spared
}

// choose returns the drill that serves the next steps of most students and is nearest to their level,
// and why; nil where there is none for the sport. A drill that was chosen already is passed over, and its
// stroke counts for less.
func (c chooser) choose(but *library.Stored) (best *library.Stored, why string) {
	top := math.Inf(-1)
	for i, s := range c.library {
		if s.Document.Sport != c.sport || but != nil && s.ID == but.ID || !catalogue.Spares(s.Document, c.rests) {
			continue
		}
		score, served := 0.0, []string{}
		for _, p := range c.in.People {
			if catalogue.Serves(s.Document, c.needs[p.ID]) == catalogue.IsNext {
				served = append(served, p.Short)
			}
			score += catalogue.Suits(s.Document, s.Offered(), p.Profile.Level, c.needs[p.ID])
		}
		if but != nil && s.Document.Stroke == but.Document.Stroke {
			score -= float64(len(c.in.People))
		}
		if c.space.Half && !load.Narrow(s.Document) {
			score -= 3 * float64(len(c.in.People))
		}
		if score > top {
			top, best = score, &c.library[i]
			why = fmt.Sprintf("%s: %s, %s", s.Document.Name, s.Document.Stroke, s.Document.Rung)
			if len(served) > 0 {
				why += ", the next step of " + strings.Join(served, ", ")
			} else {
				why += ", near their level"
			}
			why += "."
		}
	}
	return best, why
}

// none says that there is no drill to choose.
func (c chooser) none() say.Sentence {
	if len(c.rests) == 0 {
		return say.Of("template.no drill", string(c.sport))
	}
	return say.Of("template.no drill that spares", string(c.sport))
}

// lines is in how many lines a drill is played so that everybody has a turn in the block and nobody waits too
// long; no more than three, since each wants a feeder.
func (c chooser) lines(d drill.Document, b lesson.Block) int {
	const most = 3
	n := len(c.in.People)
	if n < 4 || c.space.Half || load.Form(d) != nil {
		return 0
	}
	lines := min(load.Split(d, n, c.in.Settings), most)
	for ; lines < most; lines++ {
		g, _ := load.Arrange(d, n, lines, c.space)
		if load.For(d, g, 1, c.in.Settings).Need+c.in.Settings.ChangeOver <= b.Seconds() {
			break
		}
	}
	if lines < 2 {
		return 0
	}
	return lines
}
