package odds

import (
	"fmt"
	"math"
	"strings"

	"gonum.org/v1/gonum/mathext"

	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/core/people/skill"
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

// Rate is what is known of how often somebody does something.
type Rate struct {
	skill.Interval
	Belief     skill.Belief      `json:"belief" description:"What it comes from"`
	Sentence   string            `json:"sentence"`
	Derivation metric.Derivation `json:"derivation"`
}

// Estimates are a player's rates on a drill.
type Estimates struct {
	Rate    Rate        `json:"rate" description:"Made or missed, in the drill; of points won or lost"`
	Choice  *Rate       `json:"choice" description:"Right or wrong choice; null where none was marked"`
	Points  *Rate       `json:"points" description:"Made or missed in points; null where none were played"`
	Between *Difference `json:"between" description:"Drill against points; null where one of them is missing"`
	Kinds   Kinds       `json:"kinds" description:"Of the misses"`
}

// What is known of choices. Common practice, no source.
const (
	halfLife    = 28.0 // days after which a choice counts half
	choiceBalls = 6.0  // that even chances are worth
)

// UsualRate is the rate of a level on a drill that is written for it. Common practice, no source.
func UsualRate(level student.Level) float64 {
	rate, known := map[student.Level]float64{
		student.Red: 0.45, student.Orange: 0.5, student.Green: 0.55, student.Beginner: 0.45,
		student.Improver: 0.5, student.Club: 0.6, student.Tournament: 0.7,
	}[level]
	if !known {
		rate = 0.5
	}
	return rate
}

// Marked is what was marked besides makes and misses on one measure: choices, kinds of misses, and what was made in the
// drill against what was made in points.
func Marked(own []Practised) Estimates {
	e := Estimates{Kinds: kindsOf(own)}
	here, points := sum(own, execution(false)), sum(own, execution(true))
	if here.balls > 0 && points.balls > 0 {
		d := Compare(here.done(), points.done())
		e.Between = &d
	}
	if choice := sum(own, func(p Practised) (int, int) { return p.Right, p.Wrong }); choice.balls > 0 {
		r := chosen(choice)
		e.Choice = &r
	}
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

// chosen is how often the right choice is made: a beta distribution that begins with even chances.
func chosen(w weighted) Rate {
	right, wrong := choiceBalls/2+w.made, choiceBalls/2+w.missed
	r := Rate{Interval: skill.Interval{
		Mean: right / (right + wrong),
		Low:  mathext.InvRegIncBeta(right, wrong, 0.1),
		High: mathext.InvRegIncBeta(right, wrong, 0.9),
	}, Belief: skill.Belief{Attempt: skill.Attempt{Balls: []float64{}}}}
	between := fmt.Sprintf("between %s and %s", units.Decimal(10*r.Low, 1), ofTen(r.High))
	r.Sentence = fmt.Sprintf("makes about %s, %s: %d of %d on this drill", ofTen(r.Mean), between, w.right, w.balls)
	weigh := metric.Decimal(1, "balls")
	chose := metric.Added.Work("Chosen right", weigh,
		weigh.Of(fmt.Sprintf("Right, %d of them, as they weigh today", w.right), w.made),
		weigh.Of("Even chances", choiceBalls/2))
	all := metric.Added.Work("Choices", weigh,
		weigh.Of(fmt.Sprintf("All %d, as they weigh today", w.balls), w.made+w.missed), weigh.Of("Even chances", choiceBalls))
	r.Derivation = metric.Derivation{
		Figure:  "Right choices",
		Value:   ofTen(r.Mean),
		Sums:    []metric.Sum{chose, all, metric.Shared.Work("Right choices", metric.OfTen, chose.Gives, all.Gives)},
		Formula: "The mean of a beta distribution; each choice counts half after four weeks",
		Inputs: []metric.Input{
			{Name: "8 times in 10", Value: between},
		},
		Source: "Beta-binomial model; weights: common practice, no source",
	}.Settled()
	return r
}

// Believed is the rate of what is believed of somebody, with what that rests on in words.
func Believed(b skill.Belief, rests string) Rate {
	level, _ := b.Attempt.Chance(0)
	r := Rate{Interval: b.Chance(), Belief: b, Sentence: rests}
	r.Derivation = metric.Derivation{
		Figure: "Makes",
		Value:  ofTen(r.Mean),
		Formula: "what the level makes, in log-odds + how much better or worse this player is at the stroke, at this drill " +
			"and in points; the mean over all that this may be, good and bad days included",
		Inputs: []metric.Input{
			{Name: "The level makes", Value: ofTen(level)},
			{Name: "Better than the level, in log-odds", Value: units.Decimal(b.Better.Mean, 2)},
			{Name: "That is known to, in log-odds", Value: "± " + units.Decimal(b.Better.SD, 2)},
			{Name: "8 times in 10", Value: fmt.Sprintf("between %s and %s", units.Decimal(10*r.Low, 1), ofTen(r.High))},
		},
		Source: "Coulom, Whole-History Rating (Computers and Games, 2008); how unlike players of a level are: common " +
			"practice, no source",
	}
	return r
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
