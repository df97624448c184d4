package main

import (
	"bytes"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"os"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/people/student"
	"hodometer/demo"
	"hodometer/store"
)

// clubFile is a file with a club in it.
func clubFile(t *testing.T) string {
	t.Helper()
	path := filepath.Join(t.TempDir(), "club.db")
	s, err := demo.Open(t.Context(), path, time.Date(2026, 3, 10, 12, 0, 0, 0, time.UTC), 0)
	require.NoError(t, err)
	require.NoError(t, s.Close())
	return path
}

// says runs a command and returns what it says.
func says(t *testing.T, args ...string) (string, error) {
	t.Helper()
	var out bytes.Buffer
	err := run(t.Context(), args, nil, &out)
	return out.String(), err
}

// A machine is replaced by a new one, and yesterday's copy restored, without the page.
func TestTheFileCommandsWorkWithoutThePage(t *testing.T) {
	t.Parallel()
	data, folder := clubFile(t), t.TempDir()
	h, err := store.Examine(t.Context(), data, store.Wholly)
	require.NoError(t, err)
	copied, all := filepath.Join(folder, "copy.db"), filepath.Join(folder, "all.zip")
	for _, args := range [][]string{{"check"}, {"backup", copied}, {"export", all}} {
		said, err := says(t, append(args, "--data", data)...)
		require.NoError(t, err)
		require.NotEmpty(t, said)
		if args[0] != "check" {
			_, err = says(t, append(args, "--data", data)...)
			require.ErrorContains(t, err, "nothing is written over")
		}
	}

	moved := filepath.Join(folder, "new", "machine.db")
	said, err := says(t, "import", all, "--data", moved, "--json")
	require.NoError(t, err)
	var result struct {
		OK     bool
		Result struct {
			Added map[string]int
			Kept  string
		}
	}
	require.NoError(t, json.Unmarshal([]byte(said), &result))
	require.True(t, result.OK)
	require.Equal(t, h.Students, result.Result.Added["student"])
	require.Empty(t, result.Result.Kept, "there was nothing to keep")
	again := filepath.Join(folder, "again.zip")
	_, err = says(t, "export", again, "--data", moved)
	require.NoError(t, err)
	moment := func(path string) int64 {
		info, err := os.Stat(path)
		require.NoError(t, err)
		return info.Size()
	}
	require.InDelta(t, moment(all), moment(again), 20, "the same but for the time; handover compares the bytes")

	s, err := store.Open(t.Context(), data, nil)
	require.NoError(t, err)
	students, err := s.Students.List(t.Context(), true)
	require.NoError(t, err)
	_, err = s.Students.Create(t.Context(), "zora", student.Profile{Name: "Zora"})
	require.NoError(t, err)
	_, err = says(t, "restore", copied, "--data", data)
	require.ErrorContains(t, err, "Hodometer is running")
	_, err = says(t, "import", all, "--data", data)
	require.ErrorContains(t, err, "Hodometer is running")
	require.NoError(t, s.Close())
	said, err = says(t, "restore", copied, "--data", data)
	require.NoError(t, err)
	_, kept, _ := strings.Cut(strings.TrimSpace(said), "is kept in ")
	for path, want := range map[string]int{data: len(students), kept: len(students) + 1} {
		h, err := store.Examine(t.Context(), path, store.Wholly)
		require.NoError(t, err)
		require.Equal(t, want, h.Students)
	}
}

// What is wrong is told in words, or as JSON, and by what the program ends with.
func TestWhatIsWrongIsToldByWhatTheProgramEndsWith(t *testing.T) {
	t.Parallel()
	folder := t.TempDir()
	bad, later, none := filepath.Join(
		folder,
		"bad.db",
	), filepath.Join(
		folder,
		"later.db",
	), filepath.Join(
		folder,
		"none.db",
	)
	foreign := filepath.Join(folder, "picture.db")
	require.NoError(t, os.WriteFile(foreign, []byte(strings.Repeat("no database ", 90)), 0o600))
	once, err := store.Open(t.Context(), bad, nil)
	require.NoError(t, err)
	require.NoError(t, once.Close())
	spoilt, err := os.OpenFile(bad, os.O_WRONLY, 0) //nolint:gosec // a test
	require.NoError(t, err)
	_, err = spoilt.WriteAt([]byte("no database at all"), 0)
	require.NoError(t, errors.Join(err, spoilt.Close()))
	require.NoError(t, os.WriteFile(filepath.Join(folder, "bad.zip"), []byte("no zip"), 0o600))
	s, err := store.Open(t.Context(), later, nil)
	require.NoError(t, err)
	require.NoError(t, s.Close())
	require.NoError(t, newerThanThis(t, later))
	for _, one := range []struct {
		args []string
		code int
	}{
		{[]string{"check", "--data", none}, failed},
		{[]string{"backup", filepath.Join(folder, "c.db"), "--data", none}, failed},
		{[]string{"export", filepath.Join(folder, "c.zip"), "--data", none}, failed},
		{[]string{"import", filepath.Join(folder, "bad.zip"), "--data", none}, failed},
		{[]string{"import", filepath.Join(folder, "gone.zip"), "--data", none}, failed},
		{[]string{"check", "--data", foreign}, failed},
		{[]string{"restore", foreign, "--data", none}, failed},
		{[]string{"check", "--data", bad}, damaged},
		{[]string{"backup", filepath.Join(folder, "c.db"), "--data", bad}, damaged},
		{[]string{"export", filepath.Join(folder, "c.zip"), "--data", bad}, damaged},
		{[]string{"import", filepath.Join(folder, "bad.zip"), "--data", bad}, damaged},
		{[]string{"restore", bad, "--data", none}, damaged},
		{[]string{"check", "--data", later}, newer},
		{[]string{"restore", later, "--data", none}, newer},
		{[]string{"backup"}, misused},
		{[]string{"backup", "a", "b"}, misused},
		{[]string{"check", "--what"}, misused},
		{[]string{"chekc"}, misused},
		{[]string{"demo", "--years", "1000"}, misused},
		{[]string{"serve", "--now", "soon"}, misused},
	} {
		_, err := says(t, one.args...)
		require.Error(t, err, one.args)
		require.Equal(t, one.code, codeOf(err), "%v: %v", one.args, err)
		if one.code == misused {
			continue
		}
		said, err := says(t, append(one.args, "--json")...)
		require.Equal(t, one.code, codeOf(err))
		var told struct {
			OK    bool
			Error string
			Code  int
		}
		require.NoError(t, json.Unmarshal([]byte(said), &told))
		require.False(t, told.OK)
		require.Equal(t, one.code, told.Code)
		require.NotEmpty(t, told.Error)
	}
	_, err = os.Stat(filepath.Join(folder, "c.db"))
	require.ErrorIs(t, err, os.ErrNotExist)
}

// Every command has a sentence and an example, and every shell is completed.
func TestEveryCommandIsExplainedAndCompleted(t *testing.T) {
	t.Parallel()
	for _, c := range newRoot().Commands() {
		require.NotEmpty(t, c.Short, c.Name())
		if c.GroupID != "" {
			require.Contains(t, c.Example, "hodometer "+c.Name())
		}
		said, err := says(t, c.Name(), "--help")
		require.NoError(t, err)
		require.Contains(t, said, "Usage:")
	}
	for _, shell := range []string{"bash", "zsh", "fish", "powershell"} {
		said, err := says(t, "completion", shell)
		require.NoError(t, err)
		require.Contains(t, said, "hodometer")
	}
	said, err := says(t, "__complete", "ba")
	require.NoError(t, err)
	require.Contains(t, said, "backup")
	require.NoError(t, run(t.Context(), []string{"help", "backup"}, nil, io.Discard))
}

// A plain copy of a file that is in use lacks what was done last: check says so, of the file itself and of a backup it
// does not.
func TestAPlainCopyOfAFileInUseIsNoticed(t *testing.T) {
	t.Parallel()
	folder := t.TempDir()
	data, plain, backup := filepath.Join(
		folder,
		"club.db",
	), filepath.Join(
		folder,
		"plain.db",
	), filepath.Join(
		folder,
		"backup.db",
	)
	s, err := store.Open(t.Context(), data, nil)
	require.NoError(t, err)
	for i := range 40 {
		_, err := s.Students.Create(t.Context(), fmt.Sprint(i), student.Profile{Name: "Ada"})
		require.NoError(t, err)
	}
	text, err := os.ReadFile(data)
	require.NoError(t, err)
	require.NoError(t, os.WriteFile(plain, text, 0o600))
	_, err = says(t, "check", "--data", plain)
	require.ErrorContains(t, err, "hodometer backup")
	require.Equal(t, damaged, codeOf(err))
	_, err = says(t, "check", "--data", data)
	require.NoError(t, err, "its log is beside it")
	_, err = says(t, "backup", backup, "--data", data)
	require.NoError(t, err)
	_, err = says(t, "check", "--data", backup)
	require.NoError(t, err)
	require.NoError(t, s.Close())
	text, err = os.ReadFile(data)
	require.NoError(t, err)
	require.NoError(t, os.WriteFile(plain, text, 0o600))
	_, err = says(t, "check", "--data", plain)
	require.NoError(t, err, "a file that is closed is whole")
}
