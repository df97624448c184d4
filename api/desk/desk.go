// Package desk answers what a coach does at a table: students, drills, games and lessons, the plan of one, and sums
// asked in between.
package desk

import (
	"slices"
	"time"

	"hodometer/api/repository"
	"hodometer/api/request"
)

// Desk is what its routes share.
type Desk struct {
	*repository.Repository
	Search time.Duration // how long it is looked for a fair score, and for one that suits the time
}

// UsualSearch is how long a coach waits for what would be fair.
const UsualSearch = 4 * time.Second

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
