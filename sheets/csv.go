package sheets

import (
	"encoding/csv"
	"fmt"
	"io"
	"strconv"
	"strings"
)

// WriteCSV writes a sheet as RFC 4180 has it, in UTF-8 with the mark by which spreadsheet programs know it.
func WriteCSV(out io.Writer, s Sheet) error {
	if _, err := io.WriteString(out, "\ufeff"); err != nil {
		return err
	}
	writer := csv.NewWriter(out)
	writer.UseCRLF = true
	head := make([]string, len(s.Columns))
	for i, column := range s.Columns {
		head[i] = column.Title
	}
	if err := writer.Write(head); err != nil {
		return err
	}
	err := s.Rows(func(cells ...any) error {
		row := make([]string, len(cells))
		for i, cell := range cells {
			row[i] = written(cell)
		}
		return writer.Write(row)
	})
	if err != nil {
		return err
	}
	writer.Flush()
	return writer.Error()
}

func written(cell any) string {
	switch value := cell.(type) {
	case nil:
		return ""
	case string:
		return harmless(readable(value))
	case bool:
		return yesNo(value)
	case int:
		return strconv.Itoa(value)
	case float64:
		return strconv.FormatFloat(value, 'f', -1, 64)
	default:
		return harmless(fmt.Sprint(value))
	}
}

func yesNo(is bool) string {
	if is {
		return "yes"
	}
	return "no"
}

// readable is a text without what no file of a spreadsheet program may have in it.
func readable(text string) string {
	return strings.Map(func(r rune) rune {
		if r < ' ' && r != '\n' && r != '\t' && r != '\r' {
			return -1
		}
		return r
	}, text)
}

// Formula says whether a spreadsheet program would take a text for a formula (OWASP, CSV injection).
func Formula(text string) bool { return text != "" && strings.ContainsRune("=+-@\t\r", rune(text[0])) }

// harmless puts a mark before what would be taken for a formula, so that it stays a text. A table that is read loses it
// again.
func harmless(text string) string {
	if Formula(text) {
		return "'" + text
	}
	return text
}
