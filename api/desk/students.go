package desk

import (
	"context"

	"hodometer/api/repository"
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
	return Student{
		ID:       k.ID,
		Revision: k.Revision,
		Archived: k.Archived,
		Profile:  k.Document,
		Hurts:    k.Document.HurtsInWords(),
		Rests:    student.Joined(k.Document.Rests()),
	}
}

// listed is the parameter of a list.
type listed struct {
	Archived bool `query:"archived" description:"Also what is archived"`
}

func (s *Desk) studentRoutes() []request.Route {
	return []request.Route{
		request.Make(
			"GET",
			"/api/students",
			"listStudents",
			"All students",
			func(ctx context.Context, p listed, _ request.None) ([]Student, error) {
				return repository.List(ctx, s.Store.Students, p.Archived, asStudent)
			},
		),
		request.Make(
			"GET",
			"/api/students/:id",
			"getStudent",
			"One student",
			func(ctx context.Context, p request.ByID, _ request.None) (Student, error) {
				record, err := s.Store.Students.Get(ctx, p.ID)
				return asStudent(record), err
			},
		),
		request.Make(
			"PUT",
			"/api/students/:id",
			"saveStudent",
			"Add or change a student",
			func(ctx context.Context, p request.Keep, body student.Profile) (Student, error) {
				record, err := repository.Save(ctx, s.Store.Students, p, body)
				return asStudent(record), err
			},
		),
		request.Make(
			"PUT",
			"/api/students/:id/archived",
			"archiveStudent",
			"Archive a student, or bring them back",
			func(ctx context.Context, p request.ByID, body repository.Archiving) (Student, error) {
				record, err := s.Store.Students.Archive(ctx, p.ID, body.Archived)
				return asStudent(record), err
			},
		),
		request.Make(
			"GET",
			"/api/students/:id/progress",
			"getProgress",
			"What a student did, and the next step",
			func(ctx context.Context, p request.ByID, _ request.None) (repository.Progress, error) {
				return s.Progress(ctx, p.ID)
			},
		),
		request.Make(
			"POST",
			"/api/students/:id/ladder-position",
			"setLadderPosition",
			"Put a student on a rung",
			func(ctx context.Context, p request.ByID, body repository.LadderPosition) (repository.Progress, error) {
				if _, err := s.Store.Students.Get(ctx, p.ID); err != nil {
					return repository.Progress{}, err
				}
				err := s.Store.SetLadderPosition(
					ctx,
					store.LadderPosition{Student: p.ID, Stroke: body.Stroke, Rung: body.Rung, At: s.Now()},
				)
				if err != nil {
					return repository.Progress{}, err
				}
				return s.Progress(ctx, p.ID)
			},
		),
	}
}
