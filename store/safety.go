package store

import (
	"bytes"
	"context"
	"database/sql"
	"errors"
	"fmt"
	"io"
	"io/fs"
	"os"
	"path/filepath"
	"slices"
	"syscall"

	"hodometer/internal/partial"

	"modernc.org/sqlite"
	sqlite3 "modernc.org/sqlite/lib"
)

// What is wrong with a file that cannot be used as it is.
var (
	ErrDamaged = errors.New("the file is damaged")
	ErrNewer   = errors.New("the file was written by a newer Hodometer")
	ErrForeign = errors.New("the file is no file of Hodometer")
	ErrAccess  = errors.New("the file cannot be read or written where it is")
	ErrMoved   = errors.New("the file was moved or replaced while Hodometer runs")
)

// Health is what is known of a file that was looked at, and is sound.
type Health struct {
	Format   int64 `json:"format"` // how far the file's own history is
	Students int   `json:"students"`
	Drills   int   `json:"drills"`
	Lessons  int   `json:"lessons"`
	Games    int   `json:"games"`
	Counts   int   `json:"counts"`
}

// How thoroughly a file is looked at.
const (
	Quickly = "quick_check"     // that its pages hold together
	Wholly  = "integrity_check" // and that its indexes and references are right
)

// Examine looks at a file without writing to it. Its error wraps ErrDamaged, ErrNewer or ErrForeign where the file
// cannot be used, and fs.ErrNotExist where there is none.
func Examine(ctx context.Context, path, how string) (h Health, err error) {
	info, err := os.Stat(path)
	switch {
	case err != nil:
		return h, err
	case !info.Mode().IsRegular():
		return h, fmt.Errorf("%w: it is no file", ErrAccess)
	}
	db, err := onlyRead(path)
	if err != nil {
		return h, err
	}
	defer func() { err = errors.Join(err, db.Close()) }()
	found, err := collect(
		ctx,
		db,
		func(rows *sql.Rows) (line string, err error) { return line, rows.Scan(&line) },
		"PRAGMA "+how+"(10)",
	)
	switch {
	case ctx.Err() != nil:
		return h, ctx.Err()
	case err != nil:
		return h, fmt.Errorf("%w: %w", whyUnusable(path, err), err)
	case !slices.Equal(found, []string{"ok"}):
		return h, fmt.Errorf("%w: %s", ErrDamaged, found[0])
	}
	if how == Wholly {
		strays, err := collect(ctx, db, func(rows *sql.Rows) (table string, err error) {
			var row, parent, index any
			return table, rows.Scan(&table, &row, &parent, &index)
		}, "PRAGMA foreign_key_check")
		if ctx.Err() != nil {
			return h, ctx.Err()
		}
		if err != nil || len(strays) > 0 {
			return h, errors.Join(
				err,
				fmt.Errorf("%w: something in it belongs to nothing (%s)", ErrDamaged, slices.Compact(strays)),
			)
		}
	}
	if h.Format, err = formatOf(ctx, db); err != nil {
		return h, err
	}
	for table, n := range map[string]*int{"student": &h.Students, "drill": &h.Drills, "lesson": &h.Lessons,
		"played": &h.Games, "ball": &h.Counts} {
		_ = db.QueryRowContext(ctx, "SELECT count(*) FROM "+table).
			Scan(n)
		//nolint:gosec // constants; a table that an older file has not is not counted
	}
	return h, ctx.Err()
}

// whyUnusable tells apart what is the matter with a file that SQLite does not read: it is somewhere where it cannot be
// read, it never was a file of Hodometer, or it is damaged.
func whyUnusable(path string, err error) error {
	var known *sqlite.Error
	if !errors.As(err, &known) {
		return ErrDamaged
	}
	switch known.Code() & 0xff {
	case sqlite3.SQLITE_CANTOPEN,
		sqlite3.SQLITE_PERM,
		sqlite3.SQLITE_READONLY,
		sqlite3.SQLITE_AUTH,
		sqlite3.SQLITE_BUSY,
		sqlite3.SQLITE_LOCKED:
		return ErrAccess
	case sqlite3.SQLITE_NOTADB:
		if !wasOurs(path) {
			return ErrForeign
		}
	}
	return ErrDamaged
}

// wasOurs says whether the beginning of a file, spoilt or not, has in it what every file of Hodometer begins with.
func wasOurs(path string) bool {
	file, err := os.Open(path) //nolint:gosec // the coach's own choice
	if err != nil {
		return false
	}
	defer func() { _ = file.Close() }()
	begins := make([]byte, 256<<10)
	n, _ := io.ReadFull(file, begins) // a short file is looked at whole
	return bytes.Contains(begins[:n], []byte("goose_db_version"))
}

// onlyRead opens a file without ever writing to it, nor beside it: a file without its log is used by nobody, since
// whoever opens one to write begins with its log.
func onlyRead(path string) (*sql.DB, error) {
	query := "mode=ro&_pragma=busy_timeout(5000)"
	if _, err := os.Stat(path + "-wal"); errors.Is(err, fs.ErrNotExist) {
		query += "&immutable=1"
	}
	db, err := sql.Open("sqlite", located(path, query))
	if err == nil {
		db.SetMaxOpenConns(1)
	}
	return db, err
}

// formatAt is how far the history of the file at a path is; 0 where there is none, or an empty one.
func formatAt(ctx context.Context, path string) (format int64, err error) {
	if info, err := os.Stat(path); err != nil || info.Size() == 0 {
		return 0, nil //nolint:nilerr // none yet
	}
	db, err := onlyRead(path)
	if err != nil {
		return 0, err
	}
	defer func() { err = errors.Join(err, db.Close()) }()
	format, err = formatOf(ctx, db)
	if known := (*sqlite.Error)(nil); errors.As(err, &known) {
		err = fmt.Errorf("%w: %w", whyUnusable(path, err), err)
	}
	return format, err
}

// formatOf is how far a file's own history is; 0 for an empty one. Its error wraps ErrNewer or ErrForeign.
func formatOf(ctx context.Context, db querier) (int64, error) {
	tables, err := tableNames(ctx, db)
	if err != nil || len(tables) == 0 {
		return 0, err
	}
	if !slices.Contains(tables, "goose_db_version") {
		return 0, ErrForeign
	}
	steps, err := collect(
		ctx,
		db,
		func(rows *sql.Rows) (step int64, err error) { return step, rows.Scan(&step) },
		"SELECT coalesce(max(version_id), 0) FROM goose_db_version WHERE is_applied",
	)
	if err != nil {
		return 0, err
	}
	if steps[0] > Format() {
		return steps[0], fmt.Errorf("%w (format %d; this one knows %d)", ErrNewer, steps[0], Format())
	}
	return steps[0], nil
}

// Format is how far the history of a file goes that this program writes.
func Format() int64 { return newest() }

// CopyTo writes a copy of the open file while it is used, looks at it, and only then gives it its name. Nothing that is
// there already is written over: the error wraps fs.ErrExist. It can be cancelled, and nobody who reads or writes waits
// for it.
func (s *Store) CopyTo(ctx context.Context, path string) error { return copyTo(ctx, s.path, path) }

// CopyFile is the same of a file that is not open, or open somewhere else. Nothing is written to the file.
func CopyFile(ctx context.Context, from, path string) error {
	if _, err := Examine(ctx, from, Quickly); err != nil {
		return err
	}
	return copyTo(ctx, from, path)
}

// InUse says whether another program has a file open. One that is not sound is not asked: to ask is to write.
func InUse(ctx context.Context, path string) (bool, error) {
	if _, err := Examine(ctx, path, Quickly); err != nil {
		return false, nil //nolint:nilerr // there is none, or one that must not be touched
	}
	db, err := sql.Open("sqlite", located(path, "mode=rw&_pragma=locking_mode(EXCLUSIVE)"))
	if err != nil {
		return false, err
	}
	db.SetMaxOpenConns(1)
	// Nobody gets a file for themselves that somebody else has open.
	_, err = db.ExecContext(ctx, "BEGIN EXCLUSIVE; COMMIT")
	var known *sqlite.Error
	if errors.As(err, &known) {
		err = nil // whatever else is wrong with it is told by those who read it
	}
	return known != nil && known.Code()&0xff == sqlite3.SQLITE_BUSY, errors.Join(err, db.Close())
}

func copyTo(ctx context.Context, from, path string) (err error) {
	db, err := onlyRead(from)
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, db.Close()) }()
	if _, err := os.Lstat(path); err == nil {
		return fmt.Errorf("%s: %w", path, fs.ErrExist)
	}
	folder, err := partial.Folder(filepath.Dir(path), partial.Copy)
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, os.RemoveAll(folder)) }()
	half := filepath.Join(folder, "half.db")
	if err := os.WriteFile(half, nil, 0o600); err != nil { // for its user only, like the file
		return err
	}
	if _, err := db.ExecContext(ctx, "VACUUM INTO ?", half); err != nil {
		return err
	}
	if err := markClosed(ctx, half); err != nil {
		return err
	}
	if _, err := Examine(ctx, half, Wholly); err != nil {
		return fmt.Errorf("the copy is not good: %w", err)
	}
	return partial.PutNew(half, path)
}

// accessTables say who is let in. What a copy says of that goes nowhere: who was taken out since stays out.
var accessTables = []string{"passphrase", "device", "session", "feed"}

// RestoreFrom puts what is in a copy in the place of what is in the open file, all of it or nothing, and up to date.
// The copy has to be a sound one; see Examine. Who is let in stays as it is in the open file. Whoever wants to write
// meanwhile waits: what was answered before is in what is kept by keep, what comes later is written to what was
// restored.
func (s *Store) RestoreFrom(ctx context.Context, path string, keep func() error) (err error) {
	defer s.writes.Add(1)
	conn, err := s.write.Conn(ctx) // the only one
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, conn.Close()) }()
	if err := keep(); err != nil {
		return err
	}
	folder, err := partial.Folder(filepath.Dir(s.path), partial.Copy)
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, os.RemoveAll(folder)) }()
	prepared := filepath.Join(folder, "restored.db")
	if err := CopyFile(ctx, path, prepared); err != nil {
		return fmt.Errorf("restore %s: %w", path, err)
	}
	if err := WithAccessOf(ctx, prepared, s.path); err != nil {
		return fmt.Errorf("restore %s: %w", path, err)
	}
	err = conn.Raw(func(driver any) error {
		restoring, err := driver.(restorer).NewRestore(located(prepared, "mode=ro"))
		if err != nil {
			return err
		}
		_, err = restoring.Step(-1)
		return errors.Join(err, restoring.Finish())
	})
	if err == nil {
		_, err = conn.ExecContext(ctx, fmt.Sprintf("PRAGMA user_version = %d", inUse))
	}
	if err != nil {
		return fmt.Errorf("restore %s: %w", path, err)
	}
	return nil
}

// WithAccessOf brings a file up to date, and lets in who is let in by another file; empty: nobody, so that a new
// passphrase is asked for.
func WithAccessOf(ctx context.Context, path, of string) (err error) {
	open, err := Open(ctx, path, nil)
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, open.Close()) }()
	conn, err := open.write.Conn(ctx)
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, conn.Close()) }()
	if of != "" {
		if _, err := conn.ExecContext(ctx, "ATTACH ? AS here", located(of, "mode=ro")); err != nil {
			return err
		}
	}
	for _, table := range accessTables {
		if _, err := conn.ExecContext(ctx, "DELETE FROM main."+table); err != nil { //nolint:gosec // constants
			return err
		}
		if of == "" {
			continue
		}
		//nolint:gosec // constants
		if _, err := conn.ExecContext(ctx, "INSERT INTO main."+table+" SELECT * FROM here."+table); err != nil {
			return err
		}
	}
	if of != "" {
		if _, err := conn.ExecContext(ctx, "DETACH here"); err != nil {
			return err
		}
	}
	_, err = conn.ExecContext(ctx, "PRAGMA wal_checkpoint(TRUNCATE)")
	return err
}

// Settle has everything that was written in the file itself and nothing of what was erased beside it.
func (s *Store) Settle(ctx context.Context) error {
	_, err := s.write.ExecContext(ctx, "PRAGMA wal_checkpoint(TRUNCATE)")
	return err
}

// isThere fails where the file at the path is another one than the one that is open: what is written now would be gone
// with the old one.
func (s *Store) isThere() error {
	if s.opened == nil {
		return nil // it was not to be seen when it was opened
	}
	now, err := os.Stat(s.path)
	if err != nil || !os.SameFile(now, s.opened) {
		return fmt.Errorf("%s: %w", s.path, ErrMoved)
	}
	return nil
}

// DiskSays puts into words what a disk does not do, so that a coach can see to it; empty for all else.
func DiskSays(err error) string {
	const full = "The disk is full: make room on it."
	if errors.Is(err, syscall.ENOSPC) {
		return full
	}
	var known *sqlite.Error
	if !errors.As(err, &known) {
		return ""
	}
	switch known.Code() & 0xff {
	case sqlite3.SQLITE_FULL:
		return full
	case sqlite3.SQLITE_BUSY, sqlite3.SQLITE_LOCKED:
		return "Another program has the file locked: close it, or wait a moment."
	case sqlite3.SQLITE_READONLY, sqlite3.SQLITE_CANTOPEN, sqlite3.SQLITE_PERM:
		return "The file, or its folder, can only be read: see who may write there."
	case sqlite3.SQLITE_IOERR:
		return "The disk could not be read or written: see whether it is full, or still plugged in."
	}
	return ""
}
