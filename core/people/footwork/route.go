package footwork

import (
	"math"
	"slices"

	"hodometer/core/sport/court"
)

// Round is the side on which an obstacle has to be passed, as the player runs at it.
type Round int

// The sides. Either takes the shorter one.
const (
	Either Round = iota
	OnTheLeft
	OnTheRight
)

// Leg is on which runs an obstacle is in the way.
type Leg int

// The legs. The zero value is all runs.
const (
	AnyRun  Leg = iota
	WayOut      // to a ball or a task
	WayBack     // to the place between balls
)

// Obstacle is something to be run around: a round thing of so much across.
type Obstacle struct {
	At    court.Point
	Width float64 // metres
	Round Round
	Leg   Leg
}

// on says whether an obstacle is in the way on the runs of a leg.
func (o Obstacle) on(leg Leg) bool { return leg == AnyRun || o.Leg == AnyRun || o.Leg == leg }

// Free is how many metres a body needs beside an obstacle.
const Free = 0.30

// Passing is how far beside an obstacle, in metres, a run still goes by it where it has to be passed on a side: a run
// to the other corner does not.
const Passing = 0.8

// Route is a way on the court: places in order, and its length.
type Route struct {
	Places []court.Point
	Length float64
}

// straight is the route without anything in its way.
func straight(from, to court.Point) Route { return Route{[]court.Point{from, to}, from.Distance(to)} }

// way is the shortest way around the obstacles of a leg.
func (d Drill) way(from, to court.Point, leg Leg) Route {
	return shortestRoute(from, to, wallsOf(from, to, d.Obstacles, leg))
}

// ShortestRoute is the shortest way around obstacles, on the side that they say, whichever leg they are of: it leads
// from corner to corner of polygons of so many sides around them, found by the method of Hart, Nilsson and Raphael
// (IEEE Trans. Syst. Sci. Cybern. 4 (1968) 100). One more obstacle only takes ways away, so that none shortens a way.
// An obstacle in whose reach the way begins or ends is not in the way, and one that has to be passed on a side bends
// every run that goes by within Passing of it.
func ShortestRoute(from, to court.Point, obstacles []Obstacle) Route {
	return shortestRoute(from, to, wallsOf(from, to, obstacles, AnyRun))
}

func shortestRoute(from, to court.Point, walls walls) Route {
	if from == to || walls.clear(from, to) {
		return straight(from, to)
	}
	nodes := []court.Point{from, to}
	for i, w := range walls {
		for _, corner := range outline {
			at := court.Point{X: w.at.X + w.radius*corner.X, Y: w.at.Y + w.radius*corner.Y}
			if !walls.within(at, i) {
				nodes = append(nodes, at)
			}
		}
		if w.barred && !walls.within(w.around, i) {
			nodes = append(nodes, w.around)
		}
	}
	return walls.shortest(nodes)
}

// corners is how many a polygon around an obstacle has: a way round it is at most a hundredth too long.
const corners = 24

// outline is a polygon around a circle of one metre.
var outline = func() (list [corners]court.Point) {
	outer := 1 / math.Cos(math.Pi/corners)
	for i := range list {
		sin, cos := math.Sincos(2 * math.Pi * float64(i) / corners)
		list[i] = court.Point{X: outer * cos, Y: outer * sin}
	}
	return list
}()

// wall is an obstacle in the way: a round thing, and where it has to be passed on a side a barrier on the other one.
type wall struct {
	at     court.Point
	radius float64
	barred bool
	until  court.Point // the end of the barrier, which begins at the obstacle
	around court.Point // just beyond it
}

type walls []wall

// wallsOf are the obstacles that can be in the way from one place to another, on the runs of a leg.
func wallsOf(from, to court.Point, obstacles []Obstacle, leg Leg) walls {
	const (
		barrier = 2.5  // metres: nobody passes on the wrong side sooner than on the right one
		round   = 0.05 // metres by which a way round the end of a barrier misses it
	)
	list := make(walls, 0, len(obstacles))
	far := from.Distance(to)
	for _, o := range obstacles {
		if !o.on(leg) || from.Distance(o.At) <= o.radius() || to.Distance(o.At) <= o.radius() {
			continue
		}
		w := wall{at: o.At, radius: o.radius()}
		if o.Round != Either && far > 0 {
			ux, uy := (to.X-from.X)/far, (to.Y-from.Y)/far
			cx, cy := o.At.X-from.X, o.At.Y-from.Y
			if along, beside := cx*ux+cy*uy, ux*cy-uy*cx; along > 0 && along < far && math.Abs(beside) <= o.Width/2+Passing {
				side := 1.0 // to the right of the run, for one that is passed on the left
				if o.Round == OnTheRight {
					side = -1
				}
				beyond := func(metres float64) court.Point {
					return court.Point{X: o.At.X + side*metres*uy, Y: o.At.Y - side*metres*ux}
				}
				w.barred, w.until, w.around = true, beyond(w.radius+barrier), beyond(w.radius+barrier+round)
			}
		}
		list = append(list, w)
	}
	return list
}

// clear says whether the straight way between two places is free.
func (list walls) clear(a, b court.Point) bool {
	for _, w := range list {
		if reach := w.radius - 1e-6; near(a, b, w.at) < reach*reach || w.barred && crosses(a, b, w.at, w.until) {
			return false
		}
	}
	return true
}

// within says whether a place lies in another obstacle than its own.
func (list walls) within(at court.Point, own int) bool {
	for i, w := range list {
		if i != own && at.Distance(w.at) < w.radius-1e-6 {
			return true
		}
	}
	return false
}

// between is the distance of two places, quicker than where their figures may be huge.
func between(a, b court.Point) float64 {
	dx, dy := b.X-a.X, b.Y-a.Y
	return math.Sqrt(dx*dx + dy*dy)
}

// crosses says whether two lines between places cross.
func crosses(a, b, c, d court.Point) bool {
	turn := func(p, q, r court.Point) float64 { return (q.X-p.X)*(r.Y-p.Y) - (q.Y-p.Y)*(r.X-p.X) }
	return turn(a, b, c)*turn(a, b, d) < 0 && turn(c, d, a)*turn(c, d, b) < 0
}

// shortest is the shortest way from the first of some places to the second one over the others.
func (list walls) shortest(nodes []court.Point) Route {
	const goal = 1
	length, left := make([]float64, len(nodes)), make([]float64, len(nodes))
	before, done := make([]int, len(nodes)), make([]bool, len(nodes))
	for i, p := range nodes {
		length[i], left[i] = math.Inf(1), between(p, nodes[goal])
	}
	length[0] = 0
	for !done[goal] {
		at := -1
		for i, l := range length {
			if !done[i] && !math.IsInf(l, 1) && (at < 0 || l+left[i] < length[at]+left[at]) {
				at = i
			}
		}
		if at < 0 {
			return straight(nodes[0], nodes[goal]) // it is walled in
		}
		done[at] = true
		for i, p := range nodes {
			if step := length[at] + between(nodes[at], p); !done[i] && step < length[i]-1e-12 && list.clear(nodes[at], p) {
				length[i], before[i] = step, at
			}
		}
	}
	r := Route{Length: length[goal]}
	for at := goal; at != 0; at = before[at] {
		r.Places = append(r.Places, nodes[at])
	}
	r.Places = append(r.Places, nodes[0])
	slices.Reverse(r.Places)
	return r
}

func (o Obstacle) radius() float64 { return o.Width/2 + Free }

// near is how near a leg of a route comes to a place, squared.
func near(a, b, c court.Point) float64 {
	dx, dy, cx, cy := b.X-a.X, b.Y-a.Y, c.X-a.X, c.Y-a.Y
	d, along := dx*dx+dy*dy, cx*dx+cy*dy
	switch {
	case along <= 0 || d == 0:
		return cx*cx + cy*cy
	case along >= d:
		return (cx-dx)*(cx-dx) + (cy-dy)*(cy-dy)
	}
	return (cx*dy - cy*dx) * (cx*dy - cy*dx) / d
}

// After is the place on a route after so many metres.
func (r Route) After(metres float64) court.Point {
	if metres <= 0 {
		return r.Places[0]
	}
	for i := 1; i < len(r.Places); i++ {
		step := r.Places[i-1].Distance(r.Places[i])
		if metres <= step && step > 0 {
			share := metres / step
			a, b := r.Places[i-1], r.Places[i]
			return court.Point{X: a.X + share*(b.X-a.X), Y: a.Y + share*(b.Y-a.Y)}
		}
		metres -= step
	}
	return r.Places[len(r.Places)-1]
}

// upTo is the route cut off after so many metres.
func (r Route) upTo(metres float64) Route {
	if metres >= r.Length {
		return r
	}
	end := r.After(metres)
	cut := Route{Length: math.Max(metres, 0)}
	left := metres
	for i, p := range r.Places {
		if i > 0 {
			left -= r.Places[i-1].Distance(p)
		}
		if left <= 0 && i > 0 {
			break
		}
		cut.Places = append(cut.Places, p)
	}
	cut.Places = append(cut.Places, end)
	return cut
}
