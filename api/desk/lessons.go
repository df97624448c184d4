package desk

import (
	"context"

	"hodometer/api/repository"
	"hodometer/api/request"
	"hodometer/core/lesson"
	"hodometer/core/lesson/plan"
	"hodometer/core/lesson/template"
)

func (s *Desk) lessonRoutes() []request.Route {
	return []request.Route{
		request.Make("GET", "/api/lessons", "listLessons", "The lessons around today", s.diary),
		request.Make(
			"GET",
			"/api/lessons/week",
			"listWeek",
			"The lessons of a week, and which weeks have lessons before and after it",
			s.week,
		),
		request.Make(
			"GET",
			"/api/lessons/:id",
			"getLesson",
			"One lesson on the clock",
			func(ctx context.Context, p request.ByID, _ request.None) (plan.Lesson, error) {
				record, err := s.Store.Lessons.Get(ctx, p.ID)
				if err != nil {
					return plan.Lesson{}, err
				}
				return s.Lesson(ctx, record)
			},
		),
		request.Make(
			"PUT",
			"/api/lessons/:id",
			"saveLesson",
			"Add or change a lesson",
			func(ctx context.Context, p request.Keep, body lesson.Document) (plan.Lesson, error) {
				record, err := repository.Save(ctx, s.Store.Lessons, p, body)
				if err != nil {
					return plan.Lesson{}, err
				}
				return s.Lesson(ctx, record)
			},
		),
		request.Make(
			"PUT",
			"/api/lessons/:id/archived",
			"archiveLesson",
			"Archive a lesson, or bring it back",
			func(ctx context.Context, p request.ByID, body repository.Archiving) (plan.Lesson, error) {
				record, err := s.Store.Lessons.Archive(ctx, p.ID, body.Archived)
				if err != nil {
					return plan.Lesson{}, err
				}
				return s.Lesson(ctx, record)
			},
		),
		request.Make("GET", "/api/lessons/offers", "listOffers", "What can be put into a lesson, looked for in one "+
			"place", s.offers).
			Anew(),
		request.Make(
			"GET",
			"/api/lessons/templates",
			"listTemplates",
			"The shapes of lessons",
			func(context.Context, request.None, request.None) ([]template.Template, error) {
				return template.Templates(), nil
			},
		),
		request.Make("POST", "/api/lessons/begin", "beginLesson", "A lesson to begin with, without saving it", s.begin),
		request.Make(
			"POST",
			"/api/lessons/fill",
			"fillLesson",
			"Fill a lesson from a template with drills for its students' next steps, without saving it",
			s.fill,
		),
		request.Make(
			"POST",
			"/api/lessons/edit",
			"editLesson",
			"Do one thing to a lesson and fit the rest, without saving it",
			s.editLesson,
		),
		request.Make(
			"POST",
			"/api/lessons/propose",
			"proposeVariant",
			"What would suit one student in one drill of a lesson",
			s.propose,
		),
		request.Make(
			"POST",
			"/api/lessons/courts",
			"planCourts",
			"Where everything stands in a lesson, and in which order it is walked off",
			s.courts,
		),
		request.Make(
			"POST",
			"/api/lessons/preview",
			"previewLesson",
			"Schedule a lesson without saving it",
			func(ctx context.Context, _ request.None, body lesson.Document) (plan.Plan, error) {
				in, err := s.Rated(ctx, "", body)
				if err != nil {
					return plan.Plan{}, err
				}
				return repository.Planned(ctx, body, in)
			},
		),
		request.Make(
			"POST",
			"/api/lessons/:id/clashes",
			"findClashes",
			"Which other lessons a lesson would overlap with, without saving it",
			func(ctx context.Context, p request.ByID, body lesson.Document) ([]string, error) {
				in, err := s.Inputs(ctx, body)
				if err != nil {
					return nil, err
				}
				return s.Clashes(ctx, p.ID, body, in)
			},
		),
		request.Make(
			"POST",
			"/api/lessons/:id/copies",
			"copyLesson",
			"Copy a lesson to another day, or to the same day of some weeks; the same copies may be asked for again",
			s.copies,
		),
		request.Make(
			"GET",
			"/api/lessons/:id/sheet",
			"getSheet",
			"The run sheet of a lesson with the courts of its drills",
			s.sheet,
		),
		request.Make(
			"POST",
			"/api/lessons/:id/next",
			"proposeNext",
			"The next lesson of the same students, a week later, with drills for their next steps, without saving it",
			s.next,
		),
	}
}
