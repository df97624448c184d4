package main

import (
	"os"
	"os/exec"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
)

func TestMessages(t *testing.T) {
	for message, wrong := range map[string]string{
		"court: ask for a net by its word":                  "",
		"court: ask for a net by its word\n\nWhy it is so.": "",
		"court: ask for a net\n# Please enter the message":  "",
		"Merge branch 'main'":                               "",
		"ask for a net by its word":                         "area: what changes",
		"Court: ask for a net":                              "area: what changes",
		"court: Ask for a net":                              "area: what changes",
		"court: ask for a net.":                             "full stop",
		"court: added a word":                               "as a request",
		"court: fixes the net":                              "as a request",
		"court: ask for a net\nwhy":                         "a line free",
		"court: " + strings.Repeat("long ", 14):             "72 at most",
	} {
		err := check(message)
		if wrong == "" {
			require.NoError(t, err, message)
		} else {
			require.ErrorContains(t, err, wrong, message)
		}
	}
}

// The rule holds for what was committed since it was written down.
func TestTheLastCommitsAreWrittenAsAsked(t *testing.T) {
	_, _ = os.ReadFile("../../.git/logs/HEAD") // so that what go test remembers is of these commits
	out, err := exec.CommandContext(t.Context(), "git", "log", "-200", "--no-merges", "--since=2026-12-01T06:34:00Z",
		"--format=%B%x00").
		Output()
	if err != nil {
		t.Skip("there is no history here: ", err)
	}
	for message := range strings.SplitSeq(string(out), "\x00") {
		if message = strings.TrimSpace(message); message != "" {
			require.NoError(t, check(message))
		}
	}
}
