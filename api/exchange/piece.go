package exchange

import (
	"errors"
	"strings"

	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/core/drill"
	"hodometer/core/exchange/sharing"
	"hodometer/core/game"
	"hodometer/core/lesson"
	"hodometer/core/people/progress"
)

// Passed is a document that is passed on: one of the four.
type Passed struct {
	Drill  *drill.Document   `json:"drill,omitempty"`
	Game   *game.Document    `json:"game,omitempty"`
	Lesson *lesson.Document  `json:"lesson,omitempty"`
	Ladder *progress.Ladders `json:"ladder,omitempty"`
}

func passedOf(kind sharing.Kind, text []byte) (Passed, error) {
	switch kind {
	case sharing.Drill:
		var d drill.Document
		return Passed{Drill: &d}, sharing.Strict(text, &d)
	case sharing.Game:
		var d game.Document
		return Passed{Game: &d}, sharing.Strict(text, &d)
	case sharing.Ladder:
		var d progress.Ladders
		return Passed{Ladder: &d}, sharing.Strict(text, &d)
	default:
		var d lesson.Document
		return Passed{Lesson: &d}, sharing.Strict(text, &d)
	}
}

// kind is what a document is; empty where it is none, or more than one.
func (p Passed) kind() sharing.Kind {
	var is []sharing.Kind
	for kind, there := range map[sharing.Kind]bool{sharing.Drill: p.Drill != nil, sharing.Game: p.Game != nil,
		sharing.Lesson: p.Lesson != nil, sharing.Ladder: p.Ladder != nil} {
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
	case sharing.Drill:
		return p.Drill.Check()
	case sharing.Game:
		return p.Game.Check()
	case sharing.Lesson:
		return p.Lesson.Check()
	case sharing.Ladder:
		return p.Ladder.Check()
	}
	return invalid.Fields{{Path: "", Message: "say what it is: a drill, a game, a lesson or a ladder"}}
}

func (p Passed) document() any {
	switch p.kind() {
	case sharing.Drill:
		return p.Drill
	case sharing.Game:
		return p.Game
	case sharing.Ladder:
		return p.Ladder
	default:
		return p.Lesson
	}
}

// bodyOf is the body by which a kind of document is saved.
var bodyOf = map[sharing.Kind]string{
	sharing.Drill:  "saveDrill",
	sharing.Game:   "saveGame",
	sharing.Lesson: "saveLesson",
	sharing.Ladder: request.LaddersSchema,
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
