package odds

import (
	"fmt"
	"math"

	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/core/count/score"
)

// Times says how likely something is, as coaches count.
func Times(chance float64) string {
	switch {
	case chance >= 0.995:
		return "nearly always"
	case chance < 0.005:
		return "hardly ever"
	case chance < 0.015:
		return "once in 100"
	case chance < 0.095 || chance > 0.905:
		return units.Decimal(100*chance, 0) + " times in 100"
	case chance < 0.15:
		return "once in 10"
	}
	return units.Decimal(10*chance, 0) + " times in 10"
}

// ofTen writes a rate as coaches say it.
func ofTen(rate float64) string { return units.Decimal(10*rate, 1) + " of 10" }

// minutes writes seconds as minutes, whole ones where there are several.
func minutes(seconds float64) string {
	places := 0
	if seconds < 3*60 {
		places = 1
	}
	return units.Decimal(seconds/60, places)
}

// sentence is a waiting time in words: each number of balls with its own minutes.
func (q Question) sentence(a Answer) string {
	if a.Never {
		return fmt.Sprintf("at %s this is never reached: more %s than anybody will ever play", ofTen(q.Rate), a.Unit)
	}
	high, clock := a.usual(), q.clock()
	phrase := fmt.Sprintf("%s %s, %s; 9 times in 10 ", about(a.Mean), a.Unit, lasting(clock.played(a.Mean)))
	if high.Balls > Thousand {
		phrase += "it takes more than a thousand, " + lasting(clock.played(high.Balls))
	} else {
		phrase += fmt.Sprintf("within %s, %s", Attempts(high.Balls), lasting(clock.played(high.Balls)))
	}
	if high.PickUps > 0 && high.Balls <= Thousand {
		phrase += " and " + units.Count(int(high.PickUps), "pick-up", "pick-ups")
	}
	return phrase
}

// Thousand is the most that is counted one by one; whoever needs more needs another goal.
const Thousand = 1000

// Attempts writes a number of balls, rallies or points.
func Attempts(n float64) string {
	if n > Thousand {
		return "more than a thousand"
	}
	return units.Decimal(math.Round(n), 0)
}

// Written are numbers of attempts as they are said, each on its own.
func Written(parts []metric.Part) []metric.Input {
	list := make([]metric.Input, len(parts))
	for i, p := range parts {
		list[i] = metric.Input{Name: p.Name, Value: Attempts(p.Number) + " " + p.Unit}
	}
	return list
}

// about writes a mean number of attempts.
func about(n float64) string {
	if n > Thousand {
		return Attempts(n)
	}
	return "about " + Attempts(n)
}

// lasting writes seconds as minutes or hours.
func lasting(seconds float64) string {
	switch {
	case seconds > 100*3600:
		return "more than a hundred hours"
	case seconds > 3*3600:
		return units.Decimal(seconds/3600, 0) + " hours"
	}
	return minutes(seconds) + " min"
}

// shared is the goal ÷ how often one attempt counts for it, where that is the mean of the answer: not where it has to
// be reached after something else, was begun, or is made together.
func (q Question) shared(a Answer, name string, rate float64) []metric.Sum {
	_, many := q.words()
	asked := float64(q.Goal.Count)
	if len(q.Before)+len(q.From) > 0 || a.Mean > Thousand || math.Abs(a.Mean*rate-asked) > 1e-6*asked {
		return nil
	}
	return []metric.Sum{metric.Shared.Work("About", metric.Decimal(0, many).Fixed(),
		metric.Decimal(0, "").Of("Goal", asked), metric.OfTen.Of(name, rate))}
}

// derivation is how the answer to a waiting time came about.
func (q Question) derivation(a Answer) metric.Derivation {
	w := metric.Derivation{
		Figure: "Goal: " + q.Goal.String(), Value: Attempts(a.Mean) + " " + a.Unit,
		Inputs: []metric.Input{{Name: "Made", Value: ofTen(q.Rate)}},
	}
	add := func(name, value string) { w.Inputs = append(w.Inputs, metric.Input{Name: name, Value: value}) }
	switch q.Goal.Kind {
	case score.Total, score.Together:
		w.Sums = q.shared(a, "Made", q.Rate)
		w.Formula, w.Source = "goal ÷ rate; the chances are those of the negative binomial distribution", "Any text on "+
			"the negative binomial distribution"
	case score.AsManyAsPossible:
		w.Formula, w.Source = "balls in the time × rate; the chances are those of the binomial distribution", "Any text "+
			"on the binomial distribution"
	case score.FirstTo:
		w.Formula, w.Source = "every score there can be, with the chance to come to it from the scores before; from each "+
			"a point leads to the next", metric.OwnArithmetic
	case score.WithinATime:
		w.Formula, w.Source = "the chance that one of the tries is good enough: 1 − (1 − chance of one)ⁿ",
			metric.OwnArithmetic
	case score.FewMisses:
		w.Formula, w.Source = "the chance of at most so many misses: ball by ball, until there is one too many or all "+
			"were played", metric.OwnArithmetic
	case score.Rallies:
		b := bandOf(q.Goal, q.Rate)
		w.Sums = q.shared(a, "Rallies of that length", b.wanted)
		w.Formula, w.Source = "goal ÷ share of rallies of the wanted length; a rally of n strokes has the chance rateⁿ",
			"Geometric distribution"
		add("Rallies of that length", Times(b.wanted))
		add("Too long, stopped", Times(b.tooLong))
		add("Strokes in a rally", units.Decimal(b.strokes, 1))
	default:
		w.Formula = "every step takes one ball and, after a miss, all the steps again that the miss took back; for k in " +
			"a row (1 − pᵏ) ÷ ((1 − p) pᵏ); the chances are followed ball by ball"
		w.Source = "Feller, An Introduction to Probability Theory, vol. 1, XIII.7"
		if q.Goal.Kind == score.SetsInRallies {
			add("After a miss", "a set that is not complete is lost")
		} else {
			add("After a miss", q.Goal.Miss.String())
		}
	}
	if q.Goal.Kind == score.Together {
		add("The partner makes", ofTen(q.Partner))
	}
	if !a.Never {
		for _, each := range a.Quantiles {
			phrase := fmt.Sprintf("within %s: %s", Attempts(each.Balls), lasting(q.clock().played(each.Balls)))
			if each.PickUps > 0 && each.Balls <= Thousand {
				phrase += ", and " + units.Count(int(each.PickUps), "pick-up", "pick-ups")
			}
			if q.Goal.Kind == score.AsManyAsPossible {
				phrase = "at least " + Attempts(each.Balls)
			}
			add(Times(each.Share), phrase)
		}
	}
	add("One ball every", units.Decimal(q.Clock.Gap, 1)+" s")
	add("Balls in a basket", units.Decimal(float64(q.Clock.Basket), 0))
	return w
}
