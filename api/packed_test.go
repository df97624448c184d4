package api

import (
	"bytes"
	"io"
	"net/http"
	"net/http/httptest"
	"testing"
	"testing/fstest"

	"github.com/andybalholm/brotli"
	"github.com/labstack/echo/v5"
	"github.com/stretchr/testify/require"
)

// What is there compressed only is sent so to who reads it, and unpacked to everybody else.
func TestWhatIsPackedComesToEveryBrowser(t *testing.T) {
	t.Parallel()
	const text = "console.log('as it was')"
	var packed bytes.Buffer
	w := brotli.NewWriter(&packed)
	_, err := io.WriteString(w, text)
	require.NoError(t, err)
	require.NoError(t, w.Close())
	serve := pages(fstest.MapFS{
		"index.html":          {Data: []byte("<p>")},
		"assets/app-1.js.br":  {Data: packed.Bytes()},
		"assets/plain-2.js":   {Data: []byte(text)},
		"assets/empty/a.text": {},
	})
	ask := func(path, encoding string) *httptest.ResponseRecorder {
		request, answer := httptest.NewRequestWithContext(t.Context(), http.MethodGet, path, nil), httptest.NewRecorder()
		request.Header.Set("Accept-Encoding", encoding)
		if err := serve(echo.New().NewContext(request, answer)); err != nil {
			answer.Code = http.StatusNotFound
		}
		return answer
	}
	for _, encoding := range []string{"", "gzip", "br;q=0"} {
		plain := ask("/assets/app-1.js", encoding)
		require.Equal(t, http.StatusOK, plain.Code, encoding)
		require.Empty(t, plain.Header().Get("Content-Encoding"), encoding)
		require.Equal(t, text, plain.Body.String(), encoding)
		require.Contains(t, plain.Header().Get("Content-Type"), "javascript", encoding)
	}
	small := ask("/assets/app-1.js", "gzip, br")
	require.Equal(t, "br", small.Header().Get("Content-Encoding"))
	require.Equal(t, packed.Bytes(), small.Body.Bytes())
	require.Contains(t, small.Header().Get("Vary"), "Accept-Encoding")
	require.Equal(t, text, ask("/assets/plain-2.js", "br").Body.String())
	require.NotEqual(t, http.StatusOK, ask("/assets/none.js", "br").Code)
	require.Equal(t, http.StatusNotFound, ask("/assets/empty", "").Code)
}
