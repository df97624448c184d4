package schedule

import (
	"math"
	"slices"

	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/core/drill"
	"hodometer/core/drill/load"
	"hodometer/core/game"
	"hodometer/core/lesson"
)

// Prepared is a block with everything that it depends on beside itself.
type Prepared struct {
	Block        lesson.Block
	Index        int
	People       []lesson.Person
	Document     drill.Document // with the set-up that is left
	Drilled      bool           // it has a drill, which is there, and somebody to play it
	Game         *game.Document // where it is one that is there, in the version that is played
	versions     []string       // of the drill or the game, by name; none where it has no other
	version      string         // that is played; empty for the one that is written
	Group        load.Group
	GroupSummary string  // how the group plays, in words
	walk         float64 // seconds to walk over
	collect      float64 // seconds to collect what is not needed any more
	comes        []Piece // put down for it
	goes         []Piece // collected before it
	stays        []Piece
	space        load.Space
}

// changeOver is how long it takes until the block can be set up.
func (l Prepared) changeOver() float64 { return l.walk + l.collect }

// shortestTalk is how long explaining a drill takes at least, in seconds. Common practice, no source.
const shortestTalk = 15

// Prepare puts each block together with who is in it, how they play, and what equipment has to be moved.
//
// Whatever stands for a drill stays where it is until another drill begins; then it is collected where that
// has no use for it, each piece for so many seconds. A drill that goes on where it was has nothing to be put
// down again: only explaining is left of its set-up.
func Prepare(d lesson.Document, in Inputs) []Prepared {
	list := make([]Prepared, len(d.Blocks))
	var standing []Piece
	last := ""
	for i, block := range d.Blocks {
		l := Prepared{
			Block:  block,
			Index:  i,
			space:  d.Space,
			People: in.In(block),
			walk:   units.Round(in.Settings.ChangeOver),
			comes:  []Piece{},
			goes:   []Piece{},
			stays:  standing,
		}
		if i == 0 || block.Continues != "" {
			l.walk = 0
		}
		document, known := in.Drills[block.Plays()]
		if block.Kind.Counts() && known && len(l.People) > 0 {
			l.Drilled, l.Document = true, document
			l.version, l.versions = document.VersionName(), document.VersionNames()
			l.Group, l.GroupSummary = load.Arrange(document, len(l.People), block.Lines, d.Space)
			needed := Pieces(document.Carry())
			switch {
			case block.Continues != "":
				l.Document.SetUp = 0
			case last == block.Drill:
				talk := math.Min(document.SetUp, shortestTalk)
				l.Document.SetUp = math.Max(talk, document.SetUp-in.Settings.Piece*float64(count(needed)))
			default:
				l.goes, l.comes = without(standing, needed), needed
				l.stays = []Piece{}
				l.collect = units.Round(in.Settings.Piece * float64(count(l.goes)))
			}
			standing, last = needed, block.Drill
		}
		if played, known := in.Games[block.Plays()]; known && block.Game != "" {
			l.Game = &played
			if l.versions = in.Games[block.Game].VersionNames(); slices.Contains(l.versions, block.Version) {
				l.version = block.Version
			}
			needed := Pieces(played.Equipment)
			l.goes, l.comes, l.stays = without(standing, needed), without(needed, standing), standing
			l.collect = units.Round(in.Settings.Piece * float64(count(l.goes)))
			standing, last = needed, ""
		}
		list[i] = l
	}
	return list
}

// moving is the change-over and what is left of the set-up.
func (l Prepared) moving() []metric.Part {
	steps := []metric.Part{metric.Clock.Of("Walking over", l.walk)}
	if l.collect > 0 {
		steps = append(steps, metric.Clock.Of("Collecting "+InWords(l.goes), l.collect))
	}
	if l.Drilled {
		name := "Setting the court and explaining"
		if len(l.comes) == 0 && len(l.Document.Carry()) > 0 {
			name = "Explaining; the court stands already"
		}
		steps = append(steps, metric.Clock.Of(name, l.Document.SetUp))
	}
	return steps
}

// Step is what the minutes of a block are multiples of; 0 for any length. Rotations are whole when
// everybody had everything equally often.
func (l Prepared) Step() float64 {
	if l.Block.Step == lesson.WholeRotations {
		if t := l.table(1); t != nil {
			return t.Seconds / 60
		}
	}
	return l.Block.StepMinutes()
}

// Overhead says whether anybody serves or hits above the head in the block.
func (l Prepared) Overhead() bool {
	return l.Block.Kind == lesson.Serving || l.Drilled && l.Document.AboveHead()
}

// title is what is said of a block wherever it stands: its title, and which version of its drill is played.
func (l Prepared) title() string {
	if l.version != "" {
		return l.Block.Title + ": " + l.version
	}
	return l.Block.Title
}
