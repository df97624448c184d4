package underway_test

import (
	"fmt"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/drill/library"
	"hodometer/core/drill/rotation"
	"hodometer/core/lesson"
	"hodometer/core/lesson/editing"
	"hodometer/core/live/underway"
	"hodometer/internal/long"
)

// everyKind is a lesson with a block of every kind, in which players change places every minute, and something is
// called by the minute.
func everyKind(t require.TestingT) underway.Kit {
	all := library.All()
	k := kitOf(4, all[0])
	kinds := lesson.Kind("").Enum()
	k.Document.Minutes = 10 * len(kinds)
	k.Document.Blocks = nil
	for i, each := range kinds {
		kind := each.(lesson.Kind)
		b := lesson.Block{
			ID:      idOf(2, 1+i),
			Kind:    kind,
			Title:   string(kind),
			Minutes: 10,
			Effort:  4,
			Calls:   []lesson.Call{{Minute: 2.5, Text: "change sides"}, {Minute: 9, Text: "last minute"}},
		}
		if kind.Drilled() {
			b.Drill = all[0].ID
		} else {
			b.Rotation = &rotation.Form{Kind: rotation.Roles, Every: 1, Spots: []rotation.Spot{{Name: "feeds"}, {Name: "plays"}}}
		}
		k.Document.Blocks = append(k.Document.Blocks, b)
	}
	k.Rates = nil
	require.NoError(t, k.Document.Check())
	return k
}

// calls are what is called from an instant on, by the clock on the wall.
func calls(t require.TestingT, k underway.Kit, from time.Time) (list []string) {
	seen := view(t, k, from)
	zero := from.Add(-time.Duration(seen.Second * float64(time.Second)))
	for _, cue := range seen.Sheet {
		if cue.Second > seen.Second {
			at := zero.Add(time.Duration(cue.Second * float64(time.Second)))
			list = append(
				list,
				fmt.Sprintf("%d %s %s", at.Sub(four).Round(10*time.Millisecond).Milliseconds(), cue.Kind, cue.Text),
			)
		}
	}
	for _, b := range seen.Lesson.Plan.Blocks {
		if b.End > seen.Second {
			list = append(
				list,
				fmt.Sprintf(
					"%d end of %s",
					zero.Add(time.Duration(b.End*float64(time.Second))).Sub(four).Round(10*time.Millisecond).Milliseconds(),
					b.Title,
				),
			)
		}
	}
	return list
}

// R24: held for 67 s anywhere in any kind of block, once or twice, every call, change and end that was still to come
// comes exactly 67 s later, none is lost or doubled; on a second device too, which has all of it from the same acts.
func TestWhatIsHeldComesLater(t *testing.T) {
	t.Parallel()
	long.Check(t, func(t *rapid.T) {
		k := everyKind(t)
		second := rapid.Float64Range(1, float64(60*k.Document.Minutes-1)).Draw(t, "second")
		held := rapid.SampledFrom([]float64{67, 0.5, 600}).Draw(t, "held")
		begin := underway.Act{ID: idOf(4, 1), At: four, Clock: &underway.ClockChange{Running: true}}
		do(t, &k, begin)
		want := calls(t, k, after(second))
		hold := underway.Act{ID: idOf(4, 2), At: after(second), Clock: &underway.ClockChange{Second: second}}
		goOn := underway.Act{ID: idOf(4, 3), At: after(second + held), Travel: &editing.Travel{Kind: editing.Held}}

		other := everyKind(t) // a second device, that takes in all of it at once
		do(t, &other, begin, hold, goOn)
		do(t, &k, hold)
		require.InDelta(t, second, view(t, k, after(second+held/2)).Second, 1e-6)
		do(t, &k, goOn)
		at := after(second + held)
		require.Equal(t, later(want, held), calls(t, k, at))
		require.Equal(t, calls(t, k, at), calls(t, other, at))
		require.InDelta(t, held, view(t, k, at).Late, 1)

		again := underway.Act{ID: idOf(4, 4), At: at, Clock: &underway.ClockChange{Second: second}}
		do(
			t,
			&k,
			again,
			underway.Act{ID: idOf(4, 5), At: at.Add(67 * time.Second), Travel: &editing.Travel{Kind: editing.Held}},
		)
		require.Equal(t, later(want, held+67), calls(t, k, at.Add(67*time.Second)))
	})
}

// later are calls so many seconds later.
func later(list []string, seconds float64) (shifted []string) {
	for _, each := range list {
		var at int
		_, _ = fmt.Sscan(each, &at)
		shifted = append(shifted, fmt.Sprint(at+int(1000*seconds))+each[len(fmt.Sprint(at)):])
	}
	return shifted
}

// A lesson that stood for longer than it lasts was forgotten: that is no lateness.
func TestAForgottenLessonIsNotLate(t *testing.T) {
	t.Parallel()
	k := everyKind(t)
	do(t, &k,
		underway.Act{ID: idOf(4, 1), At: four, Clock: &underway.ClockChange{Running: true}},
		underway.Act{ID: idOf(4, 2), At: after(60), Clock: &underway.ClockChange{Second: 60}},
		underway.Act{ID: idOf(4, 3), At: after(60 + 86400), Travel: &editing.Travel{Kind: editing.Held}},
	)
	require.Zero(t, view(t, k, after(60+86400)).Late)
	require.InDelta(t, 60, view(t, k, after(60+86400)).Second, 1e-9)
}

// A page that pressed *Next block* twice and *Hold* before it was answered knows the road as it was: by its second it
// would be held where another block is by then. It says the block, and how much of it is gone.
func TestAHoldIsOfTheBlockThatIsOn(t *testing.T) {
	t.Parallel()
	k := everyKind(t)
	blocks := k.Document.Blocks
	third := blocks[2].ID
	old := blocks[0].Seconds() + blocks[1].Seconds() // where the third block began before
	skip := func(n int, block string) underway.Act {
		return underway.Act{ID: idOf(5, n), At: after(1), Travel: &editing.Travel{Kind: editing.GoOn, Block: block}}
	}
	do(t, &k, underway.Act{ID: idOf(5, 1), At: four, Clock: &underway.ClockChange{Running: true}},
		skip(2, blocks[0].ID), skip(3, blocks[1].ID))
	held := func(n int, clock underway.ClockChange) (string, float64) {
		one := k
		do(t, &one, underway.Act{ID: idOf(5, n), At: after(3), Clock: &clock})
		at, gone := one.Document.At(view(t, one, after(9)).Second)
		return one.Document.Blocks[at].ID, gone
	}
	on, gone := held(4, underway.ClockChange{Second: old + 2, Block: third, Gone: 2})
	require.Equal(t, third, on)
	require.InDelta(t, 2, gone, 1e-6)
	on, _ = held(5, underway.ClockChange{Second: old + 2, Block: "gone since", Gone: 2})
	require.NotEqual(t, third, on, "by the second alone, as before")
	// What runs on beyond the last block is held there.
	last := blocks[len(blocks)-1]
	on, gone = held(6, underway.ClockChange{Block: last.ID, Gone: last.Seconds() + 3600})
	require.Equal(t, last.ID, on)
	require.Greater(t, gone, last.Seconds()+60)
}
