package roster

import (
	"cmp"
	"errors"
	"slices"
	"strings"
	"time"

	"hodometer/core/basics/invalid"
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

func cellOf(row []string, i int) string {
	if i < len(row) {
		return row[i]
	}
	return ""
}

// row reads one row.
func (r reader) row(number int, cells []string, reading Reading, do Action) Row {
	row := Row{Row: number, Wrong: []Wrong{}}
	first, last, whole := r.names(cells, reading.Columns)
	name := cmp.Or(whole, strings.Join(strings.Fields(first+" "+last), " "))
	nameAt := slices.IndexFunc(
		reading.Columns,
		func(c Column) bool { return slices.Contains([]Field{Name, FirstName, LastName}, c.Field) },
	)
	key := Fold(name)
	if double, is := r.byName[key]; is && name != "" {
		row.Double = &double
	}
	row.Do = do
	switch {
	case row.Do == Change && (row.Double == nil || row.Double.Student == ""):
		row.Do = Add
	case row.Do == "" && row.Double != nil:
		row.Do = Leave
	case row.Do == "":
		row.Do = Add
	}
	row.Profile = usual
	row.Profile.Sport = cmp.Or(r.asked.Sport, usual.Sport)
	if row.Do == Change {
		row.Profile = r.profiles[row.Double.Student]
	}
	row.Profile.Name = cmp.Or(name, row.Profile.Name)
	if key != "" && row.Double == nil {
		r.byName[key] = Double{Row: number, Name: name}
	}
	for _, birthdays := range []bool{false, true} { // a birthday says more than an age
		for i, column := range reading.Columns {
			cell := strings.TrimSpace(cellOf(cells, i))
			if cell == "" || (column.Field == Birthday) != birthdays {
				continue
			}
			if wrong := r.take(&row.Profile, column.Field, cell, reading.Dates); wrong != "" {
				row.Wrong = append(row.Wrong, Wrong{Column: i, Message: wrong})
			}
		}
	}
	at := func(field Field) int {
		if field == Name {
			return nameAt
		}
		return slices.IndexFunc(reading.Columns, func(c Column) bool { return c.Field == field })
	}
	for _, long := range limits(row.Profile) {
		row.Wrong = append(row.Wrong, Wrong{Column: at(long.of), Message: long.message})
	}
	if len(row.Wrong) == 0 {
		var wrong invalid.Fields
		if errors.As(row.Profile.Check(), &wrong) {
			for _, field := range wrong {
				column := map[string]Field{"name": Name, "level": Level}[field.Path]
				row.Wrong = append(row.Wrong, Wrong{Column: at(column), Message: field.Message})
			}
		}
	}
	return row
}

func (r reader) names(cells []string, columns []Column) (first, last, whole string) {
	for i, column := range columns {
		cell := strings.TrimSpace(cellOf(cells, i))
		switch column.Field {
		case FirstName:
			first = cell
		case LastName:
			last = cell
		case Name:
			whole = natural(cell)
		}
	}
	return first, last, whole
}

// take takes a cell into a profile, and says what is wrong with it; empty where nothing is.
func (r reader) take(p *student.Profile, field Field, cell string, order DayOrder) string {
	var ok bool
	switch field {
	case Birthday:
		return r.birthday(p, cell, order)
	case Age:
		var age student.AgeBand
		if age, ok = ageOf(cell); !ok {
			return choices(cell, "age", p.Age.Enum()) + "; or an age in years"
		}
		p.Age, p.Born = age, ""
	case Sport:
		if p.Sport, ok = sportOf(cell); !ok {
			return choices(cell, "sport", p.Sport.Enum())
		}
	case Level:
		if p.Level, ok = levelOf(cell); !ok {
			return choices(cell, "level or ball stage", p.Level.Enum())
		}
	case Hand:
		if p.Hand, ok = handOf(cell); !ok {
			return choices(cell, "hand", p.Hand.Enum())
		}
	case Backhand:
		if p.Backhand, ok = backhandOf(cell); !ok {
			return choices(cell, "backhand", p.Backhand.Enum())
		}
	case Objective:
		p.Objective = cell
	case Hurts:
		p.Hurts = cell
	case Note:
		p.Note = cell
	}
	return ""
}

// birthday takes the age band of a birthday, and the day itself where the coach wants it kept. Of a year alone it takes
// the age that is turned in this one.
func (r reader) birthday(p *student.Profile, cell string, order DayOrder) string {
	if year, err := time.Parse("2006", cell); err == nil {
		years := r.today.Year() - year.Year()
		if years < 1 || years > student.Oldest {
			return "“" + cell + "” is no year in which a student was born"
		}
		p.Age, p.Born = student.BandOf(years), ""
		return ""
	}
	born, ok := readDay(cell, order, r.today)
	if !ok {
		return "“" + cell + "” is no day; write it as year-month-day, 2016-05-14"
	}
	if err := student.CheckBorn(born, r.today); err != nil {
		return "“" + cell + "”: " + err.Error()
	}
	p.Age = student.BandOf(student.AgeOn(born, r.today))
	p.Born = ""
	if r.asked.KeepBirthdays {
		p.Born = born.Format(time.DateOnly)
	}
	return ""
}
