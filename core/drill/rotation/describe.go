package rotation

import (
	"math"

	"hodometer/core/basics/say"
	"hodometer/core/basics/units"
)

// uneven is from how much difference on a table is no longer even, in seconds.
const uneven = 30

// describe puts the fairness of the table into a sentence.
func (t *Table) describe() {
	if len(t.Rounds) == 0 {
		return
	}
	least, most, played, waited := math.Inf(1), 0.0, 0.0, 0.0
	each := 1 / float64(max(1, len(t.People)))
	spots := true
	for _, p := range t.People {
		least, most = math.Min(least, p.Played), math.Max(most, p.Played)
		played, waited = played+each*p.Played, waited+each*p.Waited
		spots = spots && sameTimes(t.People[0], p)
	}
	t.Even = most-least <= uneven
	t.Sentence = say.Of("two sentences", t.shared(least, most, played, waited), t.comesOut(spots)).String()
}

// shared says how long people play and wait: the least and the most that anybody plays, and the mean of both.
func (t *Table) shared(least, most, played, waited float64) say.Sentence {
	switch {
	case t.Even && waited == 0:
		return say.Of("rotation.everybody plays all", minutes(most))
	case t.Even && most-least >= 1: // a round is cut off: some play a little more than others
		return say.Of("rotation.everybody plays about", minutes(played), minutes(waited))
	case t.Even:
		return say.Of("rotation.everybody plays", minutes(most), minutes(waited))
	}
	return say.Of("rotation.some play", minutes(most), minutes(least))
}

// comesOut says whether everybody has every place equally often in the rounds that there are.
func (t *Table) comesOut(spots bool) say.Sentence {
	whole := len(t.Rounds)%max(1, t.Cycle) == 0 && t.Rounds[len(t.Rounds)-1].Seconds >= t.Rounds[0].Seconds-1e-6
	switch {
	case whole:
		return say.Of("rotation.full cycles", len(t.Rounds)/max(1, t.Cycle))
	case spots && t.Even:
		return say.Of("rotation.every place")
	}
	return say.Of("rotation.comes out even", t.Cycle, minutes(t.Seconds))
}

func minutes(seconds float64) string { return units.Clock(seconds) + " min" }

// sameTimes says whether two people had every spot equally often.
func sameTimes(a, b Share) bool {
	times := map[string]int{}
	for _, h := range a.Had {
		times[h.Spot] += h.Times
	}
	for _, h := range b.Had {
		times[h.Spot] -= h.Times
	}
	for _, n := range times {
		if n != 0 {
			return false
		}
	}
	return true
}
