package game

import (
	"context"
	"math"

	"hodometer/core/sport/sports"

	"gonum.org/v1/gonum/mathext"
)

// Duration is how long a game takes, in minutes.
type Duration struct {
	Mean   float64 `json:"mean"`
	Low50  float64 `json:"low50" description:"Half of the games take between these"`
	High50 float64 `json:"high50"`
	Low80  float64 `json:"low80" description:"Four of five take between these"`
	High80 float64 `json:"high80"`
	Nearly float64 `json:"nearly" description:"999 of 1000 take at most so long"`
}

// Duration is how long a game of a forecast takes at a tempo: the rallies as they are forecast, each with its own
// length.
func (f Forecast) Duration(t sports.Tempo) Duration {
	mean, _ := t.Rally()
	return Duration{
		Mean:   f.Rallies * mean / 60,
		Low50:  f.quantile(t, 0.25),
		High50: f.quantile(t, 0.75),
		Low80:  f.quantile(t, 0.1),
		High80: f.quantile(t, 0.9),
		Nearly: f.quantile(t, almost),
	}
}

// OverIn is the chance that a game is over in so many minutes.
func (f Forecast) OverIn(t sports.Tempo, minutes float64) float64 {
	sum := 0.0
	for i, p := range f.over {
		if p > 0 {
			sum += p * rolledOff(t, float64(i+1), 60*minutes)
		}
	}
	return sum
}

// rolledOff is the chance that so many rallies are over in so many seconds. Their strokes, each of which ends its rally
// with the same chance, are tries until so many succeed: a negative binomial distribution.
func rolledOff(t sports.Tempo, rallies, seconds float64) float64 {
	const far = 12.0 // standard deviations beyond which it is certain
	strokes := math.Floor((seconds-rallies*t.Between)/t.Stroke + 1e-9)
	mean, sd := rallies*t.Strokes, math.Sqrt(rallies*t.Strokes*(t.Strokes-1))
	switch {
	case strokes < rallies || strokes < mean-far*sd:
		return 0
	case sd == 0 || strokes > mean+far*sd:
		return 1
	}
	return mathext.RegIncBeta(rallies, strokes-rallies+1, 1/t.Strokes)
}

// quantile is in how many minutes a share of the games is over.
func (f Forecast) quantile(t sports.Tempo, share float64) float64 {
	mean, sd := t.Rally()
	n := float64(len(f.over))
	low, high := 0.0, (n*mean+8*sd*math.Sqrt(n))/60
	for range 32 { // to a millisecond of a day
		if middle := (low + high) / 2; f.OverIn(t, middle) < share {
			low = middle
		} else {
			high = middle
		}
	}
	return high
}

// WithMinutes is the forecast of a game at a tempo, with the end by the clock that the rules have.
func (r Rules) WithMinutes(ctx context.Context, c Chances, t sports.Tempo) (Forecast, error) {
	return r.Forecast(ctx, c, t.Rallies(r.End.Minutes))
}

// PointsFor is the most points that a game can be played to so that four games of five are over in so many minutes;
// both sides' points keep their proportion. 0 where not even the fewest fit. It returns ctx.Err() when cancelled.
func (r Rules) PointsFor(ctx context.Context, minutes float64, c Chances, t sports.Tempo) (near, far int, err error) {
	if r.End.Near <= 0 || r.End.Far <= 0 {
		return 0, 0, nil
	}
	scaled := func(n int) Rules {
		s := r
		most := max(r.End.Near, r.End.Far)
		s.End.Near, s.End.Far = max(
			1,
			int(math.Round(float64(r.End.Near*n)/float64(most))),
		), max(
			1,
			int(math.Round(float64(r.End.Far*n)/float64(most))),
		)
		if r.End.Cap > 0 {
			s.End.Cap = n + r.End.Cap - most
		}
		s.End.Minutes = 0
		return s
	}
	const largest = 100
	low, high := 0, largest // low fits, high+1 does not
	for low < high {
		n := (low + high + 1) / 2
		f, err := scaled(n).Forecast(ctx, c, 0)
		if err != nil {
			return 0, 0, err
		}
		if f.OverIn(t, minutes) >= 0.8 {
			low = n
		} else {
			high = n - 1
		}
	}
	if low == 0 {
		return 0, 0, nil
	}
	s := scaled(low)
	return s.End.Near, s.End.Far, nil
}
