package store

import (
	"context"
	"database/sql"
	"errors"
	"fmt"

	"hodometer/core/exchange/sharing"
	"hodometer/core/people/progress"
)

// written is at which step of the file's own history the formats of documents stood: a document of a format is put into
// a file of that step, and goes the way that files go.
var written = map[sharing.Kind]map[int]int64{
	sharing.Drill:  {1: 1, 2: 7, 3: 10},
	sharing.Lesson: {1: 3, 2: 7, 3: 10},
}

// BringUp brings a document of an earlier format up to the current one, as files are brought up. It fails where the
// format was never written.
func BringUp(ctx context.Context, p sharing.Piece) (text []byte, err error) {
	step, known := written[p.Hodometer][p.Version()]
	if !known {
		return nil, fmt.Errorf("there was never a %s of format %d", p.Hodometer, p.Version())
	}
	db, err := sql.Open("sqlite", ":memory:")
	if err != nil {
		return nil, err
	}
	defer func() { err = errors.Join(err, db.Close()) }()
	db.SetMaxOpenConns(1)
	provider, err := migrator(db)
	if err != nil {
		return nil, err
	}
	if _, err := provider.UpTo(ctx, step); err != nil {
		return nil, err
	}
	revision := "revision"
	if step < 7 {
		revision = "version"
	}
	table := string(p.Hodometer)
	//nolint:gosec // the kinds are constants
	insert := "INSERT INTO " + table + " (id, " + revision + ", document) VALUES ('it', 1, ?)"
	if _, err := db.ExecContext(ctx, insert, string(p.Document)); err != nil {
		return nil, err
	}
	if _, err := provider.Up(ctx); err != nil {
		return nil, err
	}
	var document string
	err = db.QueryRowContext(ctx, "SELECT document FROM "+table+" WHERE id = 'it'").Scan(&document)
	return []byte(document), err
}

// Brought is a document that comes in.
type Brought struct {
	Kind     sharing.Kind
	ID       string
	Revision int64 // that it replaces; 0: it is new
	Text     []byte
	Ladder   *progress.Ladders // of a student, whose identifier is that; nil for a document of its own
}

// BringIn stores documents that come in, all of them or none. It fails with ErrTaken where one that is new is there
// already, and with ErrStale where one that is replaced was changed meanwhile.
func (s *Store) BringIn(ctx context.Context, all []Brought) error {
	return s.in(ctx, func(tx *sql.Tx) error {
		for _, b := range all {
			if b.Ladder != nil {
				if err := bringLadder(ctx, tx, b.ID, *b.Ladder); err != nil {
					return err
				}
				continue
			}
			table := string(b.Kind)
			//nolint:gosec // the kinds are constants
			statement := "INSERT INTO " + table + " (id, revision, document) VALUES (?, 1, ?) ON CONFLICT DO NOTHING"
			args, failed := []any{b.ID, string(b.Text)}, ErrTaken
			if b.Revision > 0 {
				statement = "UPDATE " + table + " SET document = ?, revision = revision + 1, archived = 0 " +
					"WHERE id = ? AND revision = ?"
				args, failed = []any{string(b.Text), b.ID, b.Revision}, ErrStale
			}
			result, err := tx.ExecContext(ctx, statement, args...) //nolint:gosec // the kinds are constants
			if err != nil {
				return err
			}
			if n, err := result.RowsAffected(); err != nil || n == 0 {
				return errors.Join(err, fmt.Errorf("%s %s: %w", b.Kind, b.ID, failed))
			}
		}
		return nil
	})
}

// bringLadder keeps the rungs that a student came to somewhere else. What is kept of the same moment stays.
func bringLadder(ctx context.Context, tx *sql.Tx, student string, l progress.Ladders) error {
	for _, r := range l.Reached {
		if _, err := tx.ExecContext(
			ctx,
			"INSERT INTO ladder_position (student, stroke, at, rung) VALUES (?, ?, ?, ?) ON CONFLICT DO NOTHING",
			student,
			r.Stroke,
			writeTime(r.At),
			r.Rung,
		); err != nil {
			return err
		}
	}
	return nil
}
