package handover

import (
	"bytes"
	"encoding/json"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/invalid"
)

// ThereAndBack writes a text into a table and reads it again.
func ThereAndBack(t require.TestingT, text string) (back string) {
	var out bytes.Buffer
	w, err := newRowWriter(&out, []string{"a", "b", "c", "d"})
	require.NoError(t, err)
	require.NoError(t, w.write([]any{text, nil, int64(-3), 0.1}))
	require.NoError(t, w.end())
	require.Equal(t, 2, bytes.Count(out.Bytes(), []byte("\n")), "a row is a line")
	err = readRows("one", &out, func([]string) (func([]any) error, []string, error) {
		return func(values []any) error {
			back, _ = values[0].(string)
			require.Equal(t, []any{nil, int64(-3), 0.1}, values[1:])
			return nil
		}, []string{"TEXT", "TEXT", "INTEGER", "REAL"}, nil
	})
	require.NoError(t, err)
	return back
}

// RowsOf reads a table all of whose columns are texts.
func RowsOf(t require.TestingT, text string) (rows [][]any) {
	err := readRows("one", strings.NewReader(text), func(columns []string) (func([]any) error, []string, error) {
		return func(values []any) error {
			rows = append(rows, append([]any{}, values...))
			return nil
		}, make([]string, len(columns)), nil
	})
	require.NoError(t, err)
	return rows
}

// Described reads a descriptor strictly.
func Described(t require.TestingT, text string) (export int, file int64, resources []string) {
	var d dataPackage
	decoder := json.NewDecoder(strings.NewReader(text))
	decoder.DisallowUnknownFields()
	require.NoError(t, decoder.Decode(&d))
	for _, r := range d.Resources {
		resources = append(resources, r.Name)
	}
	return d.Hodometer.Export, d.Hodometer.File, resources
}

// Whatever a table is, it is read or told to be none, and nothing falls over.
func FuzzRows(f *testing.F) {
	for _, text := range []string{"a,b\r\n1,x\r\n", "a\r\n\\N\r\n", "a,b,c\r\n\"\\n\",2,\\=\r\n", "", "\"",
		"a,b\r\n1\r\n"} {
		f.Add(text)
	}
	f.Fuzz(func(t *testing.T, text string) {
		kinds := []string{"TEXT", "INTEGER", "REAL"}
		err := readRows("t", strings.NewReader(text), func(columns []string) (func([]any) error, []string, error) {
			types := make([]string, len(columns))
			for i := range types {
				types[i] = kinds[i%len(kinds)]
			}
			return func(values []any) error {
				require.Len(t, values, len(columns))
				return nil
			}, types, nil
		})
		if err != nil {
			require.ErrorIs(t, err, invalid.ErrUnreadable)
		}
	})
}
