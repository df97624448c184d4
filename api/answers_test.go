package api_test

import (
	"bytes"
	"net/http/httptest"
	"os"
	"slices"
	"strings"
	"sync"
	"testing"

	"github.com/santhosh-tekuri/jsonschema/v6"
	"github.com/stretchr/testify/require"
)

// openAPI is the published description, with a compiler for the schemas in it.
type openAPI struct {
	lock     sync.Mutex
	paths    map[string]any
	compiler *jsonschema.Compiler
	compiled map[string]*jsonschema.Schema
}

var published = sync.OnceValues(func() (*openAPI, error) {
	text, err := os.ReadFile("openapi.json")
	if err != nil {
		return nil, err
	}
	document, err := jsonschema.UnmarshalJSON(bytes.NewReader(text))
	if err != nil {
		return nil, err
	}
	compiler := jsonschema.NewCompiler()
	compiler.AssertFormat()
	whole, _ := document.(map[string]any)
	paths, _ := whole["paths"].(map[string]any)
	return &openAPI{
			paths:    paths,
			compiler: compiler,
			compiled: map[string]*jsonschema.Schema{},
		}, compiler.AddResource(
			"openapi.json",
			document,
		)
})

// answers is the schema of what a route answers; nil where it answers nothing, or is not described.
func (o *openAPI) answers(t testing.TB, method, path string) *jsonschema.Schema {
	o.lock.Lock()
	defer o.lock.Unlock()
	path, _, _ = strings.Cut(path, "?")
	best := ""
	for route := range o.paths {
		// A route without parameters goes before one that has them.
		if fits(route, path) && (best == "" || strings.Count(route, "{") < strings.Count(best, "{")) {
			best = route
		}
	}
	operations, _ := o.paths[best].(map[string]any)
	operation, _ := operations[strings.ToLower(method)].(map[string]any)
	responses, _ := operation["responses"].(map[string]any)
	ok, _ := responses["200"].(map[string]any)
	if ok["content"] == nil {
		return nil
	}
	pointer := strings.NewReplacer("~", "~0", "/", "~1", "{", "%7B", "}", "%7D").Replace(best)
	at := "openapi.json#/paths/" + pointer + "/" + strings.ToLower(
		method,
	) + "/responses/200/content/application~1json/schema"
	if o.compiled[at] == nil {
		schema, err := o.compiler.Compile(at)
		require.NoError(t, err)
		o.compiled[at] = schema
	}
	return o.compiled[at]
}

func fits(route, path string) bool {
	return slices.EqualFunc(strings.Split(route, "/"), strings.Split(path, "/"), func(want, got string) bool {
		return want == got || strings.HasPrefix(want, "{")
	})
}

// asDescribed fails where a good answer is not what the published description says: so no test of the
// interface passes on an answer that the page, or a save of the same document, would choke on.
func asDescribed(t testing.TB, method, path string, w *httptest.ResponseRecorder) {
	if w.Code != 200 || !strings.HasPrefix(w.Header().Get("Content-Type"), "application/json") {
		return
	}
	described, err := published()
	require.NoError(t, err)
	schema := described.answers(t, method, path)
	if schema == nil {
		return
	}
	answer, err := jsonschema.UnmarshalJSON(bytes.NewReader(w.Body.Bytes()))
	require.NoError(t, err)
	require.NoError(t, schema.Validate(answer), "%s %s", method, path)
}
