package feed_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

func tasks(n int) []feed.Task {
	list := make([]feed.Task, n)
	for i := range list {
		list[i] = feed.Task{Stroke: sports.Forehand, Landing: court.At(0, -5)}
	}
	return list
}

// written are the tasks of a sequence in order.
func written(p feed.Pattern) (list []int) {
	for _, w := range p.Listed() {
		list = append(list, w.Task)
	}
	return list
}

// By hand: five volleys here and one step back, twice, then a smash; gaps of 2 s and 3 s for the step.
func TestGroupsAreWrittenOut(t *testing.T) {
	p := feed.Pattern{
		Gap:       2,
		Sequences: 3,
		Pause:     5,
		Tasks:     tasks(3),
		Repeats:   []feed.Repeat{{From: 0, To: 0, Times: 5}, {From: 0, To: 1, Times: 2}},
	}
	p.Tasks[1].Kind, p.Tasks[1].Gap = feed.TouchTask, 3
	require.NoError(t, p.Check())
	require.Equal(t, []int{0, 0, 0, 0, 0, 1, 0, 0, 0, 0, 0, 1, 2}, written(p))
	require.Equal(t, 33, p.BallsPerTurn(), "eleven balls three times: a step is no ball")
	require.InDelta(t, 11*2+2*3+5, p.SequenceSeconds(), 1e-9)
	plan, err := p.PlanTurn(t.Context(), 0)
	require.NoError(t, err)
	require.Len(t, plan, 39)
	require.InDelta(t, 33, plan[13].At, 1e-9, "the second sequence begins after the first and its pause")
}

// By hand: 20 s of work with a task every 3 s are seven tasks, the last beginning at 18 s, but it would last to 21 s:
// six.
func TestWorkByTheClock(t *testing.T) {
	p := feed.Pattern{Gap: 3, Sequences: 6, Pause: 20, Ends: feed.ByTheClock, On: 20, Tasks: tasks(4)}
	require.NoError(t, p.Check())
	require.Equal(t, []int{0, 1, 2, 3, 0, 1}, written(p))
	require.InDelta(t, 6*40, p.TurnSeconds(), 1e-9)
	plan, err := p.PlanTurn(t.Context(), 0)
	require.NoError(t, err)
	require.InDelta(t, 40, plan[6].At, 1e-9, "the clock ends the work, not the last ball")
	p.On = 1
	require.Equal(t, []int{0}, written(p), "one at least")
	p.On = 0
	require.ErrorContains(t, p.Check(), "seconds of work")
}

func TestWhatIsWrongWithGroups(t *testing.T) {
	for says, groups := range map[string][]feed.Repeat{
		"ends before it begins":  {{From: 2, To: 1, Times: 2}},
		"has no task 9":          {{From: 0, To: 8, Times: 2}},
		"at least twice":         {{From: 0, To: 1, Times: 1}},
		"overlaps tasks":         {{From: 0, To: 2, Times: 2}, {From: 1, To: 3, Times: 2}},
		"not in two":             {{From: 0, To: 3, Times: 2}, {From: 0, To: 2, Times: 2}, {From: 0, To: 1, Times: 2}},
		"at most 200 tasks with": {{From: 0, To: 3, Times: 50}, {From: 0, To: 1, Times: 3}},
	} {
		p := feed.Pattern{Gap: 2, Sequences: 1, Tasks: tasks(4), Repeats: groups}
		require.ErrorContains(t, p.Check(), says)
	}
}

// Whatever is dropped, turned round or linked on, a group stays round the tasks that were its own, and a pattern that
// made sense makes sense.
func TestGroupsGoWithTheirTasks(t *testing.T) {
	c, err := sports.Court("tennis")
	require.NoError(t, err)
	rapid.Check(t, func(t *rapid.T) {
		n := rapid.IntRange(2, 6).Draw(t, "tasks")
		p := feed.Pattern{Method: feed.ByRacket, Gap: 2, Sequences: 1, Tasks: tasks(n)}
		for i := range p.Tasks {
			p.Tasks[i].RPM = float64(i) // so that a task is known again
		}
		from := rapid.IntRange(0, n-1).Draw(t, "from")
		to := rapid.IntRange(from, n-1).Draw(t, "to")
		p.Repeats = []feed.Repeat{{From: from, To: to, Times: 3}}
		step := feed.Transformation{
			Kind: rapid.SampledFrom([]feed.TransformationKind{feed.Reverse, feed.DropTask, feed.Constrain}).Draw(t, "step"),
			Task: rapid.IntRange(1, n).Draw(t, "task"),
		}
		after, _, err := step.Apply(p, c)
		require.NoError(t, err)
		require.NoError(t, after.Check())
		in := func(p feed.Pattern) []float64 {
			var own []float64
			for _, r := range p.Repeats {
				for _, task := range p.Tasks[r.From : r.To+1] {
					if !slices.Contains(own, task.RPM) {
						own = append(own, task.RPM)
					}
				}
			}
			slices.Sort(own)
			return own
		}
		want := in(p)
		if step.Kind == feed.DropTask {
			want = slices.DeleteFunc(want, func(rpm float64) bool { return rpm == float64(step.Task-1) })
		}
		require.ElementsMatch(t, want, in(after))
	})
}
