package api_test

import (
	"net/http"
	"slices"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/api/desk"
	"hodometer/core/drill/playerfit"
	"hodometer/core/lesson/plan"
	"hodometer/core/people/skill"
	"hodometer/core/people/student"
	"hodometer/store"
)

// How hard an attempt was is kept with it and not asked again; it is worked out anew when the student's level or the
// model is another one. What was counted at a drill that is gone counts no more, and that is said.
func TestHowHardAnAttemptWasIsKept(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	p := ada()
	p.Level = student.Improver
	id := c.student(p)
	own := newID()
	require.Equal(t, http.StatusOK, c.ask("PUT", "/api/drills/"+own, coin(), fresh, "*").Code)
	lesson, block, _ := lessonWith(t, c, "Coin in the Corner", id)
	c.count(lesson, block, id, 1, 6, 4)
	body := read[plan.Lesson](t, c.ask("GET", "/api/lessons/"+lesson, nil)).Document
	body.Blocks[0].Drill = own
	gone := newID()
	require.Equal(t, http.StatusOK, c.ask("PUT", "/api/lessons/"+gone, body, fresh, "*").Code)
	c.count(gone, body.Blocks[0].ID, id, 1, 5, 2)

	kept := func() []store.Practice {
		rows, err := c.store.Practised(t.Context(), []string{id})
		require.NoError(t, err)
		require.Len(t, rows, 2)
		return rows
	}
	told := func() string {
		asked := map[string]any{"document": coin(), "people": 1, "hand": "right", "student": id}
		drill := read[desk.WorkedDrill](t, c.ask("POST", "/api/drills/preview", asked))
		return drill.PlayerFit.Measures[0].Rates.Rate.Sentence
	}
	require.Contains(t, told(), "from 17 balls at easier and harder ones")
	first := kept()
	for _, row := range first {
		require.NotNil(t, row.Tried)
		require.Positive(t, row.Under)
		require.Equal(t, first[0].Under, row.Under)
	}
	told()
	require.Equal(t, first, kept(), "asked again it is what it was")

	// What an older model made of it is worked out anew, to the same.
	older := map[int64]*playerfit.Tried{first[0].Key: {Stroke: "serve", Attempt: skill.Of(0.9)}, first[1].Key: nil}
	require.NoError(t, c.store.KeepTried(t.Context(), 1, older))
	told()
	require.Equal(t, first, kept())

	// Somebody of a better level is thought to make more of the same balls.
	profile := read[desk.Student](t, c.ask("GET", "/api/students/"+id, nil))
	profile.Profile.Level = student.Club
	require.Equal(
		t,
		http.StatusOK,
		c.ask("PUT", "/api/students/"+id, profile.Profile, "If-Match", `"1"`).Code,
	)
	told()
	better := kept()
	require.Greater(t, better[0].Tried.OfLevel(), first[0].Tried.OfLevel())
	require.NotEqual(t, first[0].Under, better[0].Under)

	// A drill that is gone.
	require.NoError(t, c.store.Drills.Erase(t.Context(), own))
	require.NoError(t, c.store.KeepTried(t.Context(), 1, older))
	require.Contains(t, told(), "from 10 balls at easier and harder ones")
	require.Contains(t, told(), "7 tries at drills that are gone or have changed are not in it")
	i := slices.IndexFunc(kept(), func(p store.Practice) bool { return p.Drill == own })
	require.Nil(t, kept()[i].Tried)
}

// After a start what nobody asked for yet is worked out in the background.
func TestHowHardAttemptsWereIsWorkedOutInTheBackground(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	id := c.student(ada())
	lesson, block, _ := lessonWith(t, c, "Coin in the Corner", id)
	c.count(lesson, block, id, 1, 6, 4)
	rows, err := c.store.Practised(t.Context(), []string{id})
	require.NoError(t, err)
	require.NoError(t, c.store.KeepTried(t.Context(), 1, map[int64]*playerfit.Tried{rows[0].Key: nil}))
	c.start()
	defer c.doors.Closing()
	require.Eventually(t, func() bool {
		rows, err := c.store.Practised(t.Context(), []string{id})
		return err == nil && rows[0].Under > 1 && rows[0].Tried != nil
	}, 10*time.Second, 20*time.Millisecond)
}
