package court

import (
	"fmt"
	"math"

	"hodometer/core/invalid"
	"hodometer/core/units"
)

// TargetKind is the shape of a target.
type TargetKind string

// Circle is a ring round a mark; Strip is a band along a line, on the court side of it.
const (
	Circle TargetKind = "circle"
	Strip  TargetKind = "strip"
)

// Enum lists the shapes for the schema.
func (TargetKind) Enum() []any { return []any{Circle, Strip} }

// Target is where the player aims.
type Target struct {
	Kind   TargetKind `json:"kind"`
	Mark   *Mark      `json:"mark,omitempty" description:"The middle of a circle"`
	Radius float64    `json:"radius,omitempty" minimum:"0" maximum:"20" description:"Of a circle, metres"`
	Line   LineID     `json:"line,omitempty" maxLength:"40" description:"The line a strip lies along"`
	Depth  float64    `json:"depth,omitempty" minimum:"0" maximum:"20" description:"Of a strip, metres"`
}

// Ring is a circle round a mark.
func Ring(radius float64, mark Mark) Target {
	return Target{Kind: Circle, Radius: radius, Mark: &mark}
}

// Band is a strip along a line.
func Band(line LineID, depth float64) Target { return Target{Kind: Strip, Line: line, Depth: depth} }

// Shape is a resolved target, ready to be drawn: a circle with its radius, or the corners of a box.
type Shape struct {
	Kind    TargetKind `json:"kind"`
	Centre  Point      `json:"centre"`
	Radius  float64    `json:"radius"`
	Corners []Point    `json:"corners" description:"Of a strip, in order round it"`
	Area    float64    `json:"area" description:"Square metres that lie in"`
	Margin  float64    `json:"margin" description:"From the middle of the target to the nearest line, metres"`
	Nearest LineID     `json:"nearest"`
}

// Shape resolves a target. A circle's area counts only the part that lies in the court.
func (c Court) Shape(t Target) (Shape, error) {
	switch t.Kind {
	case Circle:
		return c.circle(t)
	case Strip:
		return c.strip(t)
	}
	return Shape{}, invalid.Fields{{Path: "kind", Message: "a target is a circle or a strip"}}
}

func (c Court) circle(t Target) (Shape, error) {
	var wrong invalid.Fields
	if t.Mark == nil {
		return Shape{}, invalid.Fields{{Path: "mark", Message: "say where the middle of the circle is"}}
	}
	centre, err := c.Resolve(*t.Mark)
	wrong.Under("mark", err)
	if t.Radius <= 0 {
		wrong.Add("radius", "a target of no size cannot be hit; give it a radius")
	}
	if wrong.Err() != nil {
		return Shape{}, wrong.Err()
	}
	line, margin := c.Margin(centre)
	return Shape{
		Kind: Circle, Centre: centre, Radius: t.Radius, Corners: []Point{},
		Area: c.circleIn(centre, t.Radius), Margin: margin, Nearest: line.ID,
	}, nil
}

// circleIn is the area of a circle that lies in the singles court: the integral, by Simpson's rule
// with the substitution x = r sin θ, of the chord clipped at the baselines.
func (c Court) circleIn(centre Point, r float64) float64 {
	const panels = 400
	sum := 0.0
	for i := range panels + 1 {
		theta := -math.Pi/2 + math.Pi*float64(i)/panels
		x, half := r*math.Sin(theta), r*math.Cos(theta)
		chord := 0.0
		if math.Abs(centre.X+x) <= c.Singles/2 {
			top := math.Min(centre.Y+half, c.Length/2)
			bottom := math.Max(centre.Y-half, -c.Length/2)
			chord = math.Max(0, top-bottom)
		}
		weight := 2.0
		switch {
		case i == 0 || i == panels:
			weight = 1
		case i%2 == 1:
			weight = 4
		}
		sum += weight * chord * half // dx = r cos θ dθ
	}
	return sum * math.Pi / panels / 3
}

func (c Court) strip(t Target) (Shape, error) {
	var wrong invalid.Fields
	line, ok := c.Line(t.Line)
	if !ok {
		wrong.Add("line", "%s has no line called %q", c.Name, t.Line)
	} else if at, _ := line.position(); at == 0 {
		wrong.Add("line", "a strip lies along a baseline, a service line or a sideline")
	}
	if t.Depth <= 0 {
		wrong.Add("depth", "a target of no size cannot be hit; give the strip a depth")
	}
	if wrong.Err() != nil {
		return Shape{}, wrong.Err()
	}
	at, isY := line.position()
	inner := at - math.Copysign(t.Depth, at)
	if inner*at < 0 {
		return Shape{}, invalid.Fields{{Path: "depth", Message: fmt.Sprintf("from the %s the strip would reach past the middle; at most %s", line.Name, units.Metres.Length(math.Abs(at)))}}
	}
	low, high := math.Min(at, inner), math.Max(at, inner)
	half := c.Singles / 2
	corners := []Point{{-half, low}, {half, low}, {half, high}, {-half, high}}
	if !isY {
		corners = []Point{{low, 0}, {high, 0}, {high, c.Length / 2}, {low, c.Length / 2}}
	}
	width, height := corners[1].X-corners[0].X, corners[2].Y-corners[1].Y
	return Shape{
		Kind: Strip, Corners: corners, Area: width * height, Margin: t.Depth / 2, Nearest: line.ID,
		Centre: Point{(corners[0].X + corners[1].X) / 2, (corners[1].Y + corners[2].Y) / 2},
	}, nil
}

// Mirrored is the same target with left and right swapped.
func (t Target) Mirrored() Target {
	t.Line = t.Line.mirrored()
	if t.Mark != nil {
		mark := t.Mark.Mirrored()
		t.Mark = &mark
	}
	return t
}

// SayTarget puts a target into a coach's words.
func (c Court) SayTarget(t Target, system units.System) string {
	if t.Kind == Strip {
		line, _ := c.Line(t.Line)
		return fmt.Sprintf("strip %s deep inside the %s", system.Length(t.Depth), line.Name)
	}
	return fmt.Sprintf("circle within %s of the mark: %s", system.Length(t.Radius), c.Say(*t.Mark, system))
}
