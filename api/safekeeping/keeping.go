package safekeeping

import (
	"cmp"
	"context"
	"errors"
	"io/fs"
	"net/http"
	"time"

	"hodometer/api/request"
	"hodometer/core/basics/invalid"
	"hodometer/keeping"
	"hodometer/store"
)

// KeepingPath is where the safe copies are asked for.
const KeepingPath = "/api/keeping"

// SafeCopies is what is known of the safe copies.
type SafeCopies struct {
	File   string     `json:"file" description:"Where everything is kept"`
	Folder string     `json:"folder" description:"Where the copies are"`
	Usual  bool       `json:"usual" description:"It is the usual folder"`
	Daily  bool       `json:"daily" description:"A copy is made every day; a demo’s is not"`
	Host   string     `json:"host" description:"What this machine is called"`
	Copies []SafeCopy `json:"copies" description:"The newest first; each of them was looked at when it was made"`
	Wrong  string     `json:"wrong" description:"Why the last copy could not be made; empty where it was"`
}

// SafeCopy is a safe copy.
type SafeCopy struct {
	Name  string      `json:"name"`
	At    time.Time   `json:"at"`
	Why   keeping.Why `json:"why"`
	Host  string      `json:"host" description:"The machine that made it"`
	Bytes int64       `json:"bytes"`
}

// Folder is where safe copies are to be.
type Folder struct {
	Folder string `json:"folder" maxLength:"1000" description:"The whole path; empty for the usual one"`
}

// NamedCopy is the name of a safe copy.
type NamedCopy struct {
	Name string `json:"name" minLength:"1" maxLength:"300"`
}

// RestoredCopy says what was restored.
type RestoredCopy struct {
	Students int    `json:"students"`
	Lessons  int    `json:"lessons"`
	Kept     string `json:"kept" description:"Where what was there before is"`
}

func (s *Safekeeping) keepingRoutes() []request.Route {
	return []request.Route{
		request.Make("GET", KeepingPath, "getKeeping", "Safe copies",
			func(context.Context, request.None, request.None) (SafeCopies, error) { return s.kept(), nil }).
			Anew().
			ForTheCoach(),
		request.Make("POST", KeepingPath+"/copies", "makeCopy", "Make a safe copy now",
			func(ctx context.Context, _ request.None, _ request.None) (SafeCopies, error) {
				if _, err := s.Keeper.Make(ctx, keeping.OnDemand); err != nil {
					return SafeCopies{}, request.Refusal(http.StatusConflict, err.Error())
				}
				return s.kept(), nil
			}).
			ForTheCoach(),
		request.Make("PUT", KeepingPath+"/folder", "chooseFolder", "Have safe copies made in another folder",
			func(_ context.Context, _ request.None, body Folder) (SafeCopies, error) {
				if err := keeping.Choose(s.Keeper.Data, body.Folder); err != nil {
					return SafeCopies{}, invalid.Fields{{Path: "folder", Message: err.Error()}}
				}
				return s.kept(), nil
			}).
			ForTheCoach(),
		request.Make("POST", KeepingPath+"/restore", "restoreCopy", "Put a safe copy in the place of what is there; that "+
			"is kept as a copy", s.restore).
			ForTheCoach(),
	}
}

func (s *Safekeeping) kept() SafeCopies {
	copies := s.Keeper.Copies()
	list, err := copies.List()
	k := SafeCopies{
		File:   s.Keeper.Data,
		Folder: copies.Folder,
		Usual:  !copies.Chosen,
		Daily:  s.Keeper.Daily,
		Host:   copies.Host,
		Copies: []SafeCopy{},
		Wrong:  s.Keeper.Wrong(),
	}
	for _, one := range list {
		k.Copies = append(k.Copies, SafeCopy(one))
	}
	if err != nil {
		k.Wrong = cmp.Or(k.Wrong, err.Error())
	}
	return k
}

func (s *Safekeeping) restore(ctx context.Context, _ request.None, body NamedCopy) (RestoredCopy, error) {
	done, err := s.Keeper.Restore(ctx, body.Name)
	switch {
	case errors.Is(err, fs.ErrNotExist):
		return RestoredCopy{}, request.Refusal(http.StatusNotFound, "This copy is not there any more.")
	case errors.Is(err, store.ErrDamaged), errors.Is(err, store.ErrNewer), errors.Is(err, store.ErrForeign):
		return RestoredCopy{}, request.Refusal(
			http.StatusConflict,
			"This copy cannot be restored: "+err.Error()+". Nothing was changed.",
		)
	case err != nil:
		return RestoredCopy{}, err
	}
	return RestoredCopy{Students: done.Health.Students, Lessons: done.Health.Lessons, Kept: done.Kept}, nil
}
