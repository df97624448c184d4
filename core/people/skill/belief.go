package skill

import (
	"math"
	"slices"
)

// Interval is a chance with what it likely lies between: 80 of 100.
type Interval struct {
	Mean float64 `json:"mean"`
	Low  float64 `json:"low" description:"8 times in 10 it is between this and high"`
	High float64 `json:"high"`
}

// Belief is what is believed of somebody at an attempt: how much better than their level they are, and what the level's
// model makes of it.
type Belief struct {
	Better  Estimate `json:"better" description:"Than the level, in log-odds"`
	Attempt Attempt  `json:"attempt" description:"As the level's model judges it"`
}

// Chance is that of the attempt.
func (b Belief) Chance() Interval {
	const tenth = 1.2815515655446004 // standard deviations that 80 of 100 lie within
	low, _ := b.Attempt.Chance(b.Better.Mean - tenth*b.Better.SD)
	high, _ := b.Attempt.Chance(b.Better.Mean + tenth*b.Better.SD)
	return Interval{Mean: Mean(b.Likely()), Low: low, High: high}
}

// Likely is one of the chances that an attempt may have, and how likely it is that one.
type Likely struct {
	Rate  float64 // chance of one attempt
	Share float64 // how likely it is that one; all together 1
}

// Likely are the chances that the attempt may have, from the lowest on: the normal distribution, looked at often enough
// for what is all or nothing in it. It is one where it is known; of an attempt without balls there are none.
func (b Belief) Likely() []Likely {
	switch {
	case len(b.Attempt.Balls) == 0:
		return nil
	case b.Better.SD == 0:
		p, _ := b.Attempt.Chance(b.Better.Mean)
		return []Likely{{p, 1}}
	}
	list := make([]Likely, 0, 2*lookedAt+1)
	sum := 0.0
	for i := -lookedAt; i <= lookedAt; i++ {
		z := float64(i) * apart
		p, _ := b.Attempt.Chance(b.Better.Mean + z*b.Better.SD)
		share := math.Exp(-z * z / 2)
		list, sum = append(list, Likely{p, share}), sum+share
	}
	for i := range list {
		list[i].Share /= sum
	}
	return list
}

// Together are the chances that an attempt may have which is one or another player's, each as often as the next: they
// are good or bad on their own. Where nothing is believed of one of them there are none.
func Together(of []Belief) []Likely {
	var list []Likely
	share := 1 / float64(len(of))
	for _, b := range of {
		b.Better.SD *= math.Sqrt(share)
		likely := b.Likely()
		if len(likely) == 1 { // known for sure
			likely = slices.Repeat(likely, 2*lookedAt+1)
		}
		switch {
		case len(likely) == 0:
			return nil
		case list == nil:
			list = Belief{Estimate{SD: 1}, b.Attempt}.Likely()
			for i := range list {
				list[i].Rate = 0
			}
		}
		for i := range list {
			list[i].Rate += share * likely[i].Rate
		}
	}
	return list
}

// A normal distribution is looked at in so many steps to each side, each so many standard deviations wide.
const (
	lookedAt = 4
	apart    = 0.65
)

// Mean is the chance in the mean of what it may be.
func Mean(list []Likely) (mean float64) {
	for _, l := range list {
		mean += l.Share * l.Rate
	}
	return mean
}

// Given is how likely each chance is once so many of such attempts were made and missed (Bayes).
func Given(list []Likely, made, missed int) []Likely {
	logs, most := make([]float64, len(list)), math.Inf(-1)
	for i, l := range list {
		p := math.Max(sure, math.Min(l.Rate, 1-sure))
		logs[i] = math.Log(l.Share) + float64(made)*math.Log(p) + float64(missed)*math.Log1p(-p)
		most = math.Max(most, logs[i])
	}
	then, sum := slices.Clone(list), 0.0
	for i := range then {
		then[i].Share = math.Exp(logs[i] - most)
		sum += then[i].Share
	}
	for i := range then {
		then[i].Share /= sum
	}
	return then
}
