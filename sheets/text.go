package sheets

import (
	"bytes"
	"encoding/binary"
	"encoding/csv"
	"errors"
	"io"
	"strings"
	"unicode/utf16"
	"unicode/utf8"

	"golang.org/x/text/encoding/charmap"

	"hodometer/core/basics/invalid"
)

// separators are what stands between cells, the likelier first where two divide a table as well.
var separators = []struct {
	mark rune
	said string
}{{'\t', "tabs"}, {',', "commas"}, {';', "semicolons"}, {'|', "bars"}}

// readText reads a table of text: RFC 4180, and what spreadsheet programs make of it.
func readText(data []byte) (Table, error) {
	text, encoding, err := decode(data)
	if err != nil {
		return Table{}, err
	}
	if strings.TrimSpace(text) == "" {
		return Table{}, invalid.Unreadable("there is nothing in it")
	}
	if n := crowded(text); n > 0 {
		return Table{}, invalid.Unreadable("row %d has more than %d columns", n, MaxColumns)
	}
	mark, text := declared(text)
	said := "cells"
	if mark == 0 {
		mark = separating(text)
	}
	for _, s := range separators {
		if s.mark == mark {
			said = s.said
		}
	}
	rows, err := cells(text, mark)
	if err != nil {
		return Table{}, err
	}
	return Table{Rows: trimmed(rows), As: said + " between cells, " + encoding}, nil
}

// crowded is the line in which there are more separators than any table has; 0 where there is none. It is looked at
// before a line is divided.
func crowded(text string) int {
	n := 0
	for line := range strings.Lines(text) {
		n++
		if len(line) <= maxMarks {
			continue
		}
		for _, s := range separators {
			if strings.Count(line, string(s.mark)) > maxMarks {
				return n
			}
		}
	}
	return 0
}

// decode makes text of bytes: UTF-8, UTF-16 with a mark or by its zeroes, else Windows-1252, which old programs write.
func decode(data []byte) (text, encoding string, err error) {
	switch {
	case bytes.HasPrefix(data, []byte("\xef\xbb\xbf")):
		data = data[3:]
	case bytes.HasPrefix(data, []byte("\xff\xfe")):
		return wide(data[2:], binary.LittleEndian), "UTF-16", nil
	case bytes.HasPrefix(data, []byte("\xfe\xff")):
		return wide(data[2:], binary.BigEndian), "UTF-16", nil
	case len(data) >= 4 && data[1] == 0 && data[3] == 0 && data[0] != 0:
		return wide(data, binary.LittleEndian), "UTF-16", nil
	}
	if bytes.IndexByte(data, 0) >= 0 {
		return "", "", invalid.Unreadable("this is no text and no workbook: save the table as .xlsx or .csv")
	}
	if utf8.Valid(data) {
		return string(data), "UTF-8", nil
	}
	decoded, err := charmap.Windows1252.NewDecoder().Bytes(data)
	if err != nil {
		return "", "", invalid.Unreadable("this text is in an encoding that is not known here: save it as UTF-8")
	}
	return string(decoded), "Windows-1252", nil
}

func wide(data []byte, order binary.ByteOrder) string {
	units := make([]uint16, len(data)/2)
	for i := range units {
		units[i] = order.Uint16(data[2*i:])
	}
	return string(utf16.Decode(units))
}

// declared is the separator that a first line "sep=;" declares, and the text after it; 0 where there is no such line.
func declared(text string) (rune, string) {
	line, rest, _ := strings.Cut(text, "\n")
	line = strings.TrimRight(line, "\r")
	if mark, is := strings.CutPrefix(strings.ToLower(line), "sep="); is && utf8.RuneCountInString(mark) == 1 {
		r, _ := utf8.DecodeRuneInString(mark)
		if validMark(r) {
			return r, rest
		}
	}
	return 0, text
}

func validMark(r rune) bool { return r != '"' && r != '\r' && r != '\n' && r != utf8.RuneError }

const looked = 50 // rows that show the separator

// separating is the separator by which most of the first rows have the same number of cells, two at least; a comma
// where none divides them.
func separating(text string) rune {
	best, most := ',', 0
	for _, s := range separators {
		reader := reading(text, s.mark)
		widths := map[int]int{}
		for range looked {
			row, err := reader.Read()
			if err != nil {
				break
			}
			widths[len(row)]++
		}
		for width, rows := range widths {
			if width > 1 && rows*min(width, 8) > most {
				best, most = s.mark, rows*min(width, 8)
			}
		}
	}
	return best
}

func reading(text string, mark rune) *csv.Reader {
	reader := csv.NewReader(strings.NewReader(text))
	reader.Comma, reader.FieldsPerRecord, reader.LazyQuotes = mark, -1, true
	return reader
}

// cells divides a text into rows and cells. Empty lines are rows without cells, so that the numbers of rows are those
// that a coach sees.
func cells(text string, mark rune) ([][]string, error) {
	if n := unclosed(text, mark); n > 0 {
		return nil, invalid.Unreadable("row %d: a quotation mark is opened there and not closed", n)
	}
	reader := reading(text, mark)
	var rows [][]string
	last := 0 // the line on which the last row ended
	for {
		row, err := reader.Read()
		if errors.Is(err, io.EOF) {
			return rows, nil
		}
		if err != nil {
			return nil, invalid.Unreadable("row %d cannot be read", len(rows)+1)
		}
		first, _ := reader.FieldPos(0)
		for ; last+1 < first; last++ {
			rows = append(rows, nil)
		}
		last = first + strings.Count(strings.Join(row, ""), "\n")
		for i, cell := range row {
			row[i] = asTyped(cell)
		}
		rows = append(rows, row)
		if err := checkRow(len(rows), row); err != nil {
			return nil, err
		}
	}
}

// unclosed is the row in which a cell begins with a quotation mark that nothing closes; 0 where there is none.
func unclosed(text string, mark rune) int {
	row, opened, quoted, begins, skip := 1, 0, false, true, false
	for i, r := range text {
		switch {
		case skip: // the second one of a pair, which stands for one in the cell
			skip = false
		case quoted && r == '"':
			next, _ := utf8.DecodeRuneInString(text[i+1:])
			skip = next == '"'
			quoted = skip || next != mark && next != '\r' && next != '\n' && i+1 != len(text)
		case r == '"' && begins:
			quoted, opened = true, row
		}
		if r == '\n' && !quoted {
			row++
		}
		begins = !quoted && (r == mark || r == '\n')
	}
	if quoted {
		return opened
	}
	return 0
}

// asTyped takes away the mark that harmless puts before what looks like a formula.
func asTyped(cell string) string {
	if rest, marked := strings.CutPrefix(cell, "'"); marked && Formula(rest) {
		return rest
	}
	return cell
}
