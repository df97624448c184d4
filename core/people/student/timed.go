package student

import (
	"time"

	"hodometer/core/basics/invalid"
)

// RunKind is what is run against the clock.
type RunKind string

// The kinds. Their lengths go with the court of the sport.
const (
	ShortSprint RunKind = "sprint of 10 m"
	LongSprint  RunKind = "sprint of 20 m"
	Line        RunKind = "line: across the court and back"
	Shuttle     RunKind = "shuttle: net to end line, twice there and back"
	Star        RunKind = "star: from the middle to each corner and back"
)

// TimedRun is one run, in the student's own time, from the first step.
type TimedRun struct {
	Kind    RunKind `json:"kind"`
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
