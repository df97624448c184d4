// Package desk answers what a coach does at a table: students, drills, games and lessons, the plan of one, and sums asked in between.
package desk

import (
	"slices"

	"hodometer/api/request"
	"hodometer/api/shelf"
)

// Desk is what its routes share.
type Desk struct{ *shelf.Shelf }

// Routes are its lines of the route table.
func (s *Desk) Routes() []request.Route {
	return slices.Concat(s.studentRoutes(), s.drillRoutes(), s.lessonRoutes(), s.gameRoutes(), s.settingsRoutes(), s.lengthRoutes(), s.vocabularyRoutes(),
		s.reckonerRoutes(), s.anticipateRoutes(), s.shorthandRoutes())
}
