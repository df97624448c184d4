package lesson

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strings"

	"hodometer/core/basics/units"
	"hodometer/core/drill"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
)

// Changed says what is changed in the drill of a block on the spot; empty where nothing is.
func (b Block) Changed() string {
	var said []string
	fewer := 0
	for _, step := range b.Steps {
		if step.Kind == feed.DropTask {
			fewer++
			continue
		}
		said = append(said, string(step.Kind))
	}
	if fewer > 0 {
		said = append(said, units.Count(fewer, "ball fewer", "balls fewer"))
	}
	if b.Size > 0 && b.Size != 1 {
		said = append(said, fmt.Sprintf("target ×%s", units.Decimal(b.Size, 2)))
	}
	return strings.Join(said, ", ")
}

// VersionSaid is what of its drill a student plays, in words: the version, and what is changed on the spot; empty
// where it is played as it is written.
func (b Block) VersionSaid(student string) string {
	version, changed := cmp.Or(b.Variant(student).Version, b.Version), b.Changed()
	if version == "" || changed == "" {
		return version + changed
	}
	return version + ", " + changed
}

// VersionOf is the version of its drill that a block plays, on a court; the drill as it is written where that is not
// there any more.
func (b Block) VersionOf(written drill.Document, on court.ID) drill.Document {
	version, _ := written.Version(b.Version)
	version, _ = version.OnCourt(on)
	return version
}

// OnTheSpot is the drill of a block, in its version, with what is changed in it on the spot. It returns invalid.Fields,
// and the drill without the change, where that is not possible.
func (b Block) OnTheSpot(d drill.Document) (drill.Document, error) {
	if b.Changed() == "" {
		return d, nil
	}
	return d.OnTheSpot(b.Steps, b.Size)
}

// Adjusted is the block with one more step, or its targets so many times as large as they are; its title says so. The
// other wing, taken twice, is the first one.
func (b Block) Adjusted(step *feed.Transformation, size float64) Block {
	title := strings.TrimSuffix(b.Title, ", "+b.Changed())
	if step != nil {
		back := slices.IndexFunc(
			b.Steps,
			func(s feed.Transformation) bool { return s.Kind == feed.ToOtherWing && step.Kind == feed.ToOtherWing },
		)
		b.Steps = slices.Clone(b.Steps)
		if back >= 0 {
			b.Steps = slices.Delete(b.Steps, back, back+1)
		} else {
			b.Steps = append(b.Steps, *step)
		}
	}
	if size > 0 {
		if b.Size == 0 {
			b.Size = 1
		}
		if b.Size = math.Round(b.Size*size*100) / 100; b.Size == 1 {
			b.Size = 0
		}
	}
	if len(b.Steps) == 0 {
		b.Steps = nil
	}
	b.Title = title
	if changed := b.Changed(); changed != "" {
		b.Title += ", " + changed
	}
	if r := []rune(b.Title); len(r) > longestTitle {
		b.Title = string(r[:longestTitle])
	}
	return b
}

// Adjustable is what can be changed in a drill on the spot.
type Adjustable struct {
	Wing  bool `json:"wing" description:"It can be played on the other wing"`
	Fewer bool `json:"fewer" description:"It has a ball that can be left out"`
	Size  bool `json:"size" description:"It has a target that can be made larger or smaller"`
}

// Adjustable says what can be changed in the drill of a block, in its version.
func (b Block) Adjustable(d drill.Document) Adjustable {
	can := func(step *feed.Transformation, size float64) bool {
		changed := b.Adjusted(step, size)
		_, err := changed.OnTheSpot(d)
		return err == nil
	}
	return Adjustable{
		Wing: can(
			&feed.Transformation{Kind: feed.ToOtherWing},
			0,
		),
		Fewer: can(&feed.Transformation{Kind: feed.DropTask}, 0),
		Size:  can(nil, 1.25) || can(nil, 0.8),
	}
}

const longestTitle = 80 // characters
