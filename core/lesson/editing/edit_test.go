package editing_test

import (
	"fmt"
	"slices"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/invalid"
	"hodometer/core/drill"
	"hodometer/core/drill/library"
	"hodometer/core/lesson"
	"hodometer/core/lesson/editing"
	"hodometer/core/lesson/schedule"
	"hodometer/core/people/coach"
	"hodometer/core/sport/feed"
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
	require.Contains(t, changed.Sentences[0].String(), "the booking has 60")
}

func TestSqueezedDrillsHaveFewerTurnsAndItIsSaid(t *testing.T) {
	d, in := sample.Hour()
	changed := sample.Apply(t, d, editing.Edit{Kind: editing.SetBooking, Minutes: 40}, in)
	require.True(t, changed.Fits)
	require.InDelta(t, 40, sample.Minutes(changed.Document), 0.05)
	require.Equal(
		t,
		"All blocks together should have 48 min and there are 40, 8 less: each gives way by its length, and less the "+
			"more its minutes matter.",
		changed.Sentences[0].String(),
	)
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
	require.Equal(
		t,
		"1 3 2 4 5 6 ",
		order(sample.Apply(t, d, editing.Edit{Kind: editing.MoveBlock, Block: "3", To: 1}, in)),
	)
	require.Equal(
		t,
		"2 3 4 5 6 1 ",
		order(sample.Apply(t, d, editing.Edit{Kind: editing.MoveBlock, Block: "1", To: 99}, in)),
	)
	require.Equal(t, "1 2 4 5 6 ", order(sample.Apply(t, d, editing.Edit{Kind: editing.RemoveBlock, Block: "3"}, in)))
	game := lesson.More()[1]
	put := sample.Apply(t, d, editing.Edit{Kind: editing.InsertBlock, To: 5, New: &game}, in)
	require.Equal(t, "1 2 3 4 5 f1 6 ", order(put))
	require.InDelta(t, 58, sample.Minutes(put.Document), 1e-9, "48 and 10: there was room")
	game.Minutes = 30
	put = sample.Apply(t, d, editing.Edit{Kind: editing.InsertBlock, To: 5, New: &game}, in)
	require.InDelta(t, 60, sample.Minutes(put.Document), 0.05, "there was none")
	require.True(
		t,
		sample.Apply(t, d, editing.Edit{Kind: editing.Pin, Block: "3", On: true}, in).Document.Blocks[2].Pinned,
	)
	require.Equal(
		t,
		2,
		sample.Apply(t, d, editing.Edit{Kind: editing.SetLines, Block: "3", Lines: 2}, in).Document.Blocks[2].Lines,
	)
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
		{"blocks.6.drill", editing.Edit{Kind: editing.InsertBlock, To: 9,
			New: &lesson.Block{Kind: lesson.Drill, Title: "None", Minutes: 5}}},
	} {
		_, err := editing.Apply(t.Context(), d, c.change, nil, in)
		var fields invalid.Fields
		require.ErrorAs(t, err, &fields, c.path)
		require.Equal(t, c.path, fields[0].Path)
	}
	d.Blocks = nil
	_, err := editing.ShareOut(t.Context(), d, "", in)
	require.ErrorContains(t, err, "nothing to fit yet")
}

// By hand: a slower version of the same drill takes longer; its block grows, and nothing else of the block changes.
func TestAVersionTakesItsOwnMinutes(t *testing.T) {
	d, in := sample.Hour()
	at := slices.IndexFunc(d.Blocks, func(b lesson.Block) bool { return b.Drill != "" })
	d.Blocks[at].Calls = []lesson.Call{{Minute: 1, Text: "Feet first"}}
	document := in.Drills[d.Blocks[at].Drill]
	document.Variations = []drill.Variation{
		{Name: "Slow motion", Difficulty: drill.Easier, Steps: []feed.Transformation{{Kind: feed.Slow, By: 4}}},
	}
	in.Drills[d.Blocks[at].Drill] = document
	changed := sample.Apply(t, d, editing.Edit{Kind: editing.SetVersion, Block: d.Blocks[at].ID, Text: "Slow motion"}, in)
	block := changed.Document.Blocks[at]
	require.Equal(t, "Slow motion", block.Version)
	require.Greater(
		t,
		block.MinutesWanted(),
		schedule.ForDrill(block.Drill, document, len(in.People), d.Space, in.Settings).Minutes,
	)
	require.Equal(t, "Feet first", block.Calls[0].Text)
	require.Equal(
		t,
		[]any{d.Blocks[at].ID, d.Blocks[at].Drill, d.Blocks[at].Title},
		[]any{block.ID, block.Drill, block.Title},
	)

	// The turns that the coach has chosen stay, and so do minutes that are pinned.
	chosen := d
	chosen.Blocks = slices.Clone(d.Blocks)
	chosen.Blocks[at].Turns, chosen.Blocks[at].Pinned = 3, true
	kept := sample.Apply(t, chosen, editing.Edit{Kind: editing.SetVersion, Block: block.ID, Text: "Slow motion"},
		in).Document.Blocks[at]
	require.Equal(t, []any{3, d.Blocks[at].Minutes, true}, []any{kept.Turns, kept.Minutes, kept.Pinned})

	// On court it is played in the minutes that there are.
	now := sample.Apply(t, d, editing.Edit{Kind: editing.SetVersion, Block: block.ID, Text: "Slow motion", On: true}, in)
	require.Equal(t, d.Blocks[at].Minutes, now.Document.Blocks[at].Minutes)
	require.Equal(t, "Slow motion", now.Document.Blocks[at].Version)

	back := sample.Apply(
		t,
		changed.Document,
		editing.Edit{Kind: editing.SetVersion, Block: block.ID, Text: coach.AsWritten},
		in,
	)
	require.Empty(t, back.Document.Blocks[at].Version)
	_, err := editing.Apply(
		t.Context(),
		d,
		editing.Edit{Kind: editing.SetVersion, Block: d.Blocks[at].ID, Text: "never heard of"},
		nil,
		in,
	)
	require.ErrorContains(t, err, "no version")
}

func TestADrillIsSwappedForAnother(t *testing.T) {
	d, in := sample.Hour()
	at := slices.IndexFunc(d.Blocks, func(b lesson.Block) bool { return b.Drill != "" })
	d.Blocks[at].OnDeck, d.Blocks[at].Turns, d.Blocks[at].Calls = "skip", 3, []lesson.Call{
		{Minute: 1, Text: "Of the old one"},
	}
	other := library.All()[3]
	in.Drills[other.ID] = other.Document
	fresh := schedule.ForDrill(other.ID, other.Document, len(in.People), d.Space, in.Settings)
	fresh.ID = "new"
	changed := sample.Apply(t, d, editing.Edit{Kind: editing.SwapDrill, Block: d.Blocks[at].ID, New: &fresh}, in)
	block := changed.Document.Blocks[at]
	require.Equal(
		t,
		[]any{d.Blocks[at].ID, other.ID, other.Document.Name, "skip"},
		[]any{block.ID, block.Drill, block.Title, block.OnDeck},
	)
	require.Empty(t, block.Calls, "the calls of the old one go with it")
	require.NotEqual(t, 3, block.Turns)
	require.Len(t, changed.Document.Blocks, len(d.Blocks))
	_, err := editing.Apply(t.Context(), d, editing.Edit{Kind: editing.SwapDrill, Block: d.Blocks[at].ID}, nil, in)
	require.ErrorContains(t, err, "which drill")
}
