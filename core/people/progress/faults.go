package progress

import (
	"fmt"
	"time"

	"gonum.org/v1/gonum/mathext"

	"hodometer/core/basics/units"
)

// Watched is how often a fault was seen in one lesson, and in how many balls.
type Watched struct {
	At    time.Time `json:"at"`
	Times int       `json:"times"`
	Balls int       `json:"balls"`
}

// FaultTrend is how often a fault was seen over the lessons, and whether that is going down.
type FaultTrend struct {
	Fault    string    `json:"fault"`
	Lessons  []Watched `json:"lessons" description:"Oldest first, from the first one in which it was seen"`
	Going    string    `json:"going" description:"down or up; empty where that is not clear"`
	Sentence string    `json:"sentence"`
}

// rarely is how seldom a change comes about by chance where it is told as one.
const rarely = 0.1

// TrendOf compares the earlier half of the lessons with the later one, ball by ball: given how often the fault was seen
// in all, its share in the later balls is binomial where nothing has changed (the conditional test of two Poisson
// rates, Przyborowski and Wilenski, Biometrika 31 (1940) 313). The sighting with which the first of them begins is left
// out of the comparison: the lessons were chosen by it, and with it a fault that never changes would seem to go down.
func TrendOf(fault string, lessons []Watched) FaultTrend {
	t := FaultTrend{Fault: fault, Lessons: lessons}
	sum := func(list []Watched) (w Watched) {
		for _, each := range list {
			w.Times, w.Balls = w.Times+each.Times, w.Balls+each.Balls
		}
		return w
	}
	all := sum(lessons)
	t.Sentence = fmt.Sprintf("seen %s in %s", units.Count(all.Times, "time", "times"), units.Balls(all.Balls))
	first, last := sum(lessons[:len(lessons)/2]), sum(lessons[len(lessons)/2:])
	if len(lessons) < 2 || first.Balls == 0 || last.Balls == 0 || all.Times < 2 {
		return t
	}
	per := func(w Watched) string { return units.Decimal(10*float64(w.Times)/float64(w.Balls), 1) }
	share := float64(last.Balls) / float64(all.Balls)
	switch {
	case atMost(last.Times, all.Times-1, share) < rarely:
		t.Going = "down"
	case 1-atMost(last.Times-1, all.Times-1, share) < rarely:
		t.Going = "up"
	}
	t.Sentence = fmt.Sprintf("in 10 balls %s at first and %s lately: ", per(first), per(last))
	if t.Going == "" {
		t.Sentence += "no clear change yet"
	} else {
		t.Sentence += "going " + t.Going
	}
	return t
}

// atMost is the chance of at most k successes in n tries with a chance: the binomial distribution.
func atMost(k, n int, chance float64) float64 {
	switch {
	case k < 0:
		return 0
	case k >= n:
		return 1
	}
	return mathext.RegIncBeta(float64(n-k), float64(k+1), 1-chance)
}
