package sports

import (
	"math"

	"hodometer/core/basics/invalid"
)

// Tempo is how long rallies are and take.
type Tempo struct {
	Strokes float64 `json:"strokes" minimum:"1" maximum:"60" description:"Of a rally, both sides together, on average"`
	Stroke  float64 `json:"stroke" minimum:"0.2" maximum:"6" description:"Seconds from one stroke to the next"`
	Between float64 `json:"between" minimum:"0" maximum:"120" description:"Seconds from the end of a rally to the next feed"`
}

// Check says what is wrong with a tempo, by field.
func (t Tempo) Check() error {
	var wrong invalid.Fields
	if !(t.Strokes >= 1 && t.Strokes <= 60) {
		wrong.Add("strokes", "a rally has between 1 and 60 strokes on average")
	}
	if !(t.Stroke >= 0.2 && t.Stroke <= 6) {
		wrong.Add("stroke", "between 0.2 and 6 seconds from one stroke to the next")
	}
	if !(t.Between >= 0 && t.Between <= 120) {
		wrong.Add("between", "between 0 and 120 seconds from one rally to the next")
	}
	return wrong.Err()
}

// Rally is the mean and the standard deviation of the seconds of a rally with the pause after it: the number of strokes
// is geometric.
func (t Tempo) Rally() (mean, sd float64) {
	return t.Strokes*t.Stroke + t.Between, t.Stroke * math.Sqrt(t.Strokes*(t.Strokes-1))
}

// Rallies is how many rallies there are in so many minutes; 0 for no minutes.
func (t Tempo) Rallies(minutes float64) int {
	if minutes <= 0 {
		return 0
	}
	mean, _ := t.Rally()
	return max(1, int(minutes*60/mean))
}
