package api_test

import (
	"os/exec"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
)

// The rooms of api stand in this order; those that answer know nothing of one another.
func TestRoomsBuildOnOneAnother(t *testing.T) {
	t.Parallel()
	order := []string{"request", "door", "repository"}
	answering := []string{"desk", "courtside", "exchange", "safekeeping"}
	out, err := exec.CommandContext(t.Context(), "go", "list", "-f", `{{.ImportPath}}{{range .Imports}} {{.}}{{end}}`,
		"./...").
		Output()
	require.NoError(t, err)
	seen := 0
	for line := range strings.Lines(string(out)) {
		paths := strings.Fields(line)
		room, inside := strings.CutPrefix(paths[0], "hodometer/api/")
		if !inside {
			continue
		}
		seen++
		before := order[:max(0, slices.Index(order, room))]
		if slices.Contains(answering, room) {
			before = order
		}
		for _, path := range paths[1:] {
			if other, ours := strings.CutPrefix(path, "hodometer/api"); ours {
				require.Contains(t, before, strings.TrimPrefix(other, "/"), "%s imports it", room)
			}
		}
	}
	require.Equal(t, len(order)+len(answering), seen)
}
