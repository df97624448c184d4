package paper

import (
	"fmt"
	"io"
	"strings"

	"hodometer/core/drill"
	"hodometer/core/drill/report"
	"hodometer/picture"
)

// Card is a drill as a card shows it.
type Card struct {
	Drill  drill.Document
	Report report.Report
	Code   []string // the drill as a QR code, row by row, 1 for dark; none: without
}

// cardDay is the day that cards bear in the file: none, so that they are the same on every day.
const cardDay = ""

// WriteCard writes a drill on one card. The same drill gives the same bytes.
func WriteCard(w io.Writer, c Card, size Size) error {
	for scale := 1.0; ; scale -= 0.05 {
		p := newPage(size, c.Drill.Name, cardDay)
		p.scale = scale
		p.AddPage()
		p.card(c)
		if err := p.Error(); err != nil {
			return fmt.Errorf("card of %s: %w", c.Drill.Name, err)
		}
		if p.PageCount() == 1 || scale <= smallest {
			return p.Output(w)
		}
	}
}

// WriteBook writes drills as a book with contents, a page of A5 for each. The same drills give the same bytes.
func WriteBook(w io.Writer, title string, cards []Card) error {
	p := newPage(A5, title, cardDay)
	links := p.contents(title, cards)
	for i, c := range cards {
		p.AddPage()
		p.SetLink(links[i], 0, -1)
		p.Bookmark(picture.Printable(c.Drill.Name), 0, 0)
		p.card(c)
	}
	if err := p.Error(); err != nil {
		return fmt.Errorf("book of drills: %w", err)
	}
	return p.Output(w)
}

// contents writes what is in a book, on as many pages as that takes, and returns a link to each drill.
func (p *page) contents(title string, cards []Card) []int {
	links := make([]int, len(cards))
	p.AddPage()
	p.styled(p.margin, p.width-2*p.margin, 20, "B", title)
	p.Ln(3)
	line := p.font(sans, "", 10)
	perPage := int((p.height - 2*p.margin) / line)
	pages := 1 + len(cards)/perPage // of the contents: it is known before the drills are written
	for i, c := range cards {
		links[i] = p.AddLink()
		number := fmt.Sprint(pages + 1 + i)
		room := p.width - 2*p.margin - p.GetStringWidth(number) - 2
		p.CellFormat(room, line, c.Drill.Name+", "+string(c.Drill.Sport), "", 0, "L", false, links[i], "")
		p.CellFormat(0, line, number, "", 1, "R", false, links[i], "")
	}
	for p.PageCount() < pages {
		p.AddPage()
	}
	return links
}

// card writes a drill from the top of a page: its name, its court, what is played and counted, what to look at, and its
// code at the foot.
func (p *page) card(c Card) {
	full := p.width - 2*p.margin
	d, r := c.Drill, c.Report
	p.styled(p.margin, full, 16, "B", d.Name)
	p.text(
		p.margin,
		full,
		9,
		strings.Join([]string{string(d.Sport), r.Court.Name, string(d.Stroke) + ", " + string(d.Rung)}, " · "),
	)
	if d.Summary != "" {
		p.text(p.margin, full, 10, d.Summary)
	}
	top := p.GetY() + 2
	drawn := full * 0.42
	high := min(picture.Height(r, drawn), p.height-p.margin-top)
	p.SetDrawColor(0, 0, 0)
	picture.Court(pen{p}, r, picture.Point{X: p.margin, Y: top}, drawn, high)
	x, width := p.margin+drawn+4, full-drawn-4
	p.SetY(top)
	part := func(title string, lines ...string) {
		if len(lines) == 0 {
			return
		}
		p.styled(x, width, 9.5, "B", title)
		for _, l := range lines {
			p.text(x, width, 9.5, l)
		}
		p.Ln(1)
	}
	part("Goal", goals(r)...)
	part("Balls", balls(c)...)
	part("Put down", d.Equipment...)
	part("Watch", d.Cues...)
	part("Easier and harder", versions(d)...)
	part("Care", r.Care...)
	p.code(c.Code, []column{{x, p.GetY(), width}, {p.margin, top + high + 2, drawn}})
}

// column is where there may be room: from a height of the page on.
type column struct{ x, y, width float64 }

// goals are the goals of a drill in words, with their targets.
func goals(r report.Report) []string {
	var lines []string
	for _, m := range r.Measures {
		line := m.Goal + m.Where
		if m.Name != "" {
			line = fmt.Sprintf("%d %s: %s", m.Number, m.Name, line)
		}
		lines = append(lines, line)
	}
	return lines
}

// balls says what a turn is made of, with the figures that the bench leads with.
func balls(c Card) []string {
	const first = 4
	var said []string
	for _, m := range c.Report.Metrics[:min(first, len(c.Report.Metrics))] {
		said = append(said, fmt.Sprintf("%s: %s %s", m.Name, m.Text, m.Unit))
	}
	return said
}

func versions(d drill.Document) []string {
	var names []string
	for _, v := range d.Variations {
		names = append(names, v.Name)
	}
	if len(names) == 0 {
		return nil
	}
	return []string{strings.Join(names, ", ")}
}

// squares is how small the squares of a code may be so that a camera reads them, in millimetres; common practice, no
// source.
const squares = 0.33

// largest is how large a code is at most, in millimetres.
const largest = 60

// code draws a code at the foot of the column with the most room, where there is enough.
func (p *page) code(rows []string, columns []column) {
	room, in := 0.0, column{}
	for _, c := range columns {
		if has := min(c.width, p.height-p.margin-c.y, largest); has > room {
			room, in = has, c
		}
	}
	if len(rows) == 0 || room/float64(len(rows)) < squares {
		return
	}
	each, x := room/float64(len(rows)), in.x
	y := p.height - p.margin - room
	p.SetFillColor(0, 0, 0)
	for i, row := range rows {
		for from := 0; from < len(row); {
			dark := strings.IndexByte(row[from:], '1')
			if dark < 0 {
				break
			}
			begins := from + dark
			ends := begins + len(row[begins:]) - len(strings.TrimLeft(row[begins:], "1"))
			p.Rect(x+float64(begins)*each, y+float64(i)*each, float64(ends-begins)*each, each, "F")
			from = ends
		}
	}
}
