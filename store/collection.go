package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"errors"
	"fmt"
	"strings"
)

// ErrTaken says that something else is stored under an identifier already.
var ErrTaken = errors.New("this identifier is taken")

// ErrStale says that a document was changed since the revision that a change builds on.
var ErrStale = errors.New("changed meanwhile")

// ErrUnreadable says that a stored document cannot be read, though its text is there.
var ErrUnreadable = errors.New("cannot be read")

// Record is a stored document with its identifier and revision.
type Record[T any] struct {
	ID       string
	Revision int64 // grows by one with every change
	Archived bool  // out of the lists; it can be brought back
	Document T
}

// Collection stores the documents of one kind, each under its identifier with a revision.
type Collection[T any] struct {
	store *Store
	table string
}

// Create stores a new document. Repeated with the same document, it returns what was stored the first
// time; with another document it fails with ErrTaken.
func (c Collection[T]) Create(ctx context.Context, id string, document T) (Record[T], error) {
	text, err := json.Marshal(document)
	if err != nil {
		return Record[T]{}, err
	}
	err = c.store.in(ctx, func(tx *sql.Tx) error {
		var there string
		switch err := tx.QueryRowContext(ctx, "SELECT document FROM "+c.table+" WHERE id = ?", id).Scan(&there); {
		case errors.Is(err, sql.ErrNoRows):
			//nolint:gosec // the table's name is a constant of this package
			insert := "INSERT INTO " + c.table + " (id, revision, document) VALUES (?, 1, ?)"
			_, err := tx.ExecContext(ctx, insert, id, string(text))
			return err
		case err != nil:
			return err
		case there != string(text):
			return fmt.Errorf("%s %s: %w", c.table, id, ErrTaken)
		}
		return nil
	})
	if err != nil {
		return Record[T]{}, err
	}
	return c.Get(ctx, id)
}

// Get returns one document, archived or not. The error wraps ErrNotFound or ErrUnreadable.
func (c Collection[T]) Get(ctx context.Context, id string) (Record[T], error) {
	return c.get(ctx, c.store.read, id)
}

func (c Collection[T]) get(ctx context.Context, db querier, id string) (Record[T], error) {
	list, err := c.query(ctx, db, "WHERE id = ?", id)
	if err != nil {
		return Record[T]{}, err
	}
	if len(list) == 0 {
		return Record[T]{}, fmt.Errorf("%s %s: %w", c.table, id, ErrNotFound)
	}
	return list[0].record, list[0].err
}

// Some returns the documents of a list of identifiers, archived or not, by their identifiers. Those that are not there,
// or cannot be read, are missing.
func (c Collection[T]) Some(ctx context.Context, ids []string) (map[string]Record[T], error) {
	if len(ids) == 0 {
		return map[string]Record[T]{}, nil
	}
	all, err := c.query(ctx, c.store.read, "WHERE id IN (SELECT value FROM json_each(?))", asList(ids))
	good, _ := split(all)
	some := make(map[string]Record[T], len(good))
	for _, record := range good {
		some[record.ID] = record
	}
	return some, err
}

// List returns all documents, or those not archived, in the order in which they came. Documents that cannot
// be read are left out; see Unreadable.
func (c Collection[T]) List(ctx context.Context, withArchived bool) ([]Record[T], error) {
	all, err := c.query(ctx, c.store.read, "WHERE archived = 0 OR ? ORDER BY id", withArchived)
	good, _ := split(all)
	return good, err
}

// Revisions returns which revision of each document is the newest, and whether it is archived.
func (c Collection[T]) Revisions(ctx context.Context) (map[string]Revision, error) {
	//nolint:gosec // the table's name is a constant of this package
	rows, err := c.store.read.QueryContext(ctx, "SELECT id, revision, archived FROM "+c.table)
	if err != nil {
		return nil, err
	}
	defer rows.Close() //nolint:errcheck // only read
	all := map[string]Revision{}
	for rows.Next() {
		var id string
		var r Revision
		if err := rows.Scan(&id, &r.Number, &r.Archived); err != nil {
			return nil, err
		}
		all[id] = r
	}
	return all, rows.Err()
}

// Revision is where a stored document stands.
type Revision struct {
	Number   int64
	Archived bool
}

// Unreadable is a stored document that cannot be read.
type Unreadable struct {
	ID   string
	Text string // as it is stored
	Err  error
}

// Unreadable returns the documents that cannot be read, in the order in which they came.
func (c Collection[T]) Unreadable(ctx context.Context) ([]Unreadable, error) {
	all, err := c.query(ctx, c.store.read, "WHERE archived = 0 ORDER BY id")
	_, broken := split(all)
	return broken, err
}

// Text returns a document as it is stored, readable or not.
func (c Collection[T]) Text(ctx context.Context, id string) (string, error) {
	list, err := c.query(ctx, c.store.read, "WHERE id = ?", id)
	if err != nil {
		return "", err
	}
	if len(list) == 0 {
		return "", fmt.Errorf("%s %s: %w", c.table, id, ErrNotFound)
	}
	return list[0].text, nil
}

// Replace puts a new document in the place of the given revision. It fails with ErrStale where that
// is no longer the newest; then nothing is changed. A replacement that is there already, because its answer
// was lost and it is sent again, is answered like the first time.
func (c Collection[T]) Replace(ctx context.Context, id string, revision int64, document T) (Record[T], error) {
	text, err := json.Marshal(document)
	if err != nil {
		return Record[T]{}, err
	}
	record, err := c.update(
		ctx,
		id,
		"UPDATE "+c.table+" SET document = ?, revision = revision + 1 WHERE id = ? AND revision = ?",
		string(text),
		id,
		revision,
	)
	if errors.Is(err, ErrStale) {
		if there, readErr := json.Marshal(record.Document); readErr == nil && string(there) == string(text) {
			return record, nil
		}
	}
	return record, err
}

// Archive takes a document out of the lists, or brings it back.
func (c Collection[T]) Archive(ctx context.Context, id string, archived bool) (Record[T], error) {
	return c.update(ctx, id, "UPDATE "+c.table+" SET archived = ?, revision = revision + 1 WHERE id = ?", archived, id)
}

// Erase removes a document, and all that hangs on it, for good.
func (c Collection[T]) Erase(ctx context.Context, id string) error {
	if _, err := c.Text(ctx, id); err != nil {
		return err
	}
	_, err := c.store.exec(
		ctx,
		"DELETE FROM "+c.table+" WHERE id = ?",
		id,
	) //nolint:gosec // the table's name is a constant of this package
	return err
}

func (c Collection[T]) update(ctx context.Context, id, statement string, args ...any) (Record[T], error) {
	result, err := c.store.exec(ctx, statement, args...)
	if err != nil {
		return Record[T]{}, err
	}
	n, err := result.RowsAffected()
	if err != nil {
		return Record[T]{}, err
	}
	record, err := c.Get(ctx, id)
	if err == nil && n == 0 {
		err = fmt.Errorf("%s %s: %w", c.table, id, ErrStale)
	}
	return record, err
}

// row is a document as it was read from the file, or why it could not be.
type row[T any] struct {
	record Record[T]
	text   string
	err    error // wraps ErrUnreadable
}

// split parts documents into those that could be read and the others.
func split[T any](all []row[T]) ([]Record[T], []Unreadable) {
	good, broken := make([]Record[T], 0, len(all)), []Unreadable{}
	for _, each := range all {
		if each.err != nil {
			broken = append(broken, Unreadable{ID: each.record.ID, Text: each.text, Err: each.err})
			continue
		}
		good = append(good, each.record)
	}
	return good, broken
}

func (c Collection[T]) query(ctx context.Context, db querier, where string, args ...any) ([]row[T], error) {
	scan := func(rows *sql.Rows) (row[T], error) {
		var one row[T]
		if err := rows.Scan(&one.record.ID, &one.record.Revision, &one.record.Archived, &one.text); err != nil {
			return one, err
		}
		// A word that is not known here would be lost with the next change.
		decoder := json.NewDecoder(strings.NewReader(one.text))
		decoder.DisallowUnknownFields()
		if err := decoder.Decode(&one.record.Document); err != nil {
			one.err = fmt.Errorf("%s %s %w: %w", c.table, one.record.ID, ErrUnreadable, err)
		}
		return one, nil
	}
	return collect(ctx, db, scan, "SELECT id, revision, archived, document FROM "+c.table+" "+where, args...)
}
