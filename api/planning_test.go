package api_test

import (
	"net/http"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/api/courtside"
	"hodometer/api/desk"
	"hodometer/core/drill/library"
	"hodometer/core/lesson"
	"hodometer/core/lesson/editing"
	"hodometer/core/lesson/plan"
	"hodometer/core/lesson/schedule"
	"hodometer/core/lesson/template"
	"hodometer/core/people/student"
)

func named(name string, age student.AgeBand) student.Profile {
	p := ada()
	p.Name, p.Age = name, age
	return p
}

func TestALessonIsFilledChangedAndCopied(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	ada, ben := c.student(ada()), c.student(named("Ben", student.Eleven))
	document := map[string]any{
		"version": 4, "title": "Pair", "date": "2026-03-10", "start": "16:00", "minutes": 60, "students": []string{ada, ben},
		"space": map[string]any{}, "blocks": []any{}, "note": "",
	}
	require.Len(t, read[[]template.Template](t, c.ask("GET", "/api/lessons/templates", nil)), len(template.Templates()))
	filled := read[editing.Edited](
		t,
		c.ask("POST", "/api/lessons/fill", map[string]any{"document": document, "template": "Hour for a pair"}),
	)
	require.True(t, filled.Fits)
	require.Len(t, filled.Document.Blocks, 7)
	p := readProblem(
		t,
		c.ask("POST", "/api/lessons/fill", map[string]any{"document": document, "template": "Group of six"}),
		422,
	)
	require.Equal(t, "students", p.Fields[0].Path)
	readProblem(t, c.ask("POST", "/api/lessons/fill", map[string]any{"document": document, "template": "none"}), 422)

	first := filled.Document.Blocks[2]
	changed := read[editing.Edited](
		t,
		c.ask(
			"POST",
			"/api/lessons/edit",
			map[string]any{
				"document": filled.Document,
				"edit":     editing.Edit{Kind: editing.Resize, Block: first.ID, Minutes: 15},
			},
		),
	)
	require.InDelta(t, 15, changed.Document.Blocks[2].Minutes, 1e-9)
	water := map[string]any{
		"kind": "insert",
		"to":   3,
		"new":  map[string]any{"id": newID(), "kind": "break", "title": "Water", "minutes": 3, "effort": 0, "calls": []any{}},
	}
	put := read[desk.EditedLesson](
		t,
		c.ask("POST", "/api/lessons/edit", map[string]any{"document": changed.Document, "edit": water}),
	)
	require.Len(t, put.Document.Blocks, 8)

	variant := read[lesson.Variant](
		t,
		c.ask("POST", "/api/lessons/propose", map[string]any{"document": put.Document, "block": first.ID, "student": ada}),
	)
	require.Equal(t, ada, variant.Student)
	courts := read[[]schedule.CourtPlan](t, c.ask("POST", "/api/lessons/courts", put.Document))
	require.NotEmpty(t, courts[0].Walk)

	id := newID()
	record := read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, put.Document, fresh, "*"))
	require.Empty(t, record.Clashes)
	require.Equal(t, put.Plan, record.Plan, "the plan that was shown is the one that is kept")
	copies := map[string]any{"ids": []string{newID(), newID(), newID()}, "date": "2026-03-17"}
	made := read[[]plan.Lesson](t, c.ask("POST", "/api/lessons/"+id+"/copies", copies))
	require.Len(t, made, 3)
	require.Equal(t, "2026-03-31", made[2].Document.Date)
	again := read[[]plan.Lesson](t, c.ask("POST", "/api/lessons/"+id+"/copies", copies))
	require.Equal(t, made[0].Revision, again[0].Revision, "asked twice, made once")
	sameHour := read[[]plan.Lesson](
		t,
		c.ask("POST", "/api/lessons/"+id+"/copies", map[string]any{"ids": []string{newID()}, "date": "2026-03-10"}),
	)
	require.Equal(t, "Overlaps with Pair, 16:00 to 17:00; Ada and Ben are in both.", sameHour[0].Clashes[0])
	diary := read[desk.Diary](t, c.ask("GET", "/api/lessons?ahead=0&back=0", nil))
	require.Len(t, diary.Lessons, 2)
	require.Equal(t, sameHour[0].Clashes, diary.Lessons[0].Clashes)
	readProblem(t, c.ask("POST", "/api/lessons/"+newID()+"/copies", copies), 404)
}

func TestSomebodyComesLateToALessonThatRuns(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	ada, ben, block, id := c.student(ada()), c.student(named("Ben", student.Adult)), newID(), newID()
	record := read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, lessonFor(block, ada), fresh, "*"))
	entry := map[string]any{"seq": 0, "kind": "turn", "made": 4, "of": 6, "at": c.now}
	taps := func(run, block, studentID string) map[string]any {
		return map[string]any{"run": run, "block": block, "student": studentID, "entries": []any{entry}}
	}
	c.tap(id, taps(newID(), block, ada))

	late := read[editing.Edited](
		t,
		c.ask(
			"POST",
			"/api/lessons/edit",
			lessonEdit(
				record.Document,
				editing.Edit{
					Kind:       editing.SetAttendance,
					Attendance: &editing.Attendance{Present: []string{ada, ben}, Second: 12 * 60},
				},
			),
		),
	)
	require.Len(t, late.Document.Blocks, 3)
	rest := late.Document.Blocks[2]
	require.Equal(t, block, rest.Continues)
	read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, late.Document, "If-Match", `"1"`))
	counters := c.tap(id, taps(newID(), rest.ID, ada))
	require.Len(t, counters, 3, "Ada before, Ada and Ben after")
	for _, counter := range counters {
		if counter.Student == ada {
			require.Equal(t, 8, counter.Count.Made, "balls count on")
		}
	}
	after := read[courtside.Afterwards](t, c.ask("GET", "/api/lessons/"+id+"/afterwards", nil))
	require.Equal(t, 8, after.Students[0].Made, "and are counted once")
	require.Len(t, after.Counters, 2)
}

func lessonEdit(d lesson.Document, edit editing.Edit) map[string]any {
	return map[string]any{"document": d, "edit": edit}
}

func TestTheSheetOfALesson(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	studentID, id := c.student(ada()), newID()
	document := lessonFor(newID(), studentID)
	read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, document, fresh, "*"))
	sheet := read[desk.Sheet](t, c.ask("GET", "/api/lessons/"+id+"/sheet", nil))
	require.Equal(t, library.All()[0].ID, sheet.Drills[0].ID)
	require.Equal(t, "Coin", sheet.Content.Sections[1].Title)
	require.Contains(t, sheet.Content.Sections[1].Lines[0].Text, "Put down ")
	for _, paper := range []string{"A4", "A5"} {
		pdf := c.ask("GET", "/api/lessons/"+id+"/sheet.pdf?paper="+paper, nil)
		require.Equal(t, http.StatusOK, pdf.Code)
		require.Equal(t, "application/pdf", pdf.Header().Get("Content-Type"))
		require.Equal(t, "%PDF-", pdf.Body.String()[:5])
	}
	p := readProblem(t, c.ask("GET", "/api/lessons/"+id+"/sheet.pdf?paper=B7", nil), 422)
	require.Equal(t, "paper", p.Fields[0].Path)
	readProblem(t, c.ask("GET", "/api/lessons/"+newID()+"/sheet.pdf", nil), 404)
}

func TestALessonToBeginWith(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	studentID := c.student(ada())
	begin := func(body map[string]any) lesson.Document {
		return read[lesson.Document](t, c.ask("POST", "/api/lessons/begin", body))
	}
	asked := map[string]any{"title": "", "date": "", "start": "16:00", "minutes": 60, "students": []string{studentID}}
	d := begin(asked)
	require.Equal(t, "Ada", d.Title, "their names, where it has no title")
	require.Equal(t, "2026-03-10", d.Date, "today, where no day is said")
	require.NotEmpty(t, d.Blocks)
	require.NotEqual(t, d.Blocks[0].ID, begin(asked).Blocks[0].ID, "blocks of their own every time")
	c.ok("PUT", "/api/lessons/"+newID(), d, fresh, "*")
	p := readProblem(
		t,
		c.ask(
			"POST",
			"/api/lessons/begin",
			map[string]any{"title": "", "date": "2026-02-31", "start": "16:00", "minutes": 60, "students": []string{}},
		),
		http.StatusUnprocessableEntity,
	)
	require.Equal(t, []string{"date", "students"}, []string{p.Fields[0].Path, p.Fields[1].Path})
}
