package roster

import (
	"fmt"
	"slices"
	"strings"
	"time"

	"hodometer/core/basics/invalid"
)

// rows reads a table that has a row for each time.
func (r *attendance) rows(head []string) error {
	r.out.Layout = RowEach
	naming := namesIn(head)
	day := headed(head, "date", "day", "when")
	sign := headed(head, "came", "present", "attended", "attendance", "there", "was there", "status")
	title := headed(head, "lesson", "class", "session", "course", "group", "title")
	if len(naming) == 0 || day < 0 {
		return invalid.Fields{
			{
				Path: "rows",
				Message: "two kinds of tables can be read: one with a column for each day, headed by the day; or one with a " +
					"row for each time, with columns headed name, date and came",
			},
		}
	}
	var days []string
	for _, row := range r.asked.Rows[1:] {
		days = append(days, cellOf(row, day))
	}
	r.order(days)
	for n, row := range r.asked.Rows[1:] {
		id, ok := r.who(row, naming)
		if !ok {
			continue
		}
		on, is := readDay(cellOf(row, day), r.out.Dates, r.today)
		if !is {
			r.wrong(n+2, day, "“%s” is no day; write it as year-month-day, 2026-03-09", strings.TrimSpace(cellOf(row, day)))
			continue
		}
		presence := Presence{Student: id, Day: on.Format(time.DateOnly)}
		if title >= 0 {
			presence.Lesson = cut(strings.TrimSpace(cellOf(row, title)), longestTitle)
		}
		if sign < 0 {
			presence.Came = true
			r.keep(n+2, day, presence)
			continue
		}
		r.cell(n+2, sign, cellOf(row, sign), presence)
	}
	return nil
}

// longestTitle is how long the title of a lesson can be, in characters.
const longestTitle = 80

func cut(text string, longest int) string {
	runes := []rune(text)
	return string(runes[:min(len(runes), longest)])
}

// namesIn are the columns that a name is made of: one, or the first and the last name.
func namesIn(head []string) []int {
	at := map[Field]int{}
	for i, cell := range head {
		field := called(cell)
		if _, there := at[field]; !there {
			at[field] = i
		}
	}
	if whole, is := at[Name]; is {
		return []int{whole}
	}
	var list []int
	for _, field := range []Field{FirstName, LastName} {
		if i, is := at[field]; is {
			list = append(list, i)
		}
	}
	return list
}

func headed(head []string, words ...string) int {
	return slices.IndexFunc(head, func(cell string) bool { return slices.Contains(words, Fold(cell)) })
}

// who is whose row it is; false where it is nobody's, or of somebody who is left out. Strangers are noted.
func (r *attendance) who(row []string, naming []int) (string, bool) {
	parts := make([]string, len(naming))
	for i, column := range naming {
		parts[i] = cellOf(row, column)
	}
	name := natural(strings.Join(parts, " "))
	if name == "" {
		return "", false
	}
	id, known := r.people[Fold(name)]
	if !known && !slices.Contains(r.out.Strangers, name) {
		r.out.Strangers = append(r.out.Strangers, name)
	}
	return id, known && id != ""
}

// cell takes what a cell says of somebody on a day.
func (r *attendance) cell(row, column int, cell string, p Presence) {
	if strings.TrimSpace(cell) == "" {
		if r.out.Blank {
			r.keep(row, column, p)
		}
		return
	}
	is, known := there(cell)
	if !known {
		r.wrong(
			row,
			column,
			"“%s” does not say whether somebody was there: write yes or no, x or nothing",
			strings.TrimSpace(cell),
		)
		return
	}
	r.took(cell, is)
	p.Came = is
	r.keep(row, column, p)
}

// took notes a word that says more than what is kept of it.
func (r *attendance) took(cell string, came bool) {
	word := strings.ToLower(strings.TrimSpace(cell))
	if !slices.Contains(more, Fold(cell)) {
		return
	}
	at := slices.IndexFunc(r.out.Taken, func(t TakenAs) bool { return t.Word == word })
	if at < 0 {
		at = len(r.out.Taken)
		r.out.Taken = append(r.out.Taken, TakenAs{Word: word, Came: came})
	}
	r.out.Taken[at].Times++
}

func (r *attendance) keep(row, column int, p Presence) {
	if p.Day > r.today.Format(time.DateOnly) {
		r.wrong(row, column, "%s is still to come", p.Day)
		return
	}
	same := p
	same.Came = false
	if r.kept(p) || r.seen[same] {
		r.out.Before++
		return
	}
	r.seen[same] = true
	r.out.Presences = append(r.out.Presences, p)
}

func (r *attendance) wrong(row, column int, format string, args ...any) {
	r.out.Wrong = append(r.out.Wrong, AttendanceFlaw{Row: row, Column: column, Message: fmt.Sprintf(format, args...)})
}
