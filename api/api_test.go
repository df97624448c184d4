package api_test

import (
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"log/slog"
	"net/http"
	"net/http/httptest"
	"os"
	"path/filepath"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/require"

	"hodometer/api"
	"hodometer/api/courtside"
	"hodometer/api/desk"
	"hodometer/api/door"
	"hodometer/api/repository"
	"hodometer/api/request"
	"hodometer/core/count/tally"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/lesson/plan"
	"hodometer/core/live/underway"
	"hodometer/core/people/coach"
	"hodometer/core/people/student"
	"hodometer/keeping"
	"hodometer/store"
)

// club is a running server with an empty file, and its log.
type club struct {
	t     testing.TB
	http  http.Handler
	doors door.Doors
	log   bytes.Buffer
	now   time.Time
	store *store.Store
	path  string // of its file
}

// emptyFile is a file with all its tables and nothing in them, to be copied.
var emptyFile = sync.OnceValues(func() ([]byte, error) {
	folder, err := os.MkdirTemp("", "hodometer")
	if err != nil {
		return nil, err
	}
	defer func() { _ = os.RemoveAll(folder) }()
	path := filepath.Join(folder, "empty.db")
	s, err := store.Open(context.Background(), path, nil)
	if err != nil {
		return nil, err
	}
	if err := s.Close(); err != nil {
		return nil, err
	}
	return os.ReadFile(path)
})

func newClub(t testing.TB, change ...func(*api.Options)) *club {
	path := filepath.Join(t.TempDir(), "club.db")
	empty, err := emptyFile()
	require.NoError(t, err)
	require.NoError(t, os.WriteFile(path, empty, 0o600))
	return openClub(t, path, change...)
}

// openClub starts a server on a file.
func openClub(t testing.TB, path string, change ...func(*api.Options)) *club {
	s, err := store.Open(t.Context(), path, nil)
	require.NoError(t, err)
	t.Cleanup(func() { require.NoError(t, s.Close()) })
	c := &club{t: t, path: path, store: s, now: time.Date(2026, 3, 10, 16, 0, 0, 0, time.UTC)}
	c.start(change...)
	return c
}

// start starts the server of a club, or another one on the same file.
func (c *club) start(change ...func(*api.Options)) {
	o := api.Options{
		Store: c.store,
		Now:   func() time.Time { return c.now },
		Log:   slog.New(slog.NewTextHandler(&c.log, nil)),
		Pages: pagesOf(c.t),
		Keeper: &keeping.Keeper{
			Data:  c.path,
			Daily: true,
			Store: c.store,
			Now:   func() time.Time { return c.now },
			Log:   slog.New(slog.NewTextHandler(&c.log, nil)),
		},
	}
	for _, each := range change {
		each(&o)
	}
	doors, err := api.New(o)
	require.NoError(c.t, err)
	c.t.Cleanup(doors.Closing)
	c.http, c.doors = doors.Machine, doors
}

// ask sends a request; body is JSON text, or a value to be written as JSON.
func (c *club) ask(method, path string, body any, headers ...string) *httptest.ResponseRecorder {
	text, isText := body.(string)
	if body != nil && !isText {
		written, err := json.Marshal(body)
		require.NoError(c.t, err)
		text = string(written)
	}
	w := c.send(method, path, text, headers...)
	asDescribed(c.t, method, path, w)
	return w
}

// send sends a request without holding the answer against the OpenAPI document.
func (c *club) send(method, path, text string, headers ...string) *httptest.ResponseRecorder {
	r := httptest.NewRequestWithContext(c.t.Context(), method, "http://localhost:7420"+path, strings.NewReader(text))
	r.Header.Set("Content-Type", "application/json")
	for i := 0; i < len(headers); i += 2 {
		r.Header.Set(headers[i], headers[i+1])
	}
	w := httptest.NewRecorder()
	c.http.ServeHTTP(w, r)
	return w
}

func read[T any](t testing.TB, w *httptest.ResponseRecorder) T {
	require.Equal(t, http.StatusOK, w.Code, w.Body.String())
	var v T
	require.NoError(t, json.Unmarshal(w.Body.Bytes(), &v))
	return v
}

func readProblem(t testing.TB, w *httptest.ResponseRecorder, status int) request.Problem {
	require.Equal(t, status, w.Code, w.Body.String())
	require.Equal(t, "application/problem+json", w.Header().Get("Content-Type"))
	var p request.Problem
	require.NoError(t, json.Unmarshal(w.Body.Bytes(), &p))
	require.Equal(t, status, p.Status)
	require.NotEmpty(t, p.Title)
	return p
}

const fresh = "If-None-Match"

func newID() string { return uuid.Must(uuid.NewV7()).String() }

func ada() student.Profile {
	return student.Profile{
		Name: "Ada", Age: student.Eleven, Hand: student.LeftHand, Backhand: student.TwoHanded,
		Sport: "tennis", Level: student.Green,
	}
}

func (c *club) student(p student.Profile) string {
	id := newID()
	read[desk.Student](c.t, c.ask("PUT", "/api/students/"+id, p, fresh, "*"))
	return id
}

func coin() drill.Document { return library.All()[0].Document }

func lessonFor(block string, students ...string) map[string]any {
	return map[string]any{
		"version":  4,
		"space":    map[string]any{},
		"title":    "Tuesday",
		"date":     "2026-03-10",
		"start":    "16:00",
		"minutes":  30,
		"students": students,
		"note":     "",
		"blocks": []map[string]any{
			{"id": newID(), "kind": "body warm-up", "title": "Warm-up", "minutes": 8, "effort": 3, "calls": []any{}},
			{
				"id":      block,
				"kind":    "drill",
				"title":   "Coin",
				"minutes": 9,
				"effort":  6,
				"drill":   library.All()[0].ID,
				"calls":   []any{},
			},
		},
	}
}

func TestALessonFromPlanToNextStep(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	studentID, block, id := c.student(ada()), newID(), newID()
	scheduled := read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, lessonFor(block, studentID), fresh, "*"))
	require.Equal(t, plan.Planned, scheduled.State)
	require.Equal(t, 24, scheduled.Plan.Balls, "one player, four turns of six balls")

	began := c.now
	run := c.clock(id, 0, true, false).Courtside
	require.Equal(t, plan.Begun, run.Lesson.State)
	c.now = began.Add(9 * time.Minute)
	run = read[underway.Courtside](t, c.ask("GET", "/api/lessons/"+id+"/courtside", nil))
	require.InDelta(t, 540, run.Second, 1e-9)
	today := func() desk.LessonBrief { return read[desk.Diary](t, c.ask("GET", "/api/lessons", nil)).Lessons[0] }
	require.Equal(t, run.Clock, today().Clock, "what is left is told by the same clock on every page")
	require.InDelta(t, 17*60, today().Planned, 1e-9)

	device := newID()
	entries := make([]map[string]any, 0, 25)
	for i := range 24 {
		entries = append(entries, map[string]any{"seq": i, "kind": "made", "at": c.now.Add(time.Duration(i) * time.Second)})
	}
	taps := map[string]any{"run": device, "block": block, "student": studentID, "entries": entries}
	counters := c.tap(id, taps)
	require.Equal(t, 24, counters[0].Count.Made)
	require.True(t, counters[0].Standing.Met)
	again := c.tap(id, taps)
	require.Equal(t, counters, again, "taps sent twice are counted once")
	taps["entries"] = append(entries, map[string]any{"seq": 24, "kind": "undo", "at": c.now.Add(time.Minute)})
	require.Equal(t, 23, c.tap(id, taps)[0].Count.Made)

	require.Equal(t, plan.Finished, c.clock(id, 1020, false, true).Lesson.State)
	require.Nil(t, today().Clock)
	after := read[courtside.Afterwards](
		t,
		c.ask(
			"PUT",
			"/api/lessons/"+id+"/remarks/"+studentID,
			map[string]any{"engagement": 8, "effort": 0, "remark": "bright"},
		),
	)
	p := read[repository.Progress](t, c.ask("GET", "/api/students/"+studentID+"/progress", nil))
	require.Equal(t, courtside.Result{
		Student:    studentID,
		Name:       "Ada",
		Made:       23,
		Balls:      23,
		Best:       23,
		Faults:     []tally.Seen{},
		Engagement: 8,
		Effort:     new(int),
		Remark:     "bright",
		Played:     "23 of 24 strokes, ran about 120 m of 125 m",
		Counted:    1,
		Next:       p.Strokes,
	}, after.Students[0], "the next step is the same as on the student's page")
	require.EqualValues(t, "step up", p.Strokes[0].Advice.Decision)
	require.EqualValues(t, "consistency", p.Strokes[0].Advice.Rung, "who was put nowhere begins at the ground")
	require.Equal(t, 23, p.Drills[0].Times[0].Count.Made)
	// How much is wanted of a rung is the coach's setting.
	settings := read[desk.Settings](t, c.ask("GET", "/api/settings", nil))
	settings.Settings.Steps = coach.Steps{Wanted: 9.5, Up: 9.9}
	read[desk.Settings](
		t, c.ask("PUT", "/api/settings", settings.Settings, "If-Match", fmt.Sprintf(`"%d"`, settings.Revision)),
	)
	strict := read[repository.Progress](t, c.ask("GET", "/api/students/"+studentID+"/progress", nil))
	require.Contains(t, strict.Strokes[0].Advice.Reason, "and 9.5 are wanted")
	require.InDelta(t, 0.95, strict.Strokes[0].Advice.Asked, 1e-9)
	c.now = c.now.Add(time.Hour)
	p = read[repository.Progress](
		t,
		c.ask("POST", "/api/students/"+studentID+"/ladder-position", map[string]any{"stroke": "forehand", "rung": "depth"}),
	)
	require.EqualValues(t, "depth", p.Strokes[0].Advice.Rung)
	require.Zero(t, p.Strokes[0].Advice.Balls, "a new rung starts with no evidence")
	require.NotContains(t, c.log.String(), "level=ERROR")
}

func TestTapsOfTheWrongPeopleAreRefused(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	studentID, block, id := c.student(ada()), newID(), newID()
	read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, lessonFor(block, studentID), fresh, "*"))
	taps := func(change func(map[string]any)) map[string]any {
		body := map[string]any{
			"run":     newID(),
			"block":   block,
			"student": studentID,
			"entries": []any{map[string]any{"seq": 0, "kind": "turn", "made": 4, "of": 5, "at": c.now}},
		}
		change(body)
		return body
	}
	for field, change := range map[string]func(map[string]any){
		"tap.student":          func(b map[string]any) { b["student"] = newID() },
		"tap.block":            func(b map[string]any) { b["block"] = newID() },
		"tap.entry.made":       func(b map[string]any) { b["entries"].([]any)[0].(map[string]any)["made"] = 6 },
		"acts.0.tap.entry.seq": func(b map[string]any) { b["entries"].([]any)[0].(map[string]any)["seq"] = -1 },
		"acts.0.tap.entry.at":  func(b map[string]any) { b["entries"].([]any)[0].(map[string]any)["at"] = "soon" },
	} {
		if !strings.HasPrefix(field, "acts") { // its shape is right
			require.Equal(t, field, c.refused(id, taps(change)))
			continue
		}
		p := readProblem(t, c.ask("POST", "/api/lessons/"+id+"/acts", c.acts(taps(change))), http.StatusUnprocessableEntity)
		require.Equal(t, field, p.Fields[0].Path)
	}
	back := map[string]any{
		"sent": c.now,
		"acts": []any{
			map[string]any{
				"id":    newID(),
				"at":    c.now,
				"clock": map[string]any{"second": -1, "running": true, "finished": false},
			},
		},
	}
	p := readProblem(t, c.ask("POST", "/api/lessons/"+id+"/acts", back), http.StatusUnprocessableEntity)
	require.Equal(t, "acts.0.clock.second", p.Fields[0].Path)
	readProblem(
		t,
		c.ask("PUT", "/api/lessons/"+id+"/remarks/"+newID(), map[string]any{"engagement": 8, "remark": ""}),
		http.StatusNotFound,
	)
}

func TestPutAwayAndErase(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	id := c.student(ada())
	require.True(
		t,
		read[desk.Student](t, c.ask("PUT", "/api/students/"+id+"/archived", repository.Archiving{Archived: true})).Archived,
	)
	require.Empty(t, read[[]desk.Student](t, c.ask("GET", "/api/students", nil)))
	require.Len(t, read[[]desk.Student](t, c.ask("GET", "/api/students?archived=true", nil)), 1)
	require.False(t, read[desk.Student](t, c.ask("PUT", "/api/students/"+id+"/archived", repository.Archiving{})).Archived)
	require.Equal(t, http.StatusOK, c.ask("DELETE", "/api/students/"+id, nil).Code)
	readProblem(t, c.ask("GET", "/api/students/"+id, nil), http.StatusNotFound)
}

func TestSettings(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	s := read[desk.Settings](t, c.ask("GET", "/api/settings", nil))
	s.Settings.Units = "feet"
	record := read[desk.Settings](t, c.ask("PUT", "/api/settings", s.Settings, "If-Match", `"0"`))
	require.EqualValues(t, 1, record.Revision)
	again := read[desk.Settings](t, c.ask("PUT", "/api/settings", s.Settings, "If-Match", `"0"`))
	require.Equal(t, record, again, "sent again, it is answered like the first time")
	other := s.Settings
	other.Basket++
	readProblem(t, c.ask("PUT", "/api/settings", other, "If-Match", `"0"`), http.StatusPreconditionFailed)
	report := read[desk.WorkedDrill](
		t,
		c.ask("POST", "/api/drills/preview", map[string]any{"document": coin(), "people": 2, "hand": "right"}),
	)
	require.Contains(t, report.Report.Measures[0].Aim, "4 ft 6 in")
}

func TestOnlyThisMachineIsAnswered(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	r := httptest.NewRequestWithContext(t.Context(), "GET", "http://evil.example/api/students", nil)
	w := httptest.NewRecorder()
	c.http.ServeHTTP(w, r)
	require.Equal(t, http.StatusMisdirectedRequest, w.Code)
	require.Equal(
		t,
		http.StatusForbidden,
		c.ask("DELETE", "/api/students/"+newID(), nil, "Sec-Fetch-Site", "cross-site").Code,
	)
	page := c.ask("GET", "/", nil)
	require.Contains(t, page.Body.String(), "Hodometer")
	require.Contains(t, page.Header().Get("Content-Security-Policy"), "default-src 'self'")
}
