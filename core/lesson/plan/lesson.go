package plan

import (
	"hodometer/core/lesson"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/student"
)

// State is how far a lesson has come.
type State string

// The states.
const (
	Planned  State = "planned"
	Begun    State = "begun"
	Finished State = "finished"
)

// StateOf is the state of a lesson that was begun or not, and finished or not.
func StateOf(begun, finished bool) State {
	switch {
	case finished:
		return Finished
	case begun:
		return Begun
	}
	return Planned
}

// Person is a student as a lesson shows them.
type Person struct {
	ID       string       `json:"id"`
	Name     string       `json:"name"`
	Short    string       `json:"short" description:"What to call them on court"`
	Hand     student.Hand `json:"hand"`
	Archived bool         `json:"archived" description:"Out of the lists"`
	Watch    []string     `json:"watch" description:"Faults to watch"`
	Rests    string       `json:"rests" description:"What they are spared while something hurts, in words; empty: nothing"`
}

// People are those of a lesson as it shows them.
func People(in schedule.Inputs) []Person {
	list := make([]Person, len(in.People))
	for i, p := range in.People {
		list[i] = Person{
			ID:       p.ID,
			Name:     p.Profile.Name,
			Short:    p.Short,
			Hand:     p.Profile.Hand,
			Archived: p.Archived,
			Watch:    p.Profile.Watch,
			Rests:    student.Joined(p.Profile.Rests()),
		}
		if list[i].Watch == nil {
			list[i].Watch = []string{}
		}
	}
	return list
}

// Lesson is a lesson that is kept, with its plan.
type Lesson struct {
	ID       string          `json:"id"`
	Revision int64           `json:"revision"`
	Archived bool            `json:"archived" description:"Out of the lists; can be brought back"`
	State    State           `json:"state"`
	Document lesson.Document `json:"document"`
	People   []Person        `json:"people"`
	Plan     Plan            `json:"plan"`
	Clashes  []string        `json:"clashes" description:"Other lessons at the same time, in words"`
}

// Tag is the revision.
func (l Lesson) Tag() int64 { return l.Revision }
