package odds

import (
	"math"

	"hodometer/core/count/score"
)

// walk follows a process attempt by attempt, until no more is to be learnt of it.
type walk struct {
	process
	steps
	waiting
	now, next []float64 // chance of each state
	low, high int       // between which states they are
	longer    float64   // the mean up to here
	rate      float64   // chance to end with the last attempt
	same      int       // so often in a row it was the same
	updates   int
	over      bool
}

// walk begins in a state, and knows how long it takes in the mean.
func (p process) walk(begin score.State) *walk {
	k := p.begin(begin)
	k.mean, k.variance, k.met = p.moments(begin)
	return k
}

// begin begins in a state.
func (p process) begin(begin score.State) *walk {
	k := &walk{process: p, steps: p.steps(), longer: 1, low: int(begin), high: int(begin)}
	n := len(k.miss)
	k.now, k.next = make([]float64, n+1), make([]float64, n+1)
	k.now[begin] = 1
	k.done = []float64{0}
	return k
}

// ended is the chance to have ended so far.
func (k *walk) ended() float64 { return k.done[len(k.done)-1] }

// step follows the next attempt, and learns whether that is all there is to know.
func (k *walk) step() {
	before := k.ended()
	k.on()
	ended := k.ended()
	rate := (ended - before) / (1 - before)
	if rate > 0 && math.Abs(rate-k.rate) <= 1e-12*rate {
		k.same++
	} else {
		k.same = 0
	}
	k.rate = rate
	if k.same >= steady && k.other == nil && math.Abs(k.longer+(1-ended)/rate-k.mean) <= 1e-9*k.mean {
		k.hazard, k.over = rate, true
		return
	}
	k.longer += 1 - ended
	k.over = k.now[k.low] < negligible || k.updates > maxUpdates
}

// on follows the next attempt.
func (k *walk) on() {
	attempt, n, low, high := len(k.done), len(k.miss), k.low, k.high
	chances := k.chance
	if k.other != nil && attempt%2 == 0 {
		chances = k.other
	}
	before := k.ended()
	from, made, miss, up := k.now[low:high+1], chances[low:high+1], k.miss[low:high+1], k.up[low:high+1]
	next := k.next
	for i, mass := range from {
		part := mass * made[i]
		next[miss[i]] += mass - part
		next[up[i]] += part
	}
	clear(from)
	ended := before + next[n]
	next[n] = 0
	k.updates += high - low + 1
	k.now, k.next = next, k.now
	low, high = k.bottom[low], k.top[high]
	for low < high && next[low] < negligible {
		next[low] = 0
		low++
	}
	for low < high && next[high] < negligible {
		next[high] = 0
		high--
	}
	k.low, k.high = low, high
	k.done = append(k.done, math.Min(ended, 1))
}
