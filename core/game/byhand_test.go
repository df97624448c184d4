package game_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/game"
)

func TestTheOtherSide(t *testing.T) {
	t.Parallel()
	require.Equal(t, game.Far, game.Near.Other())
	require.Equal(t, game.Near, game.Far.Other())
}

// Chances are between 0 and 1, both of them good, and anything else is told where it is.
func TestChancesBetweenNothingAndSure(t *testing.T) {
	t.Parallel()
	for _, good := range []float64{0, 0.5, 1} {
		require.NoError(t, game.Chances{NearFeeds: good, FarFeeds: 1 - good,
			Awards: []game.Chance{{Award: "ace", Near: good, Far: good}}}.Check())
	}
	for _, bad := range []float64{-0.1, 1.1, math.NaN()} {
		require.ErrorContains(t, game.At(bad).Check(), "nearFeeds")
		require.ErrorContains(t, game.Chances{FarFeeds: bad}.Check(), "farFeeds")
		require.ErrorContains(t, game.Chances{Awards: []game.Chance{{Award: "ace", Near: bad}}}.Check(), "awards.0.near")
		require.ErrorContains(t, game.Chances{Awards: []game.Chance{{Award: "ace", Far: bad}}}.Check(), "awards.0.far")
	}
}

// By hand: a duel to 3 is over after 3, 4 or 5 rallies of equals: 1/4, 3/8 and 3/8 of the time, 4.125 rallies in the
// mean; one that is cut off after 4 takes 1/4 × 3 + 3/4 × 4 = 3.75.
func TestALimitCutsAGameOff(t *testing.T) {
	t.Parallel()
	for limit, rallies := range map[int]float64{0: 4.125, 4: 3.75, 5: 4.125, 100: 4.125, 1 << 40: 4.125} {
		f, err := duel(3, 3).Forecast(t.Context(), game.Even(), limit)
		require.NoError(t, err)
		require.InDelta(t, rallies, f.Rallies, 1e-9, "after %d rallies at most", limit)
	}
}

// By hand: ann and bea against cid and dot, each with points of their own to 2. Ann wins both rallies for her side; she
// and bea, who share the side, have 2 and are the best, cid and dot are not.
func TestWhoHasMostOfTheirOwn(t *testing.T) {
	t.Parallel()
	rules := game.Rules{Spots: spots(2, 2), Rally: 1, Score: game.EachTheirOwn, End: game.End{Near: 2}}
	s, err := rules.Start([]string{"ann", "bea", "cid", "dot"})
	require.NoError(t, err)
	for rally := 1; rally <= 2; rally++ {
		require.Empty(t, s.Best)
		s, err = rules.Play(s, game.Event{Kind: game.Won, Side: game.Near, Rally: rally})
		require.NoError(t, err)
	}
	require.True(t, s.Over)
	require.Equal(t, []string{"ann", "bea"}, s.Best)
}

// What can be tapped for a side is what the rules give it: the award of the side that feeds not for the other one.
func TestWhatCanBeTapped(t *testing.T) {
	t.Parallel()
	rules := duel(3, 3)
	rules.Awards = []game.Award{{ID: "ace", Name: "ace", By: game.TheFeeding, Points: 1}}
	s, err := rules.Start([]string{"ann", "bea"})
	require.NoError(t, err)
	require.Equal(t, []string{"ace"}, rules.Can(s, game.Near).Awards)
	require.Empty(t, rules.Can(s, game.Far).Awards)
	for rally := 1; rally <= 3; rally++ {
		s, err = rules.Play(s, game.Event{Kind: game.Won, Side: game.Near, Rally: rally})
		require.NoError(t, err)
	}
	require.Empty(t, rules.Can(s, game.Near).Awards, "the game is over")
}

// How a game ends is said as it is: to as many for both, to so many for each, or for one of them only.
func TestHowAGameEndsInWords(t *testing.T) {
	t.Parallel()
	for want, end := range map[string]game.End{
		"To 5.": {Near: 5, Far: 5},
		"The near side needs 10, the far side 5.": {Near: 10, Far: 5},
		"The near side needs 4.":                  {Near: 4},
		"The far side needs 4.":                   {Far: 4},
	} {
		rules := duel(0, 0)
		rules.End = end
		require.Contains(t, rules.Sentences(), want)
	}
}

// By hand: of a choice that was right and two that were wrong one and two are counted.
func TestChoicesAreCounted(t *testing.T) {
	t.Parallel()
	rules := duel(5, 5)
	s, err := rules.Start([]string{"ann", "bea"})
	require.NoError(t, err)
	for _, right := range []bool{true, false, false} {
		s, err = rules.Play(s, game.Event{Kind: game.Chose, Rally: 1, Side: game.Near, Right: right})
		require.NoError(t, err)
	}
	require.Equal(t, [2]int{1, 2}, s.Choices)
}

// A pair goes up and down for 40 rounds at most.
func TestUpAndDownEnds(t *testing.T) {
	t.Parallel()
	m := evening("a", "b")
	m.Robin = &game.Robin{Minutes: 1, UpDown: true, Courts: 1}
	for slot := 1; slot <= 45; slot++ {
		m.Entered = append(m.Entered, game.Round{Near: []string{"a"}, Far: []string{"b"}, NearPoints: 1, Slot: slot})
		m.Entered = append(m.Entered, game.Round{Near: []string{"b"}, Far: []string{"a"}, NearPoints: 1, Slot: slot})
	}
	fixtures, err := m.Fixtures()
	require.NoError(t, err)
	require.Len(t, fixtures, 40)
}

// By hand: at four all to five with two points a rally for the near side and one for the far, both at once: who has
// more has won.
func TestWhoWinsWhereOneGetsThereAlone(t *testing.T) {
	t.Parallel()
	rules := duel(2, 2)
	s, err := rules.Start([]string{"ann", "bea"})
	require.NoError(t, err)
	for rally, side := range []game.Side{game.Far, game.Near, game.Far} {
		require.False(t, s.Over)
		s, err = rules.Play(s, game.Event{Kind: game.Won, Rally: rally + 1, Side: side})
		require.NoError(t, err)
	}
	require.True(t, s.Over)
	require.Equal(t, game.Far, s.Winner)
}
