package desk

import (
	"context"

	"hodometer/api/request"
	"hodometer/core/count/score"
	"hodometer/core/drill"
	"hodometer/core/drill/rotation"
	"hodometer/core/exchange/roster"
	"hodometer/core/lesson"
	"hodometer/core/people/ladder"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/core/sport/feed"
	"hodometer/core/sport/sports"
)

// Vocabulary are what a coach can choose from, in the order in which it is offered.
type Vocabulary struct {
	Kinds           []feed.Kind               `json:"kinds"`
	Methods         []feed.Method             `json:"methods"`
	Paces           []sports.Pace             `json:"paces"`
	Moments         []feed.Moment             `json:"moments"`
	Orders          []feed.Order              `json:"orders"`
	Endings         []feed.Ending             `json:"endings"`
	Nexts           []feed.Next               `json:"nexts"`
	Directions      []feed.Direction          `json:"directions"`
	Transformations []feed.TransformationKind `json:"transformations" description:"Transformations of a pattern"`
	Bodies          []feed.Body               `json:"bodies" description:"What of a player a ball can come at"`
	Cases           []feed.Case               `json:"cases" description:"In which a branch is played"`
	Backs           []feed.Back               `json:"backs" description:"How far players get back between balls"`
	Sports          []SportWords              `json:"sports"`
	Ages            []student.AgeBand         `json:"ages"`
	Hands           []student.Hand            `json:"hands"`
	TableFields     []roster.Field            `json:"tableFields" description:"What a column of a table of students can be about"`
	Backhands       []student.Backhand        `json:"backhands"`
	Limits          []student.LimitOf         `json:"limits" description:"What can be limited in a lesson"`
	Parts           []SorePart                `json:"parts" description:"Parts of the body that can hurt, from head to foot"`
	Sides           []student.Side            `json:"sides"`
	Strains         []student.Strain          `json:"strains" description:"What a sore part can be spared"`
	Goals           []score.Form              `json:"goals" description:"The kinds of goal, and how each is put together"`
	Units           []score.Unit              `json:"units" description:"What can be tried, one after the other"`
	Rungs           []ladder.Quality          `json:"rungs" description:"Of a ladder, lowest first"`
	Who             []drill.Who               `json:"who" description:"Who counts at a measure"`
	Realisms        []drill.Realism           `json:"realisms" description:"How near to play, the farthest first"`
	Criteria        []drill.CriterionKind     `json:"criteria" description:"What makes a movement right"`
	MeasureOrders   []drill.Order             `json:"measureOrders" description:"How the measures of a drill follow one another"`
	Hard            []score.Hardness          `json:"hard" description:"How hard a stage is beside the drill as a whole"`

	Rotations []rotation.Kind     `json:"rotations" description:"Ways in which a group changes places"`
	Counted   []rotation.Counted  `json:"counted" description:"What a round is counted in"`
	Begins    []rotation.Begins   `json:"begins" description:"Which side begins a round"`
	PlayedAs  []lesson.PlayedAs   `json:"playedAs" description:"The kinds of block that a drill can be played in"`
	Steps     []lesson.LengthStep `json:"steps" description:"What lengths a block comes in"`
}

// SorePart is a part of the body, and what is usually spared where it hurts.
type SorePart struct {
	Part     student.Part     `json:"part"`
	Proposed []student.Strain `json:"proposed" description:"Common practice, no source; the coach changes it"`
}

func soreParts() []SorePart {
	var list []SorePart
	for _, part := range choices[student.Part]() {
		list = append(list, SorePart{part, part.Proposed()})
	}
	return list
}

// SportWords is what there is to choose from in one sport.
type SportWords struct {
	Sport   court.Sport       `json:"sport"`
	Levels  []student.Level   `json:"levels"`
	Strokes []sports.Stroke   `json:"strokes"`
	Spins   []sports.SpinKind `json:"spins"`
	Replies []feed.ReplyWords `json:"replies" description:"Where a reply can go"`
	Ladders []sports.Stroke   `json:"ladders" description:"What a student can stand on a rung of: the strokes, footwork and technique"`
}

func wordsOfSports() []SportWords {
	var list []SportWords
	for _, of := range sports.All() {
		list = append(list, SportWords{
			Sport:   of.Name,
			Levels:  student.LevelsFor(of.Name),
			Strokes: of.Strokes,
			Spins:   of.Spins,
			Replies: feed.ReplyWordsOf(of.Name),
			Ladders: of.Ladders(),
		})
	}
	return list
}

func (s *Desk) vocabularyRoutes() []request.Route {
	return []request.Route{
		request.Make(
			"GET",
			"/api/vocabulary",
			"listVocabulary",
			"What a coach can choose from",
			func(context.Context, request.None, request.None) (Vocabulary, error) {
				return Vocabulary{
					Kinds:           choices[feed.Kind](),
					Methods:         choices[feed.Method](),
					Paces:           choices[sports.Pace](),
					Moments:         choices[feed.Moment](),
					Orders:          choices[feed.Order](),
					Endings:         choices[feed.Ending](),
					Nexts:           choices[feed.Next](),
					Directions:      choices[feed.Direction](),
					Transformations: choices[feed.TransformationKind](),
					Sports:          wordsOfSports(),
					Bodies:          choices[feed.Body](),
					Cases:           choices[feed.Case](),
					Backs:           choices[feed.Back](),
					Ages:            choices[student.AgeBand](),
					Hands:           choices[student.Hand](),
					TableFields:     choices[roster.Field](),
					Backhands:       choices[student.Backhand](),
					Limits:          choices[student.LimitOf](),
					Units:           choices[score.Unit](),
					Rungs:           ladder.Qualities(),
					MeasureOrders:   choices[drill.Order](),
					Who:             choices[drill.Who](),
					Realisms:        choices[drill.Realism](),
					Criteria:        choices[drill.CriterionKind](),
					Parts:           soreParts(),
					Sides:           choices[student.Side](),
					Strains:         choices[student.Strain](),
					Goals:           score.Forms(),
					Hard:            choices[score.Hardness](),
					Rotations:       choices[rotation.Kind](),
					Counted:         choices[rotation.Counted](),
					Begins:          choices[rotation.Begins](),
					PlayedAs:        lesson.AsPlayed(),
					Steps:           choices[lesson.LengthStep](),
				}, nil
			},
		),
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
