package api_test

import (
	"net/http"
	"strconv"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/api/desk"
	"hodometer/core/lesson/plan"
	"hodometer/core/people/student"
	"hodometer/core/sport/court"
)

func TestWhatIsReadAgainIsAnsweredInAWord(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	studentID, lessonID := c.student(ada()), newID()
	c.ok("PUT", "/api/lessons/"+lessonID, lessonFor(newID(), studentID), fresh, "*")
	for _, path := range []string{
		"/api/students", "/api/students/" + studentID, "/api/students/" + studentID + "/progress", "/api/drills",
		"/api/lessons", "/api/lessons/week",
		"/api/lessons/" + lessonID, "/api/lessons/" + lessonID + "/sheet", "/api/lessons/" + lessonID + "/afterwards",
		"/api/settings", "/api/vocabulary",
	} {
		first := c.ask("GET", path, nil)
		require.Equal(t, http.StatusOK, first.Code, path)
		tag := first.Header().Get("ETag")
		require.NotEmpty(t, tag, path)
		require.Equal(t, "private, no-cache", first.Header().Get("Cache-Control"), path)
		again := c.ask("GET", path, nil, "If-None-Match", tag)
		require.Equal(t, http.StatusNotModified, again.Code, path)
		require.Empty(t, again.Body.String(), path)
		require.Equal(t, tag, again.Header().Get("ETag"), path)
		other := c.ask("GET", path, nil, "If-None-Match", `"x"`)
		require.Equal(t, first.Body.String(), other.Body.String(), path)
	}
}

func TestARememberedAnswerHoldsUntilSomethingIsStored(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	studentID, lessonID := c.student(ada()), newID()
	document := lessonFor(newID(), studentID)
	c.ok("PUT", "/api/lessons/"+lessonID, document, fresh, "*")
	path := "/api/lessons/" + lessonID
	get := func() (plan.Lesson, string) {
		answer := c.ask("GET", path, nil)
		return read[plan.Lesson](t, answer), answer.Header().Get("ETag")
	}
	before, tag := get()
	require.True(t, strings.HasPrefix(tag, `"1-`), "the tag of a read names the revision")

	// A tag is good for If-Match as it is.
	after := read[plan.Lesson](t, c.ask("PUT", path, with(t, document, "title", "Another"), "If-Match", tag))
	require.EqualValues(t, 2, after.Revision)
	now, newTag := get()
	require.Equal(t, "Another", now.Document.Title)
	require.NotEqual(t, tag, newTag)
	require.Equal(
		t,
		http.StatusOK,
		c.ask("GET", path, nil, "If-None-Match", tag).Code,
		"what the page has is not so any more",
	)

	// Not the document itself, but something that it is worked out from.
	profile := with(t, ada(), "name", "Ada Lovell")
	c.ok("PUT", "/api/students/"+studentID, profile, "If-Match", `"1"`)
	now, _ = get()
	require.Equal(t, before.Revision+1, now.Revision)
	require.Equal(t, "Ada Lovell", now.People[0].Name)

	// Nor the passing of a day.
	today := read[desk.Diary](t, c.ask("GET", "/api/lessons", nil)).Today
	c.now = c.now.Add(24 * time.Hour)
	require.NotEqual(t, today, read[desk.Diary](t, c.ask("GET", "/api/lessons", nil)).Today)
}

func TestFiguresOfAListAreThoseOfThePlan(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	for i := range 3 {
		studentID := c.student(
			student.Profile{
				Name:     "Ada " + strconv.Itoa(i),
				Age:      student.Adult,
				Hand:     student.RightHand,
				Backhand: student.TwoHanded,
				Sport:    court.Tennis,
				Level:    student.Club,
			},
		)
		c.ok(
			"PUT",
			"/api/lessons/"+newID(),
			with(t, lessonFor(newID(), studentID), "start", strconv.Itoa(10+i)+":00"),
			fresh,
			"*",
		)
	}
	week := read[desk.Week](t, c.ask("GET", "/api/lessons/week", nil))
	require.Len(t, week.Lessons, 3)
	for _, brief := range week.Lessons {
		whole := read[plan.Lesson](t, c.ask("GET", "/api/lessons/"+brief.ID, nil))
		require.Equal(t, whole.Plan.Balls, brief.Balls)
		require.NotZero(t, brief.Balls)
		require.InDelta(t, whole.Plan.Planned, brief.Planned, 1e-9)
		require.Equal(t, whole.Document.Title, brief.Title)
		require.Equal(t, whole.People[0].Name, brief.People[0])
		require.Equal(t, whole.State, brief.State)
	}
}
