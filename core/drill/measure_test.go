package drill_test

import (
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/people/coach"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
	"hodometer/internal/sample"
)

func total(n int) score.Course { return score.Course{{Kind: score.Total, Count: n}} }

func measure(number int, what score.Unit, goals score.Course, tasks ...int) drill.Measure {
	return drill.Measure{Number: number, What: what, Goals: goals, Tasks: tasks}
}

func TestWhatIsWrongWithMeasures(t *testing.T) {
	inTime := score.Course{{Kind: score.AsManyAsPossible, Count: 5, Minutes: 1}}
	var nine []drill.Measure
	for n := range drill.MaxMeasures + 1 {
		nine = append(nine, measure(n+1, score.Ball, total(1)))
	}
	for _, c := range []struct {
		name     string
		measures []drill.Measure
		order    drill.Order
		path     string
		says     string
	}{
		{"none", nil, "", "measures", "at least one"},
		{"nine", nine, "", "measures", "at most 8"},
		{"one number twice", []drill.Measure{measure(2, score.Ball, total(1)), measure(2, score.Ball, total(1))}, "",
			"measures.1.number", "measure 2 already"},
		{"no goal", []drill.Measure{measure(1, score.Ball, nil)}, "", "measures.0.goals", "what is to be reached"},
		{"a task that is not there", []drill.Measure{measure(1, score.Ball, total(1), 0, 7)}, "", "measures.0.tasks.1",
			"no task 8"},
		{"what no task feeds", []drill.Measure{measure(1, score.Repetition, total(1))}, "", "measures.0.tasks",
			"it counts repetitions"},
		{"rallies that are not there", []drill.Measure{measure(1, score.Rally,
			score.Course{{Kind: score.Rallies, Count: 1, From: 1, To: 3}})}, "", "measures.0.what",
			"each reply is the next feed"},
		{"a goal of another unit", []drill.Measure{measure(1, score.Ball, score.Course{{Kind: score.FirstTo, Count: 11}})},
			"", "measures.0.goals.0.kind", "is not counted in balls"},
		{"a goal that cannot be finished", []drill.Measure{measure(1, score.Ball,
			score.Course{{Kind: score.Stages, Stages: []score.Stage{{}}}})}, "", "measures.0.goals.0.stages.0.count",
			"at least one ball"},
		{"a target of no size", []drill.Measure{{Number: 1, What: score.Ball, Goals: total(1),
			Target: &court.Target{Kind: court.Circle}}}, "", "measures.0.target.mark", ""},
		{"times that overlap", []drill.Measure{measure(1, score.Ball, inTime), measure(2, score.Ball, inTime)}, "",
			"measures.1.goals.0.minutes", "overlap that of measure 1"},
		{"units that cannot follow", []drill.Measure{measure(1, score.Ball, total(1)), measure(2, score.Sequence, total(1))},
			drill.OneByOne, "measures.1.what", "sequences and the first one balls"},
	} {
		t.Run(c.name, func(t *testing.T) {
			d := sample.Coin().Document
			d.Measures, d.Order = c.measures, c.order
			err := d.Check()
			require.ErrorContains(t, err, c.path)
			require.ErrorContains(t, err, c.says)
		})
	}
	d := sample.Coin().Document
	d.Measures, d.Order = []drill.Measure{measure(1, score.Ball, inTime), measure(2, score.Ball, inTime)}, drill.OneByOne
	require.NoError(t, d.Check(), "one after the other the times do not overlap")
}

// By hand: a shadow, two balls and a catch, four times a turn.
func TestAttemptsOfATurn(t *testing.T) {
	d := drill.Document{Pattern: feed.Pattern{Gap: 3, Sequences: 4, Tasks: []feed.Task{
		{Kind: feed.ShadowTask}, {Stroke: sports.Forehand}, {Stroke: sports.Backhand}, {Kind: feed.CatchTask},
	}}}
	for _, c := range []struct {
		m    drill.Measure
		want float64
		in   int
	}{
		{measure(1, score.Ball, nil), 12, 1}, // a shuttle that is caught flies too
		{measure(1, score.Ball, nil, 1), 4, 1},
		{measure(1, score.Repetition, nil), 8, 1},
		{measure(1, score.Sequence, nil), 4, 3},
		{measure(1, score.Sequence, nil, 1, 2), 4, 2},
		{measure(1, score.Time, nil), 1, 1},
	} {
		require.InDelta(t, c.want, d.Tried(c.m), 0, "%s", c.m.What)
		require.Equal(t, c.in, d.In(c.m), "%s", c.m.What)
	}
	d.Order = drill.OneByOne
	require.InDelta(t, 12, d.Tried(measure(1, score.Ball, nil, 1)), 0, "while it is on, all balls are its own")
	d.Order, d.Pattern.Rally = "", &feed.Rally{Shots: 10}
	require.InDelta(t, 40, d.Tried(measure(1, score.Ball, nil)), 0, "strokes")
	require.InDelta(t, 4, d.Tried(measure(1, score.Rally, nil)), 0)
}

// Whatever was met, all that comes before the goal that is on is met, and nothing that is met comes after one that is
// not.
func TestTheMeasureThatIsOn(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		d := drill.Document{Order: rapid.SampledFrom([]drill.Order{drill.OneByOne, drill.GoalByGoal}).Draw(t, "order")}
		for n := range rapid.IntRange(1, 5).Draw(t, "measures") {
			d.Measures = append(d.Measures, measure(n+1, score.Ball, make(score.Course, rapid.IntRange(1, 3).Draw(t, "goals"))))
		}
		met := make([]int, len(d.Measures))
		all := 0
		for _, m := range d.Measures {
			all += len(m.Goals)
		}
		for done := range all {
			on := d.On(met)
			before := d.Before(drill.GoalAt{Measure: on, Goal: met[on]})
			require.Len(t, before, done)
			for _, at := range before {
				require.Less(t, at.Goal, met[at.Measure])
			}
			met[on]++
		}
		require.Equal(t, len(d.Measures)-1, d.On(met), "at the end the last one stays")
	})
	d := drill.Document{Measures: []drill.Measure{measure(1, score.Ball, total(1)), measure(2, score.Ball, total(1))}}
	require.Zero(t, d.On([]int{1, 0}), "side by side all are on")
}

// What a variation does to the sequence it does to what belongs to each measure.
func TestMeasuresKeepTheirTasks(t *testing.T) {
	for _, stored := range library.All() {
		d := stored.Document
		if d.Pattern.Rally != nil || len(d.Pattern.Tasks) < 2 {
			continue
		}
		d.Order, d.Measures = "", nil
		for i, task := range d.Pattern.Tasks {
			if len(d.Measures) < drill.MaxMeasures && task.Kind.Flies() {
				d.Measures = append(d.Measures, measure(i+1, score.Ball, total(1), i))
			}
		}
		if len(d.Measures) == 0 {
			continue
		}
		for _, kind := range []feed.TransformationKind{feed.Reverse, feed.DropTask, feed.Constrain, feed.LinkOn,
			feed.Quicken} {
			varied, _, err := d.Transformed(t.Context(), []feed.Transformation{{Kind: kind}}, coach.Default())
			if err != nil {
				continue // it cannot be fed, or would be too long
			}
			for _, m := range varied.Measures {
				for _, task := range m.Tasks {
					was, is := d.Pattern.Tasks[m.Number-1], varied.Pattern.Tasks[task]
					require.Contains(t, []sports.Stroke{was.Stroke, was.Stroke.OtherWing()}, is.Stroke, "%s, %s", d.Name, kind)
				}
			}
			if kind == feed.DropTask {
				require.NotContains(t, numbers(varied), len(d.Pattern.Tasks), "the last task took its measure along")
			}
		}
	}
}

func numbers(d drill.Document) []int {
	var list []int
	for _, m := range d.Measures {
		list = append(list, m.Number)
	}
	return list
}

func TestAChangeThatChangesNothingIsRefused(t *testing.T) {
	d := sample.Coin().Document
	d.Pattern.Tasks = d.Pattern.Tasks[:1]
	refused(t, d, feed.Reverse)
	_, phrases, err := d.Transformed(t.Context(), []feed.Transformation{{Kind: feed.Quicken, By: 0.1}}, coach.Default())
	require.NoError(t, err)
	require.Contains(t, phrases[0], "shorter")
}
