package odds_test

import (
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/count/odds"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
	"hodometer/internal/long"
)

// E. B. Wilson, JASA 22 (1927) 209: 7 of 10 at 95 % is 0.397 to 0.892.
func TestWilson(t *testing.T) {
	t.Parallel()
	low, high := odds.Wilson(7, 10)
	require.InDelta(t, 0.397, low, 5e-4)
	require.InDelta(t, 0.892, high, 5e-4)
	low, high = odds.Wilson(0, 0)
	require.Equal(t, []float64{0, 1}, []float64{low, high})
}

// R. G. Newcombe, Statistics in Medicine 17 (1998) 873, table II, method 10: 56 of 70 against 48 of 80 is
// 0.2 with 0.0524 to 0.3339 (from memory).
func TestDrillAgainstPoints(t *testing.T) {
	t.Parallel()
	d := odds.Compare(odds.Done{Made: 56, Missed: 14}, odds.Done{Made: 48, Missed: 32})
	require.InDelta(t, 0.2, d.Mean, 1e-9)
	require.InDelta(t, 0.0524, d.Low, 5e-5)
	require.InDelta(t, 0.3339, d.High, 5e-5)
	require.Equal(t, "2 of 10 fewer in points than in the drill", d.Sentence)
	require.Contains(
		t,
		odds.Compare(odds.Done{Made: 3, Missed: 2}, odds.Done{Made: 2, Missed: 3}).Sentence,
		"no sure difference",
	)
}

func TestAnEstimateSaysWhenItKnowsNothing(t *testing.T) {
	t.Parallel()
	e := odds.Estimate(odds.LevelPrior(student.Club), nil, nil)
	require.False(t, e.Rate.Known)
	require.Contains(t, e.Rate.Sentence, "nothing is known yet")
	require.InDelta(t, 0.6, e.Rate.Mean, 1e-9)
	require.Nil(t, e.Choice)
	require.Nil(t, e.Points)
	require.Nil(t, e.Between)
	require.Greater(t, e.Rate.High-e.Rate.Low, 0.6)
}

func TestEvidenceMovesAnEstimate(t *testing.T) {
	t.Parallel()
	fresh := odds.Practised{Made: 18, Missed: 2}
	old := odds.Practised{Days: 280, Made: 18, Missed: 2}
	now := odds.Estimate(odds.LevelPrior(student.Beginner), []odds.Practised{fresh}, nil).Rate
	then := odds.Estimate(odds.LevelPrior(student.Beginner), []odds.Practised{old}, nil).Rate
	related := odds.Estimate(odds.LevelPrior(student.Beginner), nil, []odds.Practised{fresh}).Rate
	nothing := odds.Estimate(odds.LevelPrior(student.Beginner), nil, nil).Rate
	require.Greater(t, now.Mean, related.Mean)
	require.Greater(t, related.Mean, then.Mean)
	require.Greater(t, then.Mean, nothing.Mean)
	require.Equal(t, 18, now.Made)
	require.Equal(t, 20, now.Balls)
	require.Contains(t, now.Sentence, "18 of 20 on this drill")
	require.Contains(t, related.Sentence, "has not done this drill")
	// A beta distribution of 2.7 + 18 makes and 3.3 + 2 misses.
	require.InDelta(t, 20.7/26, now.Mean, 1e-9)

	// However much was done on related drills, it never weighs more than fifteen balls.
	many := odds.Estimate(
		odds.LevelPrior(student.Beginner),
		[]odds.Practised{{Made: 2, Missed: 18}},
		[]odds.Practised{{Made: 1000}},
	).Rate
	require.InDelta(t, (2.7+15+2)/(6+15+20), many.Mean, 1e-9)
}

func TestChoiceAndExecutionAndPointsAreApart(t *testing.T) {
	t.Parallel()
	own := []odds.Practised{{Made: 40, Missed: 10, Right: 12, Wrong: 28}, {Made: 10, Missed: 20, InPoints: true}}
	e := odds.Estimate(odds.LevelPrior(student.Club), own, nil)
	require.Greater(t, e.Rate.Mean, 0.7)
	require.Less(t, e.Choice.Mean, 0.4)
	require.Less(t, e.Points.Mean, 0.5)
	require.Greater(t, e.Between.Low, 0.2)
	require.Equal(t, 50, e.Rate.Balls)
}

func TestWhatTheNextBallsWillBe(t *testing.T) {
	t.Parallel()
	known := odds.Estimate(odds.LevelPrior(student.Club), []odds.Practised{{Made: 600, Missed: 400}}, nil).Rate
	low, high := known.Next(10)
	require.Equal(t, []int{4, 8}, []int{low, high}) // nearly the binomial distribution at 0.6
	low, high = odds.Estimate(odds.LevelPrior(student.Club), nil, nil).Rate.Next(10)
	require.LessOrEqual(t, low, 3)
	require.GreaterOrEqual(t, high, 8)
	long.Check(t, func(t *rapid.T) {
		r := odds.Estimate(
			odds.LevelPrior(student.Club),
			[]odds.Practised{{Made: rapid.IntRange(0, 50).Draw(t, "made"), Missed: rapid.IntRange(0, 50).Draw(t, "missed")}},
			nil,
		).Rate
		n := rapid.IntRange(0, 60).Draw(t, "balls")
		low, high := r.Next(n)
		require.True(t, 0 <= low && low <= high && high <= n)
		require.True(t, 0 <= r.Low && r.Low < r.Mean && r.Mean < r.High && r.High <= 1)
	})
}

// By hand: who is thought to make one in ten, on six balls (a beta distribution of 0.6 and 5.4), makes none of the next
// three 5.4 × 6.4 × 7.4 ÷ (6 × 7 × 8) = 76 times in 100: the middle eight in ten begin at none.
func TestTheNextFewBallsByHand(t *testing.T) {
	t.Parallel()
	rate := odds.Estimate(odds.Prior{Rate: 0.1}, nil, nil).Rate
	low, high := rate.Next(3)
	require.Equal(t, []int{0, 1}, []int{low, high})
}

// A rate that was counted makes a scatter as wide as it says: the share in the net goes along, and none and all stay.
func TestACountedRateWidensTheScatter(t *testing.T) {
	t.Parallel()
	c, err := sports.Court("tennis")
	require.NoError(t, err)
	shape, err := c.Shape(court.Ring(1.5, court.At(0, 8)), court.Singles)
	require.NoError(t, err)
	ground, err := odds.OnGround(c, shape, court.Singles)
	require.NoError(t, err)
	aim := court.Point{Y: 8}
	for _, net := range []float64{0, 0.1, 1} {
		s := odds.Scatter{Normal: odds.Normal{SX: 1, SY: 1}, Net: net}
		own := ground.Shares(s, aim).In
		wider, narrower := ground.Calibrated(s, aim, own/2), ground.Calibrated(s, aim, (1+own)/2)
		if net == 1 {
			require.InDelta(t, 1, wider.Net, 1e-9)
			continue
		}
		require.InDelta(t, own/2, ground.Shares(wider, aim).In, 1e-3)
		require.InDelta(t, (1+own)/2, ground.Shares(narrower, aim).In, 1e-3)
		require.Greater(t, wider.SX, narrower.SX)
		if net == 0 {
			require.InDelta(t, 0, wider.Net, 1e-9)
		} else {
			require.Greater(t, wider.Net, net)
			require.Less(t, narrower.Net, net)
		}
	}
}
