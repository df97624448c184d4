package prospect

import (
	"context"
	"math"
	"slices"

	"hodometer/core/basics/units"
	"hodometer/core/count/odds"
	"hodometer/core/count/score"
	"hodometer/core/count/tally"
	"hodometer/core/drill"
	"hodometer/core/drill/playerfit"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/coach"
	"hodometer/core/people/skill"
)

// Asked is a measure of the drill of a block as one student plays it, from its beginning or from where it stands.
type Asked struct {
	Drill    drill.Document // as the student plays it
	Measure  int            // which of its measures, from 0
	Student  string
	Turns    int                       // that each player has in the block
	There    []string                  // everybody in the block, in order
	Lines    int                       // that play side by side
	Rates    map[string]schedule.Rated // what is known of them
	Settings coach.Settings
	Here     *Here // nil: nothing was counted yet
}

// Here is where a drill stands while it is played.
type Here struct {
	Left    float64    // share of the time of the block that the clock still holds
	Counted []*Counted // what was counted at each measure, in order; nil where nothing was
}

// Counted is what was counted at a measure, by all who are on the count, towards the goals as they were then.
type Counted struct {
	Goals   score.Course
	Devices [][]tally.Entry
	Count   tally.Count
	Joint   int // what players who count together made in all; 0 where they do not
}

// Answer says what to expect. It returns ctx.Err() when cancelled.
func (a Asked) Answer(ctx context.Context) (Prospect, error) {
	for i, m := range a.Drill.Measures { // the goals may have been others when it was counted
		if c := a.counted(i); c != nil {
			m.Goals = c.Goals
			a.Drill = a.Drill.With(i, m)
		}
	}
	d, m := a.Drill, a.Drill.Measures[a.Measure]
	party := a.party()
	rates := a.rates(party)
	p := Prospect{
		Student: a.Student, Measure: m.Number, Called: d.Called(m), Unit: m.What, Goal: m.Goal(), Rate: rates[a.Measure].mean,
		Joint: len(party) > 1, Keeps: party[0] == a.Student, goals: m.Goals,
	}
	if p.goals.Check() != nil || !(p.Rate > 0) || p.Rate > 1 {
		return p, nil
	}
	for g, goal := range p.goals {
		q, short := a.question(g, rates, party)
		p.Short = p.Short || short
		if g == 0 {
			n, one, many := playerfit.Tries(q, d, m)
			if a.Here != nil { // what is left is there for the measure that is on
				n, one, many = q.Attempts()
			}
			p.Attempts, p.Tries, p.Made = n, units.Count(n, one, many), p.Rate*float64(n)
		}
		if mean, counted := odds.MeanBalls(goal, p.Rate); counted {
			p.Needs += mean
		}
		p.questions = append(p.questions, q)
	}
	if m.What == score.Time {
		return p, nil // how quick somebody is on the clock is not worked out
	}
	low, high, err := p.questions[len(p.questions)-1].FromHere(ctx)
	if err != nil {
		return p, err
	}
	p.Chance, p.Times, p.High = &low, odds.Times(low), high
	p.Race = p.goals[0].Kind == score.FirstTo
	return p, nil
}

// rate is what is known of the attempts of all who are on a count.
type rate struct {
	mean   float64
	likely []skill.Likely
}

// party is who is on the count of the student: of two sides each counts their own.
func (a Asked) party() []string {
	m := a.Drill.Measures[a.Measure]
	switch {
	case m.Goals.Joint() && slices.Contains(a.There, a.Student):
		return a.There
	case m.Who == drill.TwoSides:
		return []string{a.Student}
	}
	return m.Who.Party(a.Student, a.There, a.Lines)
}

// rates are what is known of each measure, weighed with what was counted at all of them.
func (a Asked) rates(party []string) []rate {
	list := make([]rate, len(a.Drill.Measures))
	for i := range list {
		list[i] = a.before(i, party)
	}
	for i := range list {
		c := a.counted(i)
		if c == nil || len(list[i].likely) == 0 {
			continue
		}
		given := skill.Given(list[i].likely, c.Count.Made, c.Count.Missed())
		for k := range list {
			if len(list[k].likely) != len(given) {
				continue
			}
			list[k].likely = slices.Clone(list[k].likely)
			for n := range given {
				list[k].likely[n].Share = given[n].Share
			}
			list[k].mean = skill.Mean(list[k].likely)
		}
	}
	return list
}

// before is what was known of a measure before anything was counted.
func (a Asked) before(measure int, party []string) rate {
	own := a.Rates[a.Student].Measures[measure]
	r := rate{mean: own.Rate.Mean, likely: own.Rate.Belief.Likely()}
	if len(party) == 1 {
		return r
	}
	var of []skill.Belief
	sum, n := 0.0, 0.0
	for _, id := range party {
		if rated := a.Rates[id]; measure < len(rated.Measures) {
			of = append(of, rated.Measures[measure].Rate.Belief)
			sum, n = sum+rated.Measures[measure].Rate.Mean, n+1
		}
	}
	r.mean, r.likely = sum/n, skill.Together(of)
	if len(r.likely) > 0 {
		r.mean = skill.Mean(r.likely)
	}
	return r
}

func (a Asked) counted(measure int) *Counted {
	if a.Here == nil {
		return nil
	}
	return a.Here.Counted[measure]
}

// question is a goal of the measure after all that comes before it, in the attempts that are to come; short where the
// clock holds fewer of them than are left.
func (a Asked) question(goal int, rates []rate, party []string) (q odds.Question, short bool) {
	m := a.Drill.Measures[a.Measure]
	known, all := a.Rates[a.Student], rates[a.Measure]
	q = playerfit.Ask(a.Drill, m, m.Goals[goal], known.Measures[a.Measure], known.Stroke, 1, a.Settings)
	q.Rate, q.Partner, q.Likely = all.mean, all.mean, all.likely
	short = a.plan(&q, party)
	q.Have = a.made()
	at := drill.GoalAt{Measure: a.Measure, Goal: goal}
	legs := append(a.Drill.Before(at), at)
	if len(legs) > 1 && slices.ContainsFunc([]score.Goal{q.Goal, a.Drill.Measures[legs[0].Measure].Goals[0]}, ownTime) {
		legs = legs[len(legs)-1:] // each has a time of its own
	}
	if legs, q.From = a.from(legs); len(legs) == 0 {
		q.From = []score.State{score.Met}
		return q, short
	}
	for _, at := range legs[:len(legs)-1] {
		of, goal := rates[at.Measure], a.Drill.Measures[at.Measure].Goals[at.Goal]
		q.Before = append(q.Before, odds.Leg{Goal: goal, Rate: of.mean, Likely: of.likely})
	}
	return q, short
}

func ownTime(g score.Goal) bool { return g.Kind == score.AsManyAsPossible }

// plan puts into a question what there is of the measure, in all turns of all who are on the count, or what is left of
// that: planned less counted, or what the clock still holds, if that is less. In a rally two have one attempt between
// them.
func (a Asked) plan(q *odds.Question, party []string) (short bool) {
	m, rows := a.Drill.Measures[a.Measure], float64(len(party))
	if a.Drill.Pattern.Rally != nil {
		rows = math.Max(1, rows/2)
	}
	*q = playerfit.Planned(*q, a.Drill, m, rows*float64(a.Turns), rows*a.Drill.Pattern.FeedingSeconds(1, a.Turns))
	if a.Here == nil {
		return false
	}
	if a.Drill.Pattern.Rally != nil && m.What != score.Time {
		q.Seconds *= a.Here.Left
		return true
	}
	left := max(0, q.Balls-a.tried())
	clock := int(math.Round(a.Here.Left * float64(q.Balls)))
	*q = playerfit.Holding(*q, min(left, clock))
	return clock < left
}

// tried is how many attempts of the measure were counted, and of all that share its balls.
func (a Asked) tried() (n int) {
	for i := range a.Drill.Measures {
		if c := a.counted(i); c != nil && (i == a.Measure || a.Drill.Order.Follow()) {
			n += c.Count.Balls
		}
	}
	return n
}

func (a Asked) made() int {
	if c := a.counted(a.Measure); c != nil {
		return c.Count.Made
	}
	return 0
}

// from leaves out the goals that are met, and says where the first that is left stands.
func (a Asked) from(legs []drill.GoalAt) (left []drill.GoalAt, states []score.State) {
	for _, at := range legs {
		if c := a.counted(at.Measure); c == nil || at.Goal >= c.done() {
			left = append(left, at)
		}
	}
	if len(left) == 0 {
		return nil, nil
	}
	c := a.counted(left[0].Measure)
	if c == nil {
		return left, nil
	}
	machine, all := c.states()
	first := machine.First(left[0].Goal)
	for _, s := range all {
		if s >= 0 {
			s = max(0, s-first)
		}
		states = append(states, s)
	}
	return left, states
}

// done is how many of the goals are met.
func (c Counted) done() int {
	standing := c.Goals.Stand(c.Devices...)
	if c.Goals.Joint() {
		standing = c.Goals.StandJointly(c.Joint)
	}
	if standing.Met {
		return len(c.Goals)
	}
	return c.Goals.GoalsDone(standing, false)
}

// states are where the goals may stand.
func (c Counted) states() (*score.Machine, []score.State) {
	if c.Goals.Joint() {
		return c.Goals.StatesJointly(c.Joint)
	}
	return c.Goals.States(c.Devices...)
}
