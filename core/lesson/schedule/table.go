package schedule

import (
	"fmt"
	"strings"

	"hodometer/core/drill/load"
	"hodometer/core/drill/rotation"
	"hodometer/core/lesson"
)

// ballSeconds is what a ball takes in a warm-up with the ball. Common practice, no source.
const ballSeconds = 3

// Form is how the people of the block change places: as was chosen for it, or as its drill wants it. Who is alone with
// a coach who feeds changes with nobody.
func (l Prepared) Form() *rotation.Form {
	switch {
	case l.Block.Rotation != nil || !l.Drilled:
		return l.Block.Rotation
	case len(l.People) == 1 && load.AtOnce(l.Document) == 1:
		return nil
	}
	return load.Form(l.Document)
}

// table is who is where in each round of a block; nil where nobody changes places.
func (l Prepared) table(seconds float64) *rotation.Table {
	form, perBall := l.Form(), 0.0
	if l.Block.Kind == lesson.Ball {
		perBall = ballSeconds
	}
	own := l.Drilled && l.Block.Rotation == nil
	if l.Drilled && !own {
		perBall = l.Document.Pattern.Gap
	}
	if form == nil || len(l.People) == 0 {
		return nil
	}
	if form.Courts == 0 && form.Kind != rotation.Stations {
		placed := *form
		placed.Courts = l.sideBySide()
		form = &placed
	}
	t := form.Table(len(l.People), seconds, perBall)
	if own {
		for i := range t.People {
			t.People[i].Balls = load.Of(l.Document, l.turnsAt(i, t)).Strokes
		}
	}
	if form.Kind != rotation.Stations {
		l.where(&t)
	}
	return &t
}

// turnsAt is how many turns of a drill whose parts are changed after each one person has in such a table. Who feeds has
// none.
func (l Prepared) turnsAt(person int, t rotation.Table) float64 {
	return t.People[person].Struck / l.Document.Pattern.TurnSeconds()
}

// sideBySide is how many groups change places beside one another where the coach leaves it open: as many as the
// drill is arranged in; two on a court of those who warm up with the ball; else one on a court.
func (l Prepared) sideBySide() int {
	switch {
	case l.Drilled:
		return l.Group.Lines
	case l.space.Half:
		return 1
	case l.Block.Kind == lesson.Ball:
		return 2 * l.courts()
	}
	return l.courts()
}

func (l Prepared) courts() int { return max(1, l.space.Courts) }

// where says on which court everybody is, and on which part of it where several groups share one.
func (l Prepared) where(t *rotation.Table) {
	groups := 1
	for _, round := range t.Rounds {
		for _, seat := range round.Seats {
			groups = max(groups, seat.Court)
		}
	}
	each := (groups + l.courts() - 1) / l.courts() // on one court
	for _, round := range t.Rounds {
		for i := range round.Seats {
			seat := &round.Seats[i]
			if seat.Court == 0 || groups == 1 {
				continue
			}
			var phrases []string
			if l.courts() > 1 {
				phrases = append(phrases, fmt.Sprintf("court %d", (seat.Court-1)/each+1))
			}
			switch part := (seat.Court - 1) % each; {
			case each == 2:
				phrases = append(phrases, [2]string{"left half", "right half"}[part])
			case each > 2:
				phrases = append(phrases, fmt.Sprintf("part %d", part+1))
			}
			seat.Where = strings.Join(phrases, ", ")
		}
	}
}
