package api_test

import (
	"net/http"
	"os"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/api/safekeeping"
	"hodometer/keeping"
	"hodometer/store"
)

func TestSafeCopiesAreMadeToldAndRestored(t *testing.T) {
	t.Parallel()
	c := newClub(t)
	kept := func() safekeeping.SafeCopies {
		return read[safekeeping.SafeCopies](t, c.ask("GET", "/api/keeping", nil))
	}
	require.Empty(t, kept().Copies)
	require.True(t, kept().Usual)
	c.student(ada())
	made := read[safekeeping.SafeCopies](t, c.ask("POST", "/api/keeping/copies", nil))
	require.Len(t, made.Copies, 1)
	require.Equal(t, keeping.OnDemand, made.Copies[0].Why)
	require.True(t, made.Copies[0].At.Equal(c.now))
	before := c.ask("GET", "/api/students", nil).Body.String()
	c.student(ada())
	require.NotEqual(t, before, c.ask("GET", "/api/students", nil).Body.String())

	c.now = c.now.Add(time.Hour)
	done := read[safekeeping.RestoredCopy](
		t,
		c.ask("POST", "/api/keeping/restore", safekeeping.NamedCopy{Name: made.Copies[0].Name}),
	)
	require.Equal(t, 1, done.Students)
	require.Equal(t, before, c.ask("GET", "/api/students", nil).Body.String())
	list := kept().Copies
	require.Equal(t, keeping.BeforeRestore, list[0].Why)
	require.Equal(t, filepath.Join(kept().Folder, list[0].Name), done.Kept)

	require.NoError(t, os.WriteFile(filepath.Join(kept().Folder, made.Copies[0].Name), []byte("spoiled"), 0o600))
	readProblem(
		t,
		c.ask("POST", "/api/keeping/restore", safekeeping.NamedCopy{Name: made.Copies[0].Name}),
		http.StatusConflict,
	)
	readProblem(t, c.ask("POST", "/api/keeping/restore", safekeeping.NamedCopy{Name: "../club.db"}), http.StatusNotFound)
	require.Equal(t, before, c.ask("GET", "/api/students", nil).Body.String())

	wrong := readProblem(
		t,
		c.ask("PUT", "/api/keeping/folder", safekeeping.Folder{Folder: "stick"}),
		http.StatusUnprocessableEntity,
	)
	require.Equal(t, "folder", wrong.Fields[0].Path)
	stick := t.TempDir()
	chosen := read[safekeeping.SafeCopies](t, c.ask("PUT", "/api/keeping/folder", safekeeping.Folder{Folder: stick}))
	require.Equal(t, stick, chosen.Folder)
	require.False(t, chosen.Usual)
	require.Len(t, read[safekeeping.SafeCopies](t, c.ask("POST", "/api/keeping/copies", nil)).Copies, 1)
}

// The safe copies that hold somebody are listed, and whoever is erased is erased of them, or they are deleted: as the
// coach says.
func TestWhoIsErasedIsErasedOfTheCopies(t *testing.T) {
	t.Parallel()
	for _, then := range []struct {
		copies string
		left   int // copies in the folder
		still  int // of which hold them
	}{{"", 2, 2}, {"stay", 2, 2}, {"erase", 2, 0}, {"delete", 0, 0}} {
		t.Run(then.copies, func(t *testing.T) {
			c := newClub(t)
			p := ada()
			p.Name, p.Note = "Zsuzsannika Quartermain", "quarrelsome"
			gone, stays := c.student(p), c.student(ada())
			for range 2 {
				read[safekeeping.SafeCopies](t, c.ask("POST", "/api/keeping/copies", nil))
				c.now = c.now.Add(time.Hour)
			}
			require.Len(t, read[[]safekeeping.SafeCopy](t, c.ask("GET", "/api/students/"+gone+"/copies", nil)), 2)
			path := "/api/students/" + gone
			if then.copies != "" {
				path += "?copies=" + then.copies
			}
			require.Equal(t, then.still, read[safekeeping.Gone](t, c.ask("DELETE", path, nil)).Copies)
			kept := read[safekeeping.SafeCopies](t, c.ask("GET", "/api/keeping", nil))
			require.Len(t, kept.Copies, then.left)
			require.Len(t, read[[]safekeeping.SafeCopy](t, c.ask("GET", "/api/students/"+gone+"/copies", nil)), then.still)
			for _, one := range kept.Copies {
				data, err := os.ReadFile(filepath.Join(kept.Folder, one.Name))
				require.NoError(t, err)
				require.Equal(t, then.still > 0, strings.Contains(string(data), "Quartermain"))
				holds, err := store.Holds(t.Context(), filepath.Join(kept.Folder, one.Name), stays)
				require.NoError(t, err)
				require.True(t, holds, "everybody else stays in them")
			}
		})
	}
}
