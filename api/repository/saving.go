package repository

import (
	"context"

	"github.com/google/uuid"

	"hodometer/api/request"
	"hodometer/store"
)

// Archiving takes something out of the lists or brings it back.
type Archiving struct {
	Archived bool `json:"archived"`
}

// Checked is a document that knows its own rules.
type Checked interface{ Check() error }

// Save keeps a checked document, new or over the revision it builds on.
func Save[T Checked](
	ctx context.Context,
	collection store.Collection[T],
	p request.Keep,
	document T,
) (store.Record[T], error) {
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

// List reads a collection and turns every document into its answer.
func List[T, A any](
	ctx context.Context,
	collection store.Collection[T],
	withArchived bool,
	as func(store.Record[T]) A,
) ([]A, error) {
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

// Fresh makes so many identifiers.
func Fresh(n int) ([]string, error) {
	ids := make([]string, n)
	for i := range ids {
		id, err := uuid.NewV7()
		if err != nil {
			return nil, err
		}
		ids[i] = id.String()
	}
	return ids, nil
}
