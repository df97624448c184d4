package underway

import (
	"context"
	"slices"
	"time"

	"hodometer/core/basics/invalid"
	"hodometer/core/basics/say"
	"hodometer/core/lesson"
	"hodometer/core/lesson/editing"
)

// Outcome is what came of an act.
type Outcome struct {
	Sentences []say.Sentence // what got shorter or longer
	Taken     []Counted      // what is counted by it: of each attempt, what is new in it
}

// Do does one thing with the lesson. An act that was done before changes nothing. It returns invalid.Fields where the
// act cannot be done any more, and ctx.Err() when cancelled; the kit is as it was then.
func (k *Kit) Do(ctx context.Context, a Act) (Outcome, error) {
	if err := a.Check(); err != nil {
		return Outcome{}, err
	}
	if a.Tap != nil {
		taken, err := k.count(*a.Tap)
		return Outcome{Taken: taken}, err
	}
	if slices.Contains(k.Done, a.ID) {
		return Outcome{}, nil
	}
	var sentences []say.Sentence
	var err error
	switch {
	case a.Clock != nil:
		k.sets(a.At, a.Clock.on(k.Document), a.Clock.Running)
		k.Finished = a.Clock.Finished
	case a.Travel != nil:
		sentences, err = k.travel(ctx, *a.Travel, a.At)
	case a.Change != nil:
		sentences, err = k.change(ctx, a)
	case a.Before != nil:
		sentences, err = k.takeBack(a)
	}
	if err == nil {
		k.Done = append(k.Done, a.ID)
	}
	return Outcome{Sentences: sentences}, err
}

// takeBack takes a change back. What another device changed since stays, so that nothing of it is lost.
func (k *Kit) takeBack(a Act) ([]say.Sentence, error) {
	back, kept := *a.Before, false
	if a.After != nil {
		var err error
		if back, kept, err = k.Document.Without(*a.Before, *a.After); err != nil {
			return nil, err
		}
	}
	if err := back.Check(); err != nil {
		return nil, invalid.Fields{
			{Path: "before", Message: "the lesson was changed since, so that this cannot be taken back any more"},
		}
	}
	k.Becomes(back)
	if kept {
		return []say.Sentence{say.Of("edit.taken back")}, nil
	}
	return nil, nil
}

// sets has the clock be at a second at an instant; for how long it stood still before is kept.
func (k *Kit) sets(now time.Time, second float64, running bool) {
	clock := lesson.Clock{Anchor: now, Second: second, Running: running, Held: k.held(now)}
	k.Clock = &clock
}

// held is for how many seconds the lesson stood still until an instant. One that stood for longer than its booking was
// forgotten.
func (k *Kit) held(now time.Time) float64 {
	if k.Clock == nil {
		return 0
	}
	return k.Clock.HeldAt(now, 60*float64(k.Document.Minutes))
}

// travel does one thing with the road, and has the clock go on from there.
func (k *Kit) travel(ctx context.Context, t editing.Travel, now time.Time) ([]say.Sentence, error) {
	if t.Kind == editing.Held || t.Kind == editing.CatchUp {
		if at, gone := k.Document.At(k.at(now)); at >= 0 {
			t.Block, t.Gone = k.Document.Blocks[at].ID, gone
		}
	}
	then, err := editing.Under(ctx, k.Document, t, k.held(now), k.Inputs())
	if err != nil {
		return nil, err
	}
	k.Becomes(then.Document)
	k.sets(now, then.Second, true)
	k.Finished = false
	return then.Sentences, nil
}

// change does one thing to the lesson. The identifiers of what it cuts are made from its own, so that they are the same
// wherever it is done.
func (k *Kit) change(ctx context.Context, a Act) ([]say.Sentence, error) {
	fresh := make([]string, 2)
	for i, part := range []string{"first", "second"} {
		id, err := derivedID(a.ID, part)
		if err != nil {
			return nil, invalid.Fields{{Path: "id", Message: err.Error()}}
		}
		fresh[i] = id
	}
	if t := a.Change.Attendance; t != nil {
		for _, id := range t.Present {
			if !slices.ContainsFunc(k.People, func(p lesson.Person) bool { return p.ID == id }) {
				return nil, invalid.Fields{{Path: "change.attendance.present", Message: "somebody who came is not known here yet"}}
			}
		}
	}
	with := *k
	with.Becomes(a.Change.With(k.Document))
	edited, err := editing.Apply(ctx, k.Document, *a.Change, fresh, with.Inputs())
	if err != nil {
		return nil, err
	}
	k.Becomes(edited.Document)
	// What goes on from a drill that was changed is on at once.
	begins := 0.0
	for _, block := range k.Document.Blocks {
		if block.ID == fresh[0] && block.Anew && k.Clock != nil && k.Clock.At(a.At) < begins {
			k.sets(a.At, begins, k.Clock.Running)
		}
		begins += block.Seconds()
	}
	return edited.Sentences, nil
}
