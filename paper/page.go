package paper

import (
	"time"

	"codeberg.org/go-pdf/fpdf"

	"hodometer/picture"
)

// The names under which the fonts are known.
const (
	sans      = "sans"
	metricBox = "drum"
)

// page is paper that is being written. All lengths are millimetres.
type page struct {
	*fpdf.Fpdf
	scale  float64 // of all text
	width  float64
	height float64
	margin float64
}

// newPage is paper of a size, for a document with a title and, where it has one, a day. It has no page yet.
func newPage(size Size, title, day string) *page { return newPageTurned("P", size, title, day) }

// newPageAcross is the same with the long side across.
func newPageAcross(size Size, title, day string) *page { return newPageTurned("L", size, title, day) }

func newPageTurned(orientation string, size Size, title, day string) *page {
	setUp := fpdf.InitType{OrientationStr: orientation, UnitStr: "mm", SizeStr: string(size)}
	if size == A6 {
		setUp.Size = fpdf.SizeType{Wd: 105, Ht: 148} // the one that the library does not know
	}
	pdf := fpdf.NewCustom(&setUp)
	p := &page{Fpdf: pdf, scale: 1, margin: map[Size]float64{A4: 12, A5: 8, A6: 6}[size]}
	p.width, p.height = pdf.GetPageSize()
	// A day of its own, so that the same content gives the same file.
	at, err := time.Parse(time.DateOnly, day)
	if err != nil {
		at = time.Date(2000, 1, 1, 0, 0, 0, 0, time.UTC)
	}
	pdf.SetCreationDate(at)
	pdf.SetModificationDate(at)
	pdf.SetCatalogSort(true)
	pdf.SetTitle(picture.Printable(title), true)
	pdf.SetLang("en")
	pdf.SetMargins(p.margin, p.margin, p.margin)
	pdf.SetAutoPageBreak(true, p.margin)
	pdf.AddUTF8FontFromBytes(sans, "", picture.Regular())
	pdf.AddUTF8FontFromBytes(sans, "B", picture.SemiBold())
	pdf.AddUTF8FontFromBytes(metricBox, "", picture.Condensed())
	pdf.SetTextColor(0, 0, 0)
	return p
}

// font sets a font in points, and returns the height of its line.
func (p *page) font(family, style string, points float64) float64 {
	points *= p.scale
	p.SetFont(family, style, points)
	return points * 0.3528 * 1.2
}

// Everything that is written or measured goes through these, so that nothing reaches the PDF that its fonts
// cannot draw.

// CellFormat writes a line in a cell.
func (p *page) CellFormat(
	width, height float64,
	phrase, border string,
	next int,
	align string,
	fill bool,
	link int,
	linked string,
) {
	p.Fpdf.CellFormat(width, height, picture.Printable(phrase), border, next, align, fill, link, linked)
}

// MultiCell writes text over several lines.
func (p *page) MultiCell(width, height float64, phrase, border, align string, fill bool) {
	p.Fpdf.MultiCell(width, height, picture.Printable(phrase), border, align, fill)
}

// Text writes text at a place.
func (p *page) Text(x, y float64, phrase string) { p.Fpdf.Text(x, y, picture.Printable(phrase)) }

// GetStringWidth measures text.
func (p *page) GetStringWidth(phrase string) float64 {
	return p.Fpdf.GetStringWidth(picture.Printable(phrase))
}

// text writes text from a place on, within a width, and leaves the pen below it.
func (p *page) text(x, width, points float64, phrase string) { p.styled(x, width, points, "", phrase) }

// styled writes text in a style.
func (p *page) styled(x, width, points float64, style, phrase string) {
	line := p.font(sans, style, points)
	p.SetX(x)
	left, _, right, _ := p.GetMargins()
	p.SetLeftMargin(x)
	p.SetRightMargin(p.width - x - width)
	p.MultiCell(width, line, phrase, "", "L", false)
	p.SetLeftMargin(left)
	p.SetRightMargin(right)
}

// short cuts text so that it fits into a width.
func (p *page) short(phrase string, width float64) string {
	letters := []rune(phrase)
	for len(letters) > 1 && p.GetStringWidth(string(letters)) > width {
		letters = append(letters[:len(letters)-2], '…')
	}
	return string(letters)
}
