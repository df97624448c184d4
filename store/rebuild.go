package store

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
	"slices"

	"hodometer/core/basics/invalid"
)

// Loading is a file that is being made from tables which were handed over.
type Loading struct {
	tx     *sql.Tx
	Tables []Table // as they were in the format that is loaded
}

// Rebuild makes a file as it was in a format, has it filled, and brings it up to date. The error is an
// invalid.ErrUnreadable where what was handed over does not hold together.
func Rebuild(ctx context.Context, path string, format int64, fill func(*Loading) error) (err error) {
	if format < 1 || format > Format() {
		return invalid.Unreadable("it was written by a newer Hodometer (format %d; this one knows %d)", format, Format())
	}
	db, err := sql.Open("sqlite", dsn(path, "_pragma=synchronous(OFF)")) // thrown away where the machine stops
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, db.Close()) }()
	db.SetMaxOpenConns(1)
	provider, err := migrator(db)
	if err != nil {
		return err
	}
	if _, err := provider.UpTo(ctx, format); err != nil {
		return err
	}
	if err := load(ctx, db, fill); err != nil {
		return err
	}
	if _, err := provider.Up(ctx); err != nil {
		return invalid.Unreadable("its documents cannot be brought up to date: %s", err)
	}
	return nil
}

func load(ctx context.Context, db *sql.DB, fill func(*Loading) error) error {
	tables, err := tablesOf(ctx, db)
	if err != nil {
		return err
	}
	tx, err := db.BeginTx(ctx, nil)
	if err != nil {
		return err
	}
	if _, err := tx.ExecContext(ctx, "PRAGMA defer_foreign_keys = 1"); err != nil {
		return errors.Join(err, tx.Rollback())
	}
	if err := fill(&Loading{tx: tx, Tables: tables}); err != nil {
		return errors.Join(err, tx.Rollback())
	}
	if err := tx.Commit(); err != nil {
		return errors.Join(invalid.Unreadable("something in it belongs to nothing: %s", err), tx.Rollback())
	}
	return nil
}

// Table prepares a table to be filled, column by column. It returns what puts a row, whose values are nil, int64,
// float64 or string.
func (l *Loading) Table(
	ctx context.Context,
	name string,
	columns []string,
) (put func([]any) error, types []string, err error) {
	i := slices.IndexFunc(l.Tables, func(t Table) bool { return t.Name == name })
	if i < 0 {
		return nil, nil, invalid.Unreadable("there is no table %q", name)
	}
	for _, c := range columns {
		at := slices.IndexFunc(l.Tables[i].Columns, func(one Column) bool { return one.Name == c })
		if at < 0 {
			return nil, nil, invalid.Unreadable("the table %s has no column %q", name, c)
		}
		types = append(types, l.Tables[i].Columns[at].Type)
	}
	places := make([]byte, 0, 2*len(columns))
	for range columns {
		places = append(places, '?', ',')
	}
	//nolint:gosec // names are quoted
	insert := fmt.Sprintf(
		"INSERT INTO %s (%s) VALUES (%s)", quoted(name), quoted(columns...), places[:max(0, len(places)-1)],
	)
	statement, err := l.tx.PrepareContext(ctx, insert) //nolint:sqlclosecheck // the transaction closes it
	if err != nil {
		return nil, nil, err
	}
	return func(values []any) error {
		if _, err := statement.ExecContext(ctx, values...); err != nil {
			if ctx.Err() != nil {
				return ctx.Err()
			}
			return invalid.Unreadable("a row of %s does not hold together: %s", name, err)
		}
		return nil
	}, types, nil
}
