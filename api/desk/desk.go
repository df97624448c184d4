// Package desk answers what a coach does at a table: students, drills, games and lessons, the plan of one, and sums
// asked in between.
package desk

import (
	"slices"

	"hodometer/api/repository"
	"hodometer/api/request"
)

// Desk is what its routes share.
type Desk struct{ *repository.Repository }

// Routes are its lines of the route table.
func (s *Desk) Routes() []request.Route {
	return slices.Concat(
		s.studentRoutes(),
		s.drillRoutes(),
		s.lessonRoutes(),
		s.gameRoutes(),
		s.settingsRoutes(),
		s.lengthRoutes(),
		s.vocabularyRoutes(),
		s.reckonerRoutes(),
		s.anticipateRoutes(),
		s.shorthandRoutes(),
	)
}
