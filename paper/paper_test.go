package paper_test

import (
	"bytes"
	"fmt"
	"regexp"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/drill/report"
	"hodometer/core/lesson"
	"hodometer/core/lesson/plan"
	"hodometer/core/lesson/runsheet"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/paper"
)

// content is a lesson of so many drills for so many players, with everything that a sheet shows.
func content(t testing.TB, drills, players int) paper.Content {
	t.Helper()
	in := schedule.Inputs{Drills: map[string]drill.Document{}, Settings: coach.Default()}
	d := lesson.Document{
		FormatVersion: lesson.FormatVersion,
		Title:         "Grüße, Łódź – six",
		Date:          "2026-03-10",
		Start:         "16:00",
		Minutes:       120,
		Note:          "Bring the long rope",
		Blocks:        lesson.Starters(""),
	}
	for i := range players {
		id := fmt.Sprint("p", i)
		d.Students = append(d.Students, id)
		in.People = append(
			in.People,
			lesson.Person{ID: id, Profile: student.Profile{Name: fmt.Sprint("Player ", i), Watch: []string{"late split step"}}},
		)
	}
	c := paper.Content{}
	for _, stored := range library.All()[:drills] {
		in.Drills[stored.ID] = stored.Document
		d.Blocks = append(d.Blocks, schedule.ForDrill(stored.ID, stored.Document, players, d.Space, in.Settings))
		report, err := report.Of(stored.Document, players, in.Settings)
		require.NoError(t, err)
		c.Drills = append(c.Drills, paper.Drawn{Name: stored.Document.Name, Report: report})
	}
	for i := range d.Blocks {
		d.Blocks[i].ID = fmt.Sprint(i)
	}
	p, err := plan.Make(t.Context(), d, in)
	require.NoError(t, err)
	c.Date, c.Schedule, c.Sheet = d.Date, p.Timetable, runsheet.ContentOf(d, p, runsheet.Cues(d, p.Timetable, in))
	return c
}

func written(t testing.TB, c paper.Content, size paper.Size) string {
	var pdf bytes.Buffer
	require.NoError(t, paper.Write(&pdf, c, size))
	return pdf.String()
}

func TestOnePageOfA4AndOneCardOfA5(t *testing.T) {
	t.Parallel()
	page := regexp.MustCompile(`/Type /Page\b`)
	sizes := map[paper.Size]string{paper.A4: "/MediaBox [0 0 595.28 841.89]", paper.A5: "/MediaBox [0 0 420.94 595.28]"}
	for size, box := range sizes {
		for _, c := range []struct{ drills, players int }{{0, 1}, {1, 1}, {2, 6}, {4, 12}, {8, 2}} {
			t.Run(fmt.Sprint(size, c), func(t *testing.T) {
				pdf := written(t, content(t, c.drills, c.players), size)
				require.True(t, strings.HasPrefix(pdf, "%PDF-"))
				require.Len(t, page.FindAllString(pdf, -1), 1, "one page")
				require.Contains(t, pdf, box)
			})
		}
	}
}

// TestEveryPlaneIsPrinted puts characters of all seventeen planes of Unicode, whole and broken, everywhere a
// coach can type.
func TestEveryPlaneIsPrinted(t *testing.T) {
	t.Parallel()
	var odd []string
	for plane := range rune(17) {
		text := ""
		for _, at := range []rune{0, 1, 0x7F, 0x300, 0x4E2D, 0xF600, 0xFE0F, 0xFFFD, 0xFFFF} {
			text += string(plane<<16 + at)
		}
		odd = append(odd, text)
	}
	odd = append(odd, "👩🏽‍🏫", "🎾", "e\u0301", "שלום", "नमस्ते", "a\tb\nc", "\xff\xfe", strings.Repeat("🎾", 40))
	for size := range map[paper.Size]bool{paper.A4: true, paper.A5: true} {
		for _, text := range append(odd, strings.Join(odd, "")) {
			c := content(t, 1, 2)
			c.Sheet.Title, c.Sheet.Note, c.Sheet.About = "Six "+text, text, text+" Ostley"
			c.Sheet.Facts = append(c.Sheet.Facts, runsheet.Entry{Name: text, Text: text})
			c.Sheet.Cautions = append(c.Sheet.Cautions, text)
			for i := range c.Sheet.Sections {
				c.Sheet.Sections[i].Title = text
				for k := range c.Sheet.Sections[i].Lines {
					c.Sheet.Sections[i].Lines[k].Text += text
				}
			}
			c.Drills[0].Name, c.Drills[0].Report.Measures[0].Where = text, text
			require.True(t, strings.HasPrefix(written(t, c, size), "%PDF-"), "%q", text)
		}
	}
}

func TestTheSameLessonGivesTheSameFile(t *testing.T) {
	t.Parallel()
	c := content(t, 3, 4)
	require.Equal(t, written(t, c, paper.A4), written(t, c, paper.A4))
	c.Sheet.Title = "Another"
	require.NotEqual(t, written(t, content(t, 3, 4), paper.A4), written(t, c, paper.A4))
}

func BenchmarkWriteA4(b *testing.B) {
	c := content(b, 3, 6)
	for b.Loop() {
		written(b, c, paper.A4)
	}
}
