package feed_test

import (
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/basics/invalid"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// forked is a ball, then an approach and a volley if it comes short, an overhead if it comes high, or nothing.
func forked() feed.Pattern {
	return feed.Pattern{Method: feed.ByRacket, Gap: 2, Sequences: 10, Pause: 4, Tasks: tasks(4), Branches: []feed.Branch{
		{From: 1, To: 2, Case: feed.IfShort, Chance: 0.3}, {From: 3, To: 3, Case: feed.IfHigh, Chance: 0.2}}}
}

// By hand: 1 + 0.3×2 + 0.2 = 1.8 balls a sequence and 18 a turn; 1.8×2 s and a pause of 4 s make 7.6 s.
func TestBranchesWeighBallsAndTime(t *testing.T) {
	p := forked()
	require.NoError(t, p.Check())
	require.Equal(t, 18, p.BallsPerTurn())
	require.InDelta(t, 7.6, p.SequenceSeconds(), 1e-12)
	require.InDelta(t, 76, p.TurnSeconds(), 1e-12)
	for turn := range 20 {
		short, high, last := 0, 0, -1
		for _, r := range plan(t, p, turn) {
			switch r.Task {
			case 1:
				short++
				require.Zero(t, last)
			case 2:
				require.Equal(t, 1, last, "a branch is played to its end")
			case 3:
				high++
				require.Zero(t, last, "never after the other branch")
			}
			last = r.Task
		}
		require.InDelta(t, 3, short, 1, "in a single turn too, as near as can be")
		require.InDelta(t, 2, high, 1)
	}
	p.Repeats = []feed.Repeat{{From: 0, To: 3, Times: 4}}
	require.NoError(t, p.Check(), "a group round the whole of it")
	require.Equal(t, 72, p.BallsPerTurn())
}

func TestWhatIsWrongWithBranches(t *testing.T) {
	for says, change := range map[string]func(p *feed.Pattern){
		"the first task is always played":   func(p *feed.Pattern) { p.Branches[0].From = 0 },
		"has no task 9":                     func(p *feed.Pattern) { p.Branches[1].To = 8 },
		"ends before it begins":             func(p *feed.Pattern) { p.Branches[0].To = 0 },
		"before the last one ends":          func(p *feed.Pattern) { p.Branches[1].From = 2 },
		"come to 110 in 100":                func(p *feed.Pattern) { p.Branches[0].Chance = 0.9 },
		"between 1 and 100 in 100":          func(p *feed.Pattern) { p.Branches[0].Chance = 0 },
		"within this branch":                func(p *feed.Pattern) { p.Repeats = []feed.Repeat{{From: 1, To: 2, Times: 2}} },
		"a rally has no branches":           func(p *feed.Pattern) { p.Rally = &feed.Rally{Shots: 4} },
		"order in which the tasks are":      func(p *feed.Pattern) { p.Order = feed.Shuffled },
		"at most 200 balls, and these are ": func(p *feed.Pattern) { p.Repeats = []feed.Repeat{{From: 0, To: 3, Times: 12}} },
	} {
		p := forked()
		change(&p)
		require.ErrorContains(t, p.Check(), says)
	}
}

// Whatever the chances, what is planned is what is played in the mean, and no turn has more than there is.
func TestPlannedBallsAreThePlayedOnesInTheMean(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p := forked()
		p.Sequences = rapid.IntRange(3, 20).Draw(t, "sequences")
		p.Seed = rapid.Uint64().Draw(t, "seed")
		p.Branches[0].Chance = rapid.Float64Range(0.05, 0.5).Draw(t, "short")
		p.Branches[1].Chance = rapid.Float64Range(0.05, 0.5).Draw(t, "high")
		const turns = 1000
		played, seconds := 0.0, 0.0
		for turn := range turns {
			list, err := p.PlanTurn(t.Context(), turn)
			require.NoError(t, err)
			played += float64(len(list)) / turns
			seconds += (2*float64(len(list)) + 4*float64(p.Sequences)) / turns
		}
		require.InDelta(t, p.UsualSequences()*p.CountTasks(func(int, feed.Task) bool { return true }), played, 0.05*played)
		require.InDelta(t, p.TurnSeconds(), seconds, 0.05*seconds)
	})
}

// By hand: 20 s here with a ball every 3 s are six and 2 s to wait, then the next group a metre nearer each time.
func TestGroupsByTheClockAndStepByStep(t *testing.T) {
	p := feed.Pattern{
		Gap:       3,
		Sequences: 1,
		Pause:     5,
		Tasks:     tasks(3),
		Repeats:   []feed.Repeat{{From: 0, To: 1, Seconds: 20}, {From: 2, To: 2, Times: 3, Nearer: 1}},
	}
	require.NoError(t, p.Check())
	require.Equal(t, []int{0, 1, 0, 1, 0, 1, 2, 2, 2}, written(p))
	require.InDelta(t, 20+9+5, p.SequenceSeconds(), 1e-12)
	list := plan(t, p, 0)
	require.InDelta(t, 20, list[6].At, 1e-12, "the clock ends the group, not its last ball")
	require.InDelta(t, 2, list[8].Nearer, 1e-12)
	p.Repeats[0].Nearer, p.Repeats[0].Seconds, p.Repeats[0].Times = 0.5, 0, 2
	p.Repeats = append(p.Repeats, feed.Repeat{From: 0, To: 2, Times: 2, Nearer: 4})
	require.InDelta(t, 0.5+4, plan(t, p, 0)[7+2].Nearer, 1e-12, "a group in a group adds up")
	p.Repeats[0].Seconds, p.Ends, p.On = 10, feed.ByTheClock, 60
	require.ErrorContains(t, p.Check(), "the clock ends the whole sequence already")
}

func TestAnswers(t *testing.T) {
	p := feed.Pattern{
		Method:    feed.ByRacket,
		Gap:       1.5,
		Sequences: 2,
		Pause:     5,
		Tasks:     tasks(3),
		Repeats:   []feed.Repeat{{From: 1, To: 2, Times: 5}},
	}
	p.Tasks[1].Method, p.Tasks[1].Player = feed.Answer, 1
	p.Tasks[2].Method = feed.Answer
	require.NoError(t, p.Check())
	require.Equal(t, 2, p.BallsPerTurn(), "one ball, played on")
	require.Equal(t, 22, p.StrokesPerTurn())
	require.True(t, p.OneBall())
	require.Equal(t, 2, p.Roles())
	require.Equal(t, "answer 2, forehand", p.Tasks[1].Label(1))
	for says, change := range map[string]func(p *feed.Pattern){
		"no stroke before it":     func(p *feed.Pattern) { p.Tasks[0].Method = feed.Answer },
		"only a ball is":          func(p *feed.Pattern) { p.Tasks[1].Kind = feed.TouchTask },
		"the answer says it":      func(p *feed.Pattern) { at := court.At(0, 4); p.Tasks[0].Reply = &at },
		"has to bring the first":  func(p *feed.Pattern) { p.Method = feed.Answer },
		"answers need the order ": func(p *feed.Pattern) { p.Order = feed.Drawn },
	} {
		wrong := p
		wrong.Tasks = append([]feed.Task{}, p.Tasks...)
		change(&wrong)
		require.ErrorContains(t, wrong.Check(), says)
	}
}

func TestBranchesGoWithTheirTasks(t *testing.T) {
	c, err := sports.Court("tennis")
	require.NoError(t, err)
	p, _, err := feed.Transformation{Kind: feed.DropTask, Task: 2}.Apply(forked(), c)
	require.NoError(t, err)
	require.NoError(t, p.Check())
	require.Equal(
		t,
		[]feed.Branch{{From: 1, To: 1, Case: feed.IfShort, Chance: 0.3}, {From: 2, To: 2, Case: feed.IfHigh, Chance: 0.2}},
		p.Branches,
	)
	p, _, err = feed.Transformation{Kind: feed.Constrain}.Apply(forked(), c)
	require.NoError(t, err)
	require.NoError(t, p.Check())
	require.Len(t, p.Branches, 4)
	p, _, err = feed.Transformation{Kind: feed.Reverse}.Apply(forked(), c)
	require.NoError(t, err)
	var wrong invalid.Fields
	require.ErrorAs(t, p.Check(), &wrong, "turned round, there is nothing before the branches")
}
