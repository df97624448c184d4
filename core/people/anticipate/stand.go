package anticipate

import (
	"cmp"
	"context"
	"math"
	"slices"

	"hodometer/core/basics/invalid"
	"hodometer/core/people/footwork"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// School is a way of choosing where to wait.
type School string

// The schools.
const (
	TheMiddle       School = "back to the middle"
	LikelyReply     School = "to the likely reply"
	CoverAndConcede School = "cover and concede"
	LeastBad        School = "nothing given away"
)

// Question is where a player should wait for what an opponent may play.
type Question struct {
	World     flight.World
	Situation sports.Situation
	Opponent  student.Hand // the hand that holds their racket
	Power     float64      // how hard they strike; see footwork.Player
	Player    footwork.Player
}

// Coming is one reply that may come.
type Coming struct {
	Reply    string      `json:"reply"`
	Side     sports.Side `json:"side"`
	Chance   float64     `json:"chance" description:"Of those that can be played at all"`
	Possible bool        `json:"possible"`
	Why      string      `json:"why" description:"Why it cannot be played from there; else empty"`
	Landing  court.Point `json:"landing"`
	Seconds  float64     `json:"seconds" description:"From the strike until it lands"`
	Speed    float64     `json:"speed" description:"As it leaves, m/s"`
	Wall     float64     `json:"wall" description:"Where it meets the front wall, metres above the floor; 0 where it does not"`
}

// Stand is a standing place and what is reached from there.
type Stand struct {
	School School          `json:"school"`
	At     court.Point     `json:"at"`
	Held   float64         `json:"held" description:"Share of what may come that is reached and met well, by its chances"`
	Least  float64         `json:"least" description:"The same of the reply that is held least"`
	Each   []float64       `json:"each" description:"Of each reply, in order; 0 for what cannot be played"`
	With   []sports.Stroke `json:"-"` // what each is met with; empty for what cannot be played
	Body   []court.Point   `json:"-"` // where the player is when each is met
	After  []float64       `json:"-"` // seconds after the strike at which each is met
	Lean   string          `json:"lean" description:"The side to lean to; empty where all are alike"`
}

// Answer is where to wait.
type Answer struct {
	From   court.Point `json:"from" description:"Where the opponent hits from"`
	High   float64     `json:"high"`
	Coming []Coming    `json:"coming"`
	Stands []Stand     `json:"stands" description:"One for each school, the middle first"`
	Step   float64     `json:"step" description:"Between two places of the map, metres"`
	Reach  []Reached   `json:"reach" description:"What is reached of balls that land all over the half"`
	Map    []Place     `json:"map" description:"What is held from the places that can be got to in time"`
	Within float64     `json:"within" description:"How far from the middle places were tried, metres"`
}

// Place is a standing place of the map.
type Place struct {
	At   court.Point `json:"at"`
	Held float64     `json:"held"`
}

// What is not a matter of flight or of running. Own choices, no source.
const (
	start        = 0.1   // seconds by which the own start varies
	tried        = 580   // places of the map, about
	reaching     = 1.0   // second: as far from the middle as somebody gets in it, since they come from somewhere else
	nearT        = 0.6   // the same in squash, where nobody leaves the T for long
	poorest      = 0.2   // what a ball is worth that is met in the greatest hurry; at ease 1
	walk         = 0.004 // what a metre from the middle costs, so that of equal places the nearest is taken
	given        = 0.35
	covered      = 0.6
	hurriedPower = 0.85 // of the hardest stroke
)

// ball is a reply as it comes.
type ball struct {
	coming footwork.Coming
	chance float64
	sooner float64 // seconds for which it is seen before the flight that is followed begins
}

// board is a question with its balls.
type board struct {
	Question
	drill footwork.Drill
	balls []ball // of the replies in order; none of one that cannot be played
}

// Answer works out where to wait. A situation that makes no sense is invalid.Fields; it returns ctx.Err() when
// cancelled.
func (q Question) Answer(ctx context.Context) (Answer, error) {
	c := q.World.Court
	if err := Check(q.Situation, c); err != nil {
		return Answer{}, err
	}
	from := place(q.Situation, c, q.Opponent)
	a := Answer{From: from, High: q.Situation.High, Map: []Place{}}
	b := board{Question: q, drill: footwork.Drill{World: q.World, Power: q.Power}}
	sum := 0.0
	for _, l := range q.Situation.Likely {
		coming, ball := b.plays(l, from)
		a.Coming, b.balls = append(a.Coming, coming), append(b.balls, ball)
		sum += ball.chance
	}
	if sum == 0 {
		return Answer{}, invalid.Fields{
			{Path: "likely", Message: "none of these can be played from there: " + a.Coming[0].Why},
		}
	}
	for i := range b.balls {
		b.balls[i].chance /= sum
		a.Coming[i].Chance = b.balls[i].chance
	}
	middle := Middle(q.Situation, c)
	a.Within = q.Player.Metres(reaching)
	if !c.HasNet() {
		a.Within = q.Player.Metres(nearT)
	}
	places, step := b.places(middle, a.Within)
	a.Step = step
	best := map[School]candidate{}
	for _, at := range places {
		if err := ctx.Err(); err != nil {
			return Answer{}, err
		}
		s := b.stand(at)
		a.Map = append(a.Map, Place{at, s.Held})
		for _, school := range schools {
			if score := b.score(school, s); score > best[school].score+1e-12 {
				best[school] = candidate{s, score}
			}
		}
	}
	found := []Stand{b.stand(middle)}
	for _, school := range schools {
		found = append(found, b.nearer(school, best[school], step, middle, a.Within))
	}
	a.Stands = append(a.Stands, b.described(TheMiddle, found[0]))
	for _, school := range schools { // what one school came upon may serve another better
		serves := slices.MaxFunc(found, func(s, t Stand) int { return cmp.Compare(b.score(school, s), b.score(school, t)) })
		a.Stands = append(a.Stands, b.described(school, serves))
	}
	a.Reach = b.reach(from, a.Stands)
	return a, ctx.Err()
}

// schools are those whose places are looked for.
var schools = []School{LikelyReply, CoverAndConcede, LeastBad}

type candidate struct {
	stand Stand
	score float64
}

// score is what a school goes by.
func (b board) score(school School, s Stand) float64 {
	cost := walk * s.At.Distance(Middle(b.Situation, b.World.Court))
	switch school {
	case LeastBad:
		return 1 + s.Least + 0.1*s.Held - cost
	case CoverAndConcede:
		sum := 0.0
		for i, held := range s.Each {
			if held >= covered {
				sum += b.balls[i].chance
			}
		}
		return 1 + sum + 0.05*s.Held - cost
	}
	return 1 + s.Held - cost
}

// stand is what is held from a place: of each reply how often it is reached, by how well it is met: 1 at ease, less the
// more hurried.
func (b board) stand(at court.Point) Stand {
	s := Stand{
		At:    at,
		Each:  make([]float64, len(b.balls)),
		With:  make([]sports.Stroke, len(b.balls)),
		Body:  make([]court.Point, len(b.balls)),
		After: make([]float64, len(b.balls)),
		Least: 1,
	}
	lean := court.Point{}
	for i, ball := range b.balls {
		if ball.chance == 0 {
			continue
		}
		m, ok := b.drill.Meet(ball.coming, b.Player, at, b.Player.Reaction-ball.sooner)
		if ok {
			s.With[i], s.Body[i], s.After[i] = m.Stroke, m.Body, ball.sooner+m.After
			s.Each[i] = 0.5 * math.Erfc(-m.Lunge/start/math.Sqrt2) * math.Max(poorest, 2-m.Hurry)
		}
		s.Held += ball.chance * s.Each[i]
		s.Least = math.Min(s.Least, s.Each[i])
		if away := at.Distance(m.Body); ok && away > 0 {
			urge := ball.chance * (1 - s.Each[i]) / away
			lean.X += urge * (m.Body.X - at.X)
			lean.Y += urge * (m.Body.Y - at.Y)
		}
	}
	s.Lean = b.leans(lean)
	return s
}

// leans says to which side somebody leans who is drawn so.
func (b board) leans(to court.Point) string {
	const least = 0.03
	switch {
	case math.Hypot(to.X, to.Y) < least:
		return ""
	case math.Abs(to.X) >= math.Abs(to.Y):
		if (to.X > 0) == (b.Player.Hand != student.LeftHand) {
			return "to your forehand"
		}
		return "to your backhand"
	case to.Y > 0:
		return "forward"
	}
	return "back"
}

func (b board) described(school School, s Stand) Stand {
	s.School = school
	return s
}
