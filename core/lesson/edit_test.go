package lesson_test

import (
	"context"
	"fmt"
	"slices"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"hodometer/core/drill"
	"hodometer/core/invalid"
	"hodometer/core/lesson"
	"hodometer/core/student"
	"hodometer/internal/long"
)

func apply(t require.TestingT, d lesson.Document, c lesson.Edit, in lesson.Inputs) lesson.Edited {
	return applyWith(t, "f", d, c, in)
}

// applyWith gives new blocks identifiers that begin with a letter.
func applyWith(t require.TestingT, fresh string, d lesson.Document, c lesson.Edit, in lesson.Inputs) lesson.Edited {
	if c.New != nil {
		block := *c.New
		block.ID = fresh + "1"
		c.New = &block
	}
	changed, err := d.Apply(context.Background(), c, []string{fresh + "1", fresh + "2", fresh + "3"}, in)
	require.NoError(t, err)
	return changed
}

func total(d lesson.Document) (sum float64) {
	for _, b := range d.Blocks {
		sum += b.Minutes
	}
	return sum
}

func TestStretchingABlockFitsTheRest(t *testing.T) {
	d, in := hour()
	changed := apply(t, d, lesson.Edit{Kind: lesson.Resize, Block: "3", Minutes: 18}, in)
	require.True(t, changed.Fits)
	require.InDelta(t, 18, changed.Document.Blocks[2].Minutes, 1e-9, "what was just set stays")
	require.InDelta(t, 60, total(changed.Document), 0.05)
	require.InDelta(t, 8, d.Blocks[0].Minutes, 1e-9, "the document itself is untouched")

	// A pinned block stays too.
	d.Blocks[0].Pinned = true
	changed = apply(t, d, lesson.Edit{Kind: lesson.Resize, Block: "3", Minutes: 16}, in)
	require.InDelta(t, 8, changed.Document.Blocks[0].Minutes, 1e-9)
	require.InDelta(t, 60, total(changed.Document), 0.05)

	// Too much for the booking: the lesson stays as it is but for the block, and it is said what to drop.
	changed = apply(t, d, lesson.Edit{Kind: lesson.Resize, Block: "3", Minutes: 55}, in)
	require.False(t, changed.Fits)
	require.NotEmpty(t, changed.Drop)
	require.Contains(t, changed.Sentences[0], "the booking has 60")
}

func TestSqueezedDrillsHaveFewerTurnsAndItIsSaid(t *testing.T) {
	d, in := hour()
	changed := apply(t, d, lesson.Edit{Kind: lesson.SetBooking, Minutes: 40}, in)
	require.True(t, changed.Fits)
	require.InDelta(t, 40, total(changed.Document), 0.05)
	require.Equal(t, "All blocks together should have 48 min and there are 40, 8 less: each gives way by its length, and less the more its minutes matter.", changed.Sentences[0])
	require.Contains(t, fmt.Sprint(changed.Sentences), "turns each instead of 8")
	for _, s := range schedule(t, changed.Document, in).Blocks {
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
	d, in := hour()
	d.Blocks[1].Step = lesson.WholeRotations
	for _, minutes := range []float64{45, 50, 55, 60, 70} {
		changed := apply(t, d, lesson.Edit{Kind: lesson.SetBooking, Minutes: minutes}, in)
		require.InDelta(t, 0, int(changed.Document.Blocks[1].Minutes)%2, 1e-9, "two roles of a minute each")
		require.InDelta(t, float64(int(changed.Document.Blocks[1].Minutes)), changed.Document.Blocks[1].Minutes, 1e-9)
	}
}

func TestMovingInsertingTakingOut(t *testing.T) {
	d, in := hour()
	order := func(c lesson.Edited) (ids string) {
		for _, b := range c.Document.Blocks {
			ids += b.ID + " "
		}
		return ids
	}
	require.Equal(t, "1 3 2 4 5 6 ", order(apply(t, d, lesson.Edit{Kind: lesson.MoveBlock, Block: "3", To: 1}, in)))
	require.Equal(t, "2 3 4 5 6 1 ", order(apply(t, d, lesson.Edit{Kind: lesson.MoveBlock, Block: "1", To: 99}, in)))
	require.Equal(t, "1 2 4 5 6 ", order(apply(t, d, lesson.Edit{Kind: lesson.RemoveBlock, Block: "3"}, in)))
	game := lesson.More()[1]
	put := apply(t, d, lesson.Edit{Kind: lesson.InsertBlock, To: 5, New: &game}, in)
	require.Equal(t, "1 2 3 4 5 f1 6 ", order(put))
	require.InDelta(t, 58, total(put.Document), 1e-9, "48 and 10: there was room")
	game.Minutes = 30
	put = apply(t, d, lesson.Edit{Kind: lesson.InsertBlock, To: 5, New: &game}, in)
	require.InDelta(t, 60, total(put.Document), 0.05, "there was none")
	require.True(t, apply(t, d, lesson.Edit{Kind: lesson.Pin, Block: "3", On: true}, in).Document.Blocks[2].Pinned)
	require.Equal(t, 2, apply(t, d, lesson.Edit{Kind: lesson.SetLines, Block: "3", Lines: 2}, in).Document.Blocks[2].Lines)
}

func TestAChangeThatMakesNoSenseIsTold(t *testing.T) {
	d, in := hour()
	for _, c := range []struct {
		path   string
		change lesson.Edit
	}{
		{"block", lesson.Edit{Kind: lesson.Pin, Block: "gone"}},
		{"block", lesson.Edit{Kind: lesson.Pin}},
		{"minutes", lesson.Edit{Kind: lesson.Resize, Block: "3", Minutes: 0.1}},
		{"new", lesson.Edit{Kind: lesson.InsertBlock}},
		{"variant", lesson.Edit{Kind: lesson.SetVariant, Block: "3"}},
		{"attendance", lesson.Edit{Kind: lesson.SetAttendance}},
		{"blocks.6.drill", lesson.Edit{Kind: lesson.InsertBlock, To: 9, New: &lesson.Block{Kind: lesson.Drill, Title: "None", Minutes: 5}}},
	} {
		_, err := d.Apply(t.Context(), c.change, nil, in)
		var fields invalid.Fields
		require.ErrorAs(t, err, &fields, c.path)
		require.Equal(t, c.path, fields[0].Path)
	}
	d.Blocks = nil
	_, err := d.Refit(t.Context(), "", in)
	require.ErrorContains(t, err, "nothing to fit yet")
}

// crowd is so many people in the hour.
func crowd(n int) (lesson.Document, lesson.Inputs) {
	d, in := hour()
	for i := 2; i < n; i++ {
		id := fmt.Sprint("p", i)
		d.Students = append(d.Students, id)
		in.People = append(in.People, lesson.Person{ID: id, Profile: student.Profile{Name: fmt.Sprint("Player ", i), Hand: student.RightHand}})
	}
	d.Students, in.People = d.Students[:n], in.People[:n]
	return d, in
}

func TestWhoTurnedUpPlansTheLessonAnew(t *testing.T) {
	d, in := crowd(8)
	for _, n := range []int{2, 3, 5, 8} {
		for _, half := range []bool{false, true} {
			present := d.Students[:n]
			changed := apply(t, d, lesson.Edit{Kind: lesson.SetAttendance, Attendance: &lesson.Attendance{Present: present, Space: drill.Space{Half: half}}}, in)
			require.True(t, changed.Fits)
			require.Equal(t, d.Students, changed.Document.Students, "nobody is lost")
			require.Equal(t, half, changed.Document.Space.Half)
			p := schedule(t, changed.Document, in)
			for _, s := range p.Blocks {
				require.Len(t, s.People, n, s.Title)
				if s.Load != nil {
					require.Equal(t, n, s.Load.People)
				}
			}
			// Everybody back again.
			back := apply(t, changed.Document, lesson.Edit{Kind: lesson.SetAttendance, Attendance: &lesson.Attendance{Present: d.Students}}, in)
			require.Nil(t, back.Document.Blocks[2].People)
		}
	}
}

func TestSomebodyComesLateAndWhatWasPlayedStays(t *testing.T) {
	d, in := crowd(3)
	// Two begin. In the middle of the first drill, 4 minutes into it, the third comes.
	started := apply(t, d, lesson.Edit{Kind: lesson.SetAttendance, Attendance: &lesson.Attendance{Present: []string{"ada", "ben"}}}, in).Document
	into := started.Blocks[0].Minutes + started.Blocks[1].Minutes + 4
	late := apply(t, started, lesson.Edit{Kind: lesson.SetAttendance, Attendance: &lesson.Attendance{Present: d.Students, Second: into * 60}}, in)
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
	require.InDelta(t, 60, total(got), 0.05)
	require.Contains(t, late.Sentences[0], "goes on from")
	for _, b := range got.Blocks[3:] {
		require.Len(t, schedule(t, got, in).Blocks[slices.IndexFunc(got.Blocks, func(o lesson.Block) bool { return o.ID == b.ID })].People, 3)
	}

	// Then Ada leaves in the closing talk: all before it stays.
	second := (total(got) - got.Blocks[len(got.Blocks)-1].Minutes + 1) * 60
	left := applyWith(t, "g", got, lesson.Edit{Kind: lesson.SetAttendance, Attendance: &lesson.Attendance{Present: []string{"ben", "p2"}, Second: second}}, in).Document
	for i, b := range got.Blocks[:len(got.Blocks)-1] {
		require.Equal(t, b.Minutes, left.Blocks[i].Minutes)
	}
	require.Equal(t, []string{"ben", "p2"}, left.Blocks[len(left.Blocks)-1].People)
	require.Equal(t, d.Students, left.Students)
}

func TestWhatWasPlayedNeverChanges(t *testing.T) {
	long.Check(t, func(t *rapid.T) {
		d, in := crowd(5)
		second := rapid.Float64Range(1, 50*60).Draw(t, "second")
		n := rapid.IntRange(1, 5).Draw(t, "present")
		changed := apply(t, d, lesson.Edit{Kind: lesson.SetAttendance, Attendance: &lesson.Attendance{Present: d.Students[:n], Second: second}}, in).Document
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

func TestALessonIsPlannedAgainWhole(t *testing.T) {
	d, in := crowd(3)
	d.Blocks[3].Pinned = true // by the coach's own hand
	started := apply(t, d, lesson.Edit{Kind: lesson.SetAttendance, Attendance: &lesson.Attendance{Present: []string{"ada", "ben"}}}, in).Document
	into := started.Blocks[0].Minutes + 4 // in the ball warm-up, with a call still to come
	late := apply(t, started, lesson.Edit{Kind: lesson.SetAttendance, Attendance: &lesson.Attendance{Present: d.Students, Second: into * 60}}, in).Document
	require.Len(t, late.Blocks, len(d.Blocks)+1)

	again := late.Again("2026-03-17")
	require.NoError(t, again.Check())
	require.Equal(t, "2026-03-17", again.Date)
	require.Len(t, again.Blocks, len(d.Blocks), "what was cut is whole again")
	require.InDelta(t, total(late), total(again), 1e-9)
	require.Len(t, again.Blocks[1].Calls, len(d.Blocks[1].Calls))
	for i, b := range again.Blocks {
		require.Empty(t, b.People, "with everybody")
		require.Empty(t, b.Continues)
		require.Equal(t, i == 3, b.Pinned, b.Title)
	}
	require.Equal(t, []lesson.Block{}, lesson.Document{}.Again("2026-03-17").Blocks)
}
