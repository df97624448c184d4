package api_test

import (
	"bytes"
	"net/http"
	"os"
	"testing"

	"github.com/santhosh-tekuri/jsonschema/v6"
	"github.com/stretchr/testify/require"

	"hodometer/api"
	"hodometer/core/drill/library"
)

func TestTheCommittedDocumentIsFresh(t *testing.T) {
	t.Parallel()
	committed, err := os.ReadFile("openapi.json")
	require.NoError(t, err)
	made, err := api.OpenAPI()
	require.NoError(t, err)
	require.True(t, bytes.Equal(made, committed), "api/openapi.json is stale: run make generate")
}

func TestTheDocumentIsServed(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	committed, err := os.ReadFile("openapi.json")
	require.NoError(t, err)
	require.True(t, bytes.Equal(committed, c.ask("GET", "/api/openapi.json", nil).Body.Bytes()))
}

func TestEveryBuiltInDrillIsValidAgainstTheShippedSchema(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	answer := c.ask("GET", "/api/schemas/drill.json", nil)
	require.Equal(t, http.StatusOK, answer.Code)
	document, err := jsonschema.UnmarshalJSON(answer.Body)
	require.NoError(t, err)
	compiler := jsonschema.NewCompiler()
	require.NoError(t, compiler.AddResource("drill.json", document))
	schema, err := compiler.Compile("drill.json")
	require.NoError(t, err)
	for _, stored := range library.All() {
		require.NoError(t, schema.Validate(with(t, stored.Document, "name", stored.Document.Name)))
		require.Error(t, schema.Validate(with(t, stored.Document, "colour", "red")))
	}
}

// FuzzBody sends anything at all as a drill: it is answered, never with a fault of our own.
func FuzzBody(f *testing.F) {
	f.Add(`{"version":1}`)
	f.Add(`{"pattern":{"balls":[null]},"places":[{}]}`)
	f.Add(`[1e400]`)
	f.Fuzz(func(t *testing.T, body string) {
		c := newClub(t)
		answer := c.ask("PUT", "/api/drills/"+newID(), body, fresh, "*")
		require.Less(t, answer.Code, http.StatusInternalServerError, body)
		require.Empty(t, c.log.String())
	})
}
