package api_test

import (
	"encoding/json"
	"net/http"
	"slices"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/drill/library"
	"hodometer/core/lesson/plan"
	"hodometer/core/people/anticipate"
)

// raw is a document as JSON, to be spoilt.
func raw(t *testing.T, document any) map[string]any {
	text, err := json.Marshal(document)
	require.NoError(t, err)
	var whole map[string]any
	require.NoError(t, json.Unmarshal(text, &whole))
	return whole
}

// What once shut a list, ended a lesson or stopped the program is refused by its field, or taken without harm;
// afterwards every list answers.
func TestWhatOnceSpoiltALibrary(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	student := c.student(ada())
	lists := func() {
		t.Helper()
		for _, path := range []string{"/api/drills", "/api/games", "/api/lessons?ahead=7&back=7", "/api/students",
			"/api/played", "/api/played/ranking?sport=tennis", "/api/lessons/offers?students=" + student} {
			require.Equal(t, http.StatusOK, c.ask("GET", path, nil).Code, path)
		}
	}
	refused := func(method, path string, body any, field string) {
		t.Helper()
		w := c.ask(method, path, body, fresh, "*")
		p := readProblem(t, w, http.StatusUnprocessableEntity)
		require.Contains(t, w.Body.String(), field, "%v", p.Fields)
		lists()
	}
	coin := library.All()[0].Document
	for _, radius := range []any{1e-300, 5e-324, 1e-9} {
		refused("PUT", "/api/drills/"+newID(), with(t, coin, "measures.0.target.radius", radius), "measures.0.target.radius")
	}
	game := raw(t, library.Games()[0].Document)
	for _, id := range []string{"x", "%00", "..", "0190a000"} {
		for _, kind := range []string{"games", "drills", "students", "lessons", "played"} {
			w := c.ask("PUT", "/api/"+kind+"/"+id, game, fresh, "*")
			require.True(
				t,
				w.Code == http.StatusBadRequest || w.Code == http.StatusNotFound || w.Code == http.StatusUnprocessableEntity,
				"%s %s: %d",
				kind,
				id,
				w.Code,
			)
		}
	}
	lists()

	// A result of nine trillion points, and somebody who waits a court and a half from the front wall.
	match := map[string]any{
		"version": 1,
		"title":   "Nine",
		"sport":   "tennis",
		"court":   "tennis",
		"date":    "2026-03-10",
		"players": []any{student},
		"rounds":  []any{},
		"entered": []any{
			map[string]any{"near": []any{student}, "far": []any{}, "nearPoints": 1, "farPoints": 9e18},
		},
	}
	refused("PUT", "/api/played/"+newID(), match, "entered.0.farPoints")
	situation := raw(t, anticipate.Situations("squash")[0])
	for _, waiting := range []float64{1.5, 1.3, 1, 0, -1} {
		situation["waiting"] = waiting
		w := c.ask(
			"POST",
			"/api/reckoner/stand",
			map[string]any{
				"court":     "squash",
				"situation": situation,
				"level":     "club player",
				"opponent":  "club player",
				"hand":      "right",
				"theirHand": "left",
			},
		)
		require.Less(t, w.Code, 500, "%g: %s", waiting, w.Body.String())
	}

	// An act of a device that has lost its time is done now, and the lesson goes on.
	block, id := newID(), newID()
	read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, lessonFor(block, student), fresh, "*"))
	act := map[string]any{
		"id":    newID(),
		"at":    "9999-12-31T23:00:00-23:59",
		"clock": map[string]any{"second": 3, "running": true, "finished": false},
	}
	w := c.ask("POST", "/api/lessons/"+id+"/acts", map[string]any{"sent": c.now, "acts": []any{act}})
	require.Equal(t, http.StatusOK, w.Code, w.Body.String())
	for _, what := range []string{"courtside", "kit", "afterwards", "sheet"} {
		require.Equal(t, http.StatusOK, c.ask("GET", "/api/lessons/"+id+"/"+what, nil).Code, what)
	}
	lists()
}

// A file that an earlier program wrote may hold what is refused now: a drill that cannot be worked out, a game that was
// played to nine trillion. No list is shut by it, and the document itself can still be read or taken out.
func TestWhatAnEarlierProgramStoredShutsNoList(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	c.student(ada())
	odd, err := newClubDrill(c, 1e-300)
	require.NoError(t, err)
	for _, path := range []string{"/api/drills", "/api/drills?text=spoilt", "/api/lessons/offers", "/api/games",
		"/api/students", "/api/export", "/api/vocabulary"} {
		w := c.ask("GET", path, nil)
		require.Less(t, w.Code, 500, "%s: %s", path, w.Body)
	}
	require.Less(t, c.ask("GET", "/api/drills/"+odd, nil).Code, 500)
	require.Equal(t, http.StatusOK, c.ask("PUT", "/api/drills/"+odd+"/archived", map[string]any{"archived": true}).Code)
}

// newClubDrill stores a drill with a target of a radius past all checks, as an earlier program did.
func newClubDrill(c *club, radius float64) (string, error) {
	d := library.All()[0].Document
	d.Measures = slices.Clone(d.Measures)
	target := *d.Measures[0].Target
	target.Radius, d.Measures[0].Target, d.Name = radius, &target, "Spoilt"
	id := newID()
	_, err := c.store.Drills.Create(c.t.Context(), id, d)
	return id, err
}
