package ranking_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/count/ranking"
	"hodometer/core/people/student"
)

// By hand: one level is worth seven points of ten (log-odds 0.85) and nine games of ten (2.2), three levels are worth
// 1 / (1 + e^2.55) = 7 points of 100 to the weaker one. Whoever's level is not said stands in the middle of the others.
func TestALevelIsTheStartOfARanking(t *testing.T) {
	t.Parallel()
	players := []string{"ada", "ben", "cleo"}
	levels := map[string]student.Level{"ada": student.Tournament, "ben": student.Club, "cleo": student.Beginner}
	of := func(levels map[string]student.Level, by ranking.By, results ...ranking.Result) ranking.Ranking {
		r, err := ranking.Rank(t.Context(), players, levels, results, by)
		require.NoError(t, err)
		return r
	}
	chance := func(r ranking.Ranking, near, far string) float64 { return r.Chance([]string{near}, []string{far}) }
	nothing := of(levels, "")
	require.InDelta(t, 0.701, chance(nothing, "ada", "ben"), 0.001)
	require.InDelta(t, 0.072, chance(nothing, "cleo", "ada"), 0.001)
	require.InDelta(t, 0.900, chance(of(levels, ranking.Games), "ada", "ben"), 0.001)
	require.Equal(t, "ada", nothing.Standings[0].Player)
	require.Greater(t, nothing.Standings[0].Above, 0.7)

	require.InDelta(t, 0.5, chance(of(nil, ""), "ada", "cleo"), 1e-9)
	someKnown := of(map[string]student.Level{"ada": student.Tournament, "cleo": student.Beginner}, "")
	require.InDelta(
		t,
		chance(someKnown, "ada", "ben"),
		chance(someKnown, "ben", "cleo"),
		1e-9,
		"in the middle of the others",
	)
	same := map[string]student.Level{"ada": student.Club, "ben": student.Club, "cleo": student.Club}
	won := ranking.Result{Near: []string{"cleo"}, Far: []string{"ada"}, NearPoints: 21, FarPoints: 15}
	require.InDelta(t, chance(of(nil, "", won), "cleo", "ada"), chance(of(same, "", won), "cleo", "ada"), 1e-9,
		"the same level says nothing")

	// What is played speaks louder and louder: 21 to 15 of the beginner against the tournament player.
	before := chance(nothing, "cleo", "ada")
	var results []ranking.Result
	for range 5 {
		results = append(results, won)
		now := chance(of(levels, "", results...), "cleo", "ada")
		require.Greater(t, now, before)
		before = now
	}
	require.InDelta(t, 21.0/36, before, 0.05)
}
