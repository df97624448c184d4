package api_test

import (
	"fmt"
	"log/slog"
	"net/http/httptest"
	"path/filepath"
	"testing"
	"testing/fstest"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/api"
	"hodometer/core/drill/library"
	"hodometer/demo"
)

// BenchmarkSearch looks for drills among two thousand of the coach's own, as they are typed: another word each time, so
// that no answer is remembered. See docs/performance.md.
func BenchmarkSearch(b *testing.B) {
	now := time.Date(2026, 3, 10, 15, 30, 0, 0, time.UTC)
	s, err := demo.Open(b.Context(), filepath.Join(b.TempDir(), "demo.db"), now, 0)
	require.NoError(b, err)
	defer func() { require.NoError(b, s.Close()) }()
	all := library.All()
	for i := range 2000 {
		d := all[i%len(all)].Document
		d.Name = fmt.Sprintf("%s %d", d.Name, i)
		_, err := s.Drills.Create(b.Context(), newID(), d)
		require.NoError(b, err)
	}
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
	server := httptest.NewServer(handler)
	defer server.Close()
	students, err := s.Students.List(b.Context(), false)
	require.NoError(b, err)
	fetch(b, server.URL+"/api/drills") // reads them all once
	for _, order := range []string{"", "&order=fits+this+student&students=" + students[0].ID} {
		name := "words"
		if order != "" {
			name = "for a student"
		}
		b.Run(name, func(b *testing.B) {
			i := 0
			for b.Loop() {
				i++
				fetch(b, fmt.Sprintf("%s/api/drills?text=vol+%d%s", server.URL, i%2000, order))
			}
		})
		b.Run(name+", many found", func(b *testing.B) {
			i := 0
			for b.Loop() {
				i++
				fetch(b, fmt.Sprintf("%s/api/drills?text=forehand&offset=%d%s", server.URL, i%900, order))
			}
		})
	}
}
