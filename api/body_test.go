package api_test

import (
	"hodometer/internal/long"

	"encoding/json"
	"fmt"
	"net/http"
	"runtime"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/api/desk"
	"hodometer/api/request"
)

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
	long.Skip(t)
	long := strings.Repeat("x", 81)
	for _, b := range []struct {
		name, kind string
		path       string
		value      any
		field      string
		says       string
	}{
		{"an unknown field", "drills", "colour", "red", "colour", "no such field"},
		{"an unknown field deep down", "drills", "pattern.tasks.0.colour", "red", "pattern.tasks.0.colour", "no such field"},
		{"a field in capitals", "drills", "Name", "Coin", "Name", "no such field"},
		{"a wrong type", "drills", "pattern.gap", "slow", "pattern.gap", "a number was expected, and this is a text"},
		{"a list where a group is due", "drills", "measures.0.goals.0", []any{}, "measures.0.goals.0", "a group of " +
			"fields was expected"},
		{"half a turn", "drills", "turns", 1.5, "turns", "a whole number was expected"},
		{"a whole number written long", "drills", "turns", json.RawMessage("1.0"), "turns", "cannot be used here"},
		{"an over-long text", "drills", "name", long, "name", "at most 80 characters; these are 81"},
		{"an empty name", "drills", "name", "", "name", "must not be empty"},
		{"a negative count", "drills", "turns", -1, "turns", "at least 1"},
		{"a gap of zero", "drills", "pattern.gap", 0, "pattern.gap", "at least 0.5"},
		{"a gap of an hour", "drills", "pattern.gap", 3600, "pattern.gap", "at most 60"},
		{"500 sequences a turn", "drills", "pattern.sequences", 500, "pattern.sequences", "at most 200"},
		{"a spin of a million", "drills", "pattern.tasks.0.rpm", 1e6, "pattern.tasks.0.rpm", "at most 10000"},
		{"a flight without its figure", "drills", "pattern.tasks.0.by", "height", "pattern.tasks.0.value", "say how much"},
		{"a player without a start", "drills", "pattern.tasks.0.player", 2, "pattern.tasks.0.player",
			"no start place for player 3"},
		{"a contact at no height", "drills", "pattern.tasks.0.contact", "at a height", "pattern.tasks.0.at",
			"at which height"},
		{"an unknown stroke", "drills", "stroke", "tickle", "stroke", "choose one of: forehand"},
		{"a place off the map", "drills", "places.0.mark", map[string]any{"place": map[string]any{"x": 0, "y": -60}},
			"places.0.mark", "off the map"},
		{"a place nowhere near", "drills", "places.0.mark", map[string]any{"place": map[string]any{"x": 0, "y": 1e6}},
			"places.0.mark.place.y", "at most 100"},
		{"a landing from an unknown line", "drills", "pattern.tasks.1.landing.measures.0.line", "tramline",
			"pattern.tasks.1.landing.measures.0.line", "no line called"},
		{"no balls", "drills", "pattern.tasks", []any{}, "pattern.tasks", "must not be empty"},
		{"500 balls in a sequence", "drills", "pattern.tasks", make([]any, 500), "pattern.tasks",
			"at most 60; these are 500"},
		{"a target of no size", "drills", "measures.0.target.radius", 0, "measures.0.target.radius", "no size"},
		{"an unknown court", "drills", "court", "beach", "court", "the courts are"},
		{"a document of the future", "drills", "version", 5, "version", "at most 4"},
		{"nothing for a list", "drills", "cues", nil, "cues", "a list was expected, and this is nothing"},
		{"an unknown hand", "students", "hand", "both", "hand", "choose one of: right, left"},
		{"a red-ball squash player", "students", "sport", "squash", "level", "ball stages belong to tennis"},
		{"a limit below one", "students", "limit", map[string]any{"of": "overheads", "max": 0}, "limit.max", "at least 1"},
		{"a note like a novel", "students", "note", strings.Repeat("x", 2001), "note", "at most 2000 characters"},
		{"a name of blanks", "students", "name", "  ", "name", "needs a name"},
		{"an hour that is none", "lessons", "start", "25:00", "start", "hours:minutes"},
		{"a day that is none", "lessons", "date", "2026-02-30", "date", "year-month-day"},
		{"a lesson of no time", "lessons", "minutes", 0, "minutes", "at least 5"},
		{"a lesson for nobody", "lessons", "students", []any{}, "students", "must not be empty"},
		{"a lesson for thirteen", "lessons", "students", []any{"1", "2", "3", "4", "5", "6", "7", "8", "9", "10", "11", "12",
			"13"}, "students", "at most 12; these are 13"},
		{"a lesson of 601 minutes", "lessons", "minutes", 601, "minutes", "at most 600"},
		{"a block of negative length", "lessons", "blocks.0.minutes", -3, "blocks.0.minutes", "at least 0.5"},
		{"a drill block that lost its drill", "lessons", "blocks.1.drill", "", "blocks.1.drill",
			"an identifier was expected"},
	} {
		t.Run(b.name, func(t *testing.T) {
			c := newClub(t)
			documents := map[string]any{"drills": coin(), "students": ada(), "lessons": lessonFor(newID(), newID())}
			id := newID()
			p := readProblem(
				t,
				c.ask("PUT", "/api/"+b.kind+"/"+id, with(t, documents[b.kind], b.path, b.value), fresh, "*"),
				http.StatusUnprocessableEntity,
			)
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
		{"a body over 1 MiB", "PUT", students, `{"name":"` + strings.Repeat("x", 1<<20) + `"}`, []string{fresh, "*"},
			http.StatusRequestEntityTooLarge, "body"},
		{"no JSON at all", "PUT", students, `name=Ada`, []string{fresh, "*"}, http.StatusBadRequest, "body"},
		{"two documents in one", "PUT", students, `{}{}`, []string{fresh, "*"}, http.StatusBadRequest, "body"},
		{"half a million lists in one another", "PUT", students, strings.Repeat("[", 1<<19) + strings.Repeat("]", 1<<19-1),
			[]string{fresh, "*"}, http.StatusBadRequest, "body"},
		{"an endless number", "PUT", students, `{"limit":{"max":1e999999999}}`, []string{fresh, "*"},
			http.StatusUnprocessableEntity, "limit.max"},
		{"a value that stands twice", "POST", "/api/drills/preview", `{"people":1,"people":300000}`, nil,
			http.StatusUnprocessableEntity, "people"},
		{"a value that stands twice deep down", "PUT", students, `{"limit":{"max":1,"of":"balls","max":300000}}`,
			[]string{fresh, "*"}, http.StatusUnprocessableEntity, "limit.max"},
		{"a name that is written in two ways", "PUT", students, `{"limit":{"max":1,"m\u0061x":300000}}`, []string{fresh, "*"},
			http.StatusUnprocessableEntity, "limit.max"},
		{"a form from elsewhere", "PUT", students, `{}`, []string{"Content-Type", "text/plain"},
			http.StatusUnsupportedMediaType, ""},
		{"an identifier that is none", "PUT", "/api/students/ada", ada(), []string{fresh, "*"}, http.StatusBadRequest, "id"},
		{"somebody who is not there", "GET", students, nil, nil, http.StatusNotFound, ""},
		{"a page that is not there", "GET", "/api/nothing", nil, nil, http.StatusNotFound, ""},
		{"days that are none", "GET", "/api/lessons?ahead=many", nil, nil, http.StatusBadRequest, ""},
		{"a thousand years ahead", "GET", "/api/lessons?ahead=365250", nil, nil, http.StatusUnprocessableEntity, "ahead"},
		{"taps of a lesson that is not there", "POST", "/api/lessons/" + id + "/acts",
			c.acts(map[string]any{"run": id, "block": id, "student": id,
				"entries": []any{map[string]any{"seq": 0, "kind": "made", "at": c.now}}}), nil, http.StatusNotFound, ""},
	} {
		t.Run(b.name, func(t *testing.T) {
			p := readProblem(t, c.ask(b.method, b.path, b.body, b.headers...), b.status)
			if b.field == "" {
				require.Empty(t, p.Fields)
				return
			}
			require.Equal(t, b.field, p.Fields[0].Path)
		})
	}
	require.Empty(t, c.log.String(), "bad input is nobody's fault here")
	require.Empty(t, read[[]desk.Student](t, c.ask("GET", "/api/students", nil)))
}

func TestUnsoundTextIsFoundWhereItStands(t *testing.T) {
	for text, path := range map[string]string{
		`{"a":1,"a":2}`:             "a",
		`{"a":{"b":1,"b":{"c":1}}}`: "a.b",
		`[{"a":1},{"a":1,"a":1}]`:   "1.a",
		`{"a":[1,{"b":0,"b":0}]}`:   "a.1.b",
		`{"a":[0,-1e309]}`:          "a.1",
	} {
		found, _, _ := request.Unsound([]byte(text))
		require.Len(t, found, 1, text)
		require.Equal(t, path, found[0].Path, text)
	}
	for _, text := range []string{`{}`, `{"a":{"a":1},"b":[{"a":1},{"a":1}]}`, `"a"`, `[1,1]`, ``, `{"a"`, `{"a":1,`,
		`{1:2}`, `nonsense`} {
		found, _, err := request.Unsound([]byte(text))
		require.NoError(t, err)
		require.Empty(t, found, text)
	}
}

// bombs are bodies that once cost seconds and gigabytes before they were refused, as large as a body may be.
func bombs() map[string]string {
	const size = 980_000
	long := strings.Repeat("k", 60_000)
	doubled := `"` + long + `":{` + strings.TrimSuffix(strings.Repeat(`"a":1,`, size/7-len(long)/6), ",") + `}`
	fill := func(open, each, end string) string {
		return open + strings.TrimSuffix(strings.Repeat(each, (size-len(open)-len(end))/len(each)), ",") + end
	}
	return map[string]string{
		"long keys and many doubled ones": "{" + doubled + "," + doubled + "}",
		"many doubled ones":               fill("{", `"a":1,`, "}"),
		"one key over a list":             `{"` + long + `":` + fill("[", "1e999,", "]") + "}",
		"unknown keys":                    "{" + manyKeys(size) + "}",
		"a list of what is no group":      fill(`{"acts":[`, "1,", "]}"),
		"a list of empty groups":          fill(`{"acts":[`, "{},", "]}"),
		"a list of lists":                 fill(`{"acts":[`, "[],", "]}"),
		"one within the other":            strings.Repeat("[", size/2) + strings.Repeat("]", size/2),
		"groups within the other":         strings.Repeat(`{"a":`, size/6) + "1" + strings.Repeat("}", size/6),
		"groups at the depth that is read": fill(
			strings.Repeat(`{"`+strings.Repeat("n", 190)+`":`, 38)+"[",
			`"x",`,
			"]"+strings.Repeat("}", 38),
		),
		"no end":              fill("[", `{"a":[`, ""),
		"a text without end":  `"` + strings.Repeat("x", size),
		"numbers without end": fill("[", strings.Repeat("9", 400)+",", "]"),
	}
}

func manyKeys(size int) string {
	var b strings.Builder
	for i := 0; b.Len() < size-20; i++ {
		fmt.Fprintf(&b, `"k%d":1,`, i)
	}
	return strings.TrimSuffix(b.String(), ",")
}

// No body costs more than 64 MB before it is refused, nor is looked at for longer than what is read at most, nor
// answered at length: from who is in, from a stranger, in drills, lessons and acts.
func TestABombIsRefusedForNextToNothing(t *testing.T) {
	long.Skip(t)
	c := newClub(t)
	for name, body := range bombs() {
		_, steps, _ := request.Unsound([]byte(body))
		require.LessOrEqual(t, steps, 100_001, name)
		for _, to := range []string{"PUT /api/drills/" + newID(), "PUT /api/lessons/" + newID(), "POST /api/lessons/" +
			newID() + "/acts", "POST /api/entry"} {
			method, path, _ := strings.Cut(to, " ")
			var before, after runtime.MemStats
			runtime.ReadMemStats(&before)
			w := c.ask(method, path, body, "If-None-Match", "*")
			runtime.ReadMemStats(&after)
			require.GreaterOrEqual(t, w.Code, 400, "%s: %s", name, path)
			require.Less(t, w.Code, 500, "%s: %s: %.200s", name, path, w.Body.String())
			require.Less(t, w.Body.Len(), 20_000, "%s: %s", name, path)
			require.Less(t, after.TotalAlloc-before.TotalAlloc, uint64(64<<20), "%s: %s", name, path)
		}
	}
}
