package api

import (
	"context"
	"net/http"
	"time"

	"hodometer/api/door"
	"hodometer/api/request"
	"hodometer/core/people/student"
	"hodometer/store"
)

// Student is a student on the list.
type Student struct {
	ID       string          `json:"id"`
	Revision int64           `json:"revision"`
	Archived bool            `json:"archived" description:"Out of the lists; can be brought back"`
	Profile  student.Profile `json:"profile"`
	Hurts    string          `json:"hurts" description:"All that hurts, in one line; empty: nothing"`
	Rests    string          `json:"rests" description:"What they are spared while it does, in words; empty: nothing"`
}

// Tag is the revision.
func (s Student) Tag() int64 { return s.Revision }

func asStudent(k store.Record[student.Profile]) Student {
	return Student{ID: k.ID, Revision: k.Revision, Archived: k.Archived, Profile: k.Document, Hurts: k.Document.HurtsInWords(), Rests: student.Joined(k.Document.Rests())}
}

// Archiving takes something out of the lists or brings it back.
type Archiving struct {
	Archived bool `json:"archived"`
}

// listed is the parameter of a list.
type listed struct {
	Archived bool `query:"archived" description:"Also what is archived"`
}

func (s *server) studentRoutes() []request.Route {
	return []request.Route{
		request.Make("GET", "/api/students", "listStudents", "All students", func(ctx context.Context, p listed, _ request.None) ([]Student, error) {
			return list(ctx, s.store.Students, p.Archived, asStudent)
		}),
		request.Make("GET", "/api/students/:id", "getStudent", "One student", func(ctx context.Context, p request.ByID, _ request.None) (Student, error) {
			record, err := s.store.Students.Get(ctx, p.ID)
			return asStudent(record), err
		}),
		request.Make("PUT", "/api/students/:id", "saveStudent", "Add or change a student", func(ctx context.Context, p request.Keep, body student.Profile) (Student, error) {
			record, err := save(ctx, s.store.Students, p, body)
			return asStudent(record), err
		}),
		request.Make("PUT", "/api/students/:id/archived", "archiveStudent", "Archive a student, or bring them back", func(ctx context.Context, p request.ByID, body Archiving) (Student, error) {
			record, err := s.store.Students.Archive(ctx, p.ID, body.Archived)
			return asStudent(record), err
		}),
		request.Make("GET", "/api/students/:id/copies", "listCopiesOf", "Safe copies that hold a student", s.copiesOf).Anew().ForTheCoach(),
		request.Make("DELETE", "/api/students/:id", "eraseStudent", "Erase a student and all that was counted, for good", s.eraseStudent),
		request.Make("GET", "/api/students/:id/progress", "getProgress", "What a student did, and the next step", func(ctx context.Context, p request.ByID, _ request.None) (Progress, error) {
			return s.progress(ctx, p.ID)
		}),
		request.Make("POST", "/api/students/:id/ladder-position", "setLadderPosition", "Put a student on a rung", func(ctx context.Context, p request.ByID, body LadderPosition) (Progress, error) {
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

// save keeps a checked document, new or over the revision it builds on.
func save[T checked](ctx context.Context, collection store.Collection[T], p request.Keep, document T) (store.Record[T], error) {
	revision, isNew, err := p.Revision()
	if err != nil {
		return store.Record[T]{}, err
	}
	if err := document.Check(); err != nil {
		return store.Record[T]{}, err
	}
	if isNew {
		return collection.Create(ctx, p.ID, document)
	}
	return collection.Replace(ctx, p.ID, revision, document)
}

// list reads a collection and turns every document into its answer.
func list[T, A any](ctx context.Context, collection store.Collection[T], withArchived bool, as func(store.Record[T]) A) ([]A, error) {
	record, err := collection.List(ctx, withArchived)
	if err != nil {
		return nil, err
	}
	answers := make([]A, len(record))
	for i, k := range record {
		answers[i] = as(k)
	}
	return answers, nil
}

// Gone is what is left of a student who was erased.
type Gone struct {
	Copies int       `json:"copies" description:"Safe copies of before that still hold them"`
	Newest time.Time `json:"newest" description:"When the newest of those was made; where there is none, it says nothing"`
}

// InCopies is what becomes of the safe copies that hold somebody who is erased.
type InCopies string

// What becomes of them.
const (
	CopiesStay   InCopies = "stay"
	CopiesErased InCopies = "erase"
	CopiesDelete InCopies = "delete"
)

// erasing is the parameter of erasing a student.
type erasing struct {
	ID     string   `param:"id" path:"id" format:"uuid"`
	Copies InCopies `query:"copies" description:"What becomes of safe copies that hold them; empty: they stay"`
}

// copiesOf are the safe copies that hold a student.
func (s *server) copiesOf(ctx context.Context, p request.ByID, _ request.None) ([]SafeCopy, error) {
	holding, err := s.keeper.Copies().Holding(ctx, p.ID)
	list := []SafeCopy{}
	for _, one := range holding {
		list = append(list, SafeCopy(one))
	}
	return list, err
}

// eraseStudent erases a student, here and where that is wished in the safe copies, and says which copies still hold them.
func (s *server) eraseStudent(ctx context.Context, p erasing, _ request.None) (Gone, error) {
	copies := s.keeper.Copies()
	changes := p.Copies == CopiesErased || p.Copies == CopiesDelete
	if changes && door.At(ctx) != door.FromMachine {
		return Gone{}, request.Refusal(http.StatusForbidden, "Safe copies are seen to at the coach’s own machine only.")
	}
	holding, err := copies.Holding(ctx, p.ID)
	if err != nil && changes {
		return Gone{}, request.Refusal(http.StatusConflict, err.Error())
	}
	if err := s.store.EraseStudent(ctx, p.ID); err != nil {
		return Gone{}, err
	}
	holds := func(name string) bool {
		switch p.Copies {
		case CopiesErased:
			return copies.EraseFrom(ctx, name, p.ID) != nil
		case CopiesDelete:
			return copies.Delete(name) != nil
		}
		return true
	}
	var gone Gone
	for _, one := range holding {
		if !holds(one.Name) {
			continue
		}
		if gone.Copies++; gone.Copies == 1 {
			gone.Newest = one.At
		}
	}
	return gone, nil
}
