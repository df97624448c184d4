package handover

import (
	"bufio"
	"context"
	"errors"
	"io"
	"os"
	"path/filepath"
	"slices"

	"hodometer/sheets"
	"hodometer/store"
)

// types are the types of columns as a data package names them.
var types = map[string]string{"INTEGER": "integer", "REAL": "number", "TEXT": "string"}

// fileColumn stands for the text of a document: it is in a file of its own.
const fileColumn = "file"

// table writes a table of the file as it is, and each of its documents as a file of its own.
func (w *whole) table(t store.Table) error {
	r := resource{
		Name:   t.Name,
		Path:   "data/" + t.Name + ".csv",
		Title:  abouts[t.Name],
		Schema: schema{PrimaryKey: t.Key, MissingValues: []string{nothing}},
	}
	for _, c := range t.Columns {
		r.Schema.Fields = append(
			r.Schema.Fields,
			field{Name: c.Name, Type: types[c.Type], Description: aboutColumns[t.Name+"."+c.Name]},
		)
	}
	for _, ref := range t.Refers {
		r.Schema.ForeignKeys = append(
			r.Schema.ForeignKeys,
			foreignKey{Fields: ref.Column, Reference: reference{Resource: ref.Table, Fields: ref.Key}},
		)
	}
	document := -1
	if folder, has := folders[t.Name]; has {
		document = slices.IndexFunc(t.Columns, func(c store.Column) bool { return c.Name == "document" })
		r.Schema.Fields = append(
			r.Schema.Fields,
			field{Name: fileColumn, Type: "string", Description: "Where the document is: documents/" + folder},
		)
	}
	// Documents are files of their own, and a .zip has one file after the other: they are written first, and their places
	// kept.
	places, err := w.documents(t, document)
	if err != nil {
		return err
	}
	return w.resource(r, func(out io.Writer) error {
		var columns []string
		for _, f := range r.Schema.Fields {
			columns = append(columns, f.Name)
		}
		rows, err := newRowWriter(out, columns)
		if err != nil {
			return err
		}
		n := 0
		err = w.from.Rows(w.ctx, t, func(values []any) error {
			if document >= 0 {
				values = append(values[:len(values):len(values)], places[n])
				if n++; places[n-1] != "" {
					values[document] = nil
				}
			}
			if err := rows.write(values); err != nil {
				return err
			}
			return w.step()
		})
		if err != nil {
			return err
		}
		return rows.end()
	})
}

// sheetsOf are the tables that are for people: they are made from the others, and are not read again.
func (w *whole) sheetsOf(ctx context.Context) ([]sheets.Sheet, error) {
	all, err := Tables(ctx, w.from, always(""))
	if err != nil {
		return nil, err
	}
	return all[:len(all)-1], nil // counts are among the others, and many
}

// makeReadable writes them into a folder.
func (w *whole) makeReadable(ctx context.Context, folder string) error {
	all, err := w.sheetsOf(ctx)
	if err != nil {
		return err
	}
	for _, sheet := range all {
		file, err := os.Create(filepath.Join(folder, File(sheet))) //nolint:gosec // our own
		if err != nil {
			return err
		}
		out := bufio.NewWriter(file)
		if err := errors.Join(sheets.WriteCSV(out, sheet), out.Flush(), file.Close()); err != nil {
			return err
		}
	}
	return nil
}

// readable takes them from the folder.
func (w *whole) readable(folder string) error {
	all, err := w.sheetsOf(w.ctx)
	if err != nil {
		return err
	}
	for _, sheet := range all {
		r := resource{
			Name:   "readable-" + File(sheet),
			Path:   "tables/" + File(sheet) + ".csv",
			Title:  sheet.About,
			Schema: schema{MissingValues: []string{""}},
		}
		for _, c := range sheet.Columns {
			r.Schema.Fields = append(r.Schema.Fields, field{Name: c.Title, Type: "any", Description: c.About})
		}
		err := w.resource(r, func(out io.Writer) error {
			file, err := os.Open(filepath.Join(folder, File(sheet))) //nolint:gosec // our own
			if err != nil {
				return err
			}
			_, err = io.Copy(out, file)
			return errors.Join(err, file.Close())
		})
		if err != nil {
			return err
		}
	}
	return nil
}
