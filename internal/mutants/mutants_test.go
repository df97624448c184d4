package main

import (
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
)

func TestFaultsAreAddedUp(t *testing.T) {
	t.Parallel()
	a := fault{Type: "CONDITIONALS_BOUNDARY", file: "core/a.go", text: "if a < b {"}
	with := func(status string) fault {
		f := a
		f.Status = status
		return f
	}
	faults := []fault{with("KILLED"), with("TIMED OUT"), with("LIVED"), with("NOT COVERED"), with("SKIPPED")}
	all := add(faults, nil)
	require.Equal(t, tally{faults: 4, noticed: 2, lived: 1, uncovered: 1, left: faults[2:4]}, all)
	require.InDelta(t, 50, all.share(), 0)
	same := add(faults, map[string]bool{a.key(): true})
	require.Equal(t, tally{faults: 2, noticed: 2, same: 2}, same, "what changes nothing is no fault")
	require.InDelta(t, 100, same.share(), 0)
	require.InDelta(t, 0, add(nil, nil).share(), 0)
	bounds := []fault{with("LIVED"), with("NOT COVERED")}
	bounds[0].equal, bounds[1].equal = true, true
	require.Equal(t, tally{faults: 1, uncovered: 1, same: 1, left: bounds[1:]}, add(bounds, nil))
}

func TestWhatChangesNothingHasAReason(t *testing.T) {
	t.Parallel()
	path := filepath.Join(t.TempDir(), "same.txt")
	write := func(text string) { require.NoError(t, os.WriteFile(path, []byte(text), 0o600)) }
	write("# a comment\n\ncore/a.go | INVERT_LOGICAL | if a | b { | it is the same both ways\n")
	same, err := readSame(path)
	require.NoError(t, err)
	require.Equal(t, map[string]bool{"core/a.go | INVERT_LOGICAL | if a | b {": true}, same)
	for _, text := range []string{"core/a.go | INVERT_LOGICAL | if a {", "core/a.go | INVERT_LOGICAL | if a { | "} {
		write(text)
		_, err := readSame(path)
		require.ErrorContains(t, err, "same.txt:1")
	}
	_, err = readSame(filepath.Join(t.TempDir(), "none"))
	require.NoError(t, err)
}

func TestAFaultIsPutIntoALine(t *testing.T) {
	t.Parallel()
	const text = "a\nif b <= c && d == -e {\n"
	for want, f := range map[string]fault{
		"if b < c && d == -e {":  {Type: "CONDITIONALS_BOUNDARY", Line: 2, Column: 6},
		"if b > c && d == -e {":  {Type: "CONDITIONALS_NEGATION", Line: 2, Column: 6},
		"if b <= c || d == -e {": {Type: "INVERT_LOGICAL", Line: 2, Column: 11},
		"if b <= c && d != -e {": {Type: "CONDITIONALS_NEGATION", Line: 2, Column: 16},
		"if b <= c && d == +e {": {Type: "INVERT_NEGATIVES", Line: 2, Column: 19},
	} {
		got, ok := f.with(text)
		require.True(t, ok)
		require.Equal(t, "a\n"+want+"\n", got)
	}
	for _, f := range []fault{{Type: "INVERT_LOGICAL", Line: 2, Column: 6}, {Line: 9, Column: 1}, {Line: 1, Column: 5}} {
		_, ok := f.with(text)
		require.False(t, ok)
	}
}

func TestASampleIsDrawnOfLines(t *testing.T) {
	t.Parallel()
	text := strings.Repeat("a line\n", 1000)
	require.Empty(t, without("a.go", text, sample{every: 1}), "all of them")
	drawn := map[int]int{}
	for at := range 4 {
		drawn[at] = strings.Count(text, "\n") - strings.Count(without("a.go", text, sample{every: 4, at: at}), "\n")
		require.InDelta(t, 250, drawn[at], 60)
	}
	require.InDelta(t, 1001, drawn[0]+drawn[1]+drawn[2]+drawn[3], 2, "samples have no line in common")
}

func TestFaultsAreLookedAtByType(t *testing.T) {
	t.Parallel()
	room := t.TempDir()
	const source = "package room\n\nfunc f(a, b string, c, d int, e float64) (string, int, bool, bool) {\n" +
		"\treturn a + b, c + d, c < d, e < 2\n}\n"
	path := filepath.Join(room, "room.go")
	require.NoError(t, os.WriteFile(path, []byte(source), 0o600))
	at := func(kind string, column int) fault { return fault{Type: kind, Line: 4, Column: column, file: path} }
	texts, numbers := at("ARITHMETIC_BASE", 11), at("ARITHMETIC_BASE", 18)
	whole, not := at("CONDITIONALS_BOUNDARY", 25), at("CONDITIONALS_BOUNDARY", 32)
	left, err := viable(room, []fault{texts, numbers, whole, not})
	require.NoError(t, err)
	not.equal = true
	require.Equal(t, []fault{numbers, whole, not}, left, "a text is taken from no text")
}
