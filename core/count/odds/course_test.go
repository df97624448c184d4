package odds_test

import (
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/count/tally"
)

// By hand: one make, then one more by somebody who makes half and then all: in two balls that is the chance to make the
// first one; with a third ball also that to make the second.
func TestWhatComesBeforeTakesBalls(t *testing.T) {
	t.Parallel()
	q := odds.Question{Goal: inAll(1), Rate: 1, Clock: clock(), Before: []odds.Leg{{Goal: inAll(1), Rate: 0.5}}}
	for balls, want := range map[int]float64{1: 0, 2: 0.5, 3: 0.75} {
		q.Balls = balls
		chance, err := q.Within(background)
		require.NoError(t, err)
		require.InDelta(t, want, chance, 1e-15)
	}
}

// A goal after others is met within n balls where the balls of all of them add up to at most n: the convolution of what
// each takes by itself.
func TestGoalsThatFollowTakeTheSumOfTheirBalls(t *testing.T) {
	t.Parallel()
	rapid.Check(t, func(t *rapid.T) {
		goal := func(label string) score.Goal {
			return rapid.SampledFrom([]score.Goal{inAll(3), inARow(2, 2),
				{Kind: score.Stages, Stages: []score.Stage{{Count: 2, Hard: score.Harder}, {Count: 1}}}}).
				Draw(t, label)
		}
		rate := rapid.Float64Range(0.2, 0.95)
		first, second := odds.Leg{
			Goal: goal("first"),
			Rate: rate.Draw(t, "rate"),
		}, odds.Leg{
			Goal: goal("second"),
			Rate: rate.Draw(t, "then"),
		}
		n := rapid.IntRange(1, 40).Draw(t, "balls")
		within := func(q odds.Question, balls int) float64 {
			q.Balls, q.Clock = balls, clock()
			if balls == 0 {
				return 0
			}
			chance, err := q.Within(background)
			require.NoError(t, err)
			return chance
		}
		sum := 0.0
		for balls := 1; balls < n; balls++ {
			one := odds.Question{Goal: first.Goal, Rate: first.Rate}
			sum += (within(one, balls) - within(one, balls-1)) * within(
				odds.Question{Goal: second.Goal, Rate: second.Rate},
				n-balls,
			)
		}
		require.InDelta(
			t,
			sum,
			within(odds.Question{Goal: second.Goal, Rate: second.Rate, Before: []odds.Leg{first}}, n),
			1e-12,
		)
	})
}

// By hand: four strokes at even chances in sets of two. 11 of the 16 orders hold two or more, 1 all four.
func TestSetsWithinATime(t *testing.T) {
	t.Parallel()
	goal := score.Goal{Kind: score.AsManyAsPossible, Count: 1, Of: 2, Minutes: 1}
	q := odds.Question{Goal: goal, Rate: 0.5, Clock: odds.Clock{Gap: 12, Sequence: 1, Pause: 4, People: 1, Basket: 60}}
	n, _, word := q.Attempts()
	require.Equal(t, 4, n, "every stroke takes 12 s, every second one 4 s more until the next rally: 14 s")
	require.Equal(t, "strokes", word)
	a, err := q.Answer(background)
	require.NoError(t, err)
	require.InDelta(t, 11.0/16+1.0/16, a.Mean, 1e-12)
	require.InDelta(t, 11.0/16, *a.Chance, 1e-12)
	require.Equal(t, "sets", a.Unit)
	require.Contains(t, a.Sentence, "4 strokes in 1 min; about 1 set of 2, ")
	chance, err := q.Within(background)
	require.NoError(t, err)
	require.InDelta(t, *a.Chance, chance, 1e-12)
	require.Equal(
		t,
		"3 sets, hoping for 14",
		score.Course{{Kind: score.AsManyAsPossible, Count: 14, Of: 2, Minutes: 1}}.Stand(strokes(4, 3)).Sentence.String(),
		"a miss resumes where the count was",
	)
}

// strokes are rallies of so many strokes.
func strokes(counts ...int) []tally.Entry {
	entries := make([]tally.Entry, len(counts))
	for i, n := range counts {
		entries[i] = tally.Entry{Seq: i, Kind: tally.Rally, Strokes: n}
	}
	return entries
}
