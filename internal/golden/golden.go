// Package golden compares what a test works out with a table that was looked through and kept: a figure that moves
// shows in the difference, whatever moved it. HODOMETER_GOLDEN=write writes the tables anew, to be looked through
// again.
package golden

import (
	"encoding/json"
	"os"
	"path/filepath"
	"regexp"
	"strconv"
	"strings"
	"testing"
	"unicode"

	"github.com/stretchr/testify/require"
)

// Same fails where a text is not the one that is kept in a file of testdata. The first lines that differ are told.
func Same(t *testing.T, name, got string) {
	t.Helper()
	path := filepath.Join("testdata", name)
	if os.Getenv("HODOMETER_GOLDEN") == "write" {
		require.NoError(t, os.MkdirAll("testdata", 0o750))
		require.NoError(t, os.WriteFile(path, []byte(got), 0o600))
		return
	}
	kept, err := os.ReadFile(path) //nolint:gosec // a file of the test
	require.NoError(t, err, "HODOMETER_GOLDEN=write makes it")
	require.Empty(t, Difference(string(kept), got), path)
}

// Line is a value as one line of JSON, with numbers to so many decimals: machines differ in the last ones.
func Line(t testing.TB, value any, decimals int) string {
	t.Helper()
	text, err := json.Marshal(value)
	require.NoError(t, err)
	return number.ReplaceAllStringFunc(string(text), func(found string) string {
		digit := strings.IndexFunc(found, func(r rune) bool { return r == '-' || unicode.IsDigit(r) })
		value, err := strconv.ParseFloat(found[digit:], 64)
		require.NoError(t, err)
		short := strconv.FormatFloat(value, 'f', decimals, 64)
		if strings.Contains(short, ".") {
			short = strings.TrimRight(strings.TrimRight(short, "0"), ".")
		}
		if short == "-0" {
			short = "0"
		}
		return found[:digit] + short
	})
}

// number is one outside of words.
var number = regexp.MustCompile(`(":|[,\[])(-?\d+(?:\.\d+)?(?:e[-+]?\d+)?)`)

// most is how many lines that differ are told.
const most = 8

// Difference is where two texts differ, line by line: what is kept, and what came out.
func Difference(kept, got string) string {
	was, is := strings.Split(kept, "\n"), strings.Split(got, "\n")
	var told []string
	for i := range max(len(was), len(is)) {
		a, b := at(was, i), at(is, i)
		if a == b {
			continue
		}
		if len(told) == most {
			return strings.Join(append(told, "and more"), "\n")
		}
		told = append(told, "kept: "+a+"\n got: "+b)
	}
	return strings.Join(told, "\n")
}

// at is a line, or nothing behind the last one.
func at(lines []string, i int) string {
	if i < len(lines) {
		return lines[i]
	}
	return "(nothing)"
}
