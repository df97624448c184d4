package odds

import (
	"fmt"
	"math"
	"slices"

	"hodometer/core/sport/court"
	"hodometer/core/sport/flight"
)

// Scatter is how a player's balls land about the place they aim at, of those that pass the net.
type Scatter struct {
	Normal
	Net    float64 `json:"net" description:"Share of all balls that go into the net, wherever the others land"`
	Logged int     `json:"logged" description:"Landings it rests on; 0 where it is only the level's"`
}

// Expected is the scatter of a stroke that passes the net and lands so, without bias; the share in the net is the
// chance that the ball passes it too low.
func Expected(p flight.Passage) Scatter {
	scatter := Scatter{Normal: Normal{SX: p.Lands.A, SY: p.Lands.B, Rho: p.Lands.Rho}.steady()}
	if p.Crosses && p.Sigma > 0 {
		scatter.Net = below(-p.Over / p.Sigma)
	}
	return scatter
}

// steady keeps a distribution from shrinking to a point.
func (n Normal) steady() Normal {
	const least = 0.02 // metres
	n.SX, n.SY = math.Max(n.SX, least), math.Max(n.SY, least)
	return n
}

// What a prior is worth, in landings. Common practice, no source.
const (
	priorSpread = 8.0
	priorBias   = 4.0
)

// Learn moves a scatter by logged landings, each as its offset from the place that was aimed at. A tap is
// itself off by a standard deviation, which is taken out again. One wild ball hardly counts: landings
// further than Huber's bound are drawn in to it (Huber, Annals of Mathematical Statistics 35 (1964) 73,
// with the bound that leaves 95 % of normal landings alone), and the spread is made up for what that
// takes from normal ones.
func (s Scatter) Learn(offsets []court.Point, tap float64) Scatter {
	n := float64(len(offsets))
	if n == 0 {
		return s
	}
	const bound = 5.991464547107979 // 95 % of the chi-square distribution with two degrees of freedom
	at := median(offsets)
	xx, yy, xy := s.SX*s.SX, s.SY*s.SY, s.Rho*s.SX*s.SY
	for range 30 {
		var weights, sx, sy, cxx, cyy, cxy float64
		det := xx*yy - xy*xy
		for _, p := range offsets {
			dx, dy := p.X-at.X, p.Y-at.Y
			w := 1.0
			if d := (yy*dx*dx - 2*xy*dx*dy + xx*dy*dy) / det; d > bound {
				w = math.Sqrt(bound / d)
			}
			weights, sx, sy = weights+w, sx+w*p.X, sy+w*p.Y
			cxx, cyy, cxy = cxx+w*w*dx*dx, cyy+w*w*dy*dy, cxy+w*w*dx*dy
		}
		at = court.Point{X: sx / weights, Y: sy / weights}
		// The mean was fitted too, and drawing in takes a twentieth of the spread of normal landings.
		made := 1 / (0.95 * math.Max(n-1, 1))
		xx, yy, xy = s.mixed(n, cxx*made, cyy*made, cxy*made, tap)
	}
	share := n / (n + priorBias)
	learnt := s
	learnt.X, learnt.Y = s.X+share*(at.X-s.X), s.Y+share*(at.Y-s.Y)
	learnt.SX, learnt.SY = math.Sqrt(xx), math.Sqrt(yy)
	learnt.Rho = unit(xy / (learnt.SX * learnt.SY))
	learnt.Logged = s.Logged + len(offsets)
	learnt.Normal = learnt.steady()
	return learnt
}

// mixed is the covariance of so many landings, without the error of the taps, mixed with the prior's.
func (s Scatter) mixed(n, xx, yy, xy, tap float64) (x2, y2, xy2 float64) {
	// Never less than a tenth of what was seen: taps cannot explain everything.
	xx, yy = math.Max(xx-tap*tap, xx/10), math.Max(yy-tap*tap, yy/10)
	xy = math.Max(-0.95, math.Min(xy/math.Sqrt(math.Max(xx*yy, 1e-12)), 0.95)) * math.Sqrt(xx*yy)
	mix := func(seen, prior float64) float64 { return (n*seen + priorSpread*prior) / (n + priorSpread) }
	return mix(xx, s.SX*s.SX), mix(yy, s.SY*s.SY), mix(xy, s.Rho*s.SX*s.SY)
}

// median takes the middle of each coordinate.
func median(list []court.Point) court.Point {
	middle := func(of func(court.Point) float64) float64 {
		values := make([]float64, len(list))
		for i, p := range list {
			values[i] = of(p)
		}
		slices.Sort(values)
		return (values[len(values)/2] + values[(len(values)-1)/2]) / 2
	}
	return court.Point{
		X: middle(func(p court.Point) float64 { return p.X }),
		Y: middle(func(p court.Point) float64 { return p.Y }),
	}
}

// Zone is an upright rectangle of the court, as offsets from the place that was aimed at, and the landings
// counted in it.
type Zone struct {
	Left, Right, Bottom, Top float64
	Count                    int
}

// LearnZones moves a scatter by landings that were only counted by zone: the expectation–maximisation
// algorithm for grouped data (Dempster, Laird and Rubin, Journal of the Royal Statistical Society B 39
// (1977) 1). Each zone stands for what the present distribution has in it.
func (s Scatter) LearnZones(zones []Zone) Scatter {
	n := 0.0
	for _, z := range zones {
		n += float64(z.Count)
	}
	if n == 0 {
		return s
	}
	now := s
	for range 60 {
		var sx, sy, xx, yy, xy float64
		for _, z := range zones {
			if z.Count == 0 {
				continue
			}
			m := now.momentsIn(z)
			k := float64(z.Count)
			sx, sy, xx, yy, xy = sx+k*m[0], sy+k*m[1], xx+k*m[2], yy+k*m[3], xy+k*m[4]
		}
		mx, my := sx/n, sy/n
		x2, y2, both := s.mixed(n, xx/n-mx*mx, yy/n-my*my, xy/n-mx*my, 0)
		share := n / (n + priorBias)
		now.Normal = Normal{
			X:   s.X + share*(mx-s.X),
			Y:   s.Y + share*(my-s.Y),
			SX:  math.Sqrt(x2),
			SY:  math.Sqrt(y2),
			Rho: unit(both / math.Sqrt(x2*y2)),
		}.steady()
	}
	now.Logged = s.Logged + int(n)
	return now
}

// momentsIn is the mean of x, y, x², y² and xy of what lies in a zone.
func (n Normal) momentsIn(z Zone) [5]float64 {
	const far = 6.0
	left, right := math.Max(z.Left, n.X-far*n.SX), math.Min(z.Right, n.X+far*n.SX)
	bottom, top := math.Max(z.Bottom, n.Y-far*n.SY), math.Min(z.Top, n.Y+far*n.SY)
	if left >= right || bottom >= top { // nothing was expected there: its nearest place stands for it
		x, y := math.Max(z.Left, math.Min(n.X, z.Right)), math.Max(z.Bottom, math.Min(n.Y, z.Top))
		return [5]float64{x, y, x * x, y * y, x * y}
	}
	var m [5]float64
	weights := 0.0
	g := gauss()
	for i, u := range g.at {
		x := left + (right-left)*u
		for j, v := range g.at {
			y := bottom + (top-bottom)*v
			zx, zy := (x-n.X)/n.SX, (y-n.Y)/n.SY
			w := g.weight[i] * g.weight[j] * math.Exp(-(zx*zx-2*n.Rho*zx*zy+zy*zy)/(2*(1-n.Rho*n.Rho)))
			weights += w
			m[0], m[1], m[2], m[3], m[4] = m[0]+w*x, m[1]+w*y, m[2]+w*x*x, m[3]+w*y*y, m[4]+w*x*y
		}
	}
	for i := range m {
		m[i] /= weights
	}
	return m
}

// String says how far a ball lands from where it was aimed.
func (s Scatter) String() string {
	return fmt.Sprintf("%.2f m across, %.2f m along", s.SX, s.SY)
}
