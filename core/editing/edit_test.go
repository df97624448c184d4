package editing_test

import (
	"fmt"
	"slices"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/editing"
	"hodometer/core/invalid"
	"hodometer/core/lesson"
	"hodometer/internal/sample"
)

func TestStretchingABlockFitsTheRest(t *testing.T) {
	d, in := sample.Hour()
	changed := sample.Apply(t, d, editing.Edit{Kind: editing.Resize, Block: "3", Minutes: 18}, in)
	require.True(t, changed.Fits)
	require.InDelta(t, 18, changed.Document.Blocks[2].Minutes, 1e-9, "what was just set stays")
	require.InDelta(t, 60, sample.Minutes(changed.Document), 0.05)
	require.InDelta(t, 8, d.Blocks[0].Minutes, 1e-9, "the document itself is untouched")

	// A pinned block stays too.
	d.Blocks[0].Pinned = true
	changed = sample.Apply(t, d, editing.Edit{Kind: editing.Resize, Block: "3", Minutes: 16}, in)
	require.InDelta(t, 8, changed.Document.Blocks[0].Minutes, 1e-9)
	require.InDelta(t, 60, sample.Minutes(changed.Document), 0.05)

	// Too much for the booking: the lesson stays as it is but for the block, and it is said what to drop.
	changed = sample.Apply(t, d, editing.Edit{Kind: editing.Resize, Block: "3", Minutes: 55}, in)
	require.False(t, changed.Fits)
	require.NotEmpty(t, changed.Drop)
	require.Contains(t, changed.Sentences[0], "the booking has 60")
}

func TestSqueezedDrillsHaveFewerTurnsAndItIsSaid(t *testing.T) {
	d, in := sample.Hour()
	changed := sample.Apply(t, d, editing.Edit{Kind: editing.SetBooking, Minutes: 40}, in)
	require.True(t, changed.Fits)
	require.InDelta(t, 40, sample.Minutes(changed.Document), 0.05)
	require.Equal(t, "All blocks together should have 48 min and there are 40, 8 less: each gives way by its length, and less the more its minutes matter.", changed.Sentences[0])
	require.Contains(t, fmt.Sprint(changed.Sentences), "turns each instead of 8")
	for _, s := range sample.Planned(t, changed.Document, in).Blocks {
		require.Less(t, s.Over, 1.0, s.Title)
	}
	require.Empty(t, slices.DeleteFunc(changed.Document.Blocks, func(b lesson.Block) bool {
		for _, call := range b.Calls {
			if call.Minute >= b.Minutes {
				return false
			}
		}
		return true
	}), "calls stay within their blocks")
}

func TestWholeRotationsComeWhole(t *testing.T) {
	d, in := sample.Hour()
	d.Blocks[1].Step = lesson.WholeRotations
	for _, minutes := range []float64{45, 50, 55, 60, 70} {
		changed := sample.Apply(t, d, editing.Edit{Kind: editing.SetBooking, Minutes: minutes}, in)
		require.InDelta(t, 0, int(changed.Document.Blocks[1].Minutes)%2, 1e-9, "two roles of a minute each")
		require.InDelta(t, float64(int(changed.Document.Blocks[1].Minutes)), changed.Document.Blocks[1].Minutes, 1e-9)
	}
}

func TestMovingInsertingTakingOut(t *testing.T) {
	d, in := sample.Hour()
	order := func(c editing.Edited) (ids string) {
		for _, b := range c.Document.Blocks {
			ids += b.ID + " "
		}
		return ids
	}
	require.Equal(t, "1 3 2 4 5 6 ", order(sample.Apply(t, d, editing.Edit{Kind: editing.MoveBlock, Block: "3", To: 1}, in)))
	require.Equal(t, "2 3 4 5 6 1 ", order(sample.Apply(t, d, editing.Edit{Kind: editing.MoveBlock, Block: "1", To: 99}, in)))
	require.Equal(t, "1 2 4 5 6 ", order(sample.Apply(t, d, editing.Edit{Kind: editing.RemoveBlock, Block: "3"}, in)))
	game := lesson.More()[1]
	put := sample.Apply(t, d, editing.Edit{Kind: editing.InsertBlock, To: 5, New: &game}, in)
	require.Equal(t, "1 2 3 4 5 f1 6 ", order(put))
	require.InDelta(t, 58, sample.Minutes(put.Document), 1e-9, "48 and 10: there was room")
	game.Minutes = 30
	put = sample.Apply(t, d, editing.Edit{Kind: editing.InsertBlock, To: 5, New: &game}, in)
	require.InDelta(t, 60, sample.Minutes(put.Document), 0.05, "there was none")
	require.True(t, sample.Apply(t, d, editing.Edit{Kind: editing.Pin, Block: "3", On: true}, in).Document.Blocks[2].Pinned)
	require.Equal(t, 2, sample.Apply(t, d, editing.Edit{Kind: editing.SetLines, Block: "3", Lines: 2}, in).Document.Blocks[2].Lines)
}

func TestABlockIsAddedBeforeTheClosingTalk(t *testing.T) {
	d, in := sample.Hour()
	water, talk := lesson.Water(), lesson.Block{Kind: lesson.Talk, Title: "Another talk", Minutes: 2}
	changed := sample.Apply(t, d, editing.Edit{Kind: editing.AddBlock, New: &water}, in)
	require.Equal(t, "Water", changed.Document.Blocks[5].Title)
	require.Equal(t, lesson.Talk, changed.Document.Blocks[6].Kind)
	changed = sample.Apply(t, d, editing.Edit{Kind: editing.AddBlock, New: &talk}, in)
	require.Equal(t, "Another talk", changed.Document.Blocks[6].Title)
	_, err := editing.Apply(t.Context(), d, editing.Edit{Kind: editing.AddBlock}, nil, in)
	require.ErrorContains(t, err, "say which block to put in")
}

func TestAChangeThatMakesNoSenseIsTold(t *testing.T) {
	d, in := sample.Hour()
	for _, c := range []struct {
		path   string
		change editing.Edit
	}{
		{"block", editing.Edit{Kind: editing.Pin, Block: "gone"}},
		{"block", editing.Edit{Kind: editing.Pin}},
		{"minutes", editing.Edit{Kind: editing.Resize, Block: "3", Minutes: 0.1}},
		{"new", editing.Edit{Kind: editing.InsertBlock}},
		{"variant", editing.Edit{Kind: editing.SetVariant, Block: "3"}},
		{"attendance", editing.Edit{Kind: editing.SetAttendance}},
		{"blocks.6.drill", editing.Edit{Kind: editing.InsertBlock, To: 9, New: &lesson.Block{Kind: lesson.Drill, Title: "None", Minutes: 5}}},
	} {
		_, err := editing.Apply(t.Context(), d, c.change, nil, in)
		var fields invalid.Fields
		require.ErrorAs(t, err, &fields, c.path)
		require.Equal(t, c.path, fields[0].Path)
	}
	d.Blocks = nil
	_, err := editing.Refit(t.Context(), d, "", in)
	require.ErrorContains(t, err, "nothing to fit yet")
}
