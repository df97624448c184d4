package api

import (
	"context"

	"hodometer/core/student"
	"hodometer/store"
)

// Student is a student on the list.
type Student struct {
	ID      string          `json:"id"`
	Version int64           `json:"version"`
	Away    bool            `json:"away" description:"Put away; can be brought back"`
	Profile student.Profile `json:"profile"`
}

func (s Student) tag() int64 { return s.Version }

func asStudent(k store.Record[student.Profile]) Student {
	return Student{ID: k.ID, Version: k.Revision, Away: k.Archived, Profile: k.Document}
}

// Away puts something away or brings it back.
type Away struct {
	Away bool `json:"away"`
}

// listed is the parameter of a list.
type listed struct {
	Away bool `query:"away" description:"Also what was put away"`
}

func (s *server) studentRoutes() []Route {
	return []Route{
		route("GET", "/api/students", "listStudents", "All students", func(ctx context.Context, p listed, _ None) ([]Student, error) {
			return list(ctx, s.store.Students, p.Away, asStudent)
		}),
		route("GET", "/api/students/:id", "getStudent", "One student", func(ctx context.Context, p byID, _ None) (Student, error) {
			kept, err := s.store.Students.Get(ctx, p.ID)
			return asStudent(kept), err
		}),
		route("PUT", "/api/students/:id", "keepStudent", "Add or change a student", func(ctx context.Context, p keep, body student.Profile) (Student, error) {
			kept, err := save(ctx, s.store.Students, p, body)
			return asStudent(kept), err
		}),
		route("PUT", "/api/students/:id/away", "putStudentAway", "Put a student away, or bring them back", func(ctx context.Context, p byID, body Away) (Student, error) {
			kept, err := s.store.Students.Archive(ctx, p.ID, body.Away)
			return asStudent(kept), err
		}),
		route("DELETE", "/api/students/:id", "eraseStudent", "Erase a student and all that was counted, for good", func(ctx context.Context, p byID, _ None) (None, error) {
			return None{}, s.store.Students.Erase(ctx, p.ID)
		}),
		route("GET", "/api/students/:id/progress", "getProgress", "What a student did, and the next step", func(ctx context.Context, p byID, _ None) (Progress, error) {
			return s.progress(ctx, p.ID)
		}),
		route("POST", "/api/students/:id/standing", "stand", "Put a student on a rung", func(ctx context.Context, p byID, body Standing) (Progress, error) {
			if _, err := s.store.Students.Get(ctx, p.ID); err != nil {
				return Progress{}, err
			}
			err := s.store.SetLadderPosition(ctx, store.LadderPosition{Student: p.ID, Stroke: body.Stroke, Rung: body.Rung, At: s.now()})
			if err != nil {
				return Progress{}, err
			}
			return s.progress(ctx, p.ID)
		}),
	}
}

// checked is a document that knows its own rules.
type checked interface{ Check() error }

// save keeps a checked document, new or over the version it builds on.
func save[T checked](ctx context.Context, shelf store.Collection[T], p keep, document T) (store.Record[T], error) {
	version, isNew, err := p.version()
	if err != nil {
		return store.Record[T]{}, err
	}
	if err := document.Check(); err != nil {
		return store.Record[T]{}, err
	}
	if isNew {
		return shelf.Create(ctx, p.ID, document)
	}
	return shelf.Replace(ctx, p.ID, version, document)
}

// list reads a shelf and turns every document into its answer.
func list[T, A any](ctx context.Context, shelf store.Collection[T], withAway bool, as func(store.Record[T]) A) ([]A, error) {
	kept, err := shelf.List(ctx, withAway)
	if err != nil {
		return nil, err
	}
	answers := make([]A, len(kept))
	for i, k := range kept {
		answers[i] = as(k)
	}
	return answers, nil
}
