// Package coach holds what one coach has chosen once for everything.
package coach

import "hodometer/core/units"

// Settings are a coach's own choices. All of them have a working default.
type Settings struct {
	Units      units.System `json:"units"`
	Basket     int          `json:"basket" minimum:"5" maximum:"500" description:"Balls in one basket"`
	PickUp     float64      `json:"pickUp" minimum:"0" maximum:"30" description:"Seconds to pick up one ball, for one person"`
	ChangeOver float64      `json:"changeOver" minimum:"0" maximum:"300" description:"Seconds to walk from one block to the next"`
}

// Default is what a new coach starts with. The basket and the times are common practice, no source.
func Default() Settings {
	return Settings{Units: units.Metres, Basket: 60, PickUp: 2.5, ChangeOver: 20}
}
