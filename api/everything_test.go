package api_test

import (
	"archive/zip"
	"bytes"
	"io"
	"net/http"
	"strings"
	"testing"
	"time"

	"hodometer/api/desk"
	"hodometer/api/safekeeping"

	"github.com/stretchr/testify/require"
)

// worked waits for the end of what is done with everything.
func (c *club) worked() safekeeping.Work {
	c.t.Helper()
	var w safekeeping.Work
	require.Eventually(c.t, func() bool {
		w = read[safekeeping.Work](c.t, c.ask("GET", "/api/keeping/work", nil))
		return w.Ended
	}, 20*time.Second, 5*time.Millisecond)
	return w
}

func TestEverythingGoesOutAndComesInOnThePage(t *testing.T) {
	t.Parallel()
	c, other := newClub(t), newClub(t)
	require.Equal(t, safekeeping.NoWork, read[safekeeping.Work](t, c.ask("GET", "/api/keeping/work", nil)).What)
	require.Equal(t, http.StatusNotFound, c.ask("GET", "/api/out/everything.zip", nil).Code)
	c.student(ada())
	require.Equal(t, safekeeping.Exporting, read[safekeeping.Work](t, c.ask("POST", "/api/keeping/export", nil)).What)
	done := c.worked()
	require.Empty(t, done.Wrong)
	out := c.ask("GET", "/api/out/everything.zip", nil)
	require.Equal(t, http.StatusOK, out.Code)
	require.EqualValues(t, done.Bytes, out.Body.Len())
	require.Contains(t, out.Header().Get("Content-Disposition"), "hodometer 2026-03-10.zip")
	everything := out.Body.String()

	require.Equal(
		t,
		safekeeping.Importing,
		read[safekeeping.Work](t, other.ask("POST", "/api/keeping/import", everything)).What,
	)
	came := other.worked()
	require.Empty(t, came.Wrong)
	require.Equal(t, 1, came.CameIn.Students)
	require.Empty(t, came.CameIn.Kept, "there was nothing to keep")
	require.True(t, came.CameIn.Created.Equal(c.now))
	require.Equal(
		t,
		c.ask("GET", "/api/students", nil).Body.String(),
		other.ask("GET", "/api/students", nil).Body.String(),
	)

	// Changed on both: what is here stays, or goes where the coach says so; and is a copy before.
	students := read[[]desk.Student](t, other.ask("GET", "/api/students", nil))
	changed := students[0].Profile
	changed.Note = "changed here"
	read[desk.Student](t, other.ask("PUT", "/api/students/"+students[0].ID, changed, "If-Match", `"1"`))
	for _, theirs := range []string{"", "?theirs=true"} {
		read[safekeeping.Work](t, other.ask("POST", "/api/keeping/import"+theirs, everything))
		came = other.worked()
		require.Equal(t, []safekeeping.Differs{{Kind: "student", Name: changed.Name}}, came.CameIn.Differs)
		require.NotEmpty(t, came.CameIn.Kept)
		note := read[[]desk.Student](t, other.ask("GET", "/api/students", nil))[0].Profile.Note
		require.Equal(t, theirs == "", note == "changed here")
	}

	read[safekeeping.Work](t, other.ask("POST", "/api/keeping/import", "no zip at all"))
	require.Contains(t, other.worked().Wrong, "Nothing was brought in")
	require.Equal(t, safekeeping.NoWork, read[safekeeping.Work](t, c.ask("DELETE", "/api/keeping/work", nil)).What)
	require.Equal(t, http.StatusNotFound, c.ask("GET", "/api/out/everything.zip", nil).Code, "it is forgotten")
}

func TestEverythingAboutOneStudentGoesOutAndIsErased(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	id := c.student(ada())
	bo := ada()
	bo.Name = "Bo Other"
	c.student(bo)
	out := c.ask("GET", "/api/out/students/"+id+"/everything.zip", nil)
	require.Equal(t, http.StatusOK, out.Code)
	r, err := zip.NewReader(bytes.NewReader(out.Body.Bytes()), int64(out.Body.Len()))
	require.NoError(t, err)
	names := []string{}
	for _, f := range r.File {
		content, err := f.Open()
		require.NoError(t, err)
		text, err := io.ReadAll(content)
		require.NoError(t, err)
		require.NotContains(t, string(text), "Bo Other", f.Name)
		names = append(names, f.Name)
	}
	require.Equal(
		t,
		"README.txt profile.json attendance.csv results.csv counts.csv remarks.csv rungs.csv games.csv",
		strings.Join(names, " "),
	)
	readProblem(t, c.ask("GET", "/api/out/students/"+newID()+"/everything.zip", nil), http.StatusNotFound)

	c.ask("POST", "/api/keeping/copies", nil)
	gone := read[safekeeping.Gone](t, c.ask("DELETE", "/api/students/"+id, nil))
	require.Equal(t, 1, gone.Copies)
	require.True(t, gone.Newest.Equal(c.now))
	c.now = c.now.Add(time.Hour)
	c.ask("POST", "/api/keeping/copies", nil)
	fresh := c.student(ada())
	require.Zero(t, read[safekeeping.Gone](t, c.ask("DELETE", "/api/students/"+fresh, nil)).Copies, "nobody copied them")
	readProblem(t, c.ask("DELETE", "/api/students/"+fresh, nil), http.StatusNotFound)
}
