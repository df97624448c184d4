package request

import (
	"cmp"
	"fmt"
	"io"
	"net/http"
	"reflect"

	"github.com/labstack/echo/v5"
	"github.com/labstack/echo/v5/middleware"
	"github.com/swaggest/openapi-go/openapi31"

	"hodometer/handover"
)

// File is the body of a route that takes a file as it is.
type File []byte

// LargestBody is how large a document that is sent can be.
const LargestBody = 1 << 20

// LargestFile is how large a file that is read can be.
const LargestFile = 8 << 20

// Stream is the body of a route that takes a file which is too large to be held: it is read once, as it comes.
type Stream struct{ From io.Reader }

// isStream says whether the body of a route is a file that is read as it comes.
func isStream(body any) bool { return reflect.TypeOf(body) == reflect.TypeFor[Stream]() }

// isFile says whether the body of a route is a file.
func isFile(body any) bool { return reflect.TypeOf(body) == reflect.TypeFor[File]() || isStream(body) }

// readFile reads a body as it is.
func readFile(r *http.Request, into any) (err error) {
	switch body := into.(type) {
	case *File:
		*body, err = io.ReadAll(r.Body)
	case *Stream:
		body.From = r.Body
	}
	return err
}

// describeFile describes a body that is a file.
func describeFile(body *openapi31.RequestBody) {
	body.WithRequired(true).
		WithContentItem("application/octet-stream", openapi31.MediaType{Schema: map[string]any{"type": "string",
			"format": "binary"}})
}

// ForFiles marks a line of the table whose body may be as large as a file.
func (r Route) ForFiles() Route {
	r.large = true
	return r
}

// LimitBodies refuses bodies that are larger than their route takes, by what they say of themselves before anything is
// read.
func LimitBodies(table []Route) []echo.MiddlewareFunc {
	limits := map[string]int64{}
	for _, r := range table {
		switch {
		case isStream(r.body):
			limits[r.Path] = handover.LargestExport
		case r.large || isFile(r.body):
			limits[r.Path] = max(limits[r.Path], LargestFile)
		}
	}
	limit := func(bytes int64) echo.MiddlewareFunc {
		return middleware.BodyLimitWithConfig(middleware.BodyLimitConfig{
			LimitBytes: bytes,
			Skipper:    func(c *echo.Context) bool { return cmp.Or(limits[c.Path()], LargestBody) != bytes },
		})
	}
	return []echo.MiddlewareFunc{limit(LargestBody), limit(LargestFile), limit(handover.LargestExport)}
}

// FileHead says of an answer that it is a file to be kept.
func FileHead(c *echo.Context, name string) {
	c.Response().Header().Set("Content-Disposition", fmt.Sprintf("attachment; filename=%q", name))
	c.Response().Header().Set("Cache-Control", "no-store")
}

// HandOut answers with a file to be kept.
func HandOut(c *echo.Context, name, media string, data []byte) error {
	FileHead(c, name)
	return c.Blob(http.StatusOK, media, data)
}

// PDF is the media type of what is printed.
const PDF = "application/pdf"

// OutPath is where files are handed out that may take longer than an answer.
const OutPath = "/api/out/"
