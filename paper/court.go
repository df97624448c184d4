package paper

import (
	"fmt"
	"math"
	"strconv"

	"codeberg.org/go-pdf/fpdf"

	"hodometer/core/court"
	"hodometer/core/drill"
	"hodometer/core/report"
)

// aside draws the courts of the drills in a column.
func (s *sheet) aside(x, y, width float64) {
	room := s.height - s.margin - y
	each := math.Min(width*1.25, room/float64(len(s.content.Drills))-9)
	const least = 30 // millimetres under which a court says nothing any more
	for _, d := range s.content.Drills {
		if each < least {
			each = least
		}
		if y+each+8 > s.height-s.margin {
			return
		}
		y = s.court(d, x, y, width, each)
	}
}

// row draws the courts side by side at the foot of a card, at most three.
func (s *sheet) row(full, y float64) {
	n := min(3, len(s.content.Drills))
	width := full/3 - 2
	for i, d := range s.content.Drills[:n] {
		s.court(d, s.margin+float64(i)*(width+3), y, width, cardRow-20)
	}
}

// view is a court scaled into a box on the paper, the near end at its foot.
type view struct {
	x, y, scale float64 // of the middle of the court; millimetres on paper for a metre
}

func (v view) at(p court.Point) (x, y float64) { return v.x + p.X*v.scale, v.y - p.Y*v.scale }

// court draws one drill with its balls in order, its target and what stands there, and its marks in words; it
// returns where it ends.
func (s *sheet) court(d Drawn, x, y, width, high float64) float64 {
	c := d.Report.Court
	line := s.font(sans, "B", 9.5)
	s.SetXY(x, y)
	s.CellFormat(width, line, s.short(d.Name, width), "", 1, "L", false, 0, "")
	y += line + 0.5
	// What lies beyond the lines counts too: the run-off as far as anybody stands.
	tall, wide := c.Length/2+0.3, c.Width/2+0.3
	for _, spot := range d.Report.Spots {
		tall, wide = math.Max(tall, math.Abs(spot.At.Y)+0.5), math.Max(wide, math.Abs(spot.At.X)+0.5)
	}
	v := view{x: x + width/2, y: y + high/2, scale: math.Min(width/(2*wide), high/(2*tall))}
	s.SetDrawColor(0, 0, 0)
	s.SetLineWidth(0.25)
	for _, l := range c.Lines {
		s.line(v, l.From, l.To)
	}
	if c.Net.HalfUp > 0 {
		s.SetLineWidth(0.5)
		s.line(v, court.Point{X: -c.Net.HalfUp}, court.Point{X: c.Net.HalfUp})
	}
	several := len(d.Report.Measures) > 1
	for i, m := range d.Report.Measures {
		if m.Target != nil {
			s.target(v, *m.Target, dashes[i%len(dashes)])
		}
		if m.Target != nil && several {
			s.number(v, m.Number, m.Target.Centre)
		}
	}
	s.places(v, d.Report.Spots)
	s.feeds(v, d.Report)
	s.SetXY(x, y+high+0.5)
	for _, m := range d.Report.Measures {
		if m.Goal == "" {
			continue // of a game: its rules stand with its block
		}
		phrase := m.Goal
		if m.Aim != "" {
			phrase += ", into the " + m.Aim
		}
		if several {
			phrase = fmt.Sprintf("%d %s: %s", m.Number, m.Name, phrase)
		}
		s.text(x, width, 8, phrase)
	}
	return s.GetY() + 2
}

func (s *sheet) line(v view, from, to court.Point) {
	x1, y1 := v.at(from)
	x2, y2 := v.at(to)
	s.Line(x1, y1, x2, y2)
}

// dashes tell the targets of several measures apart without colour.
var dashes = [][]float64{{1.2, 0.8}, {3, 1}, {0.5, 0.6}, {3, 0.7, 0.5, 0.7}}

// number says which measure a target belongs to.
func (s *sheet) number(v view, n int, centre court.Point) {
	x, y := v.at(centre)
	line := s.font(sans, "B", 7)
	s.SetXY(x-3, y-line/2)
	s.CellFormat(6, line, strconv.Itoa(n), "", 0, "C", false, 0, "")
}

// target draws where replies should land, dashed.
func (s *sheet) target(v view, t court.Shape, dash []float64) {
	s.SetLineWidth(0.35)
	s.SetDashPattern(dash, 0)
	defer s.SetDashPattern([]float64{}, 0)
	if t.Radius > 0 {
		x, y := v.at(t.Centre)
		s.Circle(x, y, t.Radius*v.scale, "D")
		return
	}
	for i, corner := range t.Corners {
		s.line(v, corner, t.Corners[(i+1)%len(t.Corners)])
	}
}

// places marks who stands where and what is put down.
func (s *sheet) places(v view, spots []report.Spot) {
	s.SetLineWidth(0.25)
	for _, place := range spots {
		x, y := v.at(place.At)
		const r = 1.1
		switch place.Kind {
		case "": // a ball or a target
		case drill.Start:
			s.SetFillColor(0, 0, 0)
			s.Rect(x-r, y-r, 2*r, 2*r, "F")
			s.font(sans, "B", 7)
			s.Text(x+r+0.4, y+0.8, place.Letter)
		case drill.Cone:
			s.font(sans, "B", 7)
			s.Text(x-0.7, y+0.8, place.Letter)
			s.Polygon([]fpdf.PointType{{X: x, Y: y - 2.2}, {X: x + 2.1, Y: y + 1.5}, {X: x - 2.1, Y: y + 1.5}}, "D")
		case drill.Strip, drill.Rope:
			half := court.Point{X: place.Size / 2}
			if place.Up {
				half = court.Point{Y: place.Size / 2}
			}
			s.SetLineWidth(0.8)
			s.line(v, court.Point{X: place.At.X - half.X, Y: place.At.Y - half.Y}, court.Point{X: place.At.X + half.X, Y: place.At.Y + half.Y})
			s.SetLineWidth(0.25)
		case drill.Obstacle, drill.Basket:
			s.Line(x-r, y-r, x+r, y+r)
			s.Line(x-r, y+r, x+r, y-r)
		case drill.Recovery:
			s.Rect(x-r, y-r, 2*r, 2*r, "D")
		default:
			s.font(sans, "B", 7)
			s.Text(x-0.7, y+0.8, string([]rune(string(place.Kind))[0]-'a'+'A'))
			s.Circle(x, y, 1.7, "D")
		}
	}
}

// feeds draws the balls, numbered in order. Balls that land in one place share a number.
func (s *sheet) feeds(v view, r report.Report) {
	s.SetLineWidth(0.2)
	phrases := map[court.Point]string{}
	for _, f := range r.Feeds {
		if phrases[f.Landing] == "" {
			s.SetDashPattern([]float64{0.4, 0.9}, 0)
			s.line(v, f.From, f.Landing)
			s.SetDashPattern([]float64{}, 0)
			phrases[f.Landing] = fmt.Sprint(f.Number)
		} else {
			phrases[f.Landing] += "," + fmt.Sprint(f.Number)
		}
	}
	for _, f := range r.Feeds {
		if phrases[f.Landing] == "" {
			continue
		}
		x, y := v.at(f.Landing)
		s.SetFillColor(255, 255, 255)
		s.font(metricBox, "", 9)
		w := math.Max(3.4, s.GetStringWidth(phrases[f.Landing])+1.4)
		s.Rect(x-w/2, y-1.7, w, 3.4, "FD")
		s.Text(x-s.GetStringWidth(phrases[f.Landing])/2, y+1.15, phrases[f.Landing])
		phrases[f.Landing] = ""
	}
}
