package footwork

import (
	"math"

	"hodometer/core/court"
)

// Round is the side on which an obstacle has to be passed, as the player runs at it.
type Round int

// The sides. Either takes the shorter one.
const (
	Either Round = iota
	OnTheLeft
	OnTheRight
)

// Obstacle is something to be run around: a round thing of so much across.
type Obstacle struct {
	At    court.Point
	Width float64 // metres
	Round Round
}

// Metres that a body needs beside an obstacle, and how far from its line a forced obstacle still counts.
const (
	shoulder = 0.30
	passing  = 2.5
)

// Route is a way on the court: places in order, and its length.
type Route struct {
	Places []court.Point
	Length float64
}

// straight is the route without anything in its way.
func straight(from, to court.Point) Route { return Route{[]court.Point{from, to}, from.Distance(to)} }

// ShortestRoute is the shortest way around obstacles. One that has to be passed on a side bends every run that goes
// by within two and a half metres of it, also where the straight line would miss it. With a few obstacles
// every choice of sides is tried.
func ShortestRoute(from, to court.Point, obstacles []Obstacle) Route {
	if len(obstacles) == 0 || from == to {
		return straight(from, to)
	}
	const most = 6 // 2⁶ choices of sides
	obstacles = obstacles[:min(len(obstacles), most)]
	best := Route{Length: math.Inf(1)}
	for choice := range 1 << len(obstacles) {
		route, ok := around(from, to, obstacles, choice)
		if ok && route.Length < best.Length {
			best = route
		}
	}
	if math.IsInf(best.Length, 1) {
		return straight(from, to)
	}
	return best
}

// around makes a route that passes each obstacle in its way on the side that the choice has for it.
func around(from, to court.Point, obstacles []Obstacle, choice int) (Route, bool) {
	places := []court.Point{from, to}
	for range 4 { // a bend may lead into the next obstacle
		bent := false
		for i, o := range obstacles {
			left := choice>>i&1 == 0
			if o.Round == OnTheLeft && !left || o.Round == OnTheRight && left {
				return Route{}, false
			}
			for j := 1; j < len(places); j++ {
				via, needed := bend(places[j-1], places[j], o, left)
				if !needed {
					continue
				}
				places = append(places[:j], append(via, places[j:]...)...)
				bent = true
				break
			}
		}
		if !bent {
			break
		}
	}
	r := Route{Places: places}
	for j := 1; j < len(places); j++ {
		r.Length += places[j-1].Distance(places[j])
	}
	for _, o := range obstacles {
		for j := 1; j < len(places); j++ {
			if near(places[j-1], places[j], o.At) < 0.9*math.Min(o.radius(), math.Min(from.Distance(o.At), to.Distance(o.At))) {
				return Route{}, false // it runs into another one
			}
		}
	}
	return r, true
}

func (o Obstacle) radius() float64 { return o.Width/2 + shoulder }

// near is how near a leg of a route comes to a place.
func near(a, b, c court.Point) float64 {
	d := a.Distance(b)
	if d == 0 {
		return a.Distance(c)
	}
	share := ((c.X-a.X)*(b.X-a.X) + (c.Y-a.Y)*(b.Y-a.Y)) / (d * d)
	share = math.Max(0, math.Min(1, share))
	return c.Distance(court.Point{X: a.X + share*(b.X-a.X), Y: a.Y + share*(b.Y-a.Y)})
}

// bend finds the places by which a leg goes round an obstacle on a side: the tangents and the arc
// between them. It is not needed where the leg passes clear of it, or on the right side of a forced one.
func bend(a, b court.Point, o Obstacle, left bool) ([]court.Point, bool) {
	d, r := a.Distance(b), o.radius()
	if d < 1e-9 {
		return nil, false
	}
	ux, uy := (b.X-a.X)/d, (b.Y-a.Y)/d
	cx, cy := o.At.X-a.X, o.At.Y-a.Y
	along, beside := cx*ux+cy*uy, ux*cy-uy*cx // beside > 0: the obstacle is to the left of the way
	if along <= 0 || along >= d {
		return nil, false
	}
	clears := math.Abs(beside) >= r-1e-9
	passesLeft := beside < 0 // the way passes left of an obstacle that is to its right
	if clears && (o.Round == Either || passesLeft == left || math.Abs(beside) > passing) {
		return nil, false
	}
	first, last := math.Hypot(cx, cy), b.Distance(o.At)
	if first <= r || last <= r {
		return nil, false // it starts or ends beside the obstacle
	}
	side := 1.0
	if !left {
		side = -1
	}
	// Angles from the middle of the obstacle to where the tangents touch.
	toA, toB := math.Atan2(a.Y-o.At.Y, a.X-o.At.X), math.Atan2(b.Y-o.At.Y, b.X-o.At.X)
	begin, end := toA-side*math.Acos(r/first), toB+side*math.Acos(r/last)
	// Passing on the left goes round clockwise.
	turn := math.Mod((begin-end)*side, 2*math.Pi)
	if turn < 0 {
		turn += 2 * math.Pi
	}
	if turn > 1.9*math.Pi {
		turn = 0
	}
	steps := 2 + int(turn/0.3)
	via := make([]court.Point, 0, steps+1)
	outer := r / math.Cos(turn/float64(2*steps)) // chords stay outside the circle
	for i := range steps + 1 {
		sin, cos := math.Sincos(begin - side*turn*float64(i)/float64(steps))
		via = append(via, court.Point{X: o.At.X + outer*cos, Y: o.At.Y + outer*sin})
	}
	return via, true
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
