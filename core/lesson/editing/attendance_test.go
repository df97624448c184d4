package editing_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/drill/load"
	"hodometer/core/lesson"
	"hodometer/core/lesson/editing"
	"hodometer/internal/long"
	"hodometer/internal/sample"
)

func TestWhoTurnedUpPlansTheLessonAnew(t *testing.T) {
	d, in := sample.Crowd(8)
	for _, n := range []int{2, 3, 5, 8} {
		for _, half := range []bool{false, true} {
			present := d.Students[:n]
			changed := sample.Apply(
				t,
				d,
				editing.Edit{
					Kind:       editing.SetAttendance,
					Attendance: &editing.Attendance{Present: present, Space: load.Space{Half: half}},
				},
				in,
			)
			require.True(t, changed.Fits)
			require.Equal(t, d.Students, changed.Document.Students, "nobody is lost")
			require.Equal(t, half, changed.Document.Space.Half)
			p := sample.Planned(t, changed.Document, in)
			for _, s := range p.Blocks {
				require.Len(t, s.People, n, s.Title)
				if s.Load != nil {
					require.Equal(t, n, s.Load.People)
				}
			}
			// Everybody back again.
			back := sample.Apply(
				t,
				changed.Document,
				editing.Edit{Kind: editing.SetAttendance, Attendance: &editing.Attendance{Present: d.Students}},
				in,
			)
			require.Nil(t, back.Document.Blocks[2].People)
		}
	}
}

func TestSomebodyComesLateAndWhatWasPlayedStays(t *testing.T) {
	d, in := sample.Crowd(3)
	// Two begin. In the middle of the first drill, 4 minutes into it, the third comes.
	started := sample.Apply(
		t,
		d,
		editing.Edit{Kind: editing.SetAttendance, Attendance: &editing.Attendance{Present: []string{"ada", "ben"}}},
		in,
	).Document
	into := started.Blocks[0].Minutes + started.Blocks[1].Minutes + 4
	late := sample.Apply(
		t,
		started,
		editing.Edit{Kind: editing.SetAttendance, Attendance: &editing.Attendance{Present: d.Students, Second: into * 60}},
		in,
	)
	got := late.Document
	require.Len(t, got.Blocks, len(d.Blocks)+1, "the drill is cut in two")
	for i := range 2 {
		require.InDelta(t, started.Blocks[i].Minutes, got.Blocks[i].Minutes, 1e-9)
		require.Equal(t, []string{"ada", "ben"}, got.Blocks[i].People)
		require.True(t, got.Blocks[i].Pinned)
	}
	played, rest := got.Blocks[2], got.Blocks[3]
	require.Equal(t, "3", played.ID)
	require.InDelta(t, 4, played.Minutes, 0.01)
	require.Equal(t, []string{"ada", "ben"}, played.People)
	require.Equal(t, "f1", rest.ID)
	require.Equal(t, "3", rest.CountedAs(), "balls count on")
	require.Empty(t, rest.People, "all three")
	require.InDelta(t, 60, sample.Minutes(got), 0.05)
	require.Contains(t, late.Sentences[0].String(), "goes on from")
	for _, b := range got.Blocks[3:] {
		require.Len(
			t,
			sample.Planned(t, got, in).Blocks[slices.IndexFunc(got.Blocks,
				func(o lesson.Block) bool { return o.ID == b.ID })].People,
			3,
		)
	}

	// Then Ada leaves in the closing talk: all before it stays.
	second := (sample.Minutes(got) - got.Blocks[len(got.Blocks)-1].Minutes + 1) * 60
	left := sample.ApplyWith(
		t,
		"g",
		got,
		editing.Edit{
			Kind:       editing.SetAttendance,
			Attendance: &editing.Attendance{Present: []string{"ben", "p2"}, Second: second},
		},
		in,
	).Document
	for i, b := range got.Blocks[:len(got.Blocks)-1] {
		require.Equal(t, b.Minutes, left.Blocks[i].Minutes)
	}
	require.Equal(t, []string{"ben", "p2"}, left.Blocks[len(left.Blocks)-1].People)
	require.Equal(t, d.Students, left.Students)
}

func TestWhatWasPlayedNeverChanges(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		d, in := sample.Crowd(5)
		second := rapid.Float64Range(1, 50*60).Draw(t, "second")
		n := rapid.IntRange(1, 5).Draw(t, "present")
		changed := sample.Apply(
			t,
			d,
			editing.Edit{Kind: editing.SetAttendance, Attendance: &editing.Attendance{Present: d.Students[:n], Second: second}},
			in,
		).Document
		begins := 0.0
		for i, b := range d.Blocks {
			ends := begins + b.Seconds()
			if ends <= second {
				require.Equal(t, b.Minutes, changed.Blocks[i].Minutes)
				require.Equal(t, d.Students, changed.Blocks[i].People)
			}
			begins = ends
		}
		require.NoError(t, changed.Check())
	})
}
