package odds

import (
	"context"
	"math"
	"sort"

	"gonum.org/v1/gonum/mathext"

	"hodometer/core/count/score"
)

// process is a goal's machine run on chances: what counting steps with makes and misses, a forecast steps with their
// chances.
type process struct {
	*score.Machine
	chance []float64 // by state: to make the next attempt
	other  []float64 // the same for every second attempt, where two players take turns; else nil
}

// processOf runs a goal's machine for somebody who makes an attempt with a chance; of a goal that two count together
// the partner takes every second one.
func processOf(g score.Goal, chance, partner float64) process {
	goals := score.Course{g}
	return processOfCourse(goals.Machine(), goals, []float64{chance}, partner)
}

// processOfCourse is the same for goals that follow one another, each with its own chance, by their machine.
func processOfCourse(m *score.Machine, goals score.Course, chances []float64, partner float64) process {
	p := process{Machine: m}
	p.chance = make([]float64, p.Len())
	leg, hard := -1, score.Hardness("")
	rate := 0.0
	for s := range p.chance {
		if l, now := p.Leg(score.State(s)), p.Hard(score.State(s)); l != leg || now != hard {
			leg, hard, rate = l, now, chances[l]
			if now != "" {
				rate = now.Rate(rate)
			}
		}
		p.chance[s] = rate
	}
	g, chance := goals[0], chances[0]
	if g.Kind == score.Together && partner != chance {
		p.other = make([]float64, p.Len())
		for s := range p.other {
			p.other[s] = partner
		}
	}
	return p
}

// mean is the chance of a state's next attempt; of two players who take turns that of one with their mean rate.
func (p process) meanChance(s int) float64 {
	if p.other != nil {
		return (p.chance[s] + p.other[s]) / 2
	}
	return p.chance[s]
}

// equation is a state's equation with all higher states put in: its value is its own share of what an attempt adds, and
// shares of the values of lower states.
type equation struct {
	from, to int     // its shares, in the list of all
	end      float64 // share that leads to an end
	stays    float64 // 1 − the share that leads back to the state itself, added up without a difference
}

type share struct {
	state score.State
	of    float64
}

// equations are those of all states.
type equations struct {
	process
	table  [][2]score.State
	rows   []equation
	shares []share
}

// moments are the mean and the variance of the number of attempts from a state until the goal has an end, and the
// chance that it is met then. The equations of the states are solved from the last state to the first; what is divided
// by is added up from positive numbers only (Grassmann, Taksar and Heyman, Oper. Res. 33 (1985) 1107).
func (p process) moments(from score.State) (mean, variance, met float64) {
	e := equations{process: p, table: p.Table()}
	n := len(e.table)
	e.rows, e.shares = make([]equation, n), make([]share, 0, n)
	for s := n - 1; s >= 0; s-- {
		e.equation(s)
	}
	adds := make([]float64, n)
	for s := range adds {
		adds[s] = 1
	}
	first := e.solve(adds)
	mean = first[from]
	for s, t := range e.table {
		chance := p.meanChance(s)
		adds[s] = 1
		if t[score.Miss] >= 0 {
			adds[s] += 2 * (1 - chance) * first[t[score.Miss]]
		}
		if t[score.Make] >= 0 {
			adds[s] += 2 * chance * first[t[score.Make]]
		}
	}
	second := e.solve(adds)
	for s, t := range e.table {
		adds[s] = 0
		if t[score.Miss] == score.Met {
			adds[s] += 1 - p.meanChance(s)
		}
		if t[score.Make] == score.Met {
			adds[s] += p.meanChance(s)
		}
	}
	variance = math.Inf(1)
	if square := mean * mean; !math.IsInf(square, 1) && !math.IsInf(second[from], 1) {
		variance = math.Max(0, second[from]-square)
	}
	return mean, variance, e.solve(adds)[from]
}

// equation puts the equations of higher states into that of a state.
func (e *equations) equation(s int) {
	r := equation{from: len(e.shares)}
	add := func(t score.State, of float64) {
		if of == 0 || int(t) == s {
			return
		}
		r.stays += of
		for i := r.from; i < len(e.shares); i++ {
			if e.shares[i].state == t {
				e.shares[i].of += of
				return
			}
		}
		e.shares = append(e.shares, share{t, of})
	}
	chance := e.meanChance(s)
	for l, of := range [2]float64{1 - chance, chance} {
		t := e.table[s][l]
		switch {
		case t < 0:
			r.end += of
		case int(t) <= s:
			add(t, of)
		default:
			higher := e.rows[t]
			for _, each := range e.shares[higher.from:higher.to] {
				add(each.state, of*each.of)
			}
			r.end += of * higher.end
		}
	}
	r.stays += r.end
	r.to = len(e.shares)
	for i := r.from; i < r.to; i++ {
		e.shares[i].of /= r.stays
	}
	r.end /= r.stays
	e.rows[s] = r
}

// solve finds the values of all states for what each attempt adds.
func (e *equations) solve(adds []float64) []float64 {
	value := make([]float64, len(adds))
	for s := len(adds) - 1; s >= 0; s-- {
		sum, chance := adds[s], e.meanChance(s)
		if t := int(e.table[s][score.Miss]); t > s {
			sum += (1 - chance) * value[t]
		}
		if t := int(e.table[s][score.Make]); t > s {
			sum += chance * value[t]
		}
		value[s] = sum / e.rows[s].stays
	}
	for s, r := range e.rows {
		for _, each := range e.shares[r.from:r.to] {
			value[s] += each.of * value[each.state]
		}
	}
	return value
}

const (
	// maxUpdates bounds the work of following a goal attempt by attempt: about two milliseconds.
	maxUpdates = 400_000
	// negligible is the chance that is no longer followed.
	negligible = 1e-17
	// steady is how many attempts in a equation the chance to end has to be the same before it is taken to stay so.
	steady = 48
)

// waiting is how many attempts something takes: followed attempt by attempt, then with the same chance to end at each
// further attempt where that has become steady, and else the gamma distribution with its mean and variance.
type waiting struct {
	mean, variance float64
	met            float64   // chance to end well
	done           []float64 // chance to have ended within n attempts, for n from 0 up
	hazard         float64   // the steady chance to end at each attempt beyond; 0 where there is none
}

// steps are where the states lead to, an end being the state after the last, and how low and how high a state and all
// those above it, or below it, can lead.
type steps struct {
	miss, up, bottom, top []int
}

func (p process) steps() steps {
	table := p.Table()
	n := len(table)
	list := steps{miss: make([]int, n), up: make([]int, n), bottom: make([]int, n), top: make([]int, n)}
	to := func(t score.State) int {
		if t < 0 {
			return n
		}
		return int(t)
	}
	high := 0
	for s, t := range table {
		list.miss[s], list.up[s] = to(t[score.Miss]), to(t[score.Make])
		high = max(high, int(t[score.Miss]), int(t[score.Make]))
		list.top[s] = high
	}
	low := n - 1
	for s := n - 1; s >= 0; s-- {
		low = min(low, list.miss[s], list.up[s])
		list.bottom[s] = low
	}
	return list
}

// soon is the chance to be finished within so many attempts from a state on, each of which is followed.
func (p process) soon(ctx context.Context, begin score.State, attempts int) (float64, error) {
	k := p.begin(begin)
	for n := 1; n <= attempts && k.now[k.low] >= negligible; n++ {
		if n%256 == 0 && ctx.Err() != nil {
			return 0, ctx.Err()
		}
		k.on()
	}
	return k.ended(), nil
}

// wait works out how long a process takes from a state on: its moments, and its chances until they reach a share and as
// many attempts as are asked for.
func (p process) wait(ctx context.Context, begin score.State, until float64, least int) (waiting, error) {
	k := p.walk(begin)
	for n := 1; ; n++ {
		if n%256 == 0 && ctx.Err() != nil {
			return k.waiting, ctx.Err()
		}
		if k.step(); k.over || n >= least && k.ended() >= until {
			return k.waiting, nil
		}
	}
}

// within is the chance to be finished within so many attempts.
func (w waiting) within(attempts int) float64 {
	last := len(w.done) - 1
	switch {
	case attempts < 0:
		return 0
	case attempts <= last:
		return w.done[attempts]
	case w.hazard > 0:
		return 1 - (1-w.done[last])*math.Exp(float64(attempts-last)*math.Log1p(-w.hazard))
	}
	return math.Max(w.done[last], w.gamma(float64(attempts)))
}

func (w waiting) gamma(attempts float64) float64 {
	if math.IsInf(w.mean, 1) || math.IsInf(w.variance, 1) || w.variance == 0 {
		return 0
	}
	return mathext.GammaIncReg(w.mean*w.mean/w.variance, attempts*w.mean/w.variance)
}

// quantile is the smallest number of attempts with at least so much chance to be finished, and whether it is exact.
func (w waiting) quantile(share float64) (attempts float64, exact bool) {
	last := len(w.done) - 1
	switch {
	case w.done[last] >= share:
		return float64(sort.Search(last, func(n int) bool { return w.done[n] >= share })), true
	case w.hazard > 0:
		return float64(last) + math.Ceil(math.Log((1-share)/(1-w.done[last]))/math.Log1p(-w.hazard)), true
	case math.IsInf(w.mean, 1) || math.IsInf(w.variance, 1):
		return math.Inf(1), false
	}
	shape, scale := w.mean*w.mean/w.variance, w.variance/w.mean
	beyond := math.Ceil(scale * mathext.GammaIncRegInv(shape, share))
	return math.Max(beyond, float64(len(w.done))), false
}
