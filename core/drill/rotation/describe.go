package rotation

import (
	"fmt"
	"math"

	"hodometer/core/basics/units"
)

// uneven is from how much difference on a table is no longer even, in seconds.
const uneven = 30

// describe puts the fairness of the table into a sentence.
func (t *Table) describe() {
	if len(t.Rounds) == 0 {
		return
	}
	least, most, waited := math.Inf(1), 0.0, 0.0
	spots := true
	for _, p := range t.People {
		least, most, waited = math.Min(least, p.Played), math.Max(most, p.Played), math.Max(waited, p.Waited)
		spots = spots && sameTimes(t.People[0], p)
	}
	t.Even = most-least <= uneven
	switch {
	case t.Even && waited == 0:
		t.Sentence = fmt.Sprintf("Everybody plays all of %s.", minutes(most))
	case t.Even:
		t.Sentence = fmt.Sprintf("Everybody plays %s and waits %s.", minutes(most), minutes(waited))
	default:
		t.Sentence = fmt.Sprintf("Some play %s, others only %s.", minutes(most), minutes(least))
	}
	switch full := len(t.Rounds) / max(1, t.Cycle); {
	case len(t.Rounds)%max(1, t.Cycle) == 0 && t.Rounds[len(t.Rounds)-1].Seconds >= t.Rounds[0].Seconds-1e-6:
		t.Sentence += " " + units.Count(full, "full cycle", "full cycles") + ": everybody has every place equally often."
	case spots && t.Even:
		t.Sentence += " Everybody has every place equally often."
	default:
		t.Sentence += fmt.Sprintf(
			" It comes out even after %s (%s).",
			units.Count(t.Cycle, "round", "rounds"),
			minutes(t.Seconds),
		)
	}
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
