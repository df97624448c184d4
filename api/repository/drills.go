package repository

import (
	"context"
	"net/http"

	"hodometer/api/request"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/report"
	"hodometer/core/people/coach"
	"hodometer/store"
)

// Drill is a drill on the list, built-in or a coach's own.
type Drill struct {
	ID       string         `json:"id"`
	Revision int64          `json:"revision"`
	Archived bool           `json:"archived" description:"Out of the lists; can be brought back"`
	BuiltIn  bool           `json:"builtIn" description:"Stays as it is; duplicate it to change it"`
	Document drill.Document `json:"document"`
	Report   *report.Report `json:"report" description:"For one right-hander; null where the document no longer makes sense"`
}

// Tag is the revision.
func (d Drill) Tag() int64 { return d.Revision }

// Worked adds the report to a drill.
func (d Drill) Worked(s coach.Settings) Drill {
	if report, err := report.Of(d.Document, 1, s); err == nil {
		d.Report = &report
	}
	return d
}

// AsDrill is a coach's own drill as it is answered.
func AsDrill(k store.Record[drill.Document]) Drill {
	return Drill{ID: k.ID, Revision: k.Revision, Archived: k.Archived, Document: k.Document}
}

// RefuseBuiltIn refuses to change a built-in drill.
func RefuseBuiltIn(id string) error {
	if _, builtIn := library.Find(id); builtIn {
		return request.Refusal(
			http.StatusForbidden,
			"A built-in drill stays as it is. Duplicate it and change your own version.",
		)
	}
	return nil
}

// Drill finds a drill, built-in or kept.
func (s *Repository) Drill(ctx context.Context, id string) (Drill, error) {
	if document, ok := library.Find(id); ok {
		return Drill{ID: id, Revision: 1, BuiltIn: true, Document: document}, nil
	}
	record, err := s.Store.Drills.Get(ctx, id)
	return AsDrill(record), err
}

// Drills are the coach's own drills and the built-in ones after them, without their reports.
func (s *Repository) Drills(ctx context.Context, withArchived bool) ([]Drill, error) {
	drills, err := List(ctx, s.Store.Drills, withArchived, AsDrill)
	for _, stored := range library.All() {
		drills = append(drills, Drill{ID: stored.ID, Revision: 1, BuiltIn: true, Document: stored.Document})
	}
	return drills, err
}
