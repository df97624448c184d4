package plan

import (
	"context"
	"errors"
	"math"
	"slices"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/say"
	"hodometer/core/drill"
	"hodometer/core/drill/load"
	"hodometer/core/drill/playerfit"
	"hodometer/core/drill/simulation"
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
)

// wishedHits is how often a target that suits is hit: 6 times in 10, and where no size is hit so often, less.
func wishedHits() []float64 { return []float64{0.6, 0.5, 0.4} }

const (
	minChange    = 0.1 // a gap or a size is proposed where it differs by more than a tenth
	smallestSize = 0.5
	largestSize  = 3.0
)

// Propose works out what would suit one student in a drill block: the gap at which nothing is worse than working, the
// target that is hit 6 times in 10 (or as often as a target there can be hit), and the goal that is met 4 times in 5 in
// the block's time. What cannot be worked out is left as it is. It returns ctx.Err() when cancelled.
func Propose(
	ctx context.Context,
	d lesson.Document,
	blockID, studentID string,
	evidence []playerfit.Evidence,
	in schedule.Inputs,
) (lesson.Variant, error) {
	list := schedule.Prepare(d, in)
	i := slices.IndexFunc(list, func(l schedule.Prepared) bool { return l.Block.ID == blockID })
	if i < 0 || !list[i].Drilled {
		return lesson.Variant{}, invalid.Fields{{Path: "block", Message: "there is no such drill in this lesson"}}
	}
	l := list[i]
	j := slices.IndexFunc(l.People, func(p lesson.Person) bool { return p.ID == studentID })
	if j < 0 {
		return lesson.Variant{}, invalid.Fields{{Path: "student", Message: "this student is not in the block"}}
	}
	person := l.People[j]
	v := lesson.Variant{Student: studentID}
	spared := person.Profile.Spared(l.Asks(person))
	version, spares := l.Sparing(person)
	if len(spared) > 0 && spares {
		v.Version = version
	}
	plain := l.Block
	plain.Variants = []lesson.Variant{v}
	mine := plain.DrillFor(l.Document, person)
	player := footwork.Of(mine.Sport, person.Profile, person.Profile.Hand, d.Day())
	simulation, err := simulation.Run(ctx, mine, player, in.Settings)
	var wrong invalid.Fields
	if err != nil {
		if errors.As(err, &wrong) {
			return v, nil
		}
		return v, err
	}
	because := func(sentence say.Sentence) {
		if !v.Why.Empty() {
			sentence = say.Of("two sentences", v.Why, sentence)
		}
		v.Why = sentence
	}
	switch {
	case v.Version != "":
		because(say.Of("variant.version spares", v.Version))
	case len(spared) > 0:
		because(say.Of("variant.asks for what is rested", student.Joined(spared)))
	}
	for _, f := range simulation.Fastest {
		if f.Strain == footwork.Working && f.Gap != nil && *f.Gap > mine.Pattern.Gap*(1+minChange) {
			v.Gap = math.Ceil(*f.Gap*10) / 10
			because(say.Of("variant.slower", v.Gap))
		}
	}
	for _, hit := range wishedHits() {
		fitted, sentence, err := playerfit.Adapt(
			ctx,
			mine,
			playerfit.AdaptRequest{Hit: hit},
			evidence,
			player,
			l.Group.People,
			in.Settings,
		)
		if errors.As(err, &wrong) {
			continue // no size is hit so often; then a little less often
		}
		if err != nil {
			return v, err
		}
		if size := sizeOf(fitted) / sizeOf(mine); math.Abs(size-1) > minChange {
			v.Size = math.Round(math.Max(smallestSize, math.Min(size, largestSize))*100) / 100
			because(sentence)
		}
		break
	}
	plain.Variants = []lesson.Variant{v}
	mine = plain.DrillFor(l.Document, person)
	minutes := load.For(l.Document, l.Group, l.Block.TurnsOf(l.Document), in.Settings).Feeding / 60
	if mine.Order.Follow() {
		minutes /= float64(len(mine.Measures)) // each has its share
	}
	for i, m := range mine.Measures {
		if len(m.Goals) > 1 {
			continue // goals that follow one another are left as the coach has them
		}
		fitted, sentence, err := playerfit.Adapt(
			ctx,
			mine,
			playerfit.AdaptRequest{Measure: m.Number, Minutes: minutes},
			evidence,
			player,
			l.Group.People,
			in.Settings,
		)
		switch {
		case err == nil:
			if goals := fitted.Measures[i].Goals; goals.String() != m.Goals.String() {
				v.Reach(m.Number, goals)
				because(sentence)
			}
		case !errors.As(err, &wrong):
			return v, err
		}
	}
	return v, nil
}

// sizeOf is what scaling a target scales; not a number where it has one size only.
func sizeOf(d drill.Document) float64 {
	t := d.Main().Target
	if t == nil {
		return math.NaN()
	}
	for _, size := range []float64{t.Radius, t.Depth, t.High - t.Low} {
		if size > 0 {
			return size
		}
	}
	return math.NaN()
}
