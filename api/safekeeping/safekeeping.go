// Package safekeeping answers what keeps everything safe, and what rids it of somebody: safe copies, everything to take
// along and back, erasing, and documents that cannot be read.
package safekeeping

import (
	"slices"

	"github.com/labstack/echo/v5"

	"hodometer/api/repository"
	"hodometer/api/request"
	"hodometer/keeping"
)

// Safekeeping is what its routes share.
type Safekeeping struct {
	*repository.Repository
	Keeper *keeping.Keeper

	works works
}

// Routes are its lines of the route table.
func (s *Safekeeping) Routes() []request.Route {
	return slices.Concat(s.unreadableRoutes(), s.keepingRoutes(), s.everythingRoutes(), s.erasingRoutes())
}

// Out are the files that it hands out, by their paths.
func (s *Safekeeping) Out() map[string]echo.HandlerFunc {
	return map[string]echo.HandlerFunc{EverythingPath: s.everythingOut, "/api/stored/:kind/:id": s.storedText}
}

// Close ends what is being worked on.
func (s *Safekeeping) Close() { s.works.close() }
