package lesson

import (
	"fmt"
	"math"
	"slices"
	"strconv"
	"strings"

	"hodometer/core/drill"
	"hodometer/core/metric"
	"hodometer/core/rotation"
)

// Piece is so many of a piece of equipment.
type Piece struct {
	Count int    `json:"count"`
	Name  string `json:"name"`
}

// String writes a piece as a coach lists it.
func (p Piece) String() string { return fmt.Sprintf("%d %s", p.Count, p.Name) }

// pieces reads a list of equipment: "4 flat markers" are four, "ball machine" is one.
func pieces(lines []string) []Piece {
	var list []Piece
	for _, line := range lines {
		count, name := 1, strings.TrimSpace(line)
		if first, rest, ok := strings.Cut(name, " "); ok {
			if n, err := strconv.Atoi(first); err == nil && n > 0 {
				count, name = n, strings.TrimSpace(rest)
			}
		}
		if name != "" {
			list = append(list, Piece{Count: count, Name: name})
		}
	}
	return list
}

// same says whether two pieces are the same thing: 1 basket, 2 baskets.
func (p Piece) same(other Piece) bool {
	one := func(name string) string { return strings.TrimSuffix(strings.ToLower(name), "s") }
	return one(p.Name) == one(other.Name)
}

// count is how many pieces a list has.
func count(list []Piece) (n int) {
	for _, p := range list {
		n += p.Count
	}
	return n
}

// without is what of a list is not needed for another.
func without(list, needed []Piece) []Piece {
	rest := []Piece{}
	for _, p := range list {
		if i := slices.IndexFunc(needed, p.same); i >= 0 {
			p.Count -= needed[i].Count
		}
		if p.Count > 0 {
			rest = append(rest, p)
		}
	}
	return rest
}

// preparedBlock is a block with everything that it depends on beside itself.
type preparedBlock struct {
	block        Block
	index        int
	people       []Person
	document     drill.Document // with the set-up that is left
	drilled      bool           // it has a drill, which is there, and somebody to play it
	group        drill.Group
	groupSummary string  // how the group plays, in words
	walk         float64 // seconds to walk over
	collect      float64 // seconds to collect what is not needed any more
	comes        []Piece // put down for it
	goes         []Piece // collected before it
	stays        []Piece
	space        drill.Space
}

// changeOver is how long it takes until the block can be set up.
func (l preparedBlock) changeOver() float64 { return l.walk + l.collect }

// shortestTalk is how long explaining a drill takes at least, in seconds. Common practice, no source.
const shortestTalk = 15

// prepared puts each block together with who is in it, how they play, and what equipment has to be moved.
//
// Whatever stands for a drill stays where it is until another drill begins; then it is collected where that
// has no use for it, each piece for so many seconds. A drill that goes on where it was has nothing to be put
// down again: only explaining is left of its set-up.
func (d Document) prepared(in Inputs) []preparedBlock {
	list := make([]preparedBlock, len(d.Blocks))
	var standing []Piece
	last := ""
	for i, block := range d.Blocks {
		l := preparedBlock{block: block, index: i, space: d.Space, people: in.of(block), walk: in.Settings.ChangeOver, comes: []Piece{}, goes: []Piece{}, stays: standing}
		if i == 0 || block.Continues != "" {
			l.walk = 0
		}
		document, known := in.Drills[block.Drill]
		if block.Kind.drilled() && known && len(l.people) > 0 {
			l.drilled, l.document = true, document
			l.group, l.groupSummary = document.Arrange(len(l.people), block.Lines, d.Space)
			needed := pieces(document.Equipment)
			switch {
			case block.Continues != "":
				l.document.SetUp = 0
			case last == block.Drill:
				talk := math.Min(document.SetUp, shortestTalk)
				l.document.SetUp = math.Max(talk, document.SetUp-in.Settings.Piece*float64(count(needed)))
			default:
				l.goes, l.comes = without(standing, needed), needed
				l.stays = []Piece{}
				l.collect = in.Settings.Piece * float64(count(l.goes))
			}
			standing, last = needed, block.Drill
		}
		list[i] = l
	}
	return list
}

// of are the people of a block.
func (in Inputs) of(b Block) []Person {
	if len(b.People) == 0 {
		return in.People
	}
	var list []Person
	for _, p := range in.People {
		if slices.Contains(b.People, p.ID) {
			list = append(list, p)
		}
	}
	return list
}

// ballSeconds is what a ball takes in a warm-up with the ball. Common practice, no source.
const ballSeconds = 3

// form is how the people of the block change places: as was chosen for it, or as its drill wants it.
func (l preparedBlock) form() *rotation.Form {
	if l.block.Rotation == nil && l.drilled {
		return l.document.Form()
	}
	return l.block.Rotation
}

// table is who is where in each round of a block; nil where nobody changes places.
func (l preparedBlock) table(seconds float64) *rotation.Table {
	form, perBall := l.form(), 0.0
	if l.block.Kind == Ball {
		perBall = ballSeconds
	}
	if l.drilled {
		perBall = l.document.Pattern.Gap
	}
	if form == nil || len(l.people) == 0 {
		return nil
	}
	if form.Courts == 0 && form.Kind != rotation.Stations {
		placed := *form
		placed.Courts = l.sideBySide()
		form = &placed
	}
	t := form.Table(len(l.people), seconds, perBall)
	if form.Kind != rotation.Stations {
		l.where(&t)
	}
	return &t
}

// sideBySide is how many groups change places beside one another where the coach leaves it open: as many as the
// drill is arranged in; two on a court of those who warm up with the ball; else one on a court.
func (l preparedBlock) sideBySide() int {
	switch {
	case l.drilled:
		return l.group.Lines
	case l.space.Half:
		return 1
	case l.block.Kind == Ball:
		return 2 * l.courts()
	}
	return l.courts()
}

func (l preparedBlock) courts() int { return max(1, l.space.Courts) }

// where says on which court everybody is, and on which part of it where several groups share one.
func (l preparedBlock) where(t *rotation.Table) {
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

// moving explains the change-over and what is left of the set-up.
func (l preparedBlock) moving() []metric.Input {
	steps := []metric.Input{{Name: "Walking over", Value: seconds(l.walk)}}
	if l.collect > 0 {
		steps = append(steps, metric.Input{Name: "Collecting " + listed(l.goes), Value: seconds(l.collect)})
	}
	if l.drilled {
		name := "Setting the court and explaining"
		if len(l.comes) == 0 && len(l.document.Equipment) > 0 {
			name = "Explaining; the court stands already"
		}
		steps = append(steps, metric.Input{Name: name, Value: seconds(l.document.SetUp)})
	}
	return steps
}

func listed(list []Piece) string {
	phrases := make([]string, len(list))
	for i, p := range list {
		phrases[i] = p.String()
	}
	return strings.Join(phrases, ", ")
}
