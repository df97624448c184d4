// Package apportion shares a total out among parts, each between its least and its most and in its steps.
package apportion

import (
	"context"
	"math"
	"slices"
)

// Part is a length of time to be fitted, in minutes.
type Part struct {
	Wanted float64 // more than nothing
	Min    float64
	Max    float64
	Weight float64 // how much it matters, more than nothing
	Step   float64 // it comes only in multiples of this; 0 for any length
}

// HasStep says whether any length between the least and the most of the part is a multiple of its step.
func (p Part) HasStep() bool {
	return p.Step <= 0 || roundUp(p.Min, p.Step) <= roundDown(p.Max, p.Step)+exact
}

// Shares is how a total was shared out.
type Shares struct {
	Minutes []float64
	Spare   float64 // of the total, where no length of the parts uses it up
	Best    bool    // no other choice of whole steps is better; else the search was cut off
}

// maxNodes bounds the search for whole steps.
const maxNodes = 20_000

// wasted is what a spare minute costs where a part of any length could have taken it: more than any part
// costs by growing.
const wasted = 1e4

// exact is what lengths may differ by and still be the same, in minutes.
const exact = 1e-9

// Share shares a total out: the minutes that minimise Σ weight × (minutes − wanted)² ÷ wanted between the
// least and the most of each part. Parts that come in steps get the best whole number of steps: the
// problem without steps bounds what any choice below a branch can reach (Land and Doig, Econometrica 28
// (1960) 497). Where every part comes in steps, what they leave over is spare, and costs its square;
// else there is spare only beyond the most of all parts. It is false where even the least of all is too much.
func Share(ctx context.Context, total float64, parts []Part) (Shares, bool, error) {
	open := slices.Clone(parts)
	loose := false
	for i, p := range open {
		if p.Step > 0 {
			open[i].Min, open[i].Max = roundUp(p.Min, p.Step), roundDown(p.Max, p.Step)
			if open[i].Min > open[i].Max+exact {
				return Shares{}, false, nil // no whole step lies between its least and its most
			}
		} else if p.Max-p.Min > exact {
			loose = true
		}
	}
	least := 0.0
	for _, p := range open {
		least += p.Min
	}
	if least > total+exact {
		return Shares{}, false, nil
	}
	s := search{ctx: ctx, total: total, stepped: !loose, best: math.Inf(1), left: maxNodes}
	s.branch(open)
	if err := ctx.Err(); err != nil {
		return Shares{}, false, err
	}
	f := Shares{Minutes: s.minutes, Spare: total, Best: s.left > 0}
	for _, m := range f.Minutes {
		f.Spare -= m
	}
	f.Spare = math.Max(0, f.Spare)
	if f.Spare < 1e-6 {
		f.Spare = 0
	}
	return f, f.Minutes != nil, nil
}

func roundUp(minutes, step float64) float64   { return math.Ceil(minutes/step-exact) * step }
func roundDown(minutes, step float64) float64 { return math.Floor(minutes/step+exact) * step }

type search struct {
	ctx     context.Context
	total   float64
	stepped bool // nothing but spare takes up what steps leave over
	best    float64
	minutes []float64
	left    int
}

// branch looks for whole steps between the bounds of its parts.
func (s *search) branch(parts []Part) {
	if s.left <= 0 || s.left%256 == 0 && s.ctx.Err() != nil {
		return
	}
	s.left--
	minutes, cost, ok := s.relaxed(parts)
	if !ok || cost >= s.best-exact {
		return
	}
	// Branch where the relaxed length is furthest from a whole step.
	at, off := -1, 1e-6
	for i, p := range parts {
		if p.Step > 0 {
			if d := math.Abs(minutes[i]-math.Round(minutes[i]/p.Step)*p.Step) / p.Step; d > off {
				at, off = i, d
			}
		}
	}
	if at < 0 {
		for i, p := range parts {
			if p.Step > 0 {
				minutes[i] = math.Round(minutes[i]/p.Step) * p.Step
			}
		}
		s.best, s.minutes = cost, minutes
		return
	}
	step := parts[at].Step
	down, up := slices.Clone(parts), slices.Clone(parts)
	down[at].Max = math.Floor(minutes[at]/step) * step
	up[at].Min = down[at].Max + step
	first, second := down, up
	if minutes[at]-down[at].Max > step/2 {
		first, second = up, down
	}
	s.branch(first)
	s.branch(second)
}

// relaxed solves the problem without steps: minutes are wanted × (1 + λ ÷ weight) between their bounds,
// for the one λ at which they add up, found by halving. Spare time counts as a part that wants nothing.
func (s *search) relaxed(parts []Part) (minutes []float64, cost float64, ok bool) {
	least, most := 0.0, 0.0
	for _, p := range parts {
		if p.Min > p.Max+exact {
			return nil, 0, false
		}
		least, most = least+p.Min, most+p.Max
	}
	if least > s.total+1e-7 {
		return nil, 0, false
	}
	spare := func(lambda float64) float64 {
		if s.stepped {
			return math.Max(0, lambda)
		}
		return 0
	}
	length := func(p Part, lambda float64) float64 {
		return math.Max(p.Min, math.Min(p.Wanted*(1+lambda/p.Weight), p.Max))
	}
	sum := func(lambda float64) float64 {
		all := spare(lambda)
		for _, p := range parts {
			all += length(p, lambda)
		}
		return all
	}
	low, high := -1.0, 1.0
	for i := 0; sum(low) > s.total && i < 60; i++ {
		low *= 2
	}
	for i := 0; sum(high) < s.total && i < 60; i++ {
		high *= 2
	}
	for range 100 {
		if mid := (low + high) / 2; sum(mid) < s.total {
			low = mid
		} else {
			high = mid
		}
		if high-low < 1e-13*math.Max(1, math.Abs(high)) {
			break
		}
	}
	for _, p := range parts {
		m := length(p, high)
		minutes = append(minutes, m)
		cost += p.Weight * (m - p.Wanted) * (m - p.Wanted) / p.Wanted
	}
	if s.stepped {
		return minutes, cost + spare(high)*spare(high), true
	}
	return minutes, cost + wasted*math.Max(0, s.total-most), true
}
