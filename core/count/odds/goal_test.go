package odds_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/basics/invalid"
	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/internal/long"
)

// clock is a ball every five seconds from a basket of 60, for one player.
func clock() odds.Clock {
	return odds.Clock{Gap: 5, Sequence: 1, People: 1, Basket: 60, PickUp: 2.5}
}

func ask(t require.TestingT, goal score.Goal, rate float64) odds.Answer {
	a, err := odds.Question{Goal: goal, Rate: rate, Partner: rate, Clock: clock()}.Answer(background)
	require.NoError(t, err)
	return a
}

func inARow(count, sets int) score.Goal {
	return score.Goal{Kind: score.Streak, Count: count, Sets: sets}
}

func inAll(count int) score.Goal { return score.Goal{Kind: score.Total, Count: count} }

// balls is the quantile of a share.
func balls(t require.TestingT, a odds.Answer, share float64) float64 {
	for _, q := range a.Quantiles {
		if q.Share == share {
			require.True(t, q.Exact)
			return q.Balls
		}
	}
	require.Fail(t, "no such quantile")
	return 0
}

func TestGoalsAsTheReferenceHasThem(t *testing.T) {
	t.Parallel()
	for _, c := range reference[struct {
		Kind                       string
		P, Mean, Sd, Q50, Q80, Q95 float64
		N, Sets                    int
	}](t, "goals.json") {
		goal := inAll(c.N)
		if c.Kind == "streak" {
			goal = inARow(c.N, c.Sets)
		}
		a := ask(t, goal, c.P)
		require.InEpsilon(t, c.Mean, a.Mean, 1e-9, "%+v", c)
		if c.Sd > 0 {
			require.InEpsilon(t, c.Sd, a.SD, 1e-9, "%+v", c)
		}
		for share, want := range map[float64]float64{0.5: c.Q50, 0.8: c.Q80, 0.95: c.Q95} {
			require.Equal(t, want, balls(t, a, share), "%+v at %v", c, share)
		}
	}
}

// W. Feller, An Introduction to Probability Theory, vol. 1, XIII.7: five heads in a row take 62 throws of
// a fair coin in the mean; k in a row take (1 - p^k) / ((1-p) p^k).
func TestFellersRuns(t *testing.T) {
	t.Parallel()
	require.InDelta(t, 62, ask(t, inARow(5, 1), 0.5).Mean, 1e-9)
	for _, p := range []float64{0.05, 0.3, 0.6, 0.95, 0.999} {
		for _, k := range []int{1, 2, 10, 100} {
			want := -math.Expm1(float64(k)*math.Log(p)) / ((1 - p) * math.Pow(p, float64(k)))
			if want < 1e12 {
				require.InEpsilon(t, want, ask(t, inARow(k, 1), p).Mean, 1e-9, "%v of %d", p, k)
			}
		}
	}
}

// Common practice, no source: coaches set five or ten in a row without knowing that somebody who makes 6
// of 10 needs about 30 balls for the first and about 410 for the second.
func TestTheGoalSpeaks(t *testing.T) {
	t.Parallel()
	a := ask(t, inARow(5, 1), 0.6)
	require.Equal(t, "about 30 balls, 2.5 min; 9 times in 10 within 64, 5 min and 1 pick-up", a.Sentence)
	require.InDelta(t, 410, ask(t, inARow(10, 1), 0.6).Mean, 1)
	require.Len(t, a.Dots, 20)
	require.Equal(t, 64.0, a.Carry)
	require.Contains(t, a.Derivation.Source, "Feller")
}

func TestLimitsAndOverflow(t *testing.T) {
	t.Parallel()
	for _, c := range []struct {
		goal score.Goal
		rate float64
		mean float64
	}{
		{inARow(100, 1), 1, 100},
		{inARow(100, 20), 0.9999999, 2000},
		{inAll(1000), 1, 1000},
		{inAll(1), 1e-9, 1e9},
	} {
		require.InEpsilon(t, c.mean, ask(t, c.goal, c.rate).Mean, 1e-3)
	}
	never := ask(t, inARow(100, 1), 0.01)
	require.True(t, never.Never)
	require.Contains(t, never.Sentence, "never reached")
	require.False(t, math.IsInf(never.Mean, 0))
	// A hundred in a row, in: a dependable stroke (common practice, no source).
	hundred := ask(t, inARow(100, 1), 0.97)
	require.InDelta(t, 667.7, hundred.Mean, 0.1)
	// Once the chance to finish with the next ball stays the same, the rest of an almost exponential time is exact too.
	long := ask(t, inARow(20, 1), 0.4)
	require.True(t, long.Quantiles[3].Exact)
	require.InEpsilon(t, -math.Log(0.05)*long.Mean, long.Quantiles[3].Balls, 1e-3)
}

// A simulation cross-checks what has no reference value.
func TestGoalsAgainstASimulation(t *testing.T) {
	t.Parallel()
	stages := []score.Stage{{Count: 3}, {Count: 2, Hard: score.Harder}, {Count: 2, Hard: score.MuchHarder}}
	for name, goal := range map[string]score.Goal{
		"stages, back to zero":             {Kind: score.Stages, Count: 1, Stages: stages},
		"stages, back to the stage":        {Kind: score.Stages, Count: 1, Stages: stages, Miss: score.BackToStage},
		"stages, carries on":               {Kind: score.Stages, Count: 1, Stages: stages, Miss: score.CarriesOn},
		"ten in all, then five in a row":   {Kind: score.Routine, Count: 10, Then: 5, Sets: 2},
		"three in a row, four times":       inARow(3, 4),
		"in a row, a miss carries on":      {Kind: score.Streak, Count: 6, Miss: score.CarriesOn},
		"together":                         {Kind: score.Together, Count: 12},
		"rallies of four to eight strokes": {Kind: score.Rallies, Count: 3, From: 4, To: 8},
		"fourteen sets of two":             {Kind: score.SetsInRallies, Count: 14, Of: 2},
		"first to seven, two ahead":        {Kind: score.FirstTo, Count: 7, Lead: 2},
		"at most three misses in ten":      {Kind: score.FewMisses, Count: 10, Misses: 3},
	} {
		t.Run(name, func(t *testing.T) {
			rounds := long.Rounds(40_000, 1_000_000)
			q := odds.Question{Goal: goal, Rate: 0.65, Partner: 0.8, Clock: clock()}
			a, err := q.Answer(t.Context())
			require.NoError(t, err)
			coins := newCoins(7)
			sum, over := 0.0, 0
			for range rounds {
				n := played(goal, q, coins)
				sum += n
				if n > balls(t, a, 0.8) {
					over++
				}
			}
			require.InEpsilon(t, sum/float64(rounds), a.Mean, 4*a.SD/a.Mean/math.Sqrt(float64(rounds)))
			require.LessOrEqual(t, float64(over)/float64(rounds), 0.21)
		})
	}
}

// The same goal in two routines: ten makes in all for each of four parts, then five in a row for each.
// Common practice, no source.
func TestTheShortBallRoutine(t *testing.T) {
	t.Parallel()
	routine := score.Goal{Kind: score.Routine, Count: 10, Then: 5, Sets: 4}
	a := ask(t, routine, 0.6)
	require.InEpsilon(t, 40/0.6+4*ask(t, inARow(5, 1), 0.6).Mean, a.Mean, 1e-9)
	require.Equal(t, "10 made, then 5 in a row, for each of 4 parts", routine.String())
}

func TestAsManyAsPossible(t *testing.T) {
	t.Parallel()
	a := ask(t, score.Goal{Kind: score.AsManyAsPossible, Count: 30, Minutes: 4}, 0.6)
	// 48 balls at one every five seconds, so 28.8 makes; the binomial distribution's 10th percentile is 24.
	require.InDelta(t, 48*0.6, a.Mean, 1e-9)
	require.Equal(t, 24.0, balls(t, a, 0.9))
	require.InDelta(t, 0.42, *a.Chance, 0.02)
	sure := ask(t, score.Goal{Kind: score.AsManyAsPossible, Count: 48, Minutes: 4}, 1)
	require.InDelta(t, 1, *sure.Chance, 1e-12)
}

func TestRacesAsTheReferenceHasThem(t *testing.T) {
	t.Parallel()
	for _, c := range reference[struct {
		A, B                int
		P, Win, MeanRallies float64
	}](t, "races.json") {
		a := ask(t, score.Goal{Kind: score.FirstTo, Count: c.A, Against: c.B}, c.P)
		require.InDelta(t, c.Win, *a.Chance, 1e-9)
		require.InDelta(t, c.MeanRallies, a.Mean, 1e-9)
	}
}

func TestMinutesCountPausesAndPickUps(t *testing.T) {
	t.Parallel()
	c := odds.Clock{Gap: 3, Sequence: 3, Pause: 6, People: 2, Basket: 20, PickUp: 3}
	// Twelve balls each: 24 fed at 3 s, three pauses between each player's four sequences, one pick-up of
	// 20 balls by three people.
	require.InDelta(t, 24*3+2*3*6+20*3/3, c.Seconds(12), 1e-9)
	require.Equal(t, 1.0, c.PickUps(12))
	require.InDelta(t, 12, c.Rate(), 1e-9)
	long.Check(t, func(t *rapid.T) {
		c := odds.Clock{
			Gap: rapid.Float64Range(0.5, 20).
				Draw(t, "gap"),
			Sequence: rapid.IntRange(1, 12).Draw(t, "sequence"),
			Pause:    rapid.Float64Range(0, 60).Draw(t, "pause"),
			People: rapid.IntRange(1, 12).
				Draw(t, "people"),
			Basket: rapid.IntRange(5, 200).Draw(t, "basket"),
			PickUp: rapid.Float64Range(0, 10).Draw(t, "pick-up"),
		}
		seconds := rapid.Float64Range(0, 7200).Draw(t, "seconds")
		n := c.Balls(seconds)
		require.True(t, n == 0 || c.Seconds(float64(n)) <= seconds)
		require.Greater(t, c.Seconds(float64(n+1)), seconds)
	})
}

func TestTheGoalIsFittedToTheMinutes(t *testing.T) {
	t.Parallel()
	for name, goal := range map[string]score.Goal{
		"total": inAll(1), "streak": inARow(1, 1), "sets": inARow(1, 3), "routine": {Kind: score.Routine, Count: 1, Then: 2},
		"together": {Kind: score.Together, Count: 1},
		"stages":   {Kind: score.Stages, Count: 1, Stages: []score.Stage{{Count: 1}, {Count: 1, Hard: score.Harder}}},
		"rallies":  {Kind: score.Rallies, Count: 1, From: 3, To: 9},
	} {
		t.Run(name, func(t *testing.T) {
			q := odds.Question{Goal: goal, Rate: 0.6, Partner: 0.6, Clock: clock(), Seconds: 6 * 60}
			fitted, err := q.Attainable(t.Context())
			require.NoError(t, err)
			q.Goal = fitted
			a, err := q.Answer(t.Context())
			require.NoError(t, err)
			require.GreaterOrEqual(t, *a.Chance, odds.WantedChance)
			q.Goal.Count++
			for i := range q.Goal.Stages {
				q.Goal.Stages[i].Count++
			}
			a, err = q.Answer(t.Context())
			require.NoError(t, err)
			require.Less(t, *a.Chance, odds.WantedChance)
		})
	}
	_, err := odds.Question{Goal: inARow(1, 20), Rate: 0.1, Clock: clock(), Seconds: 60}.Attainable(t.Context())
	require.ErrorContains(t, err, "even the smallest goal")
	hope, err := odds.Question{
		Goal:  score.Goal{Kind: score.AsManyAsPossible, Count: 1, Minutes: 4},
		Rate:  0.6,
		Clock: clock(),
	}.Attainable(
		t.Context(),
	)
	require.NoError(t, err)
	require.Equal(t, 26, hope.Count) // the 20th percentile of 48 balls at 6 of 10
}

func TestBadQuestionsAreAnsweredInWords(t *testing.T) {
	t.Parallel()
	for _, c := range []struct {
		path, words string
		q           odds.Question
	}{
		{"rate", "never gets there", odds.Question{Goal: inAll(5)}},
		{"rate", "12 of 10", odds.Question{Goal: inAll(5), Rate: 1.2}},
		{"rate", "−10 of 10", odds.Question{Goal: inAll(5), Rate: -1}},
		{"rate", "between 0 and 10", odds.Question{Goal: inAll(5), Rate: math.NaN()}},
		{"goal.count", "10000", odds.Question{Goal: inARow(10_000, 1), Rate: 0.5}},
		{"goal.sets", "at most 2000", odds.Question{Goal: inARow(500, 20), Rate: 0.5}},
		{"goal.stages", "each stage", odds.Question{Goal: score.Goal{Kind: score.Stages, Count: 1}, Rate: 0.5}},
		{"goal.then", "after the total", odds.Question{Goal: score.Goal{Kind: score.Routine, Count: 1}, Rate: 0.5}},
		{"goal.minutes", "how many minutes", odds.Question{Goal: score.Goal{Kind: score.AsManyAsPossible, Count: 1},
			Rate: 0.5}},
		{"goal.to", "shorter", odds.Question{Goal: score.Goal{Kind: score.Rallies, Count: 1, From: 5, To: 3}, Rate: 0.5}},
		{"goal.kind", "no goal called", odds.Question{Goal: score.Goal{Kind: "golf", Count: 1}, Rate: 0.5}},
		{"partner", "never gets there", odds.Question{Goal: score.Goal{Kind: score.Together, Count: 1}, Rate: 0.5}},
	} {
		c.q.Clock = clock()
		_, err := c.q.Answer(t.Context())
		var wrong invalid.Fields
		require.ErrorAs(t, err, &wrong, c.path)
		require.Equal(t, c.path, wrong[0].Path)
		require.Contains(t, wrong[0].Message, c.words)
	}
	_, err := odds.Question{Goal: inAll(5), Rate: 0.5}.Answer(t.Context())
	require.ErrorContains(t, err, "clock")
}

func TestAQuestionCanBeCancelled(t *testing.T) {
	t.Parallel()
	_, err := odds.Question{Goal: inARow(10, 4), Rate: 0.5, Clock: clock()}.Answer(cancelled(t))
	require.Error(t, err)
}

func BenchmarkGoal(b *testing.B) {
	for name, q := range map[string]odds.Question{
		"five in a row":             {Goal: inARow(5, 1), Rate: 0.6},
		"a thousand in all":         {Goal: inAll(1000), Rate: 0.5},
		"a hundred in a row":        {Goal: inARow(100, 1), Rate: 0.9},
		"ten in a row, twenty sets": {Goal: inARow(10, 20), Rate: 0.6},
		"the short-ball routine":    {Goal: score.Goal{Kind: score.Routine, Count: 10, Then: 5, Sets: 4}, Rate: 0.6},
		"a thousand together":       {Goal: score.Goal{Kind: score.Together, Count: 1000}, Rate: 0.5, Partner: 0.7},
		"as many as possible":       {Goal: score.Goal{Kind: score.AsManyAsPossible, Count: 100, Minutes: 60}, Rate: 0.5},
		"first to two hundred":      {Goal: score.Goal{Kind: score.FirstTo, Count: 200}, Rate: 0.5},
	} {
		q.Clock = clock()
		b.Run(name, func(b *testing.B) {
			for b.Loop() {
				if _, err := q.Answer(b.Context()); err != nil {
					b.Fatal(err)
				}
			}
		})
	}
}
