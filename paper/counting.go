package paper

import (
	"fmt"
	"io"
)

// Counting is a sheet for one player, to be filled by hand: what they are counted at in a lesson.
type Counting struct {
	Player string
	Parts  []Counted
}

// Counted is one thing that is counted: so many tries in so many turns.
type Counted struct {
	Title string // the drill, and what is counted where that is more than one thing
	Goal  string
	Unit  string // what is tried: balls, rallies
	Turns int
	Turn  int // tries in a turn; 0: they are not known before
}

// Scoring is a game of a lesson, whose score is kept by hand.
type Scoring struct {
	Title   string
	Players []string
}

// CountingSheets are the sheets of a lesson: one for each player, then one for each game.
type CountingSheets struct {
	Lesson  string
	Date    string // year-month-day
	Players []Counting
	Games   []Scoring
}

const (
	square = 5.0 // millimetres, for a tick with a pencil
	// The most that is drawn; more is written as a number.
	mostTurns, mostTries = 12, 20
	// rounds is how many columns a score sheet has.
	rounds = 8
)

// WriteCounting writes counting sheets, a page of A5 for each player and for each game. A page says nothing about
// another player. The same content gives the same bytes.
func WriteCounting(w io.Writer, c CountingSheets) error {
	p := newPage(A5, c.Lesson+", "+c.Date, c.Date)
	p.SetDrawColor(0, 0, 0)
	p.SetLineWidth(0.25)
	for _, player := range c.Players {
		p.AddPage()
		p.heading(player.Player, c)
		p.text(p.margin, p.width-2*p.margin, 9, "A tick is made, a line is missed; what was not played stays empty.")
		for _, part := range player.Parts {
			p.counted(part)
		}
	}
	for _, game := range c.Games {
		p.AddPage()
		p.heading(game.Title, c)
		p.scored(game)
	}
	if p.PageCount() == 0 {
		p.AddPage()
		p.heading("Nothing is counted", c)
	}
	if err := p.Error(); err != nil {
		return fmt.Errorf("counting sheets: %w", err)
	}
	return p.Output(w)
}

func (p *page) heading(name string, c CountingSheets) {
	full := p.width - 2*p.margin
	p.styled(p.margin, full, 18, "B", name)
	p.text(p.margin, full, 10, c.Lesson+", "+c.Date)
	p.Ln(2)
}

// counted writes boxes for one thing that is counted, a row for each turn.
func (p *page) counted(c Counted) {
	full := p.width - 2*p.margin
	turns, tries := min(max(c.Turns, 1), mostTurns), min(c.Turn, mostTries)
	perRow := int((full - 32) / square)
	lines := (tries + perRow - 1) / max(perRow, 1)
	need := 14 + float64(turns*max(lines, 1))*(square+1.5)
	if p.GetY()+need > p.height-p.margin {
		p.AddPage()
	}
	p.Ln(2)
	p.styled(p.margin, full, 11, "B", c.Title)
	p.text(p.margin, full, 9.5, c.Goal)
	p.Ln(1)
	for turn := range turns {
		y := p.GetY()
		p.font(sans, "", 9)
		p.Text(p.margin+1, y+square-1.2, fmt.Sprint(turn+1))
		for i := range tries {
			x := p.margin + 6 + float64(i%perRow)*square
			p.Rect(x, y+float64(i/perRow)*square, square, square, "D")
		}
		after := p.margin + 6 + float64(min(tries, perRow))*square + 3
		p.Text(after, y+square-1.2, "made ______")
		p.SetY(y + float64(max(lines, 1))*square + 1.5)
	}
	all := "In all: ______ " + c.Unit
	if c.Turn > 0 {
		all = fmt.Sprintf("In all: ______ of %d %s", c.Turns*c.Turn, c.Unit)
	}
	p.text(p.margin, full, 9.5, all)
}

// scored writes a grid for the points of everybody in a game.
func (p *page) scored(s Scoring) {
	const name, tall = 42.0, 9.0
	wide := (p.width - 2*p.margin - name) / (rounds + 1)
	row := func(first string, cells func(i int) string) {
		y := p.GetY()
		p.font(sans, "", 10)
		p.Rect(p.margin, y, name, tall, "D")
		p.Text(p.margin+1.5, y+tall-3, p.short(first, name-3))
		for i := range rounds + 1 {
			p.Rect(p.margin+name+float64(i)*wide, y, wide, tall, "D")
			p.Text(p.margin+name+float64(i)*wide+1.5, y+tall-3, cells(i))
		}
		p.SetY(y + tall)
	}
	row("Round", func(i int) string {
		if i == rounds {
			return "all"
		}
		return fmt.Sprint(i + 1)
	})
	for _, player := range s.Players {
		row(player, func(int) string { return "" })
	}
}
