package main

import (
	"io"
	"net/http"
	"net/url"
	"os"
	"path/filepath"
	"regexp"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/keeping"
	"hodometer/store"
)

// A damaged file is not written to: its newest good copy is offered on the page, and with one press the program goes on
// with it.
func TestADamagedFileIsRestoredOnThePage(t *testing.T) {
	t.Parallel()
	data := clubFile(t)
	s, err := store.Open(t.Context(), data, nil)
	require.NoError(t, err)
	_, err = keeping.For(data).Make(t.Context(), s.CopyTo, time.Now(), keeping.Daily)
	require.NoError(t, err)
	require.NoError(t, s.Close())
	bytes, err := os.ReadFile(data)
	require.NoError(t, err)
	for i := 4096; i < len(bytes); i += 5 {
		bytes[i] ^= 0x3c
	}
	require.NoError(t, os.WriteFile(data, bytes, 0o600))

	address := start(t, func(s *service) { s.data = data })
	get := func(path string) (int, string) {
		r, err := http.NewRequestWithContext(t.Context(), http.MethodGet, "http://"+address+path, nil)
		require.NoError(t, err)
		answer, err := http.DefaultClient.Do(r)
		if err != nil {
			return 0, ""
		}
		text, err := io.ReadAll(answer.Body)
		require.NoError(t, err)
		require.NoError(t, answer.Body.Close())
		return answer.StatusCode, string(text)
	}
	_, page := get("/")
	require.Contains(t, page, "Your file is damaged")
	require.Contains(t, page, "The newest good copy is of")
	status, told := get("/api/students")
	require.Equal(t, http.StatusServiceUnavailable, status)
	require.Contains(t, told, "is damaged")
	require.Equal(t, http.StatusMisdirectedRequest, under(t, address, "elsewhere.example"))
	token := regexp.MustCompile(`name="token" value="([^"]+)"`).FindStringSubmatch(page)[1]
	press := func(token string) int {
		answer, err := http.PostForm("http://"+address+"/restore", url.Values{"token": {token}}) //nolint:noctx // a form
		require.NoError(t, err)
		require.NoError(t, answer.Body.Close())
		return answer.StatusCode
	}
	require.Equal(t, http.StatusForbidden, press("guessed"))
	now, err := os.ReadFile(data)
	require.NoError(t, err)
	require.True(t, string(bytes) == string(now), "not a byte of it has changed")
	require.Equal(t, http.StatusOK, press(token))
	require.Eventually(t, func() bool {
		status, text := get("/api/students")
		return status == http.StatusOK && len(text) > 100
	}, 20*time.Second, 20*time.Millisecond)
	aside, err := filepath.Glob(data + ".damaged *")
	require.NoError(t, err)
	require.NotEmpty(t, aside)
}
