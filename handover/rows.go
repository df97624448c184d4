package handover

import (
	"encoding/csv"
	"errors"
	"fmt"
	"io"
	"strconv"
	"strings"

	"hodometer/core/basics/invalid"
	"hodometer/sheets"
)

// nothing is how a value that is not there stands in a table: no text begins with it.
const nothing = `\N`

// marks are what a text cannot have in a table as it is: each row is one line.
var (
	marks  = strings.NewReplacer(`\`, `\\`, "\n", `\n`, "\r", `\r`)
	unmark = map[byte]string{'\\': `\`, 'n': "\n", 'r': "\r"}
)

// asCell writes a value of a table: nil, int64, float64 or string. A text that a spreadsheet program would take for a
// formula has a mark before it.
func asCell(value any) (string, error) {
	switch v := value.(type) {
	case nil:
		return nothing, nil
	case int64:
		return strconv.FormatInt(v, 10), nil
	case float64:
		return strconv.FormatFloat(v, 'g', -1, 64), nil
	case string:
		text := marks.Replace(v)
		if sheets.Formula(text) {
			text = `\` + text
		}
		return text, nil
	}
	return "", fmt.Errorf("a value of %T cannot be handed over", value)
}

// fromCell reads it back, by the type of its column.
func fromCell(cell, kind string) (any, error) {
	if cell == nothing {
		return nil, nil
	}
	switch kind {
	case "INTEGER":
		return strconv.ParseInt(cell, 10, 64)
	case "REAL":
		return strconv.ParseFloat(cell, 64)
	}
	at := strings.IndexByte(cell, '\\')
	if at < 0 {
		return cell, nil
	}
	var text strings.Builder
	for ; at >= 0; at = strings.IndexByte(cell, '\\') {
		text.WriteString(cell[:at])
		cell = cell[at+1:]
		if cell == "" {
			return nil, errors.New("a text ends with a mark")
		}
		if plain, is := unmark[cell[0]]; is {
			text.WriteString(plain)
			cell = cell[1:]
		}
	}
	text.WriteString(cell)
	return text.String(), nil
}

// rowWriter writes the rows of a table.
type rowWriter struct {
	csv  *csv.Writer
	line []string
}

func newRowWriter(out io.Writer, columns []string) (*rowWriter, error) {
	w := &rowWriter{csv: csv.NewWriter(out), line: make([]string, len(columns))}
	w.csv.UseCRLF = true // RFC 4180
	return w, w.csv.Write(columns)
}

func (w *rowWriter) write(values []any) (err error) {
	for i, value := range values {
		if w.line[i], err = asCell(value); err != nil {
			return err
		}
	}
	return w.csv.Write(w.line)
}

func (w *rowWriter) end() error {
	w.csv.Flush()
	return w.csv.Error()
}

// longestRow is how long a row that is read can be: a document that was changed stands in one.
const longestRow = 4 << 20

// shortLines fails where a line is longer than a row can be, so that no row fills the memory.
type shortLines struct {
	from io.Reader
	line int
}

func (s *shortLines) Read(into []byte) (int, error) {
	n, err := s.from.Read(into)
	for _, b := range into[:n] {
		if s.line++; b == '\n' {
			s.line = 0
		}
		if s.line > longestRow {
			return n, invalid.Unreadable("a row of it is too long")
		}
	}
	return n, err
}

// readRows reads the rows of a table. Begin is called with its columns, and says what is done with each row.
func readRows(
	name string,
	from io.Reader,
	begin func(columns []string) (put func([]any) error, types []string, err error),
) error {
	reader := csv.NewReader(&shortLines{from: from})
	reader.ReuseRecord = true
	head, err := reader.Read()
	if err != nil {
		return notATable(name, err)
	}
	columns := append([]string{}, head...)
	put, types, err := begin(columns)
	if err != nil {
		return err
	}
	values := make([]any, len(columns))
	for {
		cells, err := reader.Read()
		if errors.Is(err, io.EOF) {
			return nil
		}
		if err != nil {
			return notATable(name, err)
		}
		for i, cell := range cells {
			if values[i], err = fromCell(cell, types[i]); err != nil {
				return notATable(name, err)
			}
		}
		if err := put(values); err != nil {
			return err
		}
	}
}

func notATable(name string, err error) error {
	return invalid.Unreadable("the table %s cannot be read: %s", name, err)
}
