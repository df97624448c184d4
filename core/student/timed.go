package student

import (
	"time"

	"hodometer/core/invalid"
)

// Course is a way that is run against the clock.
type Course string

// The courses. Their lengths go with the court of the sport.
const (
	ShortSprint Course = "sprint of 10 m"
	LongSprint  Course = "sprint of 20 m"
	Line        Course = "line: across the court and back"
	Shuttle     Course = "shuttle: net to end line, twice there and back"
	Star        Course = "star: from the middle to each corner and back"
)

// TimedRun is one run of a course, in the student's own time, from the first step.
type TimedRun struct {
	Course  Course  `json:"course"`
	Seconds float64 `json:"seconds" minimum:"0.5" maximum:"180"`
	On      string  `json:"on" maxLength:"10" description:"The day, as 2006-01-02"`
}

// checkTimed says what is wrong with timed runs beyond their shape.
func (p Profile) checkTimed() error {
	var wrong invalid.Fields
	for i, run := range p.Timed {
		if _, err := time.Parse(time.DateOnly, run.On); err != nil {
			wrong.Add(invalid.Join("timed", i, "on"), "say on which day: 2026-03-10")
		}
		if !(run.Seconds >= 0.5 && run.Seconds <= 180) {
			wrong.Add(invalid.Join("timed", i, "seconds"), "a run takes between half a second and three minutes")
		}
	}
	return wrong.Err()
}
