// Package court knows the courts: their lines, where a place is that was measured from those lines,
// and what a target on them covers.
//
// Lengths are metres. The origin is the middle of the playing surface, under the net; x points right
// and y to the far end, as the near player sees it; the near half has y < 0.
package court

import (
	"math"
	"slices"
	"strings"
)

// Sport is one of the racket sports a court belongs to.
type Sport string

// The sports.
const (
	Tennis      Sport = "tennis"
	Pickleball  Sport = "pickleball"
	Badminton   Sport = "badminton"
	Squash      Sport = "squash"
	TableTennis Sport = "table tennis"
	Padel       Sport = "padel"
)

// ID names a court.
type ID string

// Point is a place on the floor.
type Point struct {
	X float64 `json:"x" minimum:"-100" maximum:"100"`
	Y float64 `json:"y" minimum:"-100" maximum:"100"`
}

// Distance returns how far it is to another place.
func (p Point) Distance(q Point) float64 { return math.Hypot(p.X-q.X, p.Y-q.Y) }

// Line is one painted line, or the foot of the net.
type Line struct {
	ID   LineID `json:"id"`
	Name string `json:"name" description:"What a coach calls it; left and right are the near player's"`
	From Point  `json:"from"`
	To   Point  `json:"to"`
}

// Across says whether the line runs parallel to the net.
func (l Line) Across() bool { return l.From.Y == l.To.Y }

// Court is a court with everything that can be measured from.
type Court struct {
	ID      ID      `json:"id"`
	Name    string  `json:"name"`
	Sport   Sport   `json:"sport"`
	Lines   []Line  `json:"lines"`
	Net     Net     `json:"net"`
	RunOff  RunOff  `json:"runOff"`
	Length  float64 `json:"length" description:"Baseline to baseline"`
	Width   float64 `json:"width" description:"Outer sideline to outer sideline"`
	Singles float64 `json:"singles" description:"Width for one against one"`
	Source  string  `json:"source" description:"The published rules its dimensions come from"`

	Boxes    []Box      `json:"boxes" description:"Named parts of the surface, smaller ones first"`
	Walls    []WallLine `json:"walls" description:"Lines on walls that are played to"`
	Panels   []Panel    `json:"panels,omitempty" description:"What stands round a court with a net, for balls to come off"`
	Surfaces []string   `json:"surfaces" description:"Usual materials"`
	Above    float64    `json:"above" description:"How high the surface stands over the floor: the table's height, else 0"`
}

// Format is who shares the court; it decides which sidelines are out.
type Format string

// The two ways of sharing a court.
const (
	Singles Format = "singles"
	Doubles Format = "doubles"
)

// InPlay is the width of the court as it is played; an empty format is singles.
func (c Court) InPlay(format Format) float64 {
	if format == Doubles {
		return c.Width
	}
	return c.Singles
}

// Net is the net across y = 0.
type Net struct {
	Centre float64 `json:"centre" description:"Height in the middle"`
	Post   float64 `json:"post" description:"Height at the posts"`
	HalfUp float64 `json:"halfUp" description:"From the middle to a post; 0 where there is no net"`
}

// HasNet says whether a net parts it in two halves; without one both sides play on one floor.
func (c *Court) HasNet() bool { return c.Net.HalfUp > 0 }

// WithoutNet is the same court with nothing in the way between its halves.
func (c Court) WithoutNet() Court {
	c.Net.HalfUp = 0
	return c
}

// AtTable says whether it stands over the floor: nobody runs on it, and no ball is met out of the air over it.
func (c *Court) AtTable() bool { return c.Above > 0 }

// Height is how high the net is so far from the middle: straight from the centre to the post.
func (n Net) Height(x float64) float64 {
	if n.HalfUp == 0 {
		return 0
	}
	return n.Centre + (n.Post-n.Centre)*math.Min(math.Abs(x)/n.HalfUp, 1)
}

// RunOff is the clear floor around the lines.
type RunOff struct {
	Back float64 `json:"back"`
	Side float64 `json:"side"`
}

// Line finds a line by name. A court without singles sidelines answers with its sidelines, so that a
// mark keeps its own words when it moves between courts.
func (c Court) Line(id LineID) (Line, bool) {
	i := slices.IndexFunc(c.Lines, func(l Line) bool { return l.ID == id })
	if i < 0 && (id == LeftSingles || id == RightSingles) {
		return c.Line(LineID(strings.Replace(string(id), "singles-", "", 1)))
	}
	if i < 0 {
		return Line{}, false
	}
	return c.Lines[i], true
}

// OnMap says whether a place lies on the court or its run-off.
func (c Court) OnMap(p Point) bool {
	const slack = 1e-6 // a micrometre for sums of feet
	return math.Abs(p.X) <= c.Width/2+c.RunOff.Side+slack && math.Abs(p.Y) <= c.Length/2+c.RunOff.Back+slack
}

// Inside says whether a place lies in the court as it is played.
func (c Court) Inside(p Point, format Format) bool {
	return math.Abs(p.X) <= c.InPlay(format)/2 && math.Abs(p.Y) <= c.Length/2
}

// Margin returns the line nearest to a place among those around the court as it is played, and how far
// off it is: the error the player can make before the ball is out. It is negative outside.
func (c Court) Margin(p Point, format Format) (Line, float64) {
	width := c.InPlay(format)
	margin := math.Min(width/2-math.Abs(p.X), c.Length/2-math.Abs(p.Y))
	for _, line := range c.Lines {
		at, isY := line.position()
		offset, edge := math.Abs(p.X-at), math.Abs(at) == width/2 && p.X*at >= 0
		if isY {
			offset, edge = math.Abs(p.Y-at), math.Abs(at) == c.Length/2 && p.Y*at >= 0
		}
		if edge && math.Abs(offset-math.Abs(margin)) < 1e-9 {
			return line, margin
		}
	}
	return Line{}, margin
}
