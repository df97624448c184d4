package repository

import (
	"cmp"
	"context"
	"slices"
	"sync"
	"time"

	"hodometer/core/drill"
	"hodometer/core/drill/catalogue"
	"hodometer/core/drill/library"
	"hodometer/core/drill/load"
	"hodometer/core/drill/playerfit"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/store"
)

// drillIndex keeps the drills prepared for being found. Only what was changed since is read and prepared anew.
type drillIndex struct {
	mu       sync.Mutex
	writes   uint64
	settings int64
	read     bool
	known    map[string]indexed
	all      []catalogue.Entry
	levels   map[string]suited
}

type indexed struct {
	revision store.Revision
	entry    catalogue.Entry
}

// suited are the levels that a drill suits as it stood at a revision.
type suited struct {
	revision store.Revision
	levels   []student.Level
}

// onLevels is how long one question waits for the levels that drills suit. Those that are left are offered to whom they
// are written for, and worked out at the next questions.
const onLevels = 300 * time.Millisecond

// of returns all drills, the coach's own before the built-in ones, as they stand now.
func (x *drillIndex) of(ctx context.Context, from *store.Store) ([]catalogue.Entry, error) {
	writes := from.Writes()
	settings, revision, err := from.Settings(ctx)
	if err != nil {
		return nil, err
	}
	x.mu.Lock()
	defer x.mu.Unlock()
	if x.read && x.writes == writes {
		return x.all, nil
	}
	if x.known == nil || x.settings != revision {
		x.known, x.settings = map[string]indexed{}, revision
	}
	if x.levels == nil {
		x.levels = map[string]suited{}
	}
	stand, err := from.Drills.Revisions(ctx)
	if err != nil {
		return nil, err
	}
	var changed []string
	for id, r := range stand {
		if x.known[id].revision != r {
			changed = append(changed, id)
		}
	}
	records, err := from.Drills.Some(ctx, changed)
	if err != nil {
		return nil, err
	}
	left, until := false, time.Now().Add(onLevels)
	for id, record := range records {
		at := stand[id]
		levels, known, err := x.levelsOf(ctx, id, at, record.Document, until)
		if err != nil {
			return nil, err
		}
		if !known {
			left, at = true, store.Revision{} // it is asked for again
		}
		own := library.Stored{ID: id, Document: record.Document, Levels: levels}
		e := entry(id, false, record.Archived, own, settings)
		e.Revision = record.Revision
		x.known[id] = indexed{at, e}
	}
	x.all = x.all[:0:0]
	for id, own := range x.known {
		if _, there := stand[id]; there {
			x.all = append(x.all, own.entry)
		} else {
			delete(x.known, id)
			delete(x.levels, id)
		}
	}
	slices.SortFunc(x.all, func(a, b catalogue.Entry) int { return cmp.Compare(b.ID, a.ID) }) // the newest first
	for _, stored := range library.All() {
		e := entry(stored.ID, true, false, stored, settings)
		e.Revision = 1
		x.all = append(x.all, e)
	}
	x.writes, x.read = writes, !left
	return x.all, nil
}

// levelsOf are the levels that a drill suits as it stands; false where it is too late to work them out.
func (x *drillIndex) levelsOf(
	ctx context.Context,
	id string,
	at store.Revision,
	d drill.Document,
	until time.Time,
) ([]student.Level, bool, error) {
	if known, ok := x.levels[id]; ok && known.revision == at {
		return known.levels, true, nil
	}
	if time.Now().After(until) {
		return nil, false, nil
	}
	levels, err := playerfit.Suits(ctx, d)
	if err == nil {
		x.levels[id] = suited{at, levels}
	}
	return levels, err == nil, err
}

func entry(id string, builtIn, archived bool, d library.Stored, s coach.Settings) catalogue.Entry {
	minutes := schedule.ForDrill(id, d.Document, 1, load.Space{}, s).Minutes
	return catalogue.New(id, builtIn, archived, d.Document, minutes, d.Levels)
}

// Choice are the drills to choose from as they stand now, with the levels that they are offered to: those that are not
// archived, and of them the wanted ones.
func (s *Repository) Choice(ctx context.Context, wanted func(catalogue.Entry) bool) ([]library.Stored, error) {
	all, err := s.Index(ctx)
	if err != nil {
		return nil, err
	}
	var choice []library.Stored
	for _, e := range all {
		if !e.Archived && wanted(e) {
			choice = append(choice, library.Stored{ID: e.ID, Document: e.Document, Levels: e.Levels})
		}
	}
	return choice, nil
}

// Index is every drill as it is found, brought up to what is stored.
func (s *Repository) Index(ctx context.Context) ([]catalogue.Entry, error) {
	return s.index.of(ctx, s.Store)
}
