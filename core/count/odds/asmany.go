package odds

import (
	"fmt"
	"math"

	"hodometer/core/basics/units"
)

// asMany is how many are made within a time.
func (q Question) asMany() Answer {
	atLeast := q.inTime()
	balls := len(atLeast) - 1
	makes := func(share float64) float64 {
		n := balls
		for n > 0 && atLeast[n] < share {
			n--
		}
		return math.Floor(float64(n) / float64(max(q.Goal.Of, 1)))
	}
	chance := hoped(atLeast, q.Goal.Steps())
	n := float64(balls)
	a := Answer{Rate: q.Rate, Unit: "makes", Chance: &chance, Carry: n * float64(q.Clock.People)}
	a.Mean, a.SD = times(atLeast, max(q.Goal.Of, 1))
	had, made := units.Balls(balls), units.Decimal(a.Mean, 0)+" of them made"
	if q.Goal.Of > 0 {
		a.Unit, a.Carry = "sets", 0 // one ball is played until it is lost
		had, made = units.Count(
			balls,
			"stroke",
			"strokes",
		), units.Count(
			int(math.Round(a.Mean)),
			"set",
			"sets",
		)+fmt.Sprintf(
			" of %d",
			q.Goal.Of,
		)
	}
	for _, share := range shares() {
		a.Quantiles = append(
			a.Quantiles,
			Quantile{
				Share:   share,
				Balls:   makes(share),
				Seconds: q.Goal.Minutes * 60,
				PickUps: q.clock().PickUps(n),
				Exact:   true,
			},
		)
	}
	for i := range dots {
		a.Dots = append(a.Dots, makes(1-(float64(i)+0.5)/dots))
	}
	a.Sentence = fmt.Sprintf("%s in %s min; about %s, 9 times in 10 at least %s; %d or more %s",
		had, units.Decimal(q.Goal.Minutes, 2), made,
		units.Decimal(a.usual().Balls, 0), q.Goal.Count, Times(chance))
	a.Derivation = q.derivation(a)
	return a
}

// times is the mean and the standard deviation of how often so many makes are full.
func times(atLeast []float64, of int) (mean, sd float64) {
	second := 0.0
	for k := 1; k*of < len(atLeast); k++ {
		mean += atLeast[k*of]
		second += float64(2*k-1) * atLeast[k*of]
	}
	return mean, math.Sqrt(math.Max(0, second-mean*mean))
}

// inTime is the chance of at least so many makes of the balls that there is time for, of as many as possible.
func (q Question) inTime() []float64 {
	var atLeast []float64
	_ = q.each(func(at Question, share float64) error { // which fails with what it calls only
		for m, chance := range survival(at.clock().Balls(at.Goal.Minutes*60), at.Rate) {
			if m == len(atLeast) {
				atLeast = append(atLeast, 0)
			}
			atLeast[m] += share * chance
		}
		return nil
	})
	return atLeast
}

// hoped is the chance of at least so many makes: nothing where there are not even so many balls.
func hoped(atLeast []float64, count int) float64 {
	if count >= len(atLeast) {
		return 0
	}
	return atLeast[count]
}

// survival is the chance of at least m makes of n balls, for m from 0 to n: the binomial distribution,
// added up from its small end.
func survival(n int, p float64) []float64 {
	tail := make([]float64, n+2)
	if p == 1 {
		for i := range n + 1 {
			tail[i] = 1
		}
		return tail[:n+1]
	}
	all, _ := math.Lgamma(float64(n + 1))
	for m := n; m >= 0; m-- {
		made, _ := math.Lgamma(float64(m + 1))
		missed, _ := math.Lgamma(float64(n - m + 1))
		tail[m] = tail[m+1] + math.Exp(all-made-missed+float64(m)*math.Log(p)+float64(n-m)*math.Log1p(-p))
	}
	for m := range tail {
		tail[m] = math.Min(tail[m], 1)
	}
	tail[0] = 1
	return tail[:n+1]
}
