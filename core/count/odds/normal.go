package odds

import (
	"math"
	"slices"
	"sync"

	"gonum.org/v1/gonum/integrate/quad"

	"hodometer/core/sport/court"
)

// Normal is where a ball goes: a bivariate normal distribution, in metres.
type Normal struct {
	X   float64 `json:"x"`
	Y   float64 `json:"y"`
	SX  float64 `json:"sx" description:"Standard deviation across the court"`
	SY  float64 `json:"sy" description:"Standard deviation along the court"`
	Rho float64 `json:"rho" description:"Correlation of the two"`
}

// at is the same distribution with its mean moved.
func (n Normal) at(p court.Point) Normal {
	n.X, n.Y = n.X+p.X, n.Y+p.Y
	return n
}

// area is a part of the plane, as spans of y for each x.
type area struct {
	breaks  []float64 // in order: its left end, where its outline turns, its right end
	round   float64   // of a circle: its radius, since its outline is steep at both ends
	centre  float64   // of a circle
	between func(x float64) []span
}

type span struct{ from, to float64 }

// rule is how a panel is added up: at places between 0 and 1, each with a weight.
type rule struct{ at, weight [16]float64 }

var (
	gaussRule rule
	gaussOnce sync.Once
)

// gauss is Gauss and Legendre's rule. It is worked out when it is asked for: a device that sees no landings carries
// nothing of it.
func gauss() *rule {
	gaussOnce.Do(func() { quad.Legendre{}.FixedLocations(gaussRule.at[:], gaussRule.weight[:], 0, 1) })
	return &gaussRule
}

// in is the chance to land in an area: the density of x times the chance of y given x, by Gauss and
// Legendre's rule in panels of at most two standard deviations; over a circle with x = r sin θ.
// Its error is below 1e-5.
func (n Normal) in(a area) float64 {
	const (
		far    = 8.0 // standard deviations beyond which nothing lands
		panels = 64  // at most, for each part of the outline
	)
	rho := math.Max(-0.999, math.Min(n.Rho, 0.999))
	slope, spread := rho*n.SY/n.SX, n.SY*math.Sqrt(1-rho*rho)
	density := func(x float64) float64 {
		z := (x - n.X) / n.SX
		middle, inside := n.Y+slope*(x-n.X), 0.0
		for _, s := range a.between(x) {
			if s.from < s.to {
				inside += below((s.to-middle)/spread) - below((s.from-middle)/spread)
			}
		}
		return math.Exp(-z*z/2) / (n.SX * math.Sqrt(2*math.Pi)) * inside
	}
	sum := 0.0
	for i := 1; i < len(a.breaks); i++ {
		low, high := math.Max(a.breaks[i-1], n.X-far*n.SX), math.Min(a.breaks[i], n.X+far*n.SX)
		if low >= high {
			continue
		}
		count := math.Ceil(math.Max(1, math.Min((high-low)/(2*math.Min(n.SX, spread)), panels)))
		x, step := func(t float64) (at, by float64) { return t, 1 }, 0.0
		if r := a.round; r > 0 {
			low, high = math.Asin(unit((low-a.centre)/r)), math.Asin(unit((high-a.centre)/r))
			x = func(t float64) (at, by float64) { return a.centre + r*math.Sin(t), r * math.Cos(t) }
		}
		step = (high - low) / count
		g := gauss()
		for panel := range int(count) {
			from := low + step*float64(panel)
			for j, at := range g.at {
				place, by := x(from + step*at)
				sum += step * g.weight[j] * by * density(place)
			}
		}
	}
	return math.Max(0, math.Min(sum, 1))
}

// below is the chance of a standard normal variable to be less than z.
func below(z float64) float64 { return math.Erfc(-z/math.Sqrt2) / 2 }

func unit(v float64) float64 { return math.Max(-1, math.Min(v, 1)) }

// rect is an upright rectangle.
type rect struct{ left, right, bottom, top float64 }

// cut is the part that lies in another one.
func (r rect) cut(by rect) rect {
	return rect{
		math.Max(r.left, by.left),
		math.Min(r.right, by.right),
		math.Max(r.bottom, by.bottom),
		math.Min(r.top, by.top),
	}
}

func (r rect) area() area {
	return area{
		breaks:  []float64{r.left, math.Max(r.left, r.right)},
		between: func(float64) []span { return []span{{r.bottom, r.top}} },
	}
}

// disc is a circle as far as it lies in a rectangle.
func disc(centre court.Point, radius float64, in rect) area {
	breaks := []float64{in.left, in.right}
	// Where the circle crosses the ends of the rectangle its outline turns.
	for _, y := range []float64{in.bottom, in.top} {
		if d := math.Abs(y - centre.Y); d < radius {
			half := math.Sqrt(radius*radius - d*d)
			breaks = append(breaks, centre.X-half, centre.X+half)
		}
	}
	slices.Sort(breaks)
	return area{breaks: breaks, round: radius, centre: centre.X, between: func(x float64) []span {
		half := math.Sqrt(math.Max(0, radius*radius-(x-centre.X)*(x-centre.X)))
		if half == 0 || x < in.left || x > in.right {
			return nil
		}
		return []span{{math.Max(centre.Y-half, in.bottom), math.Min(centre.Y+half, in.top)}}
	}}
}

// outline is a polygon as far as it lies in a rectangle.
func outline(corners []court.Point, in rect) area {
	breaks := []float64{in.left, in.right}
	for i, p := range corners {
		breaks = append(breaks, p.X)
		q := corners[(i+1)%len(corners)]
		for _, y := range []float64{in.bottom, in.top} {
			if (p.Y-y)*(q.Y-y) < 0 {
				breaks = append(breaks, p.X+(q.X-p.X)*(y-p.Y)/(q.Y-p.Y))
			}
		}
	}
	slices.Sort(breaks)
	return area{breaks: breaks, between: func(x float64) []span {
		if x < in.left || x > in.right {
			return nil
		}
		var edges []float64
		for i, p := range corners {
			q := corners[(i+1)%len(corners)]
			if (p.X > x) != (q.X > x) {
				edges = append(edges, p.Y+(q.Y-p.Y)*(x-p.X)/(q.X-p.X))
			}
		}
		slices.Sort(edges)
		var list []span
		for i := 1; i < len(edges); i += 2 {
			list = append(list, span{math.Max(edges[i-1], in.bottom), math.Min(edges[i], in.top)})
		}
		return list
	}}
}
