package core_test

import (
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
)

// TestEveryRoomHasAnExample fails where a room of core does not show how its main entry is used: an example that is
// run, and so stays true.
func TestEveryRoomHasAnExample(t *testing.T) {
	out, err := exec.CommandContext(t.Context(), "go", "list", "-f", `{{.Dir}} {{len .GoFiles}}`, "./...").Output()
	require.NoError(t, err)
	rooms := 0
	for _, line := range strings.Split(strings.TrimSpace(string(out)), "\n") {
		folder, files, _ := strings.Cut(line, " ")
		if files == "0" || files == "1" && exists(filepath.Join(folder, "doc.go")) {
			continue // a group, with nothing but its comment
		}
		rooms++
		text, err := os.ReadFile(filepath.Join(folder, "example_test.go")) //nolint:gosec // a folder of this project
		require.NoError(t, err)
		_, shown, said := strings.Cut(string(text), "// Output:")
		require.True(t, said && strings.TrimSpace(shown) != "}", "%s shows nothing", folder)
	}
	require.Greater(t, rooms, 40)
}

func exists(path string) bool {
	_, err := os.Stat(path)
	return err == nil
}

// TestFilesAreShort fails where a file of core is longer than can be read at one go.
func TestFilesAreShort(t *testing.T) {
	const longest = 350 // lines
	files := 0
	require.NoError(t, filepath.WalkDir(".", func(path string, entry os.DirEntry, err error) error {
		if err != nil || entry.IsDir() || filepath.Ext(path) != ".go" {
			return err
		}
		files++
		text, err := os.ReadFile(path) //nolint:gosec // a file of this project
		require.LessOrEqual(t, strings.Count(string(text), "\n"), longest, path)
		return err
	}))
	require.Greater(t, files, 200)
}
