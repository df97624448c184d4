package paper

import (
	"fmt"
	"strings"

	"hodometer/core/lesson/runsheet"
)

func (s *sheet) write() {
	s.head()
	s.road()
	top := s.GetY() + 3
	full := s.width - 2*s.margin
	aside := 0.0
	if len(s.content.Drills) > 0 {
		aside = full * 0.33
	}
	s.SetY(top)
	const gutter = 5
	switch {
	case aside == 0:
		s.blocks(s.margin, full)
		s.cautions(full)
	case s.size == A5:
		// The courts stand at the foot of the card; everything else keeps above them.
		s.SetAutoPageBreak(true, s.margin+cardRow)
		s.blocks(s.margin, full)
		s.cautions(full)
		s.SetAutoPageBreak(false, 0)
		s.row(full, s.height-s.margin-cardRow+2)
	default:
		s.aside(s.width-s.margin-aside, top, aside)
		s.SetPage(1)
		s.SetY(top)
		s.blocks(s.margin, full-aside-gutter)
		s.cautions(full - aside - gutter)
	}
}

// cardRow is the height of the courts at the foot of a card.
const cardRow = 54.0

// head says what, when, with whom, and what to bring.
func (s *sheet) head() {
	c := s.content
	full := s.width - 2*s.margin
	line := s.font(metricBox, "", 26)
	s.CellFormat(s.GetStringWidth(c.Sheet.Start)+3, line, c.Sheet.Start, "", 0, "L", false, 0, "")
	s.font(sans, "B", 17)
	s.CellFormat(0, line, c.Sheet.Title, "", 1, "L", false, 0, "")
	s.text(s.margin, full, 10, c.Sheet.About)
	for _, fact := range c.Sheet.Facts {
		s.text(s.margin, full, 10, fact.String())
	}
	if c.Sheet.Note != "" && s.size == A4 {
		s.text(s.margin, full, 10, c.Sheet.Note)
	}
}

// road draws the lesson as a road: length is time, height is effort.
func (s *sheet) road() {
	p := s.content.Schedule
	total := max(p.Booked, p.Planned)
	if total <= 0 || len(p.Blocks) == 0 {
		return
	}
	full, high := s.width-2*s.margin, 13.0
	y := s.GetY() + 2 + high
	s.SetDrawColor(0, 0, 0)
	for _, block := range p.Blocks {
		x, w := s.margin+full*block.Start/total, full*(block.End-block.Start)/total
		h := 2 + (high-2)*float64(block.Effort)/10
		s.SetFillColor(225, 225, 225)
		s.SetLineWidth(0.2)
		s.Rect(x, y-h, w, h, "FD")
	}
	s.SetLineWidth(0.6)
	s.Line(s.margin, y, s.margin+full, y)
	s.SetLineWidth(0.2)
	line := s.font(metricBox, "", 8)
	for i, stone := range p.Milestones {
		x := s.margin + full*stone.Second/total
		s.Line(x, y, x, y+1.2)
		if i%2 == 0 && x < s.margin+full-4 {
			s.Text(x, y+1.2+line*0.8, stone.Clock)
		}
	}
	s.SetXY(s.margin, y+1.5+line)
}

// blocks writes block after block with its lines.
func (s *sheet) blocks(x, width float64) {
	clock := 13.0 * s.scale
	for _, section := range s.content.Sheet.Sections {
		line := s.font(metricBox, "", 14)
		if _, foot := s.GetAutoPageBreak(); s.GetY()+3*line > s.height-foot {
			s.AddPage()
		}
		y := s.GetY()
		s.SetDrawColor(0, 0, 0)
		s.SetLineWidth(0.15)
		s.Line(x, y, x+width, y)
		s.SetXY(x, y+0.8)
		s.CellFormat(clock, line, section.Clock, "", 0, "L", false, 0, "")
		s.font(sans, "B", 11.5)
		s.CellFormat(width-clock-14, line, s.short(section.Title, width-clock-14), "", 0, "L", false, 0, "")
		s.font(metricBox, "", 12)
		s.CellFormat(14, line, section.Length, "", 1, "R", false, 0, "")
		for _, phrase := range s.lines(section) {
			s.text(x+clock, width-clock, 9.5, phrase)
		}
		s.SetY(s.GetY() + 1)
	}
}

// lines are what is to be said and done in a block; on a card the first two that have a time, and how many more
// there are.
func (s *sheet) lines(section runsheet.Section) []string {
	const card = 2
	var list []string
	left := 0
	for _, line := range section.Lines {
		if s.size == A5 && (line.After == "" || len(list) == card) {
			left++
			continue
		}
		list = append(list, line.String())
	}
	if left > 0 && len(list) > 0 {
		list[len(list)-1] += fmt.Sprintf(" (+%d on A4)", left)
	}
	return list
}

// cautions close the sheet.
func (s *sheet) cautions(width float64) {
	c := s.content.Sheet
	phrase := c.NoAdvice
	if s.size == A4 {
		phrase = strings.TrimSpace(strings.Join(c.Cautions, " ") + " " + c.NoAdvice)
	}
	s.SetY(s.GetY() + 1)
	s.text(s.margin, width, 8, phrase)
}
