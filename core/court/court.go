// Package court knows the courts: their lines, where a place is that was measured from those lines,
// and what a target on them covers.
//
// Lengths are metres. The origin is the middle of the playing surface, under the net; x points right
// and y to the far end, as the near player sees it; the near half has y < 0.
package court

import (
	"fmt"
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
)

// Enum lists the sports for the schema.
func (Sport) Enum() []any { return []any{Tennis, Pickleball, Badminton, Squash, TableTennis} }

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
}

// Net is the net across y = 0.
type Net struct {
	Centre float64 `json:"centre" description:"Height in the middle"`
	Post   float64 `json:"post" description:"Height at the posts"`
	HalfUp float64 `json:"halfUp" description:"From the middle to a post"`
}

// RunOff is the clear floor around the lines.
type RunOff struct {
	Back float64 `json:"back"`
	Side float64 `json:"side"`
}

// Line finds a line by name.
func (c Court) Line(id LineID) (Line, bool) {
	i := slices.IndexFunc(c.Lines, func(l Line) bool { return l.ID == id })
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

// Inside says whether a place lies in the court as it is played one against one.
func (c Court) Inside(p Point) bool {
	return math.Abs(p.X) <= c.Singles/2 && math.Abs(p.Y) <= c.Length/2
}

// Margin returns the line nearest to a place among the singles lines and baselines, and how far off
// it is: the error the player can make before the ball is out. It is negative outside.
func (c Court) Margin(p Point) (Line, float64) {
	side := c.Singles/2 - math.Abs(p.X)
	end := c.Length/2 - math.Abs(p.Y)
	which, margin := c.sideline(p.X), side
	if end < side {
		which, margin = baselineOf(p.Y), end
	}
	line, _ := c.Line(which)
	return line, margin
}

func (c Court) sideline(x float64) LineID {
	id := RightSingles
	if c.Singles == c.Width {
		id = RightSide
	}
	if x < 0 {
		return id.mirrored()
	}
	return id
}

func baselineOf(y float64) LineID {
	if y < 0 {
		return NearBaseline
	}
	return FarBaseline
}

// All lists the courts in the order in which they are offered.
func All() []Court { return slices.Clone(courts) }

// Find returns a court by name; its error lists the courts there are.
func Find(id ID) (Court, error) {
	i := slices.IndexFunc(courts, func(c Court) bool { return c.ID == id })
	if i >= 0 {
		return courts[i], nil
	}
	names := make([]string, len(courts))
	for i, c := range courts {
		names[i] = string(c.ID)
	}
	return Court{}, fmt.Errorf("there is no court %q; the courts are %s", id, strings.Join(names, ", "))
}
