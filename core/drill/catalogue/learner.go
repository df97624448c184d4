package catalogue

import (
	"strings"

	"hodometer/core/drill"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
)

// Learner is a student with what comes next for them.
type Learner struct {
	Name  string
	Sport court.Sport
	Level student.Level
	Needs []Need
	Rests []student.Strain
}

// KnownOf is what the order of drills goes by for a group: their sport, their next steps, and the level of the last.
func KnownOf(people []Learner) Known {
	known := Known{}
	bySport := map[court.Sport]int{}
	for _, person := range people {
		known.Needs, known.Level = append(known.Needs, person.Needs...), person.Level
		known.Rests = append(known.Rests, person.Rests...)
		if bySport[person.Sport]++; known.Sport == "" || bySport[person.Sport] > bySport[known.Sport] {
			known.Sport = person.Sport
		}
	}
	return known
}

// ServedBy names those whose next step a drill is, with commas between them.
func ServedBy(d drill.Document, people []Learner) string {
	var names []string
	for _, person := range people {
		if Serves(d, person.Needs) == IsNext {
			names = append(names, person.Name)
		}
	}
	return strings.Join(names, ", ")
}
