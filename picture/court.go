package picture

import (
	"fmt"
	"math"
	"strconv"

	"hodometer/core/drill"
	"hodometer/core/drill/report"
	"hodometer/core/sport/court"
)

// view is a court scaled into a box, the near end at its foot.
type view struct {
	middle Point
	scale  float64 // millimetres for a metre
}

func (v view) at(p court.Point) Point {
	return Point{v.middle.X + p.X*v.scale, v.middle.Y - p.Y*v.scale}
}

// drawing is a court that is being drawn.
type drawing struct {
	Pen
	view
}

// extent is how far a picture of a court reaches from its middle, in metres: what lies beyond the lines counts too, as
// far as anybody stands.
func extent(r report.Report) (wide, tall float64) {
	tall, wide = r.Court.Length/2+0.3, math.Max(r.Court.Width/2, r.Court.Net.HalfUp)+0.3
	for _, spot := range r.Spots {
		tall, wide = math.Max(tall, math.Abs(spot.At.Y)+0.5), math.Max(wide, math.Abs(spot.At.X)+0.5)
	}
	return wide, tall
}

// Height is how high the court of a drill is where it is so wide.
func Height(r report.Report, width float64) float64 {
	wide, tall := extent(r)
	return width * tall / wide
}

// Court draws the court of a drill into a box, to scale: its lines, its targets, what stands there, and its balls in
// order.
func Court(pen Pen, r report.Report, corner Point, width, high float64) {
	wide, tall := extent(r)
	d := drawing{
		pen,
		view{middle: Point{corner.X + width/2, corner.Y + high/2}, scale: math.Min(width/(2*wide), high/(2*tall))},
	}
	for _, l := range r.Court.Lines {
		d.line(l.From, l.To, Stroke{Width: 0.25})
	}
	if r.Court.HasNet() {
		d.line(court.Point{X: -r.Court.Net.HalfUp}, court.Point{X: r.Court.Net.HalfUp}, Stroke{Width: 0.5})
	}
	several := len(r.Measures) > 1
	for i, m := range r.Measures {
		if m.Target != nil {
			d.target(*m.Target, dashes[i%len(dashes)])
		}
		if m.Target != nil && several {
			d.number(m.Number, m.Target.Centre)
		}
	}
	d.places(r.Spots)
	d.feeds(r)
}

func (d drawing) line(from, to court.Point, s Stroke) { d.Line(d.at(from), d.at(to), s) }

// dashes tell the targets of several measures apart without colour.
var dashes = [][]float64{{1.2, 0.8}, {3, 1}, {0.5, 0.6}, {3, 0.7, 0.5, 0.7}}

// number says which measure a target belongs to.
func (d drawing) number(n int, centre court.Point) {
	words, at := Words{strconv.Itoa(n), Bold, 7}, d.at(centre)
	d.Write(Point{at.X - d.Width(words)/2, at.Y + 0.85}, words)
}

// target draws where replies should land, dashed.
func (d drawing) target(t court.Shape, dash []float64) {
	s := Stroke{Width: 0.35, Dash: dash}
	if t.Radius > 0 {
		d.Circle(d.at(t.Centre), t.Radius*d.scale, s)
		return
	}
	corners := make([]Point, len(t.Corners))
	for i, corner := range t.Corners {
		corners[i] = d.at(corner)
	}
	d.Polygon(corners, s, Empty)
}

// places marks who stands where and what is put down.
func (d drawing) places(spots []report.Spot) {
	const r = 1.1
	thin := Stroke{Width: 0.25}
	for _, place := range spots {
		at := d.at(place.At)
		x, y := at.X, at.Y
		letter := func(x float64, text string) { d.Write(Point{x, y + 0.8}, Words{text, Bold, 7}) }
		switch place.Kind {
		case "": // a ball or a target
		case drill.Start:
			d.Polygon(rect(at, r, r), Stroke{}, Black)
			letter(x+r+0.4, place.Letter)
		case drill.Cone:
			letter(x-0.7, place.Letter)
			d.Polygon([]Point{{x, y - 2.2}, {x + 2.1, y + 1.5}, {x - 2.1, y + 1.5}}, thin, Empty)
		case drill.Strip, drill.Rope:
			half := court.Point{X: place.Size / 2}
			if place.Up {
				half = court.Point{Y: place.Size / 2}
			}
			d.line(
				court.Point{X: place.At.X - half.X, Y: place.At.Y - half.Y},
				court.Point{X: place.At.X + half.X, Y: place.At.Y + half.Y},
				Stroke{Width: 0.8},
			)
		case drill.Obstacle, drill.Basket:
			d.Line(Point{x - r, y - r}, Point{x + r, y + r}, thin)
			d.Line(Point{x - r, y + r}, Point{x + r, y - r}, thin)
		case drill.Recovery:
			d.Polygon(rect(at, r, r), thin, Empty)
		default:
			letter(x-0.7, string([]rune(string(place.Kind))[0]-'a'+'A'))
			d.Circle(at, 1.7, thin)
		}
	}
}

// feeds draws the balls, numbered in order. Balls that land in one place share a number.
func (d drawing) feeds(r report.Report) {
	numbers := map[court.Point]string{}
	for _, f := range r.Feeds {
		if numbers[f.Landing] == "" {
			d.line(f.From, f.Landing, Stroke{Width: 0.2, Dash: []float64{0.4, 0.9}})
			numbers[f.Landing] = fmt.Sprint(f.Number)
		} else {
			numbers[f.Landing] += "," + fmt.Sprint(f.Number)
		}
	}
	for _, f := range r.Feeds {
		if numbers[f.Landing] == "" {
			continue
		}
		at, words := d.at(f.Landing), Words{numbers[f.Landing], Narrow, 9}
		width := d.Width(words)
		d.Polygon(rect(at, math.Max(3.4, width+1.4)/2, 1.7), Stroke{Width: 0.2}, White)
		d.Write(Point{at.X - width/2, at.Y + 1.15}, words)
		numbers[f.Landing] = ""
	}
}
