package api_test

import (
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/api/desk"
	"hodometer/api/repository"
	"hodometer/core/drill/library"
	"hodometer/core/lesson/plan"
)

// A drill that gets another name is called so in the lessons to come; what the coach called otherwise, and what was
// given, stays.
func TestARenamedDrillIsCalledSoInLessonsToCome(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	studentID := c.student(ada())
	own := read[repository.Drill](
		t,
		c.ask("POST", "/api/drills/"+library.All()[0].ID+"/duplicate", desk.Duplicate{ID: newID()}),
	)
	rename := func(name string) {
		t.Helper()
		document := own.Document
		document.Name = name
		own = read[repository.Drill](
			t,
			c.ask("PUT", "/api/drills/"+own.ID, document, "If-Match", `"`+strconv.FormatInt(own.Revision, 10)+`"`),
		)
	}
	was := own.Document.Name
	lessonOn := func(date string) string {
		id := newID()
		d := lessonFor(newID(), studentID)
		d["date"] = date
		block := func(title string) map[string]any {
			return map[string]any{
				"id":      newID(),
				"kind":    "drill",
				"title":   title,
				"minutes": 10,
				"effort":  5,
				"drill":   own.ID,
				"calls":   []any{},
			}
		}
		d["blocks"] = []any{block(was), block(was + ", for points"), block("Warm hands")}
		read[plan.Lesson](t, c.ask("PUT", "/api/lessons/"+id, d, fresh, "*"))
		return id
	}
	given, today, later := lessonOn("2026-03-09"), lessonOn("2026-03-10"), lessonOn("2026-03-12")
	titles := func(id string) (list []string) {
		for _, b := range read[plan.Lesson](t, c.ask("GET", "/api/lessons/"+id, nil)).Document.Blocks {
			list = append(list, b.Title)
		}
		return list
	}
	rename("Coin on the line")
	require.Equal(t, []string{was, was + ", for points", "Warm hands"}, titles(given))
	for _, id := range []string{today, later} {
		require.Equal(t, []string{"Coin on the line", "Coin on the line, for points", "Warm hands"}, titles(id))
	}
	long := strings.Repeat("é", 80)
	rename(long)
	require.Equal(t, []string{long, long, "Warm hands"}, titles(later), "no title is longer than one can be")
}
