package request

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"log/slog"
	"net/http"
	"os"

	"github.com/labstack/echo/v5"

	"hodometer/core/basics/invalid"
	"hodometer/store"
)

// Problem is an answer that says what went wrong; see RFC 9457.
type Problem struct {
	Type   string         `json:"type"`
	Title  string         `json:"title"`
	Status int            `json:"status"`
	Detail string         `json:"detail"`
	Fields invalid.Fields `json:"fields" description:"What is wrong field by field"`
}

// ProblemType is the media type of a problem.
const ProblemType = "application/problem+json"

func (p Problem) Error() string { return p.Title + ": " + p.Detail }

// Refusal is a problem with a status, in words, and what is wrong by field.
func Refusal(status int, detail string, fields ...invalid.Field) Problem {
	if fields == nil {
		fields = []invalid.Field{}
	}
	return Problem{Type: "about:blank", Title: http.StatusText(status), Status: status, Detail: detail, Fields: fields}
}

// asProblem finds the answer that an error calls for.
func asProblem(err error) Problem {
	var known Problem
	var fields invalid.Fields
	var coded echo.HTTPStatusCoder
	var large *http.MaxBytesError
	switch {
	case errors.As(err, &known):
		return known
	case errors.As(err, &fields):
		return Refusal(http.StatusUnprocessableEntity, "Nothing was changed. Put this right first.", fields...)
	case errors.Is(err, store.ErrNotFound):
		return Refusal(http.StatusNotFound, "There is nothing here any more. It may have been erased.")
	case errors.Is(err, store.ErrUnreadable):
		return Refusal(
			http.StatusConflict,
			"This is stored in a way that Hodometer cannot read ("+Why(
				err,
			)+"). Nothing of it is lost: save its text from the list it is in.",
		)
	case errors.Is(err, store.ErrStale):
		return Refusal(
			http.StatusPreconditionFailed,
			"This was changed somewhere else meanwhile, so nothing was saved over it.",
		)
	case errors.Is(err, store.ErrTaken):
		return Refusal(http.StatusConflict, "Something else is kept under this identifier already.")
	case errors.Is(err, os.ErrDeadlineExceeded):
		return Refusal(http.StatusRequestTimeout, "The rest of this did not arrive in time. Send it again.")
	case errors.Is(err, context.Canceled), errors.Is(err, context.DeadlineExceeded):
		return Refusal(
			http.StatusServiceUnavailable,
			"This takes too long to work out and was stopped. What was saved before is safe.",
		)
	case errors.Is(err, store.ErrMoved):
		return Refusal(
			http.StatusServiceUnavailable,
			"The file that Hodometer runs with was moved or replaced meanwhile, so nothing is saved any more. Put it back, "+
				"or stop Hodometer and start it again.",
		)
	case store.DiskSays(err) != "":
		return Refusal(
			http.StatusInsufficientStorage,
			store.DiskSays(err)+" Nothing was saved; what was saved before is safe.",
		)
	case errors.As(err, &large):
		return Refusal(
			http.StatusRequestEntityTooLarge,
			"This is more than is read of somebody who is not let in.",
			invalid.Field{Path: "body", Message: "at most 4 kB"},
		)
	case errors.As(err, &coded):
		return fromStatus(coded.StatusCode())
	}
	return Refusal(
		http.StatusInternalServerError,
		"Something went wrong in Hodometer itself. What was saved before is safe.",
	)
}

func fromStatus(status int) Problem {
	switch status {
	case http.StatusRequestEntityTooLarge:
		return Refusal(
			status,
			"This is too large: a drill or a lesson takes far less than 1 MiB, and a file with a table may have 8.",
			invalid.Field{Path: "body", Message: "at most 1 MiB, of a file 8"},
		)
	case http.StatusNotFound:
		return Refusal(status, "There is no such page.")
	case http.StatusMethodNotAllowed:
		return Refusal(status, "This cannot be done here.")
	}
	return Refusal(status, http.StatusText(status))
}

// AnswerProblems answers every error as a problem document, and logs those that are our own fault.
func AnswerProblems(log *slog.Logger) echo.HTTPErrorHandler {
	return func(c *echo.Context, err error) {
		if answered, ok := c.Response().(*echo.Response); ok && answered.Committed {
			return
		}
		p := asProblem(err)
		if p.Status >= http.StatusInternalServerError && p.Status != http.StatusServiceUnavailable {
			log.Error("request failed", "method", c.Request().Method, "path", c.Request().URL.Path, "error", err)
		}
		text, err := json.Marshal(p)
		if err == nil {
			err = c.Blob(p.Status, ProblemType, text)
		}
		if err != nil {
			log.Warn("could not answer", "error", err)
		}
	}
}

// Why says what is wrong with a stored document, in a coach's words.
func Why(err error) string {
	var wrongType *json.UnmarshalTypeError
	var fields invalid.Fields
	switch {
	case errors.As(err, &fields) && len(fields) > 0:
		return fmt.Sprintf("%s: %s", fields[0].Path, fields[0].Message)
	case errors.As(err, &wrongType):
		return fmt.Sprintf("%s: a %s cannot be used here", wrongType.Field, wrongType.Value)
	}
	return "its text is damaged"
}
