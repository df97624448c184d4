package main

import (
	"bytes"
	"io"
	"net/http"
	"os"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
)

func TestTheVersionIsThatOfTheNewestChanges(t *testing.T) {
	t.Parallel()
	text, err := os.ReadFile("../../CHANGELOG.md")
	require.NoError(t, err)
	_, newest, found := strings.Cut(string(text), "\n## ")
	require.True(t, found)
	require.Equal(t, version, strings.Fields(newest)[0])
	var out bytes.Buffer
	require.NoError(t, run(t.Context(), []string{"version"}, nil, &out))
	require.Contains(t, out.String(), "Hodometer "+version)
}

func TestEverythingThatShipsHasItsLicence(t *testing.T) {
	t.Parallel()
	var out bytes.Buffer
	require.NoError(t, run(t.Context(), []string{"licenses"}, nil, &out))
	text := out.String()
	for _, name := range []string{"Go\n", "github.com/labstack/echo/v5 ", "modernc.org/sqlite ", "svelte ", "daisyui ",
		"dexie ", "SourceSans3, a font of the paper", "@fontsource-variable/source-sans-3 "} {
		require.Contains(t, text, "\n"+name)
	}
	require.GreaterOrEqual(t, strings.Count(text, "SIL OPEN FONT LICENSE"), 4, "the fonts of the page and of the paper")

	address := start(t, func(*service) {})
	request, err := http.NewRequestWithContext(t.Context(), http.MethodGet, "http://"+address+"/api/notices", nil)
	require.NoError(t, err)
	answer, err := http.DefaultClient.Do(request)
	require.NoError(t, err)
	body, err := io.ReadAll(answer.Body)
	require.NoError(t, err)
	require.NoError(t, answer.Body.Close())
	require.Equal(t, text, string(body), "the page shows the same")
}
