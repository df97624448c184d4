package paper

import (
	"codeberg.org/go-pdf/fpdf"

	"hodometer/picture"
)

// pen draws on paper.
type pen struct{ *page }

func (p pen) stroke(s picture.Stroke) {
	p.SetLineWidth(s.Width)
	p.SetDashPattern(append([]float64{}, s.Dash...), 0)
}

// Line draws a line.
func (p pen) Line(from, to picture.Point, s picture.Stroke) {
	p.stroke(s)
	p.Fpdf.Line(from.X, from.Y, to.X, to.Y)
	p.stroke(picture.Stroke{Width: s.Width})
}

// Circle draws a circle.
func (p pen) Circle(centre picture.Point, radius float64, s picture.Stroke) {
	p.stroke(s)
	p.Fpdf.Circle(centre.X, centre.Y, radius, "D")
	p.stroke(picture.Stroke{Width: s.Width})
}

// Polygon draws a polygon.
func (p pen) Polygon(corners []picture.Point, s picture.Stroke, f picture.Fill) {
	points := make([]fpdf.PointType, len(corners))
	for i, corner := range corners {
		points[i] = fpdf.PointType{X: corner.X, Y: corner.Y}
	}
	style := ""
	if f != picture.Empty {
		style = "F"
		shade := map[picture.Fill]int{picture.White: 255, picture.Black: 0}[f]
		p.SetFillColor(shade, shade, shade)
	}
	if s.Width > 0 {
		style += "D"
	}
	p.stroke(s)
	p.Fpdf.Polygon(points, style)
	p.stroke(picture.Stroke{Width: s.Width})
}

// Write writes words.
func (p pen) Write(at picture.Point, w picture.Words) {
	p.face(w)
	p.Text(at.X, at.Y, w.Text)
}

// Width measures words.
func (p pen) Width(w picture.Words) float64 {
	p.face(w)
	return p.GetStringWidth(w.Text)
}

func (p pen) face(w picture.Words) {
	family, style := sans, ""
	switch w.Face {
	case picture.Bold:
		style = "B"
	case picture.Narrow:
		family = metricBox
	}
	p.font(family, style, w.Points)
}
