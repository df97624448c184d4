// Package coach holds what one coach has chosen once for everything.
package coach

import (
	"hodometer/core/court"
	"hodometer/core/invalid"
	"hodometer/core/units"
)

// Within is what a coach means by a circle of so much: half its width, or all of it.
type Within string

// The two readings.
const (
	Radius   Within = "radius"
	Diameter Within = "diameter"
)

// Enum lists the readings for the schema.
func (Within) Enum() []any { return []any{Radius, Diameter} }

// Settings are a coach's own choices. All of them have a working default.
type Settings struct {
	Units      units.System `json:"units"`
	Basket     int          `json:"basket" minimum:"5" maximum:"500" description:"Balls in one basket"`
	PickUp     float64      `json:"pickUp" minimum:"0" maximum:"30" description:"Seconds to pick up one ball, for one person"`
	ChangeOver float64      `json:"changeOver" minimum:"0" maximum:"300" description:"Seconds to walk from one block to the next"`
	Step       float64      `json:"step" minimum:"0.2" maximum:"2" description:"Length of the coach's own step, metres"`
	InSteps    bool         `json:"inSteps" description:"Walk-off lists are in steps"`
	Within     Within       `json:"within" description:"What a circle of so much means"`

	Numbering court.Numbering `json:"numbering" description:"How depth regions are numbered"`
	Schemes   []court.Scheme  `json:"schemes" maxItems:"20" description:"The coach's own depth regions"`
}

// Check says what is wrong with settings beyond their shape.
func (s Settings) Check() error {
	var wrong invalid.Fields
	for i, scheme := range s.Schemes {
		_, err := scheme.Bands(s.Numbering)
		wrong.Under(invalid.Join("schemes", i), err)
	}
	return wrong.Err()
}

// Tape writes lengths in the coach's units.
func (s Settings) Tape() court.Tape { return court.Tape{System: s.Units} }

// WalkTape writes lengths for walking off: in steps where the coach wants them.
func (s Settings) WalkTape() court.Tape {
	if s.InSteps {
		return court.Tape{System: s.Units, Step: s.Step}
	}
	return s.Tape()
}

// Default is what a new coach starts with. The basket and the times are common practice, no source.
func Default() Settings {
	return Settings{
		Units: units.Metres, Basket: 60, PickUp: 2.5, ChangeOver: 20, Step: 0.8, Within: Radius,
		Numbering: court.FromNet, Schemes: []court.Scheme{},
	}
}
