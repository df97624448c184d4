package odds

import (
	"math"

	"gonum.org/v1/gonum/mathext"
)

// Race is points played until one side has enough: the player needs A, the other B, and the player wins
// each point with a chance.
type Race struct {
	A, B  int
	Point float64
}

// Win is the chance that the player is first: the regularised incomplete beta function, an identity of
// the negative binomial distribution.
func (r Race) Win() float64 {
	switch {
	case r.Point <= 0:
		return 0
	case r.Point >= 1:
		return 1
	}
	return mathext.RegIncBeta(float64(r.A), float64(r.B), r.Point)
}

// over is the chance that the race is over within n points, for n from 0 up.
func (r Race) over() []float64 {
	done := make([]float64, r.A+r.B)
	p, q := r.Point, 1-r.Point
	// The chance that the player scores the last of a points with the nth, and the other likewise, from
	// the one before: logarithms keep long races from underflowing.
	choose := func(n, k int) float64 {
		a, _ := math.Lgamma(float64(n + 1))
		b, _ := math.Lgamma(float64(k + 1))
		c, _ := math.Lgamma(float64(n - k + 1))
		return a - b - c
	}
	power := func(base float64, n int) float64 {
		if n == 0 {
			return 0
		}
		return float64(n) * math.Log(base)
	}
	for n := 1; n < len(done); n++ {
		done[n] = done[n-1]
		if n >= r.A {
			done[n] += math.Exp(choose(n-1, r.A-1) + power(p, r.A) + power(q, n-r.A))
		}
		if n >= r.B {
			done[n] += math.Exp(choose(n-1, r.B-1) + power(q, r.B) + power(p, n-r.B))
		}
	}
	done[len(done)-1] = 1
	return done
}

// length is how many points the race takes.
func (r Race) length() waiting {
	w := waiting{done: r.over()}
	w.mean, w.variance = summed(w.done)
	return w
}
