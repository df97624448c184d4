package partial_test

import (
	"io/fs"
	"os"
	"path/filepath"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/internal/partial"
)

func TestAWholeFileGetsItsName(t *testing.T) {
	folder := t.TempDir()
	path := filepath.Join(folder, "club.db")
	whole := func(text string) string {
		file, err := partial.File(folder, partial.Note, "")
		require.NoError(t, err)
		_, err = file.WriteString(text)
		require.NoError(t, err)
		require.NoError(t, file.Close())
		return file.Name()
	}
	reads := func(text string) {
		t.Helper()
		there, err := os.ReadFile(path)
		require.NoError(t, err)
		require.Equal(t, text, string(there))
	}
	require.NoError(t, partial.PutNew(whole("one"), path))
	reads("one")
	require.ErrorIs(t, partial.PutNew(whole("two"), path), fs.ErrExist, "nothing is written over unasked")
	reads("one")
	three := whole("three")
	require.NoError(t, partial.Put(three, path))
	reads("three")
	require.NoFileExists(t, three)
	require.ErrorIs(t, partial.Put(filepath.Join(folder, "gone"), path), fs.ErrNotExist)
	reads("three")
}
