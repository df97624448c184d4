package odds_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/metric"
	"hodometer/core/count/odds"
	"hodometer/core/people/skill"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
	"hodometer/internal/pencil"
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

// What is believed of somebody is told with its range and what it comes from, and adds up: 0.5 at the level is log-odds
// of 0, and 0.4 better ± 0.5 is 0.6 in the mean of 0.44 to 0.74.
func TestWhatIsBelievedByHand(t *testing.T) {
	t.Parallel()
	r := odds.Believed(skill.Belief{Better: skill.Estimate{Mean: 0.4, SD: 0.5}, Attempt: skill.Of(0.5)}, "from nothing.")
	require.InDelta(t, 0.594, r.Mean, 2e-3)
	require.InDelta(t, 1/(1+math.Exp(-0.4+1.2816*0.5)), r.Low, 1e-4)
	require.InDelta(t, 1/(1+math.Exp(-0.4-1.2816*0.5)), r.High, 1e-4)
	require.Equal(t, "from nothing.", r.Sentence)
	require.Contains(t, r.Derivation.Inputs, metric.Input{Name: "The level makes", Value: "5 of 10"})
	require.Contains(t, r.Derivation.Inputs, metric.Input{Name: "8 times in 10", Value: "between 4.4 and 7.4 of 10"})
}

func TestChoicesAndPointsAreApart(t *testing.T) {
	t.Parallel()
	own := []odds.Practised{{Made: 40, Missed: 10, Right: 12, Wrong: 28}, {Made: 10, Missed: 20, InPoints: true}}
	e := odds.Marked(own)
	require.InDelta(t, 15.0/46, e.Choice.Mean, 1e-12, "three of six before, and 12 of 40")
	require.Contains(t, e.Choice.Sentence, "12 of 40 on this drill")
	pencil.Check(t, "choices", e.Choice.Derivation)
	require.Greater(t, e.Between.Low, 0.2)
	require.Nil(t, odds.Marked(own[:1]).Between)
	require.Nil(t, odds.Marked(own[1:]).Choice)
	then := odds.Marked([]odds.Practised{{Days: 280, Right: 12, Wrong: 28}})
	require.Greater(t, then.Choice.Mean, e.Choice.Mean, "what was long ago says less")
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
