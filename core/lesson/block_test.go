package lesson_test

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/invalid"
	"hodometer/core/count/score"
	"hodometer/core/drill/library"
	"hodometer/core/drill/rotation"
	"hodometer/core/lesson"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
	"hodometer/internal/golden"
)

// calls are calls at so many minutes.
func calls(minutes ...float64) []lesson.Call {
	list := []lesson.Call{}
	for _, at := range minutes {
		list = append(list, lesson.Call{Minute: at, Text: "x"})
	}
	return list
}

func minutesOf(list []lesson.Call) []float64 {
	minutes := []float64{}
	for _, call := range list {
		minutes = append(minutes, call.Minute)
	}
	return minutes
}

// By hand: calls move closer together only where the last would come too late, to whole tenths.
func TestABlockGetsOtherMinutes(t *testing.T) {
	t.Parallel()
	b := lesson.Block{Minutes: 10, Calls: calls(0, 4, 8)}
	require.Equal(t, []float64{0, 2, 4}, minutesOf(b.Resized(5).Calls))
	require.Equal(t, []float64{0, 4, 8}, minutesOf(b.Resized(8).Calls), "the last comes as it ends")
	require.Equal(t, []float64{0, 2.8, 5.6}, minutesOf(b.Resized(7).Calls))
	require.Equal(t, []float64{0, 4, 8}, minutesOf(b.Resized(20).Calls))
	require.Equal(t, []float64{0, 4, 8}, minutesOf(b.Calls), "the block itself is as it was")
}

// By hand: a block of 10 min that is cut after 4.
func TestABlockIsCut(t *testing.T) {
	t.Parallel()
	b := lesson.Block{ID: "b", Minutes: 10, Wanted: 12, Min: 3, Max: 15, Step: lesson.WholeMinutes, Pinned: true,
		Calls: calls(0, 3.999, 4, 9.99, 10)}
	played, rest := b.Cut(4)
	require.InDelta(t, 4, played.Minutes, 1e-9)
	require.InDelta(t, 6, rest.Minutes, 1e-9)
	require.Equal(t, []float64{0, 3.999}, minutesOf(played.Calls))
	require.Equal(t, []float64{0, 5.99}, minutesOf(rest.Calls), "a call as it ends would not be heard")
	require.Equal(t, "b", rest.CountedAs())
	require.Equal(t, "b", played.CountedAs())
	require.True(t, played.Pinned)
	require.False(t, rest.Pinned)
	for _, part := range []lesson.Block{played, rest} {
		require.Zero(t, part.Wanted+part.Min+part.Max)
		require.Empty(t, part.Step)
	}
	_, rest = b.Cut(9.8)
	require.InDelta(t, lesson.ShortestBlock, rest.Minutes, 1e-9, "never shorter than a block can be")
	rest.Anew, rest.ID = true, "c"
	require.Equal(t, "c", rest.CountedAs())

	lasting := b.Lasting(4.001)
	require.InDelta(t, 4.01, lasting.Minutes, 1e-9)
	require.Equal(t, []float64{0, 3.999, 4}, minutesOf(lasting.Calls))
	require.Zero(t, lasting.Wanted+lasting.Min+lasting.Max)
	require.InDelta(t, 4, b.Lasting(4).Minutes, 1e-9)
}

// Who is in a block, and what is written down where everybody is.
func TestWhoIsInABlock(t *testing.T) {
	t.Parallel()
	all, two := []string{"a", "b", "c"}, []string{"a", "b"}
	b := lesson.Block{People: []string{"c"}}
	require.Equal(t, two, b.ForThose(two, all).People)
	require.Nil(t, b.ForThose(all, all).People)
	require.Equal(t, []string{"c"}, b.Played(all).People)
	require.Equal(t, all, lesson.Block{}.Played(all).People)
	require.True(t, b.Played(all).Pinned)

	d := lesson.Document{Blocks: []lesson.Block{{Kind: lesson.Ball}, {Kind: lesson.Talk}}}
	require.Equal(t, 1, d.PlaceFor(lesson.Block{Kind: lesson.Drill}), "before the talk")
	require.Equal(t, 2, d.PlaceFor(lesson.Block{Kind: lesson.Talk}))
	d.Blocks = d.Blocks[:1]
	require.Equal(t, 1, d.PlaceFor(lesson.Block{Kind: lesson.Drill}))
	require.Equal(t, 0, lesson.Document{}.PlaceFor(lesson.Block{Kind: lesson.Drill}))
}

// By hand: which block is on, at and around where they meet.
func TestWhichBlockIsOn(t *testing.T) {
	t.Parallel()
	d := lesson.Document{Blocks: []lesson.Block{{Minutes: 1}, {Minutes: 0.5}}}
	for second, want := range map[float64][2]float64{
		-5: {0, 0}, 0: {0, 0}, 59.9: {0, 59.9}, 60: {1, 0}, 89: {1, 29}, 500: {1, 440},
	} {
		block, gone := d.At(second)
		require.Equal(t, int(want[0]), block, second)
		require.InDelta(t, want[1], gone, 1e-9, second)
	}
	block, gone := lesson.Document{}.At(3)
	require.Equal(t, -1, block)
	require.Zero(t, gone)
}

// A lesson that was held says for how long, and one that was forgotten does not.
func TestALessonIsHeld(t *testing.T) {
	t.Parallel()
	at := time.Date(2026, 3, 10, 16, 0, 0, 0, time.UTC)
	held := lesson.Clock{Anchor: at, Held: 20}
	require.InDelta(t, 50, held.HeldAt(at.Add(30*time.Second), 600), 1e-9)
	require.InDelta(t, 20, held.HeldAt(at.Add(-time.Minute), 600), 1e-9)
	require.InDelta(t, 20, held.HeldAt(at.Add(600*time.Second), 600), 1e-9)
	require.InDelta(t, 619, held.HeldAt(at.Add(599*time.Second), 600), 1e-9)
	held.Running = true
	require.InDelta(t, 20, held.HeldAt(at.Add(30*time.Second), 600), 1e-9)
}

// By hand: what a block may have, from what is usual for its kind and from what its coach says.
func TestTheBoundsOfABlock(t *testing.T) {
	t.Parallel()
	for i, c := range []struct {
		b           lesson.Block
		least, most float64
	}{
		{lesson.Block{Kind: lesson.Drill, Minutes: 10}, 5, 18},
		{lesson.Block{Kind: lesson.Drill, Minutes: 10, Wanted: 20}, 10, 36},
		{lesson.Block{Kind: lesson.Body, Minutes: 10}, 7, 14},
		{lesson.Block{Kind: lesson.Break, Minutes: 10}, 6, 15},
		{lesson.Block{Kind: lesson.Talk, Minutes: 10}, 5, 15},
		{lesson.Block{Kind: lesson.Game, Minutes: 10}, 4, 20},
		{lesson.Block{Kind: lesson.Serving, Minutes: 10}, 5, 16},
		{lesson.Block{Kind: lesson.Drill, Minutes: 10, Min: 12}, 12, 18},
		{lesson.Block{Kind: lesson.Drill, Minutes: 10, Min: 20}, 20, 20},
		{lesson.Block{Kind: lesson.Drill, Minutes: 10, Max: 3}, 3, 3},
		{lesson.Block{Kind: lesson.Drill, Minutes: 10, Max: 7}, 5, 7},
		{lesson.Block{Kind: lesson.Drill, Minutes: 10, Min: 9, Max: 3}, 9, 3},
		{lesson.Block{Kind: lesson.Talk, Minutes: 0.5}, 0.5, 0.75},
		{lesson.Block{Kind: lesson.Talk, Minutes: 0.3}, 0.5, 0.5},
	} {
		least, most := c.b.Bounds()
		require.InDelta(t, c.least, least, 1e-9, i)
		require.InDelta(t, c.most, most, 1e-9, i)
	}
	require.Equal(t, 5, lesson.Block{Weight: 5}.MinutesWeight())
	weights := ""
	for _, kind := range lesson.Kind("").Enum() {
		k := kind.(lesson.Kind)
		weights += fmt.Sprintf("%s %d%v%v ", k, lesson.Block{Kind: k}.MinutesWeight(), k.Warms(), k.Rests())
	}
	require.Equal(t, "body warm-up 4truefalse ball warm-up 4truefalse technique 2falsefalse drill 2falsefalse "+
		"drill as points 2falsefalse game 2falsefalse serving 2falsefalse break 4falsetrue cool-down 3falsetrue "+
		"closing talk 3falsetrue ", weights)
	require.InDelta(t, 1, lesson.Block{Step: lesson.WholeMinutes}.StepMinutes(), 0)
	require.InDelta(t, 2, lesson.Block{Step: lesson.EvenMinutes}.StepMinutes(), 0)
	require.Zero(t, lesson.Block{Step: lesson.WholeRotations}.StepMinutes())
}

// What is changed on the spot is said in the title once, and the other wing taken twice is the first one.
func TestADrillIsChangedOnTheSpot(t *testing.T) {
	t.Parallel()
	step := func(kind feed.TransformationKind) *feed.Transformation { return &feed.Transformation{Kind: kind} }
	b := lesson.Block{Title: "Coin"}
	b = b.Adjusted(step(feed.ToOtherWing), 0)
	require.Equal(t, "Coin, other wing", b.Title)
	b = b.Adjusted(step(feed.DropTask), 1.25)
	require.Equal(t, "Coin, other wing, 1 ball fewer, target ×1.25", b.Title)
	b = b.Adjusted(step(feed.DropTask), 0)
	require.Equal(t, "other wing, 2 balls fewer, target ×1.25", b.Changed())
	b = b.Adjusted(step(feed.ToOtherWing), 0.8)
	require.Equal(t, "Coin, 2 balls fewer", b.Title)
	require.Zero(t, b.Size)
	require.Equal(t, []feed.Transformation{{Kind: feed.DropTask}, {Kind: feed.DropTask}}, b.Steps)
	require.Nil(t, lesson.Block{}.Adjusted(nil, 2).Steps)
	require.Len(t, []rune(lesson.Block{Title: strings.Repeat("ä", 79)}.Adjusted(nil, 2).Title), 80)

	var said strings.Builder
	for i, stored := range library.All() {
		if i%12 == 0 {
			fmt.Fprintf(&said, "%+v\n", lesson.Block{}.Adjustable(stored.Document))
		}
	}
	golden.Same(t, "adjustable.txt", said.String())

	block := lesson.Block{ID: "b", Drill: "d", Version: "v", Size: 2}
	require.Equal(t, "d#v#b", block.Plays())
	block.Size = 1
	require.Equal(t, "d#v", block.Plays(), "as large as they are is no change")
	require.Equal(t, "g", lesson.Block{Game: "g"}.Plays())
	require.Equal(t, 7, lesson.Block{Turns: 7}.TurnsOf(library.All()[0].Document))
	require.Equal(t, library.All()[0].Document.Turns, lesson.Block{}.TurnsOf(library.All()[0].Document))
}

// What is different for somebody is there once, and in words.
func TestAVariantIsThereOnce(t *testing.T) {
	t.Parallel()
	d := library.All()[0].Document
	right := lesson.Person{ID: "r", Profile: student.Profile{Hand: student.RightHand}}
	left := lesson.Person{ID: "l", Profile: student.Profile{Hand: student.LeftHand}}
	five := score.Course{{Kind: score.Streak, Count: 5}}
	for _, c := range []struct {
		v           lesson.Variant
		right, left string
	}{
		{lesson.Variant{}, "", "left-handed: mirror it"},
		{lesson.Variant{Drawn: lesson.Mirrored}, "mirrored", "left-handed: mirror it"},
		{lesson.Variant{Drawn: lesson.AsDrawn}, "", "as drawn, though left-handed"},
		{lesson.Variant{Gap: d.Pattern.Gap, Size: 1}, "", "left-handed: mirror it"},
		{lesson.Variant{Version: "v", Gap: 9.25, Size: 2}, "v; 9.25 s apart; target 2 times as large",
			"left-handed: mirror it; v; 9.25 s apart; target 2 times as large"},
		{lesson.Variant{Drawn: lesson.AsDrawn, Goals: []lesson.Instead{{Measure: 1, Goals: five}}}, "goal: 5 in a row",
			"as drawn, though left-handed; goal: 5 in a row"},
	} {
		require.Equal(t, c.right, c.v.Describe(right, d))
		require.Equal(t, c.left, c.v.Describe(left, d))
	}
	b := lesson.Block{}.With(lesson.Variant{Student: "r", Gap: 5}).With(lesson.Variant{Student: "l", Size: 2})
	require.Len(t, b.Variants, 2)
	b = b.With(lesson.Variant{Student: "r", Gap: 6})
	require.Len(t, b.Variants, 2)
	require.InDelta(t, 6, b.Variant("r").Gap, 0)
	require.Equal(t, lesson.Variant{Student: "x"}, b.Variant("x"))
	played := b.DrillFor(d, right)
	require.InDelta(t, 6, played.Pattern.Gap, 0)
	require.Equal(t, d.Mirrored().Places, b.DrillFor(d, left).Places)
	require.Nil(t, b.With(lesson.Variant{Student: "r"}).With(lesson.Variant{Student: "l"}).Variants)
	for _, v := range []lesson.Variant{
		{Version: "v"}, {Drawn: lesson.AsDrawn}, {Goals: []lesson.Instead{{Measure: 1, Goals: five}}},
	} {
		require.Len(t, lesson.Block{}.With(v).Variants, 1)
	}
	v := lesson.Variant{}
	v.Reach(1, five)
	v.Reach(2, five)
	v.Reach(1, score.Course{{Kind: score.Streak, Count: 6}})
	require.Len(t, v.Goals, 2)
	require.Equal(t, 6, v.Goals[1].Goals[0].Count)

	doc := lesson.Document{}.Hush(lesson.Hushed{Block: "b", About: "a", Why: "w"}).
		Hush(lesson.Hushed{About: "a", Why: "w"})
	require.Len(t, doc.Hushed, 2)
	doc = doc.Hush(lesson.Hushed{Block: "b", About: "a", Why: "v"})
	require.Len(t, doc.Hushed, 2)
	doc = doc.Hush(lesson.Hushed{Block: "b", About: "a"})
	require.Equal(t, []lesson.Hushed{{About: "a", Why: "w"}}, doc.Hushed)
	require.Nil(t, doc.Hush(lesson.Hushed{About: "a"}).Hushed)
}

// By hand: what the air and the age ask for.
func TestWarmUpMinutes(t *testing.T) {
	t.Parallel()
	old := []lesson.Person{{Profile: student.Profile{Age: student.Adult}}, {Profile: student.Profile{Age: student.Sixty}}}
	for _, c := range []struct {
		celsius float64
		people  []lesson.Person
		minutes float64
		why     string
	}{
		{20, old[:1], 0, ""},
		{10, nil, 0, ""},
		{9.9, nil, 2, "2 min more in the cold (10 °C): common practice"},
		{-3, old, 4, "4 min more in the cold (−3 °C) and for players of 60 and over: common practice"},
		{27.9, nil, 0, ""},
		{28, nil, -2, "2 min less in the heat (28 °C): common practice"},
		{28, old, 0, ""},
		{20, old, 2, "2 min more for players of 60 and over: common practice"},
	} {
		minutes, why := lesson.WarmUp(c.celsius, c.people)
		require.InDelta(t, c.minutes, minutes, 0, c.celsius)
		require.Equal(t, c.why, why)
	}
}

// What a plan begins with, in every sport, and what is said of a lesson that makes no sense.
func TestBlocksToBeginWith(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	for _, of := range sports.All() {
		fmt.Fprintln(&b, of.Name, golden.Line(t, lesson.Starters(of.Name), 2))
	}
	fmt.Fprintln(&b, golden.Line(t, lesson.More(), 2), golden.Line(t, lesson.AsPlayed(), 0))
	fmt.Fprintln(&b, golden.Line(t, []lesson.Block{lesson.BallWarmUp(2), lesson.BallWarmUp(2.5), lesson.BodyWarmUp(5)}, 2))
	for _, d := range []lesson.Document{
		{Title: " ", Date: "2026-02-30"},
		{Title: "x", Date: "1999-12-31", Students: []string{"a", "b", "a"}},
		{Title: "x", Date: "2000-01-01", Students: []string{"a"}, Blocks: make([]lesson.Block, 21)},
		{Title: "x", Date: "2099-12-31", Students: []string{"a"}, Blocks: []lesson.Block{
			{ID: "1", Kind: lesson.Drill, Title: "x", Minutes: 5, Calls: calls(5, 5.1)},
			{ID: "2", Kind: lesson.Talk, Title: "", Drill: "d", Game: "g", Minutes: 5, Step: lesson.WholeRotations},
			{ID: "2", Kind: lesson.Game, Title: "x", Game: "g", Minutes: 5, Min: 8, Max: 7,
				Rotation: &rotation.Form{Kind: rotation.Roles}},
		}},
	} {
		said := "sound"
		if err := d.Check(); err != nil {
			said = err.Error()
		}
		fmt.Fprintln(&b, said)
	}
	require.ErrorAs(t, lesson.Document{}.Check(), new(invalid.Fields))
	require.True(t, lesson.Document{Date: "x"}.Day().IsZero())
	require.Equal(t, court.Tennis, sports.All()[0].Name)
	golden.Same(t, "blocks.txt", b.String())
}

// What a student plays of a drill is told: the block's version or their own, and what is changed on the spot.
func TestTheVersionOfAStudentIsSaid(t *testing.T) {
	b := lesson.Block{}
	require.Empty(t, b.VersionSaid("ada"))
	b.Version = "More time"
	require.Equal(t, "More time", b.VersionSaid("ada"))
	b.Variants = []lesson.Variant{{Student: "ada", Version: "One corner"}}
	require.Equal(t, "One corner", b.VersionSaid("ada"))
	b.Size = 1.25
	require.Equal(t, "One corner, target ×1.25", b.VersionSaid("ada"))
	b.Version = ""
	require.Equal(t, "target ×1.25", b.VersionSaid("ben"))
}
