// Package paper writes what is printed, as PDF: a lesson's run sheet for a clipboard, cards of drills, and a book of
// them.
package paper

import (
	"fmt"
	"io"

	"hodometer/core/drill/report"
	"hodometer/core/lesson/runsheet"
	"hodometer/core/lesson/schedule"
)

// Size is a size of paper.
type Size string

// The sizes.
const (
	A4 Size = "A4"
	A5 Size = "A5"
	A6 Size = "A6"
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

// sheet is a run sheet that is being written.
type sheet struct {
	*page
	content Content
	size    Size
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
	s := &sheet{page: newPage(size, c.Sheet.Title+", "+c.Date, c.Date), content: c, size: size}
	s.scale = scale
	s.AddPage()
	return s
}
