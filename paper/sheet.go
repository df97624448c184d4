package paper

import (
	"fmt"
	"strings"
	"time"

	"hodometer/core/lesson"
	"hodometer/core/units"
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
	case s.size == A5:
		s.blocks(s.margin, full)
		s.row(full)
	case aside == 0:
		s.blocks(s.margin, full)
	default:
		s.aside(s.width-s.margin-aside, top, aside)
		s.SetY(top)
		s.blocks(s.margin, full-aside-gutter)
	}
	s.cautions()
}

// head says what, when, with whom, and what to bring.
func (s *sheet) head() {
	c := s.content
	full := s.width - 2*s.margin
	line := s.font(drum, "", 26)
	s.CellFormat(s.GetStringWidth(c.Lesson.Start)+3, line, c.Lesson.Start, "", 0, "L", false, 0, "")
	s.font(sans, "B", 17)
	s.CellFormat(0, line, c.Lesson.Title, "", 1, "L", false, 0, "")
	day := c.Lesson.Date
	if at, err := time.Parse(time.DateOnly, day); err == nil {
		day = at.Format("Monday, 2 January 2006")
	}
	who := make([]string, len(c.Plan.Budgets))
	watch := []string{}
	for i, b := range c.Plan.Budgets {
		who[i] = b.Name
		if b.Fault != "" {
			watch = append(watch, b.Name+": "+b.Fault)
		}
	}
	s.text(s.margin, full, sans, "", 10, fmt.Sprintf("%s · %d min · %s", day, c.Lesson.Minutes, strings.Join(who, ", ")))
	if len(c.Plan.Carry) > 0 {
		carry := make([]string, len(c.Plan.Carry))
		for i, piece := range c.Plan.Carry {
			carry[i] = piece.String()
		}
		s.text(s.margin, full, sans, "", 10, "Carry: "+strings.Join(carry, ", "))
	}
	if len(watch) > 0 {
		s.text(s.margin, full, sans, "", 10, "Watch: "+strings.Join(watch, "; "))
	}
	if c.Lesson.Note != "" && s.size == A4 {
		s.text(s.margin, full, sans, "", 10, c.Lesson.Note)
	}
}

// road draws the lesson as a road: length is time, height is effort.
func (s *sheet) road() {
	p := s.content.Plan
	total := max(p.Booked, p.Planned)
	if total <= 0 || len(p.Stretches) == 0 {
		return
	}
	full, high := s.width-2*s.margin, 13.0
	y := s.GetY() + 2 + high
	s.SetDrawColor(0, 0, 0)
	for _, stretch := range p.Stretches {
		x, w := s.margin+full*stretch.Start/total, full*(stretch.End-stretch.Start)/total
		h := 2 + (high-2)*float64(stretch.Effort)/10
		s.SetFillColor(225, 225, 225)
		s.SetLineWidth(0.2)
		s.Rect(x, y-h, w, h, "FD")
	}
	s.SetLineWidth(0.6)
	s.Line(s.margin, y, s.margin+full, y)
	s.SetLineWidth(0.2)
	line := s.font(drum, "", 8)
	for i, stone := range p.Milestones {
		x := s.margin + full*stone.Second/total
		s.Line(x, y, x, y+1.2)
		if i%2 == 0 && x < s.margin+full-4 {
			s.Text(x, y+1.2+line*0.8, stone.Clock)
		}
	}
	s.SetXY(s.margin, y+1.5+line)
}

// blocks writes block after block with its cues.
func (s *sheet) blocks(x, width float64) {
	clock := 13.0 * s.scale
	for _, stretch := range s.content.Plan.Stretches {
		line := s.font(drum, "", 14)
		if s.GetY()+3*line > s.height-s.margin {
			s.AddPage()
		}
		y := s.GetY()
		s.SetDrawColor(0, 0, 0)
		s.SetLineWidth(0.15)
		s.Line(x, y, x+width, y)
		s.SetXY(x, y+0.8)
		s.CellFormat(clock, line, stretch.Clock, "", 0, "L", false, 0, "")
		s.font(sans, "B", 11.5)
		s.CellFormat(width-clock-14, line, s.short(stretch.Title, width-clock-14), "", 0, "L", false, 0, "")
		s.font(drum, "", 12)
		s.CellFormat(14, line, units.Decimal(stretch.End/60-stretch.Start/60, 1)+" min", "", 1, "R", false, 0, "")
		for _, words := range s.cues(stretch) {
			s.text(x+clock, width-clock, sans, "", 9.5, words)
		}
		s.SetY(s.GetY() + 1)
	}
}

// short cuts text so that it fits into a width.
func (s *sheet) short(words string, width float64) string {
	letters := []rune(words)
	for len(letters) > 1 && s.GetStringWidth(string(letters)) > width {
		letters = append(letters[:len(letters)-2], '…')
	}
	return string(letters)
}

// cues puts what is to be said and done in a block into a few lines.
func (s *sheet) cues(stretch lesson.Stretch) []string {
	var list []string
	placed := false
	for _, cue := range s.content.Cues {
		if cue.Block != stretch.Block {
			continue
		}
		at := units.Decimal((cue.Second-stretch.Start)/60, 1)
		switch cue.Kind {
		case lesson.Say:
			list = append(list, "+"+at+"  "+cue.Text)
		case lesson.Feed:
			words := cue.Text
			for _, role := range cue.Roles {
				if role.Role != "as drawn" {
					words += ". " + role.Name + ": " + role.Role
				}
			}
			list = append(list, "+"+at+"  "+words)
		case lesson.Swap:
			if placed || stretch.Table == nil {
				continue
			}
			placed = true
			seats := make([]string, len(cue.Roles))
			for i, role := range cue.Roles {
				seats[i] = role.Name + " " + role.Role
			}
			list = append(list, fmt.Sprintf("%s. Then one place on every %s min.", strings.Join(seats, ", "), units.Decimal(stretch.Table.Rounds[0].Seconds/60, 1)))
		case lesson.Begin:
			if _, set, ok := strings.Cut(cue.Text, ". "); ok && s.size == A4 {
				list = append(list, set)
			}
		}
	}
	const card = 2 // lines of a block on a card
	if s.size == A5 && len(list) > card {
		list = list[:card]
	}
	return list
}

// cautions close the sheet.
func (s *sheet) cautions() {
	all := append([]string{}, s.content.Plan.Cautions...)
	if s.size == A5 {
		all = nil
	}
	const advice = " No medical advice; local rules and licensed practice come first."
	for i := range all {
		all[i] = strings.TrimSuffix(all[i], advice)
	}
	words := strings.TrimSpace(strings.Join(all, " ") + " " + strings.TrimSpace(advice))
	s.SetY(s.GetY() + 1)
	s.text(s.margin, s.width-2*s.margin, sans, "", 8, words)
}
