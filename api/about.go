package api

import (
	"context"
	"io/fs"
	"net/http"

	"github.com/labstack/echo/v5"
)

// About is which Hodometer answers.
type About struct {
	Version string `json:"version"`
	Build   string `json:"build" description:"The commit that it was built from; empty where that is not known"`
	Go      string `json:"go" description:"The version of Go that it was built with"`
}

func (s *server) aboutRoutes() []Route {
	return []Route{
		route("GET", "/api/about", "getAbout", "Which Hodometer this is", func(context.Context, None, None) (About, error) {
			return s.about, nil
		}),
	}
}

// Notices joins the licences of all that ships in the program and with the page, fonts included.
func Notices(modules string, pages fs.FS) (string, error) {
	page, err := fs.ReadFile(pages, "third-party.txt")
	return modules + "\n" + string(page), err
}

// notices answers with the licences of all that ships.
func notices(o Options) echo.HandlerFunc {
	return func(c *echo.Context) error {
		text, err := Notices(o.Modules, o.Pages)
		if err != nil {
			return err
		}
		return c.String(http.StatusOK, text)
	}
}
