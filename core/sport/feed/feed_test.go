package feed_test

import (
	"context"
	"math"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/basics/invalid"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
	"hodometer/internal/long"
)

func two() feed.Pattern {
	return feed.Pattern{
		Method:    feed.ByRacket,
		Gap:       3.5,
		Sequences: 3,
		Pause:     6,
		Tasks: []feed.Task{
			{Stroke: sports.Forehand, Landing: court.At(1, -5)},
			{Stroke: sports.Overhead, Landing: court.At(-1, -5)},
		},
	}
}

func plan(t *testing.T, p feed.Pattern, turn int) []feed.Release {
	list, err := p.PlanTurn(t.Context(), turn)
	require.NoError(t, err)
	return list
}

func TestATurnIsBounded(t *testing.T) {
	p := two()
	p.Sequences = 300_000
	_, err := p.PlanTurn(t.Context(), 0)
	require.ErrorContains(t, err, "at most 240 tasks")
	p.Sequences, p.Ends, p.MaxSequences = 1, feed.AtRandom, 300_000
	_, err = p.PlanTurn(t.Context(), 7)
	require.ErrorContains(t, err, "at most 240 tasks")
	gone, cancel := context.WithCancel(t.Context())
	cancel()
	_, err = two().PlanTurn(gone, 0)
	require.ErrorIs(t, err, context.Canceled)
}

func TestTiming(t *testing.T) {
	// By hand: two balls 3.5 s apart and a pause of 6 s make 2×3.5+6 = 13 s; three of them 39 s.
	p := two()
	require.Equal(t, 6, p.BallsPerTurn())
	require.InDelta(t, 13, p.SequenceSeconds(), 1e-12)
	require.InDelta(t, 39, p.TurnSeconds(), 1e-12)
	require.InDelta(t, 60/3.5, p.Rate(), 1e-12)
	require.InDelta(t, 6*60.0/39, p.BlockRate(), 1e-12)
	releases := []float64{}
	for _, r := range plan(t, p, 0) {
		releases = append(releases, r.At)
	}
	require.InDeltaSlice(t, []float64{0, 3.5, 13, 16.5, 26, 29.5}, releases, 1e-12)
	require.Equal(t, 3, p.Count(sports.Of(court.Tennis).Overhead))
	p.Tasks = append(p.Tasks, feed.Task{Kind: feed.TouchTask, Landing: court.At(0, -1), Gap: 2})
	require.Equal(t, 6, p.BallsPerTurn(), "touching the net is no ball")
	require.InDelta(t, 15, p.SequenceSeconds(), 1e-12)
	p.Ends, p.MaxSequences = feed.AtRandom, 5
	require.Equal(t, 8, p.BallsPerTurn(), "three to five sequences, four on average")
	require.InDelta(t, 6*60, p.FeedingSeconds(3, 2), 1e-12)
	p.Next, p.Overlap = feed.WhileTheLast, 4
	require.InDelta(t, 60+5*56, p.FeedingSeconds(3, 2), 1e-12)
	p.Next = feed.AllAtOnce
	require.InDelta(t, 2*60, p.FeedingSeconds(3, 2), 1e-12)
}

func TestOrders(t *testing.T) {
	p := two()
	p.Sequences, p.Order, p.Seed = 20, feed.Shuffled, 7
	count := map[int]int{}
	for i, r := range plan(t, p, 0) {
		count[r.Task]++
		require.Equal(t, i/2, r.Sequence)
	}
	require.Equal(t, map[int]int{0: 20, 1: 20}, count, "shuffled, each task comes once in a sequence")
	require.Equal(t, plan(t, p, 3), plan(t, p, 3), "the same turn again is the same")
	require.NotEqual(t, plan(t, p, 3), plan(t, p, 4))

	p.Order, p.Tasks[0].Weight = feed.Drawn, 3
	clear(count)
	for turn := range 200 {
		for _, r := range plan(t, p, turn) {
			count[r.Task]++
		}
	}
	require.InDelta(t, 0.75, float64(count[0])/8000, 0.02, "drawn three times in four")

	p.Ends, p.Sequences, p.MaxSequences = feed.AtRandom, 2, 4
	lengths := map[int]bool{}
	for turn := range 100 {
		lengths[len(plan(t, p, turn))/2] = true
	}
	require.Equal(t, map[int]bool{2: true, 3: true, 4: true}, lengths)
}

func TestMoments(t *testing.T) {
	tennis, shuttle := sports.Of(court.Tennis).Courts[0].Ball, sports.Of(court.Badminton).Courts[0].Ball
	require.Equal(t, feed.AtTheTop, feed.Task{Stroke: sports.Forehand}.Moment(tennis))
	require.Equal(t, feed.OutOfTheAir, feed.Task{Stroke: sports.Overhead}.Moment(tennis))
	require.Equal(t, feed.OutOfTheAir, feed.Task{Stroke: sports.Lift}.Moment(shuttle))
	require.Equal(t, feed.Rising, feed.Task{Stroke: sports.Forehand, Contact: feed.Rising}.Moment(tennis))
}

func TestSpinWordsAndTurns(t *testing.T) {
	require.InDelta(t, 1200*2*math.Pi/60, feed.Task{Spin: sports.Topspin}.SpinOf(court.Tennis).Top, 1e-9)
	require.InDelta(t, -600*2*math.Pi/60, feed.Task{Spin: sports.Topspin, RPM: -600}.SpinOf(court.Tennis).Top, 1e-9)
	require.Zero(t, feed.Task{Spin: sports.HeavySlice}.SpinOf(court.Badminton))
	require.Positive(t, feed.Task{Spin: sports.SideLeft}.SpinOf(court.TableTennis).Side)
}

func TestCheck(t *testing.T) {
	for path, change := range map[string]func(*feed.Pattern){
		"tasks.1.value": func(p *feed.Pattern) { p.Tasks[1].By = flight.ByApex },
		"tasks.0.at":    func(p *feed.Pattern) { p.Tasks[0].Contact = feed.AtHeight },
		"maxSequences":  func(p *feed.Pattern) { p.Ends = feed.AtRandom },
	} {
		p := two()
		change(&p)
		var fields invalid.Fields
		require.ErrorAs(t, p.Check(), &fields)
		require.Equal(t, path, fields[0].Path)
	}
	require.NoError(t, two().Check())
}

func pattern(t *rapid.T) feed.Pattern {
	p := two()
	n := rapid.IntRange(1, 6).Draw(t, "tasks")
	p.Tasks = nil
	for range n {
		at := func(name string) court.Mark {
			if rapid.Bool().Draw(t, name+" measured") {
				return court.From(
					court.Off(court.NearBaseline, rapid.Float64Range(0, 8).Draw(t, name+" in"), court.In),
					court.Off(court.RightSingles, rapid.Float64Range(0, 6).Draw(t, name+" across"), court.In),
				)
			}
			return court.At(rapid.Float64Range(-4, 4).Draw(t, name+" x"), rapid.Float64Range(-11, -2).Draw(t, name+" y"))
		}
		task := feed.Task{
			Stroke: rapid.SampledFrom([]sports.Stroke{sports.Forehand, sports.Backhand, sports.ForehandVolley, sports.Overhead}).
				Draw(t, "stroke"),
			Landing: at("landing"),
			Spin:    rapid.SampledFrom([]sports.SpinKind{"", sports.Topspin, sports.SideLeft}).Draw(t, "spin"),
		}
		if rapid.Bool().Draw(t, "recovers") {
			mark := at("recover")
			task.Recover = &mark
		}
		p.Tasks = append(p.Tasks, task)
	}
	return p
}

func TestTransformationsTwice(t *testing.T) {
	c, err := sports.Court("tennis")
	require.NoError(t, err)
	long.Check(t, func(t *rapid.T) {
		p := pattern(t)
		for _, change := range []feed.TransformationKind{feed.ToOtherWing, feed.ForLeftHander, feed.Reverse} {
			once, phrase, err := feed.Transformation{Kind: change}.Apply(p, c)
			require.NoError(t, err)
			require.NotEmpty(t, phrase)
			twice, _, err := feed.Transformation{Kind: change}.Apply(once, c)
			require.NoError(t, err)
			require.Equal(t, p, twice, change)
		}
	})
}

// TestNothingLeavesTheCourt moves places about: what was on its half of the court stays there, so that the
// feeder can still hit it.
func TestNothingLeavesTheCourt(t *testing.T) {
	c, err := sports.Court("tennis")
	require.NoError(t, err)
	long.Check(t, func(t *rapid.T) {
		p := pattern(t)
		step := feed.Transformation{
			Kind: rapid.SampledFrom([]feed.TransformationKind{feed.Spread, feed.Gather, feed.Deeper, feed.Shorter,
				feed.LockPlace, feed.LinkOn}).
				Draw(t, "change"),
			By: rapid.Float64Range(0, 10).Draw(t, "by"),
		}
		after, phrase, err := step.Apply(p, c)
		require.NoError(t, err)
		require.NotEmpty(t, phrase)
		for _, task := range after.Tasks {
			at, err := c.Resolve(task.Landing)
			require.NoError(t, err)
			require.Less(t, at.Y, -1.8, "it lands on the student's half, clear of the net")
			require.Less(t, math.Abs(at.X), 5.5)
			require.Greater(t, at.Y, -c.Length/2-1e-9)
		}
	})
}

func TestWhatChangesIsSaid(t *testing.T) {
	c, err := sports.Court("tennis")
	require.NoError(t, err)
	for phrase, step := range map[string]feed.Transformation{
		"Without ball 1, forehand.":                                 {Kind: feed.DropTask, Task: 1},
		"The gap is 0.3 s shorter: 3.2 s instead of 3.5 s.":         {Kind: feed.Quicken},
		"The gap is 1 s longer: 4.5 s instead of 3.5 s.":            {Kind: feed.Slow, By: 1},
		"The places lie 25 % further apart.":                        {Kind: feed.Spread},
		"The places lie 10 m deeper, as far as the court allows.":   {Kind: feed.Deeper, By: 10},
		"Every task comes to the place of ball 2, overhead.":        {Kind: feed.LockPlace},
		"One more at the end: ball 3, overhead.":                    {Kind: feed.LinkOn},
		"Each sequence is played once constrained, then once free.": {Kind: feed.Constrain},
		"The order is shuffled anew for every sequence.":            {Kind: feed.Shuffle, Seed: 3},
	} {
		after, got, err := step.Apply(two(), c)
		require.NoError(t, err)
		require.Equal(t, phrase, got)
		require.NotEqual(t, two(), after)
	}
	for _, step := range []feed.Transformation{{Kind: feed.DropTask, Task: 5}, {Kind: "paint it blue"}} {
		_, _, err := step.Apply(two(), c)
		require.Error(t, err)
	}
	long := two()
	for len(long.Tasks) < feed.MaxTasks {
		long.Tasks = append(long.Tasks, long.Tasks[0])
	}
	for _, change := range []feed.TransformationKind{feed.LinkOn, feed.Constrain} {
		_, _, err := feed.Transformation{Kind: change}.Apply(long, c)
		require.ErrorContains(t, err, "60")
	}
	long.Tasks = long.Tasks[:1]
	_, _, err = feed.Transformation{Kind: feed.DropTask}.Apply(long, c)
	require.ErrorContains(t, err, "only task")
}
