package paper

import (
	"fmt"
	"io"

	"hodometer/core/basics/units"
	"hodometer/core/exchange/family"
)

// FamilyPage is what a player and those at home are told.
type FamilyPage struct {
	family.Page
	Span string // the time it is about, in words
}

// WriteFamilyPage writes a player's page on A4. The same content gives the same bytes.
func WriteFamilyPage(w io.Writer, f FamilyPage) error {
	p := newPage(A4, f.Player+", "+f.Span, f.To)
	p.AddPage()
	p.SetDrawColor(0, 0, 0)
	full := p.width - 2*p.margin
	p.styled(p.margin, full, 24, "B", f.Player)
	p.text(p.margin, full, 11, units.Title(f.Sport)+", "+f.Span)
	p.text(p.margin, full, 11, f.There)
	part := func(title string) {
		p.Ln(4)
		if p.GetY() > p.height-40 {
			p.AddPage()
		}
		p.Bookmark(title, 0, -1)
		p.styled(p.margin, full, 14, "B", title)
	}
	part("What was worked on")
	if len(f.Strokes) == 0 {
		p.text(p.margin, full, 11, "Nothing was counted in this time.")
	}
	for _, s := range f.Strokes {
		if p.GetY() > p.height-45 {
			p.AddPage()
		}
		p.Ln(2)
		p.styled(p.margin, full, 12, "B", units.Title(s.Name))
		p.Ln(1)
		p.ladderRoad(p.margin+1, full-1, s.Here)
		for _, behind := range s.Behind {
			p.text(p.margin, full, 11, fmt.Sprintf("Milestone passed in this time: %s, %s.", behind, behind.Plain()))
		}
		if s.Counts != "" {
			p.text(p.margin, full, 11, s.Counts)
		}
		p.text(p.margin, full, 11, s.Next)
	}
	if len(f.Met) > 0 {
		part("Goals that were met")
		for _, line := range f.Met {
			p.text(p.margin, full, 11, line)
		}
	}
	part("To practise at home")
	for _, practice := range f.Practice {
		p.Ln(1)
		p.styled(p.margin, full, 11, "B", practice.Name)
		for _, line := range practice.Lines {
			p.text(p.margin, full, 11, line)
		}
	}
	p.Ln(1)
	for _, line := range f.Care {
		p.text(p.margin, full, 10, line)
	}
	part("From the coach")
	p.SetLineWidth(0.2)
	for range 4 {
		y := p.GetY() + 8
		if y > p.height-p.margin {
			break
		}
		p.Line(p.margin+1, y, p.margin+full, y)
		p.SetY(y)
	}
	if err := p.Error(); err != nil {
		return fmt.Errorf("page of %s: %w", f.Player, err)
	}
	return p.Output(w)
}
