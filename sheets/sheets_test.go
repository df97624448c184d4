package sheets_test

import (
	"archive/zip"
	"bytes"
	"fmt"
	"io"
	"math/rand/v2"
	"runtime"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
	"github.com/xuri/excelize/v2"
	"pgregory.net/rapid"

	"hodometer/internal/long"
	"hodometer/sheets"
)

func TestTextIsReadWithAnyUsualSeparatorAndEncoding(t *testing.T) {
	want := [][]string{{"Name", "Note"}, {"Zoë Fenn", "a, b; c"}, nil, {"Ben", "he said \"no\"\r\nand left"}}
	for _, c := range []struct{ name, text, as string }{
		{"commas", "Name,Note\r\nZoë Fenn,\"a, b; c\"\r\n\r\nBen,\"he said \"\"no\"\"\r\nand left\"\r\n",
			"commas between cells, UTF-8"},
		{"semicolons", "Name;Note\nZoë Fenn;\"a, b; c\"\n\nBen;\"he said \"\"no\"\"\r\nand left\"", "semicolons between " +
			"cells, UTF-8"},
		{"tabs, as cells are pasted", "Name\tNote\nZoë Fenn\ta, b; c\n\nBen\t\"he said \"\"no\"\"\r\nand left\"",
			"tabs between cells, UTF-8"},
		{"declared", "sep=|\nName|Note\nZoë Fenn|a, b; c\n\nBen|\"he said \"\"no\"\"\r\nand left\"",
			"bars between cells, UTF-8"},
	} {
		encoded := map[string][]byte{
			c.as:       []byte(c.text),
			c.as + " ": append([]byte("\xef\xbb\xbf"), c.text...),
			strings.ReplaceAll(c.as, "UTF-8", "Windows-1252"): []byte(strings.ReplaceAll(c.text, "ë", "\xeb")),
			strings.ReplaceAll(c.as, "UTF-8", "UTF-16"):       wide(c.text, true, true),
			strings.ReplaceAll(c.as, "UTF-8", "UTF-16") + " ": wide(c.text, false, true),
			strings.ReplaceAll(c.as, "UTF-8", "UTF-16") + ".": wide(c.text, true, false),
		}
		for as, data := range encoded {
			t.Run(c.name+" "+as, func(t *testing.T) {
				got, err := sheets.Read(data)
				require.NoError(t, err)
				require.Equal(t, strings.TrimRight(as, " ."), got.As)
				for i, row := range want {
					for j, cell := range row {
						// The reader of RFC 4180 makes one mark of the end of a line within a cell.
						require.Equal(t, strings.ReplaceAll(cell, "\r\n", "\n"), got.Rows[i][j])
					}
				}
				require.Len(t, got.Rows, len(want))
			})
		}
	}
}

// wide is a text in UTF-16.
func wide(text string, little, marked bool) []byte {
	var data []byte
	units := []rune(text)
	if marked {
		units = append([]rune{0xfeff}, units...)
	}
	for _, r := range units {
		if little {
			data = append(data, byte(r), byte(r>>8))
		} else {
			data = append(data, byte(r>>8), byte(r))
		}
	}
	return data
}

func TestAWorkbookIsReadWithItsDays(t *testing.T) {
	book := excelize.NewFile()
	day, err := book.NewStyle(&excelize.Style{NumFmt: 14})
	require.NoError(t, err)
	custom := "dd\\.mm\\.yy"
	other, err := book.NewStyle(&excelize.Style{CustomNumFmt: &custom})
	require.NoError(t, err)
	_, err = book.NewSheet("Players")
	require.NoError(t, err)
	born := time.Date(2016, 5, 14, 0, 0, 0, 0, time.UTC)
	for at, cell := range map[string]any{"A1": "Name", "B1": "Born", "C1": "Age", "A2": "Zoë Fenn", "B2": born, "C2": 9,
		"A4": "Ben", "B4": born.AddDate(0, 0, 1), "C4": 36.5} {
		require.NoError(t, book.SetCellValue("Players", at, cell))
	}
	require.NoError(t, book.SetCellStyle("Players", "B2", "B2", day))
	require.NoError(t, book.SetCellStyle("Players", "B4", "B4", other))
	var out bytes.Buffer
	require.NoError(t, book.Write(&out))
	got, err := sheets.Read(out.Bytes())
	require.NoError(t, err)
	require.Equal(t, "the sheet “Players” of a workbook", got.As)
	require.Equal(
		t,
		[][]string{{"Name", "Born", "Age"}, {"Zoë Fenn", "2016-05-14", "9"}, nil, {"Ben", "2016-05-15", "36.5"}},
		got.Rows,
	)

	// Every cut of it is told, and none stops the program.
	for cut := 4; cut < out.Len(); cut++ {
		_, err := sheets.Read(out.Bytes()[:cut])
		require.ErrorIs(t, err, sheets.ErrUnreadable, "cut at %d", cut)
	}
}

func TestWhatIsNoTableIsToldInWords(t *testing.T) {
	packed := func(name string, write func(io.Writer)) []byte {
		var out bytes.Buffer
		w := zip.NewWriter(&out)
		for _, file := range []struct{ name, text string }{
			{"[Content_Types].xml",
				`<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Override PartName="/xl/workbook.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml"/></Types>`},
			{"xl/_rels/workbook.xml.rels",
				`<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/worksheet" Target="worksheets/sheet1.xml"/></Relationships>`},
			{"xl/workbook.xml", `<workbook xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"><sheets><sheet name="a" sheetId="1" r:id="r1"/></sheets></workbook>`},
		} {
			part, _ := w.Create(file.name)
			_, _ = io.WriteString(part, file.text)
		}
		part, _ := w.Create(name)
		write(part)
		_ = w.Close()
		return out.Bytes()
	}
	bomb := packed("xl/worksheets/sheet1.xml", func(out io.Writer) {
		zeros := make([]byte, 1<<20)
		for range 200 {
			_, _ = out.Write(zeros)
		}
	})
	require.Less(t, len(bomb), 1<<20)
	var entities strings.Builder
	entities.WriteString(`<?xml version="1.0"?><!DOCTYPE x [<!ENTITY a0 "lol">`)
	for i := 1; i < 12; i++ {
		fmt.Fprintf(&entities, `<!ENTITY a%d "%s">`, i, strings.Repeat(fmt.Sprintf("&a%d;", i-1), 10))
	}
	entities.WriteString(
		`]><worksheet><sheetData><row><c t="inlineStr"><is><t>&a11;</t></is></c></row></sheetData></worksheet>`,
	)
	for _, c := range []struct {
		name string
		data []byte
		says string
	}{
		{"nothing", []byte(" \r\n \t"), "there is nothing in it"},
		{"a mark that is not closed", []byte("a,b\r\n\"c,d\r\ne,f"), "row 2: a quotation mark is opened there and not " +
			"closed"},
		{"a pair of marks, and none that closes", []byte("a,\"b\"\",c"), "row 1: a quotation mark"},
		{"an old workbook", []byte("\xd0\xcf\x11\xe0\xa1\xb1\x1a\xe1"), "old format"},
		{"a PDF", []byte("%PDF-1.7"), "PDF"},
		{"a picture", []byte("\x89PNG\x00\x01"), "no text and no workbook"},
		{"too many rows", []byte(strings.Repeat("a,b\n", 5001)), "more than 5000 rows"},
		{"too many cells", []byte(strings.Repeat("a,", 101)), "more than 100 cells"},
		{"a cell that is too long", []byte("a,b\n" + strings.Repeat("x", 4001) + ",b"), "row 2, cell 1: more than 4000 " +
			"characters"},
		{"too large a file", bytes.Repeat([]byte("a,b\n"), 3<<20), "larger than 8 MB"},
		{"another zip", packed("x", func(io.Writer) {})[:200], "damaged"},
		{"a bomb of zeros", bomb, "larger than 32 MB"},
		{"a bomb of entities", packed("xl/worksheets/sheet1.xml", func(out io.Writer) {
			_,
				_ = io.WriteString(out, entities.String())
		}), ""},
	} {
		t.Run(c.name, func(t *testing.T) {
			begun := time.Now()
			_, err := sheets.Read(c.data)
			require.ErrorIs(t, err, sheets.ErrUnreadable)
			require.ErrorContains(t, err, c.says)
			require.Less(t, time.Since(begun), 10*time.Second)
		})
	}
}

func written(t require.TestingT, rows [][]string) sheets.Sheet {
	width := 0
	for _, row := range rows {
		width = max(width, len(row))
	}
	s := sheets.Sheet{Name: "Students", About: "Those who play", Columns: make([]sheets.Column, width)}
	for i := range s.Columns {
		s.Columns[i] = sheets.Column{Title: fmt.Sprintf("Column %d", i), About: "something"}
	}
	s.Rows = func(give func(...any) error) error {
		for _, row := range rows {
			cells := make([]any, len(row))
			for i, cell := range row {
				cells[i] = cell
			}
			require.NoError(t, give(cells...))
		}
		return nil
	}
	return s
}

// What is written is read the same, and nothing in it is a formula to a spreadsheet program.
func TestWhatIsWrittenIsReadTheSame(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		cell := rapid.OneOf(
			rapid.StringMatching(`[=+@-]?[A-Za-z0-9 ,;"'é|.()!-]{0,12}`),
			rapid.SampledFrom([]string{"=1+1", "@SUM(A1)", "-5", "+49 1", "a\nb", "'", "'=x", "\t=x"}),
		)
		rows := rapid.SliceOfN(rapid.SliceOfN(cell, 2, 5), 1, 6).Draw(t, "rows")
		for i := range rows {
			rows[i][len(rows[i])-1] = "end"
			rows[i] = append(rows[i], "end")
			for len(rows[i]) < 7 {
				rows[i] = append(rows[i], "end")
			}
		}
		var out bytes.Buffer
		require.NoError(t, sheets.WriteCSV(&out, written(t, rows)))
		book, err := sheets.Workbook(written(t, rows))
		require.NoError(t, err)
		for kind, data := range map[string][]byte{"csv": out.Bytes(), "workbook": book} {
			got, err := sheets.Read(data)
			require.NoError(t, err)
			for i, row := range rows {
				for j, cell := range row {
					if kind == "csv" && strings.HasPrefix(cell, "'") && len(cell) > 1 && strings.ContainsAny(cell[1:2], "=+-@\t\r") {
						continue // a mark of the coach's own before a formula goes as ours does
					}
					require.Equal(t, cell, got.Rows[i+1][j], kind)
				}
			}
		}
		for _, line := range strings.Split(strings.TrimPrefix(out.String(), "\ufeff"), "\r\n") {
			require.False(t, strings.HasPrefix(line, "="), line)
			require.NotContains(t, line, ",=")
		}
	})
}

func TestAWorkbookExplainsItsColumns(t *testing.T) {
	data, err := sheets.Workbook(written(t, [][]string{{"a", "b"}}))
	require.NoError(t, err)
	book, err := excelize.OpenReader(bytes.NewReader(data))
	require.NoError(t, err)
	require.Equal(t, []string{"Students", "About the columns"}, book.GetSheetList())
	rows, err := book.GetRows("About the columns")
	require.NoError(t, err)
	require.Equal(t, []string{"Students", "", "Those who play"}, rows[1])
	require.Equal(t, []string{"Students", "Column 1", "something"}, rows[3])
}

// Thousands of spoiled files of each kind: each is read or told, and none takes long.
func TestSpoiledFilesAreToldAndTakeNoTime(t *testing.T) {
	book, err := sheets.Workbook(written(t, [][]string{{"Ada", "=1"}, {"Ben", "2016-05-14"}}))
	require.NoError(t, err)
	draw := rand.New(rand.NewPCG(1, 0)) //nolint:gosec // a sample, not a secret
	for kind, good := range map[string][]byte{"workbook": book, "text": []byte("Name;Born\nAda;1.2.16\n\"x\"\"y\";b\n")} {
		for range long.Rounds(1000, 10_000) {
			spoiled := bytes.Clone(good)
			for range 1 + draw.IntN(8) {
				spoiled[draw.IntN(len(spoiled))] = byte(draw.IntN(256)) //nolint:gosec // any byte
			}
			begun := time.Now()
			if _, err := sheets.Read(spoiled); err != nil {
				require.ErrorIs(t, err, sheets.ErrUnreadable)
			}
			require.Less(t, time.Since(begun), 5*time.Second, kind)
		}
	}
}

func FuzzRead(f *testing.F) {
	book, err := sheets.Workbook(written(f, [][]string{{"Ada", "=1"}, {"Ben", "2016-05-14"}}))
	require.NoError(f, err)
	for _, seed := range [][]byte{book, []byte("Name;Born\nAda;1.2.16\n\"x\"\"y\";"), []byte("sep=,\na,b"),
		wide("a\tb\nc\td", true, true), []byte("\"")} {
		f.Add(seed)
	}
	f.Fuzz(func(t *testing.T, data []byte) {
		table, err := sheets.Read(data)
		if err != nil {
			require.ErrorIs(t, err, sheets.ErrUnreadable)
			return
		}
		require.LessOrEqual(t, len(table.Rows), sheets.MaxRows)
		for _, row := range table.Rows {
			require.LessOrEqual(t, len(row), sheets.MaxColumns)
		}
	})
}

// A line of nothing but commas, and a workbook of nothing but sheets, are refused before anything is made of them.
func TestCostlyTablesAreRefused(t *testing.T) {
	for name, text := range map[string]string{
		"commas": strings.Repeat(",", 8_000_000), "tabs": "a\tb\n" + strings.Repeat("\t", 6000),
		"many lines of commas": strings.Repeat(strings.Repeat(",", 6000)+"\n", 1000),
	} {
		var before, after runtime.MemStats
		runtime.ReadMemStats(&before)
		_, err := sheets.Read([]byte(text))
		runtime.ReadMemStats(&after)
		require.ErrorIs(t, err, sheets.ErrUnreadable, name)
		require.ErrorContains(t, err, "more than 100 columns", name)
		require.Less(t, after.TotalAlloc-before.TotalAlloc, uint64(64<<20), name)
	}
	var packed bytes.Buffer
	w := zip.NewWriter(&packed)
	for i := range 5000 {
		_, err := w.Create(fmt.Sprintf("xl/worksheets/sheet%d.xml", i))
		require.NoError(t, err)
	}
	require.NoError(t, w.Close())
	var before, after runtime.MemStats
	runtime.ReadMemStats(&before)
	_, err := sheets.Read(packed.Bytes())
	runtime.ReadMemStats(&after)
	require.ErrorContains(t, err, "more than 200 sheets")
	require.Less(t, after.TotalAlloc-before.TotalAlloc, uint64(64<<20))
}
