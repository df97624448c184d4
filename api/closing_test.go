package api_test

import (
	"net/http"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/api/courtside"
	"hodometer/core/lesson"
	"hodometer/core/lesson/editing"
	"hodometer/core/lesson/plan"
	"hodometer/core/live/closing"
)

// A lesson is run shorter than planned, closed later, and the next one is proposed.
func TestALessonIsSetAgainstItsPlanAndClosedLater(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	student, block, id := c.student(ada()), newID(), newID()
	planned := read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, lessonFor(block, student), fresh, "*"))
	afterwards := func() courtside.Afterwards {
		return read[courtside.Afterwards](t, c.ask("GET", "/api/lessons/"+id+"/afterwards", nil))
	}
	open := func() []courtside.UnclosedLesson {
		return read[courtside.Unclosed](t, c.ask("GET", "/api/lessons/unclosed", nil)).Lessons
	}
	before := afterwards()
	require.Empty(t, before.Against, "it is not begun")
	require.Empty(t, before.Students[0].Played)
	require.Empty(t, open())

	c.clock(id, 0, true, false)
	c.now = c.now.Add(5 * time.Minute)
	c.act(id, "travel", editing.Travel{Kind: editing.GoOn, Block: planned.Document.Blocks[0].ID, Gone: 300})
	c.now = c.now.Add(4 * time.Minute)
	c.tap(
		id,
		taps{
			Run:     newID(),
			Block:   block,
			Student: student,
			Entries: []map[string]any{{"seq": 0, "kind": "turn", "made": 9, "of": 12, "at": c.now}},
		},
	)
	require.Empty(t, open(), "it is on its way")
	c.clock(id, 540, false, true)

	after := afterwards()
	require.Equal(t, []string{"3 min shorter", "5 min shorter"}, []string{after.Against[0].Said, after.Against[1].Said})
	require.InDelta(t, 540, after.Against[0].Ran+after.Against[1].Ran, 1)
	result := after.Students[0]
	require.Equal(t, 1, result.Counted)
	require.Contains(t, result.Played, "12 of 24 strokes", "as many as were counted, of four turns of six balls")
	require.NotEmpty(t, result.Next)
	require.NotEmpty(t, result.Next[0].Advice.Reason)
	require.Equal(t, []courtside.UnclosedLesson{{ID: id, Title: "Tuesday", Date: "2026-03-10"}}, open())

	effort := 7
	said := closing.Document{
		Happened: "The rain came early.",
		Worked:   "the split step",
		Next:     "deeper returns",
		Blocks:   []closing.Marked{{Block: block, Engagement: 8, Effort: &effort}},
	}
	require.Equal(t, said, read[courtside.Afterwards](t, c.ask("PUT", "/api/lessons/"+id+"/closing", said)).Closing)
	require.Len(t, open(), 1, "there may be more to say")
	said.Done = true
	read[courtside.Afterwards](t, c.ask("PUT", "/api/lessons/"+id+"/closing", said))
	require.Empty(t, open())
	require.Equal(t, said, afterwards().Closing)
	readProblem(t, c.ask("PUT", "/api/lessons/"+newID()+"/closing", said), http.StatusNotFound)

	next := read[lesson.Document](t, c.ask("POST", "/api/lessons/"+id+"/next", nil))
	require.Equal(t, "2026-03-17", next.Date)
	require.Equal(t, []string{student}, next.Students)
	require.Equal(t, 30, next.Minutes)
	require.NotEmpty(t, next.Blocks)
	read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+newID(), next, fresh, "*"))

	c.now = c.now.AddDate(0, 0, 20)
	said.Done = false
	read[courtside.Afterwards](t, c.ask("PUT", "/api/lessons/"+id+"/closing", said))
	require.Empty(t, open(), "after a fortnight it is no longer told")
}
