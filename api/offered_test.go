package api_test

import (
	"encoding/json"
	"net/http"
	"net/url"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/api/desk"
	"hodometer/core/drill/library"
	"hodometer/core/drill/load"
	"hodometer/core/lesson"
	"hodometer/core/lesson/offer"
	"hodometer/core/lesson/schedule"
	"hodometer/core/lesson/template"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/internal/long"
)

// roundTrip keeps a document, reads it again, and keeps what came back: it must stay the same.
func roundTrip(t *testing.T, c *club, kind string, document any) {
	path := "/api/" + kind + "/" + newID()
	var record, again struct {
		Document json.RawMessage `json:"document"`
	}
	require.NoError(t, json.Unmarshal(c.ok("PUT", path, document, fresh, "*"), &record))
	require.NoError(t, json.Unmarshal(c.ok("PUT", path, string(record.Document), "If-Match", `"1"`), &again))
	require.JSONEq(t, string(record.Document), string(again.Document))
}

// ok returns the body of an answer that must be good.
func (c *club) ok(method, path string, body any, headers ...string) []byte {
	w := c.ask(method, path, body, headers...)
	require.Equal(c.t, http.StatusOK, w.Code, w.Body.String())
	return w.Body.Bytes()
}

// drillNames are those of the library.
func drillNames() []string {
	names := []string{}
	for _, stored := range library.All() {
		names = append(names, stored.Document.Name)
	}
	return names
}

func TestEverythingThatIsOfferedCanBeSaved(t *testing.T) {
	t.Parallel()
	long.Skip(t)
	for _, people := range long.Some(t, []int{1, 2, 3, 5, 8, 12}, 2) {
		c := newClub(t)
		var students []string
		for range people {
			students = append(students, c.student(ada()))
		}
		var blocks []lesson.Block
		for _, text := range append([]string{"", "warm-up"}, drillNames()...) {
			var offers []offer.Offer
			require.NoError(
				t,
				json.Unmarshal(
					c.ok("GET", "/api/lessons/offers?students="+strings.Join(students, ",")+"&text="+url.QueryEscape(text), nil),
					&offers,
				),
			)
			require.NotEmpty(t, offers, text)
			for _, offer := range offers {
				if offer.Block != nil &&
					!slices.ContainsFunc(
						blocks,
						func(b lesson.Block) bool { return b.Plays() == offer.Block.Plays() && b.Title == offer.Block.Title },
					) {
					blocks = append(blocks, *offer.Block)
				}
			}
		}
		require.Greater(t, len(blocks), 2*len(library.All()), "with their versions")
		for len(blocks) > 0 {
			n := min(len(blocks), lesson.MaxBlocks)
			roundTrip(
				t,
				c,
				"lessons",
				lesson.Document{
					FormatVersion: lesson.FormatVersion,
					Title:         "All",
					Date:          "2026-03-10",
					Start:         "16:00",
					Minutes:       600,
					Students:      students,
					Blocks:        blocks[:n],
				},
			)
			blocks = blocks[n:]
		}
		for _, template := range template.Templates() {
			empty := lesson.Document{
				FormatVersion: lesson.FormatVersion,
				Title:         template.Name,
				Date:          "2026-03-10",
				Start:         "16:00",
				Minutes:       60,
				Students:      students,
				Blocks:        []lesson.Block{},
			}
			var filled desk.EditedLesson
			w := c.ask("POST", "/api/lessons/fill", map[string]any{"document": empty, "template": template.Name})
			if w.Code == http.StatusUnprocessableEntity {
				continue // a shape for another number of people, which is told
			}
			require.Equal(t, http.StatusOK, w.Code, w.Body.String())
			require.NoError(t, json.Unmarshal(w.Body.Bytes(), &filled))
			roundTrip(t, c, "lessons", filled.Document)
			for _, finding := range filled.Plan.Findings {
				for _, remedy := range finding.Remedies {
					var changed desk.EditedLesson
					require.NoError(
						t,
						json.Unmarshal(
							c.ok("POST", "/api/lessons/edit", map[string]any{"document": filled.Document, "edit": remedy.Edit}),
							&changed,
						),
						remedy.Label,
					)
					roundTrip(t, c, "lessons", changed.Document)
				}
			}
		}
	}
}

func TestEveryBuiltInDocumentKeepsToItsSchema(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	for _, stored := range library.All() {
		t.Run(stored.Document.Name, func(t *testing.T) {
			c.t = t
			roundTrip(t, c, "drills", stored.Document)
			roundTrip(t, c, "drills", stored.Document.Copy())
			roundTrip(t, c, "drills", stored.Document.For(student.LeftHand))
		})
	}
	c.t = t
	c.ok("PUT", "/api/settings", coach.Default(), "If-Match", `"0"`)
}

func TestWhatIsProposedCanBeSaved(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	wren := ada()
	wren.Name = strings.Repeat("Wren ", 16)
	students := []string{c.student(ada()), c.student(wren)}
	for _, stored := range long.Some(t, library.All(), 12) {
		block := schedule.ForDrill(stored.ID, stored.Document, 2, load.Space{}, coach.Default())
		block.ID = newID()
		d := lesson.Document{
			FormatVersion: lesson.FormatVersion,
			Title:         "All",
			Date:          "2026-03-10",
			Start:         "16:00",
			Minutes:       600,
			Students:      students,
			Blocks:        []lesson.Block{block},
		}
		for _, studentID := range students {
			var v lesson.Variant
			require.NoError(
				t,
				json.Unmarshal(
					c.ok("POST", "/api/lessons/propose", map[string]any{"document": d, "block": block.ID, "student": studentID}),
					&v,
				),
			)
			d.Blocks[0].Variants = append(d.Blocks[0].Variants, v)
		}
		roundTrip(t, c, "lessons", d)
	}
}

func TestALessonOfTheMostBlocksTakesALateComer(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	first, late := c.student(ada()), c.student(ada())
	d := lesson.Document{
		FormatVersion: lesson.FormatVersion,
		Title:         "Full",
		Date:          "2026-03-10",
		Start:         "16:00",
		Minutes:       100,
		Students:      []string{first},
	}
	for range lesson.MaxBlocks {
		block := lesson.Starters("")[0]
		block.ID, block.Minutes, block.Calls = newID(), 5, []lesson.Call{}
		d.Blocks = append(d.Blocks, block)
	}
	edit := map[string]any{
		"kind":       "attendance",
		"attendance": map[string]any{"present": []string{first, late}, "second": 450, "space": map[string]any{}},
	}
	var changed desk.EditedLesson
	require.NoError(
		t,
		json.Unmarshal(c.ok("POST", "/api/lessons/edit", map[string]any{"document": d, "edit": edit}), &changed),
	)
	require.Len(t, changed.Document.Blocks, lesson.MaxBlocks)
	require.Contains(t, changed.Sentences[0].String(), "is not cut, because a lesson has at most 20 blocks")
	roundTrip(t, c, "lessons", changed.Document)

	d.Blocks = append(d.Blocks, d.Blocks[0])
	d.Blocks[lesson.MaxBlocks].ID = newID()
	one := lesson.Starters("")[0]
	one.ID = newID()
	p := readProblem(
		t,
		c.ask(
			"POST",
			"/api/lessons/edit",
			map[string]any{"document": changed.Document, "edit": map[string]any{"kind": "insert", "new": one}},
		),
		http.StatusUnprocessableEntity,
	)
	require.Equal(t, "blocks", p.Fields[0].Path)
	require.Contains(t, p.Fields[0].Message, "at most 20 blocks")
	p = readProblem(t, c.ask("PUT", "/api/lessons/"+newID(), d, fresh, "*"), http.StatusUnprocessableEntity)
	require.Equal(t, "blocks", p.Fields[0].Path)
}
