package sheets

import (
	"archive/zip"
	"bytes"
	"fmt"
	"math"
	"slices"
	"strconv"
	"strings"
	"time"

	"github.com/xuri/excelize/v2"

	"hodometer/core/basics/invalid"
)

// largestUnpacked is how large what is packed in a workbook may be: what a small file can swell to is bounded.
const largestUnpacked = 32 << 20

// readWorkbook reads the first sheet of a workbook that has anything in it. Cells are as they are stored, days as
// year-month-day.
func readWorkbook(data []byte) (table Table, err error) {
	defer func() {
		// The reader of workbooks was not made for files that are damaged on purpose.
		if recover() != nil {
			table, err = Table{}, invalid.Unreadable("this workbook is damaged")
		}
	}()
	if sheets := sheetsIn(data); sheets > maxSheets {
		return Table{}, invalid.Unreadable(
			"this workbook has more than %d sheets: save the one with the table by itself",
			maxSheets,
		)
	}
	book, openErr := excelize.OpenReader(bytes.NewReader(data), excelize.Options{
		UnzipSizeLimit: largestUnpacked, UnzipXMLSizeLimit: largestUnpacked, RawCellValue: true,
	})
	if openErr != nil {
		if strings.Contains(openErr.Error(), "unzip size exceeds") {
			return Table{}, invalid.Unreadable("this workbook is larger than %d MB when it is unpacked", largestUnpacked>>20)
		}
		if bytes.Contains(data, []byte("application/vnd.oasis.opendocument")) {
			return Table{}, invalid.Unreadable("this is an OpenDocument file: save the table as .xlsx or .csv")
		}
		return Table{}, invalid.Unreadable("this workbook is damaged or has a password: save the table as .csv")
	}
	defer func() { _ = book.Close() }()
	for _, name := range book.GetSheetList() {
		rows, err := sheet(book, name)
		if err != nil {
			return Table{}, err
		}
		if rows = trimmed(rows); len(rows) > 0 {
			return Table{Rows: rows, As: "the sheet “" + name + "” of a workbook"}, nil
		}
	}
	return Table{}, invalid.Unreadable("there is nothing in this workbook")
}

// sheetsIn is how many sheets are in a workbook, by the list of its parts alone.
func sheetsIn(data []byte) (n int) {
	parts, err := zip.NewReader(bytes.NewReader(data), int64(len(data)))
	if err != nil {
		return 0 // that it is damaged is told by who opens it
	}
	for _, part := range parts.File {
		if strings.Contains(part.Name, "worksheets/") {
			n++
		}
	}
	return max(n, len(parts.File)-20*maxSheets)
}

func sheet(book *excelize.File, name string) ([][]string, error) {
	read, err := book.Rows(name)
	if err != nil {
		return nil, invalid.Unreadable("the sheet “%s” cannot be read", name)
	}
	defer func() { _ = read.Close() }()
	days := map[int]bool{}
	props, _ := book.GetWorkbookProps()
	later := props.Date1904 != nil && *props.Date1904
	var rows [][]string
	for read.Next() {
		cells, err := read.Columns()
		if err != nil {
			return nil, invalid.Unreadable("row %d of the sheet “%s” cannot be read", len(rows)+1, name)
		}
		rows = append(rows, cells)
		if err := checkRow(len(rows), cells); err != nil {
			return nil, err
		}
		for i, cell := range cells {
			cells[i] = asDay(book, name, i+1, len(rows), cell, later, days)
		}
	}
	if read.Error() != nil {
		return nil, invalid.Unreadable("the sheet “%s” cannot be read to its end", name)
	}
	return rows, nil
}

// asDay writes a cell that is a day as one: workbooks have days as numbers.
func asDay(book *excelize.File, name string, column, row int, cell string, later bool, days map[int]bool) string {
	number, err := strconv.ParseFloat(cell, 64)
	if err != nil || number < 1 || number > 80000 { // up to 2119
		return cell
	}
	at, err := excelize.CoordinatesToCellName(column, row)
	if err != nil {
		return cell
	}
	style, err := book.GetCellStyle(name, at)
	if err != nil || !isDayStyle(book, style, days) {
		return cell
	}
	day, err := excelize.ExcelDateToTime(math.Floor(number), later)
	if err != nil {
		return cell
	}
	return day.Format(time.DateOnly)
}

// isDayStyle says whether a style shows a number as a day. What was found is kept in days.
func isDayStyle(book *excelize.File, style int, days map[int]bool) bool {
	is, known := days[style]
	if !known {
		if format, err := book.GetStyle(style); err == nil {
			// 14 to 22 and 27 to 58 are days and times of the standard (ECMA-376, 18.8.30), 18 to 21 and 45 to 47 times alone.
			n := format.NumFmt
			is = n >= 14 && n <= 17 || n == 22 || n >= 27 && n <= 36 || n >= 50 && n <= 58
			if format.CustomNumFmt != nil {
				is = showsDay(*format.CustomNumFmt)
			}
		}
		days[style] = is
	}
	return is
}

// showsDay says whether a number format has a year or a day in it, outside of quotation marks and brackets.
func showsDay(format string) bool {
	hidden := false
	for _, r := range strings.ToLower(format) {
		switch {
		case r == '"' || r == '[' || r == ']':
			hidden = !hidden
		case !hidden && (r == 'y' || r == 'd'):
			return true
		}
	}
	return false
}

// Column is a column of a table that is written: its heading, and what it says.
type Column struct{ Title, About string }

// Sheet is a table that is written. A cell is a string, a number, a bool, or nil.
type Sheet struct {
	Name, About string
	Columns     []Column
	// Rows calls give for each row, and ends with its error.
	Rows func(give func(cells ...any) error) error
}

// Workbook writes sheets as an .xlsx, after them one that explains their columns.
func Workbook(all ...Sheet) ([]byte, error) {
	book := excelize.NewFile()
	defer func() { _ = book.Close() }()
	bold, err := book.NewStyle(&excelize.Style{Font: &excelize.Font{Bold: true}})
	if err != nil {
		return nil, err
	}
	all = append(slices.Clone(all), explained(all))
	for _, s := range all {
		if _, err := book.NewSheet(s.Name); err != nil {
			return nil, err
		}
		if err := writeSheet(book, s, bold); err != nil {
			return nil, fmt.Errorf("%s: %w", s.Name, err)
		}
	}
	if err := book.DeleteSheet("Sheet1"); err != nil {
		return nil, err
	}
	var out bytes.Buffer
	if err := book.Write(&out); err != nil {
		return nil, err
	}
	return out.Bytes(), nil
}

func writeSheet(book *excelize.File, s Sheet, bold int) error {
	writer, err := book.NewStreamWriter(s.Name)
	if err != nil {
		return err
	}
	if err := writer.SetColWidth(1, len(s.Columns), 18); err != nil {
		return err
	}
	if err := writer.SetPanes(
		&excelize.Panes{Freeze: true, YSplit: 1, TopLeftCell: "A2", ActivePane: "bottomLeft"},
	); err != nil {
		return err
	}
	head := make([]any, len(s.Columns))
	for i, column := range s.Columns {
		head[i] = excelize.Cell{StyleID: bold, Value: column.Title}
	}
	if err := writer.SetRow("A1", head); err != nil {
		return err
	}
	row := 1
	err = s.Rows(func(cells ...any) error {
		row++
		at, err := excelize.CoordinatesToCellName(1, row)
		if err != nil {
			return err
		}
		shown := make([]any, len(cells))
		for i, cell := range cells {
			shown[i] = cell
			if is, yes := cell.(bool); yes {
				shown[i] = yesNo(is)
			}
			if text, is := cell.(string); is {
				shown[i] = readable(text)
			}
		}
		return writer.SetRow(at, shown)
	})
	if err != nil {
		return err
	}
	return writer.Flush()
}

// explained is the sheet that says what the columns of others are.
func explained(all []Sheet) Sheet {
	return Sheet{
		Name: "About the columns", Columns: []Column{{Title: "Sheet"}, {Title: "Column"}, {Title: "What it says"}},
		Rows: func(give func(...any) error) error {
			for _, s := range all {
				if err := give(s.Name, "", s.About); err != nil {
					return err
				}
				for _, column := range s.Columns {
					if err := give(s.Name, column.Title, column.About); err != nil {
						return err
					}
				}
			}
			return nil
		},
	}
}
