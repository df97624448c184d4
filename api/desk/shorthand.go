package desk

import (
	"context"
	"errors"

	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/core/drill"
	"hodometer/core/exchange/shorthand"
	"hodometer/core/game"
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

// GameLineAsked is a line in words for the rules of a game.
type GameLineAsked struct {
	Document game.Document `json:"document"`
	Line     string        `json:"line" maxLength:"20000" description:"Empty: the game is to be written as a line"`
}

// GameLineRead is what a line was understood to mean.
type GameLineRead struct {
	Line     string           `json:"line" description:"As it is typed; or the game as a line, where none was"`
	Words    []shorthand.Word `json:"words"`
	Document *game.Document   `json:"document" description:"The game with the rules of the line; null where some of it was not understood"`
	Wrong    string           `json:"wrong" description:"What was not understood, in a sentence; else empty"`
}

func (s *Desk) shorthandRoutes() []request.Route {
	return []request.Route{
		request.Make("POST", "/api/games/line", "readGameLine", "The rules of a game as one line in words", readGameLine),
		request.Make("POST", "/api/drills/line", "readLine", "A pattern as one line in words", readLine),
	}
}

func readLine(_ context.Context, _ request.None, body LineAsked) (r LineRead, err error) {
	r = LineRead{Line: body.Line, Words: []shorthand.Word{}}
	if body.Line == "" {
		r.Line = shorthand.Of(body.Document)
		return r, nil
	}
	r.Document, r.Words, r.Wrong, err = applied(body.Document, body.Line, shorthand.Applied)
	return r, err
}

func readGameLine(_ context.Context, _ request.None, body GameLineAsked) (r GameLineRead, err error) {
	r = GameLineRead{Line: body.Line, Words: []shorthand.Word{}}
	if body.Line == "" {
		r.Line = shorthand.OfGame(body.Document)
		return r, nil
	}
	r.Document, r.Words, r.Wrong, err = applied(body.Document, body.Line, shorthand.AppliedGame)
	return r, err
}

// applied is a document with a line read into it, what was understood of each word, and what is wrong in a sentence:
// then there is none.
func applied[D interface{ Check() error }](
	d D,
	line string,
	read func(D, string) (D, []shorthand.Word, error),
) (*D, []shorthand.Word, string, error) {
	d, words, err := read(d, line)
	if err == nil {
		err = d.Check()
	}
	var wrong invalid.Fields
	switch {
	case errors.As(err, &wrong):
		return nil, words, wrong[0].Message, nil
	case err != nil:
		return nil, words, "", err
	}
	return &d, words, "", nil
}
