package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"errors"
	"fmt"
	"strings"
)

// ErrTaken says that something else is kept under an identifier already.
var ErrTaken = errors.New("this identifier is taken")

// ErrStale says that a document was changed since the version that a change builds on.
var ErrStale = errors.New("changed meanwhile")

// ErrUnreadable says that a stored document cannot be read, though its text is there.
var ErrUnreadable = errors.New("cannot be read")

// Kept is a document on its shelf.
type Kept[T any] struct {
	ID       string
	Version  int64 // grows by one with every change
	Away     bool  // put away; it can be brought back
	Document T
}

// Shelf keeps the documents of one kind, each under its identifier with a version.
type Shelf[T any] struct {
	store *Store
	table string
}

// Create keeps a new document. Repeated with the same document, it returns what was kept the first
// time; with another document it fails with ErrTaken.
func (s Shelf[T]) Create(ctx context.Context, id string, document T) (Kept[T], error) {
	text, err := json.Marshal(document)
	if err != nil {
		return Kept[T]{}, err
	}
	err = s.store.in(ctx, func(tx *sql.Tx) error {
		var there string
		switch err := tx.QueryRowContext(ctx, "SELECT document FROM "+s.table+" WHERE id = ?", id).Scan(&there); {
		case errors.Is(err, sql.ErrNoRows):
			_, err := tx.ExecContext(ctx, "INSERT INTO "+s.table+" (id, version, document) VALUES (?, 1, ?)", id, string(text)) //nolint:gosec // the table's name is a constant of this package
			return err
		case err != nil:
			return err
		case there != string(text):
			return fmt.Errorf("%s %s: %w", s.table, id, ErrTaken)
		}
		return nil
	})
	if err != nil {
		return Kept[T]{}, err
	}
	return s.Get(ctx, id)
}

// Get returns one document, put away or not. The error wraps ErrNotFound or ErrUnreadable.
func (s Shelf[T]) Get(ctx context.Context, id string) (Kept[T], error) {
	list, err := s.query(ctx, "WHERE id = ?", id)
	if err != nil {
		return Kept[T]{}, err
	}
	if len(list) == 0 {
		return Kept[T]{}, fmt.Errorf("%s %s: %w", s.table, id, ErrNotFound)
	}
	return list[0].kept, list[0].err
}

// List returns all documents, or those not put away, in the order in which they came. Documents that cannot
// be read are left out; see Unreadable.
func (s Shelf[T]) List(ctx context.Context, withAway bool) ([]Kept[T], error) {
	all, err := s.query(ctx, "WHERE away = 0 OR ? ORDER BY id", withAway)
	good, _ := parted(all)
	return good, err
}

// Unreadable is a stored document that cannot be read.
type Unreadable struct {
	ID   string
	Text string // as it is stored
	Err  error
}

// Unreadable returns the documents that cannot be read, in the order in which they came.
func (s Shelf[T]) Unreadable(ctx context.Context) ([]Unreadable, error) {
	all, err := s.query(ctx, "WHERE away = 0 ORDER BY id")
	_, broken := parted(all)
	return broken, err
}

// Text returns a document as it is stored, readable or not.
func (s Shelf[T]) Text(ctx context.Context, id string) (string, error) {
	list, err := s.query(ctx, "WHERE id = ?", id)
	if err != nil {
		return "", err
	}
	if len(list) == 0 {
		return "", fmt.Errorf("%s %s: %w", s.table, id, ErrNotFound)
	}
	return list[0].text, nil
}

// Replace puts a new document in the place of the given version. It fails with ErrStale where that
// is no longer the newest; then nothing is changed. A replacement that is there already, because its answer
// was lost and it is sent again, is answered like the first time.
func (s Shelf[T]) Replace(ctx context.Context, id string, version int64, document T) (Kept[T], error) {
	text, err := json.Marshal(document)
	if err != nil {
		return Kept[T]{}, err
	}
	kept, err := s.change(ctx, id, "UPDATE "+s.table+" SET document = ?, version = version + 1 WHERE id = ? AND version = ?", string(text), id, version)
	if errors.Is(err, ErrStale) {
		if there, readErr := json.Marshal(kept.Document); readErr == nil && string(there) == string(text) {
			return kept, nil
		}
	}
	return kept, err
}

// PutAway takes a document out of the lists, or brings it back.
func (s Shelf[T]) PutAway(ctx context.Context, id string, away bool) (Kept[T], error) {
	return s.change(ctx, id, "UPDATE "+s.table+" SET away = ?, version = version + 1 WHERE id = ?", away, id)
}

// Erase removes a document, and all that hangs on it, for good.
func (s Shelf[T]) Erase(ctx context.Context, id string) error {
	if _, err := s.Text(ctx, id); err != nil {
		return err
	}
	_, err := s.store.write.ExecContext(ctx, "DELETE FROM "+s.table+" WHERE id = ?", id) //nolint:gosec // the table's name is a constant of this package
	return err
}

func (s Shelf[T]) change(ctx context.Context, id, statement string, args ...any) (Kept[T], error) {
	result, err := s.store.write.ExecContext(ctx, statement, args...)
	if err != nil {
		return Kept[T]{}, err
	}
	n, err := result.RowsAffected()
	if err != nil {
		return Kept[T]{}, err
	}
	kept, err := s.Get(ctx, id)
	if err == nil && n == 0 {
		err = fmt.Errorf("%s %s: %w", s.table, id, ErrStale)
	}
	return kept, err
}

// stored is a document as it was read from the file, or why it could not be.
type stored[T any] struct {
	kept Kept[T]
	text string
	err  error // wraps ErrUnreadable
}

// parted parts documents into those that could be read and the others.
func parted[T any](all []stored[T]) ([]Kept[T], []Unreadable) {
	good, broken := make([]Kept[T], 0, len(all)), []Unreadable{}
	for _, each := range all {
		if each.err != nil {
			broken = append(broken, Unreadable{ID: each.kept.ID, Text: each.text, Err: each.err})
			continue
		}
		good = append(good, each.kept)
	}
	return good, broken
}

func (s Shelf[T]) query(ctx context.Context, where string, args ...any) ([]stored[T], error) {
	scan := func(rows *sql.Rows) (stored[T], error) {
		var one stored[T]
		if err := rows.Scan(&one.kept.ID, &one.kept.Version, &one.kept.Away, &one.text); err != nil {
			return one, err
		}
		// A word that is not known here would be lost with the next change.
		words := json.NewDecoder(strings.NewReader(one.text))
		words.DisallowUnknownFields()
		if err := words.Decode(&one.kept.Document); err != nil {
			one.err = fmt.Errorf("%s %s %w: %w", s.table, one.kept.ID, ErrUnreadable, err)
		}
		return one, nil
	}
	return collect(ctx, s.store.read, scan, "SELECT id, version, away, document FROM "+s.table+" "+where, args...)
}
