// Package request carries requests: lines of the route table with their schemas, bodies read strictly and within
// bounds, answers remembered, and errors as problem documents. It knows no route.
package request

import (
	"context"
	"net/http"
	"reflect"
	"strconv"
	"strings"

	"github.com/labstack/echo/v5"

	"hodometer/core/basics/invalid"
)

// Route is one line of the route table. Routing, the OpenAPI document and the client's types are all
// made from it.
type Route struct {
	Method  string
	Path    string // with :name for a parameter
	Name    string // the operation's name, unique
	Summary string

	live                 bool // the answer is another one every time
	large                bool // its body may be as large as a file
	right                Right
	params, body, answer any // values of the shapes; nil for none
	work                 func(ctx context.Context, c *echo.Context, schemas Bodies) (any, error)
}

// None is the shape of nothing: no parameters, no body, or no answer.
type None struct{}

// tagged is an answer with a revision, which becomes its ETag.
type tagged interface{ Tag() int64 }

// Right says who may use a route.
type Right int

// The rights.
const (
	WhoIsIn   Right = iota // the coach at this machine, and paired devices
	Anybody                // also who is not let in yet
	CoachOnly              // the coach at this machine
)

// Right is who may use it.
func (r Route) Right() Right { return r.right }

// Make makes a line of the table. P holds path, query and header parameters, B the body, A the answer.
func Make[P, B, A any](
	method, path, name, summary string,
	work func(ctx context.Context, params P, body B) (A, error),
) Route {
	r := Route{
		Method:  method,
		Path:    path,
		Name:    name,
		Summary: summary,
		params:  shape[P](),
		body:    shape[B](),
		answer:  shape[A](),
	}
	r.work = func(ctx context.Context, c *echo.Context, schemas Bodies) (any, error) {
		var params P
		var body B
		if err := bindParams(c, &params); err != nil {
			return nil, err
		}
		if isFile(r.body) {
			if err := readFile(c.Request(), &body); err != nil {
				return nil, err
			}
		} else if r.body != nil {
			if err := schemas.Read(c.Request(), name, &body); err != nil {
				return nil, err
			}
		}
		return work(ctx, params, body)
	}
	return r
}

func shape[T any]() any {
	var zero T
	if _, none := any(zero).(None); none {
		return nil
	}
	return zero
}

func bindParams(c *echo.Context, params any) error {
	for _, bind := range []func(*echo.Context, any) error{echo.BindPathValues, echo.BindQueryParams, echo.BindHeaders} {
		if err := bind(c, params); err != nil {
			return Refusal(
				http.StatusBadRequest,
				"A number was expected in the address: "+strings.Join(queryNames(params), ", "),
			)
		}
	}
	return nil
}

func queryNames(params any) []string {
	var names []string
	for _, field := range reflect.VisibleFields(reflect.TypeOf(params).Elem()) {
		if name := field.Tag.Get("query"); name != "" {
			names = append(names, name)
		}
	}
	return names
}

// Anew marks a line of the table whose answer is another one every time, so that it is not remembered.
func (r Route) Anew() Route {
	r.live = true
	return r
}

// ForAll marks a line of the table that also who is not let in yet may use.
func (r Route) ForAll() Route {
	r.right = Anybody
	return r
}

// ForTheCoach marks a line of the table that is for the coach at their own machine.
func (r Route) ForTheCoach() Route {
	r.right = CoachOnly
	return r
}

// Handle turns a line of the table into a handler. What is read is remembered; see memory.
func (r Route) Handle(schemas Bodies, memory *Memory) echo.HandlerFunc {
	if r.Method == http.MethodGet && !r.live {
		return func(c *echo.Context) error {
			known, of := memory.recall(c.Request().RequestURI)
			if known != nil {
				return known.send(c)
			}
			answer, err := r.work(c.Request().Context(), c, schemas)
			if err != nil {
				return err
			}
			packed, err := pack(answer)
			if err != nil {
				return err
			}
			memory.keep(of, packed)
			return packed.send(c)
		}
	}
	return func(c *echo.Context) error {
		answer, err := r.work(c.Request().Context(), c, schemas)
		if err != nil {
			return err
		}
		if _, none := answer.(None); none {
			return c.NoContent(http.StatusNoContent)
		}
		c.Response().Header().Set("Cache-Control", "no-store")
		if versioned, ok := answer.(tagged); ok {
			c.Response().Header().Set("ETag", strconv.Quote(strconv.FormatInt(versioned.Tag(), 10)))
		}
		return c.JSON(http.StatusOK, answer)
	}
}

// ByID is the parameter of a route about one thing.
type ByID struct {
	ID string `param:"id" path:"id" format:"uuid"`
}

// Keep is the parameter of a route that saves one thing: new with If-None-Match: *, or over the
// Revision in If-Match.
type Keep struct {
	ID          string `param:"id" path:"id" format:"uuid"`
	IfMatch     string `header:"If-Match" description:"The revision that the change builds on, in quotes"`
	IfNoneMatch string `header:"If-None-Match" description:"* for something new"`
}

// Revision returns the revision a change builds on; isNew says that there is none yet.
func (k Keep) Revision() (revision int64, isNew bool, err error) {
	if k.IfNoneMatch == "*" {
		return 0, true, CheckID(k.ID)
	}
	if k.IfMatch == "" {
		return 0, false, Refusal(
			http.StatusPreconditionRequired,
			"Say which revision this change builds on, so that nothing newer is lost.",
			invalid.Field{Path: "If-Match", Message: "the revision in quotes, or If-None-Match: * for something new"},
		)
	}
	text, err := strconv.Unquote(k.IfMatch)
	text, _, _ = strings.Cut(text, "-") // the tag of a read names its content after the revision
	if err == nil {
		revision, err = strconv.ParseInt(text, 10, 64)
	}
	if err != nil {
		return 0, false, Refusal(
			http.StatusBadRequest,
			"The revision in If-Match cannot be read.",
			invalid.Field{Path: "If-Match", Message: `a revision in quotes was expected, "3"`},
		)
	}
	return revision, false, nil
}
