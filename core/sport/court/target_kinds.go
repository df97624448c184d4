package court

import (
	"fmt"
	"math"
	"slices"

	"hodometer/core/basics/units"
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

// targetRule is all that there is to know of one kind of target.
type targetRule struct {
	kind     TargetKind
	upright  bool // it stands above a line: its shape has its own margin
	shape    func(c Court, t Target, format Format) (Shape, error)
	describe func(c Court, t Target, tape Tape, at string) string // at is its mark in words
	sizes    func(t *Target) map[string]*float64                  // nil where none can be typed
	// scale makes the target so many times as large and returns its largest size as a share of what is allowed, or
	// 0 where it has no size of its own; nil where it never has.
	scale  func(t *Target, by float64) float64
	aim    func(c Court, s Shape) Point // nil for its middle
	margin string                       // what its margin is; empty for that to the nearest line
}

// The largest that targets can be scaled to, metres.
const (
	widestTarget  = 20
	highestTarget = 10
)

var targetRules = []targetRule{
	{
		kind: Circle, shape: Court.circle, sizes: radiusOf, scale: scaleRadius,
		describe: func(_ Court, t Target, tape Tape, at string) string {
			return fmt.Sprintf("circle within %s of the mark: %s", tape.Length(t.Radius), at)
		},
	},
	{
		kind: Strip, shape: Court.strip,
		describe: func(c Court, t Target, tape Tape, _ string) string {
			line, _ := c.Line(t.Line)
			return fmt.Sprintf("strip %s deep inside the %s", tape.Length(t.Depth), line.Name)
		},
		sizes: func(t *Target) map[string]*float64 { return map[string]*float64{"depth": &t.Depth} },
		scale: func(t *Target, by float64) float64 {
			t.Depth = units.Kept(by * t.Depth)
			return t.Depth / widestTarget
		},
	},
	{
		kind: BoxTarget, shape: Court.box,
		describe: func(c Court, t Target, tape Tape, at string) string {
			if t.Box != "" {
				box, _ := c.Box(t.Box)
				return box.Name
			}
			return fmt.Sprintf(
				"rectangle %s wide and %s deep round the mark: %s",
				tape.Length(t.Width),
				tape.Length(t.Depth),
				at,
			)
		},
		sizes: func(t *Target) map[string]*float64 {
			if t.Box != "" {
				return nil
			}
			return map[string]*float64{"width": &t.Width, "depth": &t.Depth}
		},
		scale: func(t *Target, by float64) float64 {
			if t.Box != "" {
				return 0
			}
			t.Width, t.Depth = units.Kept(by*t.Width), units.Kept(by*t.Depth)
			return math.Max(t.Width, t.Depth) / widestTarget
		},
	},
	{
		kind: Polygon, shape: Court.polygon,
		describe: func(_ Court, t Target, _ Tape, _ string) string {
			return fmt.Sprintf("area with %d corners", len(t.Points))
		},
	},
	{
		kind: Gate, shape: Court.gate,
		describe: func(c Court, t Target, tape Tape, at string) string {
			if t.Line != "" || t.Other == nil {
				line, _ := c.Line(t.Line)
				return fmt.Sprintf("gate between the %s and the mark: %s", line.Name, at)
			}
			return fmt.Sprintf("gate between two marks: %s; and %s", at, c.Describe(*t.Other, tape))
		},
		// A ball through it comes down a metre behind it.
		aim: func(_ Court, s Shape) Point { return Point{s.Centre.X, s.Centre.Y + math.Copysign(1, s.Centre.Y)} },
	},
	{
		kind: Object, shape: Court.circle, sizes: radiusOf, scale: scaleRadius,
		describe: func(_ Court, t Target, tape Tape, at string) string {
			return fmt.Sprintf("cone or can, %s across, at the mark: %s", tape.Length(2*t.Radius), at)
		},
	},
	{
		kind:    Window,
		upright: true,
		shape:   Court.upright,
		sizes:   heightsOf,
		scale:   scaleHeight,
		margin:  "Over the net at least",
		describe: func(_ Court, t Target, tape Tape, _ string) string {
			return fmt.Sprintf("window from %s to %s above the net", tape.Length(t.Low), tape.Length(t.High))
		},
		aim: func(c Court, s Shape) Point { return Point{s.Centre.X, 0.35 * c.Length} },
	},
	{
		kind:    WallBand,
		upright: true,
		shape:   Court.upright,
		sizes:   heightsOf,
		scale:   scaleHeight,
		margin:  "Margin to the board or the line",
		describe: func(_ Court, t Target, tape Tape, _ string) string {
			return fmt.Sprintf("band on the front wall from %s to %s", tape.Length(t.Low), tape.Length(t.High))
		},
		aim: func(c Court, s Shape) Point { return Point{s.Centre.X, -c.Length / 4} },
	},
	{
		kind: DoubleBounce, shape: Court.box,
		describe: func(c Court, t Target, _ Tape, _ string) string {
			box, _ := c.Box(t.Box)
			return "two bounces in the " + box.Name
		},
		// so that the second bounce stays in
		aim: func(_ Court, s Shape) Point { return Point{s.Centre.X, 0.5 * s.Centre.Y} },
	},
}

func ruleOf(kind TargetKind) (targetRule, bool) {
	i := slices.IndexFunc(targetRules, func(r targetRule) bool { return r.kind == kind })
	if i < 0 {
		return targetRule{}, false
	}
	return targetRules[i], true
}

func radiusOf(t *Target) map[string]*float64 { return map[string]*float64{"radius": &t.Radius} }

func heightsOf(t *Target) map[string]*float64 {
	return map[string]*float64{"low": &t.Low, "high": &t.High, "width": &t.Width}
}

func scaleRadius(t *Target, by float64) float64 {
	t.Radius = units.Kept(by * t.Radius)
	return t.Radius / widestTarget
}

func scaleHeight(t *Target, by float64) float64 {
	t.High = units.Kept(t.Low + by*(t.High-t.Low))
	return t.High / highestTarget
}
