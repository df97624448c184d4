package game_test

import (
	"encoding/json"
	"fmt"
	"math"
	"os"
	"testing"

	"github.com/stretchr/testify/require"
	"gonum.org/v1/gonum/mathext"
	"pgregory.net/rapid"

	"hodometer/core/count/odds"
	"hodometer/core/game"
	"hodometer/core/sport/sports"
	"hodometer/internal/long"
)

// duel is rallies between two players to some points.
func duel(near, far int) game.Rules {
	return game.Rules{Spots: spots(1, 1), Rally: 1, End: game.End{Near: near, Far: far}}
}

// The races were computed with SciPy's negative binomial, to 1e-9.
func TestRacesAreWonAsOftenAsTheyShould(t *testing.T) {
	t.Parallel()
	text, err := os.ReadFile("testdata/races.json")
	require.NoError(t, err)
	var file struct {
		Cases []struct {
			A, B        int
			P, Win      float64
			MeanRallies float64
		}
	}
	require.NoError(t, json.Unmarshal(text, &file))
	require.NotEmpty(t, file.Cases)
	for _, one := range file.Cases {
		f, err := duel(one.A, one.B).Forecast(t.Context(), game.At(one.P), 0)
		require.NoError(t, err)
		require.InDelta(t, one.Win, f.Near, 1e-9)
		require.InDelta(t, one.MeanRallies, f.Rallies, 1e-8)
		require.InDelta(t, mathext.RegIncBeta(float64(one.A), float64(one.B), one.P), f.Near, 1e-9)
		require.InDelta(t, 1, f.Near+f.Far+f.Nobody, 1e-9)
	}
}

// By hand: two ahead from 0-0 with one point to reach is a walk that ends two away: it is won with p²/(p²+q²), and
// takes 2/(p²+q²) rallies on average. Any text on the gambler's ruin has it.
func TestTwoAhead(t *testing.T) {
	t.Parallel()
	rules := duel(2, 2)
	rules.End.WinBy = 2
	for _, p := range []float64{0.2, 0.5, 0.64} {
		f, err := rules.Forecast(t.Context(), game.At(p), 0)
		require.NoError(t, err)
		q := 1 - p
		require.InDelta(t, p*p/(p*p+q*q), f.Near, 1e-9)
		require.InDelta(t, 2/(p*p+q*q), f.Rallies, 1e-8)
	}
	// A last point ends it: first to 3 then, so that 2-2 is decided by the next rally.
	rules.End.Cap = 3
	f, err := rules.Forecast(t.Context(), game.At(0.6), 0)
	require.NoError(t, err)
	// By hand: 2-0 with .36; 1-1 (.48) then 3-1 with .36, or 2-2 (.48) and then the next with .6: .36 + .48 (.36 + .48 ×
	// .6) = .67104.
	require.InDelta(t, 0.67104, f.Near, 1e-9)
}

// Common practice (an uneven duel of 10 against 5, no source): the side that needs 10 wins half of the games when it
// wins two rallies of three.
func TestTenAgainstFiveIsNearFairAtTwoOfThree(t *testing.T) {
	t.Parallel()
	f, err := duel(10, 5).Forecast(t.Context(), game.At(2.0/3), 0)
	require.NoError(t, err)
	require.InDelta(t, 0.5, f.Near, 0.1)
	require.InDelta(t, mathext.RegIncBeta(10, 5, 2.0/3), f.Near, 1e-9)
	pairs, err := duel(1, 1).FairPairs(t.Context(), game.At(2.0/3), 14)
	require.NoError(t, err)
	for _, pair := range pairs {
		require.InDelta(t, 0.5, pair.Wins, math.Abs(f.Near-0.5)+0.02)
		require.Greater(t, pair.Near, pair.Far)
	}
}

// By hand: a bonus that comes in half of the rallies that the near side feeds doubles what those give it on average. To
// 2 points, all fed by the near side that never wins one: 2 bonuses before the far side's 2 rallies are the first two
// rallies, both with a bonus: 2:2 with the second rally, won by the far side, which takes the game.
func TestBonusEvents(t *testing.T) {
	t.Parallel()
	rules := duel(2, 2)
	rules.Awards = []game.Award{{ID: "two", Name: "serve and next shot made", By: game.TheFeeding, Points: 1}}
	never := game.Chances{Awards: []game.Chance{{Award: "two", Near: 1}}}
	f, err := rules.Forecast(t.Context(), never, 0)
	require.NoError(t, err)
	require.InDelta(t, 1, f.Far, 1e-12)
	require.InDelta(t, 2, f.Points[0], 1e-12)
	// By hand, at one half: the near side wins at once with bonus and rally (1/4). From 1-0 (won without a bonus, 1/4): it
	// wins with any point of its own, unless rally and no bonus go to the other side (1/4, then 1-1). From 1-1 with the
	// bonus and the rally lost (1/4). From 0-1 (1/4). At 1-1: the near side wins the rally (1/2), or has the bonus while
	// the far side wins (1/4): both reach 2, and the rally decides: the far side. So 1-1 is 1/2. At 0-1: both (1/4) wins;
	// rally alone (1/4) is 1-1; else lost: 1/4 + 1/8 = 3/8. At 1-0: the rally (1/2) wins; bonus and rally lost (1/4): 2-1
	// wins; nothing (1/4) is 1-1: 1/2 + 1/4 + 1/8 = 7/8. In all 1/4 + 1/4 × 7/8 + 1/4 × 1/2 + 1/4 × 3/8 = 11/16.
	half := game.Even()
	half.Awards = []game.Chance{{Award: "two", Near: 0.5}}
	f, err = rules.Forecast(t.Context(), half, 0)
	require.NoError(t, err)
	require.InDelta(t, 11.0/16, f.Near, 1e-12)
}

// By hand: a little match of three at p = 0.6 is swept with .216 and won with .648 in all. To 1 point it is the first
// of them.
func TestLittleMatches(t *testing.T) {
	t.Parallel()
	rules := duel(1, 1)
	rules.Rally, rules.Mini = 0, &game.Mini{Balls: []string{"second serve", "volley", "overhead"}, Won: 1, Swept: 2}
	f, err := rules.Forecast(t.Context(), game.At(0.6), 0)
	require.NoError(t, err)
	require.InDelta(t, 0.648, f.Near, 1e-12)
	require.InDelta(t, 3, f.Rallies, 1e-12)
	require.InDelta(t, 0.648+0.216, f.Points[0], 1e-12)
}

// What a coach would expect: the better side wins more often, needs more points for an even game, and more points make
// the better side surer; sides that are swapped swap their chances.
func TestForecastsMakeSense(t *testing.T) {
	t.Parallel()
	long.Check(t, func(t *rapid.T) {
		near, far := rapid.IntRange(1, 15).Draw(t, "near"), rapid.IntRange(1, 15).Draw(t, "far")
		p := rapid.Float64Range(0.1, 0.85).Draw(t, "p")
		forecast := func(a, b int, p float64) game.Forecast {
			f, err := duel(a, b).Forecast(t.Context(), game.At(p), 0)
			require.NoError(t, err)
			return f
		}
		f := forecast(near, far, p)
		if f.Near < 1e-6 || f.Far < 1e-6 {
			t.Skip("as good as decided")
		}
		require.Greater(t, forecast(near, far, p+0.05).Near, f.Near)
		require.Less(t, forecast(near+1, far, p).Near, f.Near)
		require.Greater(t, forecast(near+1, far, p).Rallies, f.Rallies)
		require.InDelta(t, f.Far, forecast(far, near, 1-p).Near, 1e-9)
		if p > 0.5 {
			require.Greater(t, forecast(near+1, near+1, p).Near, forecast(near, near, p).Near)
		}
		within, ok := f.Within(0.999)
		require.True(t, ok)
		require.LessOrEqual(t, within, near+far-1)
	})
}

// The fair score of a race is the one that the reckoner finds, and no less fair.
func TestFairPairsAreThoseOfTheReckoner(t *testing.T) {
	t.Parallel()
	for _, p := range []float64{0.35, 0.5, 0.58, 2.0 / 3, 0.75} {
		for _, length := range []int{8, 14, 21, 40} {
			goal, _, err := odds.FairRace(t.Context(), p, length)
			require.NoError(t, err)
			pairs, err := duel(1, 1).FairPairs(t.Context(), game.At(p), length)
			require.NoError(t, err)
			theirs := mathext.RegIncBeta(float64(goal.Count), float64(goal.Against), p)
			require.LessOrEqual(
				t,
				math.Abs(pairs[0].Wins-0.5),
				math.Abs(theirs-0.5)+1e-9,
				"%v %d: %v, the reckoner %v",
				p,
				length,
				pairs[0],
				goal,
			)
		}
	}
}

func TestAHandicapFollowsTheResults(t *testing.T) {
	t.Parallel()
	few, err := duel(1, 1).HandicapFrom(t.Context(), game.StrengthFrom(game.Tally{Near: 20, Far: 10}, 0.5), 20)
	require.NoError(t, err)
	many, err := duel(1, 1).HandicapFrom(t.Context(), game.StrengthFrom(game.Tally{Near: 200, Far: 100}, 0.5), 20)
	require.NoError(t, err)
	// By hand: (20 + 5) of (30 + 10) and (200 + 5) of (300 + 10).
	require.InDelta(t, 0.625, few.Won, 1e-12)
	require.InDelta(t, 205.0/310, many.Won, 1e-12)
	require.Greater(t, few.Near, few.Far)
	require.Less(t, many.High-many.Low, few.High-few.Low, "more results are surer")
	require.Less(t, few.LowWins, few.Wins)
	require.Greater(t, few.HighWins, few.Wins)
	none := game.StrengthFrom(game.Tally{}, 0.5)
	require.InDelta(t, 0.5, none.Won, 1e-12)
	require.InDelta(
		t,
		0.7,
		game.StrengthFrom(game.Tally{}, 0.7).Won,
		1e-12,
		"who is known from others is not begun at even",
	)
}

// By hand: a game that takes exactly 10 rallies of 6 s with one stroke each is over after a minute.
func TestDuration(t *testing.T) {
	t.Parallel()
	rules := duel(0, 0)
	rules.End = game.End{Rallies: 10}
	f, err := rules.Forecast(t.Context(), game.Even(), 0)
	require.NoError(t, err)
	d := f.Duration(sports.Tempo{Strokes: 1, Stroke: 1, Between: 5})
	for _, minutes := range []float64{d.Mean, d.Low50, d.High50, d.Low80, d.High80, d.Nearly} {
		require.InDelta(t, 1, minutes, 1e-6)
	}
	// By hand: rallies of 4 strokes on average at 2 s, with 10 s between: ten of them take 180 s on average. They are over
	// after k strokes where at least ten of k tries of 1 in 4 succeed: 0.091 for 26 and 0.113 for 27, 0.899 for 54 and
	// 0.911 for 55. So four of five take between 100 + 2 × 27 = 154 s and 100 + 2 × 55 = 210 s.
	d = f.Duration(sports.Tempo{Strokes: 4, Stroke: 2, Between: 10})
	require.InDelta(t, 3, d.Mean, 1e-9)
	require.InDelta(t, 154.0/60, d.Low80, 1e-4)
	require.InDelta(t, 210.0/60, d.High80, 1e-4)
}

func TestWhatToPlayToInSoManyMinutes(t *testing.T) {
	t.Parallel()
	tempo := sports.Tempo{Strokes: 4, Stroke: 1.5, Between: 15}
	before := 0
	for _, minutes := range []float64{2, 5, 8, 15} {
		near, far, err := duel(10, 10).PointsFor(t.Context(), minutes, game.Even(), tempo)
		require.NoError(t, err)
		require.Equal(t, near, far)
		require.Greater(t, near, before, "more time, more points")
		before = near
		for points, fits := range map[int]bool{near: true, near + 1: false} {
			f, err := duel(points, points).Forecast(t.Context(), game.Even(), 0)
			require.NoError(t, err)
			require.Equal(t, fits, f.OverIn(tempo, minutes) >= 0.8, "%d in %v minutes", points, minutes)
		}
	}
	near, far, err := duel(10, 5).PointsFor(t.Context(), 8, game.At(2.0/3), tempo)
	require.NoError(t, err)
	require.InDelta(t, 2, float64(near)/float64(far), 0.4, "the proportion stays")
}

// Fair points of a duel with a bonus, of a game of 15 rallies and of one of 100.
func BenchmarkFairPairs(b *testing.B) {
	rules := duel(5, 5)
	rules.Awards = []game.Award{{ID: "two", Name: "serve and next shot made", By: game.TheFeeding, Points: 1}}
	for _, length := range []int{15, 100} {
		b.Run(fmt.Sprint(length), func(b *testing.B) {
			for b.Loop() {
				if _, err := rules.FairPairs(b.Context(), game.At(0.55), length); err != nil {
					b.Fatal(err)
				}
			}
		})
	}
}

// A game to 11 with a bonus for the side that feeds, from the beginning to its end.
func BenchmarkForecast(b *testing.B) {
	rules := duel(11, 11)
	rules.Awards = []game.Award{{ID: "two", Name: "serve and next shot made", By: game.TheFeeding, Points: 1}}
	rules.Feed = game.Feed{Changes: game.AfterRallies, Every: 2}
	for b.Loop() {
		if _, err := rules.Forecast(b.Context(), game.Even(), 0); err != nil {
			b.Fatal(err)
		}
	}
}
