package api_test

import (
	"bytes"
	"encoding/json"
	"fmt"
	"io"
	"log/slog"
	"math"
	"math/rand/v2"
	"net/http/httptest"
	"os"
	"path/filepath"
	"slices"
	"strconv"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/api"
	"hodometer/core/drill/library"
	"hodometer/demo"
	"hodometer/internal/long"
	"hodometer/keeping"
)

// extremes makes bodies out of the OpenAPI document, with values at the edges of what it allows, and beyond.
type extremes struct {
	chance  *rand.Rand
	schemas map[string]any
	ids     []string         // of what is there
	bases   map[string][]any // documents that are sound, by their schema: they are changed in one place
	beyond  bool             // values that the schema refuses are made too
}

func (x *extremes) one(list ...any) any { return list[x.chance.IntN(len(list))] }

// number is one at an edge of a schema, near it, or far beyond.
func (x *extremes) number(s map[string]any) any {
	low, hasLow := s["minimum"].(float64)
	high, hasHigh := s["maximum"].(float64)
	list := []any{0.0, 1.0, 0.5, 1e-300, 5e-324, 1e-9, math.Copysign(0, -1), 2.0, 3.0}
	if hasLow {
		list = append(list, low, low, math.Nextafter(low, math.Inf(1)))
	} else {
		list = append(list, -1.0, -1e-300, -1e9, -1e300)
	}
	if hasHigh {
		list = append(list, high, high, math.Nextafter(high, math.Inf(-1)), (low+high)/2)
	} else {
		list = append(list, 1e9, 9e18, 1e300, math.MaxFloat64)
	}
	if x.beyond {
		list = append(list, low-1, high+1, 9e18, -9e18, 1e308)
	}
	n := x.one(list...).(float64)
	if s["type"] == "integer" && (!x.beyond || x.chance.IntN(20) > 0) {
		n = math.Trunc(n)
	}
	if math.Abs(n) < 1e15 && n == math.Trunc(n) {
		return json.Number(strconv.FormatFloat(n, 'f', -1, 64))
	}
	return n
}

func (x *extremes) text(s map[string]any) any {
	if list, ok := s["enum"].([]any); ok {
		if x.beyond && x.chance.IntN(12) == 0 {
			return "nonsense"
		}
		return x.one(list...)
	}
	switch s["format"] {
	case "uuid":
		return x.one(x.one(toAny(x.ids)...), newID())
	case "date":
		return x.one("2026-03-10", "2000-01-01", "2099-12-31", "0001-01-01", "9999-12-31", "2024-02-29")
	case "date-time":
		return x.one(
			"2026-03-10T16:00:00Z",
			"9999-12-31T23:00:00-23:59",
			"0001-01-01T00:00:00+23:59",
			"2026-03-10T16:00:00.999999999Z",
			"1970-01-01T00:00:00Z",
			"0000-01-01T00:00:00Z",
		)
	}
	if s["pattern"] != nil {
		return x.one("00:00", "23:59", "16:00")
	}
	most := 30
	if n, ok := s["maxLength"].(float64); ok {
		most = min(int(n), 300)
	}
	texts := []any{
		"",
		"x",
		" ",
		"0",
		"Ada",
		strings.Repeat("w", most),
		strings.Repeat("é", most),
		"a\u0000b",
		"\u202e..%00/\\",
		"1e309",
		"🎾",
		x.one(toAny(x.ids)...),
	}
	return x.one(texts...)
}

func toAny(list []string) []any {
	all := make([]any, len(list))
	for i, each := range list {
		all[i] = each
	}
	return all
}

// value is one of a schema, to some depth.
func (x *extremes) value(s map[string]any, depth int) any {
	if ref, ok := s["$ref"].(string); ok {
		name := ref[strings.LastIndex(ref, "/")+1:]
		if bases := x.bases[name]; len(bases) > 0 {
			return x.changed(bases[x.chance.IntN(len(bases))])
		}
		return x.value(x.schemas[name].(map[string]any), depth)
	}
	for _, some := range []string{"anyOf", "oneOf"} {
		if list, ok := s[some].([]any); ok {
			return x.value(list[x.chance.IntN(len(list))].(map[string]any), depth)
		}
	}
	switch kind := s["type"].(type) {
	case []any:
		return x.value(map[string]any{"type": kind[0]}, depth)
	case string:
		switch kind {
		case "object":
			object := map[string]any{}
			required, _ := s["required"].([]any)
			properties, _ := s["properties"].(map[string]any)
			for name, schema := range properties {
				if slices.Contains(required, any(name)) || depth < 6 && x.chance.IntN(3) == 0 {
					object[name] = x.value(schema.(map[string]any), depth+1)
				}
			}
			if more, ok := s["additionalProperties"].(map[string]any); ok && properties == nil {
				object["x"] = x.value(more, depth+1)
			}
			return object
		case "array":
			least, _ := s["minItems"].(float64)
			list := make([]any, int(least)+x.chance.IntN(3))
			for i := range list {
				list[i] = x.value(s["items"].(map[string]any), depth+1)
			}
			return list
		case "number", "integer":
			return x.number(s)
		case "boolean":
			return x.chance.IntN(2) == 0
		case "null":
			return nil
		}
	}
	return x.text(s)
}

// changed is a sound document with one or two of its values at an edge.
func (x *extremes) changed(base any) any {
	text, _ := json.Marshal(base)
	var document any
	d := json.NewDecoder(bytes.NewReader(text))
	d.UseNumber()
	_ = d.Decode(&document)
	type leaf struct {
		set func(any)
		was any
	}
	var leaves []leaf
	var walk func(v any, set func(any))
	walk = func(v any, set func(any)) {
		switch v := v.(type) {
		case map[string]any:
			for _, name := range slices.Sorted(func(yield func(string) bool) {
				for name := range v {
					if !yield(name) {
						return
					}
				}
			}) {
				walk(v[name], func(to any) { v[name] = to })
			}
		case []any:
			for i := range v {
				walk(v[i], func(to any) { v[i] = to })
			}
		default:
			leaves = append(leaves, leaf{set, v})
		}
	}
	walk(document, func(any) {})
	for range 1 + x.chance.IntN(2) {
		l := leaves[x.chance.IntN(len(leaves))]
		switch was := l.was.(type) {
		case json.Number:
			n, _ := was.Float64()
			l.set(x.one(x.number(map[string]any{}), -n, n/2, 2*n, 1e-300*n, n+1))
		case string:
			if x.chance.IntN(2) == 0 {
				l.set(x.text(map[string]any{}))
			}
		case bool:
			l.set(!was)
		}
	}
	return document
}

// extremeClub is a demo that is tried to the limits, and what is there.
type extremeClub struct {
	*club
	extremes
	operations []operation
	gets       []string
	faults     map[string]string // by where they are: what led to them
}

// fault notes a fault of the program, the first one at each place.
func (x *extremeClub) fault(at, what string) {
	if _, known := x.faults[at]; !known {
		x.faults[at] = what
	}
}

// none fails where there was a fault.
func (x *extremeClub) none() {
	x.t.Helper()
	for at, what := range x.faults {
		x.t.Errorf("%s: %s", at, what)
	}
}

type operation struct {
	method, path string
	schema       map[string]any
}

func newExtremeClub(t testing.TB, seed uint64) *extremeClub {
	now := time.Date(2026, 3, 10, 15, 30, 0, 0, time.UTC)
	path := filepath.Join(t.TempDir(), "demo.db")
	s, err := demo.Open(t.Context(), path, now, 0)
	require.NoError(t, err)
	t.Cleanup(func() { _ = s.Close() })
	c := &club{t: t, store: s, now: now}
	doors, err := api.New(api.Options{
		Store: s,
		Now:   func() time.Time { return c.now },
		Log:   slog.New(slog.NewTextHandler(&c.log, nil)),
		Keeper: &keeping.Keeper{
			Data:  path,
			Store: s,
			Now:   func() time.Time { return c.now },
			Log:   slog.New(slog.NewTextHandler(io.Discard, nil)),
		},
	})
	require.NoError(t, err)
	t.Cleanup(doors.Closing)
	c.http = doors.Machine
	text, err := os.ReadFile("openapi.json")
	require.NoError(t, err)
	var described struct {
		Paths map[string]map[string]struct {
			Parameters  []map[string]any
			RequestBody struct {
				Content map[string]struct{ Schema map[string]any }
			}
		}
		Components struct{ Schemas map[string]any }
	}
	require.NoError(t, json.Unmarshal(text, &described))
	x := &extremeClub{
		club: c,
		extremes: extremes{
			chance:  rand.New(rand.NewPCG(seed, 7)),
			schemas: described.Components.Schemas,
			bases:   map[string][]any{},
			beyond:  true,
		},
		faults: map[string]string{},
	} //nolint:gosec // a test
	for path, methods := range described.Paths {
		for method, o := range methods {
			switch {
			case method == "get" && !strings.Contains(path, "events"):
				x.gets = append(x.gets, path)
			case o.RequestBody.Content["application/json"].Schema != nil && !leftOut(path):
				x.operations = append(
					x.operations,
					operation{strings.ToUpper(method), path, o.RequestBody.Content["application/json"].Schema},
				)
			}
		}
	}
	slices.Sort(x.gets)
	slices.SortFunc(x.operations, func(a, b operation) int { return strings.Compare(a.method+a.path, b.method+b.path) })
	x.gather()
	return x
}

// leftOut are those that would shut the door, leave the file, or reach out.
func leftOut(path string) bool {
	return slices.Contains(
		[]string{
			"/api/passphrase",
			"/api/keeping/folder",
			"/api/keeping/restore",
			"/api/equipment/{kind}",
			"/api/equipment/{kind}/simulated",
			"/api/calendars",
		},
		path,
	)
}

// gather takes sound documents from what is there.
func (x *extremeClub) gather() {
	for _, s := range library.All() {
		x.bases["DrillDocument"] = append(x.bases["DrillDocument"], s.Document)
	}
	for _, g := range library.Games() {
		x.bases["GameDocument"] = append(x.bases["GameDocument"], g.Document)
		x.bases["GameRules"] = append(x.bases["GameRules"], g.Document.Rules)
	}
	var found any
	take := func(path, inside, name string) {
		w := x.do("GET", path, nil)
		require.Equal(x.t, 200, w.Code, path)
		require.NoError(x.t, json.Unmarshal(w.Body.Bytes(), &found))
		list := found
		if object, ok := found.(map[string]any); ok {
			for _, v := range object {
				if l, ok := v.([]any); ok && len(l) > 0 {
					list = l
				}
			}
		}
		for _, each := range list.([]any) {
			one := each.(map[string]any)
			x.ids = append(x.ids, one["id"].(string))
			if document, ok := one[inside]; ok && name != "" {
				x.bases[name] = append(x.bases[name], document)
			}
		}
	}
	take("/api/students", "profile", "StudentProfile")
	take("/api/lessons?ahead=30&back=30", "", "")
	take("/api/played", "document", "GameMatch")
	for _, id := range slices.Clone(x.ids) {
		if w := x.do("GET", "/api/lessons/"+id, nil); w.Code == 200 {
			require.NoError(x.t, json.Unmarshal(w.Body.Bytes(), &found))
			x.bases["LessonDocument"] = append(x.bases["LessonDocument"], found.(map[string]any)["document"])
		}
	}
	w := x.do("GET", "/api/settings", nil)
	require.NoError(x.t, json.Unmarshal(w.Body.Bytes(), &found))
	x.bases["CoachSettings"] = []any{found.(map[string]any)["settings"]}
	for _, s := range library.All()[:5] {
		x.ids = append(x.ids, s.ID)
	}
	require.NotEmpty(x.t, x.bases["LessonDocument"])
}

// lastLogged is what the program logged last.
func (x *extremeClub) lastLogged() string {
	lines := strings.Split(strings.TrimSpace(x.log.String()), "\n")
	return fmt.Sprintf("%.1500s", lines[len(lines)-1])
}

// do asks without holding the answer against the OpenAPI document.
func (x *extremeClub) do(method, path string, body any, headers ...string) *httptest.ResponseRecorder {
	var text []byte
	if body != nil {
		text, _ = json.Marshal(body)
	}
	return x.send(method, path, string(text), headers...)
}

// at fills the parameters of a path: with what is there, with something new, and now and then with what is no
// identifier.
func (x *extremeClub) at(path string) string {
	for strings.Contains(path, "{") {
		from, to := strings.Index(path, "{"), strings.Index(path, "}")
		id := x.one(x.one(toAny(x.ids)...), newID()).(string)
		switch {
		case path[from+1:to] == "kind":
			id = "machine"
		case x.chance.IntN(25) == 0:
			id = x.one("x", "%00", "..", "0").(string)
		}
		path = path[:from] + id + path[to+1:]
	}
	return path
}

// try sends one body, and fails on an answer that is a fault of the program.
func (x *extremeClub) try(o operation) {
	body, path := x.value(o.schema, 0), x.at(o.path)
	w := x.do(o.method, path, body, x.one([]string{"If-None-Match", "*"}, []string{"If-Match", `"1"`}).([]string)...)
	if w.Code >= 500 && w.Code != 503 {
		text, _ := json.Marshal(body)
		x.fault(o.method+" "+o.path, fmt.Sprintf("%s: %d\n%.2500s\n%s", path, w.Code, text, x.lastLogged()))
	}
	if w.Code < 300 && (o.method == "PUT" || o.method == "POST") && len(x.ids) < 200 {
		if at := strings.Split(path, "/"); len(at) > 3 && len(at[3]) == 36 {
			x.ids = append(x.ids, at[3])
		}
	}
}

// everything is asked: every list, and whatever is known by its identifier.
func (x *extremeClub) everything(after string) {
	for _, path := range x.gets {
		ids := []string{""}
		if strings.Contains(path, "{id}") {
			ids = x.ids[max(0, len(x.ids)-12):]
		}
		for _, id := range ids {
			at := strings.NewReplacer("{id}", id, "{kind}", "machine", "{student}", newID(), "{name}", "drill.json", "{file}",
				"x").
				Replace(path)
			w := x.do("GET", at, nil)
			if w.Code >= 500 && (w.Code != 503 || !strings.Contains(path, "{")) {
				x.fault("GET "+path, fmt.Sprintf("%s after %s: %d\n%s", at, after, w.Code, x.lastLogged()))
			}
		}
	}
}

// Every body of the OpenAPI document, with its values at their edges and beyond, is taken or refused, and afterwards
// everything that can be read answers: a sample in make test, more in make test-long.
func TestBodiesAtTheirExtremes(t *testing.T) {
	t.Parallel()
	each, rounds := 3, 1
	if os.Getenv("HODOMETER_LONG") != "" {
		each, rounds = 260, 4
	}
	for round := range rounds {
		x := newExtremeClub(t, uint64(round)+long.Seed()) //nolint:gosec // small
		for _, o := range x.operations {
			for range each {
				x.try(o)
			}
			if len(x.ids) > 0 && rounds > 1 {
				x.everything(fmt.Sprint(o.method, " ", o.path))
			}
		}
		x.everything("all of it")
		x.none()
	}
}
