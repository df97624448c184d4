package score_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/invalid"
	"hodometer/core/count/score"
	"hodometer/core/count/tally"
)

// TestTheBoundsOfAGoal: the last number that is let in, and the first that is not, and where that is said.
func TestTheBoundsOfAGoal(t *testing.T) {
	stages := func(counts ...int) score.Goal {
		g := score.Goal{Kind: score.Stages}
		for _, n := range counts {
			g.Stages = append(g.Stages, score.Stage{Count: n})
		}
		return g
	}
	for _, c := range []struct {
		in, out score.Goal
		path    string
	}{
		{score.Goal{Kind: score.Total, Count: 1}, score.Goal{Kind: score.Total}, "count"},
		{score.Goal{Kind: score.Total, Count: 1000}, score.Goal{Kind: score.Total, Count: 1001}, "count"},
		{score.Goal{Kind: score.Streak, Count: 100, Sets: 20}, score.Goal{Kind: score.Streak, Count: 101, Sets: 20}, "sets"},
		{score.Goal{Kind: score.FirstTo, Count: 200}, score.Goal{Kind: score.FirstTo, Count: 201}, "count"},
		{
			score.Goal{Kind: score.FirstTo, Count: 1, Against: 200},
			score.Goal{Kind: score.FirstTo, Count: 1, Against: 201}, "count",
		},
		{stages(1, 1000), stages(1, 1001), "stages.1.count"},
		{stages(1), stages(0), "stages.0.count"},
		{stages(1), stages(), "stages"},
		{score.Goal{Kind: score.Routine, Count: 3, Then: 1}, score.Goal{Kind: score.Routine, Count: 3}, "then"},
		{
			score.Goal{Kind: score.Routine, Count: 50, Then: 50, Sets: 20},
			score.Goal{Kind: score.Routine, Count: 51, Then: 50, Sets: 20}, "sets",
		},
		{
			score.Goal{Kind: score.AsManyAsPossible, Count: 5, Minutes: 0.5},
			score.Goal{Kind: score.AsManyAsPossible, Count: 5}, "minutes",
		},
		{
			score.Goal{Kind: score.AsManyAsPossible, Count: 5, Minutes: 1, Of: 2},
			score.Goal{Kind: score.AsManyAsPossible, Count: 5, Minutes: 1, Of: 1}, "of",
		},
		{
			score.Goal{Kind: score.Rallies, Count: 3, From: 1, To: 1},
			score.Goal{Kind: score.Rallies, Count: 3, From: 0, To: 1}, "from",
		},
		{
			score.Goal{Kind: score.Rallies, Count: 3, From: 4, To: 4},
			score.Goal{Kind: score.Rallies, Count: 3, From: 4, To: 3}, "to",
		},
		{
			score.Goal{Kind: score.SetsInRallies, Count: 3, Of: 2},
			score.Goal{Kind: score.SetsInRallies, Count: 3, Of: 1}, "of",
		},
		{
			score.Goal{Kind: score.WithinATime, Count: 3, Seconds: 0.1},
			score.Goal{Kind: score.WithinATime, Count: 3}, "seconds",
		},
		{
			score.Goal{Kind: score.FewMisses, Count: 8, Misses: 7},
			score.Goal{Kind: score.FewMisses, Count: 8, Misses: 8}, "misses",
		},
		{ // 1000 balls: 50 000 states at most
			score.Goal{Kind: score.FewMisses, Count: 999, Misses: 49},
			score.Goal{Kind: score.FewMisses, Count: 1000, Misses: 49}, "misses",
		},
		{
			score.Goal{Kind: score.FewMisses, Count: 8, Misses: 900, Minutes: 3},
			score.Goal{Kind: score.FewMisses, Count: 8, Misses: 900}, "misses",
		},
		{score.Goal{Kind: score.Together, Count: 4}, score.Goal{Kind: "somehow", Count: 4}, "kind"},
	} {
		require.NoError(t, c.in.Check(), "%s", c.in)
		var wrong invalid.Fields
		require.ErrorAs(t, c.out.Check(), &wrong, "%s", c.out)
		require.Len(t, wrong, 1, "%s: %v", c.out, wrong)
		require.Equal(t, c.path, wrong[0].Path, "%s", c.out)
	}
	var both invalid.Fields
	require.ErrorAs(t, score.Goal{Kind: score.Rallies, Count: 3, From: 0, To: -1}.Check(), &both)
	require.Len(t, both, 2, "each is told")
}

// TestAGoalInWords puts every kind into words, with one and with several of what it counts.
func TestAGoalInWords(t *testing.T) {
	for want, g := range map[string]score.Goal{
		"10 made in all":      {Kind: score.Total, Count: 10},
		"5 in a row":          {Kind: score.Streak, Count: 5, Sets: 1},
		"5 in a row, 3 times": {Kind: score.Streak, Count: 5, Sets: 3},
		"5 in a row, a miss carries on where it was": {Kind: score.Streak, Count: 5, Miss: score.CarriesOn},
		"3 + 2 in stages, after a miss back to zero": {
			Kind: score.Stages, Stages: []score.Stage{{Count: 3}, {Count: 2}},
		},
		"3 in stages, after a miss back to the start of the stage": {
			Kind: score.Stages, Stages: []score.Stage{{Count: 3}}, Miss: score.BackToStage,
		},
		"10 made, then 5 in a row, for each of 1 part":  {Kind: score.Routine, Count: 10, Then: 5},
		"10 made, then 5 in a row, for each of 2 parts": {Kind: score.Routine, Count: 10, Then: 5, Sets: 2},
		"25 made together": {Kind: score.Together, Count: 25},
		"as many as possible in 1.5 min, hoping for 12": {Kind: score.AsManyAsPossible, Count: 12, Minutes: 1.5},
		"as many sets of 2 as possible in 3 min, hoping for 12": {
			Kind: score.AsManyAsPossible, Count: 12, Minutes: 3, Of: 2,
		},
		"first to 11":                          {Kind: score.FirstTo, Count: 11},
		"first to 12":                          {Kind: score.FirstTo, Count: 12, Against: 12, Lead: 1},
		"first to 11, 2 ahead":                 {Kind: score.FirstTo, Count: 11, Lead: 2},
		"first to 11, the other to 7":          {Kind: score.FirstTo, Count: 11, Against: 7},
		"first to 11, the other to 7, 3 ahead": {Kind: score.FirstTo, Count: 11, Against: 7, Lead: 3},
		"1 set of 4 strokes in a rally":        {Kind: score.SetsInRallies, Count: 1, Of: 4},
		"2 sets of 4 strokes in a rally":       {Kind: score.SetsInRallies, Count: 2, Of: 4},
		"within 41.5 s, the best of 1 try":     {Kind: score.WithinATime, Count: 1, Seconds: 41.5},
		"within 40 s, the best of 3 tries":     {Kind: score.WithinATime, Count: 3, Seconds: 40},
		"at most 1 miss in 20 balls":           {Kind: score.FewMisses, Count: 20, Misses: 1},
		"at most 2 misses in 20 balls":         {Kind: score.FewMisses, Count: 20, Misses: 2},
		"at most 1 ball into the net in 20 balls": {
			Kind: score.FewMisses, Count: 20, Misses: 1, Only: tally.IntoNet,
		},
		"at most 2 balls long in 20 balls": {Kind: score.FewMisses, Count: 20, Misses: 2, Only: tally.Long},
		"at most 2 balls wide in 1.5 min":  {Kind: score.FewMisses, Count: 20, Misses: 2, Minutes: 1.5, Only: tally.Wide},
		"1 rally of 4 to 8 strokes":        {Kind: score.Rallies, Count: 1, From: 4, To: 8},
		"3 rallies of 4 to 8 strokes":      {Kind: score.Rallies, Count: 3, From: 4, To: 8},
	} {
		require.Equal(t, want, g.String())
	}
	require.Equal(t, "10 made in all, then 5 in a row",
		score.Course{{Kind: score.Total, Count: 10}, {Kind: score.Streak, Count: 5}}.String())
}

// TestTheStepsOfAGoal: the least number of makes that reach it, by hand.
func TestTheStepsOfAGoal(t *testing.T) {
	for want, goals := range map[int][]score.Goal{
		10: {{Kind: score.Total, Count: 10}, {Kind: score.Together, Count: 10}, {Kind: score.FirstTo, Count: 10},
			{Kind: score.Streak, Count: 10}, {Kind: score.FewMisses, Count: 10, Misses: 2},
			{Kind: score.AsManyAsPossible, Count: 10, Minutes: 1}, {Kind: score.Rallies, Count: 10, From: 2, To: 3}},
		15: {{Kind: score.Streak, Count: 5, Sets: 3}, {Kind: score.Routine, Count: 2, Then: 3, Sets: 3},
			{Kind: score.Stages, Count: 1, Stages: []score.Stage{{Count: 5}, {Count: 10}}},
			{Kind: score.SetsInRallies, Count: 5, Of: 3}, {Kind: score.AsManyAsPossible, Count: 5, Of: 3, Minutes: 1}},
		1: {{Kind: score.WithinATime, Count: 5, Seconds: 40}, {Kind: score.FewMisses, Count: 10, Misses: 2, Minutes: 3}},
	} {
		for _, g := range goals {
			require.Equal(t, want, g.Steps(), "%s", g)
		}
	}
	require.Equal(t, 25, score.Course{{Kind: score.Total, Count: 10}, {Kind: score.Streak, Count: 5, Sets: 3}}.Steps())
}

// TestHowHardAStageIs: 6 of 10 are 7.1 or 4.8 where it is easier or harder (half a unit of the logarithm of the odds,
// common practice, no source), and 8.0 or 3.6 a whole one; what is certain stays so.
func TestHowHardAStageIs(t *testing.T) {
	for h, want := range map[score.Hardness]float64{
		"": 0.6, score.AsUsual: 0.6,
		score.Easier: 0.7121, score.Harder: 0.4764, score.MuchEasier: 0.8030, score.MuchHarder: 0.3556,
	} {
		require.InDelta(t, want, h.Rate(0.6), 1e-4, "%s", h)
		require.InDelta(t, 1, h.Rate(1), 0, "%s", h)
		require.InDelta(t, 0, h.Rate(0), 0, "%s", h)
	}
}

// TestAGoalOfATimeIsAsManyBallsAsCanBeFollowed: 50 000 balls times misses.
func TestAGoalOfATimeIsAsManyBallsAsCanBeFollowed(t *testing.T) {
	few := score.Goal{Kind: score.FewMisses, Misses: 49}
	require.Equal(t, 999, few.InCells(5000))
	require.Equal(t, 998, few.InCells(998))
	require.NoError(t, score.Goal{Kind: score.FewMisses, Count: few.InCells(5000), Misses: 49}.Check())
}

// TestWhichGoalOfACourseIsOn counts goals that are done, by what is certain.
func TestWhichGoalOfACourseIsOn(t *testing.T) {
	course := score.Course{{Kind: score.Total, Count: 3}, {Kind: score.Streak, Count: 2}, {Kind: score.Total, Count: 4}}
	for have, want := range []int{0, 0, 0, 1, 1, 2, 2, 2, 2} {
		require.Equal(t, want, course.GoalsDone(score.Standing{Have: have}, false), "%d makes", have)
	}
	require.Equal(t, 2, course.GoalsDone(score.Standing{Have: 9}, false), "the last one is not done before it is over")
	require.Equal(t, 2, course.GoalsDone(score.Standing{Met: true, Have: 9}, false))
	require.Equal(t, 3, course.GoalsDone(score.Standing{Met: true, Have: 9}, true))
	require.Equal(t, 0, score.Course{}.GoalsDone(score.Standing{}, false))
	require.True(t, score.Course{{Kind: score.Together, Count: 3}}.Joint())
	require.False(t, course.Joint() || score.Course{}.Joint())
}
