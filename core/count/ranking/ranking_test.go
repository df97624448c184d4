package ranking

import (
	"fmt"
	"math"
	"math/rand/v2"
	"slices"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/internal/long"
)

func names(n int) []string {
	list := make([]string, n)
	for i := range list {
		list[i] = fmt.Sprintf("p%02d", i)
	}
	return list
}

// drawn are results of players with known strengths: points to 11 each, singles or pairs.
func drawn(players []string, strengths map[string]float64, n int, pairs bool, seed uint64) []Result {
	draw := rand.New(rand.NewPCG(seed, 1)) //nolint:gosec // a test
	side := func(list []string) (sum float64) {
		for _, p := range list {
			sum += strengths[p] / float64(len(list))
		}
		return sum
	}
	var results []Result
	for range n {
		order, size := draw.Perm(len(players)), 1
		if pairs {
			size = 2
		}
		r := Result{}
		for _, i := range order[:size] {
			r.Near = append(r.Near, players[i])
		}
		for _, i := range order[size : 2*size] {
			r.Far = append(r.Far, players[i])
		}
		p := logistic(side(r.Near) - side(r.Far))
		for r.NearPoints < 11 && r.FarPoints < 11 {
			if draw.Float64() < p {
				r.NearPoints++
			} else {
				r.FarPoints++
			}
		}
		results = append(results, r)
	}
	return results
}

// The singles case without a pull to the middle is the one that the steps of Hunter (Ann. Statist. 32 (2004) 384) come
// to: each strength is the points won over the sum of points played by the sums of both strengths.
func TestSinglesAreWhatHuntersStepsComeTo(t *testing.T) {
	players := names(5)
	truth := map[string]float64{"p00": 0.9, "p01": 0.4, "p02": 0, "p03": -0.5, "p04": -0.8}
	results := drawn(players, truth, 60, false, 3)
	r, err := rank(t.Context(), players, nil, results, "", 1e-9)
	require.NoError(t, err)

	gamma := map[string]float64{}
	for _, p := range players {
		gamma[p] = 1
	}
	for range 5000 {
		next := map[string]float64{}
		for _, p := range players {
			won, sum := 0.0, 0.0
			for _, one := range results {
				a, b := one.Near[0], one.Far[0]
				if p != a && p != b {
					continue
				}
				sum += float64(one.NearPoints+one.FarPoints) / (gamma[a] + gamma[b])
				if p == a {
					won += float64(one.NearPoints)
				} else {
					won += float64(one.FarPoints)
				}
			}
			next[p] = won / sum
		}
		gamma = next
	}
	for _, a := range players {
		for _, b := range players {
			require.InDelta(t, math.Log(gamma[a]/gamma[b]), r.side([]string{a})-r.side([]string{b}), 1e-5, "%s %s", a, b)
		}
	}
}

// By hand: two players, one game of 3:1 by points. The strengths are opposite, x and -x, and at the top 3 − 4 L(2x) =
// pull x, with the pull 1/0.85² = 1.3841: x = 0.2992.
func TestTwoPlayersByHand(t *testing.T) {
	one := []Result{{Near: []string{"a"}, Far: []string{"b"}, NearPoints: 3, FarPoints: 1}}
	r, err := Rank(t.Context(), nil, nil, one, "")
	require.NoError(t, err)
	x := r.Standings[0].Strength
	require.Equal(t, "a", r.Standings[0].Player)
	require.InDelta(t, -x, r.Standings[1].Strength, 1e-9)
	require.InDelta(t, 3-4*logistic(2*x), x/(0.85*0.85), 1e-9)
	require.Greater(t, r.Standings[0].Above, 0.5)
	require.Less(t, r.Standings[0].Above, 0.9, "four points are no proof")
}

func TestWhoWinsEverythingStaysFinite(t *testing.T) {
	var results []Result
	for range 40 {
		results = append(results, Result{Near: []string{"a"}, Far: []string{"b"}, NearPoints: 11})
	}
	for _, by := range []By{"", Games} {
		r, err := Rank(t.Context(), []string{"c"}, nil, results, by)
		require.NoError(t, err)
		require.Len(t, r.Standings, 3)
		require.Equal(
			t,
			[]string{"a", "c", "b"},
			[]string{r.Standings[0].Player, r.Standings[1].Player, r.Standings[2].Player},
			"who has not played stands in the middle",
		)
		require.Less(t, r.Standings[0].Strength, 6.0)
		require.InDelta(t, 0.85*1.2816, r.Standings[1].High, 0.2, "nearly as unsure as before anything was known")
	}
	results[0].Uneven = true
	r, err := Rank(t.Context(), nil, nil, results, Games)
	require.NoError(t, err)
	require.Equal(t, 1, r.LeftOut)
}

// Strengths that are known come out again, from singles and from partners, the surer the more was played; in the
// intervals of four times of five lie about four of five.
func TestKnownStrengthsComeOut(t *testing.T) {
	players := names(12)
	for _, pairs := range []bool{false, true} {
		inside, all := 0, 0
		for seed := range uint64(12) {
			truth := map[string]float64{}
			for i, p := range players {
				truth[p] = 1.2 * (float64(i)/11 - 0.5)
			}
			few, err := Rank(t.Context(), players, nil, drawn(players, truth, 30, pairs, seed), "")
			require.NoError(t, err)
			many, err := Rank(t.Context(), players, nil, drawn(players, truth, 600, pairs, seed), "")
			require.NoError(t, err)
			require.Greater(t, many.Sure, few.Sure)
			off := 0.0
			for _, s := range many.Standings {
				off = math.Max(off, math.Abs(s.Strength-truth[s.Player]))
				all++
				if truth[s.Player] >= s.Low && truth[s.Player] <= s.High {
					inside++
				}
			}
			require.Less(t, off, 0.45)
		}
		share := float64(inside) / float64(all)
		require.InDelta(t, 0.8, share, 0.12)
	}
}

// What a coach would expect, for any results: another win lifts the winner, swapped sides change nothing, and the order
// of the results does not matter.
func TestRankingsMakeSense(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		players := names(rapid.IntRange(3, 7).Draw(t, "players"))
		results := drawn(
			players,
			map[string]float64{},
			rapid.IntRange(1, 12).Draw(t, "games"),
			false,
			rapid.Uint64Range(0, 1000).Draw(t, "seed"),
		)
		by := rapid.SampledFrom([]By{"", Games}).Draw(t, "by")
		before, err := Rank(t.Context(), players, nil, results, by)
		require.NoError(t, err)
		a, b := players[:1], players[1:2]
		after, err := Rank(
			t.Context(),
			players,
			nil,
			append(slices.Clone(results), Result{Near: a, Far: b, NearPoints: 11, FarPoints: 0}),
			by,
		)
		require.NoError(t, err)
		require.Greater(t, after.side(a), before.side(a))
		require.Less(t, after.side(b), before.side(b))
		turned := slices.Clone(results)
		slices.Reverse(turned)
		for i, r := range turned {
			turned[i] = Result{Near: r.Far, Far: r.Near, NearPoints: r.FarPoints, FarPoints: r.NearPoints}
		}
		again, err := Rank(t.Context(), players, nil, turned, by)
		require.NoError(t, err)
		for _, p := range players {
			require.InDelta(t, before.side([]string{p}), again.side([]string{p}), 1e-7)
		}
		require.InDelta(t, 1, before.Chance(a, b)+before.Chance(b, a), 1e-12)
	})
}

func TestEvenMatchesAndTeams(t *testing.T) {
	players := names(8)
	truth := map[string]float64{}
	for i, p := range players {
		truth[p] = 2 - 0.5*float64(i)
	}
	r, err := Rank(t.Context(), players, nil, drawn(players, truth, 400, false, 5), "")
	require.NoError(t, err)
	matches, waiting := r.EvenMatches(append(slices.Clone(players), "somebody new"), false)
	require.Len(t, matches, 4)
	require.Len(t, waiting, 1)
	require.NotEqual(t, "somebody new", waiting[0], "who played least plays")
	for _, m := range matches {
		require.InDelta(t, 0.5, m.Chance, 0.25)
	}
	pairs, waiting := r.EvenMatches(players, true)
	require.Len(t, pairs, 2)
	require.Empty(t, waiting)
	for _, m := range pairs {
		require.InDelta(t, 0.5, m.Chance, 0.1)
	}

	// Of all 35 ways to split eight into two fours, none is more equal than a little.
	teams := r.Teams(players, 2)
	best := math.Inf(1)
	for mask := range 1 << 8 {
		var split [2][]string
		for i, p := range players {
			split[mask>>i&1] = append(split[mask>>i&1], p)
		}
		if len(split[0]) == 4 {
			best = math.Min(best, r.unevenness(split[:]))
		}
	}
	require.InDelta(t, best, r.unevenness(teams), 1e-9)
	require.Len(t, r.Teams(players, 3), 3)
}

// Forty players and two thousand results of partners.
func BenchmarkRank(b *testing.B) {
	players := names(40)
	results := drawn(players, map[string]float64{}, 2000, true, 1)
	for b.Loop() {
		if _, err := Rank(b.Context(), players, nil, results, ""); err != nil {
			b.Fatal(err)
		}
	}
}
