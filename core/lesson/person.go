package lesson

import "hodometer/core/people/student"

// Person is a student of the lesson.
type Person struct {
	ID       string          `json:"id"`
	Profile  student.Profile `json:"profile"`
	Archived bool            `json:"archived" description:"Out of the lists"`
	Short    string          `json:"short" description:"What to call them on court"` // see schedule.Inputs.Named
}

// IDs are the identifiers of people, in their order.
func IDs(people []Person) []string {
	ids := make([]string, len(people))
	for i, p := range people {
		ids[i] = p.ID
	}
	return ids
}
