package lesson

import (
	"time"

	"hodometer/core/invalid"
)

// Clock is where a running lesson stands: at an instant it was at a second of its road, and it has
// gone on since or stood still.
type Clock struct {
	Anchor  time.Time `json:"anchor" description:"An instant"`
	Second  float64   `json:"second" minimum:"0" maximum:"86400" description:"Second of the lesson at that instant"`
	Running bool      `json:"running" description:"Whether it has gone on since"`
}

// At returns the second of the lesson at an instant; never before its start.
func (c Clock) At(now time.Time) float64 {
	if !c.Running {
		return c.Second
	}
	return max(0, c.Second+now.Sub(c.Anchor).Seconds())
}

// Check says whether a clock can be right at an instant: a lesson cannot have been set going in the
// future, beyond what two clocks in one room differ.
func (c Clock) Check(now time.Time) error {
	const clocksDiffer = 10 * time.Minute
	var wrong invalid.Fields
	if c.Second < 0 {
		wrong.Add("second", "a lesson starts at second 0")
	}
	if c.Anchor.After(now.Add(clocksDiffer)) {
		wrong.Add("anchor", "this device's clock is ahead of the other one by more than 10 minutes; set it right")
	}
	return wrong.Err()
}
