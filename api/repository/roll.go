package repository

import (
	"context"
	"slices"

	"hodometer/core/exchange/roster"
	"hodometer/store"
)

// Attended is whether a student was at a lesson.
type Attended struct {
	Day     string   `json:"day" format:"date"`
	Start   string   `json:"start" description:"Empty where it is not known"`
	Title   string   `json:"title"`
	Lesson  string   `json:"lesson" description:"Its identifier; empty for one of before Hodometer"`
	Came    bool     `json:"came"`
	Minutes *float64 `json:"minutes" description:"How long they were in it; null where it is not known"`
}

// Attendance is how often a student came, in the lessons of a year.
type Attendance struct {
	Since string     `json:"since" format:"date"`
	Came  int        `json:"came"`
	Of    int        `json:"of" description:"Lessons that they were to be in"`
	Each  []Attended `json:"each" description:"The newest first"`
}

// Attendance is how often a student came from one day to another, both included.
func (s *Repository) Attendance(ctx context.Context, studentID, since, to string) (Attendance, error) {
	a := Attendance{Since: since, Each: []Attended{}}
	err := s.Store.Attended(ctx, studentID, since, to, func(one store.Attended) error {
		a.Of++
		if one.Came {
			a.Came++
		}
		shown := Attended{Day: one.Day, Start: one.Start, Title: one.Title, Lesson: one.Lesson, Came: one.Came}
		if one.Lesson != "" {
			shown.Minutes = &one.Minutes
		}
		a.Each = append(a.Each, shown)
		return nil
	})
	slices.Reverse(a.Each)
	return a, err
}

// Roll says on which days, and at which lessons of them, a student was to be.
type Roll map[string]bool

// Rolls reads it of all students.
func (s *Repository) Rolls(ctx context.Context) (Roll, error) {
	r := Roll{}
	presences, err := s.Store.Presences(ctx, "")
	if err != nil {
		return nil, err
	}
	for _, p := range presences {
		r[p.Student+p.Day] = true
		r[p.Student+p.Day+" "+p.Lesson] = true
	}
	return r, s.Store.InGiven(ctx, func(student, day string) {
		r[student+day] = true
		r[student+day+" *"] = true // whatever it is called elsewhere, it is here
	})
}

// Has says whether something is known of a student at a lesson; of one without a name, at any of its day.
func (r Roll) Has(p roster.Presence) bool {
	key := p.Student + p.Day
	return r[key+" *"] || r[key+" "+p.Lesson] || p.Lesson == "" && r[key]
}
