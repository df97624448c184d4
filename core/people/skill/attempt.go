package skill

import "math"

// Attempt is one try at a measure, as the level's model judges it: the log-odds of each of its balls for somebody of
// the level. One ball of them is tried, each as often as another, or all of them, where a sequence or a rally of a
// length is one try.
type Attempt struct {
	Balls []float64 `json:"balls" maxItems:"200" description:"The log-odds of each for somebody of the level"`
	All   bool      `json:"all,omitempty" description:"All of them are one try"`
}

// Chance is how often an attempt is made by somebody who is so much better than their level, in log-odds, and how much
// that rises with it.
func (a Attempt) Chance(x float64) (p, slope float64) {
	if a.All {
		p = 1
		for _, m := range a.Balls {
			one := logistic(m + x)
			p *= one
			slope += 1 - one
		}
		return p, p * slope
	}
	for _, m := range a.Balls {
		one := logistic(m + x)
		p += one
		slope += one * (1 - one)
	}
	n := float64(max(1, len(a.Balls)))
	return p / n, slope / n
}

// Reaches is how much better than their level somebody is, in log-odds, who makes an attempt so often; of what is made
// next to never or always as much as anybody ever is.
func (a Attempt) Reaches(chance float64) float64 {
	const farthest = 15.0
	low, high := -farthest, farthest
	for range 60 {
		middle := (low + high) / 2
		if p, _ := a.Chance(middle); p < chance {
			low = middle
		} else {
			high = middle
		}
	}
	return (low + high) / 2
}

// Even is a point between equals: as often won as lost by somebody who loses in points what is usual.
func Even() Attempt { return Attempt{Balls: []float64{-inPoints}} }

// Of is an attempt of one ball that somebody of the level makes so often.
func Of(chance float64) Attempt { return Attempt{Balls: []float64{LogOdds(chance)}} }

// LogOdds are those of a chance. Of one that is next to never or next to always they are those of one in a million.
func LogOdds(chance float64) float64 {
	const least = 1e-6
	p := math.Max(least, math.Min(chance, 1-least))
	return math.Log(p / (1 - p))
}

func logistic(x float64) float64 { return 1 / (1 + math.Exp(-x)) }

// sure is as near as a chance comes to never and always where its logarithm is asked for.
const sure = 1e-12

// told is what counts say of how much better somebody is: how the log of their likelihood rises with it, and the
// information in them (Fisher's, which is never less than none).
func (a Attempt) told(x float64, made, tried int) (rise, information float64) {
	p, slope := a.Chance(x)
	p = math.Max(sure, math.Min(p, 1-sure))
	n, per := float64(tried), slope/(p*(1-p))
	return (float64(made) - n*p) * per, n * slope * per
}

// likelihood is the log of that of counts.
func (a Attempt) likelihood(x float64, made, tried int) float64 {
	p, _ := a.Chance(x)
	p = math.Max(sure, math.Min(p, 1-sure))
	return float64(made)*math.Log(p) + float64(tried-made)*math.Log1p(-p)
}
