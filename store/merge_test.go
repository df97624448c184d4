package store_test

import (
	"fmt"
	"os"
	"path/filepath"
	"slices"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/count/score"
	"hodometer/core/count/tally"
	"hodometer/core/drill"
	"hodometer/core/lesson"
	"hodometer/core/live/underway"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
	"hodometer/internal/long"
	"hodometer/store"
)

// Two machines counted of the same lesson on devices of their own, and on one that had told both a part: merged, in
// whichever direction, both have what all devices counted together, as if it had been counted on one machine.
func TestWhatTwoMachinesCountedIsCountedTogether(t *testing.T) {
	t.Parallel()
	long.Skip(t)
	ctx := t.Context()
	at := time.Date(2026, 3, 10, 16, 5, 0, 0, time.UTC)
	folder, n := t.TempDir(), 0
	first := fresh(t)
	_, err := first.Students.Create(ctx, "ada", student.Profile{Name: "Ada"})
	require.NoError(t, err)
	_, err = first.Lessons.Create(ctx, "l", lesson.Document{Date: "2026-03-10", Start: "16:00"})
	require.NoError(t, err)
	ready := filepath.Join(folder, "ready.db")
	require.NoError(t, first.CopyTo(ctx, ready))
	text, err := os.ReadFile(ready)
	require.NoError(t, err)
	machine := func(t *rapid.T, name string) *store.Store {
		path := filepath.Join(folder, fmt.Sprint(n, name))
		require.NoError(t, os.WriteFile(path, text, 0o600))
		s, err := store.Open(ctx, path, nil)
		require.NoError(t, err)
		return s
	}
	long.Check(t, func(t *rapid.T) {
		n++
		here, there := machine(t, "here"), machine(t, "there")
		defer func() { require.NoError(t, here.Close()); require.NoError(t, there.Close()) }()
		blocks := map[string][][]tally.Entry{}
		for device := range rapid.IntRange(1, 5).Draw(t, "devices") {
			block := rapid.SampledFrom([]string{"a", "b"}).Draw(t, "block")
			var taps []tally.Entry
			for seq := range rapid.IntRange(1, 8).Draw(t, "taps") {
				e := tally.Entry{
					Seq:  seq,
					At:   at.Add(time.Duration(10*seq+device) * time.Millisecond),
					Kind: rapid.SampledFrom([]tally.Kind{tally.Made, tally.Missed, tally.Fault, tally.Undo}).Draw(t, "kind"),
				}
				if e.Kind == tally.Fault {
					e.Fault = rapid.SampledFrom([]string{"late", "low", "flat"}).Draw(t, "fault")
				}
				if e.Kind == tally.Made {
					left := rapid.IntRange(0, 3).Draw(t, "zone")
					e.Zone = &court.Zone{Name: fmt.Sprint("zone ", left), Left: float64(left), Right: 4, Bottom: 1, Top: 2}
				}
				taps = append(taps, e)
			}
			told := 0
			for _, s := range []*store.Store{here, there} {
				upTo := rapid.IntRange(0, len(taps)).Draw(t, "told")
				told = max(told, upTo)
				if upTo > 0 {
					require.NoError(t, s.AddTaps(ctx, underway.Counted{
						Runs: []underway.Run{{ID: fmt.Sprint("device ", device), Entries: taps[:upTo]}},
						Attempt: underway.Attempt{
							Lesson:  "l",
							Block:   block,
							Student: "ada",
							Drill:   "d",
							At:      at,
							Measure: drill.Measure{Number: 1, What: score.Ball, Goals: score.Course{{Kind: score.Total, Count: 5}}},
						},
					}))
				}
			}
			if told > 0 {
				blocks[block] = append(blocks[block], taps[:told])
			}
		}
		path := filepath.Join(folder, fmt.Sprint(n, "copy"))
		require.NoError(t, there.CopyTo(ctx, path))
		_, err := here.MergeFrom(ctx, path, false)
		require.NoError(t, err)
		back := filepath.Join(folder, fmt.Sprint(n, "back"))
		require.NoError(t, here.CopyTo(ctx, back))
		_, err = there.MergeFrom(ctx, back, false)
		require.NoError(t, err)
		again, err := here.MergeFrom(ctx, path, false)
		require.NoError(t, err)
		for table, added := range again.Added {
			require.Zero(t, added, table)
		}
		for _, s := range []*store.Store{here, there} {
			attempts, err := s.AttemptsOfLesson(ctx, "l")
			require.NoError(t, err)
			require.Len(t, attempts, len(blocks))
			for block, devices := range blocks {
				i := slices.IndexFunc(attempts, func(a store.Attempt) bool { return a.Block == block })
				require.Equal(t, tally.Summarise(devices...), attempts[i].Summary)
			}
		}
		_, err = store.Examine(ctx, back, store.Wholly)
		require.NoError(t, err)
	})
}

// A document of which nothing differs but its archive is one that differs: it is told, and taken where theirs is
// wanted.
func TestAnArchiveThatDiffersIsTold(t *testing.T) {
	t.Parallel()
	ctx := t.Context()
	here, path := fresh(t), filepath.Join(t.TempDir(), "theirs.db")
	_, err := here.Students.Create(ctx, "ada", student.Profile{Name: "Ada"})
	require.NoError(t, err)
	require.NoError(t, here.CopyTo(ctx, path))
	_, err = here.Students.Archive(ctx, "ada", true)
	require.NoError(t, err)

	kept, err := here.MergeFrom(ctx, path, false)
	require.NoError(t, err)
	require.Equal(t, []store.Clash{{Table: "student", ID: "ada", Name: "Ada"}}, kept.Clashed)
	still, err := here.Students.Get(ctx, "ada")
	require.NoError(t, err)
	require.True(t, still.Archived, "that of here stays")

	_, err = here.MergeFrom(ctx, path, true)
	require.NoError(t, err)
	taken, err := here.Students.Get(ctx, "ada")
	require.NoError(t, err)
	require.False(t, taken.Archived)
	require.Greater(t, taken.Revision, still.Revision)
	again, err := here.MergeFrom(ctx, path, true)
	require.NoError(t, err)
	require.Empty(t, again.Clashed)
}
