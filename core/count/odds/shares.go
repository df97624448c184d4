package odds

import (
	"errors"
	"math"

	"gonum.org/v1/gonum/mathext"

	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
)

// Shares is what becomes of balls that are aimed at a place, as shares of all of them. In, long, wide,
// short, beside and net are all there is.
type Shares struct {
	In     float64 `json:"in" description:"In the target and in the court"`
	Long   float64 `json:"long" description:"Beyond the end of the court"`
	Wide   float64 `json:"wide" description:"Beside the court, and not long"`
	Short  float64 `json:"short" description:"In, but nearer than the target"`
	Beside float64 `json:"beside" description:"In, elsewhere"`
	Net    float64 `json:"net" description:"Into the net, or down before where a ball is in"`
}

// Errors is the share that is out or in the net.
func (s Shares) Errors() float64 { return s.Long + s.Wide + s.Net }

// Ground is a target that balls land in, on a court as it is played.
type Ground struct {
	shape court.Shape
	in    rect    // where a ball is in
	hit   rect    // where a ball that is in the target counts
	walls bool    // nothing lands out: the walls send it back
	ahead float64 // 1 where balls are played towards the far end, else −1
}

// ErrUpright says that a target stands upright: balls pass it or meet it, they do not land in it.
var ErrUpright = errors.New("this target stands upright, and balls do not land in it")

// OnGround is a resolved target that balls land in. Windows, gates and bands are not.
func OnGround(c court.Court, shape court.Shape, format court.Format) (Ground, error) {
	if shape.Radius <= 0 && len(shape.Corners) < 3 {
		return Ground{}, ErrUpright
	}
	half, end := c.InPlay(format)/2, c.Length/2
	g := Ground{shape: shape, ahead: 1, in: rect{-half, half, 0, end}}
	switch {
	case !c.HasNet():
		g.in.bottom, g.walls = -end, c.PlaysWalls()
		if shape.Centre.Y < 0 {
			g.ahead = -1
		}
	case shape.Centre.Y < 0:
		g.ahead = -1
		g.in.bottom, g.in.top = -end, 0
	}
	g.hit = g.in
	return g, nil
}

// Within is the same target where a ball is in only inside an area: a serve in its box.
func (g Ground) Within(corners []court.Point) Ground {
	g.in = g.in.cut(around(corners))
	g.hit, g.walls = g.in, false
	return g
}

// area is the part of the target that is in.
func (g Ground) area() area {
	if g.shape.Radius > 0 {
		return disc(g.shape.Centre, g.shape.Radius, g.hit)
	}
	return outline(g.shape.Corners, g.hit)
}

// nearest is how far from the net the target begins, towards the end that is played to.
func (g Ground) nearest() float64 {
	if g.shape.Radius > 0 {
		return g.ahead*g.shape.Centre.Y - g.shape.Radius
	}
	near := math.Inf(1)
	for _, p := range g.shape.Corners {
		near = math.Min(near, g.ahead*p.Y)
	}
	return near
}

// In is how often a ball that is aimed at a place lands in the target.
func (g Ground) In(s Scatter, aim court.Point) float64 { return (1 - s.Net) * s.at(aim).in(g.area()) }

// Shares works out what becomes of balls that are aimed at a place.
func (g Ground) Shares(s Scatter, aim court.Point) Shares {
	n := s.at(aim)
	over := 1 - s.Net
	// Towards the end that is played to.
	y := g.ahead * n.Y
	near, far := g.in.bottom, g.in.top
	if g.ahead < 0 {
		near, far = -far, -near
	}
	long := over * (1 - below((far-y)/n.SY))
	fails := over * below((near-y)/n.SY) // down before where a ball is in
	legal := over * n.in(g.in.area())
	r := Shares{In: g.In(s, aim), Long: long, Net: s.Net + fails}
	r.Wide = math.Max(0, 1-r.Long-r.Net-legal)
	if g.walls {
		legal, r.Long, r.Wide, r.Net = over, 0, 0, s.Net
	}
	before := g.in
	if g.ahead > 0 {
		before.top = math.Max(before.bottom, math.Min(g.nearest(), before.top))
	} else {
		before.bottom = math.Min(before.top, math.Max(-g.nearest(), before.bottom))
	}
	r.Short = over * n.in(before.area())
	r.Beside = math.Max(0, legal-r.In-r.Short)
	return r
}

// Calibrated is a scatter made so much wider or narrower that balls aimed at a place hit the target with a
// rate that was counted; the share in the net follows as the chance of a normal variable does.
func (g Ground) Calibrated(s Scatter, aim court.Point, rate float64) Scatter {
	scaled := func(by float64) Scatter {
		c := s
		c.X, c.Y, c.SX, c.SY = by*s.X, by*s.Y, by*s.SX, by*s.SY
		c.Normal = c.steady()
		c.Net = below(mathext.NormalQuantile(s.Net) / by)
		return c
	}
	low, high := 0.1, 5.0
	for range 30 {
		if mid := (low + high) / 2; g.Shares(scaled(mid), aim).In > rate {
			low = mid
		} else {
			high = mid
		}
	}
	return scaled(high)
}

// Upright is the chance that a ball passes through a gate or a window, or meets a band of the wall: the
// scatter of its launch carried to the upright plane, to first order. A gate counts at any height. It is
// false where the ball does not get there.
func Upright(w flight.World, l flight.Launch, s flight.Scatter, shape court.Shape) (float64, bool) {
	if len(shape.Corners) != 2 {
		return 0, false
	}
	a, b := shape.Corners[0], shape.Corners[1]
	if shape.Kind == court.WallBand {
		// The ball's middle stops short of the wall.
		back := w.Ball.Radius() + 1e-3
		a.Y, b.Y = a.Y-back, b.Y-back
	}
	plane := flight.Plane{X1: a.X, Y1: a.Y, X2: b.X, Y2: b.Y}
	along, height, ok := w.PlaneCrossing(l, plane)
	if !ok {
		return 0, false
	}
	spread, ok := w.PlaneSpread(l, s, plane)
	if !ok {
		return 0, false
	}
	n := Normal{X: along, Y: height, SX: spread.A, SY: spread.B, Rho: spread.Rho}.steady()
	face := rect{0, a.Distance(b), shape.Low, shape.High}
	if shape.Kind == court.Gate {
		face.bottom, face.top = math.Inf(-1), math.Inf(1)
	}
	return n.in(face.area()), true
}

// Twice is the target for a ball that has to bounce in it twice: the part from which the first bounce
// leads to a second one inside. The way from the first bounce to the second is taken to be the same for
// all balls. It is false where the ball does not bounce twice.
func (g Ground) Twice(w flight.World, l flight.Launch) (Ground, bool) {
	path := w.Follow(l, 2+l.Landing())
	first, ok := path.Bounce(l.Landing())
	second, again := path.Bounce(l.Landing() + 1)
	if !ok || !again {
		return g, false
	}
	dx, dy := second.P.X-first.P.X, second.P.Y-first.P.Y
	left, right, bottom, top := g.bounds()
	g.hit = rect{left, right, bottom, top}.cut(rect{left - dx, right - dx, bottom - dy, top - dy})
	return g, true
}
