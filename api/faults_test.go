package api_test

import (
	"fmt"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/api/courtside"
	"hodometer/api/repository"
	"hodometer/core/count/tally"
	"hodometer/core/lesson/plan"
	"hodometer/core/live/underway"
)

// A fault that is seen is one tap: undone like any other, no ball, told afterwards, and over the lessons on the
// student's page.
func TestFaultsThatAreSeen(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	p := ada()
	p.Watch = []string{"late split step", "drops the racket head"}
	student := c.student(p)
	seen := func(day, times, balls int) underway.Courtside {
		block, id, run := newID(), newID(), newID()
		d := lessonFor(block, student)
		d["date"] = fmt.Sprintf("2026-03-%02d", day)
		read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, d, fresh, "*"))
		var entries []any
		add := func(entry map[string]any) {
			entry["seq"], entry["at"] = len(entries), c.now.AddDate(0, 0, day-10).Add(time.Duration(len(entries))*time.Second)
			entries = append(entries, entry)
		}
		for range times + 1 {
			add(map[string]any{"kind": "fault", "fault": "late split step"})
		}
		add(map[string]any{"kind": "undo"})
		add(map[string]any{"kind": "turn", "made": balls, "of": balls})
		taps := map[string]any{"run": run, "block": block, "student": student, "entries": entries}
		c.tap(id, taps)
		c.tap(id, taps)
		after := read[courtside.Afterwards](t, c.ask("GET", "/api/lessons/"+id+"/afterwards", nil))
		require.Equal(
			t,
			[]tally.Seen{{Fault: "late split step", Times: times}},
			after.Students[0].Faults,
			"sent twice and seen once",
		)
		require.Equal(t, balls, after.Students[0].Balls, "a fault is no ball")
		return read[underway.Courtside](t, c.ask("GET", "/api/lessons/"+id+"/courtside", nil))
	}
	first := seen(3, 8, 40)
	require.Equal(
		t,
		[]tally.Seen{{Fault: "late split step", Times: 8}, {Fault: "drops the racket head"}},
		first.Counters[0].Faults,
	)
	require.Equal(t, 1, first.Counters[0].Count.Taps)
	seen(10, 2, 40)
	progress := read[repository.Progress](t, c.ask("GET", "/api/students/"+student+"/progress", nil))
	require.Len(t, progress.Faults, 1)
	require.Equal(t, "down", progress.Faults[0].Going)
	require.Equal(t, "in 10 balls 2 at first and 0.5 lately: going down", progress.Faults[0].Sentence)

	block, id := newID(), newID()
	read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, lessonFor(block, student), fresh, "*"))
	for _, entry := range []map[string]any{{"seq": 0, "at": c.now, "kind": "fault"},
		{"seq": 0, "at": c.now, "kind": "made", "fault": "x"}} {
		require.Equal(
			t,
			"tap.entry.fault",
			c.refused(id, map[string]any{"run": newID(), "block": block, "student": student, "entries": []any{entry}}),
		)
	}
}
