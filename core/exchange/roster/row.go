package roster

import (
	"cmp"
	"errors"
	"slices"
	"strings"
	"time"

	"hodometer/core/basics/invalid"
	"hodometer/core/people/student"
)

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
