package ranking_test

import (
	"fmt"
	"strings"
	"testing"

	"hodometer/core/count/ranking"
	"hodometer/internal/golden"
)

// TestRankingsOfManyResults: tables, rankings by points and by games, chances, even matches, teams, who plays on which
// court next, and everybody against everybody, of results that are made by a rule.
func TestRankingsOfManyResults(t *testing.T) {
	t.Parallel()
	var b strings.Builder
	names := []string{"ada", "bo", "cy", "di", "ed", "flo", "gus"}
	for n := 2; n <= len(names); n++ {
		players := names[:n]
		var singles, mixed []ranking.Result
		for i := range players {
			for k := i + 1; k < n; k++ {
				r := ranking.Result{
					Near: players[i : i+1], Far: players[k : k+1], NearPoints: 11, FarPoints: 3 + (i*5+k*3)%10, Uneven: (i+k)%5 == 0,
				}
				singles = append(singles, r)
				if k+1 < n {
					r.Far, r.FarPoints = players[k:k+2], 4+(i+k)%9
				}
				mixed = append(mixed, r)
			}
		}
		var sides [][]string
		for _, p := range players {
			sides = append(sides, []string{p})
		}
		fmt.Fprintf(&b, "%d players\n", n)
		for _, line := range ranking.Table(sides, singles) {
			fmt.Fprintln(&b, "  ", golden.Line(t, line, 3))
		}
		for _, by := range []ranking.By{"", ranking.Games} {
			for _, results := range [][]ranking.Result{singles, mixed, singles[:1], nil} {
				r, err := ranking.Rank(t.Context(), players, nil, results, by)
				if err != nil {
					t.Fatal(err)
				}
				fmt.Fprintln(&b, "  ", golden.Line(t, r, 3))
				fmt.Fprintf(&b, "   %.3f", r.Chance(players[:1], players[1:]))
				even, waiting := r.EvenMatches(players, n > 3)
				fmt.Fprintln(&b, golden.Line(t, []any{even, waiting, r.Teams(players, 1+n/2)}, 3))
			}
		}
		for courts := 1; courts <= 3; courts++ {
			fixtures, err := ranking.RoundRobin(sides, courts, 12)
			fmt.Fprintln(&b, "  ", golden.Line(t, fixtures, 1), err)
		}
	}
	for n := 1; n <= 3; n++ {
		var courts []ranking.CourtResult
		for i := range n {
			courts = append(courts, ranking.CourtResult{Winners: names[2*i : 2*i+1], Losers: names[2*i+1 : 2*i+2]})
		}
		fmt.Fprintln(&b, golden.Line(t, ranking.UpAndDown(courts), 3))
	}
	golden.Same(t, "rankings.txt", b.String())
}
