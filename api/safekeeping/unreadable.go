package safekeeping

import (
	"context"
	"fmt"
	"net/http"

	"github.com/labstack/echo/v5"

	"hodometer/api/repository"
	"hodometer/api/request"
)

// ofKind is the parameter of a list of one kind of document.
type ofKind struct {
	Kind repository.Stored `query:"kind" required:"true"`
}

func (s *Safekeeping) unreadableRoutes() []request.Route {
	return []request.Route{
		request.Make(
			"GET",
			"/api/unreadable",
			"listUnreadable",
			"Students or drills that are stored and cannot be read",
			func(ctx context.Context, p ofKind, _ request.None) ([]repository.Unreadable, error) {
				collection, err := s.Stored(p.Kind)
				if err != nil {
					return nil, err
				}
				broken, err := collection.Unreadable(ctx)
				return repository.AsUnreadable(p.Kind, broken), err
			},
		),
	}
}

// storedText answers with a document as it is stored, to be saved as a file.
func (s *Safekeeping) storedText(c *echo.Context) error {
	kind, id := repository.Stored(c.Param("kind")), c.Param("id")
	collection, err := s.Stored(kind)
	if err != nil {
		return err
	}
	text, err := collection.Text(c.Request().Context(), id)
	if err != nil {
		return err
	}
	c.Response().
		Header().
		Set("Content-Disposition", fmt.Sprintf("attachment; filename=%q", fmt.Sprintf("%s %s.json", kind, id)))
	c.Response().Header().Set("Cache-Control", "no-store")
	return c.Blob(http.StatusOK, "application/json", []byte(text))
}
