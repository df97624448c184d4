package picture

import (
	"bytes"
	"encoding/xml"
	"fmt"
	"strconv"
	"strings"

	"hodometer/core/drill/report"
)

// svgPen writes SVG. All lengths are millimetres.
type svgPen struct {
	out bytes.Buffer
	measure
}

// width is how wide a picture is, in millimetres: as a court is on a card.
const width = 60

// SVG is the court of a drill as SVG: its title, its court, to scale. The same drill is the same bytes.
func SVG(title string, r report.Report) []byte {
	p := &svgPen{}
	high := heightOf(r)
	label := escaped(Printable(title))
	fmt.Fprintf(
		&p.out,
		`<svg xmlns="http://www.w3.org/2000/svg" width="%[1]smm" height="%[2]smm" viewBox="0 0 %[1]s %[2]s" role="img"><title>%[3]s</title>`,
		number(width),
		number(high),
		label,
	)
	fmt.Fprintf(&p.out, `<rect width="%s" height="%s" fill="#fff"/>`, number(width), number(high))
	Court(p, r, Point{edge, edge}, width-2*edge, high-2*edge)
	p.out.WriteString("</svg>\n")
	return p.out.Bytes()
}

// edge is the white around a court, in millimetres.
const edge = 3

// heightOf is how high a picture is, in millimetres.
func heightOf(r report.Report) float64 {
	return Height(r, width-2*edge) + 2*edge
}

func number(x float64) string {
	return strconv.FormatFloat(float64(int64(x*1000+0.5))/1000, 'f', -1, 64)
}

func escaped(text string) string {
	var out strings.Builder
	_ = xml.EscapeText(&out, []byte(text)) // a builder takes everything
	return out.String()
}

func (s Stroke) svg() string {
	if s.Width == 0 {
		return ""
	}
	text := fmt.Sprintf(` stroke="#000" stroke-width="%s"`, number(s.Width))
	if len(s.Dash) > 0 {
		parts := make([]string, len(s.Dash))
		for i, length := range s.Dash {
			parts[i] = number(length)
		}
		text += ` stroke-dasharray="` + strings.Join(parts, " ") + `"`
	}
	return text
}

// Line draws a line.
func (p *svgPen) Line(from, to Point, s Stroke) {
	fmt.Fprintf(
		&p.out,
		`<path d="M%s %sL%s %s" fill="none"%s/>`,
		number(from.X),
		number(from.Y),
		number(to.X),
		number(to.Y),
		s.svg(),
	)
}

// Circle draws a circle.
func (p *svgPen) Circle(centre Point, radius float64, s Stroke) {
	fmt.Fprintf(
		&p.out,
		`<circle cx="%s" cy="%s" r="%s" fill="none"%s/>`,
		number(centre.X),
		number(centre.Y),
		number(radius),
		s.svg(),
	)
}

// Polygon draws a polygon.
func (p *svgPen) Polygon(corners []Point, s Stroke, f Fill) {
	points := make([]string, len(corners))
	for i, corner := range corners {
		points[i] = number(corner.X) + " " + number(corner.Y)
	}
	fill := map[Fill]string{Empty: "none", White: "#fff", Black: "#000"}[f]
	fmt.Fprintf(&p.out, `<path d="M%sz" fill="%s"%s/>`, strings.Join(points, "L"), fill, s.svg())
}

// Write writes words.
func (p *svgPen) Write(at Point, w Words) {
	family, weight := "'Source Sans 3', 'Source Sans Pro', sans-serif", 400
	switch w.Face {
	case Bold:
		weight = 600
	case Narrow:
		family, weight = "'Barlow Condensed', 'Source Sans 3', sans-serif", 600
	}
	fmt.Fprintf(&p.out, `<text x="%s" y="%s" font-family="%s" font-weight="%d" font-size="%s">%s</text>`,
		number(at.X), number(at.Y), family, weight, number(w.Points*millimetre), escaped(Printable(w.Text)))
}
