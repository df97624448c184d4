package api_test

import (
	"maps"
	"net/http"
	"net/http/httptest"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/api/desk"
	"hodometer/api/repository"
	"hodometer/core/drill/library"
	"hodometer/core/drill/report"
	"hodometer/core/lesson/plan"
	"hodometer/core/people/student"
	"hodometer/core/sport/sports"
)

func TestTwoTabsThatEditTheSameDrill(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	id := newID()
	made := c.ask("POST", "/api/drills/"+library.All()[0].ID+"/duplicate", map[string]any{"id": id})
	own := read[repository.Drill](t, made)
	require.Equal(t, `"1"`, made.Header().Get("ETag"))

	mine, yours := own.Document, own.Document
	mine.Pattern.Gap, yours.Pattern.Gap = 4, 5
	first := c.ask("PUT", "/api/drills/"+id, mine, "If-Match", `"1"`)
	require.Equal(t, `"2"`, first.Header().Get("ETag"))
	p := readProblem(t, c.ask("PUT", "/api/drills/"+id, yours, "If-Match", `"1"`), http.StatusPreconditionFailed)
	require.Contains(t, p.Detail, "changed somewhere else")
	require.InDelta(t, 4, read[repository.Drill](t, c.ask("GET", "/api/drills/"+id, nil)).Document.Pattern.Gap, 1e-9)

	readProblem(t, c.ask("PUT", "/api/drills/"+id, yours), http.StatusPreconditionRequired)
	readProblem(t, c.ask("PUT", "/api/drills/"+id, yours, "If-Match", "2"), http.StatusBadRequest)
	readProblem(t, c.ask("PUT", "/api/drills/"+library.All()[0].ID, yours, "If-Match", `"1"`), http.StatusForbidden)
	readProblem(t, c.ask("PUT", "/api/drills/"+id, yours, fresh, "*"), http.StatusConflict)
	read[repository.Drill](t, c.ask("PUT", "/api/drills/"+id, yours, "If-Match", `"2"`))
}

func TestMovingAPlaceForALeftHander(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	ask := func(hand student.Hand) desk.WorkedDrill {
		return read[desk.WorkedDrill](t, c.ask("POST", "/api/drills/preview", map[string]any{
			"document": coin(),
			"people":   1,
			"hand":     hand,
			"edit": map[string]any{
				"move": map[string]any{
					"handle": "places.0.mark",
					"to":     map[string]any{"x": 1.02, "y": -12.5},
					"roundX": true,
					"roundY": true,
				},
			},
		}))
	}
	right, left := ask(student.RightHand), ask(student.LeftHand)
	require.InDelta(t, 1, right.Report.Spots[0].At.X, 1e-9, "rounded to 5 cm")
	require.InDelta(t, 1, left.Report.Spots[0].At.X, 1e-9, "it stays where it was dropped")
	require.NotEqual(
		t,
		right.Document.Places[0],
		left.Document.Places[0],
		"the drill itself is written for a right-hander",
	)
	require.Equal(t, left.Document.Places[0].Mark, right.Document.Places[0].Mark.Mirrored())
}

func TestLengthsAndPlacesTypedInWords(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	typed := func(path, text string) *httptest.ResponseRecorder {
		return c.ask(
			"POST",
			"/api/drills/preview",
			map[string]any{
				"document": coin(),
				"people":   1,
				"hand":     "right",
				"edit":     map[string]any{"typed": map[string]any{"path": path, "text": text}},
			},
		)
	}
	worked := read[desk.WorkedDrill](t, typed("measures.0.target.mark.measures.0", "4 ft 6 in"))
	require.InDelta(t, 1.3716, worked.Document.Main().Target.Mark.Measures[0].Distance, 1e-9)
	require.InDelta(
		t,
		0.9,
		read[desk.WorkedDrill](t, typed("measures.0.target.radius", "90 cm")).Report.Measures[0].Target.Radius,
		1e-9,
	)
	for path, text := range map[string]string{"measures.0.target.mark.measures.0": "near the line",
		"measures.0.target.radius": "0", "places.0.mark.measures.0": "40 m"} {
		p := readProblem(t, typed(path, text), http.StatusUnprocessableEntity)
		require.Contains(t, p.Fields[0].Path, path[:6])
	}
	readProblem(t, typed("measures.0.target.colour", "red"), http.StatusUnprocessableEntity)

	s := read[desk.Settings](t, c.ask("GET", "/api/settings", nil))
	s.Settings.Within = "diameter"
	read[desk.Settings](t, c.ask("PUT", "/api/settings", s.Settings, "If-Match", `"0"`))
	require.InDelta(
		t,
		0.45,
		read[desk.WorkedDrill](t, typed("measures.0.target.radius", "90 cm")).Report.Measures[0].Target.Radius,
		1e-9,
	)
}

func TestChangingTheCourtIsShownBeforeItIsDone(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	ask := func(court string, plain ...string) *httptest.ResponseRecorder {
		return c.ask(
			"POST",
			"/api/drills/transfer",
			map[string]any{"document": coin(), "court": court, "scales": []string{}, "plain": append([]string{}, plain...)},
		)
	}
	red := read[desk.Transferred](t, ask("tennis-red"))
	require.EqualValues(t, "tennis-red", red.Document.Court)
	require.NotNil(t, red.Marks[0].Moved.Keeps.At)
	require.NotEqual(t, red.Marks[0].Moved.Keeps.At, red.Marks[0].Moved.Scales.At)
	squash := read[desk.Transferred](t, ask("squash"))
	require.NotEmpty(t, squash.Problems, "a baseline makes no sense in squash")
	require.Len(t, squash.Marks, len(red.Marks), "and no mark is lost")
	var handles []string
	for _, mark := range squash.Marks {
		handles = append(handles, mark.Handle)
	}
	require.Empty(
		t,
		read[desk.Transferred](t, ask("squash", handles...)).Problems,
		"as plain places all of it can go there",
	)
	readProblem(t, ask("beach"), http.StatusUnprocessableEntity)
}

func TestRegionsAreNumberedByTheCoachsSchool(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	out := read[[]desk.Regions](t, c.ask("GET", "/api/courts/tennis/regions", nil))
	require.Equal(t, 1, out[0].Bands[0].Number)
	s := read[desk.Settings](t, c.ask("GET", "/api/settings", nil))
	s.Settings.Numbering = "from the baseline in"
	four := func(depth float64) map[string]any {
		return map[string]any{"line": "near-service-line", "distance": depth, "toward": "in"}
	}
	own := map[string]any{"name": "mine", "court": "tennis", "depths": []any{
		map[string]any{
			"name":    "a",
			"purpose": "",
			"stop":    four(1),
		},
		map[string]any{"name": "b", "purpose": "", "stop": four(2)},
		map[string]any{"name": "c", "purpose": "", "stop": four(0)},
	}}
	settings := with(t, s.Settings, "schemes", []any{own})
	p := readProblem(t, c.ask("PUT", "/api/settings", settings, "If-Match", `"0"`), http.StatusUnprocessableEntity)
	require.Equal(t, "schemes.0.depths.1.stop", p.Fields[0].Path)
	own["depths"].([]any)[1].(map[string]any)["stop"] = four(0)
	read[desk.Settings](t, c.ask("PUT", "/api/settings", with(t, s.Settings, "schemes", []any{own}), "If-Match", `"0"`))
	in := read[[]desk.Regions](t, c.ask("GET", "/api/courts/tennis/regions", nil))
	require.Equal(t, len(in[0].Bands), in[0].Bands[0].Number)
	require.True(t, in[len(in)-1].Own)
}

func TestAPlaceIsReadOffWhileItIsDragged(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	move := map[string]any{"handle": "measures.0.target.mark", "to": map[string]any{"x": -2.0, "y": 9.0}}
	ask := func(move map[string]any) *httptest.ResponseRecorder {
		return c.ask("POST", "/api/drills/moved", map[string]any{"document": coin(), "hand": "right", "move": move})
	}
	moved := read[report.Moved](t, ask(move))
	require.InDelta(t, -2, moved.Spot.At.X, 1e-9)
	require.Equal(t, moved.Spot.At, moved.Measures[0].Target.Centre)
	// Dragged, it reads as what dropping it makes of it.
	dropped := read[desk.WorkedDrill](t, c.ask("POST", "/api/drills/preview",
		map[string]any{"document": coin(), "people": 1, "hand": "right", "edit": map[string]any{"move": move}}))
	require.Equal(t, dropped.Report.Measures, moved.Measures)
	require.Equal(t, dropped.Report.Measures[0].Aim, moved.Measures[0].Aim)
	require.Contains(t, dropped.Report.Spots, *moved.Spot)
	wrong := readProblem(t, ask(with(t, move, "handle", "places.9.mark")), http.StatusUnprocessableEntity)
	require.Equal(t, "move.handle", wrong.Fields[0].Path)
}

func TestADrillIsTriedOnSomebodyAndVaried(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	preview := func(more map[string]any) *httptest.ResponseRecorder {
		body := map[string]any{"document": coin(), "people": 1, "hand": "right"}
		maps.Copy(body, more)
		return c.ask("POST", "/api/drills/preview", body)
	}
	written := read[desk.WorkedDrill](t, preview(nil))
	require.Len(t, written.Simulation.Timeline.Interceptions, 6)
	require.NotEmpty(t, written.Simulation.Tempos)
	beginner := read[desk.WorkedDrill](t, preview(map[string]any{"level": "beginner"}))
	require.Greater(
		t,
		written.Simulation.Timeline.Interceptions[0].Spare,
		beginner.Simulation.Timeline.Interceptions[0].Spare,
	)
	ada := read[desk.WorkedDrill](t, preview(map[string]any{"student": c.student(ada())}))
	require.NotEqual(t, written.Simulation.Player, ada.Simulation.Player)
	readProblem(t, preview(map[string]any{"student": newID()}), http.StatusNotFound)

	quicker := read[desk.WorkedDrill](t, preview(map[string]any{"steps": []map[string]any{{"kind": "quicken", "by": 1}}}))
	require.Equal(t, []string{"The gap is 1 s shorter: 2.5 s instead of 3.5 s."}, quicker.Sentences)
	require.InDelta(t, 2.5, quicker.Document.Pattern.Gap, 1e-9)
	p := readProblem(
		t,
		preview(map[string]any{"steps": []map[string]any{{"kind": "drop a task", "task": 9}}}),
		http.StatusUnprocessableEntity,
	)
	require.Contains(t, p.Fields[0].Message, "there is no task 9")

	// A feed that cannot clear the net is a finding with its field, and the drill can still be kept.
	flat := with(t, coin(), "pattern.tasks.0.by", "time")
	flat = with(t, flat, "pattern.tasks.0.value", 0.4)
	told := read[desk.WorkedDrill](
		t,
		c.ask("POST", "/api/drills/preview", map[string]any{"document": flat, "people": 1, "hand": "right"}),
	)
	require.Equal(t, "pattern.tasks.0", told.Simulation.Problems[0].Path)
	require.Contains(t, told.Simulation.Problems[0].Message, "it would clip the net by")
	read[repository.Drill](t, c.ask("PUT", "/api/drills/"+newID(), flat, fresh, "*"))
}

func TestWordsAndLengths(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	phrase := read[desk.Vocabulary](t, c.ask("GET", "/api/vocabulary", nil))
	require.Contains(t, phrase.Sports[0].Strokes, sports.Overhead)
	require.Len(t, phrase.Transformations, 20)
	length := read[desk.Length](t, c.ask("POST", "/api/lengths", map[string]any{"text": "4 ft 6 in"}))
	require.InDelta(t, 1.3716, length.Metres, 1e-9)
	require.Equal(t, "1.5 m", read[desk.Length](t, c.ask("POST", "/api/lengths", map[string]any{"metres": 1.5})).Text)
	readProblem(t, c.ask("POST", "/api/lengths", map[string]any{"text": "a bit"}), http.StatusUnprocessableEntity)
}

func TestWhereADrillIsUsed(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	studentID := c.student(ada())
	id := newID()
	c.ok("PUT", "/api/lessons/"+id, lessonFor(newID(), studentID), fresh, "*")
	c.ok("PUT", "/api/lessons/"+newID(), with(t, lessonFor(newID(), studentID), "date", "2026-03-09"), fresh, "*")
	uses := read[[]desk.Use](t, c.ask("GET", "/api/drills/"+library.All()[0].ID+"/uses", nil))
	require.Equal(
		t,
		[]desk.Use{{ID: id, Title: "Tuesday", Date: "2026-03-10", Start: "16:00"}},
		uses,
		"only what is still to come",
	)
	require.Empty(t, read[[]desk.Use](t, c.ask("GET", "/api/drills/"+library.All()[1].ID+"/uses", nil)))
}

func TestClashesFollowWhatIsTyped(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	studentID, id := c.student(ada()), newID()
	c.ok("PUT", "/api/lessons/"+newID(), lessonFor(newID(), studentID), fresh, "*")
	later := with(t, lessonFor(newID(), studentID), "start", "17:00")
	require.Empty(t, read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, later, fresh, "*")).Clashes)
	require.Empty(t, read[[]string](t, c.ask("POST", "/api/lessons/"+id+"/clashes", later)))
	sooner := with(t, later, "start", "16:15")
	require.Equal(
		t,
		[]string{"Overlaps with Tuesday, 16:00 to 16:30; Ada is in both."},
		read[[]string](t, c.ask("POST", "/api/lessons/"+id+"/clashes", sooner)),
	)
}
