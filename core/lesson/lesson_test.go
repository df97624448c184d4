package lesson_test

import (
	"context"
	"reflect"
	"strconv"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/basics/invalid"
	"hodometer/core/count/score"
	"hodometer/core/lesson"
	"hodometer/core/lesson/editing"
	"hodometer/core/lesson/plan"
	"hodometer/internal/sample"
)

func TestCheckNamesTheField(t *testing.T) {
	for _, c := range []struct {
		name   string
		change func(*lesson.Document)
		path   string
	}{
		{"no title", func(d *lesson.Document) { d.Title = "" }, "title"},
		{"a day that is none", func(d *lesson.Document) { d.Date = "2026-02-30" }, "date"},
		{"nobody", func(d *lesson.Document) { d.Students = nil }, "students"},
		{"one twice", func(d *lesson.Document) { d.Students = []string{"ada", "ada"} }, "students.1"},
		{"a drill block without a drill", func(d *lesson.Document) { d.Blocks[2].Drill = "" }, "blocks.2.drill"},
		{"a break with a drill", func(d *lesson.Document) { d.Blocks[3].Drill = sample.Coin().ID }, "blocks.3.drill"},
		{"a call after the end", func(d *lesson.Document) { d.Blocks[1].Calls[1].Minute = d.Blocks[1].Minutes + 0.5 },
			"blocks.1.calls.1.minute"},
		{"roles that never swap", func(d *lesson.Document) { d.Blocks[1].Rotation.Every = 0 }, "blocks.1.rotation.every"},
		{"a role without a name", func(d *lesson.Document) { d.Blocks[1].Rotation.Spots[0].Name = "" },
			"blocks.1.rotation.spots.0"},
		{"least beyond most", func(d *lesson.Document) { d.Blocks[1].Min, d.Blocks[1].Max = 9, 8 }, "blocks.1.min"},
		{"whole rotations of nothing", func(d *lesson.Document) { d.Blocks[0].Step = lesson.WholeRotations },
			"blocks.0.step"},
		{"one block twice", func(d *lesson.Document) { d.Blocks[1].ID = "1" }, "blocks.1.id"},
	} {
		t.Run(c.name, func(t *testing.T) {
			d, in := sample.Hour()
			c.change(&d)
			_, err := plan.Make(context.Background(), d, in)
			var fields invalid.Fields
			require.ErrorAs(t, err, &fields)
			require.Equal(t, c.path, fields[0].Path)
		})
	}
}

func TestClock(t *testing.T) {
	began := time.Date(2026, 3, 10, 16, 45, 0, 0, time.UTC)
	running := lesson.Clock{Anchor: began, Second: 30, Running: true}
	require.InDelta(t, 90, running.At(began.Add(time.Minute)), 1e-9)
	require.InDelta(t, 0, running.At(began.Add(-time.Minute)), 1e-9, "never before the start")
	require.InDelta(t, 30, lesson.Clock{Anchor: began, Second: 30}.At(began.Add(time.Hour)), 1e-9)
}

func TestALessonIsPlannedAgainWhole(t *testing.T) {
	d, in := sample.Crowd(3)
	d.Blocks[3].Pinned = true // by the coach's own hand
	started := sample.Apply(
		t,
		d,
		editing.Edit{Kind: editing.SetAttendance, Attendance: &editing.Attendance{Present: []string{"ada", "ben"}}},
		in,
	).Document
	into := started.Blocks[0].Minutes + 4 // in the ball warm-up, with a call still to come
	late := sample.Apply(
		t,
		started,
		editing.Edit{Kind: editing.SetAttendance, Attendance: &editing.Attendance{Present: d.Students, Second: into * 60}},
		in,
	).Document
	require.Len(t, late.Blocks, len(d.Blocks)+1)

	again := late.Again("2026-03-17")
	require.NoError(t, again.Check())
	require.Equal(t, "2026-03-17", again.Date)
	require.Len(t, again.Blocks, len(d.Blocks), "what was cut is whole again")
	require.InDelta(t, sample.Minutes(late), sample.Minutes(again), 1e-9)
	require.Len(t, again.Blocks[1].Calls, len(d.Blocks[1].Calls))
	for i, b := range again.Blocks {
		require.Empty(t, b.People, "with everybody")
		require.Empty(t, b.Continues)
		require.Equal(t, i == 3, b.Pinned, b.Title)
	}
	require.Equal(t, []lesson.Block{}, lesson.Document{}.Again("2026-03-17").Blocks)
}

func TestVariantsChangeTheDrillOfOneStudent(t *testing.T) {
	d, in := sample.Hour()
	block, ada, ben := d.Blocks[2], in.People[0], in.People[1]
	block.Variants = []lesson.Variant{
		{
			Student: "ada",
			Gap:     7,
			Size:    2,
			Goals:   []lesson.Instead{{Measure: 1, Goals: score.Course{{Kind: score.Streak, Count: 3}}}},
		},
		{Student: "ben", Drawn: lesson.AsDrawn},
	}
	hers := block.DrillFor(sample.Coin().Document, ada)
	require.InDelta(t, 7, hers.Pattern.Gap, 1e-9)
	require.InDelta(t, 2*sample.Coin().Document.Main().Target.Radius, hers.Main().Target.Radius, 1e-9)
	require.Equal(t, "3 in a row", hers.Main().Goals.String())
	require.Equal(t, sample.Coin().Document, block.DrillFor(sample.Coin().Document, ben), "as drawn, though left-handed")
	block.Variants = []lesson.Variant{{Student: "ada", Drawn: lesson.Mirrored}}
	require.Equal(t, sample.Coin().Document.Mirrored(), block.DrillFor(sample.Coin().Document, ada))
	require.Equal(t, sample.Coin().Document.Mirrored(), block.DrillFor(sample.Coin().Document, ben))

	taken := sample.Apply(
		t,
		d,
		editing.Edit{Kind: editing.SetVariant, Block: "3", Variant: &lesson.Variant{Student: "ada", Gap: 5}},
		in,
	).Document
	require.Len(t, taken.Blocks[2].Variants, 1)
	taken = sample.Apply(
		t,
		taken,
		editing.Edit{Kind: editing.SetVariant, Block: "3", Variant: &lesson.Variant{Student: "ada"}},
		in,
	).Document
	require.Empty(t, taken.Blocks[2].Variants, "nothing different is no variant")
}

// What a block allows stands in its schema too: the same everywhere.
func TestABlockIsNoLongerThanItsSchemaSays(t *testing.T) {
	most := strconv.Itoa(lesson.MaxMinutes)
	for _, name := range []string{"Minutes", "Wanted", "Min", "Max"} {
		field, there := reflect.TypeFor[lesson.Block]().FieldByName(name)
		require.True(t, there)
		require.Equal(t, most, field.Tag.Get("maximum"), name)
	}
	minute, _ := reflect.TypeFor[lesson.Call]().FieldByName("Minute")
	require.Equal(t, most, minute.Tag.Get("maximum"))
}
