package paper

import (
	"fmt"
	"io"

	"hodometer/core/basics/units"
	"hodometer/core/people/progress"
)

// Certificate is a milestone that a player passed.
type Certificate struct {
	Player string
	Stroke string
	Day    string // in words
	Stamp  string // the same, year-month-day
	progress.Milestone
}

// WriteCertificate writes a certificate on A5 across. The same milestone gives the same bytes.
func WriteCertificate(w io.Writer, c Certificate) error {
	title := fmt.Sprintf("%s, %s: %s", c.Player, c.Stroke, c.Rung)
	p := newPageAcross(A5, title, c.Stamp)
	p.AddPage()
	p.SetDrawColor(0, 0, 0)
	inner := p.margin + 6
	full := p.width - 2*inner
	p.SetLineWidth(0.9)
	p.Rect(p.margin, p.margin, p.width-2*p.margin, p.height-2*p.margin, "D")
	centred := func(points float64, style, text string) {
		for p.font(sans, style, points); p.GetStringWidth(text) > full && points > 10; points-- {
			p.font(sans, style, points-1)
		}
		line := p.font(sans, style, points)
		p.SetX(inner)
		p.CellFormat(full, line, p.short(text, full), "", 1, "C", false, 0, "")
	}
	p.SetY(p.margin + 16)
	centred(12, "", "A milestone is passed")
	p.Ln(2)
	centred(34, "B", c.Player)
	p.Ln(2)
	centred(20, "", units.Title(c.Stroke)+": "+string(c.Rung))
	centred(12, "", c.Rung.Plain())
	p.Ln(5)
	p.ladderRoad(inner+4, full-8, c.Next)
	p.Ln(4)
	if c.Balls > 0 {
		centred(12, "", fmt.Sprintf("%d of %d balls made on the way. The road goes on to %s.", c.Made, c.Balls, c.Next))
	} else {
		centred(12, "", fmt.Sprintf("The road goes on to %s.", c.Next))
	}
	y := p.height - p.margin - 12
	p.SetLineWidth(0.25)
	p.font(sans, "", 11)
	p.Text(inner+4, y-1, c.Day)
	p.Line(inner+4, y, inner+64, y)
	p.Line(p.width-inner-64, y, p.width-inner-4, y)
	p.font(sans, "", 8.5)
	p.Text(inner+4, y+4, "Day")
	p.Text(p.width-inner-64, y+4, "Coach")
	if err := p.Error(); err != nil {
		return fmt.Errorf("certificate: %w", err)
	}
	return p.Output(w)
}
