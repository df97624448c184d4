package roster

import (
	"cmp"
	"slices"
	"strings"
	"time"

	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// Action is what becomes of a row.
type Action string

// What can be done with a row.
const (
	Add    Action = "add"
	Change Action = "change"
	Leave  Action = "leave out"
)

// Heading says whether the first row of a table says what its columns are.
type Heading string

// What the first row is.
const (
	HasHeading Heading = "headings"
	NoHeading  Heading = "a student"
)

// Asked is a table of students, and what a coach chose about it.
type Asked struct {
	Rows          [][]string  `json:"rows" maxItems:"5000" description:"Row by row, cell by cell"`
	First         Heading     `json:"first,omitempty" description:"What the first row is; empty: what it looks like"`
	Columns       []Field     `json:"columns,omitempty" maxItems:"100" description:"What each column is; empty: what they look like"`
	Dates         DayOrder    `json:"dates,omitempty" description:"How days are written; empty: as they look"`
	KeepBirthdays bool        `json:"keepBirthdays,omitempty" description:"Keep the day itself; else only the age band"`
	Sport         court.Sport `json:"sport,omitempty" description:"Of those of whom the table does not say it; empty: tennis"`
	Do            []Chosen    `json:"do,omitempty" maxItems:"5000" description:"Rows of which the coach chose what becomes of them"`
}

// Chosen is what becomes of a row by a coach's choice.
type Chosen struct {
	Row int    `json:"row" minimum:"1" maximum:"5000"`
	Do  Action `json:"do"`
}

// Known is a student who is here already.
type Known struct {
	ID       string
	Archived bool
	Profile  student.Profile
}

// Column is a column of a table.
type Column struct {
	Title   string `json:"title" description:"Its heading; empty where there is none"`
	Field   Field  `json:"field"`
	Filled  int    `json:"filled" description:"Cells with something in them"`
	Example string `json:"example"`
}

// Double is somebody who has the same name as a row.
type Double struct {
	Student  string `json:"student,omitempty" description:"Who is here already; empty for somebody in an earlier row"`
	Row      int    `json:"row,omitempty" description:"The earlier row"`
	Name     string `json:"name"`
	Archived bool   `json:"archived,omitempty"`
}

// Row is a row of a table, read.
type Row struct {
	Row     int             `json:"row" description:"1 for the first one of the table"`
	Profile student.Profile `json:"profile"`
	Wrong   []Wrong         `json:"wrong"`
	Double  *Double         `json:"double"`
	Do      Action          `json:"do"`
}

// Wrong is what is wrong with a row.
type Wrong struct {
	Column  int    `json:"column" description:"0 for the first one; -1 where it is none"`
	Message string `json:"message"`
}

// Reading is what was read out of a table of students.
type Reading struct {
	First     Heading  `json:"first"`
	Columns   []Column `json:"columns"`
	Dates     DayOrder `json:"dates"`
	DatesTold bool     `json:"datesTold" description:"The days themselves say how they are written"`
	Rows      []Row    `json:"rows"`
	Add       int      `json:"add"`
	Change    int      `json:"change"`
	Wrong     int      `json:"wrong" description:"Rows that are to come in and cannot yet"`
}

// usual is what stands for what a table does not say.
var usual = student.Profile{
	Age:      student.Adult,
	Hand:     student.RightHand,
	Backhand: student.TwoHanded,
	Sport:    sports.All()[0].Name,
	Level:    student.Improver,
}

// Read reads a table of students on a day, for a coach who has some already. Rows without anything in them are passed
// over. Somebody who has the name of one who is here, or stands in an earlier row, is left out unless the coach chose
// otherwise.
func Read(asked Asked, known []Known, today time.Time) Reading {
	r := reader{asked: asked, today: today, byName: map[string]Double{}, profiles: map[string]student.Profile{}}
	for _, k := range slices.Backward(known) { // the first one of a name stays
		key := Fold(k.Profile.Name)
		r.byName[key] = Double{Student: k.ID, Name: k.Profile.Name, Archived: k.Archived}
		r.profiles[k.ID] = k.Profile
	}
	reading := r.columns()
	chosen := map[int]Action{}
	for _, each := range asked.Do {
		chosen[each.Row] = each.Do
	}
	for i, cells := range asked.Rows {
		if i == 0 && reading.First == HasHeading ||
			!slices.ContainsFunc(cells, func(cell string) bool { return strings.TrimSpace(cell) != "" }) {
			continue
		}
		row := r.row(i+1, cells, reading, chosen[i+1])
		switch {
		case row.Do != Leave && len(row.Wrong) > 0:
			reading.Wrong++
		case row.Do == Add:
			reading.Add++
		case row.Do == Change:
			reading.Change++
		}
		reading.Rows = append(reading.Rows, row)
	}
	return reading
}

// reader reads one table.
type reader struct {
	asked    Asked
	today    time.Time
	byName   map[string]Double // who is known, or stood in an earlier row
	profiles map[string]student.Profile
}

// columns says what the columns are: as the coach chose, else as they look. Of two that look like the same, the first
// one is it.
func (r reader) columns() Reading {
	width := 0
	for _, row := range r.asked.Rows {
		width = max(width, len(row))
	}
	reading := Reading{First: r.asked.First, Columns: make([]Column, width), Rows: []Row{}, Dates: r.asked.Dates}
	if reading.First == "" {
		reading.First = NoHeading
		if len(r.asked.Rows) > 0 && heads(r.asked.Rows[0], r.today) {
			reading.First = HasHeading
		}
	}
	rows := r.asked.Rows
	taken := map[Field]bool{}
	var days []string
	for i := range reading.Columns {
		column := Column{Field: Unused}
		body := rows
		if reading.First == HasHeading {
			column.Title, body = strings.TrimSpace(cellOf(rows[0], i)), rows[1:]
		}
		cells := make([]string, len(body))
		for j, row := range body {
			cells[j] = strings.TrimSpace(cellOf(row, i))
			if cells[j] != "" {
				column.Filled++
				column.Example = cmp.Or(column.Example, cells[j])
			}
		}
		switch {
		case r.asked.Columns != nil:
			if i < len(r.asked.Columns) {
				column.Field = r.asked.Columns[i]
			}
		case reading.First == HasHeading:
			column.Field = called(column.Title)
		default:
			column.Field = likely(cells, r.today)
		}
		if r.asked.Columns == nil && taken[column.Field] {
			column.Field = Unused
		}
		taken[column.Field] = true
		if column.Field == Birthday {
			days = append(days, cells...)
		}
		reading.Columns[i] = column
	}
	order, told := orderOf(days, r.today)
	reading.Dates, reading.DatesTold = cmp.Or(reading.Dates, order), told || len(days) == 0
	return reading
}
