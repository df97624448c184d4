package api

import (
	"bytes"
	"cmp"
	"errors"
	"strings"

	"github.com/santhosh-tekuri/jsonschema/v6"

	"hodometer/core/drill"
	"hodometer/core/exchange"
	"hodometer/core/game"
	"hodometer/core/invalid"
	"hodometer/core/lesson"
	"hodometer/core/progress"
)

// Passed is a document that is passed on: one of the four.
type Passed struct {
	Drill  *drill.Document   `json:"drill,omitempty"`
	Game   *game.Document    `json:"game,omitempty"`
	Lesson *lesson.Document  `json:"lesson,omitempty"`
	Ladder *progress.Ladders `json:"ladder,omitempty"`
}

func passedOf(kind exchange.Kind, text []byte) (Passed, error) {
	switch kind {
	case exchange.Drill:
		var d drill.Document
		return Passed{Drill: &d}, exchange.Strict(text, &d)
	case exchange.Game:
		var d game.Document
		return Passed{Game: &d}, exchange.Strict(text, &d)
	case exchange.Ladder:
		var d progress.Ladders
		return Passed{Ladder: &d}, exchange.Strict(text, &d)
	default:
		var d lesson.Document
		return Passed{Lesson: &d}, exchange.Strict(text, &d)
	}
}

// kind is what a document is; empty where it is none, or more than one.
func (p Passed) kind() exchange.Kind {
	var is []exchange.Kind
	for kind, there := range map[exchange.Kind]bool{exchange.Drill: p.Drill != nil, exchange.Game: p.Game != nil, exchange.Lesson: p.Lesson != nil, exchange.Ladder: p.Ladder != nil} {
		if there {
			is = append(is, kind)
		}
	}
	if len(is) != 1 {
		return ""
	}
	return is[0]
}

func (p Passed) check() error {
	switch p.kind() {
	case exchange.Drill:
		return p.Drill.Check()
	case exchange.Game:
		return p.Game.Check()
	case exchange.Lesson:
		return p.Lesson.Check()
	case exchange.Ladder:
		return p.Ladder.Check()
	}
	return invalid.Fields{{Path: "", Message: "say what it is: a drill, a game, a lesson or a ladder"}}
}

func (p Passed) document() any {
	switch p.kind() {
	case exchange.Drill:
		return p.Drill
	case exchange.Game:
		return p.Game
	case exchange.Ladder:
		return p.Ladder
	default:
		return p.Lesson
	}
}

// said is what is wrong in sentences, each with where it is.
func said(err error) []string {
	var fields invalid.Fields
	switch {
	case err == nil:
		return []string{}
	case !errors.As(err, &fields):
		return []string{err.Error()}
	}
	list := make([]string, len(fields))
	for i, f := range fields {
		list[i] = strings.TrimPrefix(f.Path+": "+f.Message, ": ")
	}
	return list
}

// document holds a document against the schema that the body of saving it has.
func (b bodies) document(kind exchange.Kind, text []byte) error {
	name := map[exchange.Kind]string{exchange.Drill: "saveDrill", exchange.Game: "saveGame", exchange.Lesson: "saveLesson", exchange.Ladder: laddersSchema}[kind]
	if wrong, _, err := unsound(text); err != nil || wrong.Err() != nil {
		return cmp.Or(err, wrong.Err())
	}
	loose, err := jsonschema.UnmarshalJSON(bytes.NewReader(text))
	if err != nil {
		return err
	}
	var wrong *jsonschema.ValidationError
	if err := b[name].Validate(loose); errors.As(err, &wrong) {
		return describeAll(wrong)
	} else if err != nil {
		return err
	}
	return nil
}
