package odds

import (
	"cmp"
	"context"
	"fmt"
	"math"
	"slices"

	"gonum.org/v1/gonum/mathext"

	"hodometer/core/basics/invalid"
	"hodometer/core/count/score"
)

// FairRace is a race of about so many points that both sides win as nearly equally often as there is one: the better
// side needs more points. The chance of a point is that of the side whose points come first. It returns
// invalid.Fields, or ctx.Err() when cancelled.
func FairRace(ctx context.Context, point float64, length int) (score.Goal, string, error) {
	var wrong invalid.Fields
	if !(point > 0) || point >= 1 {
		wrong.Add("rate", "somebody who wins every point, or none, has no fair score")
	}
	if length < 1 || length > longestRace {
		wrong.Add("length", "a game has between 1 and %d points", longestRace)
	}
	if wrong.Err() != nil {
		return score.Goal{}, "", wrong.Err()
	}
	type candidate struct {
		own, other int
		off        float64 // from winning half of the games
	}
	var list []candidate
	near := func(share float64) (from, to int) {
		middle := int(math.Round(share * float64(length)))
		return max(1, middle-width), middle + width
	}
	from, to := near(point)
	low, high := near(1 - point)
	for own := from; own <= to; own++ {
		for other := low; other <= high; other++ {
			list = append(list, candidate{own, other, math.Abs(mathext.RegIncBeta(float64(own), float64(other), point) - 0.5)})
		}
	}
	slices.SortStableFunc(list, func(a, b candidate) int { return cmp.Compare(a.off, b.off) })
	// Of those that are about as long as wanted, the fairest.
	for _, c := range list {
		if err := ctx.Err(); err != nil {
			return score.Goal{}, "", err
		}
		goal := score.Goal{Kind: score.FirstTo, Count: c.own, Against: c.other}
		mean, _, win := processOf(goal, point, 0).moments(0)
		if math.Abs(mean-float64(length)) <= math.Max(1.5, tolerance*float64(length)) {
			return goal, fmt.Sprintf(
				"Fair at %s: %d against %d, %s, won %s.",
				ofTen(point),
				c.own,
				c.other,
				about(mean)+" points",
				Times(win),
			), nil
		}
	}
	return score.Goal{}, "", invalid.Fields{
		{Path: "length", Message: "there is no fair score of about so many points; try more"},
	}
}

const (
	longestRace = 150 // points of a game that is looked for
	width       = 4   // points to each side of where the fair score is looked for
	tolerance   = 0.2 // of the wanted length
)
