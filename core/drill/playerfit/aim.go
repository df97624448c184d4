package playerfit

import (
	"math"

	"hodometer/core/sport/court"
)

// bestAim is the reply that is good most often of those aimed into a goal on the ground, in the middle across: the
// chance rises to one highest depth and falls from there, as that of a normal variable to come into an interval does.
// The error is that of an aim at the middle, where no aim can be played, or where not any one will do.
func bestAim(g goal, anywhere bool, try func(at court.Point) (replies, error)) (replies, error) {
	near, far := depths(g)
	at := func(y float64) court.Point {
		return court.Point{X: g.shape.Centre.X, Y: math.Max(near, math.Min(y, far))}
	}
	best, err := try(at(g.shape.Centre.Y))
	from, to := reaches(g.shape)
	if err != nil && anywhere || err == nil && to-from > deep*math.Min(best.scatter.SY, 1) {
		// Its middle cannot be reached, or it is so deep that a flat ball and a lofted one are both good somewhere in it.
		for _, share := range []float64{0.3, 0.45, 0.6, 0.75, 0.9} {
			r, failed := try(at(near + share*(far-near)))
			if failed == nil && (err != nil || r.in > best.in) {
				best, err = r, nil
			}
		}
	}
	if err != nil {
		return best, err
	}
	return climbed(best, func(y float64) (replies, bool) {
		r, failed := try(at(y))
		return r, failed == nil
	}), nil
}

// climbed goes on from an aim along the court to the best one: in steps as far as it gets better, then to the top of a
// parabola through the logarithms of the last three.
func climbed(best replies, try func(y float64) (replies, bool)) replies {
	const share, steps = 0.4, 5
	step := share * best.scatter.SY
	before, ok1 := try(best.at.Y - step)
	after, ok2 := try(best.at.Y + step)
	for range steps {
		switch {
		case ok2 && after.in > best.in:
			before, best, ok1 = best, after, true
			after, ok2 = try(best.at.Y + step)
		case ok1 && before.in > best.in:
			after, best, ok2 = best, before, true
			before, ok1 = try(best.at.Y - step)
		}
	}
	if !ok1 || !ok2 {
		return best
	}
	const least = 1e-12
	a, b, c := math.Log(before.in+least), math.Log(best.in+least), math.Log(after.in+least)
	if bend := a - 2*b + c; bend < 0 {
		top := best.at.Y + step*(a-c)/(2*bend)
		if r, ok := try(top); ok && r.in > best.in {
			return r
		}
	}
	return best
}

// deep is how many standard deviations along the court, of a metre at most, a target reaches that may have more than
// one best depth.
const deep = 3

// depths is from where to where along the court balls are aimed: as far as they are good, and where a wall says that,
// over the whole target.
func depths(g goal) (near, far float64) {
	if len(g.legal.Corners) > 2 {
		return reaches(g.legal)
	}
	return reaches(g.shape)
}

// reaches is from where to where along the court a target on the ground lies.
func reaches(s court.Shape) (near, far float64) {
	near, far = s.Centre.Y-s.Radius, s.Centre.Y+s.Radius
	for i, p := range s.Corners {
		if i == 0 {
			near, far = p.Y, p.Y
		}
		near, far = math.Min(near, p.Y), math.Max(far, p.Y)
	}
	return near, far
}
