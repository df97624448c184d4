package keeping_test

import (
	"bytes"
	"context"
	"errors"
	"fmt"
	"io"
	"log/slog"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"sync/atomic"
	"syscall"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/people/student"
	"hodometer/keeping"
	"hodometer/store"
)

var noon = time.Date(2026, 3, 10, 12, 0, 0, 0, time.Local)

// A coach who works on some days, with some copies a day, for up to four years: there are never more than 23 copies,
// the newest one is always kept, and of each of the last days, weeks and months with a copy there is one.
func TestOneCopyOfEachDayWeekAndMonthIsKept(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		var kept []time.Time
		spans := map[string]func(time.Time) string{
			"day":   func(t time.Time) string { return t.Format(time.DateOnly) },
			"week":  func(t time.Time) string { year, week := t.ISOWeek(); return fmt.Sprintf("%d-%02d", year, week) },
			"month": func(t time.Time) string { return t.Format("2006-01") },
		}
		had := map[string][]string{}
		at := noon
		for range rapid.IntRange(1, 400).Draw(t, "copies") {
			at = at.Add(time.Duration(rapid.SampledFrom([]int{1, 5, 24, 24, 24, 48, 200, 1500}).Draw(t, "hours")) * time.Hour)
			kept = append([]time.Time{at}, kept...)
			keep := keeping.Kept(kept)
			require.True(t, keep[0])
			var next []time.Time
			for i, one := range kept {
				if keep[i] {
					next = append(next, one)
				}
			}
			kept = next
			require.LessOrEqual(t, len(kept), 7+4+12)
			for name, span := range spans {
				if list := had[name]; len(list) == 0 || list[len(list)-1] != span(at) {
					had[name] = append(list, span(at))
				}
				most := map[string]int{"day": 7, "week": 4, "month": 12}[name]
				for _, wanted := range had[name][max(0, len(had[name])-most):] {
					require.True(
						t,
						slices.ContainsFunc(kept, func(one time.Time) bool { return span(one) == wanted }),
						"%s %s",
						name,
						wanted,
					)
				}
			}
		}
	})
}

func open(t *testing.T, path string) *store.Store {
	t.Helper()
	s, err := keeping.Open(t.Context(), path, noon)
	require.NoError(t, err)
	t.Cleanup(func() { _ = s.Close() })
	return s
}

func add(t *testing.T, s *store.Store, name string) {
	t.Helper()
	_, err := s.Students.Create(t.Context(), name, student.Profile{Name: name})
	require.NoError(t, err)
}

func names(t *testing.T, s *store.Store) (list []string) {
	t.Helper()
	all, err := s.Students.List(t.Context(), true)
	require.NoError(t, err)
	for _, r := range all {
		list = append(list, r.ID)
	}
	return list
}

func TestACopyIsMadeEveryDayAndYesterdaysIsRestored(t *testing.T) {
	data := filepath.Join(t.TempDir(), "club.db")
	s := open(t, data)
	var now atomic.Int64
	now.Store(noon.Unix())
	k := &keeping.Keeper{
		Data:  data,
		Daily: true,
		Store: s,
		Now:   func() time.Time { return time.Unix(now.Load(), 0) },
		Log:   slog.New(slog.NewTextHandler(io.Discard, nil)),
	}
	today := func() {
		ctx, stop := context.WithCancel(t.Context())
		ended := make(chan struct{})
		before, err := k.Copies().List()
		require.NoError(t, err)
		go func() { k.Run(ctx); close(ended) }()
		require.Eventually(t, func() bool {
			list, err := k.Copies().List()
			return err == nil && len(list) > 0 && (len(before) == 0 || list[0].Name != before[0].Name)
		}, 10*time.Second, time.Millisecond)
		stop()
		<-ended
	}
	add(t, s, "ada")
	today()
	add(t, s, "bo")
	now.Add(24 * 3600)
	today()
	list, err := k.Copies().List()
	require.NoError(t, err)
	require.Len(t, list, 2)
	require.Equal(t, "club 2026-03-11 12.00.00, daily, "+k.Copies().Host+".db", list[0].Name)
	require.Positive(t, list[0].Bytes)

	done, err := k.Restore(t.Context(), list[1].Name)
	require.NoError(t, err)
	require.Equal(t, []string{"ada"}, names(t, s))
	require.Equal(t, 1, done.Health.Students)
	list, err = k.Copies().List()
	require.NoError(t, err)
	require.Equal(t, keeping.BeforeRestore, list[0].Why)
	_, err = k.Restore(t.Context(), list[0].Name)
	require.NoError(t, err)
	require.Equal(t, []string{"ada", "bo"}, names(t, s), "what was there can be had back")

	for _, name := range []string{"../club.db", "club.db", ""} {
		_, err := k.Restore(t.Context(), name)
		require.ErrorIs(t, err, os.ErrNotExist, name)
	}
	require.Empty(t, k.Wrong())
}

// What is older than is kept can be restored all the same: it goes only after that.
func TestTheOldestCopyCanBeRestored(t *testing.T) {
	data := filepath.Join(t.TempDir(), "club.db")
	s := open(t, data)
	copies := keeping.For(data)
	add(t, s, "ada")
	var first keeping.Copy
	for i := range 14 {
		made, err := copies.Make(t.Context(), s.CopyTo, noon.AddDate(0, i, 0), keeping.Daily)
		require.NoError(t, err)
		if i == 2 {
			first = made
			add(t, s, "bo")
		}
	}
	path, err := copies.Path(first.Name)
	require.NoError(t, err)
	_, err = copies.Restore(t.Context(), s, path, noon.AddDate(0, 15, 0))
	require.NoError(t, err)
	require.Equal(t, []string{"ada"}, names(t, s))
	_, err = copies.Path(first.Name)
	require.ErrorIs(t, err, os.ErrNotExist, "now it is gone")
}

func TestTheFolderCanBeChosen(t *testing.T) {
	data, other := filepath.Join(t.TempDir(), "club.db"), filepath.Join(t.TempDir(), "a", "stick")
	s := open(t, data)
	require.NoError(t, keeping.Choose(data, other))
	_, err := keeping.For(data).Make(t.Context(), s.CopyTo, noon, keeping.OnDemand)
	require.NoError(t, err)
	require.NoError(t, os.WriteFile(filepath.Join(other, "club 2026, notes.txt"), nil, 0o600))
	require.NoError(t, os.WriteFile(filepath.Join(other, "club 2026-03-10 12.00.00, of my own.db"), nil, 0o600))
	list, err := keeping.For(data).List()
	require.NoError(t, err)
	require.Len(t, list, 1, "what is none of ours is left alone")

	// Another machine has its copies in the same folder: they are listed, and left to it.
	theirs := keeping.For(data)
	theirs.Host = "another"
	for i := range 40 {
		_, err := theirs.Make(t.Context(), s.CopyTo, noon.AddDate(0, 0, -i-1), keeping.Daily)
		require.NoError(t, err)
	}
	before, err := theirs.List()
	require.NoError(t, err)
	_, err = keeping.For(data).Make(t.Context(), s.CopyTo, noon.AddDate(0, 0, 1), keeping.Daily)
	require.NoError(t, err)
	after, err := theirs.List()
	require.NoError(t, err)
	require.Len(t, after, len(before)+1)

	require.NoError(t, os.Rename(other, other+" pulled"))
	_, err = keeping.For(data).Make(t.Context(), s.CopyTo, noon, keeping.OnDemand)
	require.ErrorContains(t, err, "plugged in")
	require.NoDirExists(t, other, "nothing is made in its place")
	require.NoError(t, os.Rename(other+" pulled", other))

	file := filepath.Join(t.TempDir(), "file")
	require.NoError(t, os.WriteFile(file, nil, 0o600))
	require.ErrorContains(t, keeping.Choose(data, filepath.Join(file, "in")), "cannot be made")
	require.ErrorContains(t, keeping.Choose(data, "copies"), "whole path")
	require.Equal(t, other, keeping.For(data).Folder, "what was chosen before stays")
	require.NoError(t, keeping.Choose(data, ""))
	require.NoError(t, keeping.Choose(data, ""))
	require.Equal(t, filepath.Join(filepath.Dir(data), "copies"), keeping.For(data).Folder)
}

func TestADamagedFileIsSetAsideAndTheNewestGoodCopyOffered(t *testing.T) {
	ctx, data := t.Context(), filepath.Join(t.TempDir(), "club.db")
	s := open(t, data)
	copies := keeping.For(data)
	for i := range 200 {
		add(t, s, fmt.Sprint("student ", i))
	}
	good, err := copies.Make(ctx, s.CopyTo, noon, keeping.Daily)
	require.NoError(t, err)
	bad, err := copies.Make(ctx, s.CopyTo, noon.AddDate(0, 0, 1), keeping.Daily)
	require.NoError(t, err)
	require.NoError(t, s.Close())
	spoil := func(path string) []byte {
		text, err := os.ReadFile(path)
		require.NoError(t, err)
		for i := 4096; i < len(text)-4096; i += 3 {
			text[i] ^= 0x5a
		}
		require.NoError(t, os.WriteFile(path, text, 0o600))
		return text
	}
	spoil(filepath.Join(copies.Folder, bad.Name))
	spoiled := spoil(data)

	var damaged *keeping.Damaged
	_, err = keeping.Open(ctx, data, noon.AddDate(0, 0, 2))
	require.ErrorAs(t, err, &damaged)
	require.ErrorIs(t, err, store.ErrDamaged)
	require.Equal(t, good, damaged.Newest, "the newer one is damaged, too")
	require.ErrorContains(t, err, "copied to "+data+".damaged 2026-03-12 12.00.00")
	for _, file := range []string{data, damaged.Aside} {
		text, err := os.ReadFile(file)
		require.NoError(t, err)
		require.Equal(t, string(spoiled), string(text), "not a byte of it has changed")
	}
	aside := damaged.Aside
	_, err = keeping.Open(ctx, data, noon.AddDate(0, 0, 3))
	require.ErrorAs(t, err, &damaged)
	require.Equal(t, aside, damaged.Aside, "it is copied once")
	_, err = keeping.RestoreFile(ctx, data, filepath.Join(copies.Folder, bad.Name), noon)
	require.ErrorIs(t, err, store.ErrDamaged)
	done, err := keeping.RestoreFile(ctx, data, filepath.Join(copies.Folder, good.Name), noon.AddDate(0, 0, 3))
	require.NoError(t, err)
	require.Equal(t, 200, done.Health.Students)
	require.Len(t, names(t, open(t, data)), 200)
}

func TestACopyIsRestoredWhereThereIsNoFile(t *testing.T) {
	ctx, folder := t.Context(), t.TempDir()
	s := open(t, filepath.Join(folder, "old.db"))
	add(t, s, "ada")
	copied, fresh := filepath.Join(folder, "copy.db"), filepath.Join(folder, "new.db")
	require.NoError(t, s.CopyTo(ctx, copied))
	_, err := keeping.RestoreFile(ctx, fresh, copied, noon)
	require.NoError(t, err)
	require.Equal(t, []string{"ada"}, names(t, open(t, fresh)))
}

func TestACopyThatCannotBeMadeIsTold(t *testing.T) {
	copies := keeping.For(filepath.Join(t.TempDir(), "club.db"))
	full := errors.New("no room left")
	_, err := copies.Make(t.Context(), func(context.Context, string) error { return full }, noon, keeping.Daily)
	require.ErrorIs(t, err, full)
	require.True(t, strings.HasPrefix(err.Error(), "no safe copy"))
	_, err = copies.Make(
		t.Context(),
		func(context.Context, string) error { return &os.PathError{Op: "write", Path: "x", Err: syscall.ENOSPC} },
		noon,
		keeping.Daily,
	)
	require.ErrorContains(t, err, "no safe copy: The disk is full: make room on it.")
}

// A file that is as it was left is opened without being looked at whole; one that was written since, or not closed, is
// looked at.
func TestAFileThatIsAsItWasLeftIsNotLookedAt(t *testing.T) {
	ctx, data := t.Context(), filepath.Join(t.TempDir(), "club.db")
	s := open(t, data)
	for i := range 200 {
		add(t, s, fmt.Sprint("student ", i))
	}
	require.Error(t, keeping.Left(data), "it is not closed")
	require.NoError(t, s.Close())
	require.NoError(t, keeping.Left(data))
	info, err := os.Stat(data)
	require.NoError(t, err)
	text, err := os.ReadFile(data)
	require.NoError(t, err)
	spoil := func(page int) {
		for i := range 400 {
			text[4096*page+i] ^= 0x5a
		}
		require.NoError(t, os.WriteFile(data, text, 0o600))
		require.NoError(t, os.Chtimes(data, info.ModTime(), info.ModTime())) // as a disk spoils a file: nobody wrote it
	}
	spoil(bytes.Index(text, []byte("student 150")) / 4096)
	s, err = keeping.Open(ctx, data, noon)
	require.NoError(t, err)
	_, err = keeping.For(data).Make(ctx, s.CopyTo, noon, keeping.Daily)
	require.Error(t, err, "the copy of the day finds it")
	require.NoError(t, s.Close())
	require.NoError(t, os.Chtimes(data, info.ModTime(), info.ModTime().Add(time.Second)))
	_, err = keeping.Open(ctx, data, noon)
	require.ErrorIs(t, err, store.ErrDamaged)

	require.NoError(t, keeping.Left(data))
	info, err = os.Stat(data)
	require.NoError(t, err)
	spoil(0)
	_, err = keeping.Open(ctx, data, noon)
	require.ErrorAs(t, err, new(*keeping.Damaged), "it cannot even be opened")
}

// What a program that runs no more left half made is swept away at the next start; nothing else is, however it is
// called and however old, and nothing that is put into a folder of ours.
func TestWhatIsHalfMadeIsSweptAway(t *testing.T) {
	folder := t.TempDir()
	data := filepath.Join(folder, "club.db")
	open(t, data)
	const gone = "999999999" // no process has such a number
	there := map[string]bool{
		".hodometer-partial-copy-" + gone + "-1/half.db":                     false,
		".hodometer-partial-import-" + gone + "-2.zip":                       false,
		".hodometer-partial-export-" + gone + "-3/moment.db-wal":             false,
		".hodometer-partial-copy-" + fmt.Sprint(os.Getppid()) + "-4/half.db": true, // of a program that runs
		".hodometer-partial-copy-" + gone + "-5/holiday.jpg":                 true,
		".import-1":                 true,
		".export-2/photos/one.jpg":  true,
		".copy-3":                   true,
		".half-4":                   true,
		".try-5":                    true,
		".hodometer-partial-":       true,
		".hodometer-partial-copy-x": true,
		"notes.txt":                 true,
		"club.db":                   true,
	}
	long := time.Now().AddDate(-1, 0, 0)
	for name := range there {
		path := filepath.Join(folder, name)
		require.NoError(t, os.MkdirAll(filepath.Dir(path), 0o700))
		if name != "club.db" {
			require.NoError(t, os.WriteFile(path, []byte("x"), 0o600))
		}
		if !strings.Contains(name, fmt.Sprint(os.Getppid())) && name != "club.db" {
			require.NoError(t, os.Chtimes(path, long, long))
		}
	}
	open(t, data)
	for name, stays := range there {
		_, err := os.Stat(filepath.Join(folder, name))
		require.Equal(t, stays, err == nil, name)
	}
}

// Copies are made again after a clock that ran ahead was put right, and one that fails is not tried in full every
// minute.
func TestCopiesGoOnAfterAClockRanAhead(t *testing.T) {
	folder := t.TempDir()
	data := filepath.Join(folder, "club.db")
	s := open(t, data)
	now := noon.AddDate(3, 0, 0)
	k := &keeping.Keeper{
		Data:  data,
		Daily: true,
		Store: s,
		Now:   func() time.Time { return now },
		Log:   slog.New(slog.NewTextHandler(io.Discard, nil)),
	}
	require.NoError(t, keeping.Today(k, t.Context()))
	now = noon
	require.NoError(t, keeping.Today(k, t.Context()))
	names, err := filepath.Glob(filepath.Join(folder, "copies", "*"+noon.Format("2006-01-02")+"*"))
	require.NoError(t, err)
	require.Len(t, names, 1)

	now = noon.AddDate(0, 0, 1)
	require.NoError(t, os.RemoveAll(filepath.Join(folder, "copies")))
	require.NoError(t, os.WriteFile(filepath.Join(folder, "copies"), nil, 0o600)) // nothing can be made there
	failed := 0
	for range 24 * 60 {
		if keeping.Today(k, t.Context()) != nil {
			failed++
		}
		now = now.Add(time.Minute)
	}
	require.Greater(t, failed, 3)
	require.Less(t, failed, 12)
}

// One program runs with a file; another one is told, and has it once the first has ended.
func TestAFileIsOfOneProgram(t *testing.T) {
	data := filepath.Join(t.TempDir(), "club.db")
	release, err := keeping.Claim(data)
	require.NoError(t, err)
	_, err = keeping.Claim(data)
	require.ErrorIs(t, err, keeping.ErrRuns)
	_, err = keeping.Claim(data + "2")
	require.NoError(t, err)
	release()
	release, err = keeping.Claim(data)
	require.NoError(t, err)
	release()
}

// A blank behind the name of a folder was typed by accident: copies are made in the folder that is meant.
func TestAFolderWithABlankBehindIt(t *testing.T) {
	folder := t.TempDir()
	data := filepath.Join(folder, "club.db")
	s := open(t, data)
	require.NoError(t, keeping.Choose(data, filepath.Join(folder, "stick")+" "))
	_, err := keeping.For(data).Make(t.Context(), s.CopyTo, noon, keeping.OnDemand)
	require.NoError(t, err)
	list, err := os.ReadDir(filepath.Join(folder, "stick"))
	require.NoError(t, err)
	require.Len(t, list, 1)
}
