package api_test

import (
	"slices"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/api/repository"
	"hodometer/core/drill/library"
	"hodometer/core/lesson/plan"
	"hodometer/core/lesson/prospect"
	"hodometer/core/live/underway"
	"hodometer/core/people/student"
	"hodometer/core/sport/sports"
)

// lessonWith is a lesson with one built-in drill, kept; the lesson's and its block's identifiers come with it.
func lessonWith(t testing.TB, c *club, name string, students ...string) (id, block string, lesson plan.Lesson) {
	i := slices.IndexFunc(library.All(), func(s library.Stored) bool { return s.Document.Name == name })
	require.GreaterOrEqual(t, i, 0)
	id, block = newID(), newID()
	body := map[string]any{
		"version":  4,
		"space":    map[string]any{},
		"title":    "One",
		"date":     "2026-03-10",
		"start":    "16:00",
		"minutes":  60,
		"students": students,
		"note":     "",
		"blocks": []any{
			map[string]any{
				"id":      block,
				"kind":    "drill",
				"title":   name,
				"drill":   library.All()[i].ID,
				"minutes": 30,
				"effort":  5,
				"calls":   []any{},
				"turns":   8,
			},
		},
	}
	return id, block, read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, body, fresh, "*"))
}

// count counts made and missed balls of a student at a measure.
func (c *club) count(lesson, block, student string, measure, made, missed int) []underway.Counter {
	entries := []any{map[string]any{"seq": 0, "at": c.now, "kind": "turn", "made": made, "of": made + missed}}
	return c.tap(
		lesson,
		map[string]any{"run": newID(), "block": block, "student": student, "measure": measure, "entries": entries},
	)
}

// What is counted at one measure is evidence for its own stroke and for nothing else: the backhand work of a drill
// raises the backhand, and the forehand of the same drill is thought of as before.
func TestEvidenceReachesTheRightRoad(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	p := ada()
	p.Sport, p.Hand = "tennis", "right"
	student := c.student(p)
	id, block, before := lessonWith(t, c, "Forty and Four", student)
	counters := c.count(id, block, student, 3, 9, 1)
	on := func(m int) underway.Counter {
		i := slices.IndexFunc(counters, func(c underway.Counter) bool { return c.Measure == m })
		require.GreaterOrEqual(t, i, 0)
		return counters[i]
	}
	require.Equal(t, "goal 1 of 2: 9 of 10", on(3).Standing.Sentence.String())
	require.Zero(t, on(1).Count.Balls)
	require.True(t, on(1).On && !on(3).On, "the first direction is still the one whose turn it is")

	progress := read[repository.Progress](t, c.ask("GET", "/api/students/"+student+"/progress", nil))
	require.Len(t, progress.Strokes, 1)
	require.Equal(t, sports.Backhand, progress.Strokes[0].Stroke)
	require.Equal(t, "backhand cross-court", progress.Drills[0].Times[0].Measure)

	// The plan of the lesson stays as it was told; one of a week later knows more.
	same := read[plan.Lesson](t, c.ask("GET", "/api/lessons/"+id, nil))
	later := same.Document
	later.Date = c.now.AddDate(0, 0, 7).Format(time.DateOnly)
	after := read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+newID(), later, fresh, "*"))
	rate := func(l plan.Lesson, m int) float64 { return expectedAt(t, l.Plan.Prospects, m).Rate }
	more := map[int]float64{}
	for m := range 4 {
		require.InDelta(t, rate(before, m+1), rate(same, m+1), 1e-12, "measure %d", m+1)
		more[m+1] = rate(after, m+1) - rate(before, m+1)
	}
	require.Greater(t, more[3], more[4], "its own counts weigh more than those of another backhand")
	require.Greater(t, more[4], more[1], "and those more than those of another stroke")
	require.Greater(t, more[4], more[2])
	require.Positive(t, more[1], "which still tell of the player")

	// The first four directions' tens are met one after the other, then the rows begin with the first.
	for _, m := range []int{1, 2, 4} {
		c.count(id, block, student, m, 10, 0)
	}
	counters = c.count(id, block, student, 3, 1, 0)
	require.True(t, on(1).On)
	require.Equal(t, "goal 2 of 2: 0 in a row", on(1).Standing.Sentence.String())

	require.Equal(
		t,
		"tap.measure",
		c.refused(
			id,
			map[string]any{
				"run":     newID(),
				"block":   block,
				"student": student,
				"measure": 7,
				"entries": []any{map[string]any{"seq": 0, "at": c.now, "kind": "made"}},
			},
		),
	)
}

// Who left a block since is counted all the same: nothing that was counted is lost.
func TestWhoLeftABlockIsStillCounted(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	stays, left := c.student(ada()), c.student(named("Ben", student.Eleven))
	id, block, lesson := lessonWith(t, c, "Coin in the Corner", stays, left)
	d := lesson.Document
	d.Blocks[0].People = []string{stays}
	read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, d, "If-Match", `"1"`))
	c.count(id, block, left, 1, 3, 1)
	progress := read[repository.Progress](t, c.ask("GET", "/api/students/"+left+"/progress", nil))
	require.Equal(t, 3, progress.Drills[0].Times[0].Count.Made)
}

func expectedAt(t *testing.T, blocks []prospect.Block, measure int) prospect.Prospect {
	i := slices.IndexFunc(blocks[0].Students, func(p prospect.Prospect) bool { return p.Measure == measure })
	require.GreaterOrEqual(t, i, 0)
	return blocks[0].Students[i]
}
