package lesson

import "time"

// Clock is where a running lesson stands: at an instant it was at a second of its road, and it has
// gone on since or stood still.
type Clock struct {
	Anchor  time.Time `json:"anchor" description:"An instant"`
	Second  float64   `json:"second" description:"Second of the lesson at that instant"`
	Running bool      `json:"running" description:"Whether it has gone on since"`
}

// At returns the second of the lesson at an instant; never before its start.
func (c Clock) At(now time.Time) float64 {
	if !c.Running {
		return c.Second
	}
	return max(0, c.Second+now.Sub(c.Anchor).Seconds())
}
