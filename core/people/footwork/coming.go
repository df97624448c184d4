package footwork

import (
	"math"

	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// Coming is a ball that comes at a player, with every way of meeting it.
type Coming struct {
	ways []way
}

// way is one stroke that may answer a ball.
type way struct {
	stroke  sports.Stroke
	stances []stance
}

// Coming lists how a ball may be met that lands at a place, with any of some strokes.
func (d Drill) Coming(p Player, l flight.Launch, landing court.Point, strokes []sports.Stroke) Coming {
	f := flown{launch: l, place: landing}
	f.follow(d.World)
	var c Coming
	for _, stroke := range strokes {
		f.task = feed.Task{Stroke: stroke}
		f.moment = f.task.Moment(d.World.Ball)
		w := way{stroke: stroke}
		for _, contact := range d.contacts(f, f.path, p) {
			w.stances = append(w.stances, d.stance(contact, stroke, p))
		}
		c.ways = append(c.ways, w)
	}
	return c
}

// Meeting is how a player meets a ball from where they stand.
type Meeting struct {
	Verdict Verdict
	Stroke  sports.Stroke
	At      flight.Vec // where it is met
	After   float64    // seconds after it was struck
	Body    court.Point
	Lunge   float64 // seconds to spare in a lunge; less than nothing where it is not reached
	Hurry   float64 // how much more the answer scatters for hurry and being late; 1 at ease
}

// Meet is the best way of meeting a ball for somebody who stands at a place when it is struck and leaves it so many
// seconds later; false where there is none at all.
func (d Drill) Meet(c Coming, p Player, from court.Point, leaves float64) (Meeting, bool) {
	var best Meeting
	found := false
	most := math.Inf(-1)
	for _, w := range c.ways {
		for i := range w.stances {
			s := &w.stances[i]
			metres := from.Distance(s.body)
			if len(d.Obstacles) > 0 {
				metres = d.way(from, s.body, WayOut).Length
			}
			a := arrival{contact: s.contact, available: s.at.T}
			a.needed, a.reaching = d.times(s, &p, from, metres, leaves)
			most = math.Max(most, a.available-a.reaching)
			m := Meeting{
				Verdict: a.verdict(),
				Stroke:  w.stroke,
				At:      s.at.P,
				After:   a.available,
				Body:    s.body,
				Hurry:   a.hurriedBy(),
			}
			if !found || best.Verdict.Worse(m.Verdict) || best.Verdict == m.Verdict && m.Hurry < best.Hurry {
				best, found = m, true
			}
		}
	}
	best.Lunge = most
	return best, found
}
