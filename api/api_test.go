package api_test

import (
	"bytes"
	"encoding/json"
	"log/slog"
	"net/http"
	"net/http/httptest"
	"path/filepath"
	"strings"
	"testing"
	"testing/fstest"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/require"

	"hodometer/api"
	"hodometer/core/drill"
	"hodometer/core/student"
	"hodometer/store"
)

// club is a running server with an empty file, and its log.
type club struct {
	t    *testing.T
	http http.Handler
	log  bytes.Buffer
	now  time.Time
}

func newClub(t *testing.T) *club {
	s, err := store.Open(t.Context(), filepath.Join(t.TempDir(), "club.db"))
	require.NoError(t, err)
	t.Cleanup(func() { require.NoError(t, s.Close()) })
	c := &club{t: t, now: time.Date(2026, 3, 10, 16, 0, 0, 0, time.UTC)}
	c.http, err = api.New(api.Options{
		Store: s, Now: func() time.Time { return c.now }, Log: slog.New(slog.NewTextHandler(&c.log, nil)),
		Pages: fstest.MapFS{"index.html": {Data: []byte("<title>Hodometer</title>")}}, Local: true,
	})
	require.NoError(t, err)
	return c
}

// ask sends a request; body is JSON text, or a value to be written as JSON.
func (c *club) ask(method, path string, body any, headers ...string) *httptest.ResponseRecorder {
	text, isText := body.(string)
	if body != nil && !isText {
		written, err := json.Marshal(body)
		require.NoError(c.t, err)
		text = string(written)
	}
	r := httptest.NewRequestWithContext(c.t.Context(), method, "http://localhost:7420"+path, strings.NewReader(text))
	r.Header.Set("Content-Type", "application/json")
	for i := 0; i < len(headers); i += 2 {
		r.Header.Set(headers[i], headers[i+1])
	}
	w := httptest.NewRecorder()
	c.http.ServeHTTP(w, r)
	return w
}

func read[T any](t *testing.T, w *httptest.ResponseRecorder) T {
	require.Equal(t, http.StatusOK, w.Code, w.Body.String())
	var v T
	require.NoError(t, json.Unmarshal(w.Body.Bytes(), &v))
	return v
}

func readProblem(t *testing.T, w *httptest.ResponseRecorder, status int) api.Problem {
	require.Equal(t, status, w.Code, w.Body.String())
	require.Equal(t, "application/problem+json", w.Header().Get("Content-Type"))
	var p api.Problem
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
	read[api.Student](c.t, c.ask("PUT", "/api/students/"+id, p, fresh, "*"))
	return id
}

func coin() drill.Document { return drill.Library()[0].Document }

func lessonFor(block string, students ...string) map[string]any {
	return map[string]any{
		"version": 1, "title": "Tuesday", "date": "2026-03-10", "start": "16:00", "minutes": 30, "students": students, "note": "",
		"blocks": []map[string]any{
			{"id": newID(), "kind": "body warm-up", "title": "Warm-up", "minutes": 8, "effort": 3, "calls": []any{}, "roles": []any{}},
			{"id": block, "kind": "drill", "title": "Coin", "minutes": 9, "effort": 6, "drill": drill.Library()[0].ID, "calls": []any{}, "roles": []any{}},
		},
	}
}

func TestALessonFromPlanToNextStep(t *testing.T) {
	c := newClub(t)
	who, block, id := c.student(ada()), newID(), newID()
	laid := read[api.Lesson](t, c.ask("PUT", "/api/lessons/"+id, lessonFor(block, who), fresh, "*"))
	require.Equal(t, api.Planned, laid.State)
	require.Equal(t, 24, laid.Plan.Balls, "one player, four turns of six balls")

	began := c.now
	clock := func(second float64, running, finished bool) map[string]any {
		return map[string]any{"second": second, "running": running, "finished": finished}
	}
	run := read[api.Courtside](t, c.ask("PUT", "/api/lessons/"+id+"/clock", clock(0, true, false)))
	require.Equal(t, api.Begun, run.Lesson.State)
	c.now = began.Add(9 * time.Minute)
	run = read[api.Courtside](t, c.ask("GET", "/api/lessons/"+id+"/courtside", nil))
	require.InDelta(t, 540, run.Second, 1e-9)

	device := newID()
	entries := make([]map[string]any, 0, 25)
	for i := range 24 {
		entries = append(entries, map[string]any{"seq": i, "kind": "made", "at": c.now.Add(time.Duration(i) * time.Second)})
	}
	taps := map[string]any{"run": device, "block": block, "student": who, "entries": entries}
	counters := read[[]api.Counter](t, c.ask("POST", "/api/lessons/"+id+"/taps", taps))
	require.Equal(t, 24, counters[0].Count.Made)
	require.True(t, counters[0].Met)
	again := read[[]api.Counter](t, c.ask("POST", "/api/lessons/"+id+"/taps", taps))
	require.Equal(t, counters, again, "taps sent twice are counted once")
	taps["entries"] = append(entries, map[string]any{"seq": 24, "kind": "undo", "at": c.now.Add(time.Minute)})
	require.Equal(t, 23, read[[]api.Counter](t, c.ask("POST", "/api/lessons/"+id+"/taps", taps))[0].Count.Made)

	require.Equal(t, api.Finished, read[api.Courtside](t, c.ask("PUT", "/api/lessons/"+id+"/clock", clock(1020, false, true))).Lesson.State)
	after := read[api.Afterwards](t, c.ask("PUT", "/api/lessons/"+id+"/remarks/"+who, map[string]any{"engagement": 8, "remark": "bright"}))
	require.Equal(t, api.Result{Student: who, Name: "Ada", Made: 23, Balls: 23, Best: 23, Engagement: 8, Remark: "bright"}, after.Students[0])

	p := read[api.Progress](t, c.ask("GET", "/api/students/"+who+"/progress", nil))
	require.EqualValues(t, "step up", p.Strokes[0].Advice.Decision)
	require.EqualValues(t, "direction", p.Strokes[0].Advice.Rung)
	require.Equal(t, 23, p.Drills[0].Times[0].Count.Made)
	c.now = c.now.Add(time.Hour)
	p = read[api.Progress](t, c.ask("POST", "/api/students/"+who+"/standing", map[string]any{"stroke": "forehand", "rung": "depth"}))
	require.EqualValues(t, "depth", p.Strokes[0].Advice.Rung)
	require.Zero(t, p.Strokes[0].Advice.Balls, "a new rung starts with no evidence")
	require.NotContains(t, c.log.String(), "level=ERROR")
}

func TestTwoTabsThatEditTheSameDrill(t *testing.T) {
	c := newClub(t)
	id := newID()
	made := c.ask("POST", "/api/drills/"+drill.Library()[0].ID+"/duplicate", map[string]any{"id": id})
	own := read[api.Drill](t, made)
	require.Equal(t, `"1"`, made.Header().Get("ETag"))

	mine, yours := own.Document, own.Document
	mine.Pattern.Gap, yours.Pattern.Gap = 4, 5
	first := c.ask("PUT", "/api/drills/"+id, mine, "If-Match", `"1"`)
	require.Equal(t, `"2"`, first.Header().Get("ETag"))
	p := readProblem(t, c.ask("PUT", "/api/drills/"+id, yours, "If-Match", `"1"`), http.StatusPreconditionFailed)
	require.Contains(t, p.Detail, "changed somewhere else")
	require.InDelta(t, 4, read[api.Drill](t, c.ask("GET", "/api/drills/"+id, nil)).Document.Pattern.Gap, 1e-9)

	readProblem(t, c.ask("PUT", "/api/drills/"+id, yours), http.StatusPreconditionRequired)
	readProblem(t, c.ask("PUT", "/api/drills/"+id, yours, "If-Match", "2"), http.StatusBadRequest)
	readProblem(t, c.ask("PUT", "/api/drills/"+drill.Library()[0].ID, yours, "If-Match", `"1"`), http.StatusForbidden)
	readProblem(t, c.ask("PUT", "/api/drills/"+id, yours, fresh, "*"), http.StatusConflict)
	read[api.Drill](t, c.ask("PUT", "/api/drills/"+id, yours, "If-Match", `"2"`))
}

func TestMovingAPlaceForALeftHander(t *testing.T) {
	c := newClub(t)
	ask := func(hand student.Hand) api.WorkedDrill {
		return read[api.WorkedDrill](t, c.ask("POST", "/api/drills/preview", map[string]any{
			"document": coin(), "people": 1, "hand": hand,
			"move": map[string]any{"handle": "places.0.mark", "to": map[string]any{"x": 1.02, "y": -12.5}, "roundX": true, "roundY": true},
		}))
	}
	right, left := ask(student.RightHand), ask(student.LeftHand)
	require.InDelta(t, 1, right.Report.Spots[0].At.X, 1e-9, "rounded to 5 cm")
	require.InDelta(t, 1, left.Report.Spots[0].At.X, 1e-9, "it stays where it was dropped")
	require.NotEqual(t, right.Document.Places[0], left.Document.Places[0], "the drill itself is written for a right-hander")
	require.Equal(t, left.Document.Places[0].Mark, right.Document.Places[0].Mark.Mirrored())
}

// with changes one value of a document at a dotted path.
func with(t *testing.T, document any, path string, value any) map[string]any {
	text, err := json.Marshal(document)
	require.NoError(t, err)
	var whole map[string]any
	require.NoError(t, json.Unmarshal(text, &whole))
	at := any(whole)
	parts := strings.Split(path, ".")
	for i, part := range parts {
		switch v := at.(type) {
		case map[string]any:
			if i == len(parts)-1 {
				v[part] = value
			}
			at = v[part]
		case []any:
			n := int(part[0] - '0')
			if i == len(parts)-1 {
				v[n] = value
			}
			at = v[n]
		}
	}
	return whole
}

func TestBadInputNamesTheFieldAndStoresNothing(t *testing.T) {
	long := strings.Repeat("x", 81)
	for _, b := range []struct {
		name, kind string
		path       string
		value      any
		field      string
		says       string
	}{
		{"an unknown field", "drills", "colour", "red", "colour", "no such field"},
		{"an unknown field deep down", "drills", "pattern.balls.0.colour", "red", "pattern.balls.0.colour", "no such field"},
		{"a field in capitals", "drills", "Name", "Coin", "Name", "no such field"},
		{"a wrong type", "drills", "pattern.gap", "slow", "pattern.gap", "a number was expected, and this is a text"},
		{"a list where a group is due", "drills", "goal", []any{}, "goal", "a group of fields was expected"},
		{"half a turn", "drills", "turns", 1.5, "turns", "a whole number was expected"},
		{"a whole number written long", "drills", "turns", json.RawMessage("1.0"), "turns", "cannot be used here"},
		{"an over-long text", "drills", "name", long, "name", "at most 80 characters; these are 81"},
		{"an empty name", "drills", "name", "", "name", "must not be empty"},
		{"a negative count", "drills", "turns", -1, "turns", "at least 1"},
		{"a gap of zero", "drills", "pattern.gap", 0, "pattern.gap", "at least 0.5"},
		{"a gap of an hour", "drills", "pattern.gap", 3600, "pattern.gap", "at most 60"},
		{"an unknown stroke", "drills", "stroke", "tickle", "stroke", "choose one of: forehand"},
		{"a place off the map", "drills", "places.0.mark", map[string]any{"place": map[string]any{"x": 0, "y": -60}}, "places.0.mark", "off the map"},
		{"a place nowhere near", "drills", "places.0.mark", map[string]any{"place": map[string]any{"x": 0, "y": 1e6}}, "places.0.mark.place.y", "at most 100"},
		{"a landing from an unknown line", "drills", "pattern.balls.1.landing.measures.0.line", "tramline", "pattern.balls.1.landing.measures.0.line", "no line called"},
		{"no balls", "drills", "pattern.balls", []any{}, "pattern.balls", "at least 1; these are 0"},
		{"500 balls in a sequence", "drills", "pattern.balls", make([]any, 500), "pattern.balls", "at most 12; these are 500"},
		{"a target of no size", "drills", "target.radius", 0, "target.radius", "no size"},
		{"an unknown court", "drills", "court", "beach", "court", "the courts are"},
		{"a document of the future", "drills", "version", 2, "version", "at most 1"},
		{"nothing for a list", "drills", "cues", nil, "cues", "a list was expected, and this is nothing"},
		{"an unknown hand", "students", "hand", "both", "hand", "choose one of: right, left"},
		{"a red-ball squash player", "students", "sport", "squash", "level", "ball stages belong to tennis"},
		{"a limit below one", "students", "limit", map[string]any{"of": "overheads", "most": 0}, "limit.most", "at least 1"},
		{"a note like a novel", "students", "note", strings.Repeat("x", 2001), "note", "at most 2000 characters"},
		{"a name of blanks", "students", "name", "  ", "name", "needs a name"},
		{"an hour that is none", "lessons", "start", "25:00", "start", "hours:minutes"},
		{"a day that is none", "lessons", "date", "2026-02-30", "date", "year-month-day"},
		{"a lesson of no time", "lessons", "minutes", 0, "minutes", "at least 5"},
		{"a lesson for nobody", "lessons", "students", []any{}, "students", "at least 1; these are 0"},
		{"a lesson for five", "lessons", "students", []any{"1", "2", "3", "4", "5"}, "students", "at most 4; these are 5"},
		{"a block of negative length", "lessons", "blocks.0.minutes", -3, "blocks.0.minutes", "at least 0.5"},
		{"a drill block that lost its drill", "lessons", "blocks.1.drill", "", "blocks.1.drill", ""},
	} {
		t.Run(b.name, func(t *testing.T) {
			c := newClub(t)
			documents := map[string]any{"drills": coin(), "students": ada(), "lessons": lessonFor(newID(), newID())}
			id := newID()
			p := readProblem(t, c.ask("PUT", "/api/"+b.kind+"/"+id, with(t, documents[b.kind], b.path, b.value), fresh, "*"), http.StatusUnprocessableEntity)
			require.NotEmpty(t, p.Fields)
			require.Equal(t, b.field, p.Fields[0].Path, p.Fields)
			require.Contains(t, p.Fields[0].Message, b.says)
			require.Equal(t, http.StatusNotFound, c.ask("GET", "/api/"+b.kind+"/"+id, nil).Code, "something was stored")
			require.Empty(t, c.log.String())
		})
	}
}

func TestBadRequests(t *testing.T) {
	c := newClub(t)
	id := newID()
	students := "/api/students/" + id
	for _, b := range []struct {
		name, method, path string
		body               any
		headers            []string
		status             int
		field              string
	}{
		{"a body over 1 MiB", "PUT", students, `{"name":"` + strings.Repeat("x", 1<<20) + `"}`, []string{fresh, "*"}, http.StatusRequestEntityTooLarge, "body"},
		{"no JSON at all", "PUT", students, `name=Ada`, []string{fresh, "*"}, http.StatusBadRequest, "body"},
		{"two documents in one", "PUT", students, `{}{}`, []string{fresh, "*"}, http.StatusBadRequest, "body"},
		{"an endless number", "PUT", students, `{"limit":{"most":1e999999999}}`, []string{fresh, "*"}, http.StatusUnprocessableEntity, ""},
		{"a form from elsewhere", "PUT", students, `{}`, []string{"Content-Type", "text/plain"}, http.StatusUnsupportedMediaType, ""},
		{"an identifier that is none", "PUT", "/api/students/ada", ada(), []string{fresh, "*"}, http.StatusBadRequest, "id"},
		{"somebody who is not there", "GET", students, nil, nil, http.StatusNotFound, ""},
		{"a page that is not there", "GET", "/api/nothing", nil, nil, http.StatusNotFound, ""},
		{"days that are none", "GET", "/api/lessons?ahead=many", nil, nil, http.StatusBadRequest, ""},
		{"a thousand years ahead", "GET", "/api/lessons?ahead=365250", nil, nil, http.StatusUnprocessableEntity, "ahead"},
		{"taps of a lesson that is not there", "POST", "/api/lessons/" + id + "/taps", map[string]any{"run": id, "block": id, "student": id, "entries": []any{map[string]any{"seq": 0, "kind": "made", "at": c.now}}}, nil, http.StatusNotFound, ""},
	} {
		t.Run(b.name, func(t *testing.T) {
			p := readProblem(t, c.ask(b.method, b.path, b.body, b.headers...), b.status)
			if b.field != "" {
				require.Equal(t, b.field, p.Fields[0].Path)
			}
		})
	}
	require.Empty(t, c.log.String(), "bad input is nobody's fault here")
	require.Empty(t, read[[]api.Student](t, c.ask("GET", "/api/students", nil)))
}

func TestTapsOfTheWrongPeopleAreRefused(t *testing.T) {
	c := newClub(t)
	who, block, id := c.student(ada()), newID(), newID()
	read[api.Lesson](t, c.ask("PUT", "/api/lessons/"+id, lessonFor(block, who), fresh, "*"))
	taps := func(change func(map[string]any)) map[string]any {
		body := map[string]any{"run": newID(), "block": block, "student": who, "entries": []any{map[string]any{"seq": 0, "kind": "turn", "made": 4, "of": 5, "at": c.now}}}
		change(body)
		return body
	}
	for field, change := range map[string]func(map[string]any){
		"student":        func(b map[string]any) { b["student"] = newID() },
		"block":          func(b map[string]any) { b["block"] = newID() },
		"entries.0.made": func(b map[string]any) { b["entries"].([]any)[0].(map[string]any)["made"] = 6 },
		"entries.0.seq":  func(b map[string]any) { b["entries"].([]any)[0].(map[string]any)["seq"] = -1 },
		"entries.0.at":   func(b map[string]any) { b["entries"].([]any)[0].(map[string]any)["at"] = "soon" },
	} {
		p := readProblem(t, c.ask("POST", "/api/lessons/"+id+"/taps", taps(change)), http.StatusUnprocessableEntity)
		require.Equal(t, field, p.Fields[0].Path)
	}
	p := readProblem(t, c.ask("PUT", "/api/lessons/"+id+"/clock", map[string]any{"second": -1, "running": true, "finished": false}), http.StatusUnprocessableEntity)
	require.Equal(t, "second", p.Fields[0].Path)
	readProblem(t, c.ask("PUT", "/api/lessons/"+id+"/remarks/"+newID(), map[string]any{"engagement": 8, "remark": ""}), http.StatusNotFound)
}

func TestPutAwayAndErase(t *testing.T) {
	c := newClub(t)
	id := c.student(ada())
	require.True(t, read[api.Student](t, c.ask("PUT", "/api/students/"+id+"/away", api.Away{Away: true})).Away)
	require.Empty(t, read[[]api.Student](t, c.ask("GET", "/api/students", nil)))
	require.Len(t, read[[]api.Student](t, c.ask("GET", "/api/students?away=true", nil)), 1)
	require.False(t, read[api.Student](t, c.ask("PUT", "/api/students/"+id+"/away", api.Away{})).Away)
	require.Equal(t, http.StatusNoContent, c.ask("DELETE", "/api/students/"+id, nil).Code)
	readProblem(t, c.ask("GET", "/api/students/"+id, nil), http.StatusNotFound)
}

func TestSettings(t *testing.T) {
	c := newClub(t)
	s := read[api.Settings](t, c.ask("GET", "/api/settings", nil))
	s.Settings.Units = "feet"
	kept := read[api.Settings](t, c.ask("PUT", "/api/settings", s.Settings, "If-Match", `"0"`))
	require.EqualValues(t, 1, kept.Version)
	readProblem(t, c.ask("PUT", "/api/settings", s.Settings, "If-Match", `"0"`), http.StatusPreconditionFailed)
	report := read[api.WorkedDrill](t, c.ask("POST", "/api/drills/preview", map[string]any{"document": coin(), "people": 2, "hand": "right"}))
	require.Contains(t, report.Report.Aim, "4 ft 6 in")
}

func TestLengthsAndPlacesTypedInWords(t *testing.T) {
	c := newClub(t)
	typed := func(path, text string) *httptest.ResponseRecorder {
		return c.ask("POST", "/api/drills/preview", map[string]any{"document": coin(), "people": 1, "hand": "right", "typed": map[string]any{"path": path, "text": text}})
	}
	worked := read[api.WorkedDrill](t, typed("target.mark.measures.0", "4 ft 6 in"))
	require.InDelta(t, 1.3716, worked.Document.Target.Mark.Measures[0].Distance, 1e-9)
	require.InDelta(t, 0.9, read[api.WorkedDrill](t, typed("target.radius", "90 cm")).Report.Target.Radius, 1e-9)
	for path, text := range map[string]string{"target.mark.measures.0": "near the line", "target.radius": "0", "places.0.mark.measures.0": "40 m"} {
		p := readProblem(t, typed(path, text), http.StatusUnprocessableEntity)
		require.Contains(t, p.Fields[0].Path, path[:6])
	}
	readProblem(t, typed("target.colour", "red"), http.StatusUnprocessableEntity)

	s := read[api.Settings](t, c.ask("GET", "/api/settings", nil))
	s.Settings.Within = "diameter"
	read[api.Settings](t, c.ask("PUT", "/api/settings", s.Settings, "If-Match", `"0"`))
	require.InDelta(t, 0.45, read[api.WorkedDrill](t, typed("target.radius", "90 cm")).Report.Target.Radius, 1e-9)
}

func TestChangingTheCourtIsShownBeforeItIsDone(t *testing.T) {
	c := newClub(t)
	ask := func(court string, plain ...string) *httptest.ResponseRecorder {
		return c.ask("POST", "/api/drills/change-court", map[string]any{"document": coin(), "court": court, "plain": append([]string{}, plain...)})
	}
	red := read[api.ChangedCourt](t, ask("tennis-red"))
	require.EqualValues(t, "tennis-red", red.Document.Court)
	require.NotNil(t, red.Marks[0].Moved.Keeps.At)
	require.NotEqual(t, red.Marks[0].Moved.Keeps.At, red.Marks[0].Moved.Scales.At)
	squash := read[api.ChangedCourt](t, ask("squash"))
	require.NotEmpty(t, squash.Problems, "a baseline makes no sense in squash")
	require.Len(t, squash.Marks, len(red.Marks), "and no mark is lost")
	var handles []string
	for _, mark := range squash.Marks {
		handles = append(handles, mark.Handle)
	}
	require.Empty(t, read[api.ChangedCourt](t, ask("squash", handles...)).Problems, "as plain places all of it can go there")
	readProblem(t, ask("beach"), http.StatusUnprocessableEntity)
}

func TestRegionsAreNumberedByTheCoachsSchool(t *testing.T) {
	c := newClub(t)
	out := read[[]api.Regions](t, c.ask("GET", "/api/courts/tennis/regions", nil))
	require.Equal(t, 1, out[0].Bands[0].Number)
	s := read[api.Settings](t, c.ask("GET", "/api/settings", nil))
	s.Settings.Numbering = "from the baseline in"
	four := func(depth float64) map[string]any {
		return map[string]any{"line": "near-service-line", "distance": depth, "toward": "in"}
	}
	own := map[string]any{"name": "mine", "court": "tennis", "depths": []any{
		map[string]any{"name": "a", "purpose": "", "stop": four(1)}, map[string]any{"name": "b", "purpose": "", "stop": four(2)}, map[string]any{"name": "c", "purpose": "", "stop": four(0)},
	}}
	settings := with(t, s.Settings, "schemes", []any{own})
	p := readProblem(t, c.ask("PUT", "/api/settings", settings, "If-Match", `"0"`), http.StatusUnprocessableEntity)
	require.Equal(t, "schemes.0.depths.1.stop", p.Fields[0].Path)
	own["depths"].([]any)[1].(map[string]any)["stop"] = four(0)
	read[api.Settings](t, c.ask("PUT", "/api/settings", with(t, s.Settings, "schemes", []any{own}), "If-Match", `"0"`))
	in := read[[]api.Regions](t, c.ask("GET", "/api/courts/tennis/regions", nil))
	require.Equal(t, len(in[0].Bands), in[0].Bands[0].Number)
	require.True(t, in[len(in)-1].Own)
}

func TestOnlyThisMachineIsAnswered(t *testing.T) {
	c := newClub(t)
	r := httptest.NewRequestWithContext(t.Context(), "GET", "http://evil.example/api/students", nil)
	w := httptest.NewRecorder()
	c.http.ServeHTTP(w, r)
	require.Equal(t, http.StatusMisdirectedRequest, w.Code)
	require.Equal(t, http.StatusForbidden, c.ask("DELETE", "/api/students/"+newID(), nil, "Sec-Fetch-Site", "cross-site").Code)
	page := c.ask("GET", "/", nil)
	require.Contains(t, page.Body.String(), "Hodometer")
	require.Contains(t, page.Header().Get("Content-Security-Policy"), "default-src 'self'")
}
