package progress_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/people/coach"
	"hodometer/core/people/ladder"
	"hodometer/core/people/progress"
	"hodometer/core/people/skill"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
	"hodometer/internal/long"
	"hodometer/internal/sample"
)

// By hand: the level makes 6.5 of 10 to one side. Who makes of balls that the level makes half of 40 of 42 is much
// better, and whoever makes 4 of 40 much worse; 13 of 24 are hardly better than half, so about 7 of 10, too near at
// what is asked to be clear. Nothing of that is a rate of what was counted: 13 of 24 balls are 54 in 100.
func TestAdvise(t *testing.T) {
	none := func(*progress.Known) {}
	beside := func(b progress.Beside) func(*progress.Known) { return func(k *progress.Known) { k.Beside = b } }
	hard := 9
	apart := func(k *progress.Known) { // depth is much harder than direction
		k.Standards[ladder.Direction] = progress.StandardOf(ladder.Direction, sports.Forehand, skill.Of(0.8))
		k.Standards[ladder.Depth] = progress.StandardOf(ladder.Depth, sports.Forehand, skill.Of(0.3))
	}
	for _, c := range []struct {
		name         string
		rung         ladder.Quality
		made, missed int
		change       func(*progress.Known)
		want         progress.Decision
		next         ladder.Quality
		says         string
	}{
		{"nothing counted, nothing known", ladder.Depth, 0, 0, none, progress.Stay, ladder.Depth, "nothing is known"},
		{"a few balls are not enough", ladder.Depth, 8, 0, none, progress.Stay, ladder.Depth, "Only 8 balls"},
		{"much better goes up", ladder.Direction, 40, 2, none, progress.StepUp, ladder.Depth, "Go on to depth"},
		{"one rung at a time", ladder.Consistency, 40, 2, none, progress.StepUp, ladder.Direction, "consistency is there"},
		{"who was put nowhere begins where it is not clear", ladder.Consistency, 24, 8,
			func(k *progress.Known) { k.Placed = false }, progress.StepUp, ladder.Depth,
			"consistency and direction are there. Go on to depth"},
		{"about what is wanted is open", ladder.Direction, 13, 11, none, progress.Stay, ladder.Direction, "not clear yet"},
		{"and it is said what would make it so", ladder.Direction, 16, 8, none, progress.Stay, ladder.Direction,
			"2 lessons of 24 balls at the standard task (to one side, fed) would make it clear"},
		{"much worse goes back", ladder.Direction, 4, 36, none, progress.StepBack, ladder.Consistency, "Go back to"},
		{"where the rung below holds one thing is taken away", ladder.Depth, 30, 30, apart, progress.ThinOut, ladder.Depth,
			"Take one thing away"},
		{"the first rung has nothing below it", ladder.Consistency, 4, 36, none, progress.ThinOut, ladder.Consistency,
			"Take one thing away"},
		{"half and more is coming", ladder.Depth, 13, 11, none, progress.Stay, ladder.Depth, "It is coming"},
		{"the last rung has nothing above it", ladder.Pace, 60, 0, none, progress.Stay, ladder.Pace, "top rung"},
		{"spin shows in its own drills", ladder.Spin, 60, 0, func(k *progress.Known) { k.Evidence = nil }, progress.Stay,
			ladder.Spin, "It shows in its own drills"},
		{"boredom holds a step up back", ladder.Depth, 60, 0, beside(progress.Beside{Engagement: 5}), progress.Stay,
			ladder.Depth, "engagement was 5"},
		{"good engagement does not", ladder.Depth, 60, 0, beside(progress.Beside{Engagement: 7}), progress.StepUp,
			ladder.Spin, "Go on to spin"},
		{"a hard lesson holds back", ladder.Depth, 60, 0, beside(progress.Beside{Effort: &hard}), progress.Stay, ladder.Depth,
			"9 of 10 in effort"},
		{"a fault that grows holds back", ladder.Depth, 60, 0,
			beside(progress.Beside{Faults: []progress.FaultTrend{{Fault: "late", Going: "up"}}}), progress.Stay, ladder.Depth,
			"“late” is seen more and more"},
		{"what points lose holds back", ladder.Depth, 60, 0,
			beside(progress.Beside{Points: &progress.InPoints{Drills: 0.73, Points: 0.49}}), progress.Stay, ladder.Depth,
			"in points it is 4.9 of 10 only"},
		{"a little lost does not", ladder.Depth, 60, 0,
			beside(progress.Beside{Points: &progress.InPoints{Drills: 0.73, Points: 0.6}}), progress.StepUp, ladder.Spin, ""},
		{"what has no standard is the coach's", ladder.Depth, 60, 0, func(k *progress.Known) { k.Standards = nil },
			progress.Stay, ladder.Depth, "yours to judge"},
	} {
		t.Run(c.name, func(t *testing.T) {
			k := sample.Standing(c.rung, c.made, c.missed)
			c.change(&k)
			a := progress.Advise(k)
			require.Equal(t, c.want, a.Decision, a.Reason)
			require.Equal(t, c.next, a.Next, a.Reason)
			require.Contains(t, a.Reason, c.says)
			require.Equal(t, string(c.want), a.Derivation.Value)
			require.NotContains(t, a.Reason, "in a row")
		})
	}
}

// What stands beside a decision is named, whatever is decided.
func TestWhatStandsBesideIsNamed(t *testing.T) {
	k := sample.Standing(ladder.Depth, 20, 20)
	now := time.Date(2026, 3, 10, 12, 0, 0, 0, time.UTC)
	k.Beside = progress.Beside{
		Points: &progress.InPoints{Drills: 0.73, Points: 0.49},
		Faults: []progress.FaultTrend{{Fault: "late", Going: "down", Sentence: "going down"}, {Fault: "feet"}},
		Last:   now.AddDate(0, 0, -36), Now: now,
	}
	require.Equal(t, []string{
		"About 7.3 of 10 in drills, 4.9 in points.", "“late”: going down.", "Last counted 5 weeks ago.",
	}, progress.Advise(k).Beside)
	k.Beside.Last = now.AddDate(0, 0, -27)
	require.Len(t, progress.Advise(k).Beside, 2)
}

func TestMoreMakesNeverStepBack(t *testing.T) {
	order := map[progress.Decision]int{progress.StepBack: 0, progress.ThinOut: 1, progress.Stay: 2, progress.StepUp: 3}
	long.Check(t, func(t *rapid.T) {
		made, missed := rapid.IntRange(0, 60).Draw(t, "made"), rapid.IntRange(0, 60).Draw(t, "missed")
		if made+missed < 12 {
			return // of less nothing is said
		}
		now := progress.Advise(sample.Standing(ladder.Depth, made, missed))
		then := progress.Advise(sample.Standing(ladder.Depth, made+1, max(0, missed-1)))
		require.GreaterOrEqual(t, order[then.Decision], order[now.Decision])
	})
}

// Where nothing spins, pace comes after depth, and who was put on spin before stands on depth.
func TestALadderWithoutSpin(t *testing.T) {
	flat := ladder.Of(court.Badminton)
	require.Equal(t, []ladder.Quality{ladder.Consistency, ladder.Direction, ladder.Depth, ladder.Pace}, flat)
	require.Equal(t, ladder.Qualities(), ladder.Of(court.Tennis))
	k := sample.Standing(ladder.Depth, 60, 0)
	k.Ladder = flat
	require.Equal(t, ladder.Pace, progress.Advise(k).Next)
	require.Equal(t, ladder.Depth, ladder.Spin.On(flat))
	require.Equal(t, ladder.Pace, ladder.Pace.On(flat))
}

// The bounds are the coach's where they chose some: who wants less of a rung lets players go on earlier.
func TestTheBoundsAreTheCoachs(t *testing.T) {
	require.Equal(t, progress.Usual(), progress.BoundsOf(coach.Steps{}))
	own := progress.BoundsOf(coach.Steps{Wanted: 5, Up: 8, Back: 2})
	require.Equal(t, progress.Bounds{Bar: 0.5, Up: 0.8, Back: 0.2}, own)
	k := sample.Standing(ladder.Direction, 16, 8)
	require.Equal(t, progress.Stay, progress.Advise(k).Decision)
	k.Bounds = own
	require.Equal(t, progress.StepUp, progress.Advise(k).Decision)
}
