package api_test

import (
	"bytes"
	"io"
	"net/http"
	"strconv"
	"testing"
	"testing/fstest"

	"github.com/andybalholm/brotli"
	"github.com/stretchr/testify/require"
)

const script = "console.log('as it was')"

// pagesOf are a page with a script that is there compressed only, and with one that is not compressed.
func pagesOf(t testing.TB) fstest.MapFS {
	var packed bytes.Buffer
	w := brotli.NewWriter(&packed)
	_, err := io.WriteString(w, script)
	require.NoError(t, err)
	require.NoError(t, w.Close())
	return fstest.MapFS{
		"index.html": {Data: []byte("<title>Hodometer</title>")}, "assets/plain-2.js": {Data: []byte(script)},
		"assets/app-1.js.br": {Data: packed.Bytes()},
	}
}

// What is there compressed only is sent so to who reads it, once and not twice, and unpacked to everybody else.
func TestWhatIsPackedComesToEveryBrowser(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	for _, encoding := range []string{"", "gzip", "gzip, br;q=0"} {
		plain := c.send("GET", "/assets/app-1.js", "", "Accept-Encoding", encoding)
		require.Equal(t, http.StatusOK, plain.Code, encoding)
		require.Empty(t, plain.Header().Get("Content-Encoding"), encoding)
		require.Equal(t, script, plain.Body.String(), encoding)
		require.Contains(t, plain.Header().Get("Content-Type"), "javascript", encoding)
	}
	small := c.send("GET", "/assets/app-1.js", "", "Accept-Encoding", "gzip, deflate, br, zstd")
	require.Equal(t, "br", small.Header().Get("Content-Encoding"))
	require.Equal(t, strconv.Itoa(small.Body.Len()), small.Header().Get("Content-Length"), "how long it is, is said first")
	unpacked, err := io.ReadAll(brotli.NewReader(small.Body))
	require.NoError(t, err)
	require.Equal(t, script, string(unpacked))
	require.Contains(t, small.Header().Values("Vary"), "Accept-Encoding")
	plain := c.send("GET", "/assets/plain-2.js", "", "Accept-Encoding", "gzip, br")
	require.Equal(t, script, plain.Body.String())
	require.NotEqual(t, http.StatusOK, c.send("GET", "/assets/none.js", "", "Accept-Encoding", "br").Code)
	require.NotEqual(t, http.StatusOK, c.send("GET", "/assets", "").Code, "folders are not listed")
}
