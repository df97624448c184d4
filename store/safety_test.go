package store_test

import (
	"bytes"
	"context"
	"errors"
	"fmt"
	"io/fs"
	"math/rand/v2"
	"os"
	"path/filepath"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/require"

	"hodometer/core/basics/say"
	"hodometer/core/lesson"
	"hodometer/core/people/student"
	"hodometer/internal/long"
	"hodometer/store"
)

func TestACopyIsMadeWhileTheFileIsUsedAndRestored(t *testing.T) {
	t.Parallel()
	ctx, folder := t.Context(), t.TempDir()
	s := open(t, filepath.Join(folder, "club.db"))
	add := func(name string) {
		_, err := s.Students.Create(ctx, name, student.Profile{Name: name})
		require.NoError(t, err)
	}
	there := func() (names []string) {
		list, err := s.Students.List(ctx, true)
		require.NoError(t, err)
		for _, r := range list {
			names = append(names, r.ID)
		}
		return names
	}
	add("ada")
	copied := filepath.Join(folder, "copy.db")
	require.NoError(t, s.CopyTo(ctx, copied))
	require.ErrorIs(t, s.CopyTo(ctx, copied), fs.ErrExist, "nothing is written over")
	h, err := store.Examine(ctx, copied, store.Wholly)
	require.NoError(t, err)
	require.Equal(t, store.Health{Format: store.Format(), Students: 1}, h)
	info, err := os.Stat(copied)
	require.NoError(t, err)
	require.Equal(t, os.FileMode(0o600), info.Mode().Perm(), "for its user only")

	add("bo")
	writes := s.Writes()
	require.NoError(t, s.RestoreFrom(ctx, copied, nothing))
	require.Equal(t, []string{"ada"}, there())
	require.Greater(t, s.Writes(), writes, "what was remembered is forgotten")
	add("cleo")
	require.Equal(t, []string{"ada", "cleo"}, there(), "it is written to as before")

	ended, stop := context.WithCancel(ctx)
	stop()
	require.ErrorIs(t, s.CopyTo(ended, filepath.Join(folder, "no.db")), context.Canceled)
	left, err := filepath.Glob(filepath.Join(folder, ".copy-*"))
	require.NoError(t, err)
	require.Empty(t, left)
	_, err = os.Stat(filepath.Join(folder, "no.db"))
	require.ErrorIs(t, err, fs.ErrNotExist)
}

// A file of every earlier format is restored and brought up to date.
func TestAnOlderCopyIsRestoredAndBroughtUp(t *testing.T) {
	t.Parallel()
	ctx := t.Context()
	for format := int64(1); format <= 7; format++ {
		folder := t.TempDir()
		copied, revision := filepath.Join(folder, "old.db"), "version"
		if format == 7 {
			revision = "revision"
		}
		require.NoError(
			t,
			store.FileOf(
				ctx,
				copied,
				format,
				"INSERT INTO student (id, "+revision+`, document) VALUES ('ada', 1, '{"name":"Ada"}')`,
			),
		)
		h, err := store.Examine(ctx, copied, store.Wholly)
		require.NoError(t, err)
		require.Equal(t, format, h.Format)
		s := open(t, filepath.Join(folder, "club.db"))
		require.NoError(t, s.RestoreFrom(ctx, copied, nothing))
		ada, err := s.Students.Get(ctx, "ada")
		require.NoError(t, err)
		require.Equal(t, "Ada", ada.Document.Name)
	}
}

func TestBeforeAFileIsBroughtUpItCanBeCopied(t *testing.T) {
	t.Parallel()
	ctx, folder := t.Context(), t.TempDir()
	path, copied := filepath.Join(folder, "old.db"), filepath.Join(folder, "copy.db")
	require.NoError(
		t,
		store.FileOf(ctx, path, 5, `INSERT INTO student (id, version, document) VALUES ('ada', 1, '{"name":"Ada"}')`),
	)
	full := errors.New("the disk is full")
	_, err := store.Open(
		ctx,
		path,
		func(context.Context, int64, func(context.Context, string) error) error { return full },
	)
	require.ErrorIs(t, err, full)
	h, err := store.Examine(ctx, path, store.Quickly)
	require.NoError(t, err)
	require.Equal(t, int64(5), h.Format, "without a copy it stays as it is")

	asked := int64(0)
	before := func(ctx context.Context, format int64, copyTo func(context.Context, string) error) error {
		asked = format
		return copyTo(ctx, copied)
	}
	for range 2 {
		s, err := store.Open(ctx, path, before)
		require.NoError(t, err, "the second time there is nothing to do, and nothing is copied")
		require.NoError(t, s.Close())
	}
	require.Equal(t, int64(5), asked)
	h, err = store.Examine(ctx, copied, store.Wholly)
	require.NoError(t, err)
	require.Equal(t, int64(5), h.Format)
}

// What is no good is told, and not a byte of it changes.
func TestWhatIsNoGoodIsToldAndLeftAsItIs(t *testing.T) {
	t.Parallel()
	ctx := t.Context()
	good := filepath.Join(t.TempDir(), "good.db")
	s := open(t, good)
	for i := range 300 {
		_, err := s.Students.Create(ctx, fmt.Sprint(i), student.Profile{Name: "Ada"})
		require.NoError(t, err)
	}
	whole := filepath.Join(t.TempDir(), "whole.db")
	require.NoError(t, s.CopyTo(ctx, whole))
	sound, err := os.ReadFile(whole)
	require.NoError(t, err)
	spoil := func(from, to int) []byte {
		data := append([]byte{}, sound...)
		for i := from; i < to; i++ {
			data[i] ^= 0xa5
		}
		return data
	}
	foreign := filepath.Join(t.TempDir(), "foreign.db")
	require.NoError(t, store.Bare(ctx, foreign, "CREATE TABLE goods (id)"))
	other, err := os.ReadFile(foreign)
	require.NoError(t, err)
	newer := filepath.Join(t.TempDir(), "newer.db")
	require.NoError(
		t,
		store.FileOf(
			ctx,
			newer,
			store.Format(),
			"INSERT INTO goose_db_version (version_id, is_applied) VALUES (9999, 1); PRAGMA journal_mode = DELETE",
		),
	)
	later, err := os.ReadFile(newer)
	require.NoError(t, err)
	for name, one := range map[string]struct {
		data []byte
		want error
	}{
		"cut short":      {sound[:len(sound)/2], store.ErrDamaged},
		"cut in a page":  {sound[:len(sound)/2+100], store.ErrDamaged},
		"its head":       {spoil(0, 100), store.ErrDamaged},
		"its first page": {spoil(100, 4096), store.ErrDamaged},
		"in the middle":  {spoil(len(sound)/2, len(sound)/2+9000), store.ErrDamaged},
		"no database at all": {[]byte("Ada, Bo, Cleo and the others, written by hand into a file that is none of ours. " +
			"It goes on for a while."), store.ErrForeign},
		"of something else": {other, store.ErrForeign},
		"a newer one":       {later, store.ErrNewer},
	} {
		path := filepath.Join(t.TempDir(), "bad.db")
		require.NoError(t, os.WriteFile(path, one.data, 0o600))
		_, err := store.Examine(ctx, path, store.Wholly)
		require.ErrorIs(t, err, one.want, name)
		if !errors.Is(one.want, store.ErrDamaged) {
			_, err := store.Open(ctx, path, nil)
			require.ErrorIs(t, err, one.want, name)
		}
		after, err := os.ReadFile(path)
		require.NoError(t, err)
		require.True(t, bytes.Equal(one.data, after), name)
	}
	_, err = store.Examine(ctx, filepath.Join(t.TempDir(), "none.db"), store.Quickly)
	require.ErrorIs(t, err, fs.ErrNotExist)
}

// Who was erased is nowhere in the file any more, not in what is free, not beside it, and not in a copy.
func TestWhoWasErasedIsNowhereAnyMore(t *testing.T) {
	t.Parallel()
	ctx, folder := t.Context(), t.TempDir()
	path := filepath.Join(folder, "club.db")
	s := open(t, path)
	_, err := s.Students.Create(ctx, "ada", student.Profile{Name: "Zsuzsannika", Note: "quarrelsome"})
	require.NoError(t, err)
	require.NoError(t, s.Students.Erase(ctx, "ada"))
	require.NoError(t, s.Settle(ctx))
	require.NoError(t, s.CopyTo(ctx, filepath.Join(folder, "copy.db")))
	files, err := filepath.Glob(filepath.Join(folder, "*"))
	require.NoError(t, err)
	require.GreaterOrEqual(t, len(files), 2)
	for _, file := range files {
		data, err := os.ReadFile(file)
		require.NoError(t, err)
		require.NotContains(t, string(data), "Zsuzsannika", file)
		require.NotContains(t, string(data), "quarrelsome", file)
	}
}

func TestWhoElseHasAFileOpenIsKnown(t *testing.T) {
	t.Parallel()
	ctx, path := t.Context(), filepath.Join(t.TempDir(), "club.db")
	used := func() bool {
		is, err := store.InUse(ctx, path)
		require.NoError(t, err)
		return is
	}
	require.False(t, used(), "there is none")
	s, err := store.Open(ctx, path, nil)
	require.NoError(t, err)
	require.True(t, used())
	copied := filepath.Join(t.TempDir(), "copy.db")
	require.NoError(t, store.CopyFile(ctx, path, copied), "a copy is made all the same")
	_, err = s.Students.Create(ctx, "ada", student.Profile{Name: "Ada"})
	require.NoError(t, err)
	require.NoError(t, s.Close())
	require.False(t, used())
	require.NoError(t, os.WriteFile(path, []byte("no database, but a text that is somewhat longer than a head"), 0o600))
	require.False(t, used())
}

// The same in what was said of lessons, in bookings, and in a file of before: who has a like name stays.
func TestWhoWasErasedIsNotNamedAnyMore(t *testing.T) {
	t.Parallel()
	ctx, folder := t.Context(), t.TempDir()
	path := filepath.Join(folder, "club.db")
	s := open(t, path)
	for id, name := range map[string]string{"zs": "Zsuzsannika Q", "like": "Zsuzsannika Quist"} {
		_, err := s.Students.Create(ctx, id, student.Profile{Name: name})
		require.NoError(t, err)
	}
	_, err := s.Lessons.Create(
		ctx,
		"l",
		lesson.Document{Date: "2026-03-10", Start: "16:00", Students: []string{"zs", "like"}},
	)
	require.NoError(t, err)
	require.NoError(
		t,
		s.Fill(
			ctx,
			`INSERT INTO act (id, lesson, at, act) VALUES ('a', 'l', '2026-03-10T16:00:00.000Z',
			'{"id":"a","at":"2026-03-10T16:00:00Z","said":["Zsuzsannika Q comes late, Zsuzsannika Quist does not.",
			{"say":"edit.take out","with":["Zsuzsannika Q"],"words":"Take out Zsuzsannika Q."}]}');
		INSERT INTO calendar (id, name, address, at) VALUES ('c', 'Club', '', '2026-03-10T16:00:00.000Z');
		INSERT INTO booking (id, calendar, uid, instance, title, date, start, minutes, cancelled, students) VALUES ('b', 'c',
		'u', '', 'Zsuzsannika Q, alone', '2026-03-10', '16:00', 60, 0, '["Zsuzsannika Q","Bo"]')`,
		),
	)
	old := filepath.Join(folder, "old.db")
	require.NoError(t, s.CopyTo(ctx, old))
	require.NoError(t, s.EraseStudent(ctx, "zs"))
	require.ErrorIs(t, s.EraseStudent(ctx, "zs"), store.ErrNotFound)
	acts, err := s.ActsOfLesson(ctx, "l")
	require.NoError(t, err)
	require.Equal(t, []say.Sentence{
		say.Words("somebody who was erased comes late, Zsuzsannika Quist does not."),
		say.Of("edit.take out", "somebody who was erased"),
	}, acts[0].Said)
	require.NoError(t, s.CopyTo(ctx, filepath.Join(folder, "new.db")))
	for name, has := range map[string]bool{"old.db": true, "new.db": false} {
		holds, err := store.Holds(ctx, filepath.Join(folder, name), "zs")
		require.NoError(t, err)
		require.Equal(t, has, holds, name)
	}
	data, err := os.ReadFile(path)
	require.NoError(t, err)
	require.NotRegexp(t, "Zsuzsannika Q[^u]", string(data))
}

// Spoiled anywhere and cut anywhere, a copy is told to be no good, or restored whole; a file that is open stays sound
// either way.
func TestASpoiledCopyIsRestoredWholeOrNotAtAll(t *testing.T) {
	t.Parallel()
	long.Skip(t)
	ctx, folder := t.Context(), t.TempDir()
	s := open(t, filepath.Join(folder, "club.db"))
	for i := range 40 {
		_, err := s.Students.Create(ctx, fmt.Sprint(i), student.Profile{Name: "Ada"})
		require.NoError(t, err)
	}
	whole, bad := filepath.Join(folder, "whole.db"), filepath.Join(folder, "bad.db")
	require.NoError(t, s.CopyTo(ctx, whole))
	sound, err := os.ReadFile(whole)
	require.NoError(t, err)
	random := rand.New(rand.NewPCG(3, 4))
	refused, rounds := 0, long.Rounds(150, 10_000)
	for i := range rounds {
		data := append([]byte{}, sound...)
		if i%3 == 0 {
			data = data[:random.IntN(len(data))]
		}
		for range 1 + random.IntN(8) {
			if len(data) > 0 {
				data[random.IntN(min(len(data), 1+random.IntN(len(sound))))] ^= byte(1 + random.IntN(255))
			}
		}
		require.NoError(t, os.WriteFile(bad, data, 0o600))
		if _, err := store.Examine(ctx, bad, store.Wholly); err != nil {
			refused++
			continue
		}
		_ = s.RestoreFrom(ctx, bad, nothing) // what is wrong in a text is found by those who read it
		require.NoError(t, s.RestoreFrom(ctx, whole, nothing))
	}
	require.Greater(t, refused, rounds/3)
	list, err := s.Students.List(ctx, true)
	require.NoError(t, err)
	require.Len(t, list, 40)
}

func nothing() error { return nil }

// What a copy says of who is let in goes nowhere: who was taken out stays out, who was let in since stays in, and so
// does the passphrase.
func TestARestoredCopyLetsNobodyBackIn(t *testing.T) {
	t.Parallel()
	ctx := t.Context()
	s := open(t, filepath.Join(t.TempDir(), "club.db"))
	now := time.Date(2026, 3, 10, 16, 0, 0, 0, time.UTC)
	require.NoError(t, s.AddDevice(ctx, store.Device{ID: "lost", Name: "lost phone", Paired: now, Seen: now}))
	require.NoError(t, s.SetPassphrase(ctx, "old"))
	require.NoError(t, s.AddFeed(ctx, store.Feed{ID: "f1", Name: "old feed", At: now}, "old hash"))
	copied := filepath.Join(t.TempDir(), "copy.db")
	require.NoError(t, s.CopyTo(ctx, copied))
	require.NoError(t, s.RemoveDevice(ctx, "lost"))
	require.NoError(t, s.RevokeFeed(ctx, "f1"))
	require.NoError(t, s.AddDevice(ctx, store.Device{ID: "new", Name: "new phone", Paired: now, Seen: now}))
	require.NoError(t, s.SetPassphrase(ctx, "new"))
	require.NoError(t, s.RestoreFrom(ctx, copied, nothing))
	devices, err := s.Devices(ctx)
	require.NoError(t, err)
	require.Len(t, devices, 1)
	require.Equal(t, "new", devices[0].ID)
	passphrase, err := s.Passphrase(ctx)
	require.NoError(t, err)
	require.Equal(t, "new", passphrase.Hash)
	feeds, err := s.Feeds(ctx)
	require.NoError(t, err)
	require.Empty(t, feeds)

	// On a machine that lets nobody in, a copy lets nobody in.
	bare := open(t, filepath.Join(t.TempDir(), "bare.db"))
	require.NoError(t, bare.RestoreFrom(ctx, copied, nothing))
	devices, err = bare.Devices(ctx)
	require.NoError(t, err)
	require.Empty(t, devices)
	passphrase, err = bare.Passphrase(ctx)
	require.NoError(t, err)
	require.Empty(t, passphrase.Hash)
}

// Many write while a copy is restored: each save that is answered is in what was kept of before, or in what is there
// now.
func TestNoAnsweredSaveIsLostByRestoring(t *testing.T) {
	t.Parallel()
	ctx := t.Context()
	s := open(t, filepath.Join(t.TempDir(), "club.db"))
	folder := t.TempDir()
	copied, kept := filepath.Join(folder, "copy.db"), filepath.Join(folder, "kept.db")
	require.NoError(t, s.CopyTo(ctx, copied))
	var answered sync.Map
	var writers sync.WaitGroup
	stop := make(chan struct{})
	for range 4 {
		writers.Go(func() {
			for {
				select {
				case <-stop:
					return
				default:
				}
				id := uuid.Must(uuid.NewV7()).String()
				if _, err := s.Students.Create(ctx, id, student.Profile{Name: "Ada"}); err == nil {
					answered.Store(id, true)
				}
			}
		})
	}
	time.Sleep(50 * time.Millisecond)
	require.NoError(t, s.RestoreFrom(ctx, copied, func() error { return s.CopyTo(ctx, kept) }))
	time.Sleep(50 * time.Millisecond)
	close(stop)
	writers.Wait()
	before, err := store.Open(ctx, kept, nil)
	require.NoError(t, err)
	t.Cleanup(func() { _ = before.Close() })
	saves := 0
	answered.Range(func(id, _ any) bool {
		saves++
		_, then := before.Students.Get(ctx, id.(string))
		_, now := s.Students.Get(ctx, id.(string))
		require.True(t, then == nil || now == nil, "an answered save is in neither file")
		return true
	})
	require.Greater(t, saves, 20)
}

// What is the matter with a file is told apart: it is no file of Hodometer, it cannot be read where it is, or it is
// damaged.
func TestWhatIsTheMatterWithAFile(t *testing.T) {
	t.Parallel()
	folder := t.TempDir()
	at := func(name string) string { return filepath.Join(folder, name) }
	require.NoError(t, os.WriteFile(at("picture.jpg"), bytes.Repeat([]byte("\xff\xd8picture"), 3000), 0o600))
	_, err := store.Examine(t.Context(), at("picture.jpg"), store.Quickly)
	require.ErrorIs(t, err, store.ErrForeign)

	s := open(t, at("club.db"))
	require.NoError(t, s.CopyTo(t.Context(), at("copy.db")))
	whole, err := os.ReadFile(at("copy.db"))
	require.NoError(t, err)
	spoilt := append([]byte("no header any more!"), whole[19:]...)
	require.NoError(t, os.WriteFile(at("spoilt.db"), spoilt, 0o600))
	_, err = store.Examine(t.Context(), at("spoilt.db"), store.Quickly)
	require.ErrorIs(t, err, store.ErrDamaged)

	cancelled, cancel := context.WithCancel(t.Context())
	cancel()
	for _, how := range []string{store.Quickly, store.Wholly} {
		_, err = store.Examine(cancelled, at("copy.db"), how)
		require.NotErrorIs(t, err, store.ErrDamaged)
		require.ErrorIs(t, err, context.Canceled)
	}
	require.NoError(t, os.Mkdir(at("folder.db"), 0o700))
	_, err = store.Examine(t.Context(), at("folder.db"), store.Quickly)
	require.ErrorIs(t, err, store.ErrAccess)
}

// Another file is put in the place of the one that is open: nothing is answered as saved any more.
func TestAFileThatIsSwappedTakesNoSaves(t *testing.T) {
	t.Parallel()
	folder := t.TempDir()
	path := filepath.Join(folder, "club.db")
	s := open(t, path)
	_, err := s.Students.Create(t.Context(), "a", student.Profile{Name: "Ada"})
	require.NoError(t, err)
	require.NoError(t, s.CopyTo(t.Context(), filepath.Join(folder, "other.db")))
	require.NoError(t, os.Rename(path, path+".old"))
	_, err = s.Students.Create(t.Context(), "b", student.Profile{Name: "Ben"})
	require.ErrorIs(t, err, store.ErrMoved)
	require.NoError(t, os.Rename(filepath.Join(folder, "other.db"), path))
	_, err = s.Students.Create(t.Context(), "b", student.Profile{Name: "Ben"})
	require.ErrorIs(t, err, store.ErrMoved)
	require.NoError(t, os.Rename(path+".old", path))
	_, err = s.Students.Create(t.Context(), "b", student.Profile{Name: "Ben"})
	require.NoError(t, err)
}

// What was written of somebody is nowhere in the bytes of the file once they are erased: not in rows of before a
// change, not in titles, closing texts, remarks, notes and bookings; what is about others keeps a like first name.
func TestWhoWasErasedIsInNoByteOfTheFile(t *testing.T) {
	t.Parallel()
	ctx := t.Context()
	path := filepath.Join(t.TempDir(), "club.db")
	s := open(t, path)
	secret := func(i int) student.Profile {
		return student.Profile{
			Name:      "Zsuzsannika Quartermain",
			Note:      strings.Repeat("quarrelsome ", 1+i%60),
			Hurts:     "sore elbowbone",
			Objective: "beatherrival",
		}
	}
	record, err := s.Students.Create(ctx, "zs", secret(0))
	require.NoError(t, err)
	for i := range 80 { // changed again and again, between others, so that its rows are moved about
		record, err = s.Students.Replace(ctx, "zs", record.Revision, secret(i))
		require.NoError(t, err)
		_, err = s.Students.Create(ctx, fmt.Sprint("other", i), student.Profile{Name: "Bo", Note: strings.Repeat("calm ", i)})
		require.NoError(t, err)
	}
	block := lesson.Block{
		ID:      "b",
		Kind:    lesson.Drill,
		Title:   "Corner for Zsuzsannika",
		Minutes: 10,
		Calls:   []lesson.Call{{Text: "Zsuzsannika Quartermain begins"}},
	}
	_, err = s.Lessons.Create(
		ctx,
		"hers",
		lesson.Document{
			Title:    "Zsuzsannika and Bo",
			Note:     "Zsuzsannika is late",
			Date:     "2026-03-10",
			Start:    "16:00",
			Students: []string{"zs"},
			Blocks:   []lesson.Block{block},
		},
	)
	require.NoError(t, err)
	_, err = s.Lessons.Create(
		ctx,
		"others",
		lesson.Document{
			Title:    "Zsuzsannika Bell",
			Note:     "instead of Zsuzsannika Quartermain",
			Date:     "2026-03-11",
			Start:    "16:00",
			Students: []string{"other1"},
		},
	)
	require.NoError(t, err)
	require.NoError(
		t,
		s.Fill(
			ctx,
			`INSERT INTO closing (lesson, document) VALUES ('hers',
			'{"worked":"Zsuzsannika held the line","next":"Zsuzsannika Quartermain: depth"}');
		INSERT INTO remark (lesson, student, engagement, remark) VALUES ('hers', 'other1', 8, 'helped Zsuzsannika')`,
		),
	)
	require.NoError(t, s.EraseStudent(ctx, "zs"))
	data, err := os.ReadFile(path)
	require.NoError(t, err)
	for _, gone := range []string{"Quartermain", "quarrelsome", "elbowbone", "beatherrival", "held the line Zsuz"} {
		require.NotContains(t, string(data), gone)
	}
	hers, err := s.Lessons.Get(ctx, "hers")
	require.NoError(t, err)
	require.Equal(t, "somebody who was erased and Bo", hers.Document.Title)
	require.Equal(t, "Corner for somebody who was erased", hers.Document.Blocks[0].Title)
	require.Equal(t, lesson.Drill, hers.Document.Blocks[0].Kind)
	others, err := s.Lessons.Get(ctx, "others")
	require.NoError(t, err)
	require.Equal(t, "Zsuzsannika Bell", others.Document.Title, "another one of that first name")
	require.Equal(t, "instead of somebody who was erased", others.Document.Note)
	require.NotContains(t, strings.ReplaceAll(string(data), "Zsuzsannika Bell", ""), "Zsuzsannika")
}
