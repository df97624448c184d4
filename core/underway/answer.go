package underway

import (
	"context"
	"errors"

	"hodometer/core/invalid"
)

// Answered is a lesson as it is run, after some acts.
type Answered struct {
	Courtside
	Sentences []string  `json:"sentences" description:"What got shorter or longer by the last act that changed the lesson"`
	Refused   []Refused `json:"refused" description:"What could not be done; all the rest is"`
}

// Refused is an act that could not be done, and why.
type Refused struct {
	ID     string          `json:"id"`
	Fields []invalid.Field `json:"fields"`
}

// Done is what some acts came to.
type Done struct {
	Sentences []string
	Refused   []Refused
	Taken     []Counted // what is counted by them
	Acts      []Did     // of those that are no counts: the ones that were done
}

// Did is an act that was done, and what came of it.
type Did struct {
	Act
	Said []string `json:"said,omitempty" description:"What it changed, in sentences"`
}

// DoAll does acts in order; those that cannot be done are told and left out. It returns ctx.Err() when cancelled.
func (k *Kit) DoAll(ctx context.Context, acts []Act) (Done, error) {
	done := Done{Sentences: []string{}, Refused: []Refused{}}
	for _, act := range acts {
		before := len(k.Done)
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
		done.Acts = append(done.Acts, Did{act, outcome.Sentences})
		if outcome.Sentences != nil {
			done.Sentences = outcome.Sentences
		}
	}
	return done, nil
}
