package court

import (
	"fmt"
	"math"
	"slices"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/units"
)

// Toward is the direction in which an offset goes from its line.
type Toward string

// In goes towards the middle of the court, Out away from it. A line through the middle has neither:
// from there an offset goes near, far, left or right, which are the near player's.
const (
	In    Toward = "in"
	Out   Toward = "out"
	Near  Toward = "near"
	Far   Toward = "far"
	Left  Toward = "left"
	Right Toward = "right"
)

// Measure fixes one coordinate of a mark: an offset from a line, or a fraction of the way from one
// line to a parallel one.
type Measure struct {
	Line     LineID   `json:"line" maxLength:"40"`
	Distance float64  `json:"distance,omitempty" minimum:"0" maximum:"100" description:"Metres from the line; not used with a fraction"`
	Toward   Toward   `json:"toward,omitempty"`
	To       LineID   `json:"to,omitempty" maxLength:"40" description:"The other line of a fraction"`
	Fraction *float64 `json:"fraction,omitempty" minimum:"0" maximum:"1" description:"Share of the way from line to the other line"`
}

// End is one of the two ends, and the player who has it.
type End string

// The ends. Squash has only one: both players share the near end.
const (
	NearEndPlayer End = "near"
	FarEndPlayer  End = "far"
)

// Along is a place on a line, so far from one of its ends.
type Along struct {
	Line     LineID  `json:"line" maxLength:"40"`
	Distance float64 `json:"distance" minimum:"0" maximum:"100" description:"Metres from the end"`
	From     Toward  `json:"from" description:"The end it is measured from: near, far, left or right"`
}

// Mark is a place as a coach says it: two measures, one from a line parallel to the net and one from a
// line across it; so far along a line; or a plain place.
type Mark struct {
	Measures []Measure `json:"measures,omitempty" maxItems:"2"`
	Along    *Along    `json:"along,omitempty"`
	Place    *Point    `json:"place,omitempty"`
	View     End       `json:"view,omitempty" description:"Whose left and right are meant; empty: the near player's"`
	Scales   bool      `json:"scales,omitempty" description:"On another court the offsets grow or shrink with it, instead of keeping their length"`
}

// At is the mark of a plain place.
func At(x, y float64) Mark { return Mark{Place: &Point{X: x, Y: y}} }

// From is the mark with two offsets.
func From(a, b Measure) Mark { return Mark{Measures: []Measure{a, b}} }

// Off is an offset from a line.
func Off(line LineID, distance float64, toward Toward) Measure {
	return Measure{Line: line, Distance: distance, Toward: toward}
}

// Between is a fraction of the way from one line to a parallel one.
func Between(line, to LineID, fraction float64) Measure {
	return Measure{Line: line, To: to, Fraction: &fraction}
}

// Resolve finds where a mark is on a court. Its errors name the measure that makes no sense there.
func (c Court) Resolve(m Mark) (Point, error) {
	if m.View == FarEndPlayer {
		m = m.Mirrored()
	}
	var wrong invalid.Fields
	ways := 0
	for _, used := range []bool{m.Place != nil, m.Along != nil, len(m.Measures) > 0} {
		if used {
			ways++
		}
	}
	switch {
	case ways > 1:
		wrong.Add("measures", "say a mark in one way: two measures from lines, along a line, or a plain place; not both")
	case m.Place != nil:
		return c.onMap(*m.Place)
	case m.Along != nil:
		p, err := c.along(*m.Along)
		if err != nil {
			return Point{}, err
		}
		return c.onMap(p)
	case len(m.Measures) != 2:
		wrong.Add("measures", "a mark needs two measures, one from a line along the net and one from a sideline")
	}
	if wrong.Err() != nil {
		return Point{}, wrong.Err()
	}
	var p Point
	across := [2]bool{}
	for i, measure := range m.Measures {
		value, isY, err := c.coordinate(measure)
		wrong.Under(invalid.Join("measures", i), err)
		across[i] = isY
		if isY {
			p.Y = value
		} else {
			p.X = value
		}
	}
	if wrong.Err() == nil && across[0] == across[1] {
		wrong.Add(
			"measures.1.line",
			"both lines run the same way; measure once from a line along the net and once from a line up the court",
		)
	}
	if wrong.Err() != nil {
		return Point{}, wrong.Err()
	}
	return c.onMap(p)
}

// along finds a place on a line.
func (c Court) along(a Along) (Point, error) {
	line, ok := c.Line(a.Line)
	if !ok {
		return Point{}, c.noLine("along.line", a.Line)
	}
	from, to := line.From, line.To
	switch {
	case line.Across() && a.From == Right, !line.Across() && a.From == Far:
		from, to = to, from
	case line.Across() && a.From != Left, !line.Across() && a.From != Near:
		return Point{}, invalid.Fields{
			{Path: "along.from", Message: fmt.Sprintf("the %s has a left and a right end, or a near and a far one", line.Name)},
		}
	}
	length := from.Distance(to)
	if a.Distance > length {
		return Point{}, invalid.Fields{
			{Path: "along.distance", Message: fmt.Sprintf("the %s is only %s long", line.Name, units.Metres.Length(length))},
		}
	}
	share := a.Distance / length
	return Point{from.X + share*(to.X-from.X), from.Y + share*(to.Y-from.Y)}, nil
}

func (c Court) noLine(path string, id LineID) error {
	return invalid.Fields{{Path: path, Message: fmt.Sprintf("%s has no line called %q", c.Name, id)}}
}

func (c Court) onMap(p Point) (Point, error) {
	if c.OnMap(p) {
		return p, nil
	}
	return Point{}, fmt.Errorf(
		"this place is off the map: it has to be on the court or within the run-off, %s behind the baseline and %s "+
			"beside the sideline",
		units.Metres.Length(c.RunOff.Back),
		units.Metres.Length(c.RunOff.Side),
	)
}

// coordinate resolves one measure; isY says that it fixed y.
func (c Court) coordinate(m Measure) (value float64, isY bool, err error) {
	line, ok := c.Line(m.Line)
	if !ok {
		return 0, false, c.noLine("line", m.Line)
	}
	start, isY := line.position()
	if m.Fraction != nil {
		other, ok := c.Line(m.To)
		if !ok {
			return 0, false, c.noLine("to", m.To)
		}
		end, alike := other.position()
		if alike != isY {
			return 0, false, invalid.Fields{
				{Path: "to", Message: fmt.Sprintf("the %s and the %s are not parallel", line.Name, other.Name)},
			}
		}
		return start + *m.Fraction*(end-start), isY, nil
	}
	sign, err := direction(m.Toward, start, isY)
	if err != nil {
		return 0, false, invalid.Fields{{Path: "toward", Message: fmt.Sprintf("from the %s %s", line.Name, err)}}
	}
	return start + sign*m.Distance, isY, nil
}

// position is the one coordinate a line has all along; isY says that it is y.
func (l Line) position() (value float64, isY bool) {
	if l.Across() {
		return l.From.Y, true
	}
	return l.From.X, false
}

// direction turns a word into the sign of the offset for a line at the given coordinate.
func direction(toward Toward, at float64, isY bool) (float64, error) {
	switch {
	case toward == In && at != 0:
		return -math.Copysign(1, at), nil
	case toward == Out && at != 0:
		return math.Copysign(1, at), nil
	case isY && toward == Far, !isY && toward == Right:
		return 1, nil
	case isY && toward == Near, !isY && toward == Left:
		return -1, nil
	case at != 0:
		return 0, fmt.Errorf("an offset goes in or out")
	case isY:
		return 0, fmt.Errorf("an offset goes near or far")
	}
	return 0, fmt.Errorf("an offset goes left or right")
}

// Measure says where a place is in the way another mark is said: from the same lines, on the same line,
// or as a plain place. A fraction whose place has moved becomes an offset from its first line.
func (c Court) Measure(p Point, like Mark) Mark {
	if like.View == FarEndPlayer {
		p.X = 0 - p.X
	}
	plain := Mark{Place: &p, View: like.View, Scales: like.Scales}
	if like.Along != nil {
		line, ok := c.Line(like.Along.Line)
		if !ok {
			return plain
		}
		along := line.nearest(p, like.Along.From)
		return Mark{Along: &along, View: like.View, Scales: like.Scales}
	}
	if len(like.Measures) != 2 {
		return plain
	}
	m := Mark{Measures: make([]Measure, 2), View: like.View, Scales: like.Scales}
	for i, was := range like.Measures {
		line, ok := c.Line(was.Line)
		if !ok {
			return plain
		}
		at, isY := line.position()
		offset := p.X - at
		if isY {
			offset = p.Y - at
		}
		m.Measures[i] = Measure{Line: was.Line, Distance: math.Abs(offset), Toward: word(offset, at, isY)}
	}
	return m
}

// word names the direction of a signed offset from a line at the given coordinate.
func word(offset, at float64, isY bool) Toward {
	switch {
	case at != 0 && offset*at <= 0:
		return In
	case at != 0:
		return Out
	case isY && offset < 0:
		return Near
	case isY:
		return Far
	case offset < 0:
		return Left
	}
	return Right
}

// Mirrored swaps left and right: the same mark for a player of the other hand.
func (m Mark) Mirrored() Mark {
	mirrored := Mark{View: m.View, Scales: m.Scales}
	if m.Place != nil {
		mirrored.Place = &Point{X: 0 - m.Place.X, Y: m.Place.Y} // 0−x, so that nothing becomes a negative zero
	}
	if m.Along != nil {
		mirrored.Along = &Along{Line: m.Along.Line.Mirrored(), Distance: m.Along.Distance, From: m.Along.From.mirrored()}
	}
	for _, measure := range m.Measures {
		measure.Line, measure.To, measure.Toward = measure.Line.Mirrored(), measure.To.Mirrored(), measure.Toward.mirrored()
		mirrored.Measures = append(mirrored.Measures, measure)
	}
	return mirrored
}

// mirrored swaps left and right.
func (t Toward) mirrored() Toward {
	switch t {
	case Left:
		return Right
	case Right:
		return Left
	}
	return t
}

// Rounded brings the offsets of a mark to multiples of a grain, in metres: across the court, along it, or both. What is
// not rounded so comes to tenths of a millimetre, which keep a document readable.
func (c Court) Rounded(mark Mark, grain float64, across, along bool) Mark {
	to := func(v float64, wanted bool) float64 {
		if wanted && grain > 0 {
			v = math.Round(v/grain) * grain
		}
		return units.Kept(v)
	}
	if mark.Place != nil {
		mark.Place = &Point{X: to(mark.Place.X, across), Y: to(mark.Place.Y, along)}
	}
	if mark.Along != nil {
		line, _ := c.Line(mark.Along.Line)
		on := *mark.Along
		on.Distance = to(on.Distance, line.Across() && across || !line.Across() && along)
		mark.Along = &on
	}
	mark.Measures = slices.Clone(mark.Measures)
	for i, measure := range mark.Measures {
		line, _ := c.Line(measure.Line)
		wanted := across
		if line.Across() {
			wanted = along
		}
		mark.Measures[i].Distance = to(measure.Distance, wanted)
	}
	return mark
}
