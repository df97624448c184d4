package api_test

import (
	"io"
	"log/slog"
	"net/http"
	"net/http/httptest"
	"path/filepath"
	"testing"
	"testing/fstest"
	"time"

	"github.com/labstack/echo/v5"
	"github.com/stretchr/testify/require"

	"hodometer/api"
	"hodometer/demo"
)

// BenchmarkReads compares what is read most with a bare handler that sends the same bytes, on the demo.
func BenchmarkReads(b *testing.B) {
	now := time.Date(2026, 3, 10, 15, 30, 0, 0, time.UTC)
	s, err := demo.Open(b.Context(), filepath.Join(b.TempDir(), "demo.db"), now, 0)
	require.NoError(b, err)
	defer func() { require.NoError(b, s.Close()) }()
	doors, err := api.New(
		api.Options{
			Store: s,
			Now:   func() time.Time { return now },
			Log:   slog.New(slog.DiscardHandler),
			Pages: fstest.MapFS{},
		},
	)
	require.NoError(b, err)
	b.Cleanup(doors.Closing)
	handler := doors.Machine
	whole := httptest.NewServer(handler)
	defer whole.Close()
	students, err := s.Students.List(b.Context(), false)
	require.NoError(b, err)
	lessons, _, err := s.LessonsBetween(b.Context(), "2026-03-10", "2026-03-10")
	require.NoError(b, err)
	for name, path := range map[string]string{"student": "/api/students/" + students[0].ID, "lesson": "/api/lessons/" +
		lessons[0].ID, "drills": "/api/drills"} {
		body := fetch(b, whole.URL+path)
		e := echo.New()
		e.GET("/*", func(c *echo.Context) error { return c.Blob(http.StatusOK, "application/json", body) })
		bare := httptest.NewServer(e)
		for kind, server := range map[string]*httptest.Server{"hodometer": whole, "bare": bare} {
			b.Run(name+"/"+kind, func(b *testing.B) {
				b.SetBytes(int64(len(body)))
				b.RunParallel(func(pb *testing.PB) {
					for pb.Next() {
						fetch(b, server.URL+path)
					}
				})
			})
		}
		bare.Close()
	}
}

// fetch reads an answer as it comes, without asking for it compressed.
func fetch(b *testing.B, url string) []byte {
	request, err := http.NewRequestWithContext(b.Context(), http.MethodGet, url, nil)
	require.NoError(b, err)
	request.Header.Set("Accept-Encoding", "identity")
	answer, err := http.DefaultClient.Do(request)
	require.NoError(b, err)
	body, err := io.ReadAll(answer.Body)
	require.NoError(b, err)
	require.NoError(b, answer.Body.Close())
	require.Equal(b, http.StatusOK, answer.StatusCode)
	return body
}
