package flight

import (
	"errors"
	"fmt"
	"math"

	"hodometer/core/basics/units"
	"hodometer/core/sport/court"
)

// ErrImpossible says that no launch does what is wanted. Its message says why in a coach's words.
var ErrImpossible = errors.New("this ball cannot be played")

// By is the one thing besides the landing place that decides how a ball flies.
type By string

// What a flight can be chosen by.
const (
	ByApex      By = "height"    // of its highest point, metres
	ByClearance By = "clearance" // over the net, metres
	BySpeed     By = "speed"     // as it leaves, m/s
	ByTime      By = "time"      // until it lands, seconds
	ByWall      By = "wall"      // where it meets the front wall, metres above the floor; squash only
)

// Spin turns a ball about axes that go with its direction: Top about the level axis across it (less than
// nothing is backspin), Side about the upright one, turning left seen from above. Radians a second.
type Spin struct{ Top, Side float64 }

// Along is the spin of a ball that leaves in a direction on the court.
func (s Spin) Along(dx, dy float64) Vec {
	d := math.Hypot(dx, dy)
	if d == 0 {
		return Vec{Z: s.Side}
	}
	return Vec{X: -dy / d * s.Top, Y: dx / d * s.Top, Z: s.Side}
}

// Want is a ball that is to land at a place.
type Want struct {
	From    Vec
	Landing court.Point
	By      By
	Value   float64
	Spin    Spin
	// a serve at a table: how far from the net it bounces first on the side it leaves from, instead of By; 0 for none
	First float64
	Flat  bool // of a flat and a high ball that both do, the flat one or none
}

// metres writes a length for the sentences of this package.
func metres(v float64) string { return units.Metres.Length(v) }

func impossible(format string, args ...any) error {
	return fmt.Errorf("%w: %s", ErrImpossible, fmt.Sprintf(format, args...))
}

// Aim finds the launch of a ball. What it lands on is the ground below the landing place; the net is
// checked, walls are not in its way unless the ball is played against the front one. An error wraps
// ErrImpossible.
func (w World) Aim(want Want) (Launch, error) {
	for _, v := range []float64{want.From.X, want.From.Y, want.From.Z, want.Landing.X, want.Landing.Y, want.Value,
		want.First, want.Spin.Top, want.Spin.Side} {
		if math.IsNaN(v) || math.IsInf(v, 0) || math.Abs(v) > 1e4 {
			return Launch{}, impossible("one of its figures is not a figure of this world")
		}
	}
	switch {
	case want.First != 0:
		return w.aimOverOwnHalf(want)
	case want.By == ByWall:
		return w.aimOffWall(want)
	}
	if err := w.sensible(want); err != nil {
		return Launch{}, err
	}
	times := w.vacuumTimes(want)
	if want.Flat {
		times = times[:min(1, len(times))]
	}
	if len(times) == 0 {
		return Launch{}, impossible("%s", w.tooLittle(want))
	}
	spin := want.Spin.Along(want.Landing.X-want.From.X, want.Landing.Y-want.From.Y)
	var first error
	for _, time := range times {
		velocity, flown, ok := w.shoot(&want, spin, time)
		if !ok {
			continue
		}
		if short := -w.clearance(&flown.net); flown.crossed && short > 0 && math.Abs(flown.net.P.X) <= w.Court.Net.HalfUp {
			if first == nil {
				first = impossible("it would clip the net by %s", metres(short))
			}
			continue
		}
		return Launch{From: want.From, Velocity: velocity, Spin: spin}, nil
	}
	if first == nil {
		first = impossible("%s", w.tooLittle(want))
	}
	return Launch{}, first
}

// sensible refuses what can be seen to be impossible without a flight.
func (w World) sensible(want Want) error {
	ground := w.ground(Above(want.Landing, 0))
	switch {
	case want.From.Floor().Distance(want.Landing) < 1e-6:
		return impossible("it lands where it leaves")
	case want.By == ByApex && want.Value < want.From.Z+1e-3:
		return impossible("it leaves at %s already and cannot stay below %s", metres(want.From.Z), metres(want.Value))
	case want.By == ByApex && want.Value < ground+1e-3:
		return impossible("its highest point is to be below where it lands")
	case want.By == ByClearance && (!w.Court.HasNet() || want.From.Y*want.Landing.Y >= 0):
		return impossible("it does not cross the net")
	case (want.By == BySpeed || want.By == ByTime) && want.Value <= 0:
		return impossible("its %s has to be more than nothing", want.By)
	}
	return nil
}

// tooLittle says why nothing was found.
func (w World) tooLittle(want Want) string {
	far := want.From.Floor().Distance(want.Landing)
	switch want.By {
	case BySpeed:
		return fmt.Sprintf(
			"at %s m/s it does not carry the %s to where it should land",
			units.Decimal(want.Value, 1),
			metres(far),
		)
	case ByTime:
		return fmt.Sprintf("it cannot take %s s over %s", units.Decimal(want.Value, 2), metres(far))
	case ByClearance:
		return fmt.Sprintf("%s over the net is too little to come down only after %s", metres(want.Value), metres(far))
	}
	return fmt.Sprintf("with its highest point at %s it does not come down %s away", metres(want.Value), metres(far))
}

// vacuumTimes is how long the ball would fly without air; two answers where a flat and a high ball do.
func (w World) vacuumTimes(want Want) []float64 {
	const g = Gravity
	drop := want.From.Z - w.ground(Above(want.Landing, 0))
	far := want.From.Floor().Distance(want.Landing)
	switch want.By {
	case ByTime:
		return []float64{want.Value}
	case ByApex:
		up := math.Sqrt(2 * g * (want.Value - want.From.Z))
		return []float64{(up + math.Sqrt(math.Max(up*up+2*g*drop, 0))) / g}
	case ByClearance:
		f := want.From.Y / (want.From.Y - want.Landing.Y) // share of the way at which the net is
		x := want.From.X + f*(want.Landing.X-want.From.X)
		over := w.Court.Net.Height(x) + w.Ball.Radius() + want.Value
		if rise := over - want.From.Z + f*drop; rise > 0 {
			return []float64{math.Sqrt(2 * rise / (g * f * (1 - f)))}
		}
		return nil
	case BySpeed:
		// ¼g²T⁴ − (g·drop + S²)T² + far² + drop² = 0
		b, c := g*drop+want.Value*want.Value, far*far+drop*drop
		root := b*b - g*g*c
		if root < 0 {
			return []float64{math.Sqrt(2 * b / (g * g))} // drag never helps, lift may
		}
		return []float64{math.Sqrt(2 * (b - math.Sqrt(root)) / (g * g)), math.Sqrt(2 * (b + math.Sqrt(root)) / (g * g))}
	}
	return nil
}

// landed is a flight as far as aiming needs it.
type landed struct {
	end, net, top State
	crossed       bool
}

// fall follows a ball over whatever is in its way until it falls through a height.
func fall(f *forces, from, velocity Vec, height float64) (l landed, ok bool) {
	s := f.from(0, from, velocity)
	l.top = s
	for s.T < maxFlight {
		next := f.after(s, f.step(s.V))
		if s.V.Z > 0 && next.V.Z <= 0 {
			l.top = summit(s, next)
		}
		if !l.crossed && s.P.Y*next.P.Y < 0 {
			l.net, l.crossed = crossing(s, next, alongY, 0), true
		}
		if end, ok := landing(s, next, height); ok {
			l.end = end
			return l, true
		}
		if next.V.Z < 0 && next.P.Z < height-1 {
			return l, false // it never came up to the height
		}
		s = next
	}
	return l, false
}

// shoot finds the velocity, starting from the flight that would take so long without air.
func (w *World) shoot(want *Want, spin Vec, time float64) (velocity Vec, last landed, ok bool) {
	f := forcesOn(w.Ball, w.Air, spin)
	height := w.ground(Above(want.Landing, 0))
	way := Vec{want.Landing.X - want.From.X, want.Landing.Y - want.From.Y, height - want.From.Z}
	start := way.Times(1 / time).Add(Vec{Z: Gravity * time / 2})
	// Drag has to be made up for: along a level way of s/(k·Cd) by (eˢ − 1)/s.
	s := math.Min(4, math.Max(1e-9, f.k*f.drag*math.Hypot(way.X, way.Y)))
	level := math.Expm1(s) / s
	start.X, start.Y, start.Z = start.X*level, start.Y*level, start.Z*(1+s/4)
	a := aiming{f: &f, want: want, world: w, height: height, time: time}
	velocity, ok = solve(start, a.miss, a.slopes)
	return velocity, a.last, ok
}

// aiming is the search for one launch.
type aiming struct {
	f      *forces
	want   *Want
	world  *World
	height float64
	time   float64
	last   landed // the flight of the last velocity that was tried and lands
}

// miss is by how much a velocity misses: in place, and in what the flight is chosen by.
func (a *aiming) miss(v Vec) (Vec, bool) {
	l, ok := fall(a.f, a.want.From, v, a.height)
	if !ok {
		return Vec{}, false
	}
	a.last = l
	r := Vec{X: l.end.P.X - a.want.Landing.X, Y: l.end.P.Y - a.want.Landing.Y}
	switch a.want.By {
	case ByApex:
		r.Z = l.top.P.Z - a.want.Value
	case ByClearance:
		r.Z = -a.want.Value - math.Abs(l.end.P.Y) - a.world.Court.Net.Centre // it comes down on its own side
		if l.crossed {
			r.Z = a.world.clearance(&l.net) - a.want.Value
		}
	case BySpeed:
		r.Z = (v.Norm() - a.want.Value) * a.time
	default:
		r.Z = (l.end.T - a.want.Value) * inTime
	}
	return r, true
}

const inTime = 5 // m/s: what a second of the wrong time counts

// slopes are how the miss changes with the velocity, from the flight of the last one. Under quadratic drag β a ball
// that is a little faster is t/(1 + b) farther after t seconds along its way, and t·ln(1 + b)/b across it, with b =
// β·|v|·t; where it falls through a height, or passes the net, follows from that.
func (a *aiming) slopes(v Vec) (x, y, z Vec) {
	speed := v.Norm()
	along := v.Times(1 / speed)
	beta := a.f.k * a.f.drag * speed
	// The rows of how the place at a moment changes with the velocity.
	moved := func(t float64) (dx, dy, dz Vec) {
		b := math.Max(beta*t, 1e-9)
		far, aside := t/(1+b), t*math.Log1p(b)/b
		row := func(share float64, unit Vec) Vec { return along.Times(share * (far - aside)).Add(unit.Times(aside)) }
		return row(along.X, Vec{X: 1}), row(along.Y, Vec{Y: 1}), row(along.Z, Vec{Z: 1})
	}
	l := &a.last
	dx, dy, dz := moved(l.end.T)
	later := dz.Times(-1 / l.end.V.Z) // of the landing
	x, y = dx.Add(later.Times(l.end.V.X)), dy.Add(later.Times(l.end.V.Y))
	switch a.want.By {
	case ByApex:
		_, _, z = moved(l.top.T)
	case ByClearance:
		if !l.crossed {
			return x, y, Vec{Y: math.Copysign(a.time, l.end.P.Y), Z: a.time}
		}
		_, dy, dz = moved(l.net.T)
		z = dz.Add(dy.Times(-l.net.V.Z / l.net.V.Y))
	case BySpeed:
		z = along.Times(a.time)
	default:
		z = later.Times(inTime)
	}
	return x, y, z
}
