package court

import (
	"fmt"
	"math"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/units"
)

func sizeless(path string) error {
	return invalid.Fields{{Path: path, Message: "a target of no size cannot be hit"}}
}

// need resolves a mark that a target cannot do without.
func (c Court) need(path string, m *Mark, what string) (Point, error) {
	if m == nil {
		return Point{}, invalid.Fields{{Path: path, Message: "say where " + what + " is"}}
	}
	p, err := c.Resolve(*m)
	if err != nil {
		var wrong invalid.Fields
		wrong.Under(path, err)
		return p, wrong.Err()
	}
	return p, nil
}

func (c Court) circle(t Target, format Format) (Shape, error) {
	centre, err := c.need("mark", t.Mark, "its middle")
	if err != nil {
		return Shape{}, err
	}
	if t.Radius <= 0 {
		return Shape{}, sizeless("radius")
	}
	whole := math.Pi * t.Radius * t.Radius
	in := c.circleIn(centre, t.Radius, format)
	return Shape{Centre: centre, Radius: t.Radius, Corners: []Point{}, Area: in, Out: share(whole-in, whole)}, nil
}

// share is a part of a whole, without the last digits that rounding leaves.
func share(part, whole float64) float64 { return math.Round(part/whole*1e6) / 1e6 }

// circleIn is the area of a circle that lies in: the integral, by Simpson's rule with the substitution
// x = r sin θ, of the chord clipped at the ends of the court.
func (c Court) circleIn(centre Point, r float64, format Format) float64 {
	half, end := c.InPlay(format)/2, c.Length/2
	if half-math.Abs(centre.X) >= r && end-math.Abs(centre.Y) >= r {
		return math.Pi * r * r
	}
	const panels = 200
	// Only x inside the court counts: the limits are the sidelines, as angles.
	from, to := math.Asin(clamp((-half-centre.X)/r)), math.Asin(clamp((half-centre.X)/r))
	sum, step := 0.0, (to-from)/panels
	for i := range panels + 1 {
		theta := from + step*float64(i)
		chord := r * math.Cos(theta)
		top, bottom := math.Min(centre.Y+chord, end), math.Max(centre.Y-chord, -end)
		weight := 2.0
		switch {
		case i == 0 || i == panels:
			weight = 1
		case i%2 == 1:
			weight = 4
		}
		sum += weight * math.Max(0, top-bottom) * r * math.Cos(theta)
	}
	return sum * step / 3
}

func clamp(v float64) float64 { return math.Max(-1, math.Min(1, v)) }

func (c Court) strip(t Target, format Format) (Shape, error) {
	line, ok := c.Line(t.Line)
	if !ok {
		return Shape{}, c.noLine("line", t.Line)
	}
	at, isY := line.position()
	if at == 0 {
		return Shape{}, invalid.Fields{
			{Path: "line", Message: "a strip lies along an end line, a service line or a sideline"},
		}
	}
	if t.Depth <= 0 {
		return Shape{}, sizeless("depth")
	}
	inner := at - math.Copysign(t.Depth, at)
	if inner*at < 0 {
		return Shape{}, invalid.Fields{
			{
				Path: "depth",
				Message: fmt.Sprintf(
					"from the %s the strip would reach past the middle; at most %s",
					line.Name,
					units.Metres.Length(math.Abs(at)),
				),
			},
		}
	}
	low, high := math.Min(at, inner), math.Max(at, inner)
	if isY {
		return c.outline(rectangle(-c.InPlay(format)/2, c.InPlay(format)/2, low, high), format)
	}
	return c.outline(rectangle(low, high, 0, c.Length/2), format)
}

func (c Court) box(t Target, format Format) (Shape, error) {
	if t.Box != "" {
		box, ok := c.Box(t.Box)
		if !ok {
			return Shape{}, invalid.Fields{{Path: "box", Message: fmt.Sprintf("%s has no box called %q", c.Name, t.Box)}}
		}
		return c.outline(rectangle(box.Min.X, box.Max.X, box.Min.Y, box.Max.Y), format)
	}
	centre, err := c.need("mark", t.Mark, "its middle")
	if err != nil {
		return Shape{}, err
	}
	if t.Width <= 0 {
		return Shape{}, sizeless("width")
	}
	if t.Depth <= 0 {
		return Shape{}, sizeless("depth")
	}
	return c.outline(rectangle(centre.X-t.Width/2, centre.X+t.Width/2, centre.Y-t.Depth/2, centre.Y+t.Depth/2), format)
}

func rectangle(left, right, bottom, top float64) []Point {
	return []Point{{left, bottom}, {right, bottom}, {right, top}, {left, top}}
}

func (c Court) polygon(t Target, format Format) (Shape, error) {
	if len(t.Points) < 3 {
		return Shape{}, invalid.Fields{{Path: "points", Message: "a polygon has at least three corners"}}
	}
	corners := make([]Point, len(t.Points))
	for i := range t.Points {
		var err error
		if corners[i], err = c.need(invalid.Join("points", i), &t.Points[i], "this corner"); err != nil {
			return Shape{}, err
		}
	}
	if i, j, crossed := crossing(corners); crossed {
		return Shape{}, invalid.Fields{
			{
				Path:    "points",
				Message: fmt.Sprintf("the sides after corners %d and %d cross; put the corners in order round the area", i+1, j+1),
			},
		}
	}
	return c.outline(corners, format)
}

// outline measures an area from its corners.
func (c Court) outline(corners []Point, format Format) (Shape, error) {
	whole, centre := area(corners)
	const minArea = 1e-6 // a square millimetre
	if whole < minArea {
		return Shape{}, sizeless("points")
	}
	half, end := c.InPlay(format)/2, c.Length/2
	in, _ := area(clip(corners, rectangle(-half, half, -end, end)))
	return Shape{Corners: corners, Centre: centre, Area: in, Out: share(whole-in, whole)}, nil
}

func (c Court) gate(t Target, _ Format) (Shape, error) {
	post, err := c.need("mark", t.Mark, "the post of the gate")
	if err != nil {
		return Shape{}, err
	}
	var other Point
	if t.Line != "" {
		line, ok := c.Line(t.Line)
		if !ok {
			return Shape{}, c.noLine("line", t.Line)
		}
		other = post
		if at, isY := line.position(); isY {
			other.Y = at
		} else {
			other.X = at
		}
	} else if other, err = c.need("other", t.Other, "the other post"); err != nil {
		return Shape{}, err
	}
	width := post.Distance(other)
	if width < 1e-3 {
		return Shape{}, sizeless("other")
	}
	return Shape{
		Corners: []Point{post, other},
		Centre:  Point{(post.X + other.X) / 2, (post.Y + other.Y) / 2},
		Area:    width,
	}, nil
}

// upright resolves a window above the net or a band on the front wall of a squash court.
func (c Court) upright(t Target, _ Format) (Shape, error) {
	s := Shape{Kind: t.Kind}
	half, ceiling := c.Net.HalfUp, math.Inf(1)
	switch {
	case t.Kind == Window && half == 0:
		return s, invalid.Fields{{Path: "kind", Message: "this court has no net to aim over"}}
	case t.Kind == WallBand && !c.HasFrontWall():
		return s, invalid.Fields{{Path: "kind", Message: "this court has no wall in front to aim at"}}
	case t.High <= t.Low:
		return s, sizeless("high")
	case t.Kind == WallBand:
		half, s.Centre.Y, s.Nearest = c.Width/2, c.Length/2, FrontWall
		ceiling = c.Walls[2].From
	default:
		s.Nearest = NetLine
	}
	if t.Mark != nil {
		at, err := c.need("mark", t.Mark, "its middle")
		if err != nil {
			return s, err
		}
		s.Centre.X = at.X
	}
	width := t.Width
	if width == 0 {
		width, s.Centre.X = 2*half, 0
	}
	s.Low, s.High = t.Low, t.High
	if t.Kind == Window {
		above := c.Net.Height(s.Centre.X)
		s.Low, s.High = s.Low+above, s.High+above
	}
	left, right := math.Max(s.Centre.X-width/2, -half), math.Min(s.Centre.X+width/2, half)
	face := math.Max(0, right-left) * math.Max(0, math.Min(s.High, ceiling)-s.Low)
	s.Corners = []Point{{s.Centre.X - width/2, s.Centre.Y}, {s.Centre.X + width/2, s.Centre.Y}}
	s.Area, s.Out = face, share(width*(s.High-s.Low)-face, width*(s.High-s.Low))
	s.Margin = t.Low // over the net; for a band, over the floor
	if t.Kind == WallBand {
		s.Margin = math.Min(s.Low-c.Walls[0].From, ceiling-s.High)
	}
	return s, nil
}
