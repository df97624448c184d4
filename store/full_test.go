package store_test

import (
	"path/filepath"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/people/student"
	"hodometer/store"
)

// A file that cannot grow any more is as one on a full disk: what is answered is there, what is refused is told in
// words, and once there is room it goes on.
func TestAFullDiskIsToldAndLosesNothing(t *testing.T) {
	t.Parallel()
	ctx := t.Context()
	s, err := store.Open(ctx, filepath.Join(t.TempDir(), "club.db"), nil)
	require.NoError(t, err)
	t.Cleanup(func() { require.NoError(t, s.Close()) })
	pages := s.LimitPages(t, 0)
	s.LimitPages(t, pages+3)
	var kept []string
	var full error
	for i := 0; full == nil && i < 1000; i++ {
		id := string(rune('a'+i%26)) + string(rune('a'+i/26))
		if _, full = s.Students.Create(ctx, id, student.Profile{Name: id}); full == nil {
			kept = append(kept, id)
		}
	}
	require.Equal(t, "The disk is full: make room on it.", store.DiskSays(full))
	s.LimitPages(t, pages+1000)
	_, err = s.Students.Create(ctx, "later", student.Profile{Name: "Later"})
	require.NoError(t, err)
	list, err := s.Students.List(ctx, true)
	require.NoError(t, err)
	require.Len(t, list, len(kept)+1)
}
