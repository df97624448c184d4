package lesson

import (
	"math"

	"hodometer/core/drill"
	"hodometer/core/metric"
)

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

// step is what the minutes of a block are multiples of; 0 for any length. Rotations are whole when
// everybody had everything equally often.
func (l preparedBlock) step() float64 {
	if l.block.Step == WholeRotations {
		if t := l.table(1); t != nil {
			return t.Seconds / 60
		}
	}
	return l.block.step()
}

// overhead says whether anybody serves or hits above the head in the block.
func (l preparedBlock) overhead() bool {
	return l.block.Kind == Serving || l.drilled && l.document.AboveHead()
}
