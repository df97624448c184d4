// Package paper writes a lesson's run sheet as a PDF for a clipboard: one page of A4, or an A5 card.
package paper

import (
	"fmt"
	"io"
	"time"

	"codeberg.org/go-pdf/fpdf"

	"hodometer/core/report"
	"hodometer/core/runsheet"
	"hodometer/core/schedule"
	"hodometer/picture"
)

// Size is a size of paper.
type Size string

// The sizes.
const (
	A4 Size = "A4"
	A5 Size = "A5"
)

// Drawn is a drill or a game as it is drawn.
type Drawn struct {
	Name   string
	Report report.Report
}

// Content is what a run sheet is written from.
type Content struct {
	Date     string // the lesson's day, year-month-day
	Sheet    runsheet.Content
	Schedule schedule.Timetable
	Drills   []Drawn // in the order of the lesson
}

// The names under which the fonts are known.
const (
	sans      = "sans"
	metricBox = "drum"
)

// sheet is a page that is being written. All lengths are millimetres.
type sheet struct {
	*fpdf.Fpdf
	content Content
	size    Size
	scale   float64 // of all text
	width   float64
	height  float64
	margin  float64
}

// smallest is how far text is made smaller so that everything is on one page; what does not fit then goes on
// to a second one.
const smallest = 0.6

// Write writes the run sheet. The same content gives the same bytes.
func Write(w io.Writer, c Content, size Size) error {
	for scale := 1.0; ; scale -= 0.05 {
		s := newSheet(c, size, scale)
		s.write()
		if err := s.Error(); err != nil {
			return fmt.Errorf("run sheet: %w", err)
		}
		if s.PageCount() == 1 || scale <= smallest {
			return s.Output(w)
		}
	}
}

func newSheet(c Content, size Size, scale float64) *sheet {
	pdf := fpdf.New("P", "mm", string(size), "")
	s := &sheet{Fpdf: pdf, content: c, size: size, scale: scale, margin: 12}
	s.width, s.height = pdf.GetPageSize()
	if size == A5 {
		s.margin = 8
	}
	// The lesson's own day, so that the same lesson gives the same file.
	at, err := time.Parse(time.DateOnly, c.Date)
	if err == nil {
		pdf.SetCreationDate(at)
		pdf.SetModificationDate(at)
	}
	pdf.SetCatalogSort(true)
	pdf.SetTitle(picture.Printable(c.Sheet.Title+", "+c.Date), true)
	pdf.SetLang("en")
	pdf.SetMargins(s.margin, s.margin, s.margin)
	pdf.SetAutoPageBreak(true, s.margin)
	pdf.AddUTF8FontFromBytes(sans, "", picture.Regular)
	pdf.AddUTF8FontFromBytes(sans, "B", picture.SemiBold)
	pdf.AddUTF8FontFromBytes(metricBox, "", picture.Condensed)
	pdf.AddPage()
	pdf.SetTextColor(0, 0, 0)
	return s
}

// font sets a font in points, and returns the height of its line.
func (s *sheet) font(family, style string, points float64) float64 {
	points *= s.scale
	s.SetFont(family, style, points)
	return points * 0.3528 * 1.2
}

// Everything that is written or measured goes through these, so that nothing reaches the PDF that its fonts
// cannot draw.

// CellFormat writes a line in a cell.
func (s *sheet) CellFormat(width, height float64, phrase, border string, next int, align string, fill bool, link int, linked string) {
	s.Fpdf.CellFormat(width, height, picture.Printable(phrase), border, next, align, fill, link, linked)
}

// MultiCell writes text over several lines.
func (s *sheet) MultiCell(width, height float64, phrase, border, align string, fill bool) {
	s.Fpdf.MultiCell(width, height, picture.Printable(phrase), border, align, fill)
}

// Text writes text at a place.
func (s *sheet) Text(x, y float64, phrase string) { s.Fpdf.Text(x, y, picture.Printable(phrase)) }

// GetStringWidth measures text.
func (s *sheet) GetStringWidth(phrase string) float64 {
	return s.Fpdf.GetStringWidth(picture.Printable(phrase))
}

// text writes text from a place on, within a width, and leaves the pen below it.
func (s *sheet) text(x, width, points float64, phrase string) {
	line := s.font(sans, "", points)
	s.SetX(x)
	left, _, right, _ := s.GetMargins()
	s.SetLeftMargin(x)
	s.SetRightMargin(s.width - x - width)
	s.MultiCell(width, line, phrase, "", "L", false)
	s.SetLeftMargin(left)
	s.SetRightMargin(right)
}
