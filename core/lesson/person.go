package lesson

import "hodometer/core/student"

// Person is a student of the lesson.
type Person struct {
	ID       string
	Profile  student.Profile
	Archived bool   // out of the lists
	Short    string // what to call them on court; see Inputs.Named
}
