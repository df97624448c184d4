// Package odds is the mathematics of practice: how many balls a goal takes somebody who makes so many of
// ten, where balls land, which target suits a player, and what is known of their rate.
package odds

import (
	"context"
	"fmt"
	"math"
	"slices"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/metric"
	"hodometer/core/basics/units"
	"hodometer/core/count/score"
	"hodometer/core/people/skill"
)

// Question is a goal for somebody.
type Question struct {
	Goal    score.Goal
	Rate    float64        // chance to make a ball, or to win a point; in the mean, where it is not known for sure
	Likely  []skill.Likely // what it may be; none: it is known
	Partner float64        // the other player's, of a goal that two count together
	Clock   Clock
	Balls   int     // "how likely within so many balls?"; 0 where that is not asked
	Seconds float64 // "how likely within so many seconds?"; 0 where that is not asked

	Kinds  Kinds         // of the misses, of a goal that is about one kind; none: a third each
	Unit   score.Unit    // what is tried; empty: what the goal counts
	Before []Leg         // what has to be met first, counted in the same unit; see Within
	From   []score.State // where what is met first and the goal stand, one of these; none: nothing was counted yet
	Have   int           // of as many as possible: what is made already

	machine *score.Machine // of all its goals, where it is made already
}

// Answer is what a goal asks of somebody. Balls are points for a race and rallies for rallies; for as many
// as possible they are makes.
type Answer struct {
	Rate       float64           `json:"rate"`
	Unit       string            `json:"unit" description:"What is counted: balls, points, rallies or makes"`
	Mean       float64           `json:"mean"`
	SD         float64           `json:"sd" description:"Standard deviation"`
	Quantiles  []Quantile        `json:"quantiles"`
	Dots       []float64         `json:"dots" description:"Twenty equally likely outcomes, smallest first"`
	Chance     *float64          `json:"chance" description:"To be finished within the balls or the time that were asked for; of as many as possible: to make what is hoped for; of a race: to win it"`
	Carry      float64           `json:"carry" description:"Balls to carry so that they last 9 times in 10, for all players together"`
	Never      bool              `json:"never" description:"It takes more than anybody will ever play"`
	Sentence   string            `json:"sentence"`
	Derivation metric.Derivation `json:"derivation"`
}

// Quantile is what is enough so many times in a hundred.
type Quantile struct {
	Share   float64 `json:"share"`
	Balls   float64 `json:"balls"`
	Seconds float64 `json:"seconds" description:"With pauses and pick-ups"`
	PickUps float64 `json:"pickUps"`
	Exact   bool    `json:"exact" description:"Counted ball by ball; else from mean and variance, which only matters beyond any lesson"`
}

const (
	usually = 0.9 // "9 times in 10"
	dots    = 20  // of the small distribution
	// followed is the chance up to which balls are followed one by one: just beyond the last of the dots.
	followed = 0.976
	forever  = 1e12 // balls: more than this is written as never
)

// shares are the quantiles of every answer.
func shares() []float64 { return []float64{0.5, 0.8, usually, 0.95} }

// Check says what is wrong with a question, in a coach's words.
func (q Question) Check() error {
	var wrong invalid.Fields
	wrong.Under("goal", q.Goal.Check())
	checkRate(&wrong, "rate", q.Rate)
	if q.Goal.Kind == score.Together {
		checkRate(&wrong, "partner", q.Partner)
	}
	if c := q.Clock; !(c.Gap > 0) || c.Sequence < 1 || c.Pause < 0 || c.People < 1 || c.Basket < 1 || c.PickUp < 0 {
		wrong.Add("clock", "say how the balls come: a gap, at least one ball in a sequence, one player and a basket")
	}
	if q.Balls < 0 || !(q.Seconds >= 0) {
		wrong.Add("limit", "balls and minutes cannot be less than none")
	}
	return wrong.Err()
}

func checkRate(wrong *invalid.Fields, path string, rate float64) {
	switch {
	case rate == 0:
		wrong.Add(path, "somebody who makes none never gets there; make the drill easier first")
	case !(rate > 0) || rate > 1:
		wrong.Add(path, "a rate is between 0 and 10 of 10; this one is %s of 10", units.Decimal(10*rate, 1))
	}
}

// Answer works a question out, exactly: no simulation. It returns invalid.Fields, or that of the
// context.
func (q Question) Answer(ctx context.Context) (Answer, error) {
	if err := q.Check(); err != nil {
		return Answer{}, err
	}
	if q.Goal.Kind == score.AsManyAsPossible {
		return q.asMany(), nil
	}
	return q.waited(ctx)
}

// MeanBalls is how many balls a goal takes somebody with a rate in the mean, at most so many that a
// coach would never feed them; false where the goal is not counted in balls of one player.
func MeanBalls(g score.Goal, rate float64) (float64, bool) {
	if g.Unit() != score.Ball || g.Kind == score.AsManyAsPossible || g.Kind == score.FewMisses {
		return 0, false
	}
	if !(rate > 0) || rate > 1 || g.Check() != nil {
		return 0, false
	}
	const most = 99_999
	mean, _, _ := processOf(g, rate, rate).moments(0)
	return math.Min(mean, most), true
}

// own is the goal itself as a leg.
func (q Question) own() Leg {
	return Leg{Goal: q.inBalls(), Rate: q.Rate, Share: q.Kinds.Of(q.Goal.Only)}
}

// inBalls is the goal with as many balls as there are in its time, of few misses within one.
func (q Question) inBalls() score.Goal {
	g := q.Goal
	if g.Timed() {
		g.Count, g.Minutes = max(1, g.InCells(q.clock().Balls(60*g.Minutes))), 0
	}
	return g
}

// course are the goals that are run on chances, the last one its own, with the chance of an attempt at each.
func (q Question) course() (goals score.Course, chances []float64) {
	for _, leg := range append(slices.Clone(q.Before), q.own()) {
		goals, chances = append(goals, leg.Goal), append(chances, leg.chance())
	}
	return goals, chances
}

// process is the goal run on chances, with everything that has to be met before it, in what it counts: balls, points,
// strokes or rallies.
func (q Question) process() process {
	goals, chances := q.course()
	m := q.machine
	if m == nil {
		m = goals.Machine()
	}
	return processOfCourse(m, goals, chances, q.Partner)
}

// steps is the least number of makes that meet it, with everything before it.
func (q Question) steps() int {
	sum := q.Goal.Steps()
	for _, leg := range q.Before {
		sum += leg.Goal.Steps()
	}
	return sum
}

// words are those for one attempt and for several: sets within rallies are counted by their strokes.
func (q Question) words() (one, many string) {
	u := q.Goal.Unit()
	switch {
	case u == score.Ball && q.Unit != "":
		u = q.Unit
	case u == score.Rally && q.Goal.Kind != score.Rallies:
		return "stroke", "strokes"
	}
	return u.Words()
}

// clock is the time of one thing that is counted: a rally takes its strokes and the pause after it.
func (q Question) clock() Clock {
	c := q.Clock
	switch q.Goal.Kind {
	case score.Rallies:
		strokes := bandOf(q.Goal, q.Rate).strokes
		c.Gap, c.Pause, c.Sequence = strokes*c.Gap+c.Pause, 0, 1
	case score.SetsInRallies, score.AsManyAsPossible: // each miss takes the time until the next rally
		if q.Goal.Of > 0 {
			c.Gap, c.Pause, c.Sequence = c.Gap+(1-q.Rate)*c.Pause, 0, 1
		}
	case score.Together:
		c.People = max(1, c.People/2) // both players' balls count
	}
	return c
}

// Attempts is how many attempts there are in the balls and the time of the question, with the words for one and for
// several: as many as possible have a time of their own.
func (q Question) Attempts() (n int, one, many string) {
	one, many = q.words()
	n, asked := q.limit()
	if q.Goal.Timed() {
		return q.inBalls().Count, one, many
	}
	if q.Goal.Kind == score.AsManyAsPossible {
		inTime := q.clock().Balls(q.Goal.Minutes * 60)
		if !asked || q.Goal.Of > 0 || inTime < n {
			n = inTime
		}
	}
	return n, one, many
}

// limit is the number of balls within which the goal is wanted, and whether that was asked.
func (q Question) limit() (int, bool) {
	if q.Seconds > 0 {
		within := q.clock().Balls(q.Seconds)
		if q.Balls > 0 {
			within = min(within, q.Balls)
		}
		return within, true
	}
	return q.Balls, q.Balls > 0
}

func (q Question) waited(ctx context.Context) (Answer, error) {
	p := q.process()
	limit, asked := q.limit()
	share := followed
	if p.other != nil {
		share = 1 - 1e-13 // their mean is summed up from it
	}
	var w waiting
	var err error
	if len(q.Likely) > 0 && p.other == nil { // no more is told of the rate in the mean
		w.mean, w.variance, w.met = p.moments(0)
	} else if w, err = p.wait(ctx, 0, share, limit); err != nil {
		return Answer{}, err
	}
	if p.other != nil && w.done[len(w.done)-1] >= share {
		w.mean, w.variance = summed(w.done)
	}
	all := mixture{{w, limit, 1}}
	if len(q.Likely) > 0 {
		if all, err = q.waits(ctx, share); err != nil {
			return Answer{}, err
		}
	}
	_, many := q.words()
	a := q.from(w, all, many)
	if ends := endsWell(q.Goal); ends != "" {
		met := all.met()
		a.Chance = &met
		a.Sentence = fmt.Sprintf("%s %s; %s", ends, Times(met), a.Sentence)
	} else if asked {
		chance := all.chance()
		a.Chance = &chance
	}
	if q.Goal.Kind == score.Rallies {
		const often = 0.05
		if b := bandOf(q.Goal, q.Rate); b.tooLong >= often {
			a.Sentence += fmt.Sprintf("; %s a rally gets to %d strokes, which is too slow", Times(b.tooLong), q.Goal.To+1)
		}
	}
	return a, nil
}

// from puts a waiting time at the rate in the mean, and those at all that it may be, into an answer.
func (q Question) from(w waiting, all mixture, unit string) Answer {
	clock := q.clock()
	a := Answer{
		Rate:  q.Rate,
		Unit:  unit,
		Mean:  math.Min(w.mean, forever),
		SD:    math.Min(math.Sqrt(w.variance), forever),
		Never: w.mean > forever,
	}
	for _, share := range shares() {
		balls, exact := all.quantile(share)
		balls = math.Min(balls, forever)
		a.Quantiles = append(
			a.Quantiles,
			Quantile{Share: share, Balls: balls, Seconds: clock.Seconds(balls), PickUps: clock.PickUps(balls), Exact: exact},
		)
	}
	for i := range dots {
		balls, _ := all.quantile((float64(i) + 0.5) / dots)
		a.Dots = append(a.Dots, math.Min(balls, forever))
	}
	// in a rally or a point one ball is played until it is lost
	if q.Goal.Unit() == score.Ball && (q.Unit == "" || q.Unit == score.Ball) {
		a.Carry = a.usual().Balls * float64(clock.People)
	}
	a.Sentence = q.sentence(a)
	a.Derivation = q.derivation(a)
	return a
}

// usual is the quantile of 9 times in 10.
func (a Answer) usual() Quantile { return a.Quantiles[slices.Index(shares(), usually)] }

// endsWell says what it is to reach a goal that can be lost; empty for one that only takes longer.
func endsWell(g score.Goal) string {
	switch g.Kind {
	case score.FirstTo:
		return "wins it"
	case score.FewMisses:
		return "kept"
	case score.WithinATime:
		return "met"
	}
	return ""
}

// band is what a rally goal makes of a rate: each stroke is made with it, and a rally is stopped one
// stroke beyond the longest that is wanted.
type band struct {
	wanted  float64 // share of rallies that are neither too short nor too long
	tooLong float64
	strokes float64 // mean number of strokes, the missed one too
}

func bandOf(g score.Goal, p float64) band {
	long := math.Pow(p, float64(g.To+1))
	b := band{wanted: math.Pow(p, float64(g.From)) - long, tooLong: long, strokes: float64(g.To + 1)}
	if p < 1 {
		b.strokes = (1 - long) / (1 - p)
	}
	return b
}

// summed is the mean and the variance of a waiting time that was followed to its end.
func summed(done []float64) (mean, variance float64) {
	second := 0.0
	for n := 1; n < len(done); n++ {
		chance := done[n] - done[n-1]
		mean += float64(n) * chance
		second += float64(n) * float64(n) * chance
	}
	return mean, math.Max(0, second-mean*mean)
}
