// Package handover makes what a coach gives to others, and takes to another machine: tables.
package handover

import (
	"context"
	"fmt"
	"strings"
	"time"

	"hodometer/core/count/tally"
	"hodometer/core/people/student"
	"hodometer/sheets"
	"hodometer/store"
)

// Span is what tables are about: from one day to another, both included, and one student, or all where that is empty.
type Span struct{ From, To, Student string }

// always is all that there ever was, of one student or of all.
func always(student string) Span { return Span{From: "0000-01-01", To: "9999-12-31", Student: student} }

// MostCounts is how many counts go into a workbook; more are handed out as .csv only.
const MostCounts = 200_000

// Workbook is the tables of a span as an .xlsx.
func Workbook(ctx context.Context, from *store.Store, span Span) ([]byte, error) {
	all, err := Tables(ctx, from, span)
	if err != nil {
		return nil, err
	}
	n, err := from.CountedBetween(ctx, span.Student, span.From, span.To)
	if err != nil {
		return nil, err
	}
	if counts := &all[len(all)-1]; n > MostCounts {
		counts.Columns = counts.Columns[:1]
		counts.Rows = func(give func(...any) error) error {
			return give(fmt.Sprintf("There are %d, too many for a workbook: take counts.csv, or a shorter span.", n))
		}
	}
	return sheets.Workbook(all...)
}

// Tables are the tables of a span: students, attendance, results, counts. Their rows are read as they are written.
func Tables(ctx context.Context, from *store.Store, span Span) ([]sheets.Sheet, error) {
	records, err := from.Students.List(ctx, true)
	if err != nil {
		return nil, err
	}
	w := writer{ctx: ctx, from: from, span: span, students: map[string]student.Profile{}}
	for _, r := range records {
		w.students[r.ID] = r.Document
	}
	return []sheets.Sheet{w.profiles(records), w.attendance(), w.results(), w.counts()}, nil
}

// writer writes the tables of a span.
type writer struct {
	ctx      context.Context
	from     *store.Store
	span     Span
	students map[string]student.Profile
}

func (w writer) name(id string) string {
	if p, known := w.students[id]; known {
		return p.Name
	}
	return store.Erased
}

func (w writer) profiles(records []store.Record[student.Profile]) sheets.Sheet {
	return sheets.Sheet{
		Name: "Students", About: "A row for each student. Hodometer reads this table too.",
		Columns: []sheets.Column{
			{Title: "Name"},
			{Title: "Age", About: "Age band, in years"},
			{Title: "Birthday", About: "Year-month-day; empty where it is not kept"},
			{Title: "Sport"}, {Title: "Level", About: "Playing level, or ball stage in tennis"},
			{Title: "Racket hand"}, {Title: "Backhand"},
			{Title: "Works towards"},
			{Title: "What hurts", About: "Private"},
			{Title: "Note", About: "Private"},
			{Title: "Archived", About: "yes: out of the lists"},
		},
		Rows: func(give func(...any) error) error {
			for _, r := range records {
				if w.span.Student != "" && r.ID != w.span.Student {
					continue
				}
				p := r.Document
				if err := give(
					p.Name,
					string(p.Age),
					p.Born,
					string(p.Sport),
					string(p.Level),
					string(p.Hand),
					string(p.Backhand),
					p.Objective,
					p.HurtsInWords(),
					p.Note,
					r.Archived,
				); err != nil {
					return err
				}
			}
			return nil
		},
	}
}

func (w writer) attendance() sheets.Sheet {
	return sheets.Sheet{
		Name: "Attendance", About: "A row for each student of each lesson that was given. Hodometer reads this table too.",
		Columns: []sheets.Column{
			{
				Title: "Name",
			},
			{Title: "Date", About: "Year-month-day"},
			{Title: "Start", About: "Hours:minutes; empty where it is not known"},
			{
				Title: "Lesson",
			},
			{Title: "Came", About: "yes or no"},
			{Title: "Minutes", About: "How long they were in it; empty where it is not known"},
		},
		Rows: func(give func(...any) error) error {
			return w.from.Attended(w.ctx, w.span.Student, w.span.From, w.span.To, func(a store.Attended) error {
				var minutes any
				if a.Lesson != "" {
					minutes = round(a.Minutes)
				}
				return give(w.name(a.Student), a.Day, a.Start, a.Title, a.Came, minutes)
			})
		},
	}
}

func (w writer) results() sheets.Sheet {
	return sheets.Sheet{
		Name: "Results", About: "A row for each time that a student was counted at a measure of a drill in a lesson.",
		Columns: []sheets.Column{
			{Title: "Name"},
			{Title: "Date", About: "Year-month-day"},
			{Title: "Lesson"},
			{Title: "Drill"},
			{
				Title: "Measure",
				About: "Its number in the drill",
			},
			{Title: "Stroke"},
			{Title: "Rung", About: "On the ladder of the stroke"},
			{
				Title: "Counted",
				About: "What made and tried are: balls, sequences, rallies, points, repetitions, tries on the clock",
			},
			{Title: "Made"},
			{Title: "Tried"},
			{Title: "Best in a row"},
			{Title: "In the net"},
			{Title: "Long"},
			{Title: "Wide"},
			{Title: "Right choices"},
			{Title: "Wrong choices"},
			{Title: "Longest rally", About: "Strokes"},
			{Title: "Fastest try", About: "Seconds"},
			{Title: "Goal"},
			{Title: "How far along", About: "The goal, in words"},
			{Title: "Goal met", About: "yes or no"},
		},
		Rows: func(give func(...any) error) error {
			return w.from.AttemptsBetween(
				w.ctx,
				w.span.Student,
				w.span.From,
				w.span.To,
				func(a store.Attempt, o store.Occasion) error {
					var fastest any
					if a.Fastest > 0 {
						fastest = a.Fastest
					}
					return give(
						w.name(
							a.Student,
						),
						o.Date,
						o.Title,
						a.Name,
						a.Measure.Number,
						string(a.Stroke),
						string(a.Rung),
						string(a.Measure.What),
						a.Made,
						a.Balls,
						a.Best,
						a.Net,
						a.Long,
						a.Wide,
						a.Right,
						a.Wrong,
						a.Longest,
						fastest,
						a.Measure.Goals.String(),
						a.Standing.Sentence.String(),
						a.Standing.Met,
					)
				},
			)
		},
	}
}

func (w writer) counts() sheets.Sheet {
	return sheets.Sheet{
		Name: "Counts", About: "A row for each tap courtside that was not taken back.",
		Columns: []sheets.Column{
			{
				Title: "Name",
			},
			{Title: "At", About: "Year-month-day hours:minutes:seconds, by the clock of this machine"},
			{Title: "Lesson"},
			{Title: "Drill"},
			{Title: "Measure", About: "Its number in the drill"},
			{Title: "What", About: "made, missed, a turn counted as a whole, a rally, a time, a fault seen"},
			{
				Title: "Made",
				About: "Of a turn: made; of a rally: strokes",
			},
			{Title: "Of", About: "Of a turn: tried"},
			{Title: "Seconds", About: "Of a try on the clock"},
			{Title: "Miss", About: "net, long, wide; empty where it was not marked"},
			{Title: "Choice"},
			{Title: "Fault"},
			{
				Title: "Landing x",
				About: "Metres to the right of the middle of the court",
			},
			{Title: "Landing y", About: "Metres from the middle of the court towards the far end"},
		},
		Rows: func(give func(...any) error) error {
			return w.from.CountsBetween(
				w.ctx,
				w.span.Student,
				w.span.From,
				w.span.To,
				func(a store.Attempt, o store.Occasion, entries []tally.Entry) error {
					for _, e := range entries {
						made, of, seconds := parts(e)
						var x, y any
						if e.Landing != nil {
							x, y = e.Landing.X, e.Landing.Y
						}
						at := e.At.Local().Format(time.DateTime)
						if err := give(
							w.name(a.Student),
							at,
							o.Title,
							a.Name,
							a.Measure.Number,
							string(e.Kind),
							made,
							of,
							seconds,
							string(e.Miss),
							string(e.Choice),
							e.Fault,
							x,
							y,
						); err != nil {
							return err
						}
					}
					return nil
				},
			)
		},
	}
}

// parts are the numbers of an entry; nil where it has none.
func parts(e tally.Entry) (made, of, seconds any) {
	switch e.Kind {
	case tally.Turn:
		return e.Made, e.Of, nil
	case tally.Rally:
		return e.Strokes, nil, nil
	case tally.Timed:
		return nil, nil, e.Seconds
	}
	return nil, nil, nil
}

func round(minutes float64) float64 { return float64(int(10*minutes+0.5)) / 10 }

// File is the name under which a table is handed over, without its ending.
func File(sheet sheets.Sheet) string {
	return strings.ToLower(strings.ReplaceAll(sheet.Name, " ", "-"))
}
