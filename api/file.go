package api

import (
	"io"
	"net/http"
	"reflect"

	"github.com/labstack/echo/v5"
	"github.com/labstack/echo/v5/middleware"
	"github.com/swaggest/openapi-go/openapi31"
)

// File is the body of a route that takes a file as it is.
type File []byte

// largestFile is how large a file that is read can be.
const largestFile = 8 << 20

// isFile says whether the body of a route is a file.
func isFile(body any) bool { return reflect.TypeOf(body) == reflect.TypeFor[File]() }

// readFile reads a body as it is.
func readFile(r *http.Request, into any) error {
	data, err := io.ReadAll(r.Body)
	if file, is := into.(*File); is {
		*file = data
	}
	return err
}

// describeFile describes a body that is a file.
func describeFile(body *openapi31.RequestBody) {
	body.WithRequired(true).WithContentItem("application/octet-stream", openapi31.MediaType{Schema: map[string]any{"type": "string", "format": "binary"}})
}

// forFiles marks a line of the table whose body may be as large as a file.
func (r Route) forFiles() Route {
	r.large = true
	return r
}

// limitBodies refuses bodies that are larger than their route takes, by what they say of themselves before anything is read.
func limitBodies(table []Route) []echo.MiddlewareFunc {
	large := map[string]bool{}
	for _, r := range table {
		large[r.Path] = large[r.Path] || r.large || isFile(r.body)
	}
	limit := func(bytes int64, mine func(path string) bool) echo.MiddlewareFunc {
		return middleware.BodyLimitWithConfig(middleware.BodyLimitConfig{
			LimitBytes: bytes,
			Skipper:    func(c *echo.Context) bool { return !mine(c.Path()) },
		})
	}
	return []echo.MiddlewareFunc{
		limit(largestBody, func(path string) bool { return !large[path] }),
		limit(largestFile, func(path string) bool { return large[path] }),
	}
}
