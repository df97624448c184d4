package paper

import (
	"fmt"
	"math"

	"hodometer/picture"
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

// court draws one drill with its balls in order, its target and what stands there, and its marks in words; it
// returns where it ends.
func (s *sheet) court(d Drawn, x, y, width, high float64) float64 {
	line := s.font(sans, "B", 9.5)
	s.SetXY(x, y)
	s.CellFormat(width, line, s.short(d.Name, width), "", 1, "L", false, 0, "")
	y += line + 0.5
	s.SetDrawColor(0, 0, 0)
	picture.Court(pen{s.page}, d.Report, picture.Point{X: x, Y: y}, width, high)
	several := len(d.Report.Measures) > 1
	s.SetXY(x, y+high+0.5)
	for _, m := range d.Report.Measures {
		if m.Goal == "" {
			continue // of a game: its rules stand with its block
		}
		phrase := m.Goal + m.Where
		if several {
			phrase = fmt.Sprintf("%d %s: %s", m.Number, m.Name, phrase)
		}
		s.text(x, width, 8, phrase)
	}
	return s.GetY() + 2
}
