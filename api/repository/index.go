package repository

import (
	"cmp"
	"context"
	"slices"
	"sync"

	"hodometer/core/drill/catalogue"
	"hodometer/core/drill/library"
	"hodometer/core/drill/load"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/coach"
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
}

type indexed struct {
	revision store.Revision
	entry    catalogue.Entry
}

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
	for id, record := range records {
		e := entry(id, false, record.Archived, library.Stored{ID: id, Document: record.Document}, settings)
		e.Revision = record.Revision
		x.known[id] = indexed{stand[id], e}
	}
	x.all = x.all[:0:0]
	for id, own := range x.known {
		if _, there := stand[id]; there {
			x.all = append(x.all, own.entry)
		} else {
			delete(x.known, id)
		}
	}
	slices.SortFunc(x.all, func(a, b catalogue.Entry) int { return cmp.Compare(b.ID, a.ID) }) // the newest first
	for _, stored := range library.All() {
		e := entry(stored.ID, true, false, stored, settings)
		e.Revision = 1
		x.all = append(x.all, e)
	}
	x.writes, x.read = writes, true
	return x.all, nil
}

func entry(id string, builtIn, archived bool, d library.Stored, s coach.Settings) catalogue.Entry {
	return catalogue.New(id, builtIn, archived, d.Document, schedule.ForDrill(id, d.Document, 1, load.Space{}, s).Minutes)
}

// Index is every drill as it is found, brought up to what is stored.
func (s *Repository) Index(ctx context.Context) ([]catalogue.Entry, error) {
	return s.index.of(ctx, s.Store)
}
