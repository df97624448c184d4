// Package angles is how wide a ball can be played from a place, and where the middle between the widest two lies.
//
// Places and axes are those of package court; angles are radians from straight along the court. A place that makes no
// sense is invalid.Fields.
package angles

import (
	"context"
	"fmt"
	"math"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/units"
	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
)

// Strike is a ball that is hit from a place, as fast over the ground and with as much spin as is said.
type Strike struct {
	World  flight.World
	From   flight.Vec
	Pace   float64     // mean speed over the ground until it lands, m/s
	Spin   flight.Spin // of every ball of the sector
	Over   float64     // how far over the net it is to pass at least, metres
	Inside float64     // how far inside the lines it is to land at least, metres
	Name   string      // of the place, in a coach's words
}

// Ray is the widest ball to one side.
type Ray struct {
	To       court.Point `json:"to" description:"Where it lands"`
	Angle    float64     `json:"angle" description:"From straight along the court, to its own side, radians"`
	Metres   float64     `json:"metres" description:"From the strike to the landing"`
	Net      float64     `json:"net" description:"How high the net is where it passes, metres"`
	AtNet    court.Point `json:"atNet"`
	Seconds  float64     `json:"seconds" description:"Until it lands"`
	Out      *float64    `json:"out" description:"Seconds until it passes beyond a sideline; null where it stays between them until its second bounce"`
	Wide     float64     `json:"wide" description:"How far beyond the sideline it is at its second bounce, or at the baseline; less than nothing is inside"`
	Straight bool        `json:"straight" description:"It stays on the side on which it is struck"`
}

// Sector is everything that can be played from a place: from the widest ball to the left to the widest one to the
// right, as the one who strikes has them.
type Sector struct {
	Name     string      `json:"name"`
	From     court.Point `json:"from"`
	High     float64     `json:"high"`
	Left     Ray         `json:"left"`
	Right    Ray         `json:"right"`
	Opening  float64     `json:"opening" description:"Between the two, radians"`
	Bisector float64     `json:"bisector" description:"To the right of straight along the court, radians; less than nothing is to the left"`
	Wait     court.Point `json:"wait" description:"Where the bisector comes to the depth at which the receiver waits"`
	Longer   float64     `json:"longer" description:"How much longer the way across is than the straight one, metres; 0 where both are alike"`
	Lowest   court.Point `json:"lowest" description:"Where the net is lowest between the two"`
	NetThere float64     `json:"netThere" description:"How high it is there, metres"`
}

// Sector works out the widest balls, by halving along the sidelines. The receiver waits so far behind their baseline,
// in metres. A place that makes no sense is invalid.Fields; it returns ctx.Err() when cancelled.
func (k Strike) Sector(ctx context.Context, behind float64) (Sector, error) {
	if err := k.check(); err != nil {
		return Sector{}, err
	}
	s := Sector{Name: k.Name, From: k.From.Floor(), High: k.From.Z}
	c := k.World.Court
	ahead := -math.Copysign(1, k.From.Y) // the way they look, along y
	var found [2]bool
	for i, side := range []float64{-1, 1} { // left and right of the one who strikes
		if err := ctx.Err(); err != nil {
			return Sector{}, err
		}
		x := side * ahead * (c.Singles/2 - k.Inside)
		launch, to, ok := k.widest(x, ahead)
		if !ok {
			continue
		}
		ray := k.ray(launch, to)
		ray.Straight = ray.To.X*k.From.X > 0
		ray.Angle = side * ahead * math.Atan2(ray.To.X-k.From.X, math.Abs(ray.To.Y-k.From.Y))
		found[i] = true
		if side < 0 {
			s.Left = ray
		} else {
			s.Right = ray
		}
	}
	if !found[0] || !found[1] {
		return Sector{}, invalid.Fields{
			{
				Path:    "pace",
				Message: "at that pace no ball from there lands inside the lines on both sides; let it be slower, or met higher",
			},
		}
	}
	s.Opening, s.Bisector = s.Left.Angle+s.Right.Angle, (s.Right.Angle-s.Left.Angle)/2
	s.Wait = k.between(s.Left.To, s.Right.To, ahead*(c.Length/2+behind))
	if s.Left.Straight != s.Right.Straight {
		s.Longer = k.toCorner(ahead, -math.Copysign(1, k.From.X)) - k.toCorner(ahead, math.Copysign(1, k.From.X))
	}
	low, high := math.Min(s.Left.AtNet.X, s.Right.AtNet.X), math.Max(s.Left.AtNet.X, s.Right.AtNet.X)
	s.Lowest = court.Point{X: math.Max(low, math.Min(0, high))}
	s.NetThere = c.Net.Height(s.Lowest.X)
	return s, nil
}

// between is where the middle between the ways to two places comes to a depth.
func (k Strike) between(left, right court.Point, y float64) court.Point {
	angle := func(to court.Point) float64 { return math.Atan2(to.X-k.From.X, math.Abs(to.Y-k.From.Y)) }
	return court.Point{X: k.From.X + math.Tan((angle(left)+angle(right))/2)*math.Abs(y-k.From.Y), Y: y}
}

// toCorner is how long the way into a far corner is: as far inside its lines as balls are to land, and a metre on a
// full tennis court where that is not said.
func (k Strike) toCorner(ahead, side float64) float64 {
	c := k.World.Court
	inside := k.Inside
	if inside == 0 {
		inside = c.Length / fullCourt
	}
	return k.From.Floor().Distance(court.Point{X: side * (c.Singles/2 - inside), Y: ahead * (c.Length/2 - inside)})
}

const fullCourt = 23.77 // metres of a tennis court, for which the corner is one metre off the lines

func (k Strike) check() error {
	var wrong invalid.Fields
	c := k.World.Court
	switch {
	case !c.HasNet():
		wrong.Add("court", "on a court with walls the ball comes back: there are no angles past a player to be told")
	case math.Abs(k.From.Y) < 0.3*c.Length/fullCourt:
		wrong.Add("at", "nobody stands in the net: let the ball be met farther back")
	case math.Abs(k.From.Y) > c.Length || math.Abs(k.From.X) > c.Length/2:
		wrong.Add("at", "that is too far from the court")
	}
	if !(k.From.Z >= 0.05 && k.From.Z <= 3.5) {
		wrong.Add("high", "a ball is met between 0.05 and 3.5 m above the court")
	}
	if !(k.Pace >= 1 && k.Pace <= 60) {
		wrong.Add("pace", "a ball goes at 1 to 60 m/s over the ground")
	}
	if !(k.Over >= 0 && k.Over <= 3) {
		wrong.Add("over", "over the net is between 0 and 3 m")
	}
	if !(k.Inside >= 0 && k.Inside < c.Singles/2) {
		wrong.Add("inside", "inside the lines is between 0 and half the width")
	}
	return wrong.Err()
}

// widest is the ball that lands nearest to the net along a line down the court at x and still passes over it as it
// should.
func (k Strike) widest(x, ahead float64) (l flight.Launch, to court.Point, ok bool) {
	const fine = 1e-3 // metres
	c := k.World.Court
	at := func(deep float64) court.Point { return court.Point{X: x, Y: ahead * deep} }
	low, high := 0.05*c.Length, c.Length/2-k.Inside
	if _, ok := k.lands(at(high)); !ok {
		return l, to, false
	}
	if _, ok := k.lands(at(low)); ok {
		high = low
	}
	for high-low > fine {
		middle := (low + high) / 2
		if _, ok := k.lands(at(middle)); ok {
			high = middle
		} else {
			low = middle
		}
	}
	to = at(high)
	l, ok = k.lands(to)
	return l, to, ok
}

// lands is the ball to a place at the pace, if it passes the net as it should.
func (k Strike) lands(to court.Point) (flight.Launch, bool) {
	seconds := k.From.Floor().Distance(to) / k.Pace
	l, err := k.World.Aim(flight.Want{From: k.From, Landing: to, By: flight.ByTime, Value: seconds, Spin: k.Spin})
	if err != nil {
		return l, false
	}
	net, ok := k.World.Follow(l, 1).First(flight.OverNet)
	return l, ok && k.World.Clearance(net) >= k.Over
}

// ray is what there is to say of a ball.
func (k Strike) ray(l flight.Launch, to court.Point) Ray {
	c := k.World.Court
	path := k.World.Follow(l, 2)
	r := Ray{To: to, Metres: k.From.Floor().Distance(to)}
	if net, ok := path.First(flight.OverNet); ok {
		r.AtNet, r.Net = net.P.Floor(), c.Net.Height(net.P.X)
	}
	if landed, ok := path.Bounce(0); ok {
		r.Seconds = landed.T
	}
	const step = 0.01 // seconds
	end := path.At(path.End()).P
	for t := 0.0; t <= path.End(); t += step {
		at := path.At(t).P
		if math.Abs(at.Y) > c.Length/2 && at.Y*to.Y > 0 {
			end = at
			break
		}
		if r.Out == nil && math.Abs(at.X) > c.Singles/2 && at.Y*to.Y > 0 && math.Abs(k.From.X) <= c.Singles/2 {
			out := t
			r.Out = &out
		}
	}
	r.Wide = math.Abs(end.X) - c.Singles/2
	return r
}

// Degrees writes an angle.
func Degrees(radians float64) string { return units.Decimal(radians*180/math.Pi, 1) + "°" }

// Compare says in a sentence what another place changes.
func Compare(a, b Sector) string {
	steepest := func(s Sector) Ray {
		if s.Left.Angle > s.Right.Angle {
			return s.Left
		}
		return s.Right
	}
	from, to := steepest(a), steepest(b)
	sentence := fmt.Sprintf(
		"From %s the steepest ball leaves at %s instead of %s",
		b.Name,
		Degrees(to.Angle),
		Degrees(from.Angle),
	)
	turned := (b.Bisector - a.Bisector) * 180 / math.Pi
	if math.Abs(turned) >= 0.5 {
		side := "right"
		if turned < 0 {
			side = "left"
		}
		sentence += fmt.Sprintf(
			"; the middle between the widest two turns by %s to the %s",
			Degrees(math.Abs(b.Bisector-a.Bisector)),
			side,
		)
	}
	sentence += fmt.Sprintf(", and the opening between them is %s instead of %s.", Degrees(b.Opening), Degrees(a.Opening))
	return sentence
}

// Say puts a sector into words.
func (s Sector) Say(tape court.Tape) string {
	side := func(r Ray, name string) string {
		said := Degrees(r.Angle) + " to the " + name
		if r.Out != nil {
			said += fmt.Sprintf(" (beyond the sideline after %s s)", units.Decimal(*r.Out, 1))
		}
		return said
	}
	sentence := fmt.Sprintf(
		"From %s the widest balls leave at %s and %s: an opening of %s",
		s.Name,
		side(s.Left, "left"),
		side(s.Right, "right"),
		Degrees(s.Opening),
	)
	switch aside := math.Abs(s.Wait.X); {
	case aside < 0.05:
		sentence += "; the middle between them is the middle of the court"
	case s.Wait.X*s.From.X > 0:
		sentence += fmt.Sprintf(
			"; the middle between them is %s from the centre line where the other one waits, on the side of the ball",
			tape.Length(aside),
		)
	default:
		sentence += fmt.Sprintf(
			"; the middle between them is %s from the centre line where the other one waits, on the side that the ball is "+
				"played across to",
			tape.Length(aside),
		)
	}
	if s.Longer >= 0.05 {
		sentence += fmt.Sprintf(
			"; into the far corners the way across is %s longer than the straight one",
			tape.Length(s.Longer),
		)
	}
	return sentence + fmt.Sprintf("; the net is lowest at %s on the way.", tape.Length(s.NetThere))
}
