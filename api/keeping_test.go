package api_test

import (
	"net/http"
	"os"
	"path/filepath"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"hodometer/api"
	"hodometer/keeping"
)

func TestSafeCopiesAreMadeToldAndRestored(t *testing.T) {
	c := newClub(t)
	kept := func() api.SafeCopies { return read[api.SafeCopies](t, c.ask("GET", "/api/keeping", nil)) }
	require.Empty(t, kept().Copies)
	require.True(t, kept().Usual)
	c.student(ada())
	made := read[api.SafeCopies](t, c.ask("POST", "/api/keeping/copies", nil))
	require.Len(t, made.Copies, 1)
	require.Equal(t, keeping.OnDemand, made.Copies[0].Why)
	require.True(t, made.Copies[0].At.Equal(c.now))
	before := c.ask("GET", "/api/students", nil).Body.String()
	c.student(ada())
	require.NotEqual(t, before, c.ask("GET", "/api/students", nil).Body.String())

	c.now = c.now.Add(time.Hour)
	done := read[api.RestoredCopy](t, c.ask("POST", "/api/keeping/restore", api.NamedCopy{Name: made.Copies[0].Name}))
	require.Equal(t, 1, done.Students)
	require.Equal(t, before, c.ask("GET", "/api/students", nil).Body.String())
	list := kept().Copies
	require.Equal(t, keeping.BeforeRestore, list[0].Why)
	require.Equal(t, filepath.Join(kept().Folder, list[0].Name), done.Kept)

	require.NoError(t, os.WriteFile(filepath.Join(kept().Folder, made.Copies[0].Name), []byte("spoiled"), 0o600))
	readProblem(t, c.ask("POST", "/api/keeping/restore", api.NamedCopy{Name: made.Copies[0].Name}), http.StatusConflict)
	readProblem(t, c.ask("POST", "/api/keeping/restore", api.NamedCopy{Name: "../club.db"}), http.StatusNotFound)
	require.Equal(t, before, c.ask("GET", "/api/students", nil).Body.String())

	wrong := readProblem(t, c.ask("PUT", "/api/keeping/folder", api.Folder{Folder: "stick"}), http.StatusUnprocessableEntity)
	require.Equal(t, "folder", wrong.Fields[0].Path)
	stick := t.TempDir()
	chosen := read[api.SafeCopies](t, c.ask("PUT", "/api/keeping/folder", api.Folder{Folder: stick}))
	require.Equal(t, stick, chosen.Folder)
	require.False(t, chosen.Usual)
	require.Len(t, read[api.SafeCopies](t, c.ask("POST", "/api/keeping/copies", nil)).Copies, 1)
}
