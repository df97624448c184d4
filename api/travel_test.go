package api_test

import (
	"net/http"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/core/lesson/plan"
	"hodometer/core/live/underway"
)

// A lesson that is held goes on where it stood, as much later; what was lost is taken from what is left when that is
// asked for.
func TestALessonUnderWay(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	block, id := newID(), newID()
	d := lessonFor(block, c.student(ada()))
	d["minutes"] = 20
	begun := read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, d, fresh, "*"))
	before := begun.Plan.Planned
	clock := func(second float64, running bool) {
		c.clock(id, second, running, false)
	}
	travel := func(body map[string]any) underway.Answered { return c.act(id, "travel", body) }
	clock(0, true)
	c.now = c.now.Add(2 * time.Minute)
	clock(120, false)
	c.now = c.now.Add(90 * time.Second)
	held := travel(map[string]any{"kind": "held", "block": ""})
	require.InDelta(t, 120, held.Second, 1e-6, "where it stood")
	require.True(t, held.Clock.Running)
	first := begun.Plan.Blocks[0]
	require.InDelta(t, first.End, held.Lesson.Plan.Blocks[0].End, 1e-6)
	late := read[underway.Courtside](t, c.ask("GET", "/api/lessons/"+id+"/courtside", nil))
	require.InDelta(t, max(0, before+90-20*60), late.Late, 1, "kept over a restart")
	caught := travel(map[string]any{"kind": "catch up", "block": ""})
	require.LessOrEqual(t, caught.Late, late.Late)

	longer := travel(map[string]any{"kind": "longer", "block": first.Block, "gone": 210, "minutes": 1})
	require.InDelta(t, held.Lesson.Plan.Blocks[0].End+60, longer.Lesson.Plan.Blocks[0].End, 1)
	on := travel(map[string]any{"kind": "go on", "block": first.Block, "gone": 240})
	require.InDelta(t, on.Lesson.Plan.Blocks[1].Start, on.Second, 1)
	back := travel(map[string]any{"kind": "go back", "block": block, "gone": 5})
	require.Greater(t, back.Lesson.Plan.Blocks[0].End, back.Second)
	require.Len(t, travel(map[string]any{"kind": "go back", "block": first.Block, "gone": 3}).Refused, 1)
	readProblem(
		t,
		c.ask(
			"POST",
			"/api/lessons/"+id+"/acts",
			map[string]any{
				"sent": c.now,
				"acts": []any{
					map[string]any{"id": newID(), "at": c.now, "travel": map[string]any{"kind": "fly", "block": first.Block}},
				},
			},
		),
		http.StatusUnprocessableEntity,
	)

	end := travel(map[string]any{"kind": "end", "block": first.Block, "minutes": 15, "start": "16:50"})
	require.Equal(t, 15, end.Lesson.Document.Minutes)
	require.Equal(t, "16:50", end.Lesson.Document.Start)
	require.Less(t, end.Lesson.Plan.Planned, before+1)

	// Held and forgotten until tomorrow: it goes on where it stood.
	clock(300, false)
	c.now = c.now.AddDate(0, 0, 1)
	require.InDelta(t, 300, travel(map[string]any{"kind": "held", "block": ""}).Second, 1e-6)
}
