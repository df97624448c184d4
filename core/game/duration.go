package game

import (
	"context"
	"math"

	"gonum.org/v1/gonum/stat/distuv"

	"hodometer/core/basics/invalid"
	"hodometer/core/sport/court"
)

// Tempo is how long rallies are and take.
type Tempo struct {
	Strokes float64 `json:"strokes" minimum:"1" maximum:"60" description:"Of a rally, both sides together, on average"`
	Stroke  float64 `json:"stroke" minimum:"0.2" maximum:"6" description:"Seconds from one stroke to the next"`
	Between float64 `json:"between" minimum:"0" maximum:"120" description:"Seconds from the end of a rally to the next feed"`
}

// tempos are how long rallies of players at a club are and take. Strokes and pauses are common practice, from memory, no source; the
// seconds of a stroke are those that rallies come out at (core/people/footwork: tennis 38 to 44 strokes a minute, badminton 52).
var tempos = map[court.Sport]Tempo{
	court.Tennis:      {Strokes: 4, Stroke: 1.45, Between: 15},
	court.Pickleball:  {Strokes: 6, Stroke: 1.1, Between: 12},
	court.Badminton:   {Strokes: 6, Stroke: 1.15, Between: 11},
	court.Squash:      {Strokes: 8, Stroke: 1.4, Between: 9},
	court.TableTennis: {Strokes: 4, Stroke: 0.7, Between: 8},
}

// TempoOf is how long rallies of players at a club are and take in a sport.
func TempoOf(sport court.Sport) Tempo { return tempos[sport] }

// Check says what is wrong with a tempo, by field.
func (t Tempo) Check() error {
	var wrong invalid.Fields
	if !(t.Strokes >= 1 && t.Strokes <= 60) {
		wrong.Add("strokes", "a rally has between 1 and 60 strokes on average")
	}
	if !(t.Stroke >= 0.2 && t.Stroke <= 6) {
		wrong.Add("stroke", "between 0.2 and 6 seconds from one stroke to the next")
	}
	if !(t.Between >= 0 && t.Between <= 120) {
		wrong.Add("between", "between 0 and 120 seconds from one rally to the next")
	}
	return wrong.Err()
}

// rally is the mean and the standard deviation of the seconds of a rally with the pause after it: the number of strokes is geometric.
func (t Tempo) rally() (mean, sd float64) {
	return t.Strokes*t.Stroke + t.Between, t.Stroke * math.Sqrt(t.Strokes*(t.Strokes-1))
}

// rallies is how many rallies there are in so many minutes; 0 for no minutes.
func (t Tempo) rallies(minutes float64) int {
	if minutes <= 0 {
		return 0
	}
	mean, _ := t.rally()
	return max(1, int(minutes*60/mean))
}

// Duration is how long a game takes, in minutes.
type Duration struct {
	Mean   float64 `json:"mean"`
	Low50  float64 `json:"low50" description:"Half of the games take between these"`
	High50 float64 `json:"high50"`
	Low80  float64 `json:"low80" description:"Four of five take between these"`
	High80 float64 `json:"high80"`
	Nearly float64 `json:"nearly" description:"999 of 1000 take at most so long"`
}

// Duration is how long a game of a forecast takes at a tempo: the rallies as they are forecast, each with its own length.
func (f Forecast) Duration(t Tempo) Duration {
	mean, _ := t.rally()
	return Duration{
		Mean: f.Rallies * mean / 60, Low50: f.quantile(t, 0.25), High50: f.quantile(t, 0.75), Low80: f.quantile(t, 0.1), High80: f.quantile(t, 0.9), Nearly: f.quantile(t, almost),
	}
}

// OverIn is the chance that a game is over in so many minutes.
func (f Forecast) OverIn(t Tempo, minutes float64) float64 {
	mean, sd := t.rally()
	seconds, sum := 60*minutes, 0.0
	for i, p := range f.over {
		if p == 0 {
			continue
		}
		n := float64(i + 1)
		switch {
		case sd > 0:
			sum += p * distuv.UnitNormal.CDF((seconds-n*mean)/(sd*math.Sqrt(n)))
		case n*mean <= seconds:
			sum += p
		}
	}
	return sum
}

// quantile is in how many minutes a share of the games is over.
func (f Forecast) quantile(t Tempo, share float64) float64 {
	mean, sd := t.rally()
	n := float64(len(f.over))
	low, high := 0.0, (n*mean+8*sd*math.Sqrt(n))/60
	for range 50 {
		if middle := (low + high) / 2; f.OverIn(t, middle) < share {
			low = middle
		} else {
			high = middle
		}
	}
	return high
}

// WithMinutes is the forecast of a game at a tempo, with the end by the clock that the rules have.
func (r Rules) WithMinutes(ctx context.Context, c Chances, t Tempo) (Forecast, error) {
	return r.Forecast(ctx, c, t.rallies(r.End.Minutes))
}

// PointsFor is the most points that a game can be played to so that four games of five are over in so many minutes; both sides' points
// keep their proportion. 0 where not even the fewest fit. It returns ctx.Err() when cancelled.
func (r Rules) PointsFor(ctx context.Context, minutes float64, c Chances, t Tempo) (near, far int, err error) {
	if r.End.Near <= 0 || r.End.Far <= 0 {
		return 0, 0, nil
	}
	scaled := func(n int) Rules {
		s := r
		most := max(r.End.Near, r.End.Far)
		s.End.Near, s.End.Far = max(1, int(math.Round(float64(r.End.Near*n)/float64(most)))), max(1, int(math.Round(float64(r.End.Far*n)/float64(most))))
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
