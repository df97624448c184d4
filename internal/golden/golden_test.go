package golden_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"hodometer/internal/golden"
)

func TestWhatDiffersIsTold(t *testing.T) {
	t.Parallel()
	require.Empty(t, golden.Difference("a\nb", "a\nb"))
	require.Equal(t, "kept: b\n got: c", golden.Difference("a\nb\nd", "a\nc\nd"))
	require.Equal(t, "kept: (nothing)\n got: b", golden.Difference("a", "a\nb"))
	many := strings.Repeat("x\n", 30)
	require.Equal(t, 8, strings.Count(golden.Difference(many, strings.Repeat("y\n", 30)), "kept"))
}

func TestATableIsCompared(t *testing.T) {
	t.Chdir(t.TempDir())
	t.Setenv("HODOMETER_GOLDEN", "write")
	golden.Same(t, "a.txt", "one 1\n")
	t.Setenv("HODOMETER_GOLDEN", "")
	golden.Same(t, "a.txt", "one 1\n")
}

func TestALineHasShortNumbers(t *testing.T) {
	t.Parallel()
	require.Equal(t, `{"a":[1.235,-2],"b":0,"c":"at 17:03, 1.23456 m"}`,
		golden.Line(t, map[string]any{"a": []float64{1.23456, -2}, "b": -1e-9, "c": "at 17:03, 1.23456 m"}, 3))
}
