package api

import (
	"context"

	"hodometer/core/feed"
	"hodometer/core/lesson"
	"hodometer/core/odds"
	"hodometer/core/rotation"
	"hodometer/core/student"
)

// Words are what a coach can choose from, in the order in which it is offered.
type Words struct {
	Strokes    []feed.Stroke    `json:"strokes"`
	Kinds      []feed.Kind      `json:"kinds"`
	Ways       []feed.Way       `json:"ways"`
	Paces      []feed.Pace      `json:"paces"`
	Spins      []feed.SpinWord  `json:"spins"`
	Moments    []feed.Moment    `json:"moments"`
	Orders     []feed.Order     `json:"orders"`
	Endings    []feed.Ending    `json:"endings"`
	Nexts      []feed.Next      `json:"nexts"`
	Directions []feed.Direction `json:"directions"`
	Changes    []feed.Change    `json:"changes" description:"Transformations of a pattern"`
	Levels     []student.Level  `json:"levels"`
	Goals      []odds.Kind      `json:"goals"`
	Misses     []odds.AfterMiss `json:"misses" description:"What a miss does to a streak"`
	Hard       []odds.Hardness  `json:"hard" description:"How hard a stage is beside the drill as a whole"`

	Rotations []rotation.Kind    `json:"rotations" description:"Ways in which a group changes places"`
	Counted   []rotation.Counted `json:"counted" description:"What a round is counted in"`
	Begins    []rotation.Begins  `json:"begins" description:"Which side begins a round"`
	Steps     []lesson.StepWord  `json:"steps" description:"What lengths a block comes in"`
}

func (s *server) wordRoutes() []Route {
	return []Route{
		route("GET", "/api/words", "listWords", "What a coach can choose from", func(context.Context, None, None) (Words, error) {
			return Words{
				Strokes: choices[feed.Stroke](), Kinds: choices[feed.Kind](), Ways: choices[feed.Way](), Paces: choices[feed.Pace](),
				Spins: choices[feed.SpinWord](), Moments: choices[feed.Moment](), Orders: choices[feed.Order](), Endings: choices[feed.Ending](),
				Nexts: choices[feed.Next](), Directions: choices[feed.Direction](), Changes: choices[feed.Change](), Levels: choices[student.Level](),
				Goals: choices[odds.Kind](), Misses: choices[odds.AfterMiss](), Hard: choices[odds.Hardness](),
				Rotations: choices[rotation.Kind](), Counted: choices[rotation.Counted](), Begins: choices[rotation.Begins](), Steps: choices[lesson.StepWord](),
			}, nil
		}),
	}
}

// choices lists the values of a type that knows them.
func choices[T interface{ Enum() []any }]() []T {
	var zero T
	list := []T{}
	for _, each := range zero.Enum() {
		if value, ok := each.(T); ok {
			list = append(list, value)
		}
	}
	return list
}
