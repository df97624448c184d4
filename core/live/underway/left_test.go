package underway_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/score"
	"hodometer/core/count/tally"
	"hodometer/core/drill/library"
	"hodometer/core/lesson/prospect"
	"hodometer/core/lesson/schedule"
	"hodometer/core/live/underway"
)

// expected is what the plan of a kit expects of a student at a measure of its drill.
func expected(t *testing.T, k underway.Kit, student string, measure int) prospect.Prospect {
	in := k.Inputs()
	in.Rates = k.RatesIn()
	table, list, err := schedule.Make(t.Context(), k.Document, in)
	require.NoError(t, err)
	blocks, err := prospect.All(t.Context(), table, list, in)
	require.NoError(t, err)
	for _, p := range blocks[2].Students {
		if p.Student == student && p.Measure == measure {
			return p
		}
	}
	require.Fail(t, "the plan says nothing of this measure")
	return prospect.Prospect{}
}

// atDrill is a lesson at the beginning of its drill, that is set up, and how long into the lesson that is.
func atDrill(t *testing.T, k *underway.Kit) (begins float64) {
	do(t, k, underway.Act{ID: idOf(4, 1), At: after(0), Clock: &underway.ClockChange{Running: true}})
	b := view(t, *k, after(0)).Lesson.Plan.Blocks[2]
	return b.Start + b.SetUp
}

// R25: at the beginning of a block what is said courtside of a goal is what its plan says, over the library, for one to
// four players; R23: the attempts that are left are those planned, and one fewer with each that is counted, down to
// none, when the goal is met for sure or not at all.
func TestCourtsideExpectsWhatThePlanDoes(t *testing.T) {
	t.Parallel()
	said := 0
	for i, stored := range library.All() {
		k := kitOf(1+i%4, stored)
		now := after(atDrill(t, &k))
		for _, c := range view(t, k, now).Counters {
			if c.Chance == nil {
				continue
			}
			said++
			planned := expected(t, k, c.Student, c.Measure)
			require.NotNil(t, planned.Chance)
			require.InDelta(t, *planned.Chance, *c.Chance, 1e-9, "%s, measure %d", stored.Document.Name, c.Measure)
			if stored.Document.Order.Follow() { // what is left is there for all that follow one another
				continue
			}
			require.Equal(t, planned.Attempts, *c.Left, stored.Document.Name)
		}
	}
	require.Greater(t, said, 100)
}

// R23 by hand, and R24: of 24 planned balls 12 counted ones leave 12; with half the time gone and four counted the
// clock holds no more than 12; at the end none are left, and the goal is not met.
func TestWhatIsLeftByHand(t *testing.T) {
	t.Parallel()
	for _, stored := range library.All() {
		if stored.Document.Name != "Coin in the Corner" {
			continue
		}
		k := kitOf(1, stored)
		begins := atDrill(t, &k)
		who, block := k.Document.Students[0], k.Document.Blocks[2].ID
		counter := func(seconds float64) underway.Counter {
			for _, c := range view(t, k, after(begins+seconds)).Counters {
				if c.Student == who {
					return c
				}
			}
			require.Fail(t, "nobody is counted")
			return underway.Counter{}
		}
		seq := 0
		tap := func(n int, kind tally.Kind) {
			for range n {
				do(t, &k, underway.Act{ID: idOf(4, 2+seq), At: after(begins), Tap: &underway.Tap{
					Run: idOf(5, 1), Block: block, Student: who, Measure: 1,
					Entry: tally.Entry{Seq: seq, Kind: kind, At: after(begins)},
				}})
				seq++
			}
		}
		planned := *counter(0).Left
		require.Contains(t, counter(0).Hope, "balls left: met")
		for n := range 3 {
			tap(1, tally.Missed)
			require.Equal(t, planned-n-1, *counter(0).Left)
		}
		whole := view(t, k, after(begins)).Lesson.Plan.Blocks[2]
		play := whole.Load.Need - whole.Load.SetUp
		half := counter(whole.End - begins - play/2)
		require.InDelta(t, float64(planned)/2, *half.Left, 1)
		require.Contains(t, half.Hope, "left in the time: met")
		tap(planned-3, tally.Missed)
		require.Zero(t, *counter(0).Left)
		require.Zero(t, *counter(0).Chance)
	}
}

// R26: of what players count together the attempts to come are those of all of them: whoever is asked, the count, what
// is left and the chance are the same, and three players have three times as many as one.
func TestWhatIsCountedTogetherIsLeftForAll(t *testing.T) {
	t.Parallel()
	stored := library.All()[0]
	d := stored.Document.Clone()
	d.Measures[0].Goals = score.Course{{Kind: score.Together, Count: 12}}
	stored.Document = d
	left := func(people, made int) int {
		k := kitOf(people, stored)
		begins := atDrill(t, &k)
		for i := range made {
			who := k.Document.Students[i%people]
			do(t, &k, underway.Act{ID: idOf(4, 2+i), At: after(begins), Tap: &underway.Tap{
				Run: idOf(5, 1+i%people), Block: k.Document.Blocks[2].ID, Student: who, Measure: 1,
				Entry: tally.Entry{Seq: i, Kind: tally.Made, At: after(begins)},
			}})
		}
		var first *underway.Counter
		for _, c := range view(t, k, after(begins)).Counters {
			require.NotNil(t, c.Chance)
			if first == nil {
				first = &c
			}
			require.Equal(t, *first.Left, *c.Left)
			require.InDelta(t, *first.Chance, *c.Chance, 1e-9)
		}
		require.Equal(t, people > 1, expected(t, k, first.Student, 1).Joint)
		return *first.Left
	}
	require.Equal(t, 3*left(1, 0), left(3, 0))
	require.Equal(t, left(3, 0)-5, left(3, 5))
}

// A coach who changes the goals of a drill that is being counted is told of those that were counted, more or fewer than
// there are now.
func TestGoalsThatAreChangedUnderWay(t *testing.T) {
	t.Parallel()
	stored := library.All()[0]
	of := func(goals ...score.Goal) library.Stored {
		d := stored.Document.Clone()
		d.Measures = d.Measures[:1]
		d.Measures[0].Goals = goals
		return library.Stored{ID: stored.ID, Document: d}
	}
	total := func(n int) score.Goal { return score.Goal{Kind: score.Total, Count: n} }
	for _, c := range [][2]library.Stored{
		{of(total(2), total(3), total(4)), of(total(5))},
		{of(total(5)), of(total(2), total(3), total(4))},
	} {
		k := kitOf(1, c[0])
		begins := atDrill(t, &k)
		do(t, &k, underway.Act{ID: idOf(4, 2), At: after(begins), Tap: &underway.Tap{
			Run: idOf(5, 1), Block: k.Document.Blocks[2].ID, Student: k.Document.Students[0], Measure: 1,
			Entry: tally.Entry{Kind: tally.Made, At: after(begins)},
		}})
		k.Drills[stored.ID] = c[1].Document
		k.Becomes(k.Document)
		for _, counter := range view(t, k, after(begins)).Counters {
			require.NotNil(t, counter.Chance)
			require.Equal(t, c[0].Document.Main().Goal(), counter.Goal)
		}
	}
}
