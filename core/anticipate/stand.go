package anticipate

import (
	"context"
	"fmt"
	"math"

	"hodometer/core/court"
	"hodometer/core/feed"
	"hodometer/core/flight"
	"hodometer/core/footwork"
	"hodometer/core/invalid"
	"hodometer/core/student"
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
	Situation Situation
	Opponent  student.Hand // the hand that holds their racket
	Power     float64      // how hard they strike; see footwork.Player
	Player    footwork.Player
}

// Coming is one reply that may come.
type Coming struct {
	Reply    string            `json:"reply"`
	Side     Side              `json:"side"`
	Chance   float64           `json:"chance" description:"Of those that can be played at all"`
	Possible bool              `json:"possible"`
	Why      string            `json:"why" description:"Why it cannot be played from there; else empty"`
	Landing  court.Point       `json:"landing"`
	Seconds  float64           `json:"seconds" description:"From the strike until it lands"`
	Speed    float64           `json:"speed" description:"As it leaves, m/s"`
	Wall     float64           `json:"wall" description:"Where it meets the front wall, metres above the floor; 0 where it does not"`
	Trail    []footwork.Sample `json:"trail"`
}

// Stand is a standing place and what is reached from there.
type Stand struct {
	School School        `json:"school"`
	At     court.Point   `json:"at"`
	Held   float64       `json:"held" description:"Share of what may come that is reached and met well, by its chances"`
	Least  float64       `json:"least" description:"The same of the reply that is held least"`
	Each   []float64     `json:"each" description:"Of each reply, in order; 0 for what cannot be played"`
	With   []feed.Stroke `json:"with" description:"What each is met with; empty for what cannot be played"`
	Body   []court.Point `json:"body" description:"Where the player is when each is met"`
	After  []float64     `json:"after" description:"Seconds after the strike at which each is met"`
	Lean   string        `json:"lean" description:"The side to lean to; empty where all are alike"`
}

// Answer is where to wait.
type Answer struct {
	From   court.Point `json:"from" description:"Where the opponent hits from"`
	High   float64     `json:"high"`
	Coming []Coming    `json:"coming"`
	Stands []Stand     `json:"stands" description:"One for each school, the middle first"`
	Step   float64     `json:"step" description:"Between two places of the map, metres"`
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

// Answer works out where to wait. A situation that makes no sense is invalid.Fields; it returns ctx.Err() when cancelled.
func (q Question) Answer(ctx context.Context) (Answer, error) {
	c := q.World.Court
	if err := q.Situation.Check(c); err != nil {
		return Answer{}, err
	}
	from := q.Situation.place(c, q.Opponent)
	a := Answer{From: from, High: q.Situation.High, Map: []Place{}}
	b := board{Question: q, drill: footwork.Drill{World: q.World, Power: q.Power}}
	sum := 0.0
	for _, l := range q.Situation.Likely {
		coming, ball := b.plays(l, from)
		a.Coming, b.balls = append(a.Coming, coming), append(b.balls, ball)
		sum += ball.chance
	}
	if sum == 0 {
		return Answer{}, invalid.Fields{{Path: "likely", Message: "none of these can be played from there: " + a.Coming[0].Why}}
	}
	for i := range b.balls {
		b.balls[i].chance /= sum
		a.Coming[i].Chance = b.balls[i].chance
	}
	middle := q.Situation.Middle(c)
	a.Within = q.Player.Metres(reaching)
	if c.Net.HalfUp == 0 {
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
	a.Stands = append(a.Stands, b.named(TheMiddle, b.stand(middle)))
	for _, school := range schools {
		if found, ok := best[school]; ok {
			a.Stands = append(a.Stands, b.named(school, b.nearer(school, found, step, middle, a.Within)))
			continue
		}
		a.Stands = append(a.Stands, b.named(school, b.stand(middle)))
	}
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
	cost := walk * s.At.Distance(b.Situation.Middle(b.World.Court))
	switch school {
	case LeastBad:
		return 1 + s.Least + 0.01*s.Held - cost
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

// plays is a reply as an opponent plays it from a place.
func (b board) plays(l Likely, from court.Point) (Coming, ball) {
	r, _ := replyCalled(b.Situation.Sport, l.Reply)
	c := b.World.Court
	coming := Coming{Reply: l.Reply, Side: r.side, Landing: r.lands(c, from, b.Player.Hand), Trail: []footwork.Sample{}}
	task := feed.Task{Stroke: r.stroke, ReplyPace: r.pace}
	if b.Situation.Pressure == Hurried && r.pace == "" {
		task.ReplyPace = feed.HalfPace
	}
	leaves, sooner := flight.Above(from, b.Situation.High), 0.0
	if r.boast {
		leaves, sooner = b.offTheSideWall(leaves)
	}
	l0, err := b.drill.Reply(task, leaves, coming.Landing)
	if err != nil {
		coming.Why = err.Error()
		return coming, ball{}
	}
	hardest := feed.Hardest(c.Sport) * b.Power
	if b.Situation.Pressure == Hurried {
		hardest *= hurriedPower
	}
	if speed := l0.Velocity.Norm(); speed > hardest {
		coming.Why = fmt.Sprintf("it would have to leave at %.0f m/s, and they strike at up to %.0f m/s", speed, hardest)
		return coming, ball{}
	}
	path := b.World.Follow(l0, 1)
	coming.Possible, coming.Speed, coming.Seconds = true, l0.Velocity.Norm(), sooner+path.End()
	if wall, ok := path.First(flight.Walled); ok {
		coming.Wall = wall.P.Z
	}
	coming.Trail = footwork.Trail(path, sooner, path.End())
	return coming, ball{coming: b.drill.Coming(b.Player, l0, coming.Landing, answers(c.Sport)), chance: l.Chance, sooner: sooner}
}

// offTheSideWall is where a boast leaves the side wall, and how long after the strike. How fast it gets there is common
// practice, no source.
func (b board) offTheSideWall(from flight.Vec) (flight.Vec, float64) {
	const speed, ahead = 14.0, 0.8 // m/s, metres
	side := math.Copysign(b.World.Court.Width/2-2*b.World.Ball.Radius(), from.X)
	at := flight.Vec{X: side, Y: from.Y + ahead, Z: from.Z + 0.3}
	return at, at.Sub(from).Norm() / speed
}

// answers are the strokes with which a ball may be met in a sport, whichever it is.
func answers(sport court.Sport) []feed.Stroke {
	switch sport {
	case court.Badminton:
		return []feed.Stroke{feed.Clear, feed.Forehand, feed.Backhand}
	case court.TableTennis:
		return []feed.Stroke{feed.Forehand, feed.Backhand}
	case court.Squash:
		return []feed.Stroke{feed.Forehand, feed.Backhand, feed.ForehandVolley, feed.BackhandVolley}
	}
	return []feed.Stroke{feed.Forehand, feed.Backhand, feed.ForehandVolley, feed.BackhandVolley, feed.Overhead}
}

// stand is what is held from a place: of each reply how often it is reached, by how well it is met: 1 at ease, less the more
// hurried.
func (b board) stand(at court.Point) Stand {
	s := Stand{At: at, Each: make([]float64, len(b.balls)), With: make([]feed.Stroke, len(b.balls)), Body: make([]court.Point, len(b.balls)), After: make([]float64, len(b.balls)), Least: 1}
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

func (b board) named(school School, s Stand) Stand {
	s.School = school
	return s
}

// bounds are where somebody may stand: on their own half and around it, behind the table at a table.
func (b board) bounds() (low, high court.Point) {
	c := b.World.Court
	const atNet, behind, beside = 0.5, 3.0, 0.4
	switch {
	case c.Above > 0:
		return court.Point{X: -c.Width/2 - 0.5, Y: -c.Length/2 - 1.8}, court.Point{X: c.Width/2 + 0.5, Y: -c.Length/2 - 0.3}
	case c.Net.HalfUp == 0:
		return court.Point{X: -c.Width/2 + beside, Y: -c.Length/2 + beside}, court.Point{X: c.Width/2 - beside, Y: c.Length/2 - 1}
	}
	low = court.Point{X: -c.Singles/2 - beside, Y: -c.Length/2 - behind}
	if !b.World.Ball.Bounces() {
		low.Y = -c.Length / 2
	}
	return low, court.Point{X: c.Singles/2 + beside, Y: -atNet}
}

// places are those of the map, around the middle.
func (b board) places(middle court.Point, within float64) ([]court.Point, float64) {
	low, high := b.bounds()
	low.X, high.X = math.Max(low.X, -within), math.Min(high.X, within)
	low.Y, high.Y = math.Max(low.Y, middle.Y-within), math.Min(high.Y, middle.Y+within)
	step := math.Sqrt((high.X - low.X) * (high.Y - low.Y) / tried)
	// Whole steps to either side of the middle, so that left and right are alike.
	var list []court.Point
	for y := middle.Y - step*math.Floor((middle.Y-low.Y)/step); y <= high.Y+1e-9; y += step {
		for k := -int(high.X / step); k <= int(high.X/step); k++ {
			at := court.Point{X: float64(k) * step, Y: y}
			if at.Distance(middle) <= within {
				list = append(list, at)
			}
		}
	}
	return list, step
}

// nearer looks around the best place of the map, in ever smaller steps.
func (b board) nearer(school School, best candidate, step float64, middle court.Point, within float64) Stand {
	low, high := b.bounds()
	const fine = 0.02 // metres
	for step /= 2; step > fine; step /= 2 {
		for range 4 {
			moved := false
			for _, d := range []court.Point{{X: step}, {X: -step}, {Y: step}, {Y: -step}} {
				at := court.Point{X: best.stand.At.X + d.X, Y: best.stand.At.Y + d.Y}
				if at.X < low.X || at.X > high.X || at.Y < low.Y || at.Y > high.Y || at.Distance(middle) > within {
					continue
				}
				s := b.stand(at)
				if score := b.score(school, s); score > best.score+1e-6 {
					best, moved = candidate{s, score}, true
				}
			}
			if !moved {
				break
			}
		}
	}
	return best.stand
}
