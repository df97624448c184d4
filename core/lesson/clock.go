package lesson

import "time"

// Clock is where a running lesson stands: at an instant it was at a second of its road, and it has
// gone on since or stood still.
type Clock struct {
	Anchor  time.Time `json:"anchor" description:"An instant"`
	Second  float64   `json:"second" description:"Second of the lesson at that instant"`
	Running bool      `json:"running" description:"Whether it has gone on since"`
	Held    float64   `json:"held,omitempty" minimum:"0" maximum:"86400" description:"Seconds for which it stood still since the lesson began, up to that instant"`
}

// At returns the second of the lesson at an instant; never before its start.
func (c Clock) At(now time.Time) float64 {
	if !c.Running {
		return c.Second
	}
	return max(0, c.Second+now.Sub(c.Anchor).Seconds())
}

// HeldAt returns for how many seconds the lesson has stood still until an instant. One that stands for longer than
// forgotten, in seconds, was left standing: that counts for nothing.
func (c Clock) HeldAt(now time.Time, forgotten float64) float64 {
	stands := 0.0
	if !c.Running {
		stands = max(0, now.Sub(c.Anchor).Seconds())
	}
	if stands >= forgotten {
		stands = 0
	}
	return c.Held + stands
}
