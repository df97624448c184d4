// Package store keeps what a coach enters in one SQLite file. Nothing of the job is decided here.
package store

import (
	"context"
	"database/sql"
	"database/sql/driver"
	"embed"
	"encoding/json"
	"errors"
	"fmt"
	"io/fs"
	"net/url"
	"os"
	"sync"
	"sync/atomic"
	"time"

	"github.com/pressly/goose/v3"
	"modernc.org/sqlite" // the driver

	"hodometer/core/drill"
	"hodometer/core/game"
	"hodometer/core/lesson"
	"hodometer/core/people/student"
)

// ErrNotFound says that there is nothing under an identifier.
var ErrNotFound = errors.New("not found")

//go:embed migrations/*.sql
var migrations embed.FS

// Store is an open file. One connection writes; four read.
type Store struct {
	write, read *sql.DB
	opened      os.FileInfo // the file as it was opened
	path        string
	writes      atomic.Uint64

	Students Collection[student.Profile]
	Drills   Collection[drill.Document]
	Lessons  Collection[lesson.Document]
	Games    Collection[game.Document]
	Played   Collection[game.Match]
}

// Before is called before a file that is there is brought up to date, with how far its history is and what makes a copy
// of it. Where it fails, the file stays as it is.
type Before func(ctx context.Context, format int64, copyTo func(ctx context.Context, path string) error) error

// Open opens a file, making it where there is none, and brings its tables up to date, after calling before where that
// is not nil. The caller closes the store. The error wraps ErrNewer or ErrForeign where the file is none that can be
// opened.
func Open(ctx context.Context, path string, before Before) (*Store, error) {
	format, err := formatAt(ctx, path)
	if err != nil {
		return nil, fmt.Errorf("open %s: %w", path, err)
	}
	// What is in it is about people: a new file, and those that SQLite makes beside it, are for its user only.
	if file, err := os.OpenFile(path, os.O_CREATE|os.O_EXCL, 0o600); err == nil { //nolint:gosec // the coach's own choice
		_ = file.Close()
	}
	write, err := sql.Open(
		"sqlite",
		dsn(path, "_txlock=immediate", "_pragma=synchronous(FULL)", "_pragma=secure_delete(1)"),
	)
	if err != nil {
		return nil, fmt.Errorf("open %s: %w", path, err)
	}
	write.SetMaxOpenConns(1)
	s := &Store{write: write, path: path}
	if before != nil && format > 0 && format < Format() {
		err = before(ctx, format, s.CopyTo)
	}
	if err == nil {
		err = s.migrate(ctx)
	}
	if err != nil {
		return nil, errors.Join(fmt.Errorf("bring %s up to date: %w", path, err), write.Close())
	}
	read, err := sql.Open("sqlite", dsn(path, "_pragma=query_only(1)"))
	if err != nil {
		return nil, errors.Join(fmt.Errorf("open %s: %w", path, err), write.Close())
	}
	read.SetMaxOpenConns(4)
	s.read = read
	if err := s.mark(ctx, inUse); err != nil {
		return nil, errors.Join(fmt.Errorf("open %s: %w", path, err), s.read.Close(), write.Close())
	}
	if info, err := os.Stat(path); err == nil {
		s.opened = info
	}
	s.Students = Collection[student.Profile]{store: s, table: "student"}
	s.Drills = Collection[drill.Document]{store: s, table: "drill"}
	s.Lessons = Collection[lesson.Document]{store: s, table: "lesson"}
	s.Games = Collection[game.Document]{store: s, table: "game"}
	s.Played = Collection[game.Match]{store: s, table: "played"}
	return s, nil
}

func dsn(path string, more ...string) string {
	query := "_pragma=busy_timeout(5000)&_pragma=journal_mode(WAL)&_pragma=foreign_keys(1)"
	for _, option := range more {
		query += "&" + option
	}
	return located(path, query)
}

// located names a file to SQLite, with how it is opened.
func located(path, query string) string {
	return (&url.URL{Scheme: "file", OmitHost: true, Path: path, RawQuery: query}).String()
}

// restorer is a connection that takes what is in another file.
type restorer interface {
	NewRestore(from string) (*sqlite.Backup, error)
}

// newest is the last step of a file's history.
var newest = sync.OnceValue(func() int64 {
	db, err := sql.Open("sqlite", ":memory:")
	if err != nil {
		panic(err)
	}
	defer func() { _ = db.Close() }()
	provider, err := migrator(db)
	if err != nil {
		panic(err)
	}
	sources := provider.ListSources()
	return sources[len(sources)-1].Version
})

func (s *Store) migrate(ctx context.Context) error {
	provider, err := migrator(s.write)
	if err != nil {
		return err
	}
	_, err = provider.Up(ctx)
	return err
}

func migrator(db *sql.DB) (*goose.Provider, error) {
	files, err := fs.Sub(migrations, "migrations")
	if err != nil {
		return nil, err
	}
	return goose.NewProvider(
		goose.DialectSQLite3,
		db,
		files,
		goose.WithGoMigrations(thirdFormat(), compact(), stand(), measured(), told()),
	)
}

// Close closes the file.
func (s *Store) Close() error {
	_ = s.mark(context.Background(), closed) // where that fails, the log is beside it
	return errors.Join(s.read.Close(), s.write.Close())
}

// Times are kept as text that sorts, to the millisecond, in UTC.
const timeLayout = "2006-01-02T15:04:05.000Z"

func writeTime(t time.Time) string { return t.UTC().Format(timeLayout) }

func readTime(text string) (time.Time, error) { return time.Parse(timeLayout, text) }

// Writes counts the writes to the file since it was opened. What was read while it stood is still so as long as it
// stands: it moves on after a change is in the file and before whoever made it is answered.
func (s *Store) Writes() uint64 { return s.writes.Load() }

// exec changes something by one statement.
func (s *Store) exec(ctx context.Context, statement string, args ...any) (sql.Result, error) {
	if err := s.isThere(); err != nil {
		return nil, err
	}
	defer s.writes.Add(1)
	return s.write.ExecContext(ctx, statement, args...)
}

// in runs work in one transaction.
func (s *Store) in(ctx context.Context, work func(tx *sql.Tx) error) error {
	if err := s.isThere(); err != nil {
		return err
	}
	defer s.writes.Add(1)
	tx, err := s.write.BeginTx(ctx, nil)
	if err != nil {
		return err
	}
	if err := work(tx); err != nil {
		return errors.Join(err, tx.Rollback())
	}
	return tx.Commit()
}

// querier is a database or a transaction on it.
type querier interface {
	QueryContext(ctx context.Context, query string, args ...any) (*sql.Rows, error)
}

// prepared is a query that is asked many times: asked with whatever text, it is that one. What is returned with it ends
// it.
func (s *Store) prepared(ctx context.Context, query string) (querier, func(), error) {
	statement, err := s.read.PrepareContext(ctx, query)
	if err != nil {
		return nil, nil, err
	}
	return preparedQuery{statement}, func() { _ = statement.Close() }, nil
}

type preparedQuery struct{ statement *sql.Stmt }

// QueryContext asks the query that was prepared.
func (p preparedQuery) QueryContext(ctx context.Context, _ string, args ...any) (*sql.Rows, error) {
	return p.statement.QueryContext(ctx, args...)
}

// collect reads all rows of a query.
func collect[T any](
	ctx context.Context,
	db querier,
	scan func(*sql.Rows) (T, error),
	query string,
	args ...any,
) ([]T, error) {
	list := []T{}
	err := each(ctx, db, func(rows *sql.Rows) error {
		one, err := scan(rows)
		list = append(list, one)
		return err
	}, query, args...)
	if err != nil {
		return nil, err
	}
	return list, nil
}

// each reads the rows of a query one by one.
func each(ctx context.Context, db querier, read func(*sql.Rows) error, query string, args ...any) error {
	rows, err := db.QueryContext(ctx, query, args...)
	if err != nil {
		return err
	}
	defer func() { _ = rows.Close() }()
	for rows.Next() {
		if err := read(rows); err != nil {
			return err
		}
	}
	return rows.Err()
}

// asList passes identifiers to a query, which takes them apart with json_each.
type asList []string

// Value writes the list as JSON.
func (l asList) Value() (driver.Value, error) {
	text, err := json.Marshal([]string(l))
	return string(text), err
}

// writeJSON writes something that may be missing as JSON, and nil as null.
func writeJSON[T any](value *T) (sql.NullString, error) {
	if value == nil {
		return sql.NullString{}, nil
	}
	text, err := json.Marshal(value)
	return sql.NullString{String: string(text), Valid: true}, err
}

// readJSON reads what writeJSON wrote.
func readJSON[T any](text sql.NullString) (*T, error) {
	if !text.Valid {
		return nil, nil
	}
	var value T
	if err := json.Unmarshal([]byte(text.String), &value); err != nil {
		return nil, fmt.Errorf("%s: %w", text.String, err)
	}
	return &value, nil
}

// Hasten has the open file written without waiting for the disk. Only a file that can be made again may be: it may be
// damaged where the machine stops meanwhile.
func (s *Store) Hasten(ctx context.Context) error {
	_, err := s.exec(ctx, "PRAGMA synchronous = OFF; PRAGMA cache_size = -65536; PRAGMA wal_autocheckpoint = 20000")
	return err
}

// demoMark is the application identifier of a demo's file: "HoDe".
const demoMark = 0x486f4465

// MarkDemo marks the file as a demo's.
func (s *Store) MarkDemo(ctx context.Context) error {
	_, err := s.write.ExecContext(ctx, fmt.Sprintf("PRAGMA application_id = %d", demoMark))
	return err
}

// IsDemo says whether a file was made by a demo. It changes nothing in it.
func IsDemo(ctx context.Context, path string) (is bool, err error) {
	db, err := onlyRead(path)
	if err != nil {
		return false, err
	}
	defer func() { err = errors.Join(err, db.Close()) }()
	var mark int64
	err = db.QueryRowContext(ctx, "PRAGMA application_id").Scan(&mark)
	return mark == demoMark, err
}
