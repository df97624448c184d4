package odds

import (
	"context"
	"math"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/units"
	"hodometer/core/sport/court"
)

// Aim is a place to aim at, and what becomes of balls aimed there.
type Aim struct {
	At     court.Point `json:"at"`
	Shares Shares      `json:"shares"`
	Within bool        `json:"within" description:"Errors stay under the share that was chosen; else this is where there are fewest"`
}

// BestAim finds where to aim so that the target is hit most often while the share of balls that are out or
// in the net stays under the most that is wanted. The scatter is taken to be the same about every aim near
// the target. A grid over the target and a standard deviation around it is refined by a pattern search
// down to a centimetre.
func (g Ground) BestAim(ctx context.Context, s Scatter, most float64) (Aim, error) {
	if !(most > 0) || most > 1 {
		return Aim{}, invalid.Fields{
			{Path: "errors", Message: "the share of errors is between 0 and 10 of 10, and more than none"},
		}
	}
	try := func(at court.Point) (Aim, float64) {
		a := Aim{At: at, Shares: g.Shares(s, at)}
		errors := a.Shares.Errors()
		if a.Within = errors <= most; a.Within {
			return a, a.Shares.In
		}
		return a, most - errors // less than nothing, and the less the more errors
	}
	left, right, bottom, top := g.bounds()
	best, score := try(court.Point{X: (left + right) / 2, Y: (bottom + top) / 2})
	const cells = 8
	stepX, stepY := (right-left+2*s.SX)/cells, (top-bottom+2*s.SY)/cells
	for i := range cells + 1 {
		if err := ctx.Err(); err != nil {
			return Aim{}, err
		}
		for j := range cells + 1 {
			at := court.Point{X: left - s.SX + stepX*float64(i), Y: bottom - s.SY + stepY*float64(j)}
			if a, value := try(at); value > score {
				best, score = a, value
			}
		}
	}
	for step := math.Max(stepX, stepY) / 2; step > 0.01; step /= 2 {
		for moved := true; moved; {
			moved = false
			for _, d := range [][2]float64{{1, 0}, {-1, 0}, {0, 1}, {0, -1}, {1, 1}, {1, -1}, {-1, 1}, {-1, -1}} {
				if a, value := try(court.Point{X: best.At.X + d[0]*step, Y: best.At.Y + d[1]*step}); value > score+1e-9 {
					best, score, moved = a, value, true
				}
			}
		}
	}
	return best, nil
}

// bounds is the smallest upright rectangle round the part of the target that is in.
func (g Ground) bounds() (left, right, bottom, top float64) {
	c, r := g.shape.Centre, g.shape.Radius
	whole := rect{c.X - r, c.X + r, c.Y - r, c.Y + r}
	if len(g.shape.Corners) > 0 {
		whole = around(g.shape.Corners)
	}
	in := whole.cut(g.in)
	return in.left, in.right, in.bottom, in.top
}

// around is the smallest rectangle round some corners, of which there is one at least.
func around(corners []court.Point) rect {
	r := rect{corners[0].X, corners[0].X, corners[0].Y, corners[0].Y}
	for _, p := range corners {
		r = rect{math.Min(r.left, p.X), math.Max(r.right, p.X), math.Min(r.bottom, p.Y), math.Max(r.top, p.Y)}
	}
	return r
}

// Boldest is the place nearest to a corner of the court, along the line from there to the middle of the
// half that is played to, at which errors still stay under a share: how daring a mark may be. It is false
// where not even the middle keeps them.
func (g Ground) Boldest(s Scatter, corner court.Point, most float64) (court.Point, bool) {
	middle := court.Point{Y: (g.in.bottom + g.in.top) / 2}
	at := func(f float64) court.Point {
		return court.Point{X: corner.X + f*(middle.X-corner.X), Y: corner.Y + f*(middle.Y-corner.Y)}
	}
	keeps := func(f float64) bool { return g.Shares(s, at(f)).Errors() <= most }
	if !keeps(1) {
		return middle, false
	}
	low, high := 0.0, 1.0
	for range 40 {
		if mid := (low + high) / 2; keeps(mid) {
			high = mid
		} else {
			low = mid
		}
	}
	return at(high), true
}

// FitSize is the target that is hit so often by somebody who aims at its middle: the same shape about the
// same place, larger or smaller. The chance of a size is worked out by what is passed in, so that it
// serves targets on the ground and upright ones. It returns invalid.Fields: also where even the
// largest is hit less often.
func FitSize(
	ctx context.Context,
	t court.Target,
	wanted float64,
	chance func(court.Target) (float64, error),
) (court.Target, error) {
	if !(wanted > 0) || wanted >= 1 {
		return t, invalid.Fields{
			{Path: "wanted", Message: "a target is hit between 0 and 10 of 10 times, and neither never nor always"},
		}
	}
	if _, ok := t.Scaled(1); !ok {
		return t, invalid.Fields{
			{Path: "target.kind", Message: "a box of the court has the size it has; choose a circle or a strip to fit it"},
		}
	}
	low, high, top := math.Log(0.02), math.Log(50.0), 0.0
	for range 24 {
		if err := ctx.Err(); err != nil {
			return t, err
		}
		mid := (low + high) / 2
		tried, ok := t.Scaled(math.Exp(mid))
		var hit float64
		if ok {
			var err error
			if hit, err = chance(tried); err != nil {
				ok = false
			}
		}
		if ok && hit < wanted {
			low, top = mid, math.Max(top, hit)
		} else {
			high = mid
		}
	}
	fitted, _ := t.Scaled(math.Exp(high))
	if hit, err := chance(fitted); err != nil || hit < wanted-1e-3 {
		return t, invalid.Fields{
			{
				Path: "wanted",
				Message: "no size of this target is hit " + ofTen(
					wanted,
				) + "; the largest that makes sense is hit about " + units.Decimal(
					10*top,
					1,
				),
			},
		}
	}
	return fitted, nil
}
