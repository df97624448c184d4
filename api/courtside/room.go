// Package courtside answers what happens while a lesson or a game is played, and right after: acts, devices beside the
// court, scores, remarks.
package courtside

import (
	"slices"

	"hodometer/api/door"
	"hodometer/api/repository"
	"hodometer/api/request"
	"hodometer/equipment"
)

// Courtside is what its routes share.
type Courtside struct {
	*repository.Repository
	Gear     *equipment.Hub
	Entrance *door.Entrance
}

// Routes are its lines of the route table.
func (s *Courtside) Routes() []request.Route {
	return slices.Concat(s.courtsideRoutes(), s.equipmentRoutes(), s.playedRoutes(), s.afterwardsRoutes(),
		s.toldRoutes())
}
