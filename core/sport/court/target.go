package court

import (
	"math"
	"slices"

	"hodometer/core/basics/invalid"
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
	rule, ok := ruleOf(t.Kind)
	if !ok {
		return Shape{}, invalid.Fields{{Path: "kind", Message: "there is no target of this shape"}}
	}
	for path, size := range map[string]float64{"radius": t.Radius, "depth": t.Depth, "width": t.Width} {
		if size > 0 && size < smallestTarget {
			return Shape{}, invalid.Fields{{Path: path, Message: "at least 1 cm"}}
		}
	}
	s, err := rule.shape(c, t, format)
	s.Kind = t.Kind
	if err == nil && !s.finite() {
		return Shape{}, invalid.Fields{{Path: "kind", Message: "this target has no size that can be measured"}}
	}
	if err != nil || rule.upright {
		return s, err
	}
	line, margin := c.Margin(s.Centre, format)
	s.Margin, s.Nearest = margin, line.ID
	if box, ok := c.around(s, format); ok && s.Kind != Gate {
		s.Box, s.Share = box.Name, math.Min(1, s.Area/box.Area())
	}
	return s, nil
}

// smallestTarget is how large a target is at least, metres.
const smallestTarget = 0.01

// finite says whether all of a shape can be computed with.
func (s Shape) finite() bool {
	for _, x := range []float64{s.Centre.X, s.Centre.Y, s.Radius, s.Area, s.Out, s.Low, s.High} {
		if math.IsNaN(x) || math.IsInf(x, 0) {
			return false
		}
	}
	return true
}

// around finds the smallest box that holds all of a target that lies in; ok is false where none does.
func (c Court) around(s Shape, format Format) (box Box, ok bool) {
	half, end := c.InPlay(format)/2, c.Length/2
	part := clip(s.Corners, rectangle(-half, half, -end, end))
	if r := s.Radius; r > 0 {
		part = rectangle(
			math.Max(-half, s.Centre.X-r),
			math.Min(half, s.Centre.X+r),
			math.Max(-end, s.Centre.Y-r),
			math.Min(end, s.Centre.Y+r),
		)
	}
	for _, b := range c.Boxes {
		if !slices.ContainsFunc(part, func(p Point) bool { return !b.nearly(p) }) {
			return b, len(part) > 0
		}
	}
	return Box{}, false
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
	at := ""
	if t.Mark != nil {
		at = c.Describe(*t.Mark, tape)
	}
	rule, ok := ruleOf(t.Kind)
	if !ok {
		return string(t.Kind)
	}
	return rule.describe(c, t, tape, at)
}

// Sizes are the lengths that a target of this kind has, by their names.
func (t *Target) Sizes() map[string]*float64 {
	if rule, ok := ruleOf(t.Kind); ok && rule.sizes != nil {
		return rule.sizes(t)
	}
	return nil
}

// Scaled is the target so many times as large about the same place; false where it has no size of its
// own, or would be larger than targets can be. A strip keeps its line, a window its lower edge.
func (t Target) Scaled(by float64) (Target, bool) {
	rule, ok := ruleOf(t.Kind)
	if !ok || rule.scale == nil {
		return t, false
	}
	largest := rule.scale(&t, by)
	return t, largest > 0 && largest <= 1
}

// AimPoint is where on the floor a ball comes down that is aimed at the target.
func (c Court) AimPoint(s Shape) Point {
	if rule, ok := ruleOf(s.Kind); ok && rule.aim != nil {
		return rule.aim(c, s)
	}
	return s.Centre
}

// MarginName says what the margin of a target is measured to.
func (c Court) MarginName(s Shape) string {
	if rule, ok := ruleOf(s.Kind); ok && rule.margin != "" {
		return rule.margin
	}
	line, _ := c.Line(s.Nearest)
	return "Margin to the " + line.Name
}
