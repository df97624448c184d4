package progress

import (
	"slices"
	"strings"
	"time"

	"hodometer/core/basics/invalid"
	"hodometer/core/people/ladder"
	"hodometer/core/sport/court"
	"hodometer/core/sport/sports"
)

// FormatVersion is the version of the format in which ladders are handed on.
const FormatVersion = 1

// Ladders are the rungs that a player came to, as they are handed on to another coach: without a name, and without what
// was counted.
type Ladders struct {
	FormatVersion int         `json:"version" minimum:"1" maximum:"1" description:"Of the format of this document"`
	Title         string      `json:"title" minLength:"1" maxLength:"80"`
	Sport         court.Sport `json:"sport"`
	Reached       []Reached   `json:"reached" minItems:"1" maxItems:"2000" description:"The oldest first"`
}

// Reached is a rung that a player came to.
type Reached struct {
	Stroke sports.Stroke  `json:"stroke"`
	Rung   ladder.Quality `json:"rung"`
	At     time.Time      `json:"at"`
}

// Check says what is wrong with ladders beyond their shape.
func (l Ladders) Check() error {
	var wrong invalid.Fields
	if strings.TrimSpace(l.Title) == "" {
		wrong.Add("title", "say what it is")
	}
	for i, r := range l.Reached {
		if !slices.Contains(sports.Of(l.Sport).Ladders(), r.Stroke) {
			wrong.Add(invalid.Join("reached", i, "stroke"), "there is no %s in %s", r.Stroke, l.Sport)
		}
		if r.At.Year() < 1900 || r.At.Year() > 9998 {
			wrong.Add(invalid.Join("reached", i, "at"), "this is no time that can be kept")
		}
	}
	return wrong.Err()
}
