package odds

import (
	"fmt"
	"math"
	"strings"

	"gonum.org/v1/gonum/mathext"

	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/core/people/student"
)

// Practised is what somebody did on one drill at one time. Balls that were played again, after a bad feed
// or a let, are not in it: they count nowhere.
type Practised struct {
	Days     float64 // ago
	Made     int
	Missed   int
	Right    int // choices, marked apart from how they were carried out
	Wrong    int
	InPoints bool // in points, not in the drill

	Net, Long, Wide int // misses that were marked so
}

// weight is what a ball of it counts today.
func (p Practised) weight() float64 { return math.Exp2(-math.Max(p.Days, 0) / halfLife) }

// Rate is what is known of how often somebody does something: the mean and the middle 95 % of a beta
// distribution.
type Rate struct {
	Mean       float64           `json:"mean"`
	Low        float64           `json:"low"`
	High       float64           `json:"high"`
	Made       int               `json:"made" description:"On this very drill"`
	Balls      int               `json:"balls" description:"On this very drill"`
	Related    int               `json:"related" description:"Balls on related drills, which count for less"`
	Known      bool              `json:"known" description:"There is evidence; else it is only the level's"`
	Sentence   string            `json:"sentence"`
	Derivation metric.Derivation `json:"derivation"`

	made, missed float64 // of the beta distribution
}

// Estimates are a player's rates on a drill.
type Estimates struct {
	Rate    Rate        `json:"rate" description:"Made or missed, in the drill"`
	Choice  *Rate       `json:"choice" description:"Right or wrong choice; null where none was marked"`
	Points  *Rate       `json:"points" description:"Made or missed in points; null where none were played"`
	Between *Difference `json:"between" description:"Drill against points; null where one of them is missing"`
	Kinds   Kinds       `json:"kinds" description:"Of the misses"`
}

// What an estimate rests on. Common practice, no source.
const (
	halfLife     = 28.0 // days after which a ball counts half
	priorBalls   = 6.0  // that the prior is worth
	relatedShare = 0.3  // what a ball on a related drill counts
	maxRelated   = 15.0 // balls that all related drills are worth together
)

// Prior is what is thought of a player on a drill before anything was counted.
type Prior struct {
	Rate        float64
	Description string // where it comes from
}

// LevelPrior is the rate of a level on a drill that is written for it. Common practice, no source.
func LevelPrior(level student.Level) Prior {
	rate, known := map[student.Level]float64{
		student.Red: 0.45, student.Orange: 0.5, student.Green: 0.55, student.Beginner: 0.45,
		student.Improver: 0.5, student.Club: 0.6, student.Tournament: 0.7,
	}[level]
	if !known {
		rate = 0.5
	}
	return Prior{Rate: rate, Description: "what is usual for the level"}
}

// Estimate works out a player's rates from what they did on the drill and on related ones: the prior
// as the start of a beta distribution, moved by related drills and then by this one, each ball
// counting less the longer ago it was.
func Estimate(prior Prior, own, related []Practised) Estimates {
	made, missed := priorBalls*prior.Rate, priorBalls*(1-prior.Rate)
	near := sum(related, execution(false))
	if all := relatedShare * (near.made + near.missed); all > 0 {
		share := relatedShare * math.Min(1, maxRelated/all)
		made, missed = made+share*near.made, missed+share*near.missed
	}
	here := sum(own, execution(false))
	e := Estimates{Rate: prior.rated(made+here.made, missed+here.missed, here, near)}
	if points := sum(own, execution(true)); points.balls > 0 {
		r := prior.rated(made+points.made, missed+points.missed, points, near)
		e.Points = &r
		if here.balls > 0 {
			d := Compare(here.done(), points.done())
			e.Between = &d
		}
	}
	if choice := sum(own, func(p Practised) (int, int) { return p.Right, p.Wrong }); choice.balls > 0 {
		r := Prior{0.5, "even chances"}.rated(priorBalls/2+choice.made, priorBalls/2+choice.missed, choice, weighted{})
		e.Choice = &r
	}
	e.Kinds = kindsOf(own)
	return e
}

// execution picks makes and misses, of the drill or of points.
func execution(points bool) func(Practised) (int, int) {
	return func(p Practised) (int, int) {
		if p.InPoints != points {
			return 0, 0
		}
		return p.Made, p.Missed
	}
}

// weighted is evidence that has been added up: with what it weighs today, and as it was counted.
type weighted struct {
	made, missed float64
	right, balls int
}

// done is the evidence as it was counted.
func (w weighted) done() Done { return Done{w.right, w.balls - w.right} }

func sum(list []Practised, of func(Practised) (int, int)) weighted {
	var w weighted
	for _, p := range list {
		made, missed := of(p)
		weight := p.weight()
		w.made, w.missed = w.made+weight*float64(made), w.missed+weight*float64(missed)
		w.right, w.balls = w.right+made, w.balls+made+missed
	}
	return w
}

func (prior Prior) rated(made, missed float64, here, near weighted) Rate {
	r := Rate{
		Mean:    made / (made + missed),
		Low:     mathext.InvRegIncBeta(made, missed, 0.025),
		High:    mathext.InvRegIncBeta(made, missed, 0.975),
		Made:    here.right,
		Balls:   here.balls,
		Related: near.balls,
		Known:   here.balls+near.balls > 0,
		made:    made,
		missed:  missed,
	}
	between := fmt.Sprintf("between %s and %s", units.Decimal(10*r.Low, 1), ofTen(r.High))
	switch {
	case here.balls > 0:
		r.Sentence = fmt.Sprintf("makes about %s, %s: %d of %d on this drill", ofTen(r.Mean), between, here.right, here.balls)
	case r.Known:
		r.Sentence = fmt.Sprintf(
			"has not done this drill; related ones (%s) suggest %s, %s",
			units.Balls(near.balls),
			ofTen(r.Mean),
			between,
		)
	default:
		r.Sentence = fmt.Sprintf("nothing is known yet; %s is only %s, %s", ofTen(r.Mean), prior.Description, between)
	}
	r.Derivation = metric.Derivation{
		Figure: "Makes",
		Value:  ofTen(r.Mean),
		Formula: "(balls made + what is usual) ÷ (balls + what is usual): the mean of a beta distribution; each ball " +
			"counts half after four weeks",
		Inputs: []metric.Input{
			{
				Name: "On this drill",
				Value: fmt.Sprintf(
					"%d of %d, weighing %s balls today",
					here.right,
					here.balls,
					units.Decimal(here.made+here.missed, 1),
				),
			},
			{Name: "On related drills", Value: units.Balls(near.balls) + ", each counting three tenths, at most 15 together"},
			{
				Name:  "Before anything is counted",
				Value: fmt.Sprintf("%s, %s, worth %s balls", ofTen(prior.Rate), prior.Description, units.Decimal(priorBalls, 0)),
			},
			{Name: "95 times in 100", Value: between},
		},
		Source: "Beta-binomial model; weights and what is usual for a level: common practice, no source",
	}
	return r
}

// Next is between how many of the next n balls are made 8 times in 10: quantiles of the beta-binomial
// distribution.
func (r Rate) Next(n int) (low, high int) {
	choose := func(a, b float64) float64 {
		x, _ := math.Lgamma(a)
		y, _ := math.Lgamma(b)
		z, _ := math.Lgamma(a + b)
		return x + y - z
	}
	below, low, high := 0.0, -1, n
	for m := range n + 1 {
		k, all := float64(m), float64(n)
		ways := -choose(k+1, all-k+1) - math.Log(all+1)
		below += math.Exp(ways + choose(r.made+k, r.missed+all-k) - choose(r.made, r.missed))
		if low < 0 && below >= 0.1 {
			low = m
		}
		if below >= 0.9 {
			return low, m
		}
	}
	return max(low, 0), high
}

// Wilson is the plain interval for a rate from a count: 95 % by Wilson, Journal of the American
// Statistical Association 22 (1927) 209. Without any balls it is all there is.
func Wilson(made, balls int) (low, high float64) {
	if balls == 0 {
		return 0, 1
	}
	const z = 1.959963984540054
	n := float64(balls)
	p := float64(made) / n
	middle, half := p+z*z/(2*n), z*math.Sqrt(p*(1-p)/n+z*z/(4*n*n))
	return math.Max(0, (middle-half)/(1+z*z/n)), math.Min(1, (middle+half)/(1+z*z/n))
}

// Difference is how much more is made in the drill than in points.
type Difference struct {
	Mean     float64 `json:"mean"`
	Low      float64 `json:"low" description:"Lower end of the middle 95 %"`
	High     float64 `json:"high"`
	Sentence string  `json:"sentence"`
}

// Compare sets a drill against points: the difference of two rates with its 95 % interval, by Newcombe's
// hybrid of Wilson's, Statistics in Medicine 17 (1998) 873, method 10.
func Compare(drill, points Done) Difference { return compare(drill, points, "points", "the drill") }

// compare sets what was done at one place against another, which are named as the sentence says them.
func compare(practised, played Done, there, here string) Difference {
	rate := func(d Done) float64 { return float64(d.Made) / float64(d.Balls()) }
	p1, p2 := rate(practised), rate(played)
	l1, u1 := Wilson(practised.Made, practised.Balls())
	l2, u2 := Wilson(played.Made, played.Balls())
	d := Difference{Mean: p1 - p2, Low: p1 - p2 - math.Hypot(p1-l1, u2-p2), High: p1 - p2 + math.Hypot(u1-p1, p2-l2)}
	switch less := units.Decimal(10*math.Abs(d.Mean), 1); {
	case d.Low > 0:
		d.Sentence = fmt.Sprintf("%s of 10 fewer in %s than in %s", less, there, here)
	case d.High < 0:
		d.Sentence = fmt.Sprintf("%s of 10 more in %s than in %s", less, there, here)
	default:
		d.Sentence = fmt.Sprintf("no sure difference between %s and %s yet", strings.TrimPrefix(here, "the "), there)
	}
	return d
}
