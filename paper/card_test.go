package paper_test

import (
	"bytes"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/drill/report"
	"hodometer/core/people/coach"
	"hodometer/paper"
)

func cards(t testing.TB) []paper.Card {
	var list []paper.Card
	for _, d := range library.All() {
		r, err := report.Of(d.Document, 1, coach.Default())
		require.NoError(t, err)
		// As large as the code of a drill gets.
		list = append(
			list,
			paper.Card{
				Drill:  d.Document,
				Report: r,
				Code:   strings.Split(strings.Repeat(strings.Repeat("10", 50)+"\n", 99)+strings.Repeat("10", 50), "\n"),
			},
		)
	}
	return list
}

// Over the whole library: a drill is one card, of A5 and of A6, the same bytes every time; and all of them are a book
// with contents.
func TestEveryDrillIsACard(t *testing.T) {
	t.Parallel()
	all := cards(t)
	for _, c := range all {
		for _, size := range []paper.Size{paper.A5, paper.A6} {
			write := func() []byte {
				var out bytes.Buffer
				require.NoError(t, paper.WriteCard(&out, c, size))
				return out.Bytes()
			}
			pdf := write()
			require.Equal(t, 1, bytes.Count(pdf, []byte("/Type /Page\n")), "%s on %s", c.Drill.Name, size)
			require.Equal(t, pdf, write())
			require.Contains(t, string(pdf), "/Lang (en)")
		}
	}
	var book bytes.Buffer
	require.NoError(t, paper.WriteBook(&book, "My drills", all))
	contents := bytes.Count(book.Bytes(), []byte("/Type /Page\n")) - len(all)
	require.GreaterOrEqual(t, contents, 1)
	require.LessOrEqual(t, contents, 2)
	require.Contains(t, book.String(), "/Outlines")
	var empty bytes.Buffer
	require.NoError(t, paper.WriteBook(&empty, "Nothing", nil))
}

func TestCountingSheetsHaveAPageForEachPlayerAndGame(t *testing.T) {
	t.Parallel()
	c := paper.CountingSheets{
		Lesson: "Grüße",
		Date:   "2026-03-10",
		Games:  []paper.Scoring{{Title: "Tie-break", Players: []string{"Ada", strings.Repeat("Ben", 40)}}},
	}
	for _, name := range []string{"Ada", "Ben"} {
		c.Players = append(c.Players, paper.Counting{Player: name, Parts: []paper.Counted{
			{
				Title: "Corner",
				Goal:  "10 made in all",
				Unit:  "balls",
				Turns: 4,
				Turn:  6,
			},
			{Title: "Rallies", Goal: "20 strokes", Unit: "rallies", Turns: 3},
			{Title: "Long", Goal: "100", Unit: "balls", Turns: 90, Turn: 90},
		}})
	}
	write := func(c paper.CountingSheets) []byte {
		var out bytes.Buffer
		require.NoError(t, paper.WriteCounting(&out, c))
		return out.Bytes()
	}
	require.GreaterOrEqual(t, bytes.Count(write(c), []byte("/Type /Page\n")), 3)
	require.Equal(t, write(c), write(c))
	require.Equal(t, 1, bytes.Count(write(paper.CountingSheets{Lesson: "Talk"}), []byte("/Type /Page\n")))
}
