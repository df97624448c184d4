// Package sheets reads and writes tables as spreadsheet programs have them: CSV of any usual separator and encoding,
// workbooks, pasted cells. What is in their cells it does not know.
package sheets

import (
	"bytes"
	"strings"
	"unicode/utf8"

	"hodometer/core/basics/invalid"
)

// The largest table that is read.
const (
	MaxBytes   = 8 << 20
	MaxRows    = 5000
	MaxColumns = 100
	MaxCell    = 4000 // characters
	maxSheets  = 200  // of a workbook
	maxMarks   = 5000 // separators in one line of a text
)

// Table is a table that was read, row by row. A row may have fewer cells than another one.
type Table struct {
	Rows [][]string `json:"rows"`
	As   string     `json:"as" description:"How it was read, in words: commas between cells, UTF-8"`
}

// ErrUnreadable says that a file is no table that can be read here, or too large a one. What is one says why, in a
// coach's words.
var ErrUnreadable = invalid.ErrUnreadable

// Read reads a table from a file, or from cells that were pasted. Its error is an ErrUnreadable.
func Read(data []byte) (Table, error) {
	switch {
	case len(data) > MaxBytes:
		return Table{}, invalid.Unreadable("this file is larger than %d MB", MaxBytes>>20)
	case bytes.HasPrefix(data, []byte("PK\x03\x04")):
		return readWorkbook(data)
	case bytes.HasPrefix(data, []byte("\xd0\xcf\x11\xe0")):
		return Table{}, invalid.Unreadable("this workbook is in the old format: save it as .xlsx or .csv")
	case bytes.HasPrefix(data, []byte("%PDF")):
		return Table{}, invalid.Unreadable("this is a PDF: save the table as .xlsx or .csv")
	default:
		return readText(data)
	}
}

// trimmed leaves out rows and columns without anything at the end.
func trimmed(rows [][]string) [][]string {
	last := 0
	for i, row := range rows {
		for len(row) > 0 && strings.TrimSpace(row[len(row)-1]) == "" {
			row = row[:len(row)-1]
		}
		rows[i] = row
		if len(row) > 0 {
			last = i + 1
		}
	}
	return rows[:last]
}

// checkRow says what is wrong with the size of a row; number is 1 for the first one.
func checkRow(number int, row []string) error {
	if number > MaxRows {
		return invalid.Unreadable("this table has more than %d rows", MaxRows)
	}
	if len(row) > MaxColumns {
		return invalid.Unreadable("row %d has more than %d cells", number, MaxColumns)
	}
	for i, cell := range row {
		if len(cell) > MaxCell && utf8.RuneCountInString(cell) > MaxCell {
			return invalid.Unreadable("row %d, cell %d: more than %d characters", number, i+1, MaxCell)
		}
	}
	return nil
}
