// Package picture draws the court of a drill with its balls, its targets and what stands there: on paper, as SVG, as
// PNG. All of them are one drawing, made by different pens.
package picture

// Point is a place on the picture: millimetres from its upper left corner.
type Point struct{ X, Y float64 }

// Stroke is how a line is drawn.
type Stroke struct {
	Width float64   // millimetres; 0: no line
	Dash  []float64 // lengths drawn and left out in turn, millimetres; none: drawn through
}

// Fill is how a shape is filled.
type Fill int

// The fills.
const (
	Empty Fill = iota
	White
	Black
)

// Face is a font that is shipped.
type Face int

// The faces.
const (
	Plain Face = iota
	Bold
	Narrow
)

// Words are a text on the picture.
type Words struct {
	Text   string
	Face   Face
	Points float64 // size
}

// Pen draws in black on white.
type Pen interface {
	Line(from, to Point, s Stroke)
	Circle(centre Point, radius float64, s Stroke)
	Polygon(corners []Point, s Stroke, f Fill)
	// Write writes words from a place on, which is at their foot.
	Write(at Point, w Words)
	// Width is how wide words are.
	Width(w Words) float64
}

// rect is a rectangle around a place.
func rect(centre Point, halfWide, halfTall float64) []Point {
	return []Point{
		{centre.X - halfWide, centre.Y - halfTall}, {centre.X + halfWide, centre.Y - halfTall},
		{centre.X + halfWide, centre.Y + halfTall}, {centre.X - halfWide, centre.Y + halfTall},
	}
}
