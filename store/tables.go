package store

import (
	"context"
	"database/sql"
	"fmt"
	"slices"
	"strings"
)

// Table is a table of the file, as it is handed over whole.
type Table struct {
	Name    string
	Columns []Column
	Key     []string // the columns that name a row
	Refers  []Reference
}

// Column is a column of a table.
type Column struct {
	Name string
	Type string // INTEGER, REAL, TEXT
}

// Reference is a column that names a row of another table.
type Reference struct{ Column, Table, Key string }

// keptHere are the tables that are never handed over: who is let in, what is worked out anew, and the file's own
// history.
var keptHere = []string{"passphrase", "device", "session", "feed", "tried", "goose_db_version", "sqlite_sequence"}

// Tables are the tables that are handed over, those that others refer to first.
func (s *Store) Tables(ctx context.Context) ([]Table, error) { return tablesOf(ctx, s.read) }

func tablesOf(ctx context.Context, db querier) ([]Table, error) {
	names, err := tableNames(ctx, db)
	if err != nil {
		return nil, err
	}
	var list []Table
	for _, name := range names {
		if slices.Contains(keptHere, name) {
			continue
		}
		t, err := tableOf(ctx, db, name)
		if err != nil {
			return nil, err
		}
		list = append(list, t)
	}
	return inOrder(list), nil
}

// tableNames are the names of all tables of a file.
func tableNames(ctx context.Context, db querier) ([]string, error) {
	return collect(
		ctx,
		db,
		func(rows *sql.Rows) (name string, err error) { return name, rows.Scan(&name) },
		"SELECT name FROM sqlite_master WHERE type = 'table' ORDER BY name",
	)
}

func tableOf(ctx context.Context, db querier, name string) (Table, error) {
	t := Table{Name: name}
	keys := map[int]string{}
	err := each(ctx, db, func(rows *sql.Rows) error {
		var c Column
		var key, hidden int
		if err := rows.Scan(&c.Name, &c.Type, &key, &hidden); err != nil {
			return err
		}
		if hidden == 0 { // else it is worked out from others
			t.Columns = append(t.Columns, c)
		}
		if key > 0 {
			keys[key] = c.Name
		}
		return nil
	}, "SELECT name, type, pk, hidden FROM pragma_table_xinfo(?) ORDER BY cid", name)
	if err != nil {
		return t, err
	}
	for i := 1; keys[i] != ""; i++ {
		t.Key = append(t.Key, keys[i])
	}
	t.Refers, err = collect(
		ctx,
		db,
		func(rows *sql.Rows) (r Reference, err error) { return r, rows.Scan(&r.Column, &r.Table, &r.Key) },
		`SELECT "from", "table", coalesce("to", 'id') FROM pragma_foreign_key_list(?) ORDER BY id`,
		name,
	)
	return t, err
}

// inOrder puts tables after those that they refer to.
func inOrder(list []Table) []Table {
	var ordered []Table
	there := func(name string) bool {
		return slices.ContainsFunc(ordered, func(t Table) bool { return t.Name == name })
	}
	for len(ordered) < len(list) {
		before := len(ordered)
		for _, t := range list {
			if !there(t.Name) &&
				!slices.ContainsFunc(t.Refers, func(r Reference) bool { return r.Table != t.Name && !there(r.Table) }) {
				ordered = append(ordered, t)
			}
		}
		if len(ordered) == before { // they refer to each other; a test holds that none do
			return list
		}
	}
	return ordered
}

// quoted are names of columns as they stand in a statement.
func quoted(names ...string) string { return `"` + strings.Join(names, `", "`) + `"` }

func (t Table) columns() []string {
	names := make([]string, len(t.Columns))
	for i, c := range t.Columns {
		names[i] = c.Name
	}
	return names
}

// Rows calls give for each row of a table, by its key. What is given is used again for the next one: nil, int64,
// float64 or string.
func (s *Store) Rows(ctx context.Context, t Table, give func([]any) error) error {
	values, into := make([]any, len(t.Columns)), make([]any, len(t.Columns))
	for i := range values {
		into[i] = &values[i]
	}
	return each(ctx, s.read, func(rows *sql.Rows) error {
		if err := rows.Scan(into...); err != nil {
			return err
		}
		return give(values)
	}, fmt.Sprintf("SELECT %s FROM %s ORDER BY %s", quoted(t.columns()...), quoted(t.Name), quoted(t.Key...)))
}

// HowMany is how many rows all of some tables have.
func (s *Store) HowMany(ctx context.Context, tables []Table) (all int, err error) {
	for _, t := range tables {
		n := 0
		if err := s.read.QueryRowContext(ctx, "SELECT count(*) FROM "+quoted(t.Name)).
			Scan(&n); err != nil { //nolint:gosec // the names are those of the file
			return 0, err
		}
		all += n
	}
	return all, nil
}
