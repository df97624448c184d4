package odds

import (
	"context"
	"math"
	"slices"

	"gonum.org/v1/gonum/mathext"
)

// chain is a goal as steps that are made one after the other, in sections: a miss within a section leads
// back to its beginning. A total is sections of one step each.
type chain struct {
	rates    []float64 // chance to make each step
	other    []float64 // the same for every second ball, where two players take turns; else nil
	sections []int     // where each section begins, and at last the number of steps
}

// add lengthens a chain by so many steps, in one section or in one of its own each.
func (c *chain) add(steps int, rate float64, together bool) {
	c.rates = slices.Grow(c.rates, steps)
	if !together {
		c.sections = slices.Grow(c.sections, steps+1)
	}
	for i := range steps {
		if i == 0 || !together {
			c.sections = append(c.sections, len(c.rates))
		}
		c.rates = append(c.rates, rate)
	}
}

// chainOf writes a goal as a chain for somebody who makes a ball with a rate.
func (g Goal) chainOf(rate, partner float64) chain {
	var c chain
	switch g.Kind {
	case Streak:
		for range g.sets() {
			c.add(g.Count, rate, g.Miss.breaks())
		}
	case Stages:
		for i, stage := range g.Stages {
			before := len(c.sections)
			c.add(stage.Count, stage.Hard.rate(rate), g.Miss.breaks())
			if i > 0 && g.Miss.fromTheStart() {
				c.sections = c.sections[:before] // one section from the first ball to the last
			}
		}
	case Routine:
		c.add(g.Count*g.sets(), rate, false)
		for range g.sets() {
			c.add(g.Then, rate, g.Miss.breaks())
		}
	case Together:
		c.add(g.Count, rate, false)
		c.other = make([]float64, g.Count)
		for i := range c.other {
			c.other[i] = partner
		}
	default:
		c.add(g.Count, rate, false)
	}
	c.sections = append(c.sections, len(c.rates))
	return c
}

// moments returns the mean and the variance of the balls that a chain takes, from its first step to its
// last. Two players who take turns are taken for one with their mean rate.
//
// The time for a step is one ball and, after a miss, all the steps of its section up to it once more: with
// q the chance of a miss and X the mean of those, D = 1 + qX and V = qV' / p + qX². For one section of k
// steps this sums up to Feller's (1 − pᵏ) / ((1 − p)pᵏ), An Introduction to Probability Theory, vol. 1,
// XIII.7.
func (c chain) moments() (mean, variance float64) {
	section := 0
	before, spread := 0.0, 0.0 // of the steps of this section up to now
	for i, p := range c.rates {
		if i == c.sections[section] {
			before, spread = 0, 0
			section++
		}
		if c.other != nil {
			p = (p + c.other[i]) / 2
		}
		q := 1 - p
		d := (1 + q*before) / p
		v := q*spread/p + q*(before+d)*(before+d)
		before, spread = before+d, spread+v
		mean, variance = mean+d, variance+v
	}
	return mean, variance
}

const (
	// maxUpdates bounds the work of following a chain ball by ball: about a millisecond.
	maxUpdates = 600_000
	// negligible is the chance that is no longer followed.
	negligible = 1e-17
)

// finished is the chance to have finished within n balls, for n from 0 up, followed ball by ball until it
// reaches a share. It ends early where that would take too much work; then the rest is known only by its
// mean and variance.
func (c chain) finished(ctx context.Context, share float64, least int) ([]float64, error) {
	steps := len(c.rates)
	mass := make([]float64, steps+1)
	mass[0] = 1
	done := []float64{0}
	low, high, last, updates := 0, 0, 0, 0 // the first and the last section that anybody is in, and the steps up to there
	for n := 1; ; n++ {
		if n%512 == 0 && ctx.Err() != nil {
			return nil, ctx.Err()
		}
		rates := c.rates
		if c.other != nil && n%2 == 0 {
			rates = c.other
		}
		first := c.sections[low]
		if last < steps && (n == 1 || mass[last] > negligible) {
			last++
		}
		if high < len(c.sections)-2 && c.sections[high+1] < last {
			high++
		}
		section, back := high, 0.0
		for i := last - 1; i >= first; i-- {
			m := mass[i]
			made := rates[i] * m
			mass[i+1] += made
			mass[i] = 0
			back += m - made
			if i == c.sections[section] {
				mass[i] = back
				back = 0
				section--
			}
		}
		done = append(done, mass[steps])
		updates += last - first
		if n >= least && mass[steps] >= share || updates > maxUpdates {
			return done, nil
		}
		if n%16 == 0 {
			for low < len(c.sections)-2 && c.empty(mass, low) {
				low++
			}
		}
	}
}

// empty says whether hardly anybody is in a section any more.
func (c chain) empty(mass []float64, section int) bool {
	sum := 0.0
	for _, m := range mass[c.sections[section]:c.sections[section+1]] {
		sum += m
	}
	return sum < negligible
}

// waiting is how many balls something takes: exact as far as it was followed, and beyond that the gamma
// distribution with its mean and variance.
type waiting struct {
	mean, variance float64
	done           []float64
}

// within is the chance to be finished within so many balls.
func (w waiting) within(balls int) float64 {
	switch {
	case balls < 0:
		return 0
	case balls < len(w.done):
		return w.done[balls]
	}
	return math.Max(w.done[len(w.done)-1], w.gamma(float64(balls)))
}

func (w waiting) gamma(balls float64) float64 {
	if math.IsInf(w.mean, 1) || math.IsInf(w.variance, 1) || w.variance == 0 {
		return 0
	}
	return mathext.GammaIncReg(w.mean*w.mean/w.variance, balls*w.mean/w.variance)
}

// quantile is the smallest number of balls with at least so much chance to be finished, and whether it is
// exact.
func (w waiting) quantile(share float64) (balls float64, exact bool) {
	if last := w.done[len(w.done)-1]; last >= share {
		low, high := 0, len(w.done)-1
		for low < high {
			if mid := (low + high) / 2; w.done[mid] >= share {
				high = mid
			} else {
				low = mid + 1
			}
		}
		return float64(low), true
	}
	if math.IsInf(w.mean, 1) || math.IsInf(w.variance, 1) {
		return math.Inf(1), false
	}
	shape, scale := w.mean*w.mean/w.variance, w.variance/w.mean
	beyond := math.Ceil(scale * mathext.GammaIncRegInv(shape, share))
	return math.Max(beyond, float64(len(w.done))), false
}
