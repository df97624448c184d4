package court

import (
	"math"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/units"
)

// Reference is a way of saying a place: from two lines, so far along one, or plainly.
type Reference struct {
	Lines  []LineID `json:"lines" maxItems:"2" description:"Two lines to measure from, one to go along, none for a plain place"`
	View   End      `json:"view,omitempty" description:"Whose left and right are meant"`
	Scales bool     `json:"scales,omitempty"`
}

// MarkFrom says a place in the way that is asked for. Along a line it is the nearest place on that line.
func (c Court) MarkFrom(p Point, w Reference) (Mark, error) {
	like := Mark{View: w.View, Scales: w.Scales}
	var wrong invalid.Fields
	for i, id := range w.Lines {
		if _, ok := c.Line(id); !ok {
			wrong.Under(invalid.Join("lines", i), c.noLine("", id))
		}
	}
	if wrong.Err() != nil {
		return Mark{}, wrong.Err()
	}
	switch len(w.Lines) {
	case 1:
		like.Along = &Along{Line: w.Lines[0]}
	case 2:
		first, second := c.onLine(w.Lines[0]), c.onLine(w.Lines[1])
		like.Measures = []Measure{first, second}
	}
	phrase := c.Measure(p, like)
	_, err := c.Resolve(phrase)
	return phrase, err
}

// nearest is the place on a line nearest to a point, from one of its ends; no word for the nearer one.
func (l Line) nearest(p Point, from Toward) Along {
	dx, dy := l.To.X-l.From.X, l.To.Y-l.From.Y
	length := math.Hypot(dx, dy)
	along := math.Max(0, math.Min(length, ((p.X-l.From.X)*dx+(p.Y-l.From.Y)*dy)/length))
	first, last := Near, Far
	if l.Across() {
		first, last = Left, Right
	}
	if from == last || from == "" && along > length/2 {
		return Along{Line: l.ID, Distance: length - along, From: last}
	}
	return Along{Line: l.ID, Distance: along, From: first}
}

// Part is one length of a mark, as it is written and typed.
type Part struct {
	Path  string `json:"path" description:"Where it stands in the mark: measures.0, along, place.x"`
	Text  string `json:"text" description:"The length or the fraction, exactly"`
	After string `json:"after" description:"What follows it in words: inside the far baseline"`
}

// Parts lists the lengths of a mark so that each can be typed again.
func (c Court) Parts(m Mark, system units.System) []Part {
	switch {
	case m.Place != nil:
		return []Part{
			{
				Path:  "place.x",
				Text:  system.Write(math.Abs(m.Place.X)),
				After: directionFrom(word(m.Place.X, 0, false), false) + " the middle",
			},
			{Path: "place.y", Text: system.Write(math.Abs(m.Place.Y)), After: c.beyond(m.Place.Y)},
		}
	case m.Along != nil:
		return []Part{{Path: "along", Text: system.Write(m.Along.Distance), After: c.describeAlong(*m.Along)}}
	}
	list := []Part{}
	for i, measure := range m.Measures {
		text, after := system.Write(measure.Distance), c.reference(measure)
		if measure.Fraction != nil {
			text, after = units.Decimal(*measure.Fraction*100, 1)+" %", "of the way "+after
		}
		list = append(list, Part{Path: invalid.Join("measures", i), Text: text, After: after})
	}
	return list
}

// describeAlong is what follows the length of a place along a line.
func (c Court) describeAlong(a Along) string {
	line, _ := c.Line(a.Line)
	return "along the " + line.Name + " from its " + string(a.From) + " end"
}
