package court

import (
	"fmt"
	"math"
	"slices"

	"hodometer/core/invalid"
	"hodometer/core/units"
)

// TargetKind is the shape of a target.
type TargetKind string

// The shapes. A gate stands between two marks, or between a mark and a line; an object is a cone or a can
// with its footprint; a window is a band of heights above the net; a wall band one on the front wall; a
// double bounce is two bounces inside a box.
const (
	Circle       TargetKind = "circle"
	Strip        TargetKind = "strip"
	BoxTarget    TargetKind = "box"
	Polygon      TargetKind = "polygon"
	Gate         TargetKind = "gate"
	Object       TargetKind = "object"
	Window       TargetKind = "window"
	WallBand     TargetKind = "wall band"
	DoubleBounce TargetKind = "double bounce"
)

// Target is where the player aims. Which fields count depends on its kind.
type Target struct {
	Kind   TargetKind `json:"kind"`
	Mark   *Mark      `json:"mark,omitempty" description:"The middle of a circle, an object or a rectangle; one post of a gate; where along the net or wall a window or band is"`
	Other  *Mark      `json:"other,omitempty" description:"The other post of a gate"`
	Points []Mark     `json:"points,omitempty" maxItems:"12" description:"The corners of a polygon, in order round it"`
	Radius float64    `json:"radius,omitempty" minimum:"0" maximum:"20" description:"Of a circle or an object's footprint, metres"`
	Line   LineID     `json:"line,omitempty" maxLength:"40" description:"The line a strip lies along, or the line that closes a gate"`
	Depth  float64    `json:"depth,omitempty" minimum:"0" maximum:"20" description:"Of a strip or a rectangle, metres"`
	Width  float64    `json:"width,omitempty" minimum:"0" maximum:"40" description:"Of a rectangle, window or band, metres; 0 for all along"`
	Box    BoxID      `json:"box,omitempty" maxLength:"40" description:"A named box instead of a rectangle, or where the ball bounces twice"`
	Low    float64    `json:"low,omitempty" minimum:"0" maximum:"12" description:"Of a window: metres above the net; of a band: above the floor"`
	High   float64    `json:"high,omitempty" minimum:"0" maximum:"12"`
}

// Ring is a circle round a mark.
func Ring(radius float64, mark Mark) Target {
	return Target{Kind: Circle, Radius: radius, Mark: &mark}
}

// StripAlong is a strip along a line.
func StripAlong(line LineID, depth float64) Target {
	return Target{Kind: Strip, Line: line, Depth: depth}
}

// Shape is a resolved target, ready to be drawn and measured.
type Shape struct {
	Kind    TargetKind `json:"kind"`
	Centre  Point      `json:"centre"`
	Radius  float64    `json:"radius" description:"Of a circle or an object; 0 for the others"`
	Corners []Point    `json:"corners" description:"In order round it; of a gate, a window or a wall band its two ends"`
	Low     float64    `json:"low" description:"Of a window or a wall band: height above the floor at its middle"`
	High    float64    `json:"high"`
	Area    float64    `json:"area" description:"Square metres that lie in; of a gate its width in metres; of a window or band its face"`
	Out     float64    `json:"out" description:"Share that lies out, which never counts"`
	Box     string     `json:"box" description:"The smallest box that holds all of it that lies in, in words; empty where there is none"`
	Share   float64    `json:"share" description:"Its area as a share of that box"`
	Margin  float64    `json:"margin" description:"From its middle to the nearest line: the error before the ball is out, metres"`
	Nearest LineID     `json:"nearest"`
}

// Shape resolves a target on the court as it is played. Only what lies in counts towards its area.
func (c Court) Shape(t Target, format Format) (Shape, error) {
	var s Shape
	var err error
	switch t.Kind {
	case Circle, Object:
		s, err = c.circle(t, format)
	case Strip:
		s, err = c.strip(t, format)
	case BoxTarget, DoubleBounce:
		s, err = c.box(t, format)
	case Polygon:
		s, err = c.polygon(t, format)
	case Gate:
		s, err = c.gate(t)
	case Window, WallBand:
		return c.upright(t)
	default:
		return s, invalid.Fields{{Path: "kind", Message: "there is no target of this shape"}}
	}
	if err != nil {
		return s, err
	}
	s.Kind = t.Kind
	line, margin := c.Margin(s.Centre, format)
	s.Margin, s.Nearest = margin, line.ID
	if box, ok := c.around(s, format); ok && s.Kind != Gate {
		s.Box, s.Share = box.Name, math.Min(1, s.Area/box.Area())
	}
	return s, nil
}

// around finds the smallest box that holds all of a target that lies in; ok is false where none does.
func (c Court) around(s Shape, format Format) (box Box, ok bool) {
	half, end := c.InPlay(format)/2, c.Length/2
	part := clip(s.Corners, rectangle(-half, half, -end, end))
	if r := s.Radius; r > 0 {
		part = rectangle(math.Max(-half, s.Centre.X-r), math.Min(half, s.Centre.X+r), math.Max(-end, s.Centre.Y-r), math.Min(end, s.Centre.Y+r))
	}
	for _, b := range c.Boxes {
		if !slices.ContainsFunc(part, func(p Point) bool { return !b.nearly(p) }) {
			return b, len(part) > 0
		}
	}
	return Box{}, false
}

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
		return Shape{}, invalid.Fields{{Path: "line", Message: "a strip lies along an end line, a service line or a sideline"}}
	}
	if t.Depth <= 0 {
		return Shape{}, sizeless("depth")
	}
	inner := at - math.Copysign(t.Depth, at)
	if inner*at < 0 {
		return Shape{}, invalid.Fields{{Path: "depth", Message: fmt.Sprintf("from the %s the strip would reach past the middle; at most %s", line.Name, units.Metres.Length(math.Abs(at)))}}
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
		return Shape{}, invalid.Fields{{Path: "points", Message: fmt.Sprintf("the sides after corners %d and %d cross; put the corners in order round the area", i+1, j+1)}}
	}
	return c.outline(corners, format)
}

// outline measures an area from its corners.
func (c Court) outline(corners []Point, format Format) (Shape, error) {
	whole, centre := area(corners)
	const leastArea = 1e-6 // a square millimetre
	if whole < leastArea {
		return Shape{}, sizeless("points")
	}
	half, end := c.InPlay(format)/2, c.Length/2
	in, _ := area(clip(corners, rectangle(-half, half, -end, end)))
	return Shape{Corners: corners, Centre: centre, Area: in, Out: share(whole-in, whole)}, nil
}

func (c Court) gate(t Target) (Shape, error) {
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
	return Shape{Corners: []Point{post, other}, Centre: Point{(post.X + other.X) / 2, (post.Y + other.Y) / 2}, Area: width}, nil
}

// upright resolves a window above the net or a band on the front wall of a squash court.
func (c Court) upright(t Target) (Shape, error) {
	s := Shape{Kind: t.Kind}
	half, ceiling := c.Net.HalfUp, math.Inf(1)
	switch {
	case t.Kind == Window && half == 0:
		return s, invalid.Fields{{Path: "kind", Message: "this court has no net to aim over"}}
	case t.Kind == WallBand && len(c.Walls) == 0:
		return s, invalid.Fields{{Path: "kind", Message: "this court has no walls to aim at"}}
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

// Mirrored is the same target with left and right swapped.
func (t Target) Mirrored() Target {
	t.Line, t.Box = t.Line.Mirrored(), t.Box.mirrored()
	for _, mark := range []**Mark{&t.Mark, &t.Other} {
		if *mark != nil {
			mirrored := (*mark).Mirrored()
			*mark = &mirrored
		}
	}
	if t.Points != nil {
		points := make([]Mark, len(t.Points))
		for i, p := range t.Points {
			points[i] = p.Mirrored()
		}
		t.Points = points
	}
	return t
}

// DescribeTarget puts a target into a coach's words.
func (c Court) DescribeTarget(t Target, tape Tape) string {
	line, _ := c.Line(t.Line)
	box, _ := c.Box(t.Box)
	at := ""
	if t.Mark != nil {
		at = c.Describe(*t.Mark, tape)
	}
	switch t.Kind {
	case Strip:
		return fmt.Sprintf("strip %s deep inside the %s", tape.Length(t.Depth), line.Name)
	case BoxTarget:
		if t.Box != "" {
			return box.Name
		}
		return fmt.Sprintf("rectangle %s wide and %s deep round the mark: %s", tape.Length(t.Width), tape.Length(t.Depth), at)
	case DoubleBounce:
		return "two bounces in the " + box.Name
	case Polygon:
		return fmt.Sprintf("area with %d corners", len(t.Points))
	case Gate:
		if t.Line != "" {
			return fmt.Sprintf("gate between the %s and the mark: %s", line.Name, at)
		}
		if t.Other != nil {
			return fmt.Sprintf("gate between two marks: %s; and %s", at, c.Describe(*t.Other, tape))
		}
	case Object:
		return fmt.Sprintf("cone or can, %s across, at the mark: %s", tape.Length(2*t.Radius), at)
	case Window:
		return fmt.Sprintf("window from %s to %s above the net", tape.Length(t.Low), tape.Length(t.High))
	case WallBand:
		return fmt.Sprintf("band on the front wall from %s to %s", tape.Length(t.Low), tape.Length(t.High))
	}
	return fmt.Sprintf("circle within %s of the mark: %s", tape.Length(t.Radius), at)
}

// Scaled is the target so many times as large about the same place; false where it has no size of its
// own, or would be larger than targets can be. A strip keeps its line, a window its lower edge.
func (t Target) Scaled(by float64) (Target, bool) {
	const longest = 20 // metres
	switch {
	case t.Kind == Circle || t.Kind == Object:
		t.Radius *= by
		return t, t.Radius <= longest
	case t.Kind == Strip:
		t.Depth *= by
		return t, t.Depth <= longest
	case t.Kind == Window || t.Kind == WallBand:
		t.High = t.Low + by*(t.High-t.Low)
		return t, t.High <= longest/2
	case t.Kind == BoxTarget && t.Box == "":
		t.Width, t.Depth = t.Width*by, t.Depth*by
		return t, math.Max(t.Width, t.Depth) <= longest
	}
	return t, false
}
