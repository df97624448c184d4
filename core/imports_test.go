// Package core_test keeps the rules of the job free of everything around them.
package core_test

import (
	"encoding/json"
	"errors"
	"io"
	"os"
	"os/exec"
	"regexp"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
)

// TestCoreImportsOnlyWhatItMay fails when core takes in HTTP, SQL, the operating system, global
// randomness, or anything from outside but gonum.
func TestCoreImportsOnlyWhatItMay(t *testing.T) {
	out, err := exec.CommandContext(t.Context(), "go", "list", "-json=ImportPath,Imports", "./...").Output()
	require.NoError(t, err)
	forbidden := []string{
		"net",
		"net/http",
		"database/sql",
		"os",
		"os/exec",
		"io/fs",
		"syscall",
		"log",
		"log/slog",
		"math/rand",
		"crypto/rand",
		"unsafe",
	}
	seen := 0
	for decoder := json.NewDecoder(strings.NewReader(string(out))); ; seen++ {
		var p struct {
			ImportPath string
			Imports    []string
		}
		err := decoder.Decode(&p)
		if errors.Is(err, io.EOF) {
			break
		}
		require.NoError(t, err)
		for _, imported := range p.Imports {
			require.NotContains(t, forbidden, imported, "%s imports %s", p.ImportPath, imported)
			if strings.Contains(imported, ".") || strings.HasPrefix(imported, "hodometer/") {
				allowed := strings.HasPrefix(imported, "hodometer/core/") || strings.HasPrefix(imported, "gonum.org/") ||
					strings.HasPrefix(imported, "golang.org/x/text/")
				require.True(t, allowed, "%s imports %s", p.ImportPath, imported)
			}
		}
	}
	require.Greater(t, seen, 8, "no packages were looked at")
}

// TestRoomsOfCoreBuildOnOneAnother fails when a room takes in one that stands after it in docs/house.md.
func TestRoomsOfCoreBuildOnOneAnother(t *testing.T) {
	house, err := os.ReadFile("../docs/house.md")
	require.NoError(t, err)
	var rooms []string
	for _, line := range strings.Split(string(house), "\n") {
		cells := strings.Split(line, "|")
		if len(cells) < 3 {
			continue
		}
		for _, room := range regexp.MustCompile("`core/([a-z/]+)`").FindAllStringSubmatch(cells[1], -1) {
			rooms = append(rooms, room[1])
		}
	}
	groups := slices.Compact(slices.Collect(func(yield func(string) bool) {
		for _, room := range rooms {
			group, _, _ := strings.Cut(room, "/")
			if !yield(group) {
				return
			}
		}
	}))
	require.LessOrEqual(t, len(groups), 9, "a newcomer reads no more at a glance: %v", groups)
	require.Len(t, slices.Compact(slices.Sorted(slices.Values(groups))), len(groups), "each group stands in one piece")
	out, err := exec.CommandContext(t.Context(), "go", "list", "-f", `{{.ImportPath}}{{range .Imports}} {{.}}{{end}}`,
		"./...").
		Output()
	require.NoError(t, err)
	for _, line := range strings.Split(strings.TrimSpace(string(out)), "\n") {
		paths := strings.Fields(line)
		room := strings.TrimPrefix(paths[0], "hodometer/core/")
		if room == "hodometer/core" {
			continue
		}
		require.Contains(t, rooms, room, "docs/house.md knows every room")
		for _, imported := range paths[1:] {
			if other, ours := strings.CutPrefix(imported, "hodometer/core/"); ours {
				require.Less(t, slices.Index(rooms, other), slices.Index(rooms, room), "%s imports %s", room, other)
			}
		}
	}
}

// TestCoreHasNoClock fails when core asks for the time or for random numbers instead of being given
// them.
func TestCoreHasNoClock(t *testing.T) {
	out, err := exec.CommandContext(t.Context(), "grep", "-rnE",
		`time\.(Now|Since|Until|Sleep|After|Tick|NewTimer|NewTicker)\(|rand\.(Int|Float|Perm|Shuffle)`, "--include=*.go",
		".").
		CombinedOutput()
	lines := strings.TrimSpace(string(out))
	for _, line := range strings.Split(lines, "\n") {
		if line != "" && !strings.Contains(line, "_test.go:") {
			t.Error(line)
		}
	}
	if err != nil {
		var exit *exec.ExitError
		require.ErrorAs(t, err, &exit)
		require.Equal(t, 1, exit.ExitCode(), "grep failed: %s", lines)
	}
}
