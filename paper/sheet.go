package paper

import (
	"fmt"
	"hodometer/core/finding"
	"hodometer/core/runsheet"
	"hodometer/core/schedule"
	"slices"
	"strings"
	"time"
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
	s.text(s.margin, full, 10, fmt.Sprintf("%s · %d min · %s", day, c.Lesson.Minutes, strings.Join(who, ", ")))
	if len(c.Plan.Carry) > 0 {
		carry := make([]string, len(c.Plan.Carry))
		for i, piece := range c.Plan.Carry {
			carry[i] = piece.String()
		}
		s.text(s.margin, full, 10, "Carry: "+strings.Join(carry, ", "))
	}
	if len(watch) > 0 {
		s.text(s.margin, full, 10, "Watch: "+strings.Join(watch, "; "))
	}
	if c.Lesson.Note != "" && s.size == A4 {
		s.text(s.margin, full, 10, c.Lesson.Note)
	}
}

// road draws the lesson as a road: length is time, height is effort.
func (s *sheet) road() {
	p := s.content.Plan
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

// blocks writes block after block with its cues.
func (s *sheet) blocks(x, width float64) {
	clock := 13.0 * s.scale
	for _, block := range s.content.Plan.Blocks {
		line := s.font(metricBox, "", 14)
		if _, foot := s.GetAutoPageBreak(); s.GetY()+3*line > s.height-foot {
			s.AddPage()
		}
		y := s.GetY()
		s.SetDrawColor(0, 0, 0)
		s.SetLineWidth(0.15)
		s.Line(x, y, x+width, y)
		s.SetXY(x, y+0.8)
		s.CellFormat(clock, line, block.Clock, "", 0, "L", false, 0, "")
		s.font(sans, "B", 11.5)
		s.CellFormat(width-clock-14, line, s.short(block.Title, width-clock-14), "", 0, "L", false, 0, "")
		s.font(metricBox, "", 12)
		s.CellFormat(14, line, block.Length, "", 1, "R", false, 0, "")
		for _, phrase := range s.cues(block) {
			s.text(x+clock, width-clock, 9.5, phrase)
		}
		s.SetY(s.GetY() + 1)
	}
}

// short cuts text so that it fits into a width.
func (s *sheet) short(phrase string, width float64) string {
	letters := []rune(phrase)
	for len(letters) > 1 && s.GetStringWidth(string(letters)) > width {
		letters = append(letters[:len(letters)-2], '…')
	}
	return string(letters)
}

// cues puts what is to be said and done in a block into a few lines.
func (s *sheet) cues(block schedule.ScheduledBlock) []string {
	var list []string
	for _, cue := range s.content.Cues {
		if cue.Block != block.Block {
			continue
		}
		switch cue.Kind {
		case runsheet.CallOut:
			list = append(list, cue.After+"  "+cue.Text)
		case runsheet.Feed:
			phrase := cue.Text
			for _, role := range cue.Roles {
				if role.Role != "as drawn" {
					phrase += ". " + role.Short + ": " + role.Role
				}
			}
			list = append(list, cue.After+"  "+phrase)
		case runsheet.Swap:
			list = append(list, cue.After+"  "+cue.Text+": "+s.seats(cue.Roles))
		case runsheet.Begin:
			if _, set, ok := strings.Cut(cue.Text, ". "); ok && s.size == A4 {
				list = append(list, set)
			}
		}
	}
	const card = 2 // lines of a block on a card
	if left := len(list) - card; s.size == A5 && left > 0 {
		list = list[:card]
		list[card-1] += fmt.Sprintf(" (+%d on A4)", left)
	}
	return list
}

// seats says who begins where, place by place.
func (s *sheet) seats(roles []runsheet.Role) string {
	var order []string
	names := map[string][]string{}
	for _, role := range roles {
		if names[role.Role] == nil {
			order = append(order, role.Role)
		}
		names[role.Role] = append(names[role.Role], role.Short)
	}
	phrases := make([]string, len(order))
	for i, role := range order {
		phrases[i] = role + ": " + strings.Join(names[role], ", ")
	}
	return strings.Join(phrases, "; ")
}

// cautions close the sheet.
func (s *sheet) cautions(width float64) {
	all := slices.Clone(s.content.Plan.Cautions)
	if s.size == A5 {
		all = nil
	}
	for i := range all {
		all[i] = strings.TrimSpace(strings.TrimSuffix(all[i], finding.NoAdvice))
	}
	s.SetY(s.GetY() + 1)
	s.text(s.margin, width, 8, strings.TrimSpace(strings.Join(all, " ")+" "+finding.NoAdvice))
}
