package handover_test

import (
	"archive/zip"
	"bytes"
	"context"
	"crypto/sha256"
	"encoding/hex"
	"encoding/json"
	"io"
	"math/rand/v2"
	"os"
	"path/filepath"
	"regexp"
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/basics/invalid"
	"hodometer/core/people/student"
	"hodometer/demo"
	"hodometer/handover"
	"hodometer/internal/long"
	"hodometer/store"
)

var noon = time.Date(2026, 3, 10, 12, 0, 0, 0, time.UTC)

func quietly(float64) {}

// demoFile is the file of a demo, with things in it that are hard to hand over.
func demoFile(t *testing.T) string {
	t.Helper()
	path := filepath.Join(t.TempDir(), "demo.db")
	s, err := demo.Open(t.Context(), path, noon, 0)
	require.NoError(t, err)
	_, err = s.Students.Create(
		t.Context(),
		"0000",
		student.Profile{Name: `../=Zoë "the ace"` + "\r\n", Note: "=1+1\r\nline\\n"},
	)
	require.NoError(t, err)
	students, err := s.Students.List(t.Context(), false)
	require.NoError(t, err)
	lessons, err := s.Lessons.List(t.Context(), false)
	require.NoError(t, err)
	require.NoError(
		t,
		s.SetRemark(
			t.Context(),
			store.Remark{
				Lesson:     lessons[0].ID,
				Student:    students[1].ID,
				Engagement: 7,
				Remark:     "=HYPERLINK(\"x\")\r\nsecond line, with \\ and \\N",
			},
		),
	)
	require.NoError(t, s.Close())
	return path
}

func exported(t testing.TB, data string) []byte {
	t.Helper()
	var out bytes.Buffer
	require.NoError(t, handover.Whole(t.Context(), data, t.TempDir(), &out, noon, quietly))
	return out.Bytes()
}

func fresh(t testing.TB) (*store.Store, string) {
	t.Helper()
	path := filepath.Join(t.TempDir(), "new.db")
	s, err := store.Open(t.Context(), path, nil)
	require.NoError(t, err)
	t.Cleanup(func() { _ = s.Close() })
	return s, path
}

func bring(t testing.TB, archive []byte, into *store.Store) (handover.Brought, error) {
	t.Helper()
	return handover.Bring(t.Context(), bytes.NewReader(archive), int64(len(archive)), into, t.TempDir(), false, quietly)
}

func unzipped(t testing.TB, archive []byte) map[string]string {
	t.Helper()
	r, err := zip.NewReader(bytes.NewReader(archive), int64(len(archive)))
	require.NoError(t, err)
	files := map[string]string{}
	for _, f := range r.File {
		content, err := f.Open()
		require.NoError(t, err)
		text, err := io.ReadAll(content)
		require.NoError(t, err)
		files[f.Name] = string(text)
	}
	return files
}

// Everything goes to another machine and comes back: the same bytes.
func TestEverythingGoesToANewMachineAndComesBackTheSame(t *testing.T) {
	t.Parallel()
	data := demoFile(t)
	first := exported(t, data)
	into, path := fresh(t)
	done, err := bring(t, first, into)
	require.NoError(t, err)
	require.Empty(t, done.Clashed)
	require.Positive(t, done.Added["ball"])
	second := exported(t, path)
	require.True(t, bytes.Equal(first, second), "the same bytes")

	again, err := bring(t, first, into)
	require.NoError(t, err)
	for table, n := range again.Added {
		require.Zero(t, n, "%s: sent again it changes nothing", table)
	}
	require.True(t, bytes.Equal(first, exported(t, path)))
	h, err := store.Examine(t.Context(), path, store.Wholly)
	require.NoError(t, err)
	require.Positive(t, h.Counts)
}

// A person can read it: a table has a header that is described, a document is one that can be brought in, and nothing
// secret or harmful is in it.
func TestAnExportIsDescribedAndHarmless(t *testing.T) {
	t.Parallel()
	files := unzipped(t, exported(t, demoFile(t)))
	var d struct {
		Profile   string `json:"profile"`
		Resources []struct {
			Name, Path string
			Schema     struct {
				Fields      []struct{ Name, Type string }
				ForeignKeys []struct {
					Fields    string
					Reference struct{ Resource, Fields string }
				}
			}
		} `json:"resources"`
	}
	require.NoError(t, json.Unmarshal([]byte(files["datapackage.json"]), &d))
	require.Equal(t, "tabular-data-package", d.Profile)
	names := map[string]bool{}
	for _, r := range d.Resources {
		require.False(t, names[r.Name])
		names[r.Name] = true
		require.Regexp(t, regexp.MustCompile(`^[-a-z0-9._/]+$`), r.Name, "a name of a data package")
		head, _, _ := strings.Cut(strings.TrimPrefix(files[r.Path], "\ufeff"), "\r\n")
		var columns []string
		for _, f := range r.Schema.Fields {
			columns = append(columns, f.Name)
			require.Contains(t, []string{"integer", "number", "string", "any"}, f.Type, "%s.%s", r.Name, f.Name)
		}
		require.Equal(t, strings.Join(columns, ","), head, r.Path)
		for _, row := range strings.Split(files[r.Path], "\r\n") {
			for _, cell := range strings.Split(row, ",") {
				require.NotRegexp(t, `^"?[=+@]`, cell, "a formula in %s", r.Path)
			}
		}
	}
	for _, r := range d.Resources {
		for _, key := range r.Schema.ForeignKeys {
			require.True(t, names[key.Reference.Resource], "%s refers to %s", r.Name, key.Reference.Resource)
		}
	}
	for _, secret := range []string{"passphrase", "session", "device", "feed"} {
		require.False(t, names[secret])
	}
	drawn := 0
	for name, text := range files {
		require.NotContains(t, name, "..")
		require.False(t, strings.HasPrefix(name, "/"))
		if strings.HasPrefix(name, "documents/drills/") || strings.HasPrefix(name, "documents/lessons/") {
			opened, err := handover.Open([]byte(text))
			require.NoError(t, err, name)
			require.NoError(t, opened[0].Err)
		}
		if strings.HasPrefix(name, "pictures/") {
			drawn++
		}
	}
	require.Contains(t, files["README.txt"], "hodometer import")
	require.Contains(t, files, "tables/students.csv")
}

// Two machines were used for a while: what only one of them has is then in both, and what was counted of one attempt on
// two devices is counted together.
func TestWhatWasDoneOnTwoMachinesIsMerged(t *testing.T) {
	t.Parallel()
	ctx, data := t.Context(), demoFile(t)
	theirs := filepath.Join(t.TempDir(), "theirs.db")
	require.NoError(t, store.CopyFile(ctx, data, theirs))
	change := func(path, student, note string) (*store.Store, string) {
		s, err := store.Open(ctx, path, nil)
		require.NoError(t, err)
		t.Cleanup(func() { _ = s.Close() })
		all, err := s.Students.List(ctx, true)
		require.NoError(t, err)
		changed := all[3].Document
		changed.Note = note
		_, err = s.Students.Replace(ctx, all[3].ID, all[3].Revision, changed)
		require.NoError(t, err)
		_, err = s.Students.Create(ctx, student, changed)
		require.NoError(t, err)
		return s, all[3].ID
	}
	here, id := change(data, "only-here", "of here")
	there, _ := change(theirs, "only-there", "of there")
	export := exported(t, theirs)
	before, err := here.AttemptsOfStudent(ctx, id)
	require.NoError(t, err)

	done, err := bring(t, export, here)
	require.NoError(t, err)
	require.Equal(t, 1, done.Added["student"])
	require.Len(t, done.Clashed, 1)
	require.Equal(t, id, done.Clashed[0].ID)
	note := func(s *store.Store, id string) string {
		r, err := s.Students.Get(ctx, id)
		require.NoError(t, err)
		return r.Document.Note
	}
	require.Equal(t, "of here", note(here, id), "what is here stays")
	require.Equal(t, "of there", note(here, "only-there"))
	after, err := here.AttemptsOfStudent(ctx, id)
	require.NoError(t, err)
	require.Equal(t, before, after, "what was counted is the same")

	_, err = handover.Bring(ctx, bytes.NewReader(export), int64(len(export)), here, t.TempDir(), true, quietly)
	require.NoError(t, err)
	require.Equal(t, "of there", note(here, id), "theirs is taken where the coach says so")
	require.NoError(t, there.Close())
}

// Whatever text there is in a file goes out and comes back as it was.
func TestAnyTextComesBackAsItWas(t *testing.T) {
	t.Parallel()
	rapid.Check(t, func(rt *rapid.T) {
		text := rapid.OneOf(rapid.String(), rapid.StringMatching(`[\\nNr=+@\-\r\n\t",;]*`)).Draw(rt, "text")
		require.Equal(rt, text, handover.ThereAndBack(rt, text))
	})
}

// spoiled is an export with another file in the place of one.
func spoiled(t testing.TB, archive []byte, change func(name, text string) (string, string, bool)) []byte {
	t.Helper()
	var out bytes.Buffer
	w := zip.NewWriter(&out)
	files := unzipped(t, archive)
	names := make([]string, 0, len(files))
	for name := range files {
		names = append(names, name)
	}
	slices.Sort(names)
	for _, name := range names {
		name, text, keep := change(name, files[name])
		if !keep {
			continue
		}
		part, err := w.Create(name)
		require.NoError(t, err)
		_, err = part.Write([]byte(text))
		require.NoError(t, err)
	}
	require.NoError(t, w.Close())
	return out.Bytes()
}

// What is no export, or a spoiled one, is told, and nothing of it comes in.
func TestASpoiledExportBringsNothingIn(t *testing.T) {
	t.Parallel()
	good := exported(t, demoFile(t))
	into, path := fresh(t)
	empty := exported(t, path)
	only := func(name string, change func(string) string) []byte {
		return spoiled(t, good, func(n, text string) (string, string, bool) {
			if n == name {
				text = change(text)
			}
			return n, text, true
		})
	}
	// The same, by somebody who put the descriptor right, too.
	sealed := func(name string, change func(string) string) []byte {
		archive := only(name, change)
		files := unzipped(t, archive)
		return spoiled(t, archive, func(n, text string) (string, string, bool) {
			if n == "datapackage.json" {
				for path, sum := range map[string][32]byte{name: sha256.Sum256([]byte(files[name]))} {
					text = regexp.MustCompile(`(?s)("path": "`+regexp.QuoteMeta(path)+`".*?sha256:)[0-9a-f]+`).
						ReplaceAllString(text, "${1}"+hex.EncodeToString(sum[:]))
				}
			}
			return n, text, true
		})
	}
	without := func(name string) []byte {
		return spoiled(t, good, func(n, text string) (string, string, bool) { return n, text, n != name })
	}
	replace := func(old, by string) func(string) string {
		return func(text string) string { return strings.Replace(text, old, by, 1) }
	}
	var other bytes.Buffer
	w := zip.NewWriter(&other)
	require.NoError(t, w.Close())
	for name, archive := range map[string][]byte{
		"nothing":                     {},
		"a text":                      []byte("Ada, Bo and Cleo"),
		"an empty .zip":               other.Bytes(),
		"without its descriptor":      without("datapackage.json"),
		"without a table":             without("data/attempt.csv"),
		"of a newer export":           only("datapackage.json", replace(`"export": 1`, `"export": 2`)),
		"of a newer file":             only("datapackage.json", replace(`"file": `, `"file": 9`)),
		"of a format that never was":  only("datapackage.json", replace(`"file": `, `"file": -`)),
		"with a table that is not":    only("datapackage.json", replace(`"name": "remark"`, `"name": "goods"`)),
		"with a path that climbs":     only("datapackage.json", replace(`"data/remark.csv"`, `"../data/remark.csv"`)),
		"a changed table":             only("data/attempt.csv", replace("forehand", "backhand")),
		"a table with another column": sealed("data/remark.csv", replace("engagement", "hodometer")),
		"a row too short":             sealed("data/student.csv", func(text string) string { return text + "a,b\r\n" }),
		"a document that is gone": spoiled(t, good, func(n, text string) (string, string, bool) {
			return n, text, !strings.HasPrefix(n, "documents/lessons/")
		}),
		"a number that is none": only("data/run.csv", func(text string) string { return text + "x,y,z,w\r\n" }),
		"cut short":             good[:len(good)/2],
		"cut at the end":        good[:len(good)-30],
	} {
		_, err := bring(t, archive, into)
		require.ErrorIs(t, err, invalid.ErrUnreadable, name)
		require.True(t, bytes.Equal(empty, exported(t, path)), "%s: nothing of it came in", name)
	}
	ended, stop := context.WithCancel(t.Context())
	stop()
	_, err := handover.Bring(ended, bytes.NewReader(good), int64(len(good)), into, t.TempDir(), false, quietly)
	require.ErrorIs(t, err, context.Canceled)
	require.ErrorIs(t, handover.Whole(ended, path, t.TempDir(), io.Discard, noon, quietly), context.Canceled)
	require.True(t, bytes.Equal(empty, exported(t, path)))
}

// A .zip that unpacks to more than it can hold is given up before it fills anything.
func TestAZipBombIsRefused(t *testing.T) {
	t.Parallel()
	var out bytes.Buffer
	w := zip.NewWriter(&out)
	part, err := w.Create("datapackage.json")
	require.NoError(t, err)
	zeros := bytes.Repeat([]byte(" "), 1<<20)
	for range 64 {
		_, err := part.Write(zeros)
		require.NoError(t, err)
	}
	require.NoError(t, w.Close())
	into, _ := fresh(t)
	_, err = bring(t, out.Bytes(), into)
	require.ErrorIs(t, err, invalid.ErrUnreadable)
	require.ErrorContains(t, err, "too large")
}

func TestNothingIsWrittenOverByAnExport(t *testing.T) {
	t.Parallel()
	data := demoFile(t)
	path := filepath.Join(t.TempDir(), "all.zip")
	require.NoError(t, handover.ExportFile(t.Context(), data, path, noon, quietly))
	first, err := os.ReadFile(path)
	require.NoError(t, err)
	require.ErrorIs(t, handover.ExportFile(t.Context(), data, path, noon, quietly), os.ErrExist)
	again, err := os.ReadFile(path)
	require.NoError(t, err)
	require.True(t, bytes.Equal(first, again))
	left, err := os.ReadDir(filepath.Dir(path))
	require.NoError(t, err)
	require.Len(t, left, 1)
}

// Spoiled anywhere and cut anywhere, an export is told to be no good, or comes in whole: nothing falls over, and
// nothing half comes in.
func TestAnExportSpoiledAnywhereComesInWholeOrNotAtAll(t *testing.T) {
	t.Parallel()
	from, path := fresh(t)
	_, err := from.Students.Create(t.Context(), "ada", student.Profile{Name: "Ada"})
	require.NoError(t, err)
	good := exported(t, path)
	into, _ := fresh(t)
	random := rand.New(rand.NewPCG(1, 2))
	refused := 0
	try := func(archive []byte) {
		_, err := bring(t, archive, into)
		there, listed := into.Students.List(t.Context(), true)
		require.NoError(t, listed)
		if err != nil {
			require.ErrorIs(t, err, invalid.ErrUnreadable)
			refused++
			require.Empty(t, there)
			return
		}
		require.Len(t, there, 1)
		require.NoError(t, into.EraseStudent(t.Context(), "ada"))
	}
	rounds := long.Rounds(1000, 10_000)
	for range rounds {
		archive := append([]byte{}, good...)
		for range 1 + random.IntN(4) {
			archive[random.IntN(len(archive))] ^= byte(1 + random.IntN(255))
		}
		try(archive)
	}
	for cut := 0; cut < len(good); cut += max(1, len(good)/rounds) {
		try(good[:cut])
	}
	require.Greater(t, refused, rounds)
}
