package api

import (
	"context"
	"fmt"
	"io/fs"
	"net/http"

	"hodometer/api/request"

	"github.com/labstack/echo/v5"
)

// About is which Hodometer answers.
type About struct {
	Version string `json:"version"`
	Build   string `json:"build" description:"The commit that it was built from; empty where that is not known"`
	Go      string `json:"go" description:"The version of Go that it was built with"`
}

// Latest says which write was the last one.
type Latest struct {
	Write string `json:"write" description:"Another one whenever anything was stored, or the program was started again"`
}

func (s *server) aboutRoutes() []request.Route {
	return []request.Route{
		request.Make(
			"GET",
			"/api/about",
			"getAbout",
			"Which Hodometer this is",
			func(context.Context, request.None, request.None) (About, error) {
				return s.about, nil
			},
		),
		request.Make("GET", "/api/latest", "getLatest", "Whether anything was stored since",
			func(context.Context, request.None, request.None) (Latest, error) {
				return Latest{Write: fmt.Sprintf("%x-%d", s.started.UnixNano(), s.stored.Store.Writes())}, nil
			}).
			Anew(),
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
