package underway

import (
	"context"
	"errors"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/say"
	"hodometer/core/lesson"
)

// Answered is a lesson as it is run, after some acts.
type Answered struct {
	Courtside
	Sentences []say.Sentence `json:"sentences" description:"What got shorter or longer by the last act that changed the lesson"`
	Changed   *Change        `json:"changed" description:"The last act that changed the lesson; null where none did"`
	Refused   []Refused      `json:"refused" description:"What could not be done; all the rest is"`
}

// Change is what an act made of a lesson: what takes it back needs both.
type Change struct {
	Before lesson.Document `json:"before"`
	After  lesson.Document `json:"after"`
}

// Refused is an act that could not be done, and why.
type Refused struct {
	ID     string          `json:"id"`
	Fields []invalid.Field `json:"fields"`
}

// Done is what some acts came to.
type Done struct {
	Sentences []say.Sentence
	Changed   *Change // by the last act that changed the lesson; nil where none did
	Refused   []Refused
	Taken     []Counted // what is counted by them
	Acts      []Did     // of those that are no counts: the ones that were done
}

// Did is an act that was done, and what came of it. Documents of lessons that it brought with it are not kept.
type Did struct {
	Act
	Said []say.Sentence `json:"said,omitempty" description:"What it changed, in sentences"`
}

// DoAll does acts in order; those that cannot be done are told and left out. It returns ctx.Err() when cancelled.
func (k *Kit) DoAll(ctx context.Context, acts []Act) (Done, error) {
	done := Done{Sentences: []say.Sentence{}, Refused: []Refused{}}
	for _, act := range acts {
		before, was := len(k.Done), k.Document
		outcome, err := k.Do(ctx, act)
		var wrong invalid.Fields
		switch {
		case errors.As(err, &wrong):
			done.Refused = append(done.Refused, Refused{act.ID, wrong})
			continue
		case err != nil:
			return done, err
		}
		done.Taken = merge(done.Taken, outcome.Taken)
		if len(k.Done) == before {
			continue
		}
		done.Acts = append(done.Acts, Did{act.withoutDocuments(), outcome.Sentences})
		if act.Travel != nil || act.Change != nil {
			done.Changed = &Change{was, k.Document}
		}
		if outcome.Sentences != nil {
			done.Sentences = outcome.Sentences
		}
	}
	return done, nil
}
