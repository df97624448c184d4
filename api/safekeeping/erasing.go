package safekeeping

import (
	"context"
	"net/http"
	"time"

	"hodometer/api/door"
	"hodometer/api/request"
)

func (s *Safekeeping) erasingRoutes() []request.Route {
	return []request.Route{
		request.Make("GET", "/api/students/:id/copies", "listCopiesOf", "Safe copies that hold a student", s.copiesOf).
			Anew().
			ForTheCoach(),
		request.Make(
			"DELETE",
			"/api/students/:id",
			"eraseStudent",
			"Erase a student and all that was counted, for good",
			s.eraseStudent,
		),
	}
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
func (s *Safekeeping) copiesOf(ctx context.Context, p request.ByID, _ request.None) ([]SafeCopy, error) {
	holding, err := s.Keeper.Copies().Holding(ctx, p.ID)
	list := []SafeCopy{}
	for _, one := range holding {
		list = append(list, SafeCopy(one))
	}
	return list, err
}

// eraseStudent erases a student, here and where that is wished in the safe copies, and says which copies still hold
// them.
func (s *Safekeeping) eraseStudent(ctx context.Context, p erasing, _ request.None) (Gone, error) {
	copies := s.Keeper.Copies()
	changes := p.Copies == CopiesErased || p.Copies == CopiesDelete
	if changes && door.At(ctx) != door.FromMachine {
		return Gone{}, request.Refusal(http.StatusForbidden, "Safe copies are seen to at the coach’s own machine only.")
	}
	holding, err := copies.Holding(ctx, p.ID)
	if err != nil && changes {
		return Gone{}, request.Refusal(http.StatusConflict, err.Error())
	}
	if err := s.Store.EraseStudent(ctx, p.ID); err != nil {
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
