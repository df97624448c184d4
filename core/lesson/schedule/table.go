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

// Form is how the people of the block change places: as was chosen for it, or as its drill wants it.
func (l Prepared) Form() *rotation.Form {
	if l.Block.Rotation == nil && l.Drilled {
		return load.Form(l.Document)
	}
	return l.Block.Rotation
}

// table is who is where in each round of a block; nil where nobody changes places.
func (l Prepared) table(seconds float64) *rotation.Table {
	form, perBall := l.Form(), 0.0
	if l.Block.Kind == lesson.Ball {
		perBall = ballSeconds
	}
	if l.Drilled {
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
	if form.Kind != rotation.Stations {
		l.where(&t)
	}
	return &t
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
