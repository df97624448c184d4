package footwork

import (
	"fmt"
	"math"
	"time"

	"hodometer/core/basics/units"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// What is thought of a player's own quickness, and of a stopwatch. Own choices, no source.
const (
	spread   = 0.14 // standard deviation of acceleration and top speed about what the level and the age say, as a share
	together = 0.3  // their correlation: who starts quickly is quick as a rule
	hand     = 0.12 // seconds: of a watch that is stopped by hand
	model    = 0.03 // share of the time: no run is like the other
	turning  = 0.15 // seconds for a turn
	halfLife = 182.5
)

// Quickness is a player's own acceleration and top speed, as timed runs say them.
type Quickness struct {
	Runs    int    `json:"runs" description:"Timed runs that it rests on"`
	Speedup Ranged `json:"speedup" description:"Acceleration, m/s²"`
	Top     Ranged `json:"top" description:"Top speed, m/s"`
	Say     string `json:"say"`
	Kinds   []Run  `json:"kinds" description:"What can be run in the student's sport"`
}

// Ranged is a figure with the range in which it lies 4 times in 5.
type Ranged struct {
	Mean float64 `json:"mean"`
	Low  float64 `json:"low"`
	High float64 `json:"high"`
}

// Run is a kind of run with its length, and what the player as they are thought of would take.
type Run struct {
	Kind    student.RunKind `json:"kind"`
	Metres  float64         `json:"metres"`
	Seconds float64         `json:"seconds"`
}

// legs are the straight parts of a run, each from standing to standing, the last one through the finish.
func legs(sport court.Sport, kind student.RunKind) []float64 {
	switch kind {
	case student.ShortSprint:
		return []float64{10}
	case student.LongSprint:
		return []float64{20}
	}
	of := sports.Of(sport)
	if len(of.Courts) == 0 {
		return nil
	}
	c := of.Courts[0].Court
	wide, long := c.Singles, c.Length/2
	switch {
	case of.Room > 0:
		wide, long = of.Room, of.Room
	case !c.HasNet():
		long = c.Length
	}
	switch kind {
	case student.Line:
		return []float64{wide, wide}
	case student.Shuttle:
		return []float64{long, long, long, long}
	case student.Star:
		corner := math.Hypot(wide/2, long/2)
		var list []float64
		for range 4 {
			list = append(list, corner, corner)
		}
		return list
	}
	return nil
}

// over is how long a player takes for the legs of a run: each leg but the last one is braked as hard as it was begun.
func (p Player) over(list []float64) (seconds float64) {
	for i, metres := range list {
		if i == len(list)-1 {
			return seconds + p.Seconds(metres)
		}
		seconds += 2*p.Seconds(metres/2) + turning
	}
	return seconds
}

// Of is the player that a student is taken for on a day: by age and level, and by the runs that were timed. They may
// play with either hand in what is worked out. A run counts half as much after half a year.
func Of(sport court.Sport, profile student.Profile, racket student.Hand, today time.Time) Player {
	p := For(sport, profile.Age, profile.Level, racket, profile.Backhand)
	q := quickness(p, profile, today)
	p.Speedup, p.Top = q.Speedup.Mean, q.Top.Mean
	return p
}

// QuicknessOf is how quick a student is, with its range.
func QuicknessOf(profile student.Profile, today time.Time) Quickness {
	p := For(profile.Sport, profile.Age, profile.Level, profile.Hand, profile.Backhand)
	q := quickness(p, profile, today)
	p.Speedup, p.Top = q.Speedup.Mean, q.Top.Mean
	for _, value := range student.RunKind("").Enum() {
		kind, _ := value.(student.RunKind)
		list, metres := legs(profile.Sport, kind), 0.0
		for _, leg := range list {
			metres += leg
		}
		q.Kinds = append(q.Kinds, Run{Kind: kind, Metres: metres, Seconds: p.over(list)})
	}
	return q
}

// quickness moves what is thought of a player by what was timed: the most likely acceleration and top speed, both as
// logarithms, under a normal prior, by Gauss and Newton's method; the range is that of the normal distribution there.
func quickness(p Player, profile student.Profile, today time.Time) Quickness {
	x := [2]float64{math.Log(p.Speedup), math.Log(p.Top)}
	before := x
	// The inverse of the prior's covariance.
	precision := 1 / (spread * spread * (1 - together*together))
	prior := [3]float64{precision, -together * precision, precision} // xx, xy, yy
	var info [3]float64
	const rounds, small = 6, 1e-4
	q := Quickness{Kinds: []Run{}}
	for range rounds {
		info = prior
		slope := [2]float64{
			prior[0]*(before[0]-x[0]) + prior[1]*(before[1]-x[1]),
			prior[1]*(before[0]-x[0]) + prior[2]*(before[1]-x[1]),
		}
		q.Runs = 0
		for _, run := range profile.Timed {
			list := legs(profile.Sport, run.Kind)
			on, err := time.Parse(time.DateOnly, run.On)
			if len(list) == 0 || err != nil || !(run.Seconds > 0) {
				continue
			}
			q.Runs++
			at := func(a, v float64) float64 {
				return math.Log(Player{Speedup: math.Exp(a), Top: math.Exp(v)}.over(list))
			}
			off := math.Log(run.Seconds) - at(x[0], x[1])
			da, dv := (at(x[0]+small, x[1])-at(x[0]-small, x[1]))/(2*small),
				(at(x[0], x[1]+small)-at(x[0], x[1]-small))/(2*small)
			old := math.Max(0, today.Sub(on).Hours()/24)
			weight := math.Exp2(-old/halfLife) / (model*model + (hand/run.Seconds)*(hand/run.Seconds))
			info[0], info[1], info[2] = info[0]+weight*da*da, info[1]+weight*da*dv, info[2]+weight*dv*dv
			slope[0], slope[1] = slope[0]+weight*da*off, slope[1]+weight*dv*off
		}
		det := info[0]*info[2] - info[1]*info[1]
		x[0] += (info[2]*slope[0] - info[1]*slope[1]) / det
		x[1] += (info[0]*slope[1] - info[1]*slope[0]) / det
	}
	det := info[0]*info[2] - info[1]*info[1]
	q.Speedup, q.Top = ranged(x[0], math.Sqrt(info[2]/det)), ranged(x[1], math.Sqrt(info[0]/det))
	q.Say = q.sentence()
	return q
}

// ranged is a figure from its logarithm and the standard deviation of that.
func ranged(log, sigma float64) Ranged {
	const inner = 1.2816 // standard deviations about 4 of 5
	return Ranged{Mean: math.Exp(log), Low: math.Exp(log - inner*sigma), High: math.Exp(log + inner*sigma)}
}

func (q Quickness) sentence() string {
	said := fmt.Sprintf(
		"acceleration %s to %s m/s², top speed %s to %s m/s, 4 times in 5",
		units.Decimal(q.Speedup.Low, 1),
		units.Decimal(q.Speedup.High, 1),
		units.Decimal(q.Top.Low, 1),
		units.Decimal(q.Top.High, 1),
	)
	if q.Runs == 0 {
		return "By age and level: " + said + "."
	}
	return fmt.Sprintf("By age, level and %s: %s.", units.Count(q.Runs, "timed run", "timed runs"), said)
}
