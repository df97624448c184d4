package game

import (
	"cmp"
	"slices"

	"hodometer/core/basics/invalid"
)

// Chances are how often things happen in a game, each between 0 and 1.
type Chances struct {
	NearFeeds float64  `json:"nearFeeds" minimum:"0" maximum:"1" description:"That the near side wins a rally that it feeds"`
	FarFeeds  float64  `json:"farFeeds" minimum:"0" maximum:"1" description:"That the near side wins a rally that the far side feeds"`
	Awards    []Chance `json:"awards,omitempty" maxItems:"12" description:"Of what is worth points of its own; one that is missing is as usual"`
}

// Chance is how often something is done that is worth points of its own, by each side: of what wins the rally or the
// game its share of the rallies that the side wins, of what loses one its share of those that it loses, else how often
// it is done in a rally.
type Chance struct {
	Award string  `json:"award" maxLength:"24"`
	Near  float64 `json:"near" minimum:"0" maximum:"1"`
	Far   float64 `json:"far" minimum:"0" maximum:"1"`
}

// How often something is done of which nothing is known. Common practice, no source.
const (
	usuallyEnds = 0.1
	usuallyDone = 0.5
)

// Even are the chances of two equal sides, of whom nothing is known.
func Even() Chances { return Chances{NearFeeds: 0.5, FarFeeds: 0.5} }

// At are the chances of a near side that wins a share of the rallies, whoever feeds.
func At(won float64) Chances { return Chances{NearFeeds: won, FarFeeds: won} }

// Check says what is wrong with chances, by field.
func (c Chances) Check() error {
	var wrong invalid.Fields
	is := func(path string, p float64) {
		if !(p >= 0 && p <= 1) {
			wrong.Add(path, "a chance is between 0 and 10 of 10")
		}
	}
	is("nearFeeds", c.NearFeeds)
	is("farFeeds", c.FarFeeds)
	for i, each := range c.Awards {
		is(invalid.Join("awards", i, "near"), each.Near)
		is(invalid.Join("awards", i, "far"), each.Far)
	}
	return wrong.Err()
}

// of is the chance of an award by a side.
func (c Chances) of(a Award, side int) float64 {
	for _, each := range c.Awards {
		if each.Award == a.ID {
			return [2]float64{each.Near, each.Far}[side]
		}
	}
	if a.Ends == "" {
		return usuallyDone
	}
	return usuallyEnds
}

// All are the chances of everything in a game that is worth points of its own: those that are said, and what is usual
// of the others.
func (c Chances) All(r *Rules) Chances {
	all := Chances{NearFeeds: c.NearFeeds, FarFeeds: c.FarFeeds}
	for _, a := range r.Awards {
		all.Awards = append(all.Awards, Chance{Award: a.ID, Near: c.of(a, 0), Far: c.of(a, 1)})
	}
	return all
}

// near is the chance that the near side wins a rally.
func (c Chances) near(feed int16) float64 { return [2]float64{c.NearFeeds, c.FarFeeds}[feed] }

// likely is a result of a rally with its chance.
type likely struct {
	result
	p float64
}

// results lists what a rally from a position can come to, with the chances. They depend on who feeds and who holds the
// net.
func (r *Rules) results(p position, c Chances) []likely {
	bonuses := map[[2]int]float64{{}: 1}
	for _, a := range r.Awards {
		for side := range 2 {
			if done := c.of(a, side); a.Ends == "" && a.By.is(side, p) && done > 0 {
				more := make(map[[2]int]float64, 2*len(bonuses))
				for both, chance := range bonuses {
					more[both] += chance * (1 - done)
					both[side] += a.Points
					more[both] += chance * done
				}
				bonuses = more
			}
		}
	}
	sums := map[result]float64{}
	for winner, won := range [2]float64{c.near(p.feed), 1 - c.near(p.feed)} {
		for _, ending := range r.endings(winner, p, c) {
			if ending.bare {
				sums[ending.result] += won * ending.p
				continue
			}
			for both, chance := range bonuses {
				one := ending.result
				one.points[0] += both[0]
				one.points[1] += both[1]
				sums[one] += won * ending.p * chance
			}
		}
	}
	list := make([]likely, 0, len(sums))
	for one, chance := range sums {
		if chance > 0 {
			list = append(list, likely{one, chance})
		}
	}
	// In an order that is always the same, so that sums are, too.
	slices.SortFunc(list, func(a, b likely) int {
		return cmp.Or(
			cmp.Compare(a.winner, b.winner),
			cmp.Compare(a.points[0], b.points[0]),
			cmp.Compare(a.points[1], b.points[1]),
			cmp.Compare(a.p, b.p),
		)
	})
	return list
}

// ending is one way in which a side wins a rally, with its share of those that it wins.
type ending struct {
	likely
	bare bool // nothing else counts
}

// endings lists the ways in which a side can win a rally: by what wins it, by what loses it across the net, and
// plainly.
func (r *Rules) endings(winner int, p position, c Chances) []ending {
	var list []ending
	special := 0.0
	for _, a := range r.Awards {
		one := result{winner: winner, game: a.Ends == WinsGame}
		by := winner
		switch a.Ends {
		case "":
			continue
		case LosesIt:
			by = 1 - winner
			one.points[winner] = r.Rally
		}
		if share := c.of(a, by); a.By.is(by, p) && share > 0 {
			one.points[by] += a.Points
			list = append(list, ending{likely{one, share}, a.NoBonus})
			special += share
		}
	}
	if special > 1 {
		for i := range list {
			list[i].p /= special
		}
		special = 1
	}
	if special < 1 {
		list = append(list, ending{likely{result{winner: winner, points: points(winner, r.Rally)}, 1 - special}, false})
	}
	return list
}
