package editing_test

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/lesson"
	"hodometer/core/lesson/editing"
	"hodometer/core/lesson/schedule"
	"hodometer/internal/sample"
)

// Minutes that were typed stay: when all is fitted, when the booking gets shorter, with another version, with another
// drill.
func TestTypedMinutesStay(t *testing.T) {
	d, in := sample.Hour()
	typed := sample.Apply(t, d, editing.Edit{Kind: editing.Resize, Block: "3", Minutes: 17.5, On: true}, in)
	require.True(t, typed.Document.Blocks[2].Pinned)
	for i, b := range typed.Document.Blocks {
		if b.ID != "3" {
			require.Equal(t, d.Blocks[i], b, "nothing else is fitted")
		}
	}
	other := schedule.ForDrill(sample.Coin().ID, sample.Coin().Document, 2, d.Space, in.Settings)
	in.Drills[sample.Coin().ID] = sample.Coin().Document
	for _, edit := range []editing.Edit{
		{Kind: editing.FitBlocks},
		{Kind: editing.SetBooking, Minutes: 50},
		{Kind: editing.Resize, Block: "1", Minutes: 10},
		{Kind: editing.SwapDrill, Block: "3", New: &other},
	} {
		then := sample.Apply(t, typed.Document, edit, in)
		require.InDelta(t, 17.5, then.Document.Blocks[2].Minutes, 1e-9, edit.Kind)
		require.True(t, then.Document.Blocks[2].Pinned, edit.Kind)
		for _, s := range sample.Planned(t, then.Document, in).Blocks {
			require.Less(t, s.Over, 1.0, s.Title)
		}
	}
}

// A call may come with the last second of a block; one that was made shorter has its calls within it.
func TestACallMayComeAtTheEnd(t *testing.T) {
	d, in := sample.Hour()
	d.Blocks[1].Calls = []lesson.Call{{Minute: d.Blocks[1].Minutes, Text: "Change"}}
	require.NoError(t, d.Check())
	sample.Planned(t, d, in)
	for _, minutes := range []float64{2, d.Blocks[1].Minutes, 15} {
		then := sample.Apply(t, d, editing.Edit{Kind: editing.Resize, Block: d.Blocks[1].ID, Minutes: minutes, On: true}, in)
		require.LessOrEqual(t, then.Document.Blocks[1].Calls[0].Minute, minutes)
	}
}

// Whatever is fitted: each block that got other minutes is named.
func TestEveryBlockThatChangedIsNamed(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		d, in := sample.Hour()
		for i := range d.Blocks {
			d.Blocks[i].Pinned = rapid.IntRange(0, 4).Draw(t, "pinned") == 0
		}
		edit := rapid.SampledFrom([]editing.Edit{{Kind: editing.FitBlocks}, {Kind: editing.SetBooking, Minutes: 45},
			{Kind: editing.SetBooking, Minutes: 75}, {Kind: editing.Resize, Block: "3", Minutes: 16}}).
			Draw(t, "edit")
		then := sample.Apply(t, d, edit, in)
		said := fmt.Sprint(then.Sentences)
		for i, b := range then.Document.Blocks {
			if b.ID != edit.Block && b.Minutes != d.Blocks[i].Minutes &&
				max(b.Minutes-d.Blocks[i].Minutes, d.Blocks[i].Minutes-b.Minutes) >= 0.1 {
				require.Contains(t, said, b.Title)
			}
		}
	})
}

// With one of them absent a drill takes the minutes that the others need, and none to stand about in.
func TestWithOneAbsentNobodyStandsAbout(t *testing.T) {
	d, in := sample.Crowd(6)
	all := sample.Apply(t, d, editing.Edit{Kind: editing.FitBlocks}, in).Document
	five := sample.Apply(
		t,
		all,
		editing.Edit{Kind: editing.SetAttendance, Attendance: &editing.Attendance{Present: d.Students[:5]}},
		in,
	).Document
	before, after := sample.Planned(t, all, in), sample.Planned(t, five, in)
	for i, s := range after.Blocks {
		if s.Load != nil {
			require.LessOrEqual(t, s.Spare, before.Blocks[i].Spare+60, s.Title)
		}
	}
}
