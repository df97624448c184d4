// Package exchange answers what comes in from others and goes out to them: tables of students, a club's calendar,
// documents as files and codes, paper, and what is told to those at home.
package exchange

import (
	"slices"

	"github.com/labstack/echo/v5"

	"hodometer/api/door"
	"hodometer/api/repository"
	"hodometer/api/request"
)

// Exchange is what its routes share.
type Exchange struct {
	*repository.Repository
	Entrance *door.Entrance
	Schemas  request.Bodies // of what documents that come in are held against

	clubs clubs
}

// Routes are its lines of the route table.
func (s *Exchange) Routes() []request.Route {
	return slices.Concat(s.arrivalRoutes(), s.calendarRoutes(), s.documentRoutes())
}

// Out are the files that it hands out, by their paths.
func (s *Exchange) Out() map[string]echo.HandlerFunc {
	return map[string]echo.HandlerFunc{
		request.OutPath + "tables/:file":       s.tablesOut,
		request.OutPath + "lessons.ics":        s.lessonsOut,
		request.OutPath + "collection.zip":     s.collectionOut,
		request.OutPath + "book.pdf":           s.bookOut,
		request.OutPath + "counting/:file":     s.countingOut,
		request.OutPath + "students/:id/:file": s.studentOut,
		request.OutPath + ":kind/:file":        s.documentOut,
		feedPath + ":file":                     s.feed,
	}
}
