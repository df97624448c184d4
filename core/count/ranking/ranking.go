// Package ranking sorts players by what they did against each other, and makes even matches, teams and round robins of
// it.
package ranking

import (
	"cmp"
	"context"
	"errors"
	"math"
	"slices"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/symmetric"
	"hodometer/core/people/student"
)

// Result is one game between two sides of one or more players.
type Result struct {
	Near       []string `json:"near" minItems:"1" maxItems:"6" description:"Who played on one side"`
	Far        []string `json:"far" minItems:"1" maxItems:"6" description:"And on the other"`
	NearPoints int      `json:"nearPoints" minimum:"0" maximum:"1000"`
	FarPoints  int      `json:"farPoints" minimum:"0" maximum:"1000"`
	Uneven     bool     `json:"uneven,omitempty" description:"Both sides needed different points: who won says nothing of who is stronger"`
}

// won is how much of a game the near side won: 1, 0, or one half of a drawn one.
func (r Result) won() float64 {
	switch {
	case r.NearPoints > r.FarPoints:
		return 1
	case r.NearPoints < r.FarPoints:
		return 0
	}
	return 0.5
}

// Check says what is wrong with a result, by field.
func (r Result) Check() error {
	var wrong invalid.Fields
	if len(r.Near) == 0 || len(r.Far) == 0 {
		wrong.Add("near", "both sides have players")
	}
	everybody := slices.Concat(r.Near, r.Far)
	for i, player := range everybody {
		if slices.Index(everybody, player) < i {
			wrong.Add("far", "every player plays on one side, once")
			break
		}
	}
	if r.NearPoints < 0 || r.FarPoints < 0 {
		wrong.Add("nearPoints", "points are not negative")
	}
	if r.NearPoints == 0 && r.FarPoints == 0 {
		wrong.Add("nearPoints", "a game without a point says nothing")
	}
	return wrong.Err()
}

// By is what of the results a ranking rests on.
type By string

// What it can rest on. The zero value is the points.
const (
	Games By = "games"
)

// Standing is one player in a ranking.
type Standing struct {
	Player   string  `json:"player"`
	Strength float64 `json:"strength" description:"Logarithm of the odds against a middling player of the group"`
	Low      float64 `json:"low" description:"Four times of five the strength lies between these"`
	High     float64 `json:"high"`
	Chance   float64 `json:"chance" description:"To win a point, or a game, against a middling player"`
	Games    int     `json:"games" description:"That were played"`
	Won      float64 `json:"won" description:"Of them; a drawn one is a half"`
	Above    float64 `json:"above" description:"How sure it is that this player is stronger than the next one in the order; 1 for the last"`
}

// Ranking is players in order, the strongest first.
type Ranking struct {
	Standings []Standing `json:"standings"`
	Sure      float64    `json:"sure" description:"How sure a place in the order is, on average over all neighbours"`
	LeftOut   int        `json:"leftOut" description:"Games between uneven targets, which say nothing about who wins games"`

	index map[string]int   // of the standings, by player
	cov   symmetric.Matrix // of the strengths, in the order of the standings
}

// spread is the standard deviation of strengths that is expected of a group of which nothing is known: a strong player
// of it wins seven points of ten against a middling one. Common practice, no source.
const spread = 0.85

// Rank sorts players by the results of any mix of singles and of partners (Bradley and Terry: the odds of two sides are
// those of their strengths, and the strength of partners is the mean of theirs). Strengths are pulled by a normal
// distribution to what the players' levels let expect, so that somebody who won everything stays finite, and somebody
// without a result stands where their level does, or in the middle where none is said. Players that only the results
// name are ranked, too. It returns ctx.Err() when cancelled.
func Rank(
	ctx context.Context,
	players []string,
	levels map[string]student.Level,
	results []Result,
	by By,
) (Ranking, error) {
	return rank(ctx, players, levels, results, by, 1/(spread*spread))
}

func rank(
	ctx context.Context,
	players []string,
	levels map[string]student.Level,
	results []Result,
	by By,
	pull float64,
) (Ranking, error) {
	r := Ranking{index: map[string]int{}}
	m := model{index: map[string]int{}, pull: pull}
	for _, p := range players {
		m.add(p)
	}
	for _, one := range results {
		for _, p := range slices.Concat(one.Near, one.Far) {
			m.add(p)
		}
	}
	played, won := make([]int, len(m.names)), make([]float64, len(m.names))
	for _, one := range results {
		for _, p := range one.Near {
			played[m.index[p]]++
			won[m.index[p]] += one.won()
		}
		for _, p := range one.Far {
			played[m.index[p]]++
			won[m.index[p]] += 1 - one.won()
		}
		if by == Games && one.Uneven {
			r.LeftOut++
			continue
		}
		m.take(one, by)
	}
	m.expected = expected(m.names, levels, by)
	strengths, cov, err := m.solve(ctx)
	if err != nil {
		return r, err
	}
	cov = centred(cov, len(m.names))
	order := make([]int, len(m.names))
	for i := range order {
		order[i] = i
	}
	slices.SortStableFunc(order, func(a, b int) int { return cmp.Compare(strengths[b], strengths[a]) })
	const fourOfFive = 1.2815515655446004 // standard deviations to each side
	r.Standings = make([]Standing, len(order))
	r.cov = symmetric.New(len(order))
	for i, k := range order {
		off := fourOfFive * math.Sqrt(cov.At(k, k))
		r.Standings[i] = Standing{
			Player: m.names[k], Strength: strengths[k], Low: strengths[k] - off, High: strengths[k] + off,
			Chance: logistic(strengths[k]), Games: played[k], Won: won[k], Above: 1,
		}
		r.index[m.names[k]] = i
		for j, l := range order[:i+1] {
			r.cov.Add(i, j, cov.At(k, l))
		}
	}
	r.Sure = 1
	if n := len(order); n > 1 {
		r.Sure = 0
		for i := range n - 1 {
			r.Standings[i].Above = r.surer(i, i+1)
			r.Sure += r.Standings[i].Above / float64(n-1)
		}
	}
	return r, nil
}

// surer is the chance that one player is stronger than another, both by their place in the order.
func (r Ranking) surer(i, j int) float64 {
	off := r.cov.At(i, i) + r.cov.At(j, j) - 2*r.cov.At(i, j)
	if off <= 0 {
		return 0.5
	}
	return math.Erfc((r.Standings[j].Strength-r.Standings[i].Strength)/math.Sqrt(2*off)) / 2
}

// Chance is the chance of one side to win a point, or a game, against another: strangers count as middling.
func (r Ranking) Chance(near, far []string) float64 { return logistic(r.side(near) - r.side(far)) }

// side is the strength of partners.
func (r Ranking) side(players []string) (mean float64) {
	for _, p := range players {
		if i, ok := r.index[p]; ok {
			mean += r.Standings[i].Strength / float64(len(players))
		}
	}
	return mean
}

func logistic(x float64) float64 { return 1 / (1 + math.Exp(-x)) }

// model is a penalised logistic regression: for each result the players’ shares, what was tried and what was won.
type model struct {
	names    []string
	index    map[string]int
	rows     []row
	expected []float64 // strengths before any result
	pull     float64   // how strongly strengths are pulled to those: one over their variance
}

type row struct {
	who         []int
	share       []float64
	tried, made float64
}

func (m *model) add(player string) {
	if _, ok := m.index[player]; !ok {
		m.index[player] = len(m.names)
		m.names = append(m.names, player)
	}
}

func (m *model) take(one Result, by By) {
	r := row{tried: 1, made: one.won()}
	if by == "" {
		r.tried, r.made = float64(one.NearPoints+one.FarPoints), float64(one.NearPoints)
	}
	for _, p := range one.Near {
		r.who, r.share = append(r.who, m.index[p]), append(r.share, 1/float64(len(one.Near)))
	}
	for _, p := range one.Far {
		r.who, r.share = append(r.who, m.index[p]), append(r.share, -1/float64(len(one.Far)))
	}
	m.rows = append(m.rows, r)
}

// solve finds the likeliest strengths by Newton's method, and their covariance from the curvature there.
func (m *model) solve(ctx context.Context) ([]float64, symmetric.Matrix, error) {
	n := len(m.names)
	strengths := slices.Clone(m.expected)
	if n == 0 {
		return strengths, symmetric.New(0), nil
	}
	var factor symmetric.Factor
	const steps, enough = 100, 1e-10
	for range steps {
		if err := ctx.Err(); err != nil {
			return nil, symmetric.Matrix{}, err
		}
		step, curve := m.at(strengths)
		var ok bool
		if factor, ok = curve.Factor(); !ok {
			return nil, symmetric.Matrix{}, errors.New("the results cannot be ranked")
		}
		factor.Solve(step)
		largest := 0.0
		const stride = 2.0 // no step goes farther, so that extremes are approached from within
		for i := range n {
			by := math.Max(-stride, math.Min(stride, step[i]))
			strengths[i] += by
			largest = math.Max(largest, math.Abs(by))
		}
		if largest < enough {
			break
		}
	}
	return strengths, factor.Inverse(), nil
}

// centred is the covariance of how far strengths are from their mean: against whom nobody of the group played says
// nothing about them.
func centred(cov symmetric.Matrix, n int) symmetric.Matrix {
	if n == 0 {
		return cov
	}
	means, all := make([]float64, n), 0.0
	for i := range n {
		for j := range n {
			means[i] += cov.At(i, j) / float64(n)
		}
		all += means[i] / float64(n)
	}
	c := symmetric.New(n)
	for i := range n {
		for j := range i + 1 {
			c.Add(i, j, cov.At(i, j)-means[i]-means[j]+all)
		}
	}
	return c
}

// at is the slope of the log-likelihood and its curvature, turned over.
func (m *model) at(strengths []float64) ([]float64, symmetric.Matrix) {
	n := len(strengths)
	slope, curve := make([]float64, n), symmetric.New(n)
	for i, s := range strengths {
		slope[i] = m.pull * (m.expected[i] - s)
		curve.Add(i, i, m.pull)
	}
	for _, r := range m.rows {
		sum := 0.0
		for k, i := range r.who {
			sum += r.share[k] * strengths[i]
		}
		p := logistic(sum)
		off, weight := r.made-r.tried*p, r.tried*p*(1-p)
		for k, i := range r.who {
			slope[i] += off * r.share[k]
			for l, j := range r.who {
				if j <= i {
					curve.Add(i, j, weight*r.share[k]*r.share[l])
				}
			}
		}
	}
	return slope, curve
}
