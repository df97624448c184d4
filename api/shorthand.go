package api

import (
	"context"
	"errors"

	"hodometer/core/drill"
	"hodometer/core/invalid"
	"hodometer/core/shorthand"
)

// LineAsked is a line in words for the pattern of a drill.
type LineAsked struct {
	Document drill.Document `json:"document"`
	Line     string         `json:"line" maxLength:"20000" description:"Empty: the drill is to be written as a line"`
}

// LineRead is what a line was understood to mean.
type LineRead struct {
	Line     string           `json:"line" description:"As it is typed; or the drill as a line, where none was"`
	Words    []shorthand.Word `json:"words"`
	Document *drill.Document  `json:"document" description:"The drill with the pattern of the line; null where some of it was not understood"`
	Wrong    string           `json:"wrong" description:"What was not understood, in a sentence; else empty"`
}

func (s *server) shorthandRoutes() []Route {
	return []Route{
		route("POST", "/api/drills/line", "readLine", "A pattern as one line in words", readLine),
	}
}

func readLine(_ context.Context, _ None, body LineAsked) (LineRead, error) {
	r := LineRead{Line: body.Line, Words: []shorthand.Word{}}
	if body.Line == "" {
		r.Line = shorthand.Of(body.Document)
		return r, nil
	}
	document, words, err := shorthand.Applied(body.Document, body.Line)
	r.Words = words
	if err == nil {
		err = document.Check()
	}
	var wrong invalid.Fields
	switch {
	case errors.As(err, &wrong):
		r.Wrong = wrong[0].Message
	case err != nil:
		return r, err
	default:
		r.Document = &document
	}
	return r, nil
}
