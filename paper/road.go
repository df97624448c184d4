package paper

import (
	"slices"

	"hodometer/core/people/ladder"
)

// ladderRoad draws the ladder of a stroke as a road from a place on, so wide: a milestone for each rung, filled where
// it is behind the player, with a ring where they stand. It leaves the pen below.
func (p *page) ladderRoad(x, width float64, here ladder.Quality) {
	ladder := ladder.Qualities()
	at := slices.Index(ladder, here)
	const stone, tall = 2.2, 3.4
	step := width / float64(len(ladder))
	y := p.GetY() + tall
	p.SetDrawColor(0, 0, 0)
	p.SetLineWidth(0.5)
	p.Line(x, y, x+width, y)
	p.SetDashPattern([]float64{1.5, 1.5}, 0)
	p.SetLineWidth(0.2)
	p.Line(x, y+1.6, x+width, y+1.6)
	p.SetDashPattern(nil, 0)
	for i, rung := range ladder {
		left := x + float64(i)*step + 1.6
		shade, style := 255, ""
		switch {
		case i < at:
			shade = 0
		case i == at:
			style = "B"
		}
		p.SetFillColor(shade, shade, shade)
		p.SetLineWidth(0.3)
		p.Rect(left, y-tall, stone, tall, "FD")
		if i == at {
			p.Circle(left+stone/2, y-tall/2, stone*1.1, "D")
		}
		p.font(sans, style, 9)
		p.Text(left+stone+2.4, y-0.8, string(rung))
	}
	p.SetY(y + 3)
}
