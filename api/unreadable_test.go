package api_test

import (
	"database/sql"
	"net/http"
	"path/filepath"
	"strconv"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/api/desk"
	"hodometer/api/repository"
	"hodometer/store"
)

// damaged is a club with one good lesson, and a document of every kind that cannot be read.
func damaged(t *testing.T) (c *club, lesson string, broken map[string]string) {
	path := filepath.Join(t.TempDir(), "club.db")
	s, err := store.Open(t.Context(), path, nil)
	require.NoError(t, err)
	require.NoError(t, s.Close())
	c = openClub(t, path)
	studentID, gone, drill := c.student(ada()), newID(), newID()
	lesson = newID()
	document := lessonFor(newID(), studentID, gone)
	blocks := document["blocks"].([]map[string]any)
	document["blocks"] = append(
		blocks,
		map[string]any{
			"id":      newID(),
			"kind":    "drill",
			"title":   "Own",
			"minutes": 9,
			"effort":  6,
			"drill":   drill,
			"calls":   []any{},
		},
	)
	c.ok("PUT", "/api/lessons/"+lesson, document, fresh, "*")
	broken = map[string]string{"student": gone, "drill": drill, "lesson": newID(), "odd": newID()}
	db, err := sql.Open("sqlite", path)
	require.NoError(t, err)
	for statement, id := range map[string]string{
		`INSERT INTO student (id, revision, document) VALUES (?, 1, '{"name":"Bo","hand":7}')`:                                                                                                broken["student"],
		`INSERT INTO drill (id, revision, document) VALUES (?, 1, '{"name":"Torn","turns":"many')`:                                                                                            broken["drill"],
		`INSERT INTO lesson (id, revision, document) VALUES (?, 1, '{"title":"Torn too","date":"2026-03-10","minutes":"an hour"}')`:                                                           broken["lesson"],
		`INSERT INTO lesson (id, revision, document) VALUES (?, 1, '{"title":"Odd","date":"2026-03-10","start":"16:00","minutes":60,"students":["a","a"],"space":{},"blocks":[],"note":""}')`: broken["odd"],
	} {
		_, err := db.ExecContext(t.Context(), statement, id)
		require.NoError(t, err)
	}
	require.NoError(t, db.Close())
	return c, lesson, broken
}

func TestWhatCannotBeReadIsToldAndHidesNothing(t *testing.T) {
	t.Parallel()
	c, good, broken := damaged(t)
	diary := read[desk.Diary](t, c.ask("GET", "/api/lessons", nil))
	require.Len(t, diary.Lessons, 1)
	require.Len(t, diary.Unreadable, 2)
	names := []string{diary.Unreadable[0].Name, diary.Unreadable[1].Name}
	require.ElementsMatch(t, []string{"Torn too", "Odd"}, names)
	for _, each := range diary.Unreadable {
		require.Equal(t, map[string]string{
			"Torn too": "minutes: a string cannot be used here", "Odd": "students.1: this student is in the lesson already",
		}[each.Name], each.Why)
	}
	c.now = c.now.Add(48 * time.Hour)
	require.Len(t, read[desk.Week](t, c.ask("GET", "/api/lessons/week", nil)).Unreadable, 2)
	c.now = c.now.Add(-48 * time.Hour)
	for kind, list := range map[string]string{"student": "/api/students", "drill": "/api/drills"} {
		require.Equal(t, http.StatusOK, c.ask("GET", list, nil).Code)
		told := read[[]repository.Unreadable](t, c.ask("GET", "/api/unreadable?kind="+kind, nil))
		require.Len(t, told, 1)
		require.Equal(t, broken[kind], told[0].ID)
	}
	for kind, text := range map[string]string{"student": `{"name":"Bo","hand":7}`, "drill": `{"name":"Torn","turns":"many`,
		"lesson": `{"title":"Torn too","date":"2026-03-10","minutes":"an hour"}`} {
		id := broken[kind]
		saved := c.ask("GET", "/api/stored/"+kind+"/"+id, nil)
		require.Equal(t, http.StatusOK, saved.Code)
		require.Contains(t, saved.Header().Get("Content-Disposition"), "attachment")
		require.Equal(t, text, saved.Body.String())
		p := readProblem(t, c.ask("GET", "/api/"+kind+"s/"+id, nil), http.StatusConflict)
		require.Contains(t, p.Detail, "Nothing of it is lost")
	}
	// A lesson with a student and a drill that cannot be read is planned for the rest of them.
	for _, path := range []string{"", "/courtside", "/sheet", "/afterwards"} {
		require.Equal(t, http.StatusOK, c.ask("GET", "/api/lessons/"+good+path, nil).Code, path)
	}
	readProblem(t, c.ask("GET", "/api/stored/coach/1", nil), http.StatusUnprocessableEntity)
	readProblem(t, c.ask("GET", "/api/unreadable?kind=coach", nil), http.StatusUnprocessableEntity)
	readProblem(t, c.ask("GET", "/api/stored/drill/"+newID(), nil), http.StatusNotFound)
	require.NotContains(t, c.log.String(), "level=ERROR")
}

func TestAnErasedStudentIsTold(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	studentID, block, id := c.student(ada()), newID(), newID()
	c.ok("PUT", "/api/lessons/"+id, lessonFor(block, studentID), fresh, "*")
	require.Equal(t, http.StatusOK, c.ask("DELETE", "/api/students/"+studentID, nil).Code)
	p := readProblem(
		t,
		c.ask("PUT", "/api/lessons/"+id+"/remarks/"+studentID, map[string]any{"engagement": 8, "remark": ""}),
		http.StatusNotFound,
	)
	require.Contains(t, p.Detail, "erased")
	require.Equal(
		t,
		"tap.student",
		c.refused(
			id,
			map[string]any{
				"run":     newID(),
				"block":   block,
				"student": studentID,
				"entries": []any{map[string]any{"seq": 0, "kind": "made", "at": c.now}},
			},
		),
	)
	require.NotContains(t, c.log.String(), "level=ERROR")
}

func TestInstantsAndDaysBeyondAllLessonsAreRefused(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	studentID, block, id := c.student(ada()), newID(), newID()
	c.ok("PUT", "/api/lessons/"+id, lessonFor(block, studentID), fresh, "*")
	for _, at := range []string{"9999-12-31T23:59:59-05:00", "0001-01-01T00:00:00+05:00", "2100-01-01T00:00:00Z"} {
		require.Equal(
			t,
			"tap.entry.at",
			c.refused(
				id,
				map[string]any{
					"run":     newID(),
					"block":   block,
					"student": studentID,
					"entries": []any{map[string]any{"seq": 0, "kind": "made", "at": at}},
				},
			),
			at,
		)
	}
	for _, path := range []string{"/api/lessons/" + id, "/api/lessons/" + id + "/courtside", "/api/students/" + studentID +
		"/progress"} {
		require.Equal(t, http.StatusOK, c.ask("GET", path, nil).Code, path)
	}
	for _, day := range []string{"9999-12-31", "0000-01-01", "2100-01-01"} {
		p := readProblem(
			t,
			c.ask("PUT", "/api/lessons/"+newID(), with(t, lessonFor(newID(), studentID), "date", day), fresh, "*"),
			http.StatusUnprocessableEntity,
		)
		require.Equal(t, "date", p.Fields[0].Path, day)
		p = readProblem(
			t,
			c.ask("POST", "/api/lessons/"+id+"/copies", map[string]any{"ids": []string{newID()}, "date": day}),
			http.StatusUnprocessableEntity,
		)
		require.Equal(t, "date", p.Fields[0].Path, day)
	}
	p := readProblem(
		t,
		c.ask("POST", "/api/lessons/"+id+"/copies", map[string]any{"ids": []string{newID(), newID()}, "date": "2099-12-30"}),
		http.StatusUnprocessableEntity,
	)
	require.Equal(t, "date", p.Fields[0].Path)
	require.NotContains(t, c.log.String(), "level=ERROR")
}

func TestLessonsComeInWeeks(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	studentID := c.student(ada())
	day := time.Date(2025, 1, 1, 0, 0, 0, 0, time.UTC)
	for i := range 45 {
		c.ok(
			"PUT",
			"/api/lessons/"+newID(),
			with(t, lessonFor(newID(), studentID), "date", day.AddDate(0, 0, 9*i).Format(time.DateOnly)),
			fresh,
			"*",
		)
	}
	seen := map[string]bool{}
	last := "9"
	week := read[desk.Week](t, c.ask("GET", "/api/lessons/week", nil))
	require.Len(t, week.Days, 7)
	require.Nil(t, week.Later)
	for at := week.Earlier; at != nil; at = week.Earlier {
		week = read[desk.Week](t, c.ask("GET", "/api/lessons/week?week="+strconv.Itoa(*at), nil))
		require.NotEmpty(t, week.Lessons, "weeks without lessons are passed over")
		require.NotNil(t, week.Days)
		for _, l := range week.Lessons {
			require.Less(t, l.Date, last, "from week to week further back")
			require.Contains(t, week.Days, l.Date)
			last = l.Date
			seen[l.ID] = true
		}
	}
	require.Len(t, seen, 45)
	require.NotNil(t, week.Later)
	readProblem(t, c.ask("GET", "/api/lessons/week?week=-99999", nil), http.StatusUnprocessableEntity)
}
