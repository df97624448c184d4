package main

import (
	"hodometer/internal/long"

	"context"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/people/student"
	"hodometer/demo"
	"hodometer/handover"
	"hodometer/internal/killed"
	"hodometer/keeping"
	"hodometer/store"
)

func TestMain(m *testing.M) {
	if task := killed.Task(); task != "" {
		if err := run(context.Background(), append([]string{task}, os.Args[1:]...), nil, os.Stdout); err != nil {
			panic(err)
		}
		os.Exit(0)
	}
	os.Exit(m.Run())
}

// lay puts files where they were, and takes away what else is in their folder.
func lay(t *testing.T, folder string, files map[string][]byte) {
	t.Helper()
	require.NoError(t, os.RemoveAll(folder))
	require.NoError(t, os.MkdirAll(folder, 0o700))
	for name, data := range files {
		require.NoError(t, os.WriteFile(filepath.Join(folder, name), data, 0o600))
	}
}

func readAll(t *testing.T, path string) []byte {
	t.Helper()
	data, err := os.ReadFile(path)
	require.NoError(t, err)
	return data
}

// aClub is a club of some years, with somebody who came since it was copied.
type aClub struct {
	file      []byte
	copy, zip string
	was, is   store.Health
}

func clubOf(t *testing.T, years int) aClub {
	t.Helper()
	ctx, folder := t.Context(), t.TempDir()
	source := filepath.Join(folder, "source.db")
	s, err := demo.Open(ctx, source, time.Date(2026, 3, 10, 12, 0, 0, 0, time.UTC), years)
	require.NoError(t, err)
	c := aClub{copy: filepath.Join(folder, "copy.db"), zip: filepath.Join(folder, "all.zip")}
	require.NoError(t, s.CopyTo(ctx, c.copy))
	_, err = s.Students.Create(ctx, "zora", student.Profile{Name: "Zora"})
	require.NoError(t, err)
	require.NoError(t, s.Close())
	require.NoError(t, handover.ExportFile(ctx, source, c.zip, time.Now(), silently))
	c.was, c.is, c.file = whole(t, c.copy), whole(t, source), readAll(t, source)
	return c
}

// whole fails where a file is not sound.
func whole(t *testing.T, path string) store.Health {
	t.Helper()
	h, err := store.Examine(t.Context(), path, store.Wholly)
	require.NoError(t, err)
	return h
}

// soundCopies are the safe copies of a folder that were made for a reason; all of them are sound.
func soundCopies(t *testing.T, folder string, why keeping.Why) []string {
	t.Helper()
	copies, err := filepath.Glob(filepath.Join(folder, "copies", "*.db"))
	require.NoError(t, err)
	for _, path := range copies {
		whole(t, path)
	}
	return slices.DeleteFunc(copies, func(path string) bool { return !strings.Contains(path, string(why)) })
}

// The program is killed in the middle of a backup and of a restore, twenty times each: the file is whole, with all that
// was in it or all that is to be, and a copy is whole or not there.
func TestNothingIsLostWhereABackupOrARestoreIsKilled(t *testing.T) {
	t.Parallel()
	long.Skip(t)
	c, folder := clubOf(t, 1), filepath.Join(t.TempDir(), "club")
	data, copied := filepath.Join(folder, "club.db"), filepath.Join(folder, "copy.db")
	killed.Off(t, "backup", []string{copied, "--data", data}, func() {
		lay(t, folder, map[string][]byte{"club.db": c.file})
	}, func(ended bool) {
		require.Equal(t, c.is, whole(t, data))
		if _, err := os.Stat(copied); err == nil || ended {
			require.Equal(t, c.is, whole(t, copied))
		}
	})
	killed.Off(t, "restore", []string{c.copy, "--data", data}, func() {
		lay(t, folder, map[string][]byte{"club.db": c.file})
	}, func(ended bool) {
		h, kept := whole(t, data), soundCopies(t, folder, keeping.BeforeRestore)
		if h.Students == c.was.Students { // it is restored: what was there before is kept
			require.Equal(t, c.was, h)
			require.Len(t, kept, 1)
			require.Equal(t, c.is, whole(t, kept[0]))
			return
		}
		require.False(t, ended)
		require.Equal(t, c.is, h)
	})
}

// The same of an import into a file that has half of the lessons: all that is missing comes in, or nothing of it.
func TestNothingIsLostWhereAnImportIsKilled(t *testing.T) {
	t.Parallel()
	long.Skip(t)
	ctx, c, folder := t.Context(), clubOf(t, 0), filepath.Join(t.TempDir(), "club")
	data, half := filepath.Join(folder, "club.db"), filepath.Join(t.TempDir(), "half.db")
	require.NoError(t, os.WriteFile(half, c.file, 0o600))
	s, err := store.Open(ctx, half, nil)
	require.NoError(t, err)
	lessons, err := s.Lessons.List(ctx, true)
	require.NoError(t, err)
	for _, lesson := range lessons[:len(lessons)/2] {
		require.NoError(t, s.Lessons.Erase(ctx, lesson.ID))
	}
	require.NoError(t, s.Close())
	less, some := whole(t, half), readAll(t, half)
	killed.Off(t, "import", []string{c.zip, "--data", data}, func() {
		lay(t, folder, map[string][]byte{"club.db": some})
	}, func(ended bool) {
		h := whole(t, data)
		soundCopies(t, folder, keeping.BeforeImport)
		if h.Lessons == less.Lessons {
			require.False(t, ended)
			require.Equal(t, less, h)
		} else {
			require.Equal(t, c.is, h)
		}
	})
}
