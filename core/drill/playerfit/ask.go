package playerfit

import (
	"math"

	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/drill/load"
	"hodometer/core/people/coach"
	"hodometer/core/sport/feed"
)

// Clock is how one player's attempts at a measure come. Of a rally every stroke is one, so many seconds after the one
// before.
func Clock(d drill.Document, m drill.Measure, stroke float64, people int, s coach.Settings) odds.Clock {
	p := d.Pattern
	roles := p.Roles() // so many have a turn at once
	c := odds.Clock{
		People: (people + roles - 1) / roles,
		Basket: s.Container(d.Sport).Batch(),
		PickUp: s.PickUp,
		Pause:  p.Pause,
	}
	if p.Next == feed.AllAtOnce {
		c.People = 1
	}
	if stroke > 0 && p.Rally != nil {
		c.Gap, c.Sequence, c.People = stroke, max(1, p.Rally.Shots), 1
		if m.What == score.Point || m.What == score.Sequence { // a rally of the usual length
			c.Gap, c.Sequence = stroke*float64(c.Sequence), 1
		} else { // all strokes of a rally are of one ball
			c.Basket *= c.Sequence
			c.PickUp /= float64(c.Sequence)
		}
		return c
	}
	sequences := p.UsualSequences()
	balls := float64(p.BallsPerTurn()) / sequences // in one sequence
	played := p.TurnSeconds()/sequences - p.Pause
	if m.What == score.Time { // one try a turn
		balls, played = balls*sequences, p.TurnSeconds()-p.Pause
		sequences = 1
	}
	tried := d.Tried(m) / sequences
	if c.Sequence = int(math.Round(tried)); math.Abs(tried-float64(c.Sequence)) > 1e-9 || c.Sequence == 0 {
		// No whole number of attempts in a sequence: one after the other, each with its share of the pause.
		played, c.Pause, c.Sequence = (played+p.Pause)/tried, 0, 1
	}
	c.Gap = played / float64(c.Sequence)
	if balls > 0 {
		c.Basket = max(1, int(math.Round(float64(c.Basket)*tried/balls)))
		c.PickUp *= balls / tried // for each attempt
	}
	return c
}

// Ask is a goal of a measure for somebody, by what is known of their rates. A stroke of a rally takes so many seconds.
func Ask(
	d drill.Document,
	m drill.Measure,
	g score.Goal,
	rates odds.Estimates,
	stroke float64,
	people int,
	s coach.Settings,
) odds.Question {
	return odds.Question{
		Goal:    g,
		Rate:    rates.Rate.Mean,
		Partner: rates.Rate.Mean,
		Likely:  rates.Rate.Belief.Likely(),
		Kinds:   rates.Kinds,
		Unit:    m.What,
		Clock:   Clock(d, m, stroke, people, s),
	}
}

// Planned is the question with what there is of a measure in so many turns: so many attempts, or of rallies the seconds
// in which one player is in them.
func Planned(q odds.Question, d drill.Document, m drill.Measure, turns, played float64) odds.Question {
	if d.Pattern.Rally != nil && m.What != score.Time {
		q.Balls, q.Seconds = 0, played
		return q
	}
	return Holding(q, load.Pool(d, m, turns))
}

// Holding is the question with so many attempts, and the time that they take.
func Holding(q odds.Question, attempts int) odds.Question {
	q.Balls = attempts
	q.Seconds = q.Clock.Seconds(float64(attempts)) + q.Clock.Gap/2
	return q
}

// Tries is how many attempts a player has at a measure, with the words for one and for several. Measures that follow
// one another share them, but for those with a time of their own.
func Tries(q odds.Question, d drill.Document, m drill.Measure) (n int, one, many string) {
	n, one, many = q.Attempts()
	if d.Order.Follow() && m.Goals[0].Kind != score.AsManyAsPossible {
		n = int(math.Round(float64(n) / float64(len(d.Measures))))
	}
	return n, one, many
}
