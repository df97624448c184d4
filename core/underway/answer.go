package underway

import (
	"context"
	"encoding/json"
	"errors"
	"time"

	"hodometer/core/invalid"
)

// Asked is what a device without the network asks: what a coach sees at an instant of a kit with which some acts were done since.
type Asked struct {
	Kit  Kit       `json:"kit"`
	Acts []Act     `json:"acts"`
	Now  time.Time `json:"now"`
}

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

// Answer answers what a device without the network asks, both as JSON; a problem is an object with the one field error.
func Answer(question []byte) []byte {
	answer, err := answer(question)
	if err != nil {
		answer, _ = json.Marshal(map[string]string{"error": err.Error()})
	}
	return answer
}

func answer(question []byte) ([]byte, error) {
	var asked Asked
	if err := json.Unmarshal(question, &asked); err != nil {
		return nil, err
	}
	ctx := context.Background()
	done, err := asked.Kit.DoAll(ctx, asked.Acts)
	if err != nil {
		return nil, err
	}
	view, err := asked.Kit.View(ctx, asked.Now)
	if err != nil {
		return nil, err
	}
	return json.Marshal(Answered{Courtside: view, Sentences: done.Sentences, Refused: done.Refused})
}
