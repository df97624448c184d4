package api

import (
	"context"
	"errors"

	"hodometer/core/editing"
	"hodometer/core/lesson"
	"hodometer/store"
)

// Travelled is a lesson as it is run, after something was done with its road.
type Travelled struct {
	Courtside
	Sentences []string `json:"sentences" description:"What got shorter or longer"`
}

func (s *server) travelRoutes() []Route {
	return []Route{
		route("POST", "/api/lessons/:id/travel", "travel", "One more minute, go on, go back, or end earlier, while a lesson is under way", s.travel),
	}
}

// travel does one thing with the road of a lesson under way, and has its clock go on from there.
func (s *server) travel(ctx context.Context, p byID, body editing.Travel) (Travelled, error) {
	// Somebody may change the lesson meanwhile: then it is done with what that made of it.
	const tries = 5
	for try := 1; ; try++ {
		record, err := s.store.Lessons.Get(ctx, p.ID)
		if err != nil {
			return Travelled{}, err
		}
		in, err := s.inputs(ctx, record.Document)
		if err != nil {
			return Travelled{}, err
		}
		if body.Kind == editing.Held {
			clock, _, _, err := s.store.Clock(ctx, p.ID)
			if err != nil {
				return Travelled{}, err
			}
			if at, gone := record.Document.At(clock.Second); at >= 0 {
				body.Block, body.Gone = record.Document.Blocks[at].ID, gone
			}
			body.Minutes = 0
			if held := s.now().Sub(clock.Anchor).Minutes(); !clock.Running && held < float64(record.Document.Minutes) {
				body.Minutes = held // longer than the lesson: it was forgotten, and goes on where it stood
			}
		}
		now, err := editing.Under(ctx, record.Document, body, in)
		if err != nil {
			return Travelled{}, err
		}
		_, err = s.store.Lessons.Replace(ctx, p.ID, record.Revision, now.Document)
		if errors.Is(err, store.ErrStale) && try < tries {
			continue
		}
		if err != nil {
			return Travelled{}, err
		}
		if err := s.store.SetClock(ctx, p.ID, lesson.Clock{Anchor: s.now(), Second: now.Second, Running: true}, false); err != nil {
			return Travelled{}, err
		}
		answer, err := s.courtside(ctx, p.ID)
		return Travelled{Courtside: answer, Sentences: now.Sentences}, err
	}
}
