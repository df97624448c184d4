package api_test

import (
	"net/http"
	"slices"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/api/desk"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/lesson"
	"hodometer/core/lesson/finding"
	"hodometer/core/lesson/plan"
	"hodometer/core/people/coach"
)

// A version is chosen for a block of a lesson, for one student in it, and it is what is planned, expected and counted.
func TestAVersionIsPlayedInALesson(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	one, two := ada(), ada()
	one.Sport, one.Hand, two.Sport, two.Hand, two.Name = "tennis", "right", "tennis", "right", "Ben"
	first, second := c.student(one), c.student(two)
	id, block, before := lessonWith(t, c, "Coin in the Corner", first, second)
	stored, ok := library.Find(before.Document.Blocks[0].Drill)
	require.True(t, ok)

	ladder := read[[]desk.Version](
		t,
		c.ask("POST", "/api/drills/versions", map[string]any{"document": stored, "people": 1, "hand": "right"}),
	)
	require.Len(t, ladder, len(stored.Variations)+1)
	written := slices.IndexFunc(ladder, func(v desk.Version) bool { return v.Name == coach.AsWritten })
	for i, v := range ladder {
		require.Empty(t, v.Problem)
		require.NotNil(t, v.Report)
		require.NotEmpty(t, v.Verdict)
		require.Equal(t, i == written, len(v.Sentences) == 0, v.Name)
		require.Equal(t, i < written, v.Difficulty == "easier", v.Name)
	}

	// Tried by its name, a version is shown with the measures that it has of its own.
	changed := stored.Clone()
	changed.Variations = slices.Clone(changed.Variations)
	own := ladder[0].Measures
	own[0].Goals[0].Count = 7
	i := slices.IndexFunc(changed.Variations, func(v drill.Variation) bool { return v.Name == ladder[0].Name })
	changed.Variations[i].Measures = own
	tried := read[desk.WorkedDrill](
		t,
		c.ask(
			"POST",
			"/api/drills/preview",
			map[string]any{"document": changed, "people": 1, "hand": "right", "version": ladder[0].Name},
		),
	)
	require.Equal(t, 7, tried.Document.Main().Goals[0].Count)
	require.Equal(t, ladder[0].Sentences, tried.Sentences)
	readProblem(
		t,
		c.ask(
			"POST",
			"/api/drills/preview",
			map[string]any{"document": changed, "people": 1, "hand": "right", "version": "never heard of"},
		),
		http.StatusUnprocessableEntity,
	)

	edited := read[desk.EditedLesson](
		t,
		c.ask(
			"POST",
			"/api/lessons/edit",
			map[string]any{
				"document": before.Document,
				"edit":     map[string]any{"kind": "version", "block": block, "text": ladder[0].Name},
			},
		),
	)
	require.Equal(t, ladder[0].Name, edited.Document.Blocks[0].Version)
	document := edited.Document
	document.Blocks[0].Variants = append(
		document.Blocks[0].Variants,
		lesson.Variant{Student: second, Version: ladder[len(ladder)-1].Name},
	)
	saved := read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, document, "If-Match", `"1"`))
	easier, err := stored.Version(ladder[0].Name)
	require.NoError(t, err)
	people := saved.Plan.Blocks[0].People
	require.Equal(t, []string{first, second}, people)
	for _, each := range saved.Plan.Prospects[0].Students {
		require.NotZero(t, each.Rate)
	}
	sheet := read[desk.Sheet](t, c.ask("GET", "/api/lessons/"+id+"/sheet", nil))
	require.Equal(t, easier.Pattern, sheet.Drills[0].Document.Pattern, "the sheet draws the version")
	require.Equal(t, "Coin in the Corner: "+ladder[0].Name, sheet.Content.Sections[0].Title, "and says which it is")

	// A version that is gone is told, with what to do.
	document = saved.Document
	document.Blocks[0].Version = "no more"
	told := read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, document, "If-Match", `"2"`))
	require.True(t, slices.ContainsFunc(told.Plan.Findings, func(f finding.Finding) bool {
		return f.Block == block && len(f.Remedies) == 1 && f.Remedies[0].Label == "Play it as written"
	}), "%v", told.Plan.Findings)
	readProblem(
		t,
		c.ask(
			"POST",
			"/api/lessons/edit",
			map[string]any{
				"document": before.Document,
				"edit":     map[string]any{"kind": "version", "block": block, "text": "no more"},
			},
		),
		http.StatusUnprocessableEntity,
	)
}
