package lesson_test

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/lesson"
)

func road(minutes ...float64) lesson.Document {
	d := lesson.Document{
		FormatVersion: lesson.FormatVersion,
		Title:         "Ten",
		Date:          "2026-03-10",
		Start:         "16:00",
		Minutes:       60,
		Students:      []string{"ada"},
	}
	for i, each := range minutes {
		d.Blocks = append(d.Blocks, lesson.Block{ID: fmt.Sprint("b", i), Title: fmt.Sprint("Block ", i), Minutes: each})
	}
	return d
}

func titles(d lesson.Document) (list []string) {
	for _, b := range d.Blocks {
		list = append(list, fmt.Sprint(b.Title, " ", b.Minutes))
	}
	return list
}

// By hand: this device made the first block a minute longer, which took one from the second; another one renamed the
// second meanwhile, put a block in, and made the third longer.
func TestWhatAnotherDeviceDidMeanwhileStays(t *testing.T) {
	before, after := road(10, 10, 10), road(11, 9, 10)
	now := road(11, 9, 12)
	now.Blocks[1].Title, now.Note = "Serves", "the net is low"
	now.Blocks = append(now.Blocks, lesson.Block{ID: "new", Title: "Talk", Minutes: 2})
	back, kept, err := now.Without(before, after)
	require.NoError(t, err)
	require.Equal(t, []string{"Block 0 10", "Serves 10", "Block 2 12", "Talk 2"}, titles(back))
	require.Equal(t, "the net is low", back.Note)
	require.False(t, kept, "nothing that the change touched was changed since")
}

func TestOfWhatBothChangedTheLaterStays(t *testing.T) {
	before, after, now := road(10, 10), road(11, 9), road(13, 9)
	back, kept, err := now.Without(before, after)
	require.NoError(t, err)
	require.Equal(t, []string{"Block 0 13", "Block 1 10"}, titles(back))
	require.True(t, kept)
}

func TestABlockThatWasTakenOutStandsWhereItStood(t *testing.T) {
	before, after := road(10, 10, 10), road(10, 10, 10)
	after.Blocks = append(after.Blocks[:1:1], after.Blocks[2])
	now := after
	now.Blocks = append([]lesson.Block{{ID: "new", Title: "Talk"}}, after.Blocks...)
	back, kept, err := now.Without(before, after)
	require.NoError(t, err)
	require.Equal(t, []string{"Talk 0", "Block 0 10", "Block 1 10", "Block 2 10"}, titles(back))
	require.False(t, kept)
}

func TestABlockThatTheChangeBroughtGoes(t *testing.T) {
	before, after := road(10), road(10, 5)
	back, kept, err := after.Without(before, after)
	require.NoError(t, err)
	require.Equal(t, []string{"Block 0 10"}, titles(back))
	require.False(t, kept)
	now := road(10, 5)
	now.Blocks[1].Drill = "another device chose one"
	back, kept, err = now.Without(before, after)
	require.NoError(t, err)
	require.Equal(t, []string{"Block 0 10", "Block 1 5"}, titles(back))
	require.True(t, kept)
}

// Whatever was changed: taken back at once it is as it was; where another device changed what the change did not touch,
// both are right.
func TestTakingBackLosesNothingOfOthers(t *testing.T) {
	document := rapid.Custom(func(t *rapid.T) lesson.Document {
		d := road(rapid.SliceOfN(rapid.Float64Range(1, 20), 1, 5).Draw(t, "minutes")...)
		d.Blocks = rapid.Permutation(d.Blocks).Draw(t, "order")
		d.Note = rapid.SampledFrom([]string{"", "x"}).Draw(t, "note")
		return d
	})
	rapid.Check(t, func(t *rapid.T) {
		before, after := document.Draw(t, "before"), document.Draw(t, "after")
		back, kept, err := after.Without(before, after)
		require.NoError(t, err)
		require.Equal(t, before, back)
		require.False(t, kept)
		untouched := after
		untouched.Title = "Another"
		back, kept, err = untouched.Without(before, after)
		require.NoError(t, err)
		want := before
		want.Title = "Another"
		require.Equal(t, want, back)
		require.False(t, kept)
		other := document.Draw(t, "other")
		back, _, err = other.Without(before, before)
		require.NoError(t, err)
		require.Equal(t, other, back, "what changed nothing takes nothing back")
		back, _, err = other.Without(before, after)
		require.NoError(t, err)
		seen := map[string]bool{}
		for _, b := range back.Blocks {
			require.False(t, seen[b.ID], "no block twice")
			seen[b.ID] = true
		}
	})
}
