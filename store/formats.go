package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"strings"

	"github.com/pressly/goose/v3"
)

// Names of fields that formats before the third used, by table.
var oldNames = map[string]map[string]string{
	"student": {"towards": "objective", "most": "max"},
	"drill": {
		"play": "format", "way": "method", "most": "maxSequences", "towards": "difficulty", "change": "kind",
		"whose": "view",
	},
	"lesson": {"say": "text", "least": "min", "most": "max"},
}

// thirdFormat brings documents up to the third version of their format: fields have plain names. Those that
// cannot be read stay as they are.
func thirdFormat() *goose.Migration {
	return goose.NewGoMigration(8, &goose.GoFunc{RunTx: func(ctx context.Context, tx *sql.Tx) error {
		for table, names := range oldNames {
			if err := rewrite(ctx, tx, table, func(document any) any {
				document = renamed(document, names)
				if fields, ok := document.(map[string]any); ok && table != "student" {
					fields["version"] = 3
				}
				return document
			}); err != nil {
				return err
			}
		}
		return nil
	}}, nil)
}

// rewrite replaces every readable document of a table.
func rewrite(ctx context.Context, tx *sql.Tx, table string, change func(document any) any) error {
	type stored struct{ id, document string }
	texts, err := collect(ctx, tx, func(r *sql.Rows) (row stored, err error) {
		err = r.Scan(&row.id, &row.document)
		return row, err
	}, "SELECT id, document FROM "+table)
	if err != nil {
		return err
	}
	for _, row := range texts {
		decoder := json.NewDecoder(strings.NewReader(row.document))
		decoder.UseNumber() // so that no number changes on the way
		var document any
		if decoder.Decode(&document) != nil {
			continue
		}
		text, err := json.Marshal(change(document))
		if err != nil {
			return err
		}
		//nolint:gosec // the table's name is a constant of this package
		if _, err := tx.ExecContext(ctx, "UPDATE "+table+" SET document = ? WHERE id = ?", string(text), row.id); err != nil {
			return err
		}
	}
	return nil
}

// renamed gives fields other names, however deep they are.
func renamed(value any, names map[string]string) any {
	switch v := value.(type) {
	case map[string]any:
		fields := make(map[string]any, len(v))
		for name, field := range v {
			if plain, ok := names[name]; ok {
				name = plain
			}
			fields[name] = renamed(field, names)
		}
		return fields
	case []any:
		for i := range v {
			v[i] = renamed(v[i], names)
		}
	}
	return value
}
