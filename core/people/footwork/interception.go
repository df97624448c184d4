package footwork

import (
	"math"

	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/flight"
	"hodometer/core/sport/sports"
)

// Verdict is how hard a task is for a player.
type Verdict string

// The verdicts, from the easiest.
const (
	Easy       Verdict = "easy"
	Working    Verdict = "working"
	Stretched  Verdict = "stretched"
	OutOfReach Verdict = "out of reach"
)

// Worse says whether one verdict is harder than another.
func (v Verdict) Worse(than Verdict) bool { return v.rank() > than.rank() }

func (v Verdict) rank() int {
	switch v {
	case Easy:
		return 0
	case Working:
		return 1
	case Stretched:
		return 2
	case OutOfReach:
		return 3
	}
	return -1
}

const (
	easyShare  = 0.75 // of the time there is: what is needed at most for an easy ball
	settle     = 0.15 // seconds to set the feet after a run, common practice, no source
	quick      = 0.05 // the same at a table
	noRun      = 0.25 // metres that need no run
	follow     = 0.30 // seconds from the contact to the first step back, common practice, no source
	known      = 0.6  // of the reaction is needed for a ball that the player knows before
	lowest     = 0.20 // metres above the court at which a ball is still met
	comfort    = 0.42 // of the overhead reach: where a ball that bounces high is met
	hip        = 0.30 // of it: below, a ball out of the air is a low one
	chest      = 0.50 // of it: where a ball out of the air is met best
	volleyHigh = 0.80 // of the overhead reach: the highest a volley is met
	// of it: where a ball is met above the head, 1.35 to 1.55 times the body (common practice, no source)
	fullReach = 0.97
	// of the lunge: how far a ball above the head is met from the body in a stretch, common practice, no source
	upwards = 0.45
	// of the time from a wall to the second bounce: when a ball is met that was let come off it, common practice, no
	// source
	fromWall   = 0.6
	besideWall = 0.3  // metres that a body keeps from a wall
	backwards  = 0.15 // how much longer a way away from the net takes, as a share of it, common practice, no source
	raised     = 0.55 // of it: above, a ball out of the air is a high one
)

// contact is a place and moment at which a ball may be met.
type contact struct {
	at   flight.State
	how  feed.Moment
	late bool // later than was wanted, or in another way
	low  bool // out of the air and below the hip: that is work
}

// contacts lists where a ball of a task may be met: the wanted moment first, then later ones until the
// second bounce, for who does not get there in time.
func (d Drill) contacts(f flown, path flight.Path, p Player) []contact {
	first, bounced := path.Bounce(0)
	end := path.End()
	second, twice := path.Bounce(1)
	if twice {
		end = second.T
	}
	var list []contact
	within := func(from, to, low, high float64, steps int, how feed.Moment, late bool) {
		for i := range steps {
			s := path.At(from + (to-from)*(float64(i)+0.5)/float64(steps))
			if z := s.P.Z + d.World.Court.Above; z >= low && z <= high && d.onHalf(s.P, f) {
				list = append(list, contact{at: s, how: how, late: late, low: how == feed.OutOfTheAir && z < hip*p.High})
			}
		}
	}
	floor := lowest + d.World.Court.Above
	if f.task.Served() {
		if sports.Of(d.World.Court.Sport).Serving.Bounced && bounced {
			return []contact{{at: d.top(path, first, end), how: feed.AtTheTop}}
		}
		if s, ok := path.Passes(d.served(p), 0, false); ok {
			list = append(list, contact{at: s, how: feed.OutOfTheAir})
		}
		return list
	}
	above := d.aboveHead(f.task.Stroke)
	if f.moment == feed.OutOfTheAir {
		stop := end
		if bounced {
			stop = first.T
		}
		from := stop / 3
		if f.net != nil {
			from = f.net.T
		}
		if above {
			at, ok := path.Passes(fullReach*p.High-d.World.Court.Above, from, false)
			if !ok {
				at = path.Top // it does not come so high
			}
			if at.T >= from && at.T <= stop && d.onHalf(at.P, f) {
				list = append(list, contact{at: at, how: feed.OutOfTheAir, late: !ok && at.P.Z < volleyHigh*p.High})
			}
			within(math.Max(from, at.T), stop, floor, fullReach*p.High, 10, feed.OutOfTheAir, true) // met lower
			return list
		}
		within(from, stop, floor, volleyHigh*p.High, 10, feed.OutOfTheAir, false)
		if bounced && d.World.Ball.Bounces() {
			within(first.T, end, floor, p.High, 6, feed.Falling, true) // it was let bounce
		}
		return list
	}
	if !bounced {
		return nil
	}
	top := d.top(path, first, end)
	ground := first.P.Z
	wanted, how := top, f.moment
	if high := 0.5 * p.High; f.task.Contact == "" && top.P.Z > high { // too high to be met in comfort
		if s, ok := path.Passes(comfort*p.High, top.T, false); ok {
			wanted, how = s, feed.Falling
		}
	}
	switch f.moment {
	case feed.Rising:
		if s, ok := path.Passes(ground+0.6*(top.P.Z-ground), first.T+1e-6, true); ok {
			wanted = s
		}
	case feed.Falling:
		if s, ok := path.Passes(math.Max(ground+0.7*(top.P.Z-ground), math.Min(0.4, top.P.Z)), top.T, false); ok {
			wanted = s
		}
	case feed.AtHeight:
		if s, ok := path.Passes(f.task.At, top.T, false); ok {
			wanted = s
		}
	case feed.OffTheWall:
		if s, ok := path.OffWall(); ok {
			wanted = path.At(s.T + fromWall*(end-s.T))
		} else {
			how = feed.Falling // it does not come so far
		}
	}
	list = append(list, contact{at: wanted, how: how})
	within(wanted.T, end, floor, p.High, 8, feed.Falling, true)
	return list
}

// met is what a stroke is called that is met so high above the court: out of the air and above the shoulder it is a
// high one.
func (d Drill) met(p Player, stroke sports.Stroke, how feed.Moment, high float64) string {
	if how != feed.OutOfTheAir || d.aboveHead(stroke) || high+d.World.Court.Above <= raised*p.High {
		return string(stroke)
	}
	switch {
	case stroke.Volleyed():
		return "high " + string(stroke)
	case stroke == sports.Forehand || stroke == sports.Backhand || stroke == sports.Approach || stroke == sports.Return:
		if d.World.Ball.Bounces() {
			return "high volley"
		}
		return "overhead " + string(stroke)
	}
	return string(stroke)
}

// onHalf says whether a place is on the half on which a ball is to be met: the one where it lands.
func (d Drill) onHalf(at flight.Vec, f flown) bool {
	return !d.World.Court.HasNet() || at.Y*f.place.Y > 0
}

// top is the highest point between two bounces.
func (d Drill) top(path flight.Path, first flight.State, end float64) flight.State {
	low, high := first.T+1e-6, end
	for range 24 {
		a, b := low+(high-low)/3, high-(high-low)/3
		if path.At(a).P.Z < path.At(b).P.Z {
			low = a
		} else {
			high = b
		}
	}
	return path.At((low + high) / 2)
}

func (d Drill) aboveHead(s sports.Stroke) bool { return sports.Of(d.World.Court.Sport).Overhead(s) }

// served is how high above the court a player serves: as high as somebody of their size does.
func (d Drill) served(p Player) float64 {
	of, above := d.World.Court.Sport, d.World.Court.Above
	share := p.High / sports.Of(of).High
	return math.Max((sports.Of(of).Serving.Met+above)*share-above, 0.15)
}

// stand is where the body is when a ball is met in comfort: beside it, and a little behind; a tennis serve is met
// farther in front of the feet (common practice, no source).
func (d Drill) stand(p Player, at flight.Vec, stroke sports.Stroke) court.Point {
	behind, facing := 0.3, d.facing(at.Floor())
	if stroke == sports.Serve {
		behind = 0.5
	}
	side := -facing * p.right() // a forehand is met on the side of the racket
	reach := p.Reach
	switch {
	case d.aboveHead(stroke):
		return d.World.Court.Kept(court.Point{X: at.X, Y: at.Y - facing*behind}, besideWall)
	case stroke.OnBackhand():
		side = -side
		if p.Backhand == student.TwoHanded {
			reach *= 0.85
		}
	}
	return d.World.Court.Kept(court.Point{X: at.X + side*reach, Y: at.Y - facing*behind}, besideWall)
}
