package roster

import (
	"cmp"
	"slices"
	"strings"
	"time"

	"hodometer/core/basics/invalid"
)

// Layout is how a table says who was there.
type Layout string

// The layouts.
const (
	DayColumns Layout = "a column for each day"
	RowEach    Layout = "a row for each time"
)

// AttendanceAsked is a table of who was there, and what a coach chose about it.
type AttendanceAsked struct {
	Rows   [][]string `json:"rows" maxItems:"5000"`
	Dates  DayOrder   `json:"dates,omitempty" description:"How days are written; empty: as they look"`
	People []Person   `json:"people,omitempty" maxItems:"500" description:"Names of which the coach said who that is"`
}

// Person is who a name in a table is.
type Person struct {
	Name    string `json:"name" maxLength:"200"`
	Student string `json:"student,omitempty" format:"uuid" description:"Empty: leave them out"`
}

// Presence is whether somebody was at a lesson of a day.
type Presence struct {
	Student string `json:"student" format:"uuid"`
	Day     string `json:"day" format:"date"`
	Lesson  string `json:"lesson,omitempty" maxLength:"80" description:"What the table calls it; empty: nothing"`
	Came    bool   `json:"came"`
}

// AttendanceReading is what was read out of a table of who was there.
type AttendanceReading struct {
	Layout    Layout           `json:"layout"`
	Dates     DayOrder         `json:"dates"`
	DatesTold bool             `json:"datesTold"`
	Blank     bool             `json:"blank" description:"Nothing in a cell means that somebody was not there: the table has no other sign for it"`
	Presences []Presence       `json:"presences"`
	Strangers []string         `json:"strangers" description:"Names of nobody who is here"`
	Wrong     []AttendanceFlaw `json:"wrong"`
	Taken     []TakenAs        `json:"taken" description:"Words that say more than whether somebody was there, and what is kept of them"`
	Before    int              `json:"before" description:"How many are kept already, and are not kept twice"`
	Days      int              `json:"days"`
	Students  int              `json:"students"`
}

// TakenAs is a word of a table that says more than what is kept of it.
type TakenAs struct {
	Word  string `json:"word"`
	Came  bool   `json:"came"`
	Times int    `json:"times"`
}

// AttendanceFlaw is what is wrong with a cell.
type AttendanceFlaw struct {
	Row     int    `json:"row"`
	Column  int    `json:"column" description:"0 for the first one"`
	Message string `json:"message"`
}

var (
	came = []string{"x", "y", "yes", "1", "p", "present", "here", "there", "came", "true", "late", "l", "ok", "was there"}
	not  = []string{
		"0",
		"n",
		"no",
		"a",
		"absent",
		"away",
		"false",
		"excused",
		"e",
		"ill",
		"sick",
		"missed",
		"not there",
		"was not there",
	}
	// What says more: when, or why not.
	more = []string{"late", "l", "excused", "e", "ill", "sick", "missed"}
	// Signs that folding leaves nothing of.
	signs = map[string]bool{
		"✓": true,
		"✔": true,
		"+": true,
		"•": true,
		"●": true,
		"-": false,
		"–": false,
		"✗": false,
		"✘": false,
		"×": true,
		"☑": true,
		"☐": false,
	}
)

// there reads a cell that says whether somebody was there.
func there(cell string) (is, known bool) {
	text := strings.TrimSpace(cell)
	if is, known = signs[strings.TrimSuffix(text, "\ufe0f")]; known {
		return is, true
	}
	folded := Fold(text)
	return slices.Contains(came, folded), slices.Contains(came, folded) || slices.Contains(not, folded)
}

// ReadAttendance reads a table of who was there, for a coach with some students. kept says of what is kept already: the
// same student on the same day in the same lesson is not kept twice, whatever it says. Days lie between earliest and
// the day it is.
func ReadAttendance(
	asked AttendanceAsked,
	known []Known,
	kept func(Presence) bool,
	today time.Time,
) (AttendanceReading, error) {
	r := attendance{
		asked:  asked,
		today:  today,
		kept:   kept,
		people: map[string]string{},
		seen:   map[Presence]bool{},
		out: AttendanceReading{
			Presences: []Presence{},
			Strangers: []string{},
			Taken:     []TakenAs{},
			Wrong:     []AttendanceFlaw{},
		},
	}
	for _, k := range slices.Backward(known) {
		r.people[Fold(k.Profile.Name)] = k.ID
	}
	for _, p := range asked.People {
		r.people[Fold(p.Name)] = p.Student
	}
	if len(asked.Rows) < 2 {
		return r.out, invalid.Fields{
			{Path: "rows", Message: "a row of headings is needed, and one for each student or each time"},
		}
	}
	if err := r.read(); err != nil {
		return r.out, err
	}
	days, students := map[string]bool{}, map[string]bool{}
	for _, p := range r.out.Presences {
		days[p.Day], students[p.Student] = true, true
	}
	r.out.Days, r.out.Students = len(days), len(students)
	return r.out, nil
}

// attendance reads one table.
type attendance struct {
	asked  AttendanceAsked
	today  time.Time
	kept   func(Presence) bool
	people map[string]string // who a name is; "" for one who is left out
	seen   map[Presence]bool // whatever they say
	out    AttendanceReading
}

func (r *attendance) read() error {
	head := r.asked.Rows[0]
	var heads []string
	for _, cell := range head {
		if isDay(cell, r.today) {
			heads = append(heads, cell)
		}
	}
	if len(heads) > 0 {
		r.order(heads)
		return r.columns(head)
	}
	return r.rows(head)
}

// order says how the days of a table are written.
func (r *attendance) order(days []string) {
	order, told := orderOf(days, r.today)
	r.out.Dates, r.out.DatesTold = cmp.Or(r.asked.Dates, order), told
}

// columns reads a table that has a column for each day.
func (r *attendance) columns(head []string) error {
	r.out.Layout = DayColumns
	naming := namesIn(head)
	if len(naming) == 0 {
		for i, cell := range head {
			if !isDay(cell, r.today) {
				naming = []int{i}
				break
			}
		}
	}
	if len(naming) == 0 {
		return invalid.Fields{{Path: "rows", Message: "no column has names in it"}}
	}
	days := make([]string, len(head))
	for i, title := range head {
		if day, is := readDay(title, r.out.Dates, r.today); is {
			days[i] = day.Format(time.DateOnly)
		} else if isDay(title, r.today) {
			r.wrong(1, i, "“%s” is no day, %s", strings.TrimSpace(title), r.out.Dates)
		}
	}
	r.out.Blank = !slices.ContainsFunc(r.asked.Rows[1:], func(row []string) bool {
		for i, day := range days {
			if is, known := there(cellOf(row, i)); day != "" && known && !is {
				return true
			}
		}
		return false
	})
	for n, row := range r.asked.Rows[1:] {
		id, ok := r.who(row, naming)
		if !ok {
			continue
		}
		for i, day := range days {
			if day != "" {
				r.cell(n+2, i, cellOf(row, i), Presence{Student: id, Day: day})
			}
		}
	}
	return nil
}
