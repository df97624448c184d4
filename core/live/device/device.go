// Package device answers what a device without the network asks of core, as JSON.
package device

import (
	"context"
	"encoding/json"
	"errors"
	"time"

	"hodometer/core/game"
	"hodometer/core/live/scoreboard"
	"hodometer/core/live/underway"
	"hodometer/core/sport/court"
)

// Question is what is asked: exactly one of its parts is there.
type Question struct {
	Lesson  *LessonAsked  `json:"lesson,omitempty"`
	Game    *GameAsked    `json:"game,omitempty"`
	Version *VersionAsked `json:"version,omitempty"`
}

// LessonAsked asks what a coach sees at an instant of a lesson with which some acts were done since it was packed.
type LessonAsked struct {
	Kit  underway.Kit   `json:"kit"`
	Acts []underway.Act `json:"acts"`
	Now  time.Time      `json:"now"`
}

// GameAsked asks where a game stands in which some things happened since it was packed.
type GameAsked struct {
	Kit    scoreboard.Kit `json:"kit"`
	Events []game.Event   `json:"events"`
}

// VersionAsked is a game of which a version is wanted.
type VersionAsked struct {
	Document game.Document `json:"document"`
	Version  string        `json:"version" maxLength:"60" description:"Empty: the game as it is written"`
	Court    court.ID      `json:"court" maxLength:"40" description:"Of the lesson in which it is played; empty: in none"`
}

// Answer answers a question; a problem is an object with the one field error.
func Answer(question []byte) []byte {
	answer, err := answer(question)
	if err != nil {
		answer, _ = json.Marshal(map[string]string{"error": err.Error()})
	}
	return answer
}

func answer(text []byte) ([]byte, error) {
	var q Question
	if err := json.Unmarshal(text, &q); err != nil {
		return nil, err
	}
	switch {
	case q.Lesson != nil:
		return said(q.Lesson.answer())
	case q.Game != nil:
		return said(q.Game.answer())
	case q.Version != nil:
		return said(q.Version.Document.InLesson(q.Version.Version, q.Version.Court))
	default:
		return nil, errors.New("nothing is asked")
	}
}

func said[T any](answer T, err error) ([]byte, error) {
	if err != nil {
		return nil, err
	}
	return json.Marshal(answer)
}

func (q LessonAsked) answer() (underway.Answered, error) {
	ctx := context.Background()
	done, err := q.Kit.DoAll(ctx, q.Acts)
	if err != nil {
		return underway.Answered{}, err
	}
	view, err := q.Kit.View(ctx, q.Now)
	return underway.Answered{Courtside: view, Sentences: done.Sentences, Changed: done.Changed, Refused: done.Refused}, err
}

func (q GameAsked) answer() (scoreboard.Scored, error) {
	left, err := q.Kit.Do(q.Events)
	return scoreboard.Scored{Played: q.Kit.View(), LeftOut: left}, err
}
